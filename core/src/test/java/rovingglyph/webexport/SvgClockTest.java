package rovingglyph.webexport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Scene;

/** The time of scenes in each other, as animations run by it. */
class SvgClockTest {
  private static Scene scene(double length, String items) {
    return SceneCodec.read(
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"length\":%s,\"items\":[%s]}"
            .formatted(length, items));
  }

  private static Inset inset(double begins, double speed, String atEnd) {
    String item =
        "{\"kind\":\"inset\",\"id\":\"i\",\"scene\":\"s\",\"begins\":%s,\"speed\":%s,\"atEnd\":\"%s\"}"
            .formatted(begins, speed, atEnd);
    return scene(1, item).insets().get(0);
  }

  /** Whatever is in whatever: three deep, each with a time of its own. */
  @Test
  void isTheTimeThatTheInsetsSay() {
    Random random = new Random(11);
    double[] lengths = {1, 1.5, 2, 3, 0.8, 7.3};
    double[] speeds = {1, 2, 0.5, 1.37, 0.21, 3};
    for (int n = 0; n < 500; n++) {
      Scene outer = scene(6, "");
      SvgClock clock = SvgClock.of(outer);
      List<Inset> insets = new ArrayList<>();
      List<Scene> scenes = new ArrayList<>();
      for (int deep = 0; deep < 3; deep++) {
        String end = random.nextInt(3) == 0 ? "hold" : "loop";
        insets.add(inset(random.nextInt(60) / 10.0 - 3, speeds[random.nextInt(6)], end));
        scenes.add(scene(lengths[random.nextInt(6)], ""));
        clock = clock.within(insets.get(deep), scenes.get(deep));
      }
      assertThat(6 / clock.length())
          .as("comes round with the whole")
          .satisfies(SvgClockTest::whole);
      for (int i = 0; i < 50; i++) {
        double t = random.nextDouble() * 6;
        double local = t;
        for (int deep = 0; deep < 3; deep++) {
          local = insets.get(deep).within(local, scenes.get(deep));
        }
        double end = scenes.get(2).length();
        double off =
            Math.abs(clock.local(t - Math.floor(t / clock.length()) * clock.length()) - local);
        assertThat(Math.min(off, Math.abs(end - off))).as(insets + " at " + t).isLessThan(1e-4);
      }
    }
  }

  private static void whole(double n) {
    assertThat(n).isCloseTo(Math.rint(n), within(1e-6));
  }

  @Test
  void whatFitsIsWrittenOnceAndWhatDoesNotIsWrittenOut() {
    SvgClock outer = SvgClock.of(scene(6, ""));
    SvgClock fits = outer.within(inset(0.5, 2, "loop"), scene(3, ""));
    assertThat(fits.length()).isCloseTo(1.5, within(1e-9));
    assertThat(fits.jumps()).hasSize(1);
    SvgClock not = outer.within(inset(0, 1, "loop"), scene(2.5, ""));
    assertThat(not.length()).isEqualTo(6);
    assertThat(not.jumps()).hasSize(2);
    assertThat(not.jumps().get(0)).isCloseTo(2.5, within(1e-6));
  }
}
