package rovingglyph.paths;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Knot;

class KnotContoursTest {
  private static List<Knot> wave(int count) {
    List<Knot> out = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Point handle = new Point(4, 3 * Math.cos(i));
      Point at = new Point(12 * i, 40 * Math.sin(i));
      out.add(new Knot(at, handle.times(-1), handle, Knot.Kind.SMOOTH));
    }
    return out;
  }

  @Test
  void theSamePointsAreMeasuredOnce() {
    List<Knot> knots = wave(50);
    assertThat(GuideContour.ofKnots(knots, false)).isSameAs(GuideContour.ofKnots(knots, false));
    assertThat(GuideContour.ofKnots(knots, true).closed()).isTrue();
    assertThat(GuideContour.ofKnots(knots, false).closed()).isFalse();
  }

  @Test
  void aMovedPointGivesTheLineOfTheMovedPoints() {
    for (boolean closed : new boolean[] {false, true}) {
      List<Knot> knots = wave(50);
      GuideContour.ofKnots(knots, closed);
      for (int i : new int[] {0, 25, 49}) {
        List<Knot> moved = new ArrayList<>(knots);
        moved.set(i, Knot.corner(new Point(7 * i, -200)));
        Contour fresh = new Contour(GuideContour.segments(moved, closed), closed);
        Contour quick = GuideContour.ofKnots(moved, closed);
        assertThat(quick.length()).isEqualTo(fresh.length());
        assertThat(quick.at(300)).isEqualTo(fresh.at(300));
      }
    }
  }
}
