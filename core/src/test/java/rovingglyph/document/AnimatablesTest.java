package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.Preparation;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

/** Rules about values hold for every kind of thing that has some. */
class AnimatablesTest {
  /**
   * A scene with one of each kind, each with a keyed value: the path, lettering, picture, group.
   */
  private static String document(String value) {
    Map<String, String> keyed =
        Map.of(
            "path",
            "\"radius\":",
            "lettering",
            "\"rotation\":",
            "picture",
            "\"rotation\":",
            "group",
            "\"rotation\":");
    return """
        {"format":"roving-glyph-scene","version":1,"name":"Kinds","width":500,"height":500,"rate":"25","length":2,
         "cues":[{"id":"c","name":"Gust","time":1}],
         "paths":[{"id":"path","name":"Ring","kind":"circle","centre":[250,250],%s%s}],
         "letterings":[{"id":"lettering","text":"ab","path":"path","size":40,%s%s,"seat":{}}],
         "pictures":[{"id":"picture","name":"Kite","parts":[],%s%s}],
         "groups":[{"id":"group","name":"Both","members":["lettering"],%s%s}]}"""
        .formatted(
            keyed.get("path"),
            value,
            keyed.get("lettering"),
            value,
            keyed.get("picture"),
            value,
            keyed.get("group"),
            value);
  }

  private static String keys(String... keyframes) {
    return "{\"still\":100,\"keyframes\":[" + String.join(",", keyframes) + "]}";
  }

  private static final String AT_CUE = "{\"time\":1,\"value\":120,\"cue\":\"c\"}";
  private static final List<String> ALL =
      List.of("$.groups[0]", "$.letterings[0]", "$.paths[0]", "$.pictures[0]");

  private static List<Problem> problems(String document) {
    try {
      SceneCodec.read(document);
      return List.of();
    } catch (DocumentException e) {
      return e.problems();
    }
  }

  private static List<Keyframe> keyframes(Scene s, String id) {
    Animatable m = s.mover(id);
    return m.values().values().stream().flatMap(v -> v.keyframes().stream()).toList();
  }

  @Test
  void everyKindIsAmongThem() {
    Scene s = SceneCodec.read(document(keys(AT_CUE)));
    assertThat(s.animatables())
        .extracting(Animatable::id)
        .containsExactly("path", "lettering", "picture", "group");
  }

  @ParameterizedTest
  @ValueSource(strings = {"path", "lettering", "picture", "group"})
  void keyframesOfEveryKindGoWithTheirCueAndLetGoOfOneThatIsDeleted(String id) {
    Scene s = SceneCodec.read(document(keys(AT_CUE)));
    Scene moved = SceneEdits.apply(s, "{\"op\":\"cue\",\"cue\":\"c\",\"time\":1.4}");
    assertThat(keyframes(moved, id)).extracting(Keyframe::time).containsExactly(1.4);
    Scene gone = SceneEdits.apply(moved, "{\"op\":\"deleteCue\",\"cue\":\"c\"}");
    assertThat(keyframes(gone, id)).extracting(Keyframe::cue).containsOnlyNulls();
    assertThat(problems(SceneCodec.write(gone))).isEmpty();
  }

  @Test
  void twoKeyframesOnAFrameAndCuesThatAreNotThereAreToldOfEveryKind() {
    String twice = keys("{\"time\":1,\"value\":120}", "{\"time\":1.01,\"value\":130}");
    assertThat(problems(document(twice)))
        .hasSize(4)
        .allMatch(p -> p.reason().contains("two keyframes"));
    String nowhere = keys("{\"time\":1,\"value\":120,\"cue\":\"nobody\"}");
    assertThat(problems(document(nowhere)))
        .extracting(
            p ->
                p.path().replaceFirst("\\..*", "").isEmpty()
                    ? p.path()
                    : p.path().substring(0, p.path().indexOf(']') + 1))
        .containsExactlyInAnyOrderElementsOf(ALL);
  }

  @Test
  void onlyLetteringsLagAndFollow() {
    String lag =
        "{\"still\":100,\"sway\":{\"amplitude\":5,\"period\":1},\"stagger\":{\"delay\":0.1}}";
    assertThat(problems(document(lag))).hasSize(3).allMatch(p -> p.path().endsWith(".stagger"));
    String follow = "{\"still\":100,\"follow\":{\"lettering\":\"lettering\"}}";
    assertThat(problems(document(follow)))
        .anyMatch(p -> p.path().equals("$.paths[0].radius.follow"));
    assertThat(problems(document(follow.replace("\"lettering\"}", "\"nobody\"}"))))
        .hasSizeGreaterThanOrEqualTo(4);
  }

  @Test
  void keyframesAfterTheEndAreToldOfEveryKind() {
    Scene s = SceneCodec.read(document(keys("{\"time\":3,\"value\":120}")));
    assertThat(Proof.of(Preparation.prepare(s, TestScenes::run)))
        .filteredOn(f -> f.message().contains("after the end"))
        .hasSize(4);
  }

  @Test
  void whatAnEarlierVersionLeftBehindIsTakenOut() {
    String left =
        document(
                keys(
                    "{\"time\":1,\"value\":120,\"cue\":\"nobody\"}",
                    "{\"time\":1.01,\"value\":130}"))
            .replaceAll("\"(rotation)\":\\{[^\\]]*\\]\\}", "\"$1\":0");
    assertThat(problems(left)).isNotEmpty();
    assertThat(problems(SceneCodec.healed(left))).isEmpty();
    String good = document(keys(AT_CUE));
    assertThat(SceneCodec.healed(good)).isSameAs(good);
    assertThatThrownBy(() -> SceneCodec.read(left)).isInstanceOf(DocumentException.class);
  }

  @Test
  void charactersAndNumbersThatCannotBeKeptAreToldWithTheirPlace() {
    String d = document("100").replace("\"Kites\"", "\"Kites\"");
    assertThat(problems(d.replace("{\"format\"", "{\"own\":{\"n\":1e131000},\"format\"")))
        .extracting(Problem::path)
        .containsExactly("$.own.n");
    assertThat(problems(d.replace("\"ab\"", "\"a\\ud800b\"")))
        .extracting(Problem::path)
        .containsExactly("$.letterings[0].text");
    assertThat(
            problems(
                d.replace(
                    "{\"format\"", "{\"deep\":" + "[".repeat(90) + "]".repeat(90) + ",\"format\"")))
        .anyMatch(p -> p.reason().contains("too deep"));
    assertThat(problems(d.replace("{\"format\"", "{\"own\":1e-400,\"format\""))).hasSize(1);
    assertThat(problems(d.replace("{\"format\"", "{\"own\":[1e308,0e999,-1.5E-300],\"format\"")))
        .isEmpty();
  }
}
