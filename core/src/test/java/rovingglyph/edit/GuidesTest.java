package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.read;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Guide;
import rovingglyph.scene.Scene;

/** Lines across the stage. */
class GuidesTest {
  private Scene scene;

  @BeforeEach
  void one() {
    scene =
        SceneEdits.apply(
            read(document(LINE, "abc", "", "")),
            "{\"op\":\"addGuide\",\"id\":\"g\",\"upright\":true,\"at\":250}");
  }

  private static List<Double> at(Scene scene) {
    return scene.guides().stream().map(Guide::at).toList();
  }

  @Test
  void areAddedMovedAndRemoved() {
    assertThat(at(scene)).containsExactly(250.0);
    Scene moved = SceneEdits.apply(scene, "{\"op\":\"moveGuide\",\"guide\":\"g\",\"at\":-12.5}");
    assertThat(at(moved)).containsExactly(-12.5);
    assertThat(SceneCodec.read(SceneCodec.write(moved)).guides()).isEqualTo(moved.guides());
    Scene none = SceneEdits.apply(moved, "{\"op\":\"deleteGuide\",\"guide\":\"g\"}");
    assertThat(none.guides()).isEmpty();
    assertThatThrownBy(() -> SceneEdits.apply(none, "{\"op\":\"deleteGuide\",\"guide\":\"g\"}"))
        .hasMessageContaining("no such guide");
  }

  @ParameterizedTest
  @CsvSource({"scaled, 2000, 2000, 500", "scaled, 2000, 1000, 750", "left, 500, 500, 250"})
  void goWithTheContentsIntoAnotherFrame(String contents, int width, int height, double to) {
    Scene there =
        SceneEdits.apply(
            scene,
            "{\"op\":\"reframe\",\"width\":%d,\"height\":%d,\"contents\":\"%s\"}"
                .formatted(width, height, contents));
    assertThat(at(there)).containsExactly(to);
  }
}
