package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.EmbeddedBitmaps;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.AnimatedSvg;

/**
 * The animated SVG at ten times in Debian's Chromium and Firefox, against the renderer: ten copies
 * side by side, each paused at its own time.
 */
class FirefoxTest {
  private static final int WIDTH = 360;
  private static final int HEIGHT = 240;
  private static final int TIMES = 10;
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  /** Offset, margins, rotation, opacity, size, reveal, sweep, trail, sway, cruise, and a group. */
  private static String document() {
    return """
        {"format":"roving-glyph-scene","version":1,"width":360,"height":240,"rate":"25","length":4,"background":"#FFFFFF",
         "paths":[{"id":"c","kind":"circle","x":90,"y":80,"radius":50},
           {"id":"w","kind":"drawn","points":[{"x":160,"y":90,"out":[60,-80]},{"x":350,"y":70,"in":[-60,60]}]},
           {"id":"k","kind":"circle","x":90,"y":190,"radius":30},
           {"id":"l","kind":"line","x":250,"y":200,"length":180}],
         "letterings":[
          {"id":"a","text":"cruise sway","path":"c","face":"league-spartan","size":20,
            "seat":{"pathOffset":{"still":0,"cruise":{"pace":"laps","amount":1},"sway":{"amplitude":12,"period":1}}}},
          {"id":"b","text":"offset","path":"w","face":"pacifico","fill":"#C4472D",
            "size":{"keyframes":[{"time":0,"value":18,"easing":"spring"},{"time":4,"value":34}]},
            "opacity":{"keyframes":[{"time":0,"value":30,"easing":{"steps":[4]}},{"time":4,"value":100}]},
            "trail":{"colour":"#0F6B69","width":3,"with":true,"lead":8,"lag":8},
            "seat":{"startMargin":{"keyframes":[{"time":0,"value":0},{"time":4,"value":30}]},
              "pathOffset":{"keyframes":[{"time":0,"value":-20,"easing":"overshoot"},{"time":3,"value":70}]}}},
          {"id":"s","text":"sweep all round","path":"k","face":"comfortaa","size":14,"fill":"#0F6B69",
            "sweep":{"letter":0,"soft":40},"sweepTo":{"keyframes":[{"time":0,"value":0},{"time":3,"value":360}]},
            "rotation":{"keyframes":[{"time":1,"value":0,"easing":"gentle-both"},{"time":4,"value":180}]}},
          {"id":"r","text":"letter reveal","path":"l","face":"bebas-neue","size":34,
            "reveal":{"by":"letters","soft":30,"rise":20,"turn":40,"scale":50},
            "revealTo":{"keyframes":[{"time":0.2,"value":0},{"time":3.6,"value":100}]},
            "trail":{"colour":"#A86B12","width":2,"dash":[6,4]},
            "trailTo":{"keyframes":[{"time":0,"value":0},{"time":4,"value":100}]}}],
         "groups":[{"id":"g","members":["s","r"],"centre":[180,195],"x":180,
           "y":{"keyframes":[{"time":0,"value":195,"easing":"gentle-both"},{"time":4,"value":185}]},
           "rotation":{"sway":{"amplitude":4,"period":2}},
           "scale":{"keyframes":[{"time":0,"value":0.8},{"time":4,"value":1}]},
           "opacity":{"keyframes":[{"time":0,"value":50,"easing":"gentle-stop"},{"time":3,"value":100}]}}]}""";
  }

  private static double time(PreparedScene scene, int i) {
    return scene.scene().rate().timeOf(scene.scene().frameCount() * (2L * i + 1) / (2 * TIMES));
  }

  private static String page(PreparedScene scene) {
    String svg = AnimatedSvg.write(scene, new EmbeddedBitmaps(KeptPictures.bitmaps()));
    StringBuilder all = new StringBuilder("<!doctype html><meta charset='utf-8'>");
    // The file has no size of its own: it takes that of its place.
    all.append("<style>svg{width:" + WIDTH + "px;height:" + HEIGHT + "px}</style>");
    all.append("<body style='margin:0;width:" + 5 * WIDTH + "px;font-size:0;line-height:0'>");
    StringBuilder times = new StringBuilder();
    for (int i = 0; i < TIMES; i++) {
      // Each has names of its own, as exports of several scenes have.
      all.append(svg.replaceAll("\\bg([0-9a-f]+)-", "g$1x" + i + "-"));
      times.append(i == 0 ? "" : ",").append(time(scene, i));
    }
    // In Firefox animations begin with the first frame that is drawn.
    return all.append("<script>const times=[")
        .append(times)
        .append(
            """
            ];
            function pause() {
              document.querySelectorAll('svg').forEach((s, i) => {
                s.pauseAnimations();
                s.setCurrentTime(times[i]);
                document.getAnimations()
                  .filter((a) => s.contains(a.effect.target))
                  .forEach((a) => { a.pause(); a.currentTime = times[i] * 1000 + 0.001; });
              });
            }
            pause();
            requestAnimationFrame(pause);
            addEventListener('load', pause);
            </script></body>""")
        .toString();
  }

