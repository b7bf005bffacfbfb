package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Rect;
import rovingglyph.proof.LoopCheck;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/**
 * The pieces to start from are whole in every frame: in sight, closed, and with nothing to mend.
 */
class ReadyPiecesTest {
  private static PreparedScene piece(String kind, int width, int height, double length) {
    String empty =
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"width\":%d,\"height\":%d,\"length\":%s}"
            .formatted(width, height, length);
    String edit =
        "{\"op\":\"readyPiece\",\"id\":\"w\",\"path\":\"p\",\"piece\":\"%s\"}".formatted(kind);
    Scene made = SceneEdits.apply(SceneCodec.read(empty), edit);
    // As it is kept and read again.
    Scene kept = SceneCodec.read(SceneCodec.write(made));
    return Preparation.prepare(kept, TestScenes::run);
  }

  @ParameterizedTest
  @CsvSource({
    "badge, 1920, 1080, 6",
    "badge, 1080, 1920, 6",
    "badge, 600, 600, 4",
    "border, 1920, 1080, 6",
    "border, 1080, 1920, 6",
    "border, 600, 600, 10"
  })
  void whatGoesRoundClosesAndStaysInTheFrame(String kind, int width, int height, double length) {
    PreparedScene s = piece(kind, width, height, length);
    assertThat(Proof.of(s)).isEmpty();
    assertThat(LoopCheck.of(s)).isEmpty();
    for (int i = 0; i < 8; i++) {
      Rect box = s.frameBox("w", length * i / 8);
      assertThat(s.area().contains(box)).as("%s at %d: %s", kind, i, box).isTrue();
    }
    assertThat(s.scene().item("w").movable(Channel.PATH_OFFSET).moves()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"1920, 1080, 6", "1080, 1920, 6", "1080, 1080, 4", "1080, 1350, 2"})
  void theTitleComesFromOutsideAndStaysInTheMiddle(int width, int height, double length) {
    PreparedScene s = piece("title", width, height, length);
    assertThat(Proof.of(s)).isEmpty();
    PreparedLettering l = s.letterings().get("w");
    assertThat(l.touches(l.values(0), s.area())).isFalse();
    Rect rest = s.frameBox("w", length - 0.04);
    assertThat(s.area().contains(rest)).isTrue();
    assertThat(Math.abs(rest.centre().x() - width / 2.0)).isLessThan(0.03 * width);
    assertThat(s.frameBox("w", length * 0.6)).isEqualTo(rest);
  }

  @ParameterizedTest
  @CsvSource({"badge, endless-lap", "title, enter-hold-leave", "border, endless-lap"})
  void theyAreMadeOfWhatCanBeChanged(String kind, String recipe) {
    Scene s = piece(kind, 1920, 1080, 6).scene();
    Lettering l = (Lettering) s.item("w");
    assertThat(l.letterEffects().recipes())
        .extracting(r -> r.kind().name().toLowerCase())
        .isEqualTo(List.of(recipe.replace('-', '_')));
    assertThat(s.path("p").name()).isNotBlank();
    assertThat(l.path()).isEqualTo("p");
  }
}
