package rovingglyph.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import org.junit.jupiter.api.Test;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Seat;

class JourneyTest {
  private static final String GO =
      offsets(
          "{\"time\":0,\"value\":0}",
          "{\"time\":2,\"value\":100,\"easing\":\"hold\"}",
          "{\"time\":3,\"value\":300}");

  @Test
  void theBandRunsFromTailToHeadAndTheLineIsTheAnchor() {
    PreparedScene s = prepare(document(LINE, "abcd", "\"align\":\"middle\"," + GO, ""));
    double[] n = JourneyChart.samples(s, s.scene().item("l"), Channel.PATH_OFFSET, 4);
    for (int i = 0; i < n.length; i += JourneyChart.STRIDE) {
      assertThat(n[i + 1] - n[i + 2]).isCloseTo(100, within(1e-9));
      assertThat(n[i + 3] - n[i + 1]).isCloseTo(100, within(1e-9));
    }
    assertThat(n[1]).isCloseTo(400, within(1e-9));
    assertThat(JourneyChart.speed(s, s.scene().item("l"), Channel.PATH_OFFSET, 1))
        .isCloseTo(50, within(1e-6));
    assertThat(JourneyChart.speed(s, s.scene().item("l"), Channel.PATH_OFFSET, 2.5)).isZero();
  }

  @Test
  void thePuckFollowsThePointerAlongAcrossAndToTheOtherSide() {
    PreparedLettering l = prepare(document(LINE, "ab", "", "")).letterings().get("l");
    Handles h = new Handles(l, l.values(0));
    assertThat(h.drag(new Point(300, 490), false).pathOffset()).isCloseTo(200, within(1e-5));
    assertThat(h.drag(new Point(300, 460), true).baselineShift()).isCloseTo(40, within(1e-6));
    Handles.PuckValues across = h.drag(new Point(300, 640), true);
    assertThat(across.side()).isEqualTo(Seat.Side.RIGHT);
    assertThat(across.pathOffset()).isCloseTo(600, within(1e-4));
    assertThat(h.drag(new Point(50, 500), false).pathOffset()).isCloseTo(-50, within(1e-6));
  }

  @Test
  void onAClosedPathThePuckStaysInItsLap() {
    PreparedLettering l =
        prepare(document(CIRCLE, "ab", "\"pathOffset\":1250", "")).letterings().get("l");
    double offset = new Handles(l, l.values(0)).drag(new Point(520, 300), false).pathOffset();
    assertThat(offset).isBetween(1256.0, 1290.0);
  }

  @Test
  void marginStopsStayOnThePath() {
    PreparedLettering l = prepare(document(LINE, "ab", "", "")).letterings().get("l");
    Handles h = new Handles(l, l.values(0));
    assertThat(h.startMargin(new Point(250, 520))).isCloseTo(150, within(1e-5));
    assertThat(h.endMargin(new Point(250, 520))).isCloseTo(650, within(1e-5));
    assertThat(h.startMargin(new Point(-400, 520))).isZero();
  }

  @Test
  void posesAreTheFirstTheKeyframesAndTheLast() {
    PreparedScene s = prepare(document(LINE, "a", GO, ""));
    assertThat(Poses.of(s.scene()))
        .extracting(Poses.Pose::time)
        .containsExactly(0.0, 2.0, 3.0, 3.96);
  }

  @Test
  void outsideTellsWhereTheWholeLetteringIsOut() {
    PreparedScene s =
        prepare(document(rovingglyph.TestScenes.drawn(-200, 500, 1200, 500), "ab", "", ""));
    double[] n = JourneyChart.outside(s, "l", -100, 1500);
    assertThat(n).hasSize(4);
    // The ink of the two boxes is from 10 to 90 px behind the anchor; the frame from 200 to 1200.
    assertThat(n[1]).isCloseTo(110, within(9.0));
    assertThat(n[2]).isCloseTo(1190, within(9.0));
    PreparedScene ring = prepare(document(CIRCLE, "ab", "", ""));
    assertThat(JourneyChart.outside(ring, "l", 0, 1)).isEmpty();
  }

  private static java.util.List<String> proof(String path, String text, String seat) {
    return Proof.of(prepare(document(path, text, seat, ""))).stream()
        .map(Finding::message)
        .toList();
  }

  @Test
  void proofSaysWhatACarefulEyeWouldFind() {
    assertThat(proof(LINE, "fine", "")).isEmpty();
    assertThat(proof(LINE, "", "").get(0)).contains("no words");
    assertThat(proof(LINE, "much too long for it", "").get(0))
        .contains("longer than its room by 200 px");
    assertThat(proof(LINE, "over", "\"side\":\"right\"").get(0)).contains("upside down");
    assertThat(proof(LINE, "gone", "\"pathOffset\":5000").get(0)).contains("out of the frame");
    assertThat(
            proof(LINE, "late", offsets("{\"time\":0,\"value\":0}", "{\"time\":9,\"value\":0}"))
                .get(0))
        .contains("after the end");
  }
}
