package rovingglyph.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.lettering;
import static rovingglyph.TestScenes.prepare;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;

/** How text fills its room: an 800 px line, or a lap of 400 pi px, with letters of 50 px. */
class FitTest {
  private static final double LAP = 2 * Math.PI * 200;

  private static RowLayout seating(String path, String text, String seat, String more) {
    PreparedLettering l = prepare(document(path, text, seat, more)).letterings().get("l");
    return l.seating(l.values(0));
  }

  private static RowLayout seating(String path, String text, String seat) {
    return seating(path, text, seat, "");
  }

  /** Free room between the advances of neighbours. */
  private static double[] gaps(RowLayout s) {
    return gaps(s, 1);
  }

  /**
   * @param onPath what an advance of 1 px is on the path
   */
  private static double[] gaps(RowLayout s, double onPath) {
    List<Placement> p = s.place();
    double[] out = new double[p.size() - 1];
    for (int i = 0; i < out.length; i++) {
      out[i] =
          s.distance(i + 1)
              - s.distance(i)
              - (p.get(i).advance() + p.get(i + 1).advance()) / 2 * onPath;
    }
    return out;
  }

  @Test
  void spreadSharesTheRestEquallyBetweenLetters() {
    RowLayout s = seating(LINE, "abcde", "\"fit\":\"spread\",\"startMargin\":20,\"endMargin\":30");
    assertThat(s.tail()).isCloseTo(20, within(1e-9));
    assertThat(s.head()).isCloseTo(770, within(1e-9));
    for (double gap : gaps(s)) {
      assertThat(gap).isCloseTo((750 - 250) / 4.0, within(1e-9));
    }
  }

  @Test
  void spreadByWordsLeavesWordsAlone() {
    RowLayout s = seating(LINE, "ab cd ef", "\"fit\":\"spread\",\"spreadBy\":\"words\"");
    double[] gaps = gaps(s);
    assertThat(gaps[0]).isCloseTo(0, within(1e-9));
    assertThat(gaps[2]).isCloseTo(200, within(1e-9));
    assertThat(gaps[5]).isCloseTo(200, within(1e-9));
    assertThat(s.head()).isCloseTo(800, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", ",\"evenSpacing\":true", ",\"side\":\"right\"", ",\"align\":\"middle\""})
  void onAWholeLapTheGapAtTheSeamIsAsTheOthers(String more) {
    for (String fit : List.of("spread", "repeat")) {
      RowLayout s = seating(CIRCLE, "seven wi", "\"fit\":\"" + fit + "\"" + more);
      // Half the x-height is 25 px away from a circle of 200 px.
      double onPath = more.contains("evenSpacing") ? 200.0 / 225 : 1;
      double[] gaps = gaps(s, onPath);
      List<Placement> p = s.place();
      int n = p.size() - 1;
      double seam =
          LAP
              - (s.distance(n) - s.distance(0))
              - (p.get(0).advance() + p.get(n).advance()) / 2 * onPath;
      for (double gap : gaps) {
        assertThat(gap).as(fit + more).isCloseTo(seam, within(0.01));
      }
    }
  }

  @Test
  void theSeamGapIsKeptFree() {
    RowLayout s = seating(CIRCLE, "abcd", "\"fit\":\"spread\",\"seamGap\":90");
    assertThat(s.tail()).isCloseTo(45, within(1e-9));
    assertThat(s.head()).isCloseTo(LAP - 45, within(1e-9));
    double[] gaps = gaps(s);
    assertThat(gaps[0]).isCloseTo((LAP - 90 - 200) / 3, within(1e-6));
  }

  @Test
  void stretchWidensLettersAndScaleTheType() {
    RowLayout wide = seating(LINE, "abcd", "\"fit\":\"stretch\"");
    Placement p = wide.place(1);
    assertThat(p.width()).isCloseTo(400, within(1e-9));
    assertThat(p.height()).isCloseTo(100, within(1e-9));
    assertThat(p.distance()).isCloseTo(300, within(1e-9));
    RowLayout big = seating(LINE, "abcd", "\"fit\":\"scale\",\"endMargin\":400");
    assertThat(big.size()).isCloseTo(200, within(1e-9));
    assertThat(big.head()).isCloseTo(400, within(1e-9));
  }

