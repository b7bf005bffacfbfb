package rovingglyph.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.ShapedRun;

class ProofTest {
  private static List<Finding> proof(String path, String text, String seat, String more) {
    return Proof.of(prepare(document(path, text, seat, more)));
  }

  @Test
  void charactersFromTheFallbackAndMissingOnesAreNamed() {
    ShapedRun run =
        new ShapedRun(
            "a\u2693\u6F22",
            List.of(
                new Cluster("a", 0, 0.5, List.of(), "", false),
                new Cluster("\u2693", 1, 0.5, List.of(), "DejaVu Sans", false),
                new Cluster("\u6F22", 2, 0.5, List.of(), "DejaVu Sans", true)),
            List.of(Outline.of("")),
            0.8,
            0.2,
            0.5,
            0.7,
            false,
            false);
    List<String> found =
        Proof.of(
                Preparation.prepare(
                    SceneCodec.read(document(LINE, "a\u2693\u6F22", "", "")), r -> run))
            .stream()
            .map(Finding::message)
            .toList();
    assertThat(found).anyMatch(m -> m.contains("\u2693") && m.contains("DejaVu Sans"));
    assertThat(found).anyMatch(m -> m.contains("\u6F22") && m.contains("box"));
  }

  @Test
  void aRingIsNeverUpsideDownButCanBeTooShort() {
    assertThat(proof(CIRCLE, "round and round", "", "")).isEmpty();
    assertThat(proof(CIRCLE, "round and round and round it goes", "", ""))
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("longer than its room");
  }

  @Test
  void theRoomIsWhatTheMarginsLeave() {
    assertThat(proof(LINE, "fits", "\"startMargin\":300,\"endMargin\":300", "")).isEmpty();
    assertThat(proof(LINE, "fits", "\"startMargin\":400,\"endMargin\":300", "")).hasSize(1);
  }

  @Test
  void restIsWhereAHoldBeginsOrWhereItLands() {
    String hold =
        offsets(
            "{\"time\":0,\"value\":-4000}",
            "{\"time\":1,\"value\":0}",
            "{\"time\":3,\"value\":0}",
            "{\"time\":4,\"value\":4000}");
    assertThat(proof(LINE, "in", hold, ""))
        .extracting(Finding::message)
        .noneMatch(m -> m.contains("at rest"));
    assertThat(Rest.time(SceneCodec.read(document(LINE, "in", hold, "")).letterings().get(0), 4))
        .isEqualTo(1);
    String landing =
        offsets("{\"time\":0,\"value\":-4000}", "{\"time\":2,\"value\":0,\"landing\":\"at-rest\"}");
    assertThat(Rest.time(SceneCodec.read(document(LINE, "in", landing, "")).letterings().get(0), 4))
        .isEqualTo(2);
  }

  @Test
  void whatIsHiddenIsLeftAloneButItsLateKeyframesAreTold() {
    assertThat(proof(LINE, "gone", "\"pathOffset\":5000", "\"hidden\":true")).isEmpty();
    String late = "\"opacity\":{\"keyframes\":[{\"time\":8,\"value\":0},{\"time\":9,\"value\":5}]}";
    assertThat(proof(LINE, "late", "", late))
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("2 keyframes of opacity", "after the end");
  }

  @Test
  void longWordsAreShortenedInMessages() {
    String message = proof(LINE, "a very long line of words that goes on", "", "").get(0).message();
    assertThat(message).contains("\u2026\u201d").hasSizeLessThan(90);
  }

  @Test
  void lettersThatCrossOnATightBendAreNamed() {
    String valley =
        drawn(100, 200, 500, 560, 900, 200).replace("\"points\"", "\"smooth\":true,\"points\"");
    assertThat(proof(valley, "abcdefghijkl", "\"align\":\"middle\"", ""))
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("touch or cross"));
    assertThat(proof(LINE, "abcdefgh", "", ""))
        .extracting(Finding::message)
        .noneMatch(m -> m.contains("touch or cross"));
  }

  @Test
  void whatIsNotRevealedYetIsNotOutOfTheFrame() {
    assertThat(proof(LINE, "ab", "", "\"reveal\":{},\"revealTo\":0"))
        .extracting(Finding::message)
        .noneMatch(m -> m.contains("out of the frame"));
  }

  @Test
  void aLandingOutOfTheFrameTakesItsTrailAlong() {
    String go =
        "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":3,\"value\":0,\"landing\":\"out-after\"}]}";
    String trail =
        "\"trail\":{\"with\":true,\"lag\":600,\"lead\":0,\"width\":10,\"colour\":\"#000000\"}";
    String plain = document(LINE, "ab", go, "");
    String with = document(drawn(100, 500, 3000, 500), "ab", go, trail);
    double without = landing(document(drawn(100, 500, 3000, 500), "ab", go, ""));
    assertThat(landing(with) - without).isCloseTo(600, org.assertj.core.data.Offset.offset(60.0));
    assertThat(landing(plain)).isPositive();
  }

  private static double landing(String document) {
    return prepare(document)
        .letterings()
        .get("l")
        .lettering()
        .movable(rovingglyph.scene.Channel.PATH_OFFSET)
        .keyframes()
        .get(1)
        .value();
  }

  @Test
  void whatIsLeftOutIsTold() {
    String many = drawn(0, 500, 900_000, 500);
    assertThat(proof(many, "a", "\"fit\":\"repeat\"", "\"size\":10"))
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("as often as can be"));
    assertThat(proof(LINE, "a", "\"fit\":\"repeat\"", "\"size\":10"))
        .extracting(Finding::message)
        .noneMatch(m -> m.contains("as often as can be"));
  }

  @Test
  void aPathThatIsHardlyThereIsToldAsSuch() {
    String dot =
        drawn(500, 500, 500.0003, 500, 500, 500.0003)
            .replace("{\"id\":\"p\"", "{\"id\":\"p\",\"name\":\"Dot\",\"closed\":true");
    assertThat(proof(dot, "ab", "", ""))
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("px long: nothing can sit on it"))
        .noneMatch(m -> m.contains("longer than its room"));
  }
}
