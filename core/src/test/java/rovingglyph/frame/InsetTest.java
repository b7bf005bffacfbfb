package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneBundle;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Scene;

/** Scenes within scenes. */
class InsetTest {
  /** Something that moves, of whatever kind. */
  private static final String MOVING =
      "\"opacity\":{\"keyframes\":[{\"time\":0,\"value\":20},{\"time\":3,\"value\":100}]},"
          + "\"shownFrom\":0.4,\"shownTo\":2.6";

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static String inner(String kind) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Inner","width":1000,"height":1000,
         "rate":"25","length":3,"background":"#445566","paths":[%s],"items":[%s]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, MOVING));
  }

  private static String outer(String items) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Outer","width":1000,"height":1000,
         "rate":"25","length":8,"paths":[%s],"items":[%s]}"""
        .formatted(TestScenes.PATHS, items);
  }

  private static String inset(String more) {
    return "{\"kind\":\"inset\",\"id\":\"within\",\"scene\":\"inner\",\"x\":500,\"y\":500"
        + (more.isEmpty() ? "" : ",")
        + more
        + "}";
  }

  /** An inset that shows an item of a kind may show the kite too. */
  private static PreparedScene prepared(String document, String inner) {
    String kite =
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"width\":200,\"height\":200,\"length\":1.5,"
            + "\"background\":\"#112233\"}";
    Map<String, String> shown = Map.of("inner", inner, "kite", kite);
    return Preparation.prepare(SceneBundle.filled(document, shown), TestScenes::run);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isWhatTheSceneIsAtItsTime(String kind) {
    PreparedScene alone = prepared(inner(kind), inner(kind));
    Random random = new Random(kind.hashCode());
    for (String how :
        List.of(
            "",
            "\"begins\":-1.3",
            "\"begins\":0.7,\"speed\":2.5",
            "\"begins\":1.1,\"speed\":0.4,\"atEnd\":\"hold\"")) {
      PreparedScene scene = prepared(outer(inset(how)), inner(kind));
      Inset inset = scene.scene().insets().get(0);
      for (int i = 0; i < 40; i++) {
        double t = random.nextInt(200) / 25.0;
        double[] own = alone.at(inset.within(t, alone.scene())).numbers();
        double[] all = scene.at(t).numbers();
        int from = start(all);
        assertThat(Arrays.copyOfRange(all, from, from + own.length))
            .as(kind + " " + how + " at " + t)
            .containsExactly(own, within(1e-6));
      }
    }
  }

  /** Where in a frame of one inset alone that begins which it shows. */
  private static int start(double[] numbers) {
    int at = 0;
    while (numbers[at] != Op.CLIP.ordinal()) {
      at += 2 + (int) numbers[at + 1];
    }
    return at + 2 + (int) numbers[at + 1];
  }

  @Test
  void itsTimeComesRoundOrStands() {
    Scene shown = TestScenes.read(inner("drawing"));
    PreparedScene loops = prepared(outer(inset("\"begins\":1,\"speed\":2")), inner("drawing"));
    Inset loop = loops.scene().insets().get(0);
    assertThat(loop.within(1, shown)).isZero();
    assertThat(loop.within(0.9, shown)).isCloseTo(2.8, within(1e-9));
    assertThat(loop.within(2.4, shown)).isCloseTo(2.8, within(1e-9));
    for (int run = 0; run < 200; run++) {
      assertThat(loop.within(1 + run * 1.5, shown)).as("a run begins").isLessThan(1e-6);
    }
    PreparedScene holds =
        prepared(outer(inset("\"begins\":1,\"atEnd\":\"hold\"")), inner("drawing"));
    Inset hold = holds.scene().insets().get(0);
    assertThat(hold.within(0, shown)).isZero();
    assertThat(hold.within(3.5, shown)).isCloseTo(2.5, within(1e-9));
    assertThat(hold.within(7, shown)).as("its last frame").isCloseTo(2.96, within(1e-9));
  }

  @Test
  void isSeenAndHitWithinItsFrameOnly() {
    // The drawing reaches from 400 to 600, the frame of what is shown only to 500.
    String narrow = inner("drawing").replace("\"width\":1000", "\"width\":500");
    PreparedScene scene = prepared(outer(inset("\"x\":250")), narrow);
    assertThat(scene.itemAt(new Point(450, 480), 1, 0)).isEqualTo("within");
    assertThat(scene.itemAt(new Point(550, 480), 1, 0)).as("beyond its frame").isEmpty();
    assertThat(scene.itemAt(new Point(100, 480), 1, 0)).as("no backdrop").isEmpty();
    PreparedScene backed = prepared(outer(inset("\"x\":250,\"background\":true")), narrow);
    assertThat(backed.itemAt(new Point(100, 480), 1, 0)).isEqualTo("within");
    assertThat(scene.box("within", 1).right()).isLessThanOrEqualTo(500 + 1e-9);
  }

  @Test
  void oneThatIsNotThereIsNotPainted() {
    PreparedScene scene = prepared(outer(inset("").replace("inner", "gone")), inner("drawing"));
    assertThat(scene.at(1).numbers()).isEmpty();
    assertThat(scene.itemAt(new Point(500, 480), 1, 0)).isEmpty();
  }

  @Test
  void isPreparedOnceForAllThatShowItAndAfterEdits() {
    String two = inset("") + "," + inset("\"scale\":0.5").replace("\"within\"", "\"small\"");
    PreparedScene first = prepared(outer(two), inner("lettering"));
    PreparedInset one = (PreparedInset) first.items().get("within");
    PreparedInset other = (PreparedInset) first.items().get("small");
    assertThat(other.shown()).isSameAs(one.shown());
    assertThat(first.outlines()).hasSize(one.shown().outlines().size());
    String edit = "{\"op\":\"change\",\"items\":[\"small\"],\"fields\":{\"opacity\":50}}";
    Scene edited = SceneEdits.apply(first.scene(), edit);
    PreparedScene again = Preparation.prepare(edited, TestScenes::run, first);
    assertThat(((PreparedInset) again.items().get("small")).shown()).isSameAs(one.shown());
  }

  @Test
  void proofTellsOneThatJumpsWhereTheSceneBeginsAgainAndOneThatIsGone() {
    PreparedScene jumps = prepared(outer(inset("")), inner("drawing"));
    assertThat(Proof.of(jumps))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("at a speed of 1.125 it is"));
    String even = inset("\"speed\":1.125");
    assertThat(Proof.of(prepared(outer(even), inner("drawing")))).isEmpty();
    String holds = inset("\"atEnd\":\"hold\"");
    assertThat(Proof.of(prepared(outer(holds), inner("drawing")))).isEmpty();
    PreparedScene gone = prepared(outer(inset("").replace("inner", "gone")), inner("drawing"));
    assertThat(Proof.of(gone))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("not in this project any more"));
  }
}
