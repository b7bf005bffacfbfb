package rovingglyph.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.frame.PreparedScene;

/** What Proof looks at, one by one: what is found, and what is let be. Letters are half an em. */
class ChecksTest {
  private static final String WIDE = "\"width\":1600,\"height\":900";

  private static List<String> proof(String document) {
    return Proof.of(prepare(document)).stream().map(Finding::message).toList();
  }

  private static List<String> proof(String path, String text, String seat, String more) {
    return proof(document(path, text, seat, more));
  }

  private static String wide(String path, String text, String seat) {
    return document(path, text, seat, "").replace("\"width\":1000,\"height\":1000", WIDE);
  }

  @Test
  void aPartIsWhatTheWholeHasOfIt() {
    PreparedScene scene =
        prepare(document(CIRCLE, "round and round and round it goes", "", "\"rotation\":30"));
    List<Finding> parts = new ArrayList<>();
    int n = 0;
    for (List<Finding> p = Proof.part(scene, 0); p != null; p = Proof.part(scene, ++n)) {
      parts.addAll(p);
    }
    assertThat(parts).isEqualTo(Proof.of(scene)).isNotEmpty();
  }

  @Test
  void keyframesWithoutWhichAllIsAsItIs() {
    String on = "\"size\":{\"keyframes\":[{\"time\":0,\"value\":50},{\"time\":1,\"value\":60},%s]}";
    assertThat(proof(LINE, "ab", "", on.formatted("{\"time\":2,\"value\":70}")))
        .containsExactly("A keyframe of size in \u201cab\u201d changes nothing");
    assertThat(proof(LINE, "ab", "", on.formatted("{\"time\":2,\"value\":71}"))).isEmpty();
    assertThat(
            proof(
                LINE,
                "ab",
                "",
                on.formatted("{\"time\":2,\"value\":80},{\"time\":3,\"value\":80}")))
        .containsExactly("A keyframe of size in \u201cab\u201d changes nothing");
    // Two that are alike may be the beginning of a movement.
    String begun = "\"size\":{\"keyframes\":[{\"time\":0,\"value\":50},{\"time\":1,\"value\":50}]}";
    assertThat(proof(LINE, "ab", "", begun)).isEmpty();
  }

  @Test
  void aKeyframeWithAGoalOfItsOwnIsKept() {
    String rest = "{\"time\":%s,\"value\":0,\"landing\":\"at-rest\"}";
    String goals =
        offsets(rest.formatted(0), "{\"time\":1,\"value\":0}", "{\"time\":2,\"value\":0}");
    assertThat(proof(LINE, "ab", goals, ""))
        .containsExactly("2 keyframes of path offset in \u201cab\u201d change nothing");
    String last =
        offsets("{\"time\":0,\"value\":0}", "{\"time\":1,\"value\":0}", rest.formatted(2));
    assertThat(proof(LINE, "ab", last, ""))
        .containsExactly("A keyframe of path offset in \u201cab\u201d changes nothing");
  }

  @Test
  void whatReachesBeyondTheFrameIsToldInPx() {
    // The last letter begins 50 px before the edge and its ink is 10 to 40 px of that.
    String line = drawn(480, 500, 990, 500);
    assertThat(proof(line, "abcdefghij", "", "")).isEmpty();
    assertThat(proof(drawn(505, 500, 1000, 500), "abcdefghij", "\"pathOffset\":5", ""))
        .noneMatch(m -> m.contains("frame at rest"));
    assertThat(proof(drawn(540, 500, 1040, 500), "abcdefghij", "", ""))
        .containsExactly(
            "\u201cabcdefghij\u201d reaches 30 px beyond the right edge of the frame at rest");
  }

  @Test
  void theSafeAreaIsThatOfVideo() {
    String low = drawn(400, 880, 1200, 880);
    assertThat(proof(wide(low, "abc", "")))
        .containsExactly(
            "\u201cabc\u201d reaches 25 px beyond the lower edge of the safe area at rest");
    assertThat(proof(wide(drawn(400, 850, 1200, 850), "abc", ""))).isEmpty();
    assertThat(proof(drawn(100, 980, 900, 980), "abc", "", "")).isEmpty();
  }

