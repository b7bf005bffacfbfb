package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;

class LoopingSwayTest {
  private static PreparedScene scene(String shape, double period, boolean loops) {
    String sway =
        "\"rotation\":{\"still\":0,\"sway\":{\"amplitude\":20,\"period\":%s,\"shape\":\"%s\"%s}}"
            .formatted(period, shape, loops ? ",\"loops\":true" : "");
    return prepare(document(CIRCLE, "round and round", "", sway));
  }

  private static AnimatedValue rotation(PreparedScene s) {
    return s.letterings().get("l").lettering().movable(Channel.ROTATION);
  }

  @ParameterizedTest
  @CsvSource({"noise,0.7", "noise,3.1", "noise,9", "sine,1.3", "triangle,1.3", "sine,0.05"})
  void oneThatLoopsIsTheSameAFrameAfterTheLastAsAtFirst(String shape, double period) {
    AnimatedValue m = rotation(scene(shape, period, true));
    for (double t = 0; t < 1; t += 0.013) {
      assertThat(Timeline.value(m, t + 4)).isCloseTo(Timeline.value(m, t), within(1e-9));
    }
  }

  @Test
  void itsPeriodIsTheOneNearestToWhatIsAsked() {
    assertThat(rotation(scene("sine", 1.3, true)).sway().actualPeriod())
        .isCloseTo(4 / 3.0, within(1e-12));
    assertThat(rotation(scene("sine", 1.3, false)).sway().actualPeriod()).isEqualTo(1.3);
  }

  @ParameterizedTest
  @CsvSource({"noise,0.7", "sine,1.3", "sine,8", "triangle,3"})
  void oneThatDoesNotComeRoundIsToldWithItsMend(String shape, double period) {
    List<Finding> found = Proof.of(scene(shape, period, false));
    assertThat(found).anyMatch(f -> f.message().contains("does not come round"));
    assertThat(Proof.of(scene(shape, period, true)))
        .noneMatch(f -> f.message().contains("round in"));
    assertThat(Proof.of(scene("sine", 2, false))).noneMatch(f -> f.message().contains("round in"));
  }
}
