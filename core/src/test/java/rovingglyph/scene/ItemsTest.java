package rovingglyph.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.proof.Proof;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;
import rovingglyph.webexport.AnimatedSvg;

/** What holds for every kind of item. */
class ItemsTest {
  private static String document(String kind, String more) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Kinds","width":1000,"height":1000,
         "rate":"25","length":4,"paths":[%s],"items":[%s]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more));
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static boolean shows(PreparedScene s, double time) {
    boolean hit = !s.itemAt(new Point(520, 480), time, 3).isEmpty();
    boolean painted = s.at(time).numbers().length > 0;
    assertThat(hit).as("what is painted can be hit").isEqualTo(painted);
    return painted;
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isThereFromItsFirstTimeUpToTheFrameBeforeItsSecond(String kind) {
    PreparedScene always = TestScenes.prepare(document(kind, ""));
    PreparedScene some = TestScenes.prepare(document(kind, "\"shownFrom\":1,\"shownTo\":2.4"));
    for (int frame = 0; frame < 100; frame++) {
      double t = frame / 25.0;
      assertThat(shows(always, t)).isTrue();
      assertThat(shows(some, t)).as("frame " + frame).isEqualTo(frame >= 25 && frame < 60);
    }
    assertThat(some.at(0.99, 0.5).numbers()).as("the shutter lets nothing in").isEmpty();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void andSoInTheAnimatedSvg(String kind) {
    // What is cut is in a group that is never there.
    int others = kind.equals("foreground-cut") ? 3 : 1;
    assertThat(AnimatedSvg.write(TestScenes.prepare(document(kind, ""))).split("-shown\\{"))
        .hasSize(others);
    String svg =
        AnimatedSvg.write(TestScenes.prepare(document(kind, "\"shownFrom\":1,\"shownTo\":2.4")));
    assertThat(svg).contains("-shown{0%{opacity:0}25%{opacity:1}60%{opacity:0}}");
    assertThat(svg).contains("4s step-end infinite");
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void hasWhatEveryItemHasAndComesBackAsItWas(String kind) {
    String common =
        "\"name\":\"Kite\",\"shownFrom\":0.5,\"shownTo\":3,\"hidden\":true,\"locked\":true,\"later\":7";
    Scene s = SceneCodec.read(document(kind, common));
    assertThat(s.item("it").properties())
        .isEqualTo(new ItemProperties("it", "Kite").shown(0.5, 3).flagged(true, true));
    String written = SceneCodec.write(s);
    assertThat(written).contains("\"version\":2", "\"later\":7");
    assertThat(SceneCodec.read(written)).isEqualTo(s);
    assertThat(SceneCodec.write(SceneCodec.read(written))).isEqualTo(written);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void keepsAllOfItWhateverIsEdited(String kind) {
    Scene s = SceneCodec.read(document(kind, "\"name\":\"Kite\",\"shownFrom\":0.5,\"later\":7"));
    String edit =
        "{\"op\":\"set\",\"item\":\"it\",\"channel\":\"opacity\",\"time\":0,\"value\":40}";
    Item edited = SceneEdits.apply(s, edit).item("it");
    assertThat(edited.properties()).isEqualTo(s.item("it").properties());
    assertThat(edited.extras()).isEqualTo(s.item("it").extras());
    assertThat(edited.movable(Channel.OPACITY).base()).isEqualTo(40);
  }

  @Test
  void ofAKindThatIsNotKnownIsKeptAndToldAndNotPainted() {
    Scene s = SceneCodec.read(document("lantern", "\"name\":\"Lamp\",\"shownTo\":2"));
    PreparedScene prepared = TestScenes.prepare(SceneCodec.write(s));
    assertThat(shows(prepared, 0)).isFalse();
    assertThat(AnimatedSvg.write(prepared)).contains("</svg>");
    assertThat(Proof.of(prepared))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("lantern").contains("kept"));
    String written = SceneCodec.write(s);
    assertThat(written)
        .contains("\"kind\":\"lantern\"", "\"name\":\"Lamp\"", "\"depth\":[1,{\"of\":2}]");
    Scene grouped =
        SceneEdits.apply(s, "{\"op\":\"group\",\"id\":\"g\",\"items\":[\"it\"],\"name\":\"G\"}");
    assertThat(SceneCodec.read(SceneCodec.write(grouped)).item("it")).isEqualTo(s.item("it"));
    assertThat(SceneEdits.apply(s, "{\"op\":\"deleteItem\",\"item\":\"it\"}").items()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "lettering | \"shownFrom\":2,\"shownTo\":2 | $.items[0].shownTo | does not come after",
        "drawing | \"shownFrom\":-1 | $.items[0].shownFrom | out of range",
        "drawing | \"shownTo\":\"noon\" | $.items[0].shownTo | is not a number",
        "group | \"scale\":0 | $.items[1].scale | out of range",
        "group | \"x\":{\"keyframes\":[{\"time\":0,\"value\":1,\"cue\":\"c\"}]} | $.items[1].x.keyframes[0].cue | no cue",
        "lettering | \"path\":\"q\" | $.items[0].path | no path has the id",
        "lettering | \"size\":{\"follow\":{\"lettering\":\"o\"}} | $.items[0].size.follow | no lettering",
        "'' | '' | $.items[0].kind | is missing"
      })
  void isToldWithItsPlaceWhereItIsWrong(String kind, String more, String path, String reason) {
    String given = document(kind, more).replace("\"path\":\"p\",\"path\"", "\"path\"");
    assertThatThrownBy(() -> SceneCodec.read(given))
        .isInstanceOf(DocumentException.class)
        .satisfies(
            e ->
                assertThat(((DocumentException) e).problems())
                    .extracting(Problem::path)
                    .contains(path))
        .satisfies(
            e ->
                assertThat(((DocumentException) e).problems())
                    .anyMatch(p -> p.reason().contains(reason)));
  }

  @Test
  void aVersionNewerThanThisIsRefusedWithItsNumber() {
    assertThatThrownBy(
            () -> SceneCodec.read(document("group", "").replace("\"version\":2", "\"version\":3")))
        .hasMessageContaining("version 3 is not known here");
  }

  @Test
  void aDocumentOfVersionOneIsReadAsItWasAndWrittenAsVersionTwo() {
    String one =
        """
        {"format":"roving-glyph-scene","version":1,"name":"Old","width":1000,"height":1000,"rate":"25","length":4,
         "paths":[%s],"letterings":[{"id":"l","text":"up","path":"p"}],
         "pictures":[{"id":"d","parts":[]}],"groups":[{"id":"g","members":["d"]}]}"""
            .formatted(TestScenes.LINE);
    Scene s = SceneCodec.read(one);
    assertThat(s.items().keySet()).containsExactly("l", "d", "g");
    assertThat(s.stack()).containsExactly("l", "g");
    assertThat(s.item("d").name()).isEqualTo("Picture");
    assertThat(SceneCodec.read(SceneCodec.write(s))).isEqualTo(s);
    assertThat(SceneCodec.write(s)).doesNotContain("letterings", "pictures", "groups");
  }

  private static Scene edited(String fields) {
    Scene s = SceneCodec.read(document("drawing", "\"shownFrom\":1,\"shownTo\":2"));
    return SceneEdits.apply(s, "{\"op\":\"shown\",\"items\":[\"it\"]" + fields + "}");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "''                    | 1    | 2",
        "',\"from\":0.513'     | 0.52 | 2",
        "',\"to\":3.001'       | 1    | 3",
        "',\"from\":0'         | -Infinity | 2",
        "',\"from\":null'      | -Infinity | 2",
        "',\"to\":null'        | 1    | Infinity",
        "',\"to\":4'           | 1    | Infinity",
        "',\"to\":99'          | 1    | Infinity",
        "',\"from\":-5'        | -Infinity | 2",
        "',\"from\":2.5'       | 2.52 | 2.56",
        "',\"from\":99'        | 3.96 | Infinity",
        "',\"to\":0.5'         | 0.48 | 0.52",
        "',\"to\":-3'          | -Infinity | 0.04"
      })
  void theEditOfItsTimesGoesToFramesAndAlwaysLeavesOne(String fields, double from, double to) {
    ItemProperties p = edited(fields).item("it").properties();
    assertThat(List.of(p.shownFrom(), p.shownTo())).containsExactly(from, to);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"',\"from\":\"noon\"' | a number", "',\"to\":[]' | a number"})
  void andTellsWhatIsNoTime(String fields, String reason) {
    assertThatThrownBy(() -> edited(fields)).hasMessageContaining(reason);
  }
}
