package rovingglyph.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.seat.SeatValues;

class HandlesTest {
  private static PreparedLettering lettering(String path, String seat) {
    return prepare(document(path, "abcd", seat, "")).letterings().get("l");
  }

  private static Point puck(String path, String seat) {
    PreparedLettering l = lettering(path, seat);
    return new Handles(l, l.values(0)).puck().point();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "align":"start"                                     | 100
          "align":"middle"                                    | 500
          "align":"end"                                       | 900
          "align":"middle","startMargin":100                  | 550
          "align":"end","endMargin":40                        | 860
          "align":"start","pathOffset":33                     | 133
          "align":"start","pathOffset":-50                    | 50
          "align":"end","pathOffset":70                       | 970
          "align":"start","pathOffset":-50,"ends":"wrap"      | 850
          "align":"start","side":"right"                      | 900
          "align":"start","side":"right","pathOffset":25      | 875
          """)
  void thePuckStandsWhereTheTextsAnchorIs(String seat, double x) {
    Point p = puck(LINE, seat);
    assertThat(p.x()).isCloseTo(x, within(1e-6));
    assertThat(p.y()).isCloseTo(500, within(1e-6));
  }

  @Test
  void whereThePuckIsDraggedThereItStands() {
    for (String path : List.of(LINE, CIRCLE)) {
      for (String seat :
          List.of("", "\"align\":\"middle\"", "\"side\":\"right\",\"endMargin\":20")) {
        PreparedLettering l = lettering(path, seat);
        SeatValues v = l.values(0);
        Handles h = new Handles(l, v);
        for (double d = 20; d < 780; d += 61) {
          Point target = l.seating(l.values(0)).contour().at(d).point();
          double offset = h.drag(target, false).pathOffset();
          Point there = new Handles(l, v.with(Channel.PATH_OFFSET, offset)).puck().point();
          assertThat(there.distance(target)).isLessThan(1e-4);
        }
      }
    }
  }

  @Test
  void theStopsStandAtTheMarginsAlsoOnTheOtherSide() {
    PreparedLettering l = lettering(LINE, "\"startMargin\":30,\"endMargin\":50,\"side\":\"right\"");
    Handles h = new Handles(l, l.values(0));
    assertThat(h.startStop().point().x()).isCloseTo(870, within(1e-6));
    assertThat(h.endStop().point().x()).isCloseTo(150, within(1e-6));
    assertThat(Math.abs(h.startStop().angle())).isCloseTo(Math.PI, within(1e-9));
  }

  @Test
  void draggedStopsGiveTheirMargins() {
    for (String path : List.of(LINE, CIRCLE)) {
      PreparedLettering l = lettering(path, "");
      Handles h = new Handles(l, l.values(0));
      double length = l.seating(l.values(0)).contour().length();
      for (double d = 10; d < length; d += length / 7) {
        Point p = l.seating(l.values(0)).contour().at(d).point();
        assertThat(h.startMargin(p)).isCloseTo(d, within(1e-4));
        assertThat(h.endMargin(p)).isCloseTo(length - d, within(1e-4));
      }
    }
  }

  @Test
  void theShiftFollowsAcrossOnBothSidesOfACircle() {
    PreparedLettering outside = lettering(CIRCLE, "");
    assertThat(
            new Handles(outside, outside.values(0)).drag(new Point(500, 260), true).baselineShift())
        .isCloseTo(40, within(1e-6));
    PreparedLettering inside = lettering(CIRCLE, "\"side\":\"right\"");
    assertThat(
            new Handles(inside, inside.values(0)).drag(new Point(500, 340), true).baselineShift())
        .isCloseTo(40, within(1e-6));
  }

  @Test
  void otherValuesAreChartedAsTheyAre() {
    String growing =
        "\"size\":{\"keyframes\":[{\"time\":0,\"value\":50},{\"time\":2,\"value\":150}]}";
    PreparedScene s =
        prepare(document(LINE, "ab", "", "X").replace("\"size\":100,", "").replace("X", growing));
    double[] n = JourneyChart.samples(s, s.scene().item("l"), Channel.SIZE, 4);
    assertThat(n[1]).isEqualTo(50);
    assertThat(n[n.length - 3]).isEqualTo(150);
    for (int i = 0; i < n.length; i += JourneyChart.STRIDE) {
      assertThat(n[i + 2]).isEqualTo(n[i + 1]);
      assertThat(n[i + 3]).isEqualTo(n[i + 1]);
    }
    assertThat(JourneyChart.speed(s, s.scene().item("l"), Channel.SIZE, 1))
        .isCloseTo(50, within(1e-6));
  }

  @Test
  void samplesAreInOrderAndShowAHoldAsAStep() {
    String hold =
        offsets("{\"time\":1,\"value\":0,\"easing\":\"hold\"}", "{\"time\":3,\"value\":200}");
    PreparedScene s = prepare(document(LINE, "ab", hold, ""));
    double[] n = JourneyChart.samples(s, s.scene().item("l"), Channel.PATH_OFFSET, 10);
    double steepest = 0;
    for (int i = JourneyChart.STRIDE; i < n.length; i += JourneyChart.STRIDE) {
      double time = n[i] - n[i - JourneyChart.STRIDE];
      assertThat(time).isPositive();
      steepest = Math.max(steepest, (n[i + 1] - n[i - JourneyChart.STRIDE + 1]) / time);
    }
    assertThat(steepest).isGreaterThan(1e6);
  }

  @Test
  void posesPreferLandingsAndLeaveOutWhatIsLate() {
    String mixed =
        offsets(
            "{\"time\":0,\"value\":0,\"landing\":\"at-rest\"}",
            "{\"time\":2,\"value\":9}",
            "{\"time\":30,\"value\":0}");
    List<Poses.Pose> poses = Poses.of(prepare(document(LINE, "ab", mixed, "")).scene());
    assertThat(poses)
        .extracting(Poses.Pose::label)
        .containsExactly("At rest", "Path offset", "Last");
  }

  @Test
  void groupsGivePosesBesideLetterings() {
    String group =
        "\"groups\":[{\"id\":\"g\",\"members\":[\"l\"],\"scale\":{\"keyframes\":[{\"time\":1,\"value\":2}]}}],";
    String moving = offsets("{\"time\":2,\"value\":9}");
    String json = document(LINE, "a", moving, "").replace("\"paths\"", group + "\"paths\"");
    assertThat(Poses.of(prepare(json).scene()))
        .extracting(Poses.Pose::label)
        .containsExactly("First", "Scale", "Path offset", "Last");
  }

  @Test
  void withoutMovingLetteringsThePicturesGiveThePoses() {
    String picture =
        "\"pictures\":[{\"id\":\"k\",\"parts\":[],\"rotation\":{\"keyframes\":[{\"time\":1,\"value\":0}]}}],";
    String json = document(LINE, "a", "", "").replace("\"paths\"", picture + "\"paths\"");
    assertThat(Poses.of(prepare(json).scene()))
        .extracting(Poses.Pose::label)
        .containsExactly("First", "Rotation", "Last");
  }
}