  private static void compare(PreparedScene scene, BufferedImage shot, String where) {
    assertThat(shot.getWidth()).isGreaterThanOrEqualTo(5 * WIDTH);
    assertThat(shot.getHeight()).isGreaterThanOrEqualTo(2 * HEIGHT);
    for (int i = 0; i < TIMES; i++) {
      BufferedImage there = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
      there.createGraphics().drawImage(shot, -(i % 5) * WIDTH, -(i / 5) * HEIGHT, null);
      PictureTest.Difference d =
          PictureTest.Difference.of(
              Images.of(scene, KeptPictures.bitmaps(), 1, time(scene, i)), there);
      assertThat(d.mean()).as(where + " at " + time(scene, i)).isLessThan(1.4);
      assertThat(d.share()).as(where + " at " + time(scene, i)).isLessThan(0.003);
    }
  }

  /** Pictures that move, are cropped and clipped, and shapes that grow. */
  private static String pictures() {
    return """
        {"format":"roving-glyph-scene","version":2,"width":360,"height":240,"rate":"25","length":4,"background":"#FFFFFF",
         "paths":[
          {"id":"c","kind":"circle","x":90,"y":120,"radius":{"keyframes":[{"time":0,"value":40},{"time":4,"value":80}]}},
          {"id":"r","kind":"rectangle","x":270,"y":{"keyframes":[{"time":0,"value":60},{"time":4,"value":180}]},
            "width":120,"height":80,"topLeft":20}],
         "items":[
          {"kind":"picture","id":"a","image":"%1$s","pixelWidth":301,"pixelHeight":200,"x":90,"y":120,"width":301,"height":200,
            "rotation":{"keyframes":[{"time":0,"value":0,"easing":"ease-in-out"},{"time":4,"value":90}]},"clip":{"path":"c"}},
          {"kind":"filled-path","id":"f","path":"r","fill":"#2F6F7E","stroke":"#C4472D",
            "strokeWidth":{"keyframes":[{"time":0,"value":2},{"time":4,"value":14}]},"opacity":70},
          {"kind":"picture","id":"b","image":"%2$s","pixelWidth":160,"pixelHeight":160,"x":260,"y":120,"width":120,"height":120,
            "cropLeft":{"keyframes":[{"time":0,"value":0},{"time":4,"value":60}]},"opacity":80,"blendMode":"multiply"},
          {"kind":"filled-path","id":"l","path":"c","filled":false,"strokeWidth":5,"opacity":60}]}"""
        .formatted(KeptPictures.ids().get(0), KeptPictures.ids().get(2));
  }

  /** Shadows and glows that move, on words, a shape and a group. */
  private static String finishes() {
    return """
        {"format":"roving-glyph-scene","version":2,"width":360,"height":240,"rate":"25","length":4,"background":"#BFE0E6",
         "paths":[{"id":"l","kind":"line","x":120,"y":60,"length":200},{"id":"c","kind":"circle","x":290,"y":70,"radius":40},
          {"id":"k","kind":"line","x":130,"y":150,"length":200}],
         "items":[
          {"kind":"lettering","id":"a","text":"drop","path":"l","face":"league-spartan","size":48,
            "seat":{"pathOffset":{"keyframes":[{"time":0,"value":0},{"time":4,"value":60}]}},
            "effects":[{"id":"d","kind":"drop-shadow","dx":{"keyframes":[{"time":0,"value":4},{"time":4,"value":-14}]},
              "dy":9,"stdDeviation":3,"colour":{"keyframes":[{"time":0,"value":"#1F2B37"},{"time":4,"value":"#C4472D"}]},"opacity":70}]},
          {"kind":"filled-path","id":"f","path":"c","fill":"#2F6F7E",
            "opacity":{"keyframes":[{"time":0,"value":40},{"time":4,"value":100}]},
            "effects":[{"id":"o","kind":"glow","blendMode":"multiply","stdDeviation":6,"strength":200},
              {"id":"i","kind":"glow","side":"inner","stdDeviation":{"keyframes":[{"time":0,"value":3},{"time":4,"value":9}]}}]},
          {"kind":"lettering","id":"b","text":"cast","path":"k","face":"league-spartan","size":52,"fill":"#C4472D"},
          {"kind":"group","id":"g","members":["b"],"centre":[130,150],"x":150,"y":150,
            "rotation":{"keyframes":[{"time":0,"value":-8},{"time":4,"value":8}]},
            "effects":[{"id":"s","kind":"cast-shadow","groundX":130,"groundY":152,"farEnd":40,"stdDeviation":4,
              "direction":{"keyframes":[{"time":0,"value":40},{"time":4,"value":120}]},"throw":120}]}]}""";
  }

