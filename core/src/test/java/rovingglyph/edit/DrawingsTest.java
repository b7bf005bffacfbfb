package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Scene;

class DrawingsTest {
  private static final String EMPTY =
      """
      {"format":"roving-glyph-scene","version":2,"name":"D","width":1000,"height":600,"rate":"25","length":4}""";

  private static final String ADD =
      """
      {"op":"addDrawing","id":"kite","name":"Kite","width":2000,"height":400,"x":300,"y":200,
       "parts":[{"d":"M0 0H9V9Z","fill":"#112233"},{"d":"M1 1H9V9Z","fill":"#445566"},
         {"d":"M2 2H9V9Z","fill":"#112233"}]}""";

  private static Drawing kite(Scene s) {
    return (Drawing) s.item("kite");
  }

  @Test
  void aDrawingIsAddedWhereItIsAskedForAndSeenWhole() {
    Scene s = SceneEdits.apply(SceneCodec.read(EMPTY), ADD);
    assertThat(kite(s).parts()).hasSize(3);
    assertThat(kite(s).movable(Channel.X).base()).isEqualTo(300);
    assertThat(kite(s).movable(Channel.SCALE).base()).isEqualTo(0.5);
    assertThat(SceneCodec.read(SceneCodec.write(s))).isEqualTo(s);
  }

  @Test
  void partsGetAnotherColour() {
    Scene s = SceneEdits.apply(SceneCodec.read(EMPTY), ADD);
    String edit = "{\"op\":\"recolour\",\"item\":\"kite\",\"indexes\":[%s],\"colour\":\"#C4472D\"}";
    Scene red = SceneEdits.apply(s, edit.formatted("0,2"));
    assertThat(kite(red).parts())
        .extracting(Drawing.Part::fill)
        .containsExactly(0xC4472D, 0x445566, 0xC4472D);
    assertThat(kite(red).parts())
        .extracting(Drawing.Part::data)
        .containsExactlyElementsOf(kite(s).parts().stream().map(Drawing.Part::data).toList());
    assertThatThrownBy(() -> SceneEdits.apply(s, edit.formatted("3")))
        .hasMessageContaining("no part 4");
  }

  @Test
  void whatIsNoPathDataIsToldWithItsPlace() {
    String bad = ADD.replace("M1 1H9V9Z", "M1 1Q");
    assertThatThrownBy(() -> SceneEdits.apply(SceneCodec.read(EMPTY), bad))
        .hasMessageContaining("parts[1].d");
  }
}