  @Test
  void aRingThatIsUpsideDownIsToldWhereItStandsStill() {
    // Half of the circle, from its right over its foot to its left.
    String low = "\"startMargin\":314,\"endMargin\":314,\"align\":\"middle\"";
    assertThat(proof(CIRCLE, "abcdefg", low, ""))
        .containsExactly("\u201cabcdefg\u201d stands upside down at rest");
    String turning = ",\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":0.25}}";
    assertThat(proof(CIRCLE, "abcdefg", low + turning, ""))
        .noneMatch(m -> m.contains("upside down"));
  }

  @Test
  void theLeastGapIsTold() {
    // Boxes that stand 20 px apart at their feet lean towards each other at their heads, 70 px up:
    // inside a circle these are 2 ((r - 70) sin(25 / r) - 15 cos(25 / r)) apart.
    String bowl =
        """
        {"id":"p","kind":"circle","centre":[500,500],"radius":%s,"startAngle":90,"direction":"counterclockwise"}""";
    assertThat(proof(bowl.formatted(250), "abcd", "", ""))
        .noneMatch(m -> m.contains("apart") || m.contains("cross"));
    assertThat(proof(bowl.formatted(180), "abcd", "", ""))
        .anyMatch(m -> m.contains("2 more pairs stand only 0."));
    assertThat(proof(bowl.formatted(160), "abcd", "", ""))
        .anyMatch(m -> m.contains("2 more pairs touch or cross"));
    String near = "\"tracking\":-0.195";
    // In a straight line that is how they are set.
    assertThat(proof(LINE, "abcdefghij", "", near)).isEmpty();
  }

  @Test
  void aSeamGapesWhereWordsNearlyGoRound() {
    // A lap is 1256.6 px.
    assertThat(proof(CIRCLE, "ab cd ef gh ij kl mn", "", ""))
        .containsExactly(
            "The ring of \u201cab cd ef gh ij kl mn\u201d gapes: 257 px are left at its seam, where"
                + " words stand 50 px apart");
    assertThat(proof(CIRCLE, "ab cd ef gh ij kl mn", "\"fit\":\"spread\"", "")).isEmpty();
    assertThat(proof(CIRCLE, "ab cd ef gh ij kl mn", "\"seamGap\":200", "")).isEmpty();
    assertThat(proof(CIRCLE, "ab cd ef", "", "")).isEmpty();
    assertThat(proof(CIRCLE, "ab cd ef gh ij kl mno pq", "", "")).isEmpty();
  }

  @Test
  void wordsTakeTimeToRead() {
    String comes =
        "\"opacity\":{\"keyframes\":[{\"time\":0,\"value\":0,\"easing\":\"hold\"},{\"time\":%s,\"value\":100}]}";
    assertThat(proof(LINE, "ab cd ef gh", "", comes.formatted(2))).isEmpty();
    assertThat(proof(LINE, "ab cd ef gh", "", comes.formatted(3)))
        .singleElement()
        .asString()
        .matches(".*can be read for (0.9|1) s; 4 words take about 1.5 s");
    // What never stands in the frame is told otherwise.
    assertThat(proof(LINE, "ab cd ef gh", "\"pathOffset\":5000", ""))
        .noneMatch(m -> m.contains("read for"));
    // 40 letters a second go by, and there is time for none of them.
    String fast =
        "\"pathOffset\":{\"cruise\":{\"pace\":\"per-second\",\"amount\":2000}},\"ends\":\"cut\"";
    assertThat(proof(LINE, "ab cd ef gh", fast, "")).anyMatch(m -> m.contains("read for 0 s"));
  }

  @Test
  void lettersThatGoFarInAFrameAreSeenDouble() {
    String go = "\"pathOffset\":{\"cruise\":{\"pace\":\"per-second\",\"amount\":%s}}";
    String line = drawn(-5000, 500, 5000, 500);
    assertThat(proof(line, "ab", "\"startMargin\":5000," + go.formatted(4000), ""))
        .anyMatch(m -> m.contains("goes 160 px from one frame to the next"));
    assertThat(proof(line, "ab", "\"startMargin\":5000," + go.formatted(3600), ""))
        .noneMatch(m -> m.contains("from one frame"));
    assertThat(proof(line, "ab", "\"startMargin\":5000," + go.formatted(4000), "\"blur\":180"))
        .noneMatch(m -> m.contains("from one frame"));
    // Nobody sees how fast it is out of the frame.
    assertThat(proof(line, "ab", go.formatted(-4000), ""))
        .noneMatch(m -> m.contains("from one frame"));
  }

  @Test
  void aLineLeftBehindIsTold() {
    String trail = "\"trail\":{\"width\":8},\"trailTo\":%s";
    String away =
        offsets(
            "{\"time\":0,\"value\":0}", "{\"time\":1,\"value\":0}", "{\"time\":3,\"value\":5000}");
    assertThat(proof(LINE, "ab", away, trail.formatted(100)))
        .anyMatch(
            m -> m.equals("The line of \u201cab\u201d is still seen when its letters have gone"));
    assertThat(proof(LINE, "ab", away, trail.formatted(0)))
        .noneMatch(m -> m.contains("The line of"));
    assertThat(proof(LINE, "ab", "", trail.formatted(100)))
        .noneMatch(m -> m.contains("The line of"));
  }
}
