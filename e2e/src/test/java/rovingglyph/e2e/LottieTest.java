package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.ThinLetters;
import rovingglyph.render.Images;
import rovingglyph.render.Progress;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Blur;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * Lottie files in another's player against the render, at half the size: at frames, and between
 * them, where what appears or jumps may be late by less than a frame.
 */
class LottieTest {
  private static final double SHARE = 0.001;
  private static final double BETWEEN = 0.004;
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final Path PLAYER =
      Path.of("../web/node_modules/lottie-web/build/player/lottie.min.js");

  @TempDir Path folder;

  /** What the format has words for, of a scene and of those that it shows. */
  static Scene said(Scene scene) {
    Scene out = scene.withBlur(new Blur(0, scene.blur().samples(), scene.blur().extras()));
    for (Item item : scene.items().values()) {
      List<Effect> lines =
          item.properties().effects().stream()
              .filter(e -> e.kind() == Effect.Kind.OUTLINE)
              .toList();
      Item plain = item.with(item.properties().with(lines));
      for (Channel edge : List.of(Channel.SOFT_EDGE, Channel.CUT_EDGE)) {
        if (plain.movable(edge) != null) {
          plain = plain.with(edge, new AnimatedValue(0));
        }
      }
      // Areas in plain colours are outlines, however they are seen; pictures and gradients are not.
      boolean lettering = item instanceof Lettering l && l.filling().kind() == Filling.Kind.PLAIN;
      if (!lettering && !(item instanceof Drawing)) {
        plain = plain.with(plain.properties().turned(null));
      }
      out = out.withItem(plain);
    }
    Map<String, Scene> shown = new LinkedHashMap<>();
    scene.shown().forEach((id, s) -> shown.put(id, said(s)));
    return out.showing(shown);
  }

  private Page page(PreparedScene scene) throws IOException {
    return page(scene, folder.resolve("file.json"));
  }

  static Page page(PreparedScene scene, Path file) throws IOException {
    ExportFormat format = ExportFormats.of("lottie");
    format.write(scene, KeptPictures.bitmaps(), ExportOptions.of(format), file, new Progress());
    Page page = Browser.context(scene.scene().width() / 2, scene.scene().height() / 2).newPage();
    page.setContent("<body style='margin:0'><div id=at style='width:100vw;height:100vh'></div>");
    page.addScriptTag(new Page.AddScriptTagOptions().setPath(PLAYER));
    page.evaluate(
        """
        text => {
          window.player = lottie.loadAnimation({
            container: document.getElementById('at'), renderer: 'svg', autoplay: false, loop: false,
            animationData: JSON.parse(text)});
          player.setSubframe(true);
        }""",
        Files.readString(file));
    page.waitForFunction("() => player.isLoaded");
    page.evaluate(
        "() => Promise.all([...document.querySelectorAll('image')].map(i => i.decode()))");
    return page;
  }

  /** Compares a frame, or what is between it and the next. */
  private static void compare(
      Page page, PreparedScene scene, double frame, double mean, String name) throws IOException {
    double t = frame / scene.scene().rate().perSecond();
    double share = frame == Math.rint(frame) ? SHARE : BETWEEN;
    PictureTest.Difference d = at(page, scene, t, share, mean);
    assertThat(d.share()).as(name + " at frame " + frame + ": " + d).isLessThan(share);
    assertThat(d.mean()).as(name + " at frame " + frame + ": " + d).isLessThan(mean);
  }

  private static PictureTest.Difference at(
      Page page, PreparedScene scene, double t, double share, double mean) throws IOException {
    page.evaluate("f => player.goToAndStop(f, true)", t * scene.scene().rate().perSecond());
    BufferedImage rendered = Images.of(scene, KeptPictures.bitmaps(), 0.5, t);
    return SvgPage.compared(
        page,
        shot -> PictureTest.Difference.of(rendered, shot),
        found -> found.share() < share && found.mean() < mean);
  }

  @ParameterizedTest
  @CsvSource({
    "kite-string-entrance, 0.3",
    "wind-rose-badge, 0.4",
    "dune-ribbon, 0.3",
    "opening-stamp, 0.5",
    "pennant-line, 0.9",
    "night-market-sign, 0.6",
    "over-the-dune, 0.9",
    "pier-screens, 0.9"
  })
  void theDemoPlaysAsItIsRendered(String name, double mean) throws IOException {
    String document = Files.readString(Path.of("../demo", name + ".json"));
    PreparedScene scene =
        ThinLetters.of(Preparation.prepare(said(TestShelf.filledWithStills(document)), SHAPER));
    Page page = page(scene);
    Random random = new Random(name.hashCode());
    for (int i = 0; i < 10; i++) {
      double frame = (i + random.nextDouble()) / 10 * scene.scene().frameCount();
      compare(page, scene, i % 2 == 0 ? Math.floor(frame) : frame, mean, name);
    }
    page.context().close();
  }

  private static IntStream seeds() {
    return IntStream.range(100, 100 + Integer.getInteger("roving.lottieScenes", 8));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void scenesOfChancePlayAsTheyAreRendered(int seed) throws IOException {
    String document =
        new RandomScenes(seed)
            .document()
            // Has no number in the format.
            .replace("plus-lighter", "screen")
            .replace("\"background\":null", "\"background\":\"#FFFFFF\"");
    PreparedScene scene =
        ThinLetters.of(Preparation.prepare(said(TestShelf.filledWithStills(document)), SHAPER));
    Page page = page(scene);
    Random random = new Random(seed);
    double most = scene.images().isEmpty() ? 0.8 : 1.2;
    double mean = document.contains("color-dodge") ? 3 * most : most;
    for (int i = 0; i < 2; i++) {
      double frame = random.nextDouble() * scene.scene().frameCount();
      compare(page, scene, i % 2 == 0 ? Math.floor(frame) : frame, mean, "seed " + seed);
    }
    page.context().close();
  }
}
