package rovingglyph.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;

/** What is found in pictures that are known: of plain colours, and of grey that comes and goes. */
class PaintedProofTest {
  private static final int BLACK = 0xFF000000;
  private static final int WHITE = 0xFFFFFFFF;
  private static final int GREY = 0xFF777777;

  /** A picture of 200 by 100 px. */
  private static int[] picture(IntBinaryOperator colour) {
    int[] out = new int[200 * 100];
    for (int i = 0; i < out.length; i++) {
      out[i] = colour.applyAsInt(i % 200, i / 200);
    }
    return out;
  }

  /** Letters: two bars of 20 by 60 px, at 40 and at 140. */
  private static boolean inked(int x, int y) {
    return y >= 20 && y < 80 && (x >= 40 && x < 60 || x >= 140 && x < 160);
  }

  private static final int[] LETTERS = picture((x, y) -> inked(x, y) ? WHITE : 0);

  private static Contrast.Weak weak(double line, double wanted, IntBinaryOperator colour) {
    return Contrast.of(200, 100, picture(colour), LETTERS, 50, line, wanted);
  }

  @Test
  void theContrastIsThatOfTheLuminances() {
    // Grey 777777 has a luminance of 0.1845: 21 to 1 for white on black, 4.48 for white on it.
    assertThat(weak(0, 22, (x, y) -> inked(x, y) ? WHITE : BLACK).contrast())
        .isCloseTo(21, within(1e-9));
    assertThat(weak(0, 22, (x, y) -> inked(x, y) ? WHITE : GREY).contrast())
        .isCloseTo(4.48, within(0.005));
    assertThat(weak(0, 3, (x, y) -> inked(x, y) ? WHITE : GREY).share()).isZero();
    assertThat(weak(0, 4.5, (x, y) -> inked(x, y) ? WHITE : GREY).share()).isEqualTo(1);
  }

  @Test
  void onlyTheLettersThatAreHardToSeeCount() {
    Contrast.Weak weak = weak(0, 3, (x, y) -> inked(x, y) || x >= 100 ? WHITE : BLACK);
    assertThat(weak.share()).isCloseTo(0.5, within(1e-9));
    assertThat(weak.contrast()).isCloseTo(1, within(1e-9));
  }

  @Test
  void whatIsFarFromLettersIsNotBehindThem() {
    assertThat(weak(0, 3, (x, y) -> inked(x, y) ? WHITE : y > 5 && y < 95 ? BLACK : WHITE).share())
        .isZero();
  }

  @Test
  void anOutlineCountsWhereItIsTheBetter() {
    IntBinaryOperator lined =
        (x, y) -> {
          boolean near = inked(x - 4, y) || inked(x + 4, y) || inked(x, y - 4) || inked(x, y + 4);
          return inked(x, y) || !near ? WHITE : BLACK;
        };
    assertThat(weak(4, 3, lined).share()).isZero();
    assertThat(weak(0, 3, (x, y) -> WHITE).share()).isEqualTo(1);
  }

  @Test
  void whereNothingIsPaintedNothingIsTold() {
    assertThat(weak(0, 3, (x, y) -> inked(x, y) ? WHITE : 0).share()).isZero();
  }

  /** The end of the first second with too many flashes of a frame of 24 by 12 parts, at 25 fps. */
  private static double flashing(int columns, int rows, DoubleUnaryOperator light) {
    Flashes flashes = new Flashes(24, 12);
    for (int i = 0; i < 100; i++) {
      double[] parts = new double[24 * 12];
      Arrays.fill(parts, 0.1);
      for (int y = 0; y < rows; y++) {
        Arrays.fill(parts, 24 * y, 24 * y + columns, light.applyAsDouble(i / 25.0));
      }
      flashes.add(i / 25.0, parts);
    }
    return flashes.first();
  }

