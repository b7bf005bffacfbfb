package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.formats.EmbeddedBitmaps;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Scene;
import rovingglyph.server.TestServer;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.AnimatedSvg;

/**
 * The same frame as a picture from the renderer, the browser's canvas and the exported SVG. The
 * measure: the mean difference of a colour channel (of 255) over the frame, and the share of pixels
 * in which a channel differs by more than 64. Two antialiasers differ at edges; a shift of one
 * pixel of the demo's lettering would move both far beyond the limits, as the last test shows.
 */
class PictureTest {
  private static final double MEAN = 0.15;
  private static final double SHARE = 0.0005;

  /** Browsers move letters as pictures of their own, whose edges are a little softer. */
  private static final double NEAR = 0.97;

  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  /**
   * How far two pictures are apart.
   *
   * @param mean of the channels, of 255
   * @param share of the pixels in which a channel differs by more than 64
   * @param near the share of those in which none differs by more than 8
   */
  record Difference(double mean, double share, double near) {
    static Difference of(BufferedImage a, BufferedImage b) {
      assertThat(a.getWidth()).isEqualTo(b.getWidth());
      assertThat(a.getHeight()).isEqualTo(b.getHeight());
      long sum = 0;
      long far = 0;
      long near = 0;
      for (int y = 0; y < a.getHeight(); y++) {
        for (int x = 0; x < a.getWidth(); x++) {
          int worst = 0;
          for (int shift = 0; shift < 24; shift += 8) {
            int d = Math.abs((a.getRGB(x, y) >> shift & 255) - (b.getRGB(x, y) >> shift & 255));
            sum += d;
            worst = Math.max(worst, d);
          }
          far += worst > 64 ? 1 : 0;
          near += worst <= 8 ? 1 : 0;
        }
      }
      double pixels = (double) a.getWidth() * a.getHeight();
      return new Difference(sum / pixels / 3, far / pixels, near / pixels);
    }
  }

  private static PreparedScene demo(String name) throws IOException {
    return Preparation.prepare(
        TestShelf.filledWithStills(Files.readString(Path.of("../demo/" + name + ".json"))), SHAPER);
  }

