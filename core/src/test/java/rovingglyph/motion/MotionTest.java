package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;

class MotionTest {
  /** Solved independently to 12 digits by bisection of the Bezier polynomials. */
  @ParameterizedTest
  @CsvSource({
    "0.25,0.1,0.25,1, 0.5, 0.802403387588",
    "0.42,0,1,1, 0.5, 0.315356817850",
    "0,0,0.58,1, 0.5, 0.684643182150",
    "0.42,0,0.58,1, 0.5, 0.5",
    "0.42,0,0.58,1, 0.25, 0.129161930573",
  })
  void cubicBezierOfTheCssSpecification(
      double x1, double y1, double x2, double y2, double x, double y) {
    assertThat(CubicBezier.ease(Easing.own(x1, y1, x2, y2), x)).isCloseTo(y, within(1e-6));
  }

  @Test
  void aCurveIsItsOwnInverseWhenMirrored() {
    for (double x = 0; x <= 1; x += 0.01) {
      double there = CubicBezier.ease(Easing.own(0.3, 0.8, 0.1, 0.9), x);
      double back = CubicBezier.ease(Easing.own(0.8, 0.3, 0.9, 0.1), there);
      assertThat(back).isCloseTo(x, within(1e-7));
    }
  }

  @Test
  void steepCurvesAndEndsAreFinite() {
    for (Easing e :
        List.of(Easing.own(0, 5, 1, -5), Easing.own(1, 0, 0, 1), Easing.own(0, 0, 0, 0))) {
      assertThat(CubicBezier.ease(e, -1)).isZero();
      assertThat(CubicBezier.ease(e, 2)).isEqualTo(1);
      for (double x = 0; x <= 1; x += 0.001) {
        assertThat(CubicBezier.ease(e, x)).isFinite();
      }
    }
  }

  @Test
  void theFirstPartOfACurveIsACurveItself() {
    Easing whole = Easing.own(0.2, 1.4, 0.6, 0.3);
    double cut = 0.37;
    Easing part = CubicBezier.upTo(whole, cut);
    double end = CubicBezier.ease(whole, cut);
    for (double x = 0.05; x < 1; x += 0.05) {
      assertThat(CubicBezier.ease(part, x) * end)
          .isCloseTo(CubicBezier.ease(whole, x * cut), within(1e-9));
    }
  }

  private static AnimatedValue through(Easing easing) {
    return AnimatedValue.through(
        List.of(new Keyframe(1, 10, null, easing), new Keyframe(3, 50, null, Easing.LINEAR)));
  }

  @Test
  void valuesHoldOutsideTheKeyframes() {
    AnimatedValue m = through(Easing.LINEAR);
    assertThat(Timeline.value(m, -5)).isEqualTo(10);
    assertThat(Timeline.value(m, 1)).isEqualTo(10);
    assertThat(Timeline.value(m, 2)).isEqualTo(30);
    assertThat(Timeline.value(m, 9)).isEqualTo(50);
    assertThat(Timeline.value(new AnimatedValue(7), 2)).isEqualTo(7);
  }

  @Test
  void holdKeepsTheValueUntilTheNextKeyframe() {
    assertThat(Timeline.value(through(Easing.HOLD), 2.999999)).isEqualTo(10);
    assertThat(Timeline.value(through(Easing.HOLD), 3)).isEqualTo(50);
  }
}
