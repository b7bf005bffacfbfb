package rovingglyph.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** What is seen in perspective against a picture of it that is warped by other means. */
class PerspectiveTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final int WIDTH = 640;
  private static final int HEIGHT = 360;

  /** The flat picture is larger, so that warping it does not blur it. */
  private static final int FINE = 3;

  private static final double[] FROM = {160, 90, 480, 90, 480, 270, 160, 270};
  private static final double[] TO = {210, 60, 470, 130, 430, 280, 130, 330};

  private static final String OUTLINED =
      "\"effects\":[{\"id\":\"o\",\"kind\":\"outline\",\"width\":%d,\"colour\":\"#208060\"}]";

  private static final Map<String, String> ITEMS =
      Map.of(
          "lettering",
          """
          {"kind":"lettering","id":"it","text":"Saltmarsh Kites","face":"eb-garamond","size":58,
           "path":"line","seat":{"side":"left"},"colour":"#d03020"}""",
          "bent",
          """
          {"kind":"lettering","id":"it","text":"Ribbon","face":"eb-garamond","size":70,"path":"round",
           "colour":"#d03020",%s}"""
              .formatted(OUTLINED.formatted(4)),
          "linear",
          """
          {"kind":"colour-field","id":"it","area":"rectangle","filling":"linear","x":320,"y":180,
           "width":260,"height":150,"fromX":10,"fromY":10,"toX":90,"toY":70,
           "stops":[{"offset":0,"colour":"#203080"},{"offset":100,"colour":"#f0d040","opacity":40}]}""",
          "radial",
          """
          {"kind":"colour-field","id":"it","area":"rectangle","filling":"radial","x":320,"y":180,
           "width":280,"height":160,"rotation":20,"fromX":50,"fromY":50,"toX":90,"toY":70,
           "stops":[{"offset":0,"colour":"#ffffff"},{"offset":100,"colour":"#a02060"}]}""",
          "filled-path",
          """
          {"kind":"filled-path","id":"it","path":"round","fill":"#4080c0","stroke":"#102030",
           "strokeWidth":9}""",
          "dashed",
          """
          {"kind":"filled-path","id":"it","path":"star","filled":false,"strokeWidth":0,
           "effects":[{"id":"o","kind":"outline","side":"centred","width":12,"colour":"#602080",
            "join":"miter","dash":40,"gap":16}]}""",
          "drawing",
          """
          {"kind":"drawing","id":"it","x":320,"y":180,"scale":1.4,"rotation":-15,"parts":[
           {"d":"M-60-40C0-90 40-60 70-20L40 50Q0 20-50 60Z","fill":"#309040"},
           {"d":"M-20-20H30V25H-20Z","fill":"#f0e0a0"}]}""");

  private static PreparedScene scene(String kind) {
    return Preparation.prepare(
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":2,"width":640,"height":360,"rate":"10","length":2,
             "background":"#f4f1ea","paths":[
              {"id":"line","kind":"drawn","points":[{"x":120,"y":200},{"x":520,"y":200}]},
              {"id":"round","kind":"circle","x":320,"y":180,"radius":85},
              {"id":"star","kind":"star","x":320,"y":180,"radius":120,"innerRadius":60,"count":5}],
             "items":[%s,{"kind":"footage","id":"film","hidden":true,"image":"sea",
              "pixelWidth":640,"pixelHeight":360,"width":640,"height":360,"rate":10,"length":2,
              "x":320,"y":180,"pins":[{"id":"board","by":"corners","frames":[
               {"time":0,"points":%s},{"time":1,"points":%s}]}]}]}"""
                .formatted(
                    ITEMS.get(kind).replaceFirst("\"id\"", "\"pin\":{\"to\":\"board\"},\"id\""),
                    points(FROM),
                    points(TO))),
        SHAPER);
  }

  private static String points(double[] p) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < p.length; i += 2) {
      out.append(i == 0 ? "[" : ",").append("[" + p[i] + "," + p[i + 1] + "]");
    }
    return out + "]";
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"lettering", "bent", "linear", "radial", "filled-path", "dashed", "drawing"})
  void itIsAsThePictureWarped(String kind) {
    PreparedScene scene = scene(kind);
    BufferedImage flat = Images.of(scene, FINE, 0);
    BufferedImage seen = Images.of(scene, 1, 1);
    assertThat(inked(flat)).as("there is something to see").isGreaterThan(2000);
    double[] back = homography(TO, FROM);
    double sum = 0;
    int far = 0;
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double off = 0;
        double[] warped = warped(flat, back, x, y);
        for (int c = 0; c < 3; c++) {
          int now = seen.getRGB(x, y) >> 8 * c & 255;
          off = Math.max(off, Math.abs(now - warped[c]));
        }
        sum += off / WIDTH / HEIGHT;
        far += off > 64 ? 1 : 0;
      }
    }
    assertThat(sum).as("mean").isLessThan(0.35);
    // Skia measures the ways of dashes less exactly than we do: at their ends some pixels differ.
    assertThat(far).as("pixels that differ by more than 64").isLessThan(80);
  }

  @Test
  void anSvgTellsThatOnlyBrowsersShowIt() {
    ExportFormat svg = ExportFormats.of("svg");
    Scene scene = scene("drawing").scene();
    assertThat(svg.note(scene, ExportOptions.of(svg))).contains("browsers only");
    Item free = scene.item("it");
    free = free.with(free.properties().pinned(null), free.values());
    assertThat(svg.note(scene.withItem(free), ExportOptions.of(svg))).isNull();
  }

  private static int inked(BufferedImage image) {
    int n = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        n += image.getRGB(x, y) == image.getRGB(0, 0) ? 0 : 1;
      }
    }
    return n;
  }

  /** The mean of what lies under a pixel in the flat picture. */
  private static double[] warped(BufferedImage flat, double[] back, int x, int y) {
    double[] out = new double[3];
    for (int i = 0; i < 16; i++) {
      double[] p = mapped(back, x + (i % 4 + 0.5) / 4, y + (i / 4 + 0.5) / 4);
      int u = (int) Math.floor(p[0] * FINE);
      int v = (int) Math.floor(p[1] * FINE);
      boolean in = u >= 0 && v >= 0 && u < flat.getWidth() && v < flat.getHeight();
      int rgb = in ? flat.getRGB(u, v) : flat.getRGB(0, 0);
      for (int c = 0; c < 3; c++) {
        out[c] += (rgb >> 8 * c & 255) / 16.0;
      }
    }
    return out;
  }

  private static double[] mapped(double[] h, double x, double y) {
    double w = h[6] * x + h[7] * y + 1;
    return new double[] {(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w};
  }

  /** The eight numbers that take four points to others, by eliminating unknowns one by one. */
  private static double[] homography(double[] from, double[] to) {
    double[][] rows = new double[8][9];
    for (int i = 0; i < 4; i++) {
      double x = from[2 * i];
      double y = from[2 * i + 1];
      double u = to[2 * i];
      double v = to[2 * i + 1];
      rows[2 * i] = new double[] {x, y, 1, 0, 0, 0, -u * x, -u * y, u};
      rows[2 * i + 1] = new double[] {0, 0, 0, x, y, 1, -v * x, -v * y, v};
    }
    for (int i = 0; i < 8; i++) {
      for (int k = i + 1; Math.abs(rows[i][i]) < 1e-9; k++) {
        double[] other = rows[k];
        rows[k] = rows[i];
        rows[i] = other;
      }
      for (int k = 0; k < 8; k++) {
        double share = k == i ? 0 : rows[k][i] / rows[i][i];
        for (int j = i; j < 9; j++) {
          rows[k][j] -= share * rows[i][j];
        }
      }
    }
    double[] out = new double[8];
    for (int i = 0; i < 8; i++) {
      out[i] = rows[i][8] / rows[i][i];
    }
    return out;
  }
}
