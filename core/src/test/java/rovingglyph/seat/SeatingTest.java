package rovingglyph.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.CORNER;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.lettering;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import rovingglyph.TestScenes;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;

/** The rules of seating, on an 800 px line from (100, 500), with letters of 50 px advance. */
class SeatingTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private static List<Placement> place(String path, String text, String seat) {
    PreparedLettering l = lettering(path, text, seat);
    return l.placements(l.values(0));
  }

  private static double firstX(String seat) {
    return place(LINE, "abcd", seat).get(0).at().x();
  }

  @Test
  void alignPutsStartMiddleOrEndOfTheTextAtTheRestingPoint() {
    assertThat(firstX("\"align\":\"start\"")).isEqualTo(125, EXACT);
    assertThat(firstX("\"align\":\"middle\"")).isEqualTo(100 + 400 - 100 + 25, EXACT);
    assertThat(firstX("\"align\":\"end\"")).isEqualTo(900 - 200 + 25, EXACT);
  }

  @Test
  void theRestingPointIsThatOfTheRoomBetweenTheMargins() {
    String margins = ",\"startMargin\":60,\"endMargin\":20";
    assertThat(firstX("\"align\":\"start\"" + margins)).isEqualTo(185, EXACT);
    assertThat(firstX("\"align\":\"middle\"" + margins)).isEqualTo(100 + 420 - 75, EXACT);
    assertThat(firstX("\"align\":\"end\"" + margins)).isEqualTo(880 - 175, EXACT);
  }

  @Test
  void thePathOffsetMovesAlongAndTheShiftAway() {
    Placement p = place(LINE, "a", "\"pathOffset\":40,\"baselineShift\":15").get(0);
    assertThat(p.at().x()).isEqualTo(165, EXACT);
    assertThat(p.at().y()).isEqualTo(485, EXACT);
    assertThat(p.distance()).isEqualTo(65, EXACT);
  }

  @Test
  void trackingWidensEveryAdvance() {
    PreparedLettering l =
        TestScenes.prepare(TestScenes.document(LINE, "ab", "", "\"tracking\":0.1"))
            .letterings()
            .get("l");
    List<Placement> places = l.placements(l.values(0));
    assertThat(places.get(0).distance()).isEqualTo(30, EXACT);
    assertThat(places.get(1).distance()).isEqualTo(90, EXACT);
  }

  @Test
  void theRightSideReadsTheContourBackwards() {
    Placement p = place(LINE, "a", "\"side\":\"right\"").get(0);
    assertThat(p.at().x()).isEqualTo(875, EXACT);
    assertThat(Math.abs(p.angle())).isEqualTo(Math.PI, EXACT);
  }

  @Test
  void straightOnContinuesAlongTheEndTangent() {
    List<Placement> places =
        place(LINE, "abcd", "\"pathOffset\":-100,\"ends\":\"continue\",\"baselineShift\":5");
    assertThat(places.get(0).at().x()).isEqualTo(25, EXACT);
    assertThat(places.get(0).at().y()).isEqualTo(495, EXACT);
    assertThat(places).allMatch(Placement::visible);
  }

  @Test
  void cutOffDropsTheGlyphWhoseMiddleIsPastTheEnd() {
    assertThat(place(LINE, "abcd", "\"pathOffset\":-75.1,\"ends\":\"cut\""))
        .extracting(Placement::visible)
        .containsExactly(false, false, true, true);
    assertThat(place(LINE, "abcd", "\"pathOffset\":-24.9,\"ends\":\"cut\""))
        .allMatch(Placement::visible);
  }

  @Test
  void comeRoundTakesTheDistanceModuloTheLength() {
    Placement p = place(LINE, "a", "\"pathOffset\":-100,\"ends\":\"wrap\"").get(0);
    assertThat(p.distance()).isEqualTo(725, EXACT);
    assertThat(p.at().x()).isEqualTo(825, EXACT);
  }

  @Test
  void closedContoursComeRoundUnlessToldOtherwise() {
    double lap = 2 * Math.PI * 200;
    Placement once = place(CIRCLE, "a", "\"pathOffset\":10").get(0);
    Placement later = place(CIRCLE, "a", "\"pathOffset\":" + (10 + 3 * lap)).get(0);
    assertThat(later.at().distance(once.at())).isLessThan(1e-8);
    assertThat(place(CIRCLE, "a", "\"pathOffset\":-50,\"ends\":\"cut\"").get(0).visible())
        .isFalse();
  }

  @Test
  void lettersOnACircleTurnWithItOrStayUpright() {
    double d = Math.PI * 100;
    Placement turned = place(CIRCLE, "a", "\"pathOffset\":" + (d - 25)).get(0);
    assertThat(turned.at().distance(new Point(700, 500))).isLessThan(1e-9);
    assertThat(turned.angle()).isEqualTo(Math.PI / 2, EXACT);
    Placement upright =
        place(
                CIRCLE,
                "a",
                "\"orientation\":\"upright\",\"baselineShift\":10,\"pathOffset\":" + (d - 25))
            .get(0);
    assertThat(upright.angle()).isZero();
    assertThat(upright.at().distance(new Point(710, 500))).isLessThan(1e-9);
  }

  @Test
  void aLetterAstrideACornerTakesTheMeanDirection() {
    double[] offsets = {340, 350, 362.5, 375, 400, 410};
    double[] degrees = {0, 0, 22.5, 45, 90, 90};
    for (int i = 0; i < offsets.length; i++) {
      Placement p = place(CORNER, "a", "\"pathOffset\":" + offsets[i]).get(0);
      assertThat(Math.toDegrees(p.angle())).as("offset " + offsets[i]).isEqualTo(degrees[i], EXACT);
    }
  }

  @Test
  void rotationTurnsAboutTheCentreOfThePath() {
    PreparedLettering l = lettering(CIRCLE, "ab", "");
    SeatValues still = l.values(0);
    SeatValues turned = still.with(Channel.ROTATION, 90);
    Placement a = l.placements(still).get(1);
    Placement b = l.placements(turned).get(1);
    Point expected = Affine.rotate(Math.PI / 2, new Point(500, 500)).apply(a.at());
    assertThat(b.at().distance(expected)).isLessThan(1e-9);
    assertThat(b.angle() - a.angle()).isEqualTo(Math.PI / 2, EXACT);
  }
}