  private static BufferedImage png(byte[] bytes) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(bytes));
  }

  /** A scene full of long edges differs by more of them, as one with a picture does. */
  @ParameterizedTest
  @CsvSource({
    "kite-string-entrance, 0.15",
    "wind-rose-badge, 0.15",
    "dune-ribbon, 0.15",
    "pennant-line, 0.6",
    "night-market-sign, 0.5",
    "over-the-dune, 0.5",
    "pier-screens, 0.7"
  })
  void theAnimatedSvgShowsTheFramesOfTheRenderer(String name, double mean) throws IOException {
    PreparedScene scene = demo(name);
    Page page = Browser.context(scene.scene().width(), scene.scene().height()).newPage();
    SvgPage.show(page, AnimatedSvg.write(scene, new EmbeddedBitmaps(KeptPictures.bitmaps())));
    for (double share : new double[] {0.03, 0.1, 0.18, 0.4, 0.62, 0.7, 0.95}) {
      double t = scene.scene().rate().timeOf(Math.round(share * scene.scene().frameCount()));
      SvgPage.goTo(page, t);
      BufferedImage rendered = Images.of(scene, KeptPictures.bitmaps(), 1, t);
      Difference d =
          SvgPage.compared(
              page,
              shot -> Difference.of(rendered, shot),
              found -> found.mean < mean && found.share < SHARE);
      assertThat(d.mean).as(name + " at " + t).isLessThan(mean);
      assertThat(d.share).as(name + " at " + t).isLessThan(SHARE);
      assertThat(d.near).as(name + " at " + t).isGreaterThan(NEAR);
    }
    page.context().close();
  }

  @Test
  void everySeatRuleLooksTheSameInTheSvg() throws IOException {
    for (String seat :
        List.of(
            "\"ends\":\"cut\"",
            "\"ends\":\"wrap\"",
            "\"ends\":\"continue\",\"baselineShift\":-20",
            "\"side\":\"right\"",
            "\"orientation\":\"upright\"",
            "\"orientation\":\"upright\",\"baselineShift\":30",
            "\"orientation\":\"fixed\",\"fixedAngle\":20,\"letterTurn\":{\"sway\":{\"amplitude\":30,\"period\":1}}",
            "\"method\":\"bent\",\"baselineShift\":{\"sway\":{\"amplitude\":20,\"period\":1},\"stagger\":{\"delay\":0.05}}",
            "\"evenSpacing\":true",
            "\"fit\":\"spread\"")) {
      String document =
          """
          {"format":"roving-glyph-scene","version":1,"width":600,"height":400,"rate":"25","length":2,"background":"#FFFFFF",
           "paths":[{"id":"p","kind":"drawn","points":[{"x":80,"y":300,"out":[100,-300]},{"x":520,"y":200,"in":[-150,150]}]}],
           "letterings":[{"id":"l","text":"kites aloft","path":"p","face":"comfortaa",
             "size":{"keyframes":[{"time":0,"value":40,"easing":"gentle-both"},{"time":3,"value":70}]},
             "opacity":{"keyframes":[{"time":0,"value":30},{"time":1,"value":100}]},
             "rotation":{"keyframes":[{"time":0,"value":0,"easing":"gentle-start"},{"time":2,"value":40}]},
             "seat":{%s,"startMargin":{"keyframes":[{"time":0,"value":0},{"time":2,"value":50}]},
               "pathOffset":{"keyframes":[{"time":0.2,"value":-120,"easing":"gentle-stop"},{"time":1.8,"value":300}]}}}]}"""
              .formatted(seat);
      PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
      Page page = Browser.context(600, 400).newPage();
      SvgPage.show(page, AnimatedSvg.write(scene));
      for (int frame : new int[] {2, 12, 25, 37, 46}) {
        double t = frame / 25.0;
        SvgPage.goTo(page, t + 1e-6);
        BufferedImage rendered = Images.of(scene, t);
        Difference d =
            SvgPage.compared(
                page,
                shot -> Difference.of(rendered, shot),
                found -> found.mean < 6 * MEAN && found.share < 10 * SHARE);
        assertThat(d.mean).as(seat + " at " + t).isLessThan(6 * MEAN);
        assertThat(d.share).as(seat + " at " + t).isLessThan(10 * SHARE);
      }
      page.context().close();
    }
  }

  @Test
  void theStageShowsTheFrameOfTheRenderer() throws IOException {
    Page page = Browser.page();
    TestServer server = TestServer.shared();
    Workbench w = Workbench.ofNewScene(server, page, "Parity");
    page.keyboard().press("f");
    page.waitForTimeout(200);
    BoundingBox room = page.locator("main canvas").locator("xpath=../..").boundingBox();
    int width = (int) room.width;
    int height = (int) room.height;
    Scene demo =
        SceneCodec.read(
            Files.readString(Path.of("../demo/kite-string-entrance.json"))
                .replace(
                    "\"width\": 1920, \"height\": 1080",
                    "\"width\": " + width + ", \"height\": " + height));
    // All of it turned and faded as one.
    String all = "[\"" + String.join("\",\"", demo.stack()) + "\"]";
    Scene grouped = SceneEdits.apply(demo, "{\"op\":\"group\",\"id\":\"g\",\"items\":" + all + "}");
    Group g = (Group) grouped.item("g");
    Group faded =
        g.with(Channel.OPACITY, new AnimatedValue(60))
            .with(Channel.ROTATION, new AnimatedValue(15));
    String document = SceneCodec.write(grouped.withItem(faded));
    server.send("PUT", "/api/scenes/" + w.sceneId, document, "If-Match", "\"1\"");
    page.reload();
    page.getByTestId("overlay").waitFor();
    page.keyboard().press("f");
    page.waitForTimeout(800);
    PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
    String url = (String) page.evaluate("() => document.querySelector('main canvas').toDataURL()");
    BufferedImage canvas = png(Base64.getDecoder().decode(url.substring(url.indexOf(',') + 1)));
    Difference d = Difference.of(Images.of(scene, 2), canvas);
    assertThat(d.mean).isLessThan(MEAN);
    assertThat(d.share).isLessThan(SHARE);
    Browser.close(page);
  }

  @Test
  void theMeasureSeesAShiftOfOnePixel() throws IOException {
    String document = Files.readString(Path.of("../demo/kite-string-entrance.json"));
    PreparedScene one = Preparation.prepare(SceneCodec.read(document), SHAPER);
    String shifted = document.replace("\"baselineShift\": 18", "\"baselineShift\": 19");
    PreparedScene other = Preparation.prepare(SceneCodec.read(shifted), SHAPER);
    Difference d = Difference.of(Images.of(one, 2), Images.of(other, 2));
    assertThat(d.share).isGreaterThan(3 * SHARE);
  }
}
