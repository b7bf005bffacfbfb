package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;

/** From 100 to 500 in two seconds: 200 a second in the mean. */
class SegmentSpeedTest {
  private static Keyframe from(Easing easing) {
    return new Keyframe(1, 100, null, easing);
  }

  private static final Keyframe TO = new Keyframe(3, 500, null, Easing.LINEAR);

  private static SegmentSpeed speed(Easing easing) {
    return new SegmentSpeed(from(easing), TO);
  }

  /** The speed of the movement itself, over a ten-thousandth of a second. */
  private static double measured(Easing easing, double time) {
    AnimatedValue m = AnimatedValue.through(List.of(from(easing), TO));
    return (Timeline.value(m, time + 5e-5) - Timeline.value(m, time - 5e-5)) / 1e-4;
  }

  @ParameterizedTest
  @EnumSource(names = {"LINEAR", "EASE_IN", "EASE_OUT", "EASE_IN_OUT", "OVERSHOOT"})
  void speedsAreThoseOfTheMovement(Easing.Kind kind) {
    Easing e = Easing.of(kind);
    assertThat(speed(e).leaving()).isCloseTo(measured(e, 1.0001), within(2.0));
    assertThat(speed(e).arriving()).isCloseTo(measured(e, 2.9999), within(2.0));
  }

  @ParameterizedTest
  @EnumSource(names = {"LINEAR", "EASE_IN", "EASE_OUT", "EASE_IN_OUT", "OVERSHOOT"})
  void aSpeedThatIsSetIsMovedAtAndTheOtherEndKeepsIts(Easing.Kind kind) {
    SegmentSpeed before = speed(Easing.of(kind));
    for (double wanted : new double[] {-150, 0, 90, 200, 700}) {
      Easing fast = before.leavingAt(wanted);
      assertThat(measured(fast, 1.0001)).isCloseTo(wanted, within(2.0));
      assertThat(speed(fast).arriving()).isCloseTo(before.arriving(), within(1e-6));
      Easing slow = before.arrivingAt(wanted);
      assertThat(measured(slow, 2.9999)).isCloseTo(wanted, within(2.0));
      assertThat(speed(slow).leaving()).isCloseTo(before.leaving(), within(1e-6));
    }
  }

  @Test
  void extremeSpeedsComeToTheLimitOfAnEasing() {
    assertThat(speed(Easing.EASE_IN_OUT).leavingAt(1e300).y1()).isEqualTo(10);
    assertThat(speed(Easing.EASE_IN_OUT).arrivingAt(1e300).y2()).isEqualTo(-10);
  }

  @Test
  void holdsSpringsAndLevelPiecesHaveNoneToSet() {
    assertThat(speed(Easing.EASE_IN_OUT).settable()).isTrue();
    assertThat(speed(Easing.HOLD).settable()).isFalse();
    assertThat(speed(Easing.of(Easing.Kind.SPRING)).settable()).isFalse();
    assertThat(new SegmentSpeed(from(Easing.LINEAR), from(Easing.LINEAR)).settable()).isFalse();
  }
}
