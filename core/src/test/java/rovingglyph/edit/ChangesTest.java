package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;

/** Fields of several items are changed at once. */
class ChangesTest {
  private static final Scene SCENE =
      SceneCodec.read(
          """
          {"format":"roving-glyph-scene","version":2,"name":"Changes","width":1000,"height":1000,
           "rate":"25","length":4,"paths":[{"id":"p","kind":"circle","x":500,"y":500,"radius":200}],
           "items":[
            {"kind":"lettering","id":"a","text":"kites","path":"p","seat":{"side":"right","leastGap":3}},
            {"kind":"lettering","id":"b","text":"buoys","path":"p",
             "seat":{"orientation":"upright","pathOffset":{"keyframes":[{"time":1,"value":9}]}}}]}""");

  private static Scene changed(String fields) {
    return SceneEdits.apply(
        SCENE,
        "{\"op\":\"change\",\"items\":[\"a\",\"b\"],\"part\":\"seat\",\"fields\":" + fields + "}");
  }

  private static Lettering lettering(Scene scene, String id) {
    return (Lettering) scene.item(id);
  }

  /** Also what the first one has already goes to the others; all else of each stays. */
  @Test
  void aPartOfAllGetsWhatIsNamedAndKeepsTheRest() {
    Scene after = changed("{\"orientation\":\"turn\",\"leastGap\":3}");
    assertThat(after.item("a")).isEqualTo(SCENE.item("a"));
    Lettering b = lettering(after, "b");
    assertThat(b.seat().orientation()).isEqualTo(Seat.Orientation.TURN);
    assertThat(b.seat().leastGap()).isEqualTo(3);
    assertThat(b.seat().side()).isEqualTo(lettering(SCENE, "b").seat().side());
    assertThat(b.values()).isEqualTo(lettering(SCENE, "b").values());
    assertThat(lettering(changed("{\"leastGap\":null}"), "a").seat().leastGap()).isZero();
  }

  @Test
  void whatCannotBeIsToldAndNothingIsChanged() {
    assertThatThrownBy(() -> changed("{\"orientation\":\"sideways\"}"))
        .hasMessageContaining("orientation");
  }
}