  /** Light that goes down and up so many times a second, from the first second on. */
  private static DoubleUnaryOperator square(double low, double high, double perSecond) {
    return t -> t >= 1 && (t - 1) * perSecond % 1 < 0.5 ? low : high;
  }

  @ParameterizedTest
  @CsvSource({
    "3.00, 0.2, 0.6, false",
    "4.20, 0.2, 0.6, true",
    // Less than a tenth is no flash, nor is one between two bright ones.
    "4.20, 0.2, 0.29, false",
    "4.20, 0.85, 1, false",
    "4.20, 0.75, 1, true"
  })
  void moreThanThreeFlashesInASecond(double perSecond, double low, double high, boolean found) {
    double first = flashing(24, 12, square(low, high, perSecond));
    assertThat(first >= 0).isEqualTo(found);
    if (found) {
      assertThat(first).isBetween(1.5, 2.1);
    }
  }

  @Test
  void aSmallAreaMayFlash() {
    // A sixth of the frame's width and height is 4 by 2 parts.
    assertThat(flashing(4, 2, square(0.1, 0.9, 5))).isPositive();
    assertThat(flashing(1, 1, square(0.1, 0.8, 5))).isNegative();
  }

  @Test
  void whatGoesSlowlyUpAndDownAsOftenIsAFlashToo() {
    assertThat(flashing(24, 12, t -> 0.5 + 0.4 * Math.sin(t * 2 * Math.PI * 4.2))).isPositive();
    assertThat(flashing(24, 12, t -> 0.5 + 0.4 * Math.sin(t * 2 * Math.PI * 2.7))).isNegative();
  }

  /** Paints every frame of any scene in one grey, letters or not. */
  private record Plain(int side, DoubleUnaryOperator light) implements PaintedFrames {
    @Override
    public int width() {
      return side;
    }

    @Override
    public int height() {
      return side;
    }

    @Override
    public int[] at(double time) {
      int v = (int) Math.round(255 * light.applyAsDouble(time));
      int[] out = new int[side * side];
      Arrays.fill(out, BLACK | v << 16 | v << 8 | v);
      return out;
    }

    @Override
    public void close() {}
  }

  private static PaintedProof.Part part(DoubleUnaryOperator light, int from, int steps) {
    PreparedScene scene =
        TestScenes.prepare(TestScenes.document(TestScenes.LINE, "ab", "", "\"hidden\":true"));
    List<Double> asked = new ArrayList<>();
    return PaintedProof.of(
        scene,
        (Scene s, double scale) -> new Plain((int) Math.round(1000 * scale), light),
        from,
        () -> {
          asked.add(0.0);
          return asked.size() < steps;
        });
  }

  private static List<Finding> found(DoubleUnaryOperator light) {
    return part(light, 0, 1000).findings();
  }

  @Test
  void flashesAreToldWithTheirTime() {
    assertThat(found(t -> 0.5)).isEmpty();
    assertThat(found(square(0.2, 1, 5)))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.message()).startsWith("It flashes more than three times in a second");
              assertThat(f.time()).isBetween(0.5, 1.1);
              assertThat(f.item()).isEmpty();
            });
  }

  /** One step is the lettering's, the others are the frames': 100 of 4 s. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 7, 40, 1000})
  void aPartAtATimeFindsTheSame(int steps) {
    List<Finding> found = new ArrayList<>();
    int parts = 0;
    for (int from = 0; from >= 0; parts++) {
      PaintedProof.Part p = part(square(0.2, 1, 5), from, steps);
      assertThat(p.next()).isNotEqualTo(from);
      found.addAll(p.findings());
      from = p.next();
    }
    assertThat(found).isEqualTo(found(square(0.2, 1, 5))).hasSize(1);
    assertThat(parts == 1).isEqualTo(steps == 1000);
    assertThat(part(t -> 0.5, 101, 1000).next()).isEqualTo(-1);
    assertThat(part(t -> 0.5, 999_999, 1).next()).isEqualTo(-1);
  }
}
