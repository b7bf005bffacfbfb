package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.formats.EmbeddedBitmaps;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.ThinLetters;
import rovingglyph.render.EmbeddedImages;
import rovingglyph.render.Images;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.AnimatedSvg;
import rovingglyph.webexport.StillSvg;
import rovingglyph.webexport.WebSvg;

/**
 * Browsers bring pictures in an SVG to their size in a way of their own, so that these may be a
 * little farther off. Scenes of chance, with all kinds of items, blend modes, blurs and clips, as
 * animated SVG in Chromium against the render, between frames too.
 */
class SvgAppearanceTest {
  private static final double SHARE = 0.001;

  /** Of scenes with what is turned in space: seen nearly from its edge it has edges everywhere. */
  private static final double TURNED_SHARE = 0.0012;

  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  private static IntStream seeds() {
    return IntStream.range(100, 100 + Integer.getInteger("roving.svgScenes", 12));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void showsWhatTheRenderShows(int seed) throws IOException {
    String document = new RandomScenes(seed).forSvg();
    PreparedScene scene = Preparation.prepare(TestShelf.filled(document), SHAPER);
    Page page = Browser.context(scene.scene().width(), scene.scene().height()).newPage();
    SvgPage.show(page, AnimatedSvg.write(scene, new EmbeddedBitmaps(KeptPictures.bitmaps())));
    // A picture that is not decoded yet is not in a screenshot.
    page.evaluate(
        "() => Promise.all([...document.querySelectorAll('image')].map(i => i.decode()))");
    Random random = new Random(seed);
    for (int i = 0; i < 3; i++) {
      double t = random.nextInt(99) / 25.0 + 0.002 + random.nextDouble() * 0.036;
      SvgPage.goTo(page, t);
      BufferedImage rendered = Images.of(ThinLetters.of(scene), KeptPictures.bitmaps(), 1, t);
      double share = document.contains("\"plane\"") ? TURNED_SHARE : SHARE;
      // Next to black or white this mode makes much of a rounding by one.
      double most = scene.images().isEmpty() ? 0.8 : 1.2;
      double mean = document.contains("color-dodge") ? 3 * most : most;
      PictureTest.Difference d =
          SvgPage.compared(
              page,
              shot -> PictureTest.Difference.of(rendered, shot),
              found -> found.share() < share && found.mean() < mean);
      assertThat(d.share()).as("seed " + seed + " at " + t + ": " + d).isLessThan(share);
      assertThat(d.mean()).as("seed " + seed + " at " + t + ": " + d).isLessThan(mean);
    }
    page.context().close();
  }

  /** Every kind of item with all that it may have, footage too, as a picture that stands still. */
  @ParameterizedTest
  @MethodSource("stills")
  void theStillShowsWhatTheRenderShows(int seed) throws IOException {
    String document =
        new RandomScenes(seed)
            .document()
            .replace("\"background\":null", "\"background\":\"#FFFFFF\"");
    PreparedScene scene = Preparation.prepare(TestShelf.filled(document), SHAPER);
    double t = new Random(seed).nextInt(99) / 25.0;
    try (Page page = Browser.context(scene.scene().width(), scene.scene().height()).newPage();
        EmbeddedImages images = new EmbeddedImages(scene, KeptPictures.bitmaps())) {
      page.setContent("<body style='margin:0'>" + StillSvg.write(scene, t, images) + "</body>");
      page.evaluate(
          "() => Promise.all([...document.querySelectorAll('image')].map(i => i.decode()))");
      BufferedImage rendered = Images.of(scene, KeptPictures.bitmaps(), 1, t);
      double most = scene.images().isEmpty() ? 0.8 : 1.2;
      double mean = document.contains("color-dodge") ? 3 * most : most;
      PictureTest.Difference d =
          SvgPage.compared(
              page,
              shot -> PictureTest.Difference.of(rendered, shot),
              found -> found.share() < SHARE && found.mean() < mean);
      assertThat(d.share()).as("seed " + seed + " at " + t + ": " + d).isLessThan(SHARE);
      assertThat(d.mean()).as("seed " + seed + " at " + t + ": " + d).isLessThan(mean);
      page.context().close();
    }
  }

  private static IntStream stills() {
    return IntStream.range(100, 110);
  }

  private static IntStream fewSeeds() {
    return IntStream.range(300, 308);
  }

  /**
   * As it is handed off to pages: one that asks for less motion has the picture a third into it.
   */
  @ParameterizedTest
  @MethodSource("fewSeeds")
  void standsStillWhereLessMotionIsAskedFor(int seed) throws IOException {
    String document = new RandomScenes(seed).forSvg();
    PreparedScene scene = Preparation.prepare(TestShelf.filled(document), SHAPER);
    double t = scene.scene().onFrame(scene.scene().length() / 3);
    try (Page page = Browser.context(scene.scene().width(), scene.scene().height()).newPage()) {
      page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
      page.setContent(
          "<body style='margin:0'>"
              + WebSvg.write(scene, new EmbeddedBitmaps(KeptPictures.bitmaps()), "none")
              + "</body>");
      page.evaluate(
          "() => Promise.all([...document.querySelectorAll('image')].map(i => i.decode()))");
      BufferedImage rendered = Images.of(scene, KeptPictures.bitmaps(), 1, t);
      PictureTest.Difference d =
          SvgPage.compared(
              page,
              shot -> PictureTest.Difference.of(rendered, shot),
              found -> found.share() < SHARE);
      assertThat(d.share()).as("seed " + seed + ": " + d).isLessThan(SHARE);
      page.context().close();
    }
  }
}
