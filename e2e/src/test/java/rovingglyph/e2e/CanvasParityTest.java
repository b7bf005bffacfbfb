package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.server.TestServer;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRunCodec;

/**
 * The same frames from the server's painter and from the stage's, on a canvas of Chromium's: at
 * least 99.9 percent of the pixels within 4 of 255 in every channel, none more than 40 apart, 0.1
 * in the mean; a little less on a stage of another size than the frame and with what is turned in
 * space.
 */
class CanvasParityTest {
  private static final int NEAR = 4;
  private static final double NEAR_SHARE = 0.999;
  private static final double TURNED_SHARE = 0.998;
  private static final int FARTHEST = 40;
  private static final double MEAN = 0.1;

  /**
   * Where the stage is not of the frame's size: what lies between pixels is rounded either way, and
   * the edge of a curve is smoothed by another of Skia's ways now and then.
   */
  private static final double SCALED_MEAN = 0.2;

  private static final double STEEP_SHARE = 0.99;
  private static final double SCALED_SHARE = 0.998;
  private static final int SCALED_FARTHEST = 48;

  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static Page page;

  @BeforeAll
  static void loadTheStagesPainter() throws Exception {
    Process build =
        new ProcessBuilder("npx", "vite", "build", "-c", "parity/vite.config.ts", "--logLevel=warn")
            .directory(Path.of("../web").toFile())
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    assertThat(build.waitFor(2, TimeUnit.MINUTES)).isTrue();
    assertThat(build.exitValue()).isZero();
    page = pageWithPainter("");
  }

  /**
   * A page that can load the stage's painter.
   *
   * @param script run before anything else
   */
  private static Page pageWithPainter(String script) {
    Page page = Browser.page();
    page.addInitScript(script);
    page.route(
        "**/parity/painter.js",
        r ->
            r.fulfill(
                new Route.FulfillOptions()
                    .setContentType("text/javascript")
                    .setPath(Path.of("../web/target/parity/painter.js"))));
    page.navigate(TestServer.shared().address());
    return page;
  }