  /** Lines drawn on by letters, dashed, inside and on a group that grows; gradients that move. */
  private static String outlines() {
    return """
        {"format":"roving-glyph-scene","version":2,"width":360,"height":240,"rate":"25","length":4,"background":"#BFE0E6",
         "paths":[{"id":"l","kind":"line","x":120,"y":60,"length":200},{"id":"c","kind":"circle","x":290,"y":80,"radius":44},
          {"id":"k","kind":"line","x":120,"y":140,"length":200},{"id":"m","kind":"line","x":120,"y":215,"length":200}],
         "items":[
          {"kind":"lettering","id":"a","text":"drawn","path":"l","face":"league-spartan","size":48,"filling":"none",
            "seat":{"pathOffset":{"keyframes":[{"time":0,"value":0},{"time":4,"value":40}]}},
            "effects":[{"id":"d","kind":"outline","side":"centred","width":3,"colour":"#1F2B37",
              "drawn":{"keyframes":[{"time":0,"value":0},{"time":3,"value":100}],
                "stagger":{"delay":0.2,"order":"forward","seed":0}}}]},
          {"kind":"filled-path","id":"f","path":"c","fill":"#2F6F7E",
            "effects":[{"id":"o","kind":"outline","dash":14,"gap":9,"join":"bevel","colour":"#C4472D",
              "width":{"keyframes":[{"time":0,"value":2},{"time":4,"value":9}]}},
              {"id":"i","kind":"outline","side":"inside","width":4,"opacity":70}]},
          {"kind":"lettering","id":"g","text":"graded","path":"k","face":"league-spartan","size":50,
            "filling":"linear","across":"path","stops":[{"offset":0,"colour":"#C4472D"},{"offset":100,"colour":"#2F6F7E"}],
            "seat":{"pathOffset":{"keyframes":[{"time":0,"value":0},{"time":4,"value":50}]}}},
          {"kind":"lettering","id":"b","text":"round","path":"m","face":"league-spartan","size":52,"fill":"#F4D9A0",
            "seat":{"orientation":"fixed"},"tracking":{"keyframes":[{"time":0,"value":0},{"time":4,"value":0.1}]}},
          {"kind":"group","id":"h","members":["b"],"centre":[190,200],"x":190,"y":200,
            "scale":{"keyframes":[{"time":0,"value":0.8},{"time":4,"value":1.1}]},
            "effects":[{"id":"s","kind":"outline","width":5,"colour":"#1F2B37"},
              {"id":"t","kind":"outline","width":9,"join":"miter"}]}]}""";
  }

  static Stream<String> documents() {
    return Stream.of(document(), pictures(), finishes(), outlines());
  }

  @ParameterizedTest
  @MethodSource("documents")
  void bothBrowsersShowTheFramesOfTheRenderer(String document, @TempDir Path folder)
      throws Exception {
    PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
    String html = page(scene);
    Page page = Browser.context(5 * WIDTH, 2 * HEIGHT).newPage();
    page.setContent(html);
    page.waitForTimeout(500);
    compare(scene, ImageIO.read(new ByteArrayInputStream(page.screenshot())), "Chromium");
    page.context().close();
    compare(scene, firefox(folder, html), "Firefox");
  }

  private static BufferedImage firefox(Path folder, String html)
      throws IOException, InterruptedException {
    Path file = Files.writeString(folder.resolve("ten.html"), html);
    Path shot = folder.resolve("ten.png");
    Path profile = Files.createDirectory(folder.resolve("profile"));
    ProcessBuilder b =
        new ProcessBuilder(
            "firefox-esr",
            "--headless",
            "--no-remote",
            "--profile",
            profile.toString(),
            "--window-size=" + 5 * WIDTH + "," + 2 * HEIGHT,
            "--screenshot",
            shot.toString(),
            file.toUri().toString());
    b.environment().put("HOME", folder.toString());
    Process p = b.redirectErrorStream(true).redirectOutput(folder.resolve("log").toFile()).start();
    assertThat(p.waitFor(120, TimeUnit.SECONDS)).isTrue();
    assertThat(shot).as(Files.readString(folder.resolve("log"))).exists();
    return ImageIO.read(shot.toFile());
  }
}
