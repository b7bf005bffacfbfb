package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.motion.LandingSolver.Reading;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;

/** The search alone, in made-up frames told as intervals of offsets that are inside. */
class LandingSolverTest {
  private static LandingSolver solver(double... inside) {
    return new LandingSolver(
        1000,
        5,
        5000,
        (time, landing) ->
            offset -> {
              boolean in = false;
              for (int i = 0; i < inside.length; i += 2) {
                in |= offset >= inside[i] && offset <= inside[i + 1];
              }
              return new Reading(in, 0);
            },
        (time, kind, near) -> near + 1);
  }

  private static Keyframe key(double time, double value, Landing.Kind kind) {
    Landing landing = kind == null ? null : Landing.of(kind);
    return new Keyframe(time, value, landing, Easing.LINEAR);
  }

  private static List<Double> solve(LandingSolver solver, Keyframe... keys) {
    return solver.solve(AnimatedValue.through(List.of(keys))).movable().keyframes().stream()
        .map(Keyframe::value)
        .toList();
  }

  @Test
  void theEdgesNearestTheNeighbourAreFound() {
    List<Double> v =
        solve(
            solver(-300, 400),
            key(0, 0, Landing.Kind.OUT_BEFORE),
            key(1, 50, null),
            key(2, 0, Landing.Kind.OUT_AFTER));
    assertThat(v.get(0)).isLessThan(-300).isCloseTo(-300, within(0.01));
    assertThat(v.get(1)).isEqualTo(50);
    assertThat(v.get(2)).isGreaterThan(400).isCloseTo(400, within(0.01));
  }

  @Test
  void onAPathThatLeavesAndComesBackTheSideOfTheNeighbourCounts() {
    LandingSolver twice = solver(-900, -500, 100, 300);
    List<Double> v =
        solve(
            twice,
            key(0, 0, Landing.Kind.OUT_BEFORE),
            key(1, 200, null),
            key(2, -700, null),
            key(3, 0, Landing.Kind.OUT_AFTER));
    assertThat(v.get(0)).as("before its next keyframe").isCloseTo(100, within(0.01));
    assertThat(v.get(3)).as("after its last keyframe").isCloseTo(-500, within(0.01));
  }

  @Test
  void aNeighbourOutsideTakesTheNearestStretchInside() {
    List<Double> v = solve(solver(500, 600), key(0, 0, Landing.Kind.OUT_BEFORE), key(1, 0, null));
    assertThat(v.get(0)).isCloseTo(500, within(0.01));
  }

  @Test
  void withoutAnythingInsideOrOutsideThereIsNoSolution() {
    LandingSolver.Solved never =
        solver().solve(AnimatedValue.through(List.of(key(0, 77, Landing.Kind.OUT_BEFORE))));
    LandingSolver.Solved always =
        solver(-1e9, 1e9).solve(AnimatedValue.through(List.of(key(0, 77, Landing.Kind.OUT_AFTER))));
    for (LandingSolver.Solved s : List.of(never, always)) {
      assertThat(s.unsolved()).containsExactly(0);
      assertThat(s.movable().keyframes().get(0).value()).isEqualTo(77);
    }
  }

  @Test
  void restAndLapsNeedNoFrame() {
    List<Double> v =
        solve(
            solver(),
            key(0, 9, Landing.Kind.AT_REST),
            key(1, 9, Landing.Kind.WHOLE_LAPS),
            key(2, 9, null));
    assertThat(v).containsExactly(0.0, 1000.0, 9.0);
  }

  @Test
  void aProbeThatPromisesMoreIsAskedLess() {
    int[] asked = {0};
    LandingSolver solver =
        new LandingSolver(
            1000,
            5,
            50_000,
            (time, landing) ->
                offset -> {
                  asked[0]++;
                  double depth = 20_000 - Math.abs(offset);
                  return new Reading(depth >= 0, Math.max(0, Math.abs(depth) - 1));
                },
            (time, kind, near) -> near);
    List<Double> v = solve(solver, key(0, 0, Landing.Kind.OUT_BEFORE), key(1, 0, null));
    assertThat(v.get(0)).isCloseTo(-20_000, within(0.01));
    assertThat(asked[0]).isLessThan(40);
  }
}
