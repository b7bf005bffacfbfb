package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Images;
import rovingglyph.render.Progress;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** Stills as other people's readers see them. */
class StillFilesTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final double TIME = 1.3;

  @TempDir Path folder;

  private static PreparedScene demo(String name) throws IOException {
    String json = Files.readString(Path.of("../demo/" + name + ".json"));
    return Preparation.prepare(SceneCodec.read(json), SHAPER);
  }

  private Path written(String format, String options, PreparedScene scene) throws IOException {
    ExportFormat f = ExportFormats.of(format);
    Path out = folder.resolve("still." + f.words().extension());
    f.write(scene, Bitmaps.NONE, ExportOptions.parse(f, options), out, new Progress());
    return out;
  }

  private static String said(String... command) throws IOException {
    Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
    return new String(p.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
  }

  /** The mean difference of a channel, 0 to 255. */
  private static double difference(BufferedImage a, BufferedImage b) {
    assertThat(List.of(a.getWidth(), a.getHeight()))
        .isEqualTo(List.of(b.getWidth(), b.getHeight()));
    long sum = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        for (int shift = 0; shift < 24; shift += 8) {
          sum += Math.abs((a.getRGB(x, y) >> shift & 255) - (b.getRGB(x, y) >> shift & 255));
        }
      }
    }
    return sum / 3.0 / a.getWidth() / a.getHeight();
  }

  @ParameterizedTest
  @ValueSource(strings = {"kite-string-entrance", "dune-ribbon", "wind-rose-badge"})
  void aPdfIsSoundAndOfOutlinesAndLooksAsTheRender(String name) throws IOException {
    PreparedScene scene = demo(name);
    Path pdf = written("pdf", "{\"at\":" + TIME + "}", scene);
    assertThat(said("qpdf", "--check", pdf.toString())).contains("No syntax or stream");
    assertThat(said("qpdf", "--qdf", pdf.toString(), "-")).doesNotContain("/Subtype /Image");
    String page = folder.resolve("page").toString();
    said("pdftoppm", "-r", "96", "-png", "-singlefile", pdf.toString(), page);
    BufferedImage seen = ImageIO.read(Path.of(page + ".png").toFile());
    assertThat(difference(seen, Images.of(scene, TIME))).isLessThan(1.5);
  }

  @ParameterizedTest
  @ValueSource(strings = {"kite-string-entrance", "dune-ribbon", "wall-of-wind"})
  void anSvgIsReadByProgramsThatKnowNoStyles(String name) throws IOException {
    PreparedScene scene = demo(name);
    Path svg = written("svg-still", "{\"at\":" + TIME + "}", scene);
    String page = folder.resolve("page.png").toString();
    said("rsvg-convert", "--unlimited", "-o", page, svg.toString());
    assertThat(difference(ImageIO.read(Path.of(page).toFile()), Images.of(scene, TIME)))
        .isLessThan(1.5);
  }

  @ParameterizedTest
  @ValueSource(strings = {"8", "16"})
  void aPngIsSound(String depth) throws IOException {
    Path png = written("png", "{\"depth\":\"" + depth + "\"}", demo("wind-rose-badge"));
    assertThat(said("pngcheck", png.toString()))
        .startsWith("OK")
        .contains(4 * Integer.parseInt(depth) + "-bit RGB+alpha");
  }
}
