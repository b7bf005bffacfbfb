package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** What a Lottie file says, and what is told of what it cannot. */
class LottieFormatTest {
  private static final ExportFormat LOTTIE = ExportFormats.of("lottie");

  @TempDir Path folder;

  private static Scene scene(String more, String ofItem) {
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Kite \\"up\\"","width":320,"height":180,
         "rate":"24","length":200,"background":"#24607A"%s,
         "paths":[{"id":"p","kind":"circle","x":160,"y":90,"radius":60}],
         "items":[{"kind":"lettering","id":"l","text":"kites up","face":"league-spartan","path":"p",
          "size":24,"fill":"#F4F1DE","pathOffset":{"cruise":{"pace":"laps","amount":20}}%s}]}"""
            .formatted(more, ofItem));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | ,\"opacity\":50 | ''",
        "'' | ,\"effects\":[{\"kind\":\"outline\",\"id\":\"e\"}] | ''",
        "'' | ,\"effects\":[{\"kind\":\"blur\",\"id\":\"e\",\"off\":true}] | ''",
        "'' | ,\"effects\":[{\"kind\":\"blur\",\"id\":\"e\"}] | blurs",
        "'' | ,\"effects\":[{\"kind\":\"drop-shadow\",\"id\":\"e\"}] | shadows",
        "'' | ,\"clip\":{\"path\":\"p\",\"softEdge\":4} | soft edges",
        "'' | ,\"blendMode\":\"multiply\" | blend modes",
        "'' | ,\"blur\":180 | motion blur",
        ",\"blur\":{\"angle\":180} | '' | motion blur"
      })
  void whatItCannotSayIsListedBefore(String more, String ofItem, String told) {
    String note = LOTTIE.note(scene(more, ofItem), ExportOptions.of(LOTTIE));
    if (told.isEmpty()) {
      assertThat(note).isNull();
    } else {
      assertThat(note).contains(told);
    }
  }

  @Test
  void aRangeOfFramesIsWrittenAndLongOnesAreRefused() throws IOException {
    Scene scene = scene("", "");
    assertThat(LOTTIE.unsupportedReason(scene, ExportOptions.of(LOTTIE)))
        .contains("200 s", "120 s");
    ExportOptions some = ExportOptions.parse(LOTTIE, "{\"from\":48,\"to\":119}");
    assertThat(LOTTIE.unsupportedReason(scene, some)).isNull();
    Path file = folder.resolve("file.json");
    LOTTIE.write(
        Preparation.prepare(scene, new Shaper(FaceCatalogue.shipped())),
        Bitmaps.NONE,
        some,
        file,
        new Progress());
    JsonObject lottie = Json.parse(Files.readString(file)).asObject();
    assertThat(lottie.getString("nm", "")).isEqualTo("Kite \"up\"");
    assertThat(lottie.getInt("ver", 0)).isEqualTo(10_000);
    assertThat(lottie.getInt("fr", 0)).isEqualTo(24);
    assertThat(lottie.getInt("op", 0)).isEqualTo(72);
    // Letters in one layer, and the ground below.
    assertThat(lottie.get("layers").asArray()).hasSize(2);
    assertThat(lottie.get("layers").asArray().get(1).asObject().getString("sc", ""))
        .isEqualTo("#24607a");
  }
}
