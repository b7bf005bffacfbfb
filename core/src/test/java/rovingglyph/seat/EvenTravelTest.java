package rovingglyph.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;

/** Even spacing corrects distances between letters, and leaves the run's motion steady. */
class EvenTravelTest {
  private static final String PENNANT =
      """
      {"id":"p","kind":"rectangle","x":500,"y":500,"width":800,"height":700,"topLeft":120,"topRight":120,"bottomRight":120,"bottomLeft":120}""";
  private static final String LAP =
      "\"evenSpacing\":true,\"fit\":\"repeat\",\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":1}}";

  private static List<Placement> places(PreparedLettering l, double time) {
    return l.placements(l.seating(l.values(time)));
  }

  @Test
  void lettersOnStraightPartsStepAlikeWhereverTheRestOfTheRunBends() {
    PreparedScene scene = prepare(document(PENNANT, "kites ", LAP, "\"size\":40"));
    PreparedLettering l = scene.letterings().get("l");
    List<Double> steps = new ArrayList<>();
    for (int f = 0; f < 100; f++) {
      List<Placement> now = places(l, f / 25.0);
      List<Placement> next = places(l, (f + 1) / 25.0);
      for (int i = 0; i < now.size(); i++) {
        Point a = now.get(i).at();
        Point b = next.get(i).at();
        // On the straight top or bottom, before and after.
        boolean level = Math.abs(a.y() - b.y()) < 1e-9 && inside(a) && inside(b);
        if (level) {
          steps.add(a.distance(b));
        }
      }
    }
    assertThat(steps).hasSizeGreaterThan(500);
    double first = steps.get(0);
    assertThat(steps).allMatch(s -> Math.abs(s - first) < 0.01);
  }

  private static boolean inside(Point p) {
    return p.x() > 225 && p.x() < 775;
  }

  @Test
  void theLapCloses() {
    PreparedScene scene = prepare(document(PENNANT, "kites ", LAP, "\"size\":40"));
    PreparedLettering l = scene.letterings().get("l");
    List<Placement> first = places(l, 0);
    List<Placement> last = places(l, 4);
    for (int i = 0; i < first.size(); i++) {
      assertThat(last.get(i).at().distance(first.get(i).at())).isLessThan(1e-6);
    }
  }

  @Test
  void neighboursOnAnArcAreApartByTheirAdvanceAtHalfTheXHeight() {
    String ring =
        """
        {"id":"p","kind":"circle","centre":[500,500],"radius":200,"startAngle":-90}""";
    PreparedScene scene = prepare(document(ring, "abcdef", "\"evenSpacing\":true", "\"size\":60"));
    PreparedLettering l = scene.letterings().get("l");
    List<Placement> p = places(l, 0);
    double height = 60 * 0.5 / 2;
    double turn = p.get(1).angle() - p.get(0).angle();
    assertThat(turn * (200 + height)).isCloseTo(p.get(1).advance(), within(1e-6));
  }

  @Test
  void aSpaceMayVanishButNothingGoesBackBeforeIt() {
    PreparedScene scene =
        prepare(document(rovingglyph.TestScenes.LINE, "ab cd", "", "\"wordSpacing\":-1.5"));
    PreparedLettering l = scene.letterings().get("l");
    List<Placement> p = places(l, 0);
    assertThat(p.get(2).advance()).isZero();
    assertThat(p.get(3).at().x() - p.get(1).at().x()).isCloseTo(p.get(1).advance(), within(1e-9));
  }

  @Test
  void cornersCanBeTakenAsTheStandardTakesThem() {
    String blend = document(rovingglyph.TestScenes.CORNER, "abcdefghijkl", "\"pathOffset\":10", "");
    String exact = blend.replace("\"seat\":{", "\"seat\":{\"corners\":\"exact\",");
    List<Placement> swung = places(prepare(blend).letterings().get("l"), 0);
    List<Placement> sharp = places(prepare(exact).letterings().get("l"), 0);
    assertThat(sharp)
        .allMatch(p -> Math.abs(p.angle()) < 1e-9 || Math.abs(p.angle() - Math.PI / 2) < 1e-9);
    assertThat(swung).anyMatch(p -> p.angle() > 0.05 && p.angle() < Math.PI / 2 - 0.05);
  }
}