  @Test
  void repeatSetsTheWholeNumberThatFits() {
    String phrases = "\"phrases\":{\"separator\":\"*\",\"space\":0.5,\"times\":1}";
    // "ab * " is 250 px of a lap of 1256 px: five times, each letter a little apart.
    RowLayout s = seating(CIRCLE, "ab", "\"fit\":\"repeat\"", phrases);
    assertThat(s.letters()).hasSize(25);
    assertThat(s.extent()).isCloseTo(LAP, within(1e-9));
    assertThat(gaps(s)[0]).isCloseTo((LAP - 1250) / 25, within(1e-9));
    // On an open line the last separator is left out: 3 times 250 less 150.
    RowLayout open = seating(LINE, "ab", "\"fit\":\"repeat\"", phrases);
    assertThat(open.letters()).hasSize(12);
    assertThat(open.head()).isCloseTo(800, within(1e-9));
  }

  @Test
  void textLongerThanItsRoomGoesOnIsCutOrShrinks() {
    String margins = "\"startMargin\":300,\"endMargin\":300,\"overlong\":";
    RowLayout on = seating(LINE, "abcdefgh", margins + "\"on\"");
    assertThat(on.overfull()).isTrue();
    assertThat(on.place()).allMatch(Placement::visible);
    RowLayout cut = seating(LINE, "abcdefgh", margins + "\"cut\"");
    assertThat(cut.place().stream().filter(Placement::visible)).hasSize(4);
    RowLayout small = seating(LINE, "abcdefgh", margins + "\"shrink\"");
    assertThat(small.size()).isCloseTo(50, within(1e-9));
    assertThat(small.overfull()).isFalse();
    assertThat(seating(LINE, "ab", margins + "\"shrink\"").size()).isEqualTo(100);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        ",\"startMargin\":200,\"endMargin\":100",
        ",\"seamGap\":60,\"align\":\"middle\"",
        ",\"side\":\"right\",\"evenSpacing\":true",
        ",\"align\":\"end\",\"baselineShift\":20"
      })
  void textThatRunsThroughIsSeenPartAfterPartAndNeverOverItself(String more) {
    String text = "abcdefghijklmnopqrstuvwxyzabcdefghij";
    Random random = new Random(more.length());
    Set<Integer> seen = new HashSet<>();
    for (int i = 0; i < 300; i++) {
      double offset = random.nextDouble() * 4000 - 2000;
      RowLayout s = through(text, offset, more);
      assertThat(s.runsThrough()).isTrue();
      List<Placement> there = s.place().stream().filter(Placement::visible).toList();
      assertThat(there).isNotEmpty();
      there.forEach(p -> seen.add(p.letter()));
      double taken = 0;
      for (Placement p : there) {
        taken += Math.abs(p.advance());
        for (Placement q : there) {
          double way = Math.abs(Math.IEEEremainder(p.distance() - q.distance(), LAP));
          assertThat(p == q || way > 0.6 * Math.abs(p.advance())).isTrue();
        }
      }
      assertThat(taken).isLessThanOrEqualTo(s.roomLength() + 1e-6);
      // As much as fits: less than two letters are missing.
      assertThat(taken).isGreaterThan(Math.min(s.roomLength(), s.extent()) - 2 * 51 - 31);
      RowLayout later = through(text, offset + s.lap(), more);
      for (int k = 0; k < text.length(); k++) {
        assertThat(later.place(k).visible()).isEqualTo(s.place(k).visible());
        if (s.place(k).visible()) {
          assertThat(later.place(k).at().distance(s.place(k).at())).isLessThan(1e-6);
        }
      }
    }
    assertThat(seen).hasSize(text.length());
  }

  private static RowLayout through(String text, double offset, String more) {
    return seating(CIRCLE, text, "\"overlong\":\"through\",\"pathOffset\":" + offset + more);
  }

  @Test
  void textThatFitsOrDoesNotComeRoundDoesNotRunThrough() {
    assertThat(through("abc", 0, "").runsThrough()).isFalse();
    assertThat(through("abc", 0, "").lap()).isCloseTo(LAP, within(1e-6));
    RowLayout open = seating(LINE, "abcdefghijklmnopqrst", "\"overlong\":\"through\"");
    assertThat(open.runsThrough()).isFalse();
    assertThat(open.place()).allMatch(Placement::visible);
  }

  @ParameterizedTest
  @ValueSource(strings = {"spread", "stretch", "scale", "repeat"})
  void noRoomAndNoTextAreNoTrouble(String fit) {
    for (String text : List.of("", "a", " ")) {
      for (String margin : List.of("0", "2000")) {
        RowLayout s = seating(LINE, text, "\"fit\":\"" + fit + "\",\"startMargin\":" + margin);
        for (Placement p : s.place()) {
          assertThat(p.at().x()).isFinite();
          assertThat(p.width()).isPositive();
        }
      }
    }
  }

  @Test
  void evenSpacingKeepsAdvancesTrueAtHalfTheXHeight() {
    // On a circle of 200 px, letters whose x-height is 50 px are 225 px from the centre half way.
    RowLayout s = seating(CIRCLE, "abcd", "\"evenSpacing\":true");
    double step = s.distance(1) - s.distance(0);
    assertThat(step).isCloseTo(50 / (1 + 25 / 200.0), within(1e-3));
    RowLayout inside = seating(CIRCLE, "abcd", "\"evenSpacing\":true,\"side\":\"right\"");
    assertThat(inside.distance(1) - inside.distance(0))
        .isCloseTo(50 / (1 - 25 / 200.0), within(1e-3));
    RowLayout tight =
        seating(CIRCLE.replace("200", "20"), "ab", "\"evenSpacing\":true,\"side\":\"right\"");
    assertThat(tight.distance(1) - tight.distance(0)).isCloseTo(50 / 0.2, within(1.0));
    RowLayout straight = seating(LINE, "abcd", "\"evenSpacing\":true");
    assertThat(straight.distance(3)).isCloseTo(175, within(1e-9));
  }

  @Test
  void neighboursKeepTheirDistance() {
    // The boxes of neighbours are 20 px apart at the baseline, and closer on the inner side.
    RowLayout s = seating(CIRCLE, "abcd", "\"side\":\"right\",\"leastGap\":12");
    for (int i = 0; i < 3; i++) {
      Placement a = s.place(i);
      Placement b = s.place(i + 1);
      double top = 70;
      double ax = a.at().x() + Math.sin(a.angle()) * top + Math.cos(a.angle()) * 15;
      double ay = a.at().y() - Math.cos(a.angle()) * top + Math.sin(a.angle()) * 15;
      double bx = b.at().x() + Math.sin(b.angle()) * top - Math.cos(b.angle()) * 15;
      double by = b.at().y() - Math.cos(b.angle()) * top - Math.sin(b.angle()) * 15;
      assertThat(Math.hypot(ax - bx, ay - by)).isCloseTo(12, within(0.01));
    }
    assertThat(seating(LINE, "ab", "\"leastGap\":12").distance(1)).isCloseTo(75, within(1e-9));
  }

  @Test
  void profilesChangeLettersAlongTheRunOrThePath() {
    String sizes =
        "\"profiles\":[{\"of\":\"size\",\"along\":\"run\",\"points\":[[0,100],[1,200]]},"
            + "{\"of\":\"turn\",\"along\":\"path\",\"points\":[[0,-90],[1,90]]},"
            + "{\"of\":\"shift\",\"points\":[[0,10]]}]";
    RowLayout s = seating(LINE, "abcd", "", sizes);
    List<Placement> p = s.place();
    assertThat(p.get(0).height()).isBetween(100.0, 120.0);
    assertThat(p.get(3).height()).isBetween(180.0, 200.0);
    for (int i = 1; i < 4; i++) {
      assertThat(p.get(i).advance()).isCloseTo(p.get(i).height() / 2, within(1e-9));
      assertThat(p.get(i).angle()).isGreaterThan(p.get(i - 1).angle());
    }
    assertThat(p.get(0).at().y()).isCloseTo(490, within(1e-9));
  }

  @Test
  void fixedLettersHaveOneAngleAndAddedTurnsAddToIt() {
    PreparedLettering l =
        lettering(CIRCLE, "abc", "\"orientation\":\"fixed\",\"fixedAngle\":30,\"letterTurn\":15");
    assertThat(l.placements(l.values(0)))
        .allMatch(p -> Math.abs(Math.toDegrees(p.angle()) - 45) < 1e-9);
  }

  @Test
  void textThatReadsFromTheRightBeginsAtTheRightEnd() {
    ShapedRun left = TestScenes.run(RunRequest.plain("f", Map.of(), "abcd", true));
    ShapedRun right =
        new ShapedRun("abcd", left.clusters(), left.outlines(), 0.8, 0.2, 0.5, 0.7, true, false);
    for (String align : List.of("start", "end")) {
      PreparedLettering l =
          Preparation.prepare(
                  SceneCodec.read(document(LINE, "abcd", "\"align\":\"" + align + "\"", "")),
                  r -> right)
              .letterings()
              .get("l");
      RowLayout s = l.seating(l.values(0));
      assertThat(s.head()).isCloseTo(align.equals("start") ? 800 : 200, within(1e-9));
    }
  }
}
