package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Images;
import rovingglyph.render.Progress;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** What holds for every format, and for what some write. */
class FormatsTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  @TempDir Path folder;

  /** 60 x 40 px, 12 frames of 25 a second: a half faded square that moves, on nothing. */
  private static PreparedScene scene() {
    return Preparation.prepare(
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":2,"name":"Up & away, 2","width":60,"height":40,
             "rate":"25","length":0.48,"items":[{"kind":"drawing","id":"d","y":20,"opacity":60,
               "x":{"keyframes":[{"time":0,"value":10},{"time":0.4,"value":44}]},
               "rotation":20,"parts":[{"d":"M-8-8H8V8H-8Z","fill":"#C4472D"}]}]}"""),
        SHAPER);
  }

  static List<ExportFormat> all() {
    return ExportFormats.ALL;
  }

  private Path written(ExportFormat f, String options, Progress progress) throws IOException {
    Path out = folder.resolve("file." + f.words().extension());
    f.write(scene(), Bitmaps.NONE, ExportOptions.parse(f, options), out, progress);
    return out;
  }

  @Test
  void eachHasWordsOfItsOwn() {
    assertThat(all()).extracting(ExportFormat::id).doesNotHaveDuplicates();
    assertThat(all()).extracting(f -> f.words().label()).doesNotHaveDuplicates();
    assertThat(all()).extracting(f -> f.words().noun()).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @MethodSource("all")
  void isFoundByItsWordAndTheFirstOfAnEndByTheEndOfAFileName(ExportFormat f) {
    String end = f.words().extension();
    ExportFormat first =
        all().stream().filter(o -> o.words().extension().equals(end)).findFirst().orElseThrow();
    assertThat(ExportFormats.of(f.id())).isSameAs(f);
    assertThat(ExportFormats.of(f.id() + "x")).isNull();
    assertThat(ExportFormats.ofFile("a.b." + end)).isSameAs(first);
    assertThat(ExportFormats.ofFile("A." + end.toUpperCase(Locale.ROOT))).isSameAs(first);
    assertThat(ExportFormats.ofFile("a" + end)).isNull();
    assertThat(f.words().mediaType()).contains("/");
  }

  /** Those that can be made of the scene, which has no sound and is too small for some. */
  static List<ExportFormat> possible() {
    List<ExportFormat> out =
        all().stream()
            .filter(f -> f.unsupportedReason(scene().scene(), ExportOptions.of(f)) == null)
            .toList();
    assertThat(out).hasSize(all().size() - 3);
    return out;
  }

  @ParameterizedTest
  @MethodSource("possible")
  void writesItsFileAndTellsHowFarItIs(ExportFormat f) throws IOException {
    List<Integer> told = new ArrayList<>();
    Path out = written(f, "{}", new Progress(told::add));
    assertThat(Files.size(out)).isGreaterThan(f.id().equals("srt") ? -1 : 6);
    if (f.frames(scene().scene(), ExportOptions.of(f)) > 1) {
      assertThat(told).contains(0, 1, 2).endsWith(12);
    }
  }

  @ParameterizedTest
  @MethodSource("possible")
  void leavesNothingWhenItIsCancelled(ExportFormat f) {
    if (f.frames(scene().scene(), ExportOptions.of(f)) > 1) {
      assertThatThrownBy(() -> written(f, "{}", new Progress(n -> n < 5)))
          .isInstanceOf(Progress.Cancelled.class);
      assertThat(folder.resolve("file." + f.words().extension())).doesNotExist();
    }
  }

  /** Values that an option does not take. */
  private static List<String> wrong(ExportOption o) {
    List<String> out = new ArrayList<>(List.of("[]", "{}", "true", "\"many\""));
    if (o instanceof NumberOption n) {
      out.addAll(List.of("" + (n.max() + 1), "" + (n.min() - 1)));
    } else {
      out.add("7");
    }
    return out;
  }

  /** One that it takes, and not by itself. */
  private static JsonValue right(ExportOption o) {
    if (o instanceof NumberOption n) {
      return Json.value(n.max());
    }
    return o instanceof ChoiceOption c
        ? Json.value(c.choices().get(c.choices().size() - 1).value())
        : Json.value("#2A9D8F");
  }

  @ParameterizedTest
  @MethodSource("all")
  void tellsForEachOfItsOptionsWhatIsWrong(ExportFormat f) {
    for (ExportOption o : f.options()) {
      for (String wrong : wrong(o)) {
        Fields fields = Fields.of(Json.parse("{\"" + o.name() + "\":" + wrong + "}"));
        ExportOptions.read(f, fields);
        assertThatThrownBy(fields::check)
            .as(f.id() + " " + o.name() + " " + wrong)
            .isInstanceOf(DocumentException.class)
            .hasMessageContaining(o.name());
      }
      String given = new JsonObject().add(o.name(), right(o)).toString();
      ExportOptions chosen = ExportOptions.parse(f, given);
      assertThat(chosen.values().get(o.name())).isEqualTo(right(o));
      assertThat(ExportOptions.parse(f, chosen.text())).isEqualTo(chosen);
    }
  }

  private static void same(BufferedImage is, BufferedImage wanted) {
    int w = wanted.getWidth();
    int h = wanted.getHeight();
    assertThat(List.of(is.getWidth(), is.getHeight())).containsExactly(w, h);
    assertThat(is.getRGB(0, 0, w, h, null, 0, w)).isEqualTo(wanted.getRGB(0, 0, w, h, null, 0, w));
  }

  @ParameterizedTest
  @CsvSource({"100, 0, 4", "150, 37, 4", "50, 9995, 5"})
  void aSequenceHasEveryFrameNumberedAsItIs(double size, int first, int digits) throws IOException {
    Path zip =
        written(
            ExportFormats.of("png-sequence"),
            "{\"size\":" + size + ",\"first\":" + first + "}",
            new Progress());
    PreparedScene scene = scene();
    try (ZipFile file = new ZipFile(zip.toFile())) {
      assertThat(file.size()).isEqualTo(12);
      int f = 0;
      for (ZipEntry e : file.stream().toList()) {
        String number = String.format(Locale.ROOT, "%0" + digits + "d", first + f);
        assertThat(e.getName()).isEqualTo("Up-away-2-" + number + ".png");
        byte[] png = file.getInputStream(e).readAllBytes();
        same(ImageIO.read(new ByteArrayInputStream(png)), Images.of(scene, size / 100, f++ / 25.0));
      }
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {100, 35})
  void anAnimatedPngHasEveryPixelOfEveryFrameWithItsTransparency(int size) throws Exception {
    Path apng = written(ExportFormats.of("apng"), "{\"size\":" + size + "}", new Progress());
    byte[] all = Decoded.pixels(apng, List.of());
    PreparedScene scene = scene();
    BufferedImage first = Images.of(scene, size / 100.0, 0);
    int w = first.getWidth();
    int h = first.getHeight();
    assertThat(all).hasSize(12 * w * h * 4);
    for (int f = 0; f < 12; f++) {
      BufferedImage is = new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB);
      for (int i = 0; i < w * h; i++) {
        int at = (f * w * h + i) * 4;
        is.setRGB(
            i % w,
            i / w,
            (all[at + 3] & 255) << 24
                | (all[at + 2] & 255) << 16
                | (all[at + 1] & 255) << 8
                | (all[at] & 255));
      }
      same(is, Images.of(scene, size / 100.0, f / 25.0));
    }
  }

  @Test
  void andSaysHowOftenItPlays() throws IOException {
    byte[] bytes =
        Files.readAllBytes(written(ExportFormats.of("apng"), "{\"loops\":3}", new Progress()));
    String text = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1);
    int control = text.indexOf("acTL");
    // acTL: the number of frames, and of plays, each in four bytes.
    assertThat(bytes[control + 7]).isEqualTo((byte) 12);
    assertThat(bytes[control + 11]).isEqualTo((byte) 3);
  }

  @Test
  void aStillIsOfItsTimeAndSize() throws IOException {
    Path png = written(ExportFormats.of("png"), "{\"at\":0.2,\"size\":200}", new Progress());
    same(ImageIO.read(png.toFile()), Images.of(scene(), 2, 0.2));
  }
}
