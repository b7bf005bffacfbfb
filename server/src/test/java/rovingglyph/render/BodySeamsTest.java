package rovingglyph.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** Nothing shows between the faces of letters that have thickness. */
class BodySeamsTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final int SIZE = 400;
  private static final int FINE = 4;

  static IntStream seeds() {
    return IntStream.range(0, 16);
  }

  private static Scene scene(int seed) {
    Random random = new Random(seed);
    String face = seed % 2 == 0 ? "archivo" : "eb-garamond";
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"width":400,"height":400,"rate":"10","length":2,
         "background":"#000000","paths":[{"id":"p","kind":"circle","x":200,"y":200,"radius":120}],
         "items":[{"kind":"lettering","id":"it","text":"%s","face":"%s","size":230,
          "path":"p","fill":"#FFFFFF","seat":{"align":"middle","side":"right","method":"%s"},
          "plane":{"stance":"%s","tilt":%d,"swing":%d,"lean":%d,"viewingDistance":%d,
           "planeX":200,"planeY":200,
           "body":{"ambient":100,"thickness":%d,"bevel":%s,"profile":"%s"}}}]}"""
            .formatted(
                "SkeR&g8t".charAt(random.nextInt(8)),
                face,
                seed % 3 == 0 ? "bent" : "rigid",
                seed % 4 == 3 ? "flat" : "standing",
                20 + random.nextInt(140),
                random.nextInt(100) - 50,
                random.nextInt(30) - 15,
                500 + random.nextInt(1500),
                6 + random.nextInt(30),
                seed % 4 == 0 ? "0" : "" + 3 * random.nextDouble(),
                random.nextBoolean() ? "round" : "straight"));
  }

  /**
   * White letters in white light before black: there are no dark lines where a picture of four
   * times the size is covered. Where edges of several faces meet in a point, single pixels may be a
   * little grey.
   */
  @ParameterizedTest
  @MethodSource("seeds")
  void whiteOnWhiteIsWhite(int seed) {
    isWhite(Preparation.prepare(scene(seed), SHAPER));
  }

  /** The same of what a ring has within it and behind its letters. */
  @ParameterizedTest
  @MethodSource("seeds")
  void aWhiteRingIsWhite(int seed) {
    Random random = new Random(seed);
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"width":400,"height":400,"rate":"10","length":2,
         "background":"#000000","paths":[{"id":"p","kind":"circle","x":200,"y":200,"radius":120}],
         "items":[{"kind":"lettering","id":"it","text":"nnnn","face":"archivo","size":40,
          "path":"p","fill":"#FFFFFF","seat":{"fit":"spread","side":"right"},
          "plane":{"stance":"%s","tilt":%d,"swing":%d,"lean":%d,"viewingDistance":%d,
           "planeX":200,"planeY":200,"body":{"ambient":100,"thickness":0},
           "core":{"shape":"%s","coreRadius":%d,"coreHeight":%d,"coreColour":"#FFFFFF"},
           "band":{"bandHeight":50,"bandLift":15,"bandColour":"#FFFFFF"}}}]}"""
            .formatted(
                seed % 4 == 3 ? "flat" : "standing",
                20 + random.nextInt(140),
                random.nextInt(100) - 50,
                random.nextInt(30) - 15,
                500 + random.nextInt(1500),
                new String[] {"drum", "ball", "disc"}[seed % 3],
                // A gap narrower than a pixel between two things is no seam.
                seed % 4 == 3 ? 45 : 70,
                20 + random.nextInt(80));
    isWhite(Preparation.prepare(SceneCodec.read(document), SHAPER));
  }

  private static void isWhite(PreparedScene prepared) {
    BufferedImage seen = Images.of(prepared, 0);
    BufferedImage fine = Images.of(prepared, FINE, 0);
    int inside = 0;
    int grey = 0;
    for (int y = 1; y < SIZE - 1; y++) {
      for (int x = 1; x < SIZE - 1; x++) {
        if (isCovered(fine, x, y)) {
          inside++;
          int light = seen.getRGB(x, y) & 255;
          grey += light < 250 ? 1 : 0;
          assertThat(light).as(x + ", " + y).isGreaterThan(150);
        }
      }
    }
    assertThat(inside).isGreaterThan(500);
    assertThat((double) grey / inside).as(grey + " of " + inside).isLessThan(0.0025);
  }

  /** Whether a pixel and half of each of its neighbours are within the letters. */
  private static boolean isCovered(BufferedImage fine, int x, int y) {
    for (int j = -2; j < FINE + 2; j++) {
      for (int i = -2; i < FINE + 2; i++) {
        if ((fine.getRGB(FINE * x + i, FINE * y + j) & 255) < 128) {
          return false;
        }
      }
    }
    return true;
  }

  /** What has no words for thickness says so, and draws letters as flat as their fronts. */
  @Test
  void anSvgTellsThatItsLettersAreFlat() {
    for (String id : new String[] {"svg", "lottie"}) {
      ExportFormat format = ExportFormats.of(id);
      assertThat(format.note(scene(1), ExportOptions.of(format)))
          .contains("without their thickness");
    }
    ExportFormat still = ExportFormats.of("svg-still");
    assertThat(still.note(scene(1), ExportOptions.of(still)))
        .satisfiesAnyOf(
            n -> assertThat(n).isNull(), n -> assertThat(n).doesNotContain("thickness"));
  }
}
