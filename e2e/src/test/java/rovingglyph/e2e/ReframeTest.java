package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * In another frame the contents look as they did: scenes of chance, with items of all kinds and all
 * that they may have, are rendered before and after.
 */
class ReframeTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  private static IntStream seeds() {
    return Chance.seeds(300, 6, 40, 20);
  }

  private static PreparedScene prepared(String document) {
    return Preparation.prepare(TestShelf.filled(document), SHAPER);
  }

  private static String reframed(String document, int width, int height, String contents) {
    Scene scene = SceneCodec.read(document);
    String edit =
        "{\"op\":\"reframe\",\"width\":%d,\"height\":%d,\"contents\":\"%s\"}"
            .formatted(width, height, contents);
    return SceneCodec.write(SceneEdits.apply(scene, edit));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void scaledWithTheFrameAllIsSoManyTimesAsLarge(int seed) {
    // What makes much of a rounding by one next to black or white is left to other tests.
    String document = new RandomScenes(seed).document().replaceAll("color-(dodge|burn)", "screen");
    PreparedScene before = prepared(document);
    int width = before.scene().width() * 3 / 2;
    int height = before.scene().height() * 3 / 2;
    PreparedScene after = prepared(reframed(document, width, height, "scaled"));
    for (double share : new double[] {0.1, 0.45, 0.8}) {
      double t = share * before.scene().length();
      BufferedImage larger = Images.of(before, KeptPictures.bitmaps(), 1.5, t);
      BufferedImage there = Images.of(after, KeptPictures.bitmaps(), 1, t);
      int w = Math.min(larger.getWidth(), there.getWidth());
      int h = Math.min(larger.getHeight(), there.getHeight());
      assertAlike(larger.getSubimage(0, 0, w, h), there.getSubimage(0, 0, w, h), seed + " at " + t);
    }
  }

  /** Of what is laid over all of the frame, more is seen in a larger one: that is left out. */
  @ParameterizedTest
  @MethodSource("seeds")
  void withMoreFrameRoundItAllLooksAsItDid(int seed) {
    String document =
        new RandomScenes(seed)
            .document()
            .replaceAll("color-(dodge|burn)", "screen")
            .replaceAll("(\"area\": ?)\"frame\"", "$1\"rectangle\"");
    PreparedScene before = prepared(document);
    int w = before.scene().width();
    int h = before.scene().height();
    double t = 0.45 * before.scene().length();
    BufferedImage there = Images.of(before, KeptPictures.bitmaps(), 1, t);
    for (String contents : List.of("left", "centred")) {
      PreparedScene after = prepared(reframed(document, w + 90, h + 60, contents));
      BufferedImage wider = Images.of(after, KeptPictures.bitmaps(), 1, t);
      boolean left = contents.equals("left");
      BufferedImage part = wider.getSubimage(left ? 0 : 45, left ? 0 : 30, w, h);
      assertAlike(there, part, seed + " " + contents);
    }
  }

  private static void assertAlike(BufferedImage a, BufferedImage b, String what) {
    long sum = 0;
    int far = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        int worst = 0;
        for (int shift = 0; shift < 32; shift += 8) {
          int d = Math.abs((a.getRGB(x, y) >>> shift & 255) - (b.getRGB(x, y) >>> shift & 255));
          sum += d;
          worst = Math.max(worst, d);
        }
        far += worst > 12 ? 1 : 0;
      }
    }
    double pixels = (double) a.getWidth() * a.getHeight();
    assertThat(far / pixels).as(what).isLessThan(0.006);
    assertThat(sum / pixels / 4).as(what).isLessThan(0.3);
  }
}