  private static Stream<String> demos() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("../demo"))) {
      return files
          .map(p -> p.getFileName().toString())
          .filter(n -> n.endsWith(".json"))
          .toList()
          .stream();
    }
  }

  private static IntStream seeds() {
    return Chance.seeds(0, 6, 24, 45);
  }

  @ParameterizedTest
  @MethodSource("demos")
  void theDemoScenes(String file) throws IOException {
    KeptPictures.demoIsReady();
    compare(file, Files.readString(Path.of("../demo", file)), 1, 3);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void scenesOfChance(int seed) {
    // Stages are smaller than the frame mostly, and larger at times.
    double scale = new double[] {1, 0.5, 1.5}[seed % 3];
    compare("seed " + seed, new RandomScenes(seed).withFootage(), scale, 5);
  }

  /** Browsers whose canvas has no filters show effects all the same, only not to the pixel. */
  @Test
  void effectsAreSeenWithoutFiltersOfTheCanvas() {
    Page usual = page;
    page = pageWithPainter("delete CanvasRenderingContext2D.prototype.filter");
    for (int seed : new int[] {1, 6, 9}) {
      String document = new RandomScenes(seed).document();
      PreparedScene scene = prepare(document);
      BufferedImage stage = onCanvas(document, scene, 1, List.of(1.0)).get(0);
      Difference d = Difference.of(render(scene, 1, 1), stage);
      assertThat(d.mean).as("seed " + seed + ": " + d).isLessThan(0.5);
    }
    page.close();
    page = usual;
  }

  @Test
  void theMeasureSeesATenthOfAPixel() throws IOException {
    String document = Files.readString(Path.of("../demo/kite-string-entrance.json"));
    PreparedScene one = prepare(document);
    PreparedScene other =
        prepare(document.replace("\"baselineShift\": 18", "\"baselineShift\": 18.1"));
    assertThat(Difference.of(render(one, 1, 2), render(other, 1, 2)).near).isLessThan(NEAR_SHARE);
  }

  private static BufferedImage render(PreparedScene scene, double scale, double time) {
    return Images.of(scene, KeptPictures.bitmaps(), scale, time);
  }

  private static PreparedScene prepare(String document) {
    return Preparation.prepare(TestShelf.filled(document), SHAPER);
  }

  private static void compare(String name, String document, double scale, int count) {
    PreparedScene scene = prepare(document);
    List<Double> times = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      times.add(scene.scene().length() * (i + 0.5) / count);
    }
    List<BufferedImage> stage = onCanvas(document, scene, scale, times);
    for (int i = 0; i < count; i++) {
      Difference d = Difference.of(render(scene, scale, times.get(i)), stage.get(i));
      String at = name + " at " + times.get(i) + ": " + d;
      // Next to black or white these make much of a rounding by one.
      boolean steep = document.contains("color-dodge") || document.contains("color-burn");
      double share = scale == 1 ? NEAR_SHARE : steep ? STEEP_SHARE : SCALED_SHARE;
      if (document.contains("\"plane\"")) {
        // What is seen nearly from its edge has edges everywhere.
        share = Math.min(share, TURNED_SHARE);
      }
      int farthest = scale == 1 ? FARTHEST : SCALED_FARTHEST;
      if (name.equals("pier-screens.json")) {
        // It shows footage smaller than half its size, which browsers make smaller in their own
        // way.
        share = STEEP_SHARE;
        farthest = 90;
      }
      assertThat(d.near).as(at).isGreaterThanOrEqualTo(share);
      assertThat(d.farthest).as(at).isLessThanOrEqualTo(farthest);
      assertThat(d.mean).as(at).isLessThan(scale == 1 ? MEAN : SCALED_MEAN);
    }
  }

  /**
   * Zoomed, the stage paints a part: as it is in the whole, whatever lies outside reaches into it.
   */
  @Test
  void aPartIsPaintedAsItIsInTheWhole() {
    Random random = new Random(4);
    Chance.seeds(100, 2, 8, 15).forEach(seed -> aPartOf(seed, random));
  }

  private static void aPartOf(int seed, Random random) {
    String document = new RandomScenes(seed).document();
    PreparedScene scene = prepare(document);
    double scale = new double[] {1, 0.6, 1.7}[seed % 3];
    List<Double> times = List.of(random.nextDouble() * scene.scene().length());
    BufferedImage whole = onCanvas(document, scene, scale, times).get(0);
    int left = random.nextInt(whole.getWidth() / 2);
    int top = random.nextInt(whole.getHeight() / 2);
    Rectangle part = new Rectangle(left, top, whole.getWidth() / 3 + 5, whole.getHeight() / 3 + 5);
    BufferedImage seen = onCanvas(document, scene, scale, times, part).get(0);
    Difference d = Difference.of(whole.getSubimage(left, top, part.width, part.height), seen);
    assertThat(d.near).as("seed " + seed + ": " + d).isGreaterThan(scale == 1 ? 0.999 : 0.99);
    assertThat(d.mean).as("seed " + seed + ": " + d).isLessThan(scale == 1 ? 0.1 : 0.3);
  }

  private static List<BufferedImage> onCanvas(
      String document, PreparedScene scene, double scale, List<Double> times) {
    int width = (int) Math.round(scene.scene().width() * scale);
    int height = (int) Math.round(scene.scene().height() * scale);
    return onCanvas(document, scene, scale, times, new Rectangle(width, height));
  }

  /** A part of the frames as the stage paints them. */
  @SuppressWarnings("unchecked")
  private static List<BufferedImage> onCanvas(
      String document, PreparedScene scene, double scale, List<Double> times, Rectangle part) {
    int width = part.width;
    int height = part.height;
    double exact = (double) Math.round(scene.scene().width() * scale) / scene.scene().width();
    Map<String, String> runs = new LinkedHashMap<>();
    for (RunRequest r : Preparation.requests(scene.scene())) {
      runs.put(r.key(), ShapedRunCodec.write(SHAPER.run(r)).toString());
    }
    Object found =
        page.evaluate(
            """
            async ([document_, runs, shown, times, width, height, left, top, scale]) => {
              const stage = await import('/parity/painter.js');
              for (const [key, run] of Object.entries(runs)) stage.putRun(key, run);
              for (const [id, text] of Object.entries(shown)) stage.putScene(id, text);
              const doc = JSON.parse(document_);
              const opened = stage.open(doc);
              if (opened.kind !== 'open') throw new Error(JSON.stringify(opened).slice(0, 500));
              const canvas = document.createElement('canvas');
              canvas.width = width;
              canvas.height = height;
              const g = canvas.getContext('2d', { willReadFrequently: true });
              const paint = (t) =>
                stage.paintBlurred(canvas, t, doc.width, doc.background ?? null, Infinity, { left, top, scale });
              // Which sizes of pictures are needed shows while they are painted.
              for (const t of times) {
                do paint(t);
                while (!stage.allArrived() && (await new Promise((r) => setTimeout(() => r(true), 20))));
              }
              return times.map((t) => {
                paint(t);
                const { data } = g.getImageData(0, 0, width, height);
                let text = '';
                for (let i = 0; i < data.length; i += 32768)
                  text += String.fromCharCode(...data.subarray(i, i + 32768));
                return btoa(text);
              });
            }""",
            List.of(
                document,
                runs,
                TestShelf.documents(document),
                times,
                width,
                height,
                part.x,
                part.y,
                exact));
    List<BufferedImage> out = new ArrayList<>();
    for (String base64 : (List<String>) found) {
      byte[] b = Base64.getDecoder().decode(base64);
      BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
      for (int i = 0; i < width * height; i++) {
        int argb =
            (b[4 * i + 3] & 255) << 24
                | (b[4 * i] & 255) << 16
                | (b[4 * i + 1] & 255) << 8
                | b[4 * i + 2] & 255;
        image.setRGB(i % width, i / width, argb);
      }
      out.add(image);
    }
    return out;
  }

  /**
   * How far two pictures are apart, channel by channel, colours multiplied by alpha.
   *
   * @param near the share of pixels that are within {@link #NEAR}
   * @param farthest the most that a channel of a pixel differs
   */
  private record Difference(double near, int farthest, double mean) {
    static Difference of(BufferedImage a, BufferedImage b) {
      long sum = 0;
      int near = 0;
      int farthest = 0;
      for (int y = 0; y < a.getHeight(); y++) {
        for (int x = 0; x < a.getWidth(); x++) {
          int p = a.getRGB(x, y);
          int q = b.getRGB(x, y);
          int worst = 0;
          for (int shift = 0; shift < 32; shift += 8) {
            int d = Math.abs(seen(p, shift) - seen(q, shift));
            sum += d;
            worst = Math.max(worst, d);
          }
          near += worst <= NEAR ? 1 : 0;
          farthest = Math.max(farthest, worst);
        }
      }
      double pixels = (double) a.getWidth() * a.getHeight();
      return new Difference(near / pixels, farthest, sum / pixels / 4);
    }

    private static int seen(int argb, int shift) {
      int value = argb >>> shift & 255;
      return shift == 24 ? value : Math.round(value * (argb >>> 24) / 255f);
    }
  }
}
