package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;
import static rovingglyph.TestScenes.with;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Placement;

class GroupTest {
  private static final String AB = document(LINE, "ab", "", "");

  private static String grouped(String document, String more) {
    return with(
        document,
        "\"groups\":[{\"id\":\"g\",\"members\":[\"l\"],\"centre\":[500,500]" + more + "}]");
  }

  /** Where the point of the first outline's own map is brought. */
  private static Affine first(Frame frame) {
    return FrameEntries.of(frame).get(0).maps().get(0);
  }

  @Test
  void aGroupLeftAloneChangesNothing() {
    assertThat(prepare(grouped(AB, "")).at(0).numbers()).isEqualTo(prepare(AB).at(0).numbers());
  }

  @Test
  void itsMembersAreScaledAndTurnedAboutItsCentreAndMoved() {
    // The text begins at (100, 500), 400 px before the centre: turned by a quarter above it.
    Affine m = first(prepare(grouped(AB, ",\"x\":700,\"scale\":2,\"rotation\":90")).at(0));
    assertThat(m.apply(Point.ORIGIN).distance(new Point(700, -300))).isLessThan(1e-9);
    assertThat(m.b()).isCloseTo(200, within(1e-9));
  }

  @Test
  void groupsInEachOtherAddUp() {
    String json =
        with(
            AB,
            """
            "groups":[{"id":"g","members":["l"],"x":10,"rotation":90},
                      {"id":"h","members":["g"],"y":5,"scale":3}]""");
    Affine m = first(prepare(json).at(0));
    assertThat(m.apply(Point.ORIGIN).distance(new Point(3 * -490, 5 + 3 * 100))).isLessThan(1e-9);
  }

  @Test
  void aFadedGroupIsAPictureOfItsOwnAndOneThatIsGoneIsNotPainted() {
    List<FrameEntries.Entry> n = FrameEntries.of(prepare(grouped(AB, ",\"opacity\":40")).at(0));
    assertThat(n).extracting(FrameEntries.Entry::op).containsExactly(Op.PUSH, Op.FILL, Op.POP);
    assertThat(n.get(0).layer().alpha()).isEqualTo(0.4);
    assertThat(n.get(1).paint().alpha()).isEqualTo(1);
    assertThat(prepare(grouped(AB, ",\"opacity\":0")).at(0).numbers()).isEmpty();
    assertThat(prepare(grouped(AB, ",\"hidden\":true")).at(0).numbers()).isEmpty();
  }

  @Test
  void linesAndBentLettersGoAlong() {
    String bent = document(LINE, "a", "\"method\":\"bent\"", "\"trail\":{\"width\":4}");
    List<FrameEntries.Entry> plain = FrameEntries.of(prepare(bent).at(0));
    List<FrameEntries.Entry> moved =
        FrameEntries.of(prepare(grouped(bent, ",\"x\":510,\"scale\":2")).at(0));
    assertThat(moved.get(0).line().get(0)).isEqualTo(2 * plain.get(0).line().get(0));
    for (int i = 0; i < 2; i++) {
      List<Point> before = plain.get(i).points();
      for (int k = 0; k < before.size(); k++) {
        assertThat(moved.get(i).points().get(k).x())
            .isCloseTo(510 + 2 * (before.get(k).x() - 500), within(1e-9));
      }
    }
  }

  @Test
  void aPlaceOnTheFrameFindsWhatTheGroupBroughtThere() {
    PreparedScene s = prepare(grouped(AB, ",\"y\":800"));
    assertThat(s.itemAt(new Point(125, 770), 0, 2)).isEqualTo("l");
    assertThat(s.itemAt(new Point(125, 470), 0, 2)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", ",\"x\":400,\"scale\":0.25,\"rotation\":30", ",\"scale\":3"})
  void aLandingIsJustOutOfTheFrameAsItIsSeen(String place) {
    String enter =
        document(
            drawn(-200, 500, 1200, 500),
            "abcd",
            offsets(
                "{\"time\":0,\"value\":0,\"landing\":\"out-before\"}",
                "{\"time\":1,\"value\":0,\"landing\":\"at-rest\"}"),
            "");
    PreparedScene s = prepare(grouped(enter, place));
    PreparedLettering l = s.letterings().get("l");
    Rect frame = new Rect(0, 0, 1000, 1000);
    assertThat(l.unsolved()).isEmpty();
    assertThat(l.touches(l.values(0), frame)).isFalse();
    double landed = l.values(0).pathOffset();
    assertThat(l.touches(l.values(0).with(Channel.PATH_OFFSET, landed + 0.02), frame)).isTrue();
  }

  @Test
  void theLookForALandingEndsInGroupsOfNextToNoSize() {
    String json =
        document(
            LINE,
            "ab",
            "\"ends\":\"wrap\"," + offsets("{\"time\":0,\"value\":0,\"landing\":\"out-after\"}"),
            "");
    StringBuilder groups = new StringBuilder("{\"id\":\"g0\",\"members\":[\"l\"],\"scale\":0.001}");
    for (int i = 1; i < 5; i++) {
      groups.append(",{\"id\":\"g" + i + "\",\"members\":[\"g" + (i - 1) + "\"],\"scale\":0.001}");
    }
    String deep = with(json, "\"groups\":[" + groups + "]");
    PreparedScene s = assertTimeoutPreemptively(Duration.ofSeconds(20), () -> prepare(deep));
    assertThat(s.letterings()).containsKey("l");
  }

  @Test
  void landingsAreSolvedAgainWhenTheGroupIsMoved() {
    Scene enter =
        SceneCodec.read(
            grouped(
                document(
                    LINE, "ab", offsets("{\"time\":0,\"value\":0,\"landing\":\"out-before\"}"), ""),
                ""));
    PreparedScene before = Preparation.prepare(enter, rovingglyph.TestScenes::run);
    Scene moved =
        SceneEdits.apply(
            before.scene(),
            "{\"op\":\"set\",\"item\":\"g\",\"channel\":\"x\",\"time\":0,\"value\":600}");
    PreparedScene after = Preparation.prepare(moved, rovingglyph.TestScenes::run, before);
    assertThat(landed(after)).isCloseTo(landed(before) - 100, within(0.02));
  }

  private static double landed(PreparedScene s) {
    Keyframe k = s.scene().item("l").movable(Channel.PATH_OFFSET).keyframes().get(0);
    return k.value();
  }

  @Test
  void placesToldInTheFrameAreThoseOfThePicture() {
    PreparedLettering l =
        prepare(grouped(AB, ",\"x\":700,\"scale\":2,\"rotation\":90")).letterings().get("l");
    Placement p = l.inFrame(l.seating(l.values(0))).get(0);
    // The middle of its advance is 25 px along the line.
    assertThat(p.at().distance(new Point(700, 500 - 2 * 375))).isLessThan(1e-9);
    assertThat(p.angle()).isCloseTo(Math.PI / 2, within(1e-9));
    assertThat(p.height()).isCloseTo(200, within(1e-9));
    assertThat(p.distance()).isCloseTo(25, within(1e-9));
  }
}
