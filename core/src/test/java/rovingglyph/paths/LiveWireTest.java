package rovingglyph.paths;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

/** Lines that cling to the edges of a picture. */
class LiveWireTest {
  private static final int SIZE = 560;

  /** A disc on a ground, both grainy. */
  private static LiveWire disc(double radius, int grain) {
    Random random = new Random(3);
    int[] rgb = new int[SIZE * SIZE];
    for (int y = 0; y < SIZE; y++) {
      for (int x = 0; x < SIZE; x++) {
        boolean in = Math.hypot(x - 150, y - 150) < radius;
        int v = (in ? 170 : 80) + random.nextInt(2 * grain + 1) - grain;
        rgb[y * SIZE + x] = v << 16 | v << 8 | (in ? 40 : 120);
      }
    }
    return new LiveWire(SIZE, SIZE, rgb);
  }

  /** From one point of a rim to others the line is the rim, also with grain. */
  @Test
  void followsARim() {
    for (int grain : new int[] {0, 12}) {
      LiveWire wire = disc(90, grain);
      wire.from(150 + 90, 150);
      for (double degrees = 15; degrees <= 150; degrees += 15) {
        double a = Math.toRadians(degrees);
        double[] line = wire.to(150 + 90 * Math.cos(a), 150 + 90 * Math.sin(a));
        assertThat(line[0]).isEqualTo(240);
        assertThat(line[1]).isEqualTo(150);
        for (int i = 0; i < line.length; i += 2) {
          double r = Math.hypot(line[i] - 150, line[i + 1] - 150);
          assertThat(Math.abs(r - 90)).as("grain " + grain + " at " + degrees).isLessThan(2.5);
        }
      }
    }
  }

  /** Each pixel is a neighbour of the one before, from the one end to the other. */
  @Test
  void isAWayOfNeighbours() {
    LiveWire wire = disc(60, 30);
    Random random = new Random(5);
    for (int i = 0; i < 40; i++) {
      int x = random.nextInt(SIZE);
      int y = random.nextInt(SIZE);
      wire.from(x, y);
      int toX = random.nextInt(SIZE);
      int toY = random.nextInt(SIZE);
      double[] line = wire.to(toX, toY);
      if (Math.max(Math.abs(toX - x), Math.abs(toY - y)) > LiveWire.REACH) {
        assertThat(line).containsExactly(x, y, toX, toY);
        continue;
      }
      assertThat(line[0]).isEqualTo(x);
      assertThat(line[1]).isEqualTo(y);
      assertThat(line[line.length - 2]).isEqualTo(toX);
      assertThat(line[line.length - 1]).isEqualTo(toY);
      for (int k = 2; k < line.length; k += 2) {
        double step =
            Math.max(Math.abs(line[k] - line[k - 2]), Math.abs(line[k + 1] - line[k - 1]));
        assertThat(step).isEqualTo(1);
      }
    }
  }

  /** Where nothing is to cling to, it goes the short way; out of the picture, to its border. */
  @Test
  void goesStraightOnAPlainGround() {
    LiveWire wire = new LiveWire(80, 40, new int[80 * 40]);
    wire.from(-5, 20);
    double[] line = wire.to(60, 20);
    assertThat(line).hasSize(2 * 61);
    double[] outside = wire.to(500, 500);
    assertThat(outside[outside.length - 2]).isEqualTo(79);
    assertThat(outside[outside.length - 1]).isEqualTo(39);
  }
}
