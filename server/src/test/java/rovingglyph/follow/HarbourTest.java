package rovingglyph.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.GroupTransform;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.render.FootageSource;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Scene;

/**
 * The footage of the demo, 1920 x 1080, with all that encoding does to it: its scene tells where
 * everything in it is. The camera pans, comes nearer and sways; a gull flies across the sign.
 */
class HarbourTest {
  private static final int FRAMES = 200;
  private static final double RATE = 25;
  private static final Path FILE = Path.of("../demo/footage/harbour-at-dawn.mp4");

  /** Two bolts of the sign, and two bands of the mast; on and back. */
  @ParameterizedTest
  @CsvSource({
    "house, 1178, 368, 1662, 368, 0",
    "house, 1178, 502, 1662, 368, 199",
    "boat, 522, 656, 522, 177, 90"
  })
  void everySpotIsFoundWithinThreePixels(
      String item, double x1, double y1, double x2, double y2, int from) throws Exception {
    Scene scene =
        SceneCodec.read(Files.readString(Path.of("../demo/footage/harbour-at-dawn.json")));
    GroupTransform where = GroupTransform.of(scene, item);
    List<Point> spots = List.of(new Point(x1, y1), new Point(x2, y2));
    double[] times = IntStream.range(0, FRAMES).mapToDouble(i -> i / RATE).toArray();
    FootageSource source = new FootageSource(FILE, times, 1920, 1080, true, 1, "bt709");
    List<Point> marks = spots.stream().map(where.map(from / RATE)::apply).toList();
    List<FootagePin.Frame> found = new ArrayList<>();
    for (double until : new double[] {0, FRAMES / RATE}) {
      Following.End end =
          new Following(source, from / RATE, marks, List.of())
              .run(
                  until,
                  frames -> {
                    found.addAll(frames);
                    return true;
                  });
      assertThat(end).isEqualTo(Following.End.DONE);
    }
    assertThat(found).hasSize(FRAMES - 1);
    double sum = 0;
    double worst = 0;
    for (FootagePin.Frame f : found) {
      Projection map = where.map(f.time());
      for (int i = 0; i < 2; i++) {
        double off = f.points().get(i).distance(map.apply(spots.get(i)));
        sum += off / 2 / found.size();
        worst = Math.max(worst, off);
      }
    }
    assertThat(sum).as("mean, px").isLessThan(1);
    assertThat(worst).as("worst, px").isLessThan(3);
  }
}
