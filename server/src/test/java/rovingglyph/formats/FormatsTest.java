package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
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
    Path out = folder.resolve("file." + f.extension());
    f.write(scene(), Bitmaps.NONE, ExportOptions.parse(f, options), out, progress);
    return out;
  }

  @Test
  void eachHasWordsAndEndsOfItsOwn() {
    assertThat(all()).extracting(ExportFormat::id).doesNotHaveDuplicates();
    assertThat(all()).extracting(ExportFormat::label).doesNotHaveDuplicates();
    assertThat(all()).extracting(ExportFormat::extension).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @MethodSource("all")
  void isFoundByItsWordAndByTheEndOfAFileName(ExportFormat f) {
    assertThat(ExportFormats.of(f.id())).isSameAs(f);
    assertThat(ExportFormats.of(f.id() + "x")).isNull();
    assertThat(ExportFormats.ofFile("a.b." + f.extension())).isSameAs(f);
    assertThat(ExportFormats.ofFile("A." + f.extension().toUpperCase(Locale.ROOT))).isSameAs(f);
    assertThat(ExportFormats.ofFile("a" + f.extension())).isNull();
    assertThat(f.mediaType()).contains("/");
  }

  @ParameterizedTest
  @MethodSource("all")
  void writesItsFileAndTellsHowFarItIs(ExportFormat f) throws IOException {
    List<Integer> told = new ArrayList<>();
    Path out = written(f, "{}", new Progress(told::add));
    assertThat(Files.size(out)).isGreaterThan(60);
    assertThat(f.unsupportedReason(scene().scene())).isNull();
    if (f.frames(scene().scene()) > 1) {
      assertThat(told).startsWith(0, 1, 2).endsWith(12);
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void leavesNothingWhenItIsCancelled(ExportFormat f) {
    if (f.frames(scene().scene()) > 1) {
      assertThatThrownBy(() -> written(f, "{}", new Progress(n -> n < 5)))
          .isInstanceOf(Progress.Cancelled.class);
      assertThat(folder.resolve("file." + f.extension())).doesNotExist();
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void tellsForEachOfItsOptionsWhatIsOutOfRangeOrNoNumber(ExportFormat f) {
    for (ExportOption o : f.options()) {
      assertThat(o.initial()).isBetween(o.min(), o.max());
      for (String wrong : new String[] {"\"many\"", "" + (o.max() + 1), "" + (o.min() - 1), "[]"}) {
        Fields fields = Fields.of(Json.parse("{\"" + o.name() + "\":" + wrong + "}"));
        ExportOptions.read(f, fields);
        assertThatThrownBy(fields::check)
            .as(f.id() + " " + o.name() + " " + wrong)
            .isInstanceOf(DocumentException.class)
            .hasMessageContaining(o.name());
      }
      ExportOptions chosen = ExportOptions.parse(f, "{\"" + o.name() + "\":" + o.max() + "}");
      assertThat(chosen.number(o)).isEqualTo(o.max());
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
    // Another decoder takes it apart.
    Process p =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-i",
                apng.toString(),
                "-f",
                "rawvideo",
                "-pix_fmt",
                "bgra",
                "-fps_mode",
                "passthrough",
                "pipe:1")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    byte[] all = p.getInputStream().readAllBytes();
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
