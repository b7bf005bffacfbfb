package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.AnimatedSvg;

/** Where a browser puts the letters of an animated SVG that CSS drives along their path. */
class SvgPlacesTest {
  /** In px of the scene. */
  private static final double APART = 0.02;

  private static final double DEGREES = 0.02;
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  private static final List<String> PATHS =
      List.of(
          "\"kind\":\"circle\",\"x\":960,\"y\":540,\"radius\":%d",
          "\"kind\":\"rectangle\",\"x\":960,\"y\":540,\"width\":1500,\"height\":%d,\"cornerRadius\":90",
          "\"kind\":\"wave\",\"x\":960,\"y\":540,\"length\":1700,\"amplitude\":%d",
          "\"kind\":\"drawn\",\"points\":[{\"x\":60,\"y\":%d,\"out\":[320,-760]},{\"x\":1120,\"y\":590,\"in\":[-310,420],\"out\":[280,-390]},{\"x\":1860,\"y\":760,\"in\":[-160,-290]}]");

  private static String document(Random random) {
    String[] ends = {"", ",\"ends\":\"cut\"", ",\"ends\":\"wrap\"", ",\"ends\":\"continue\""};
    String path = PATHS.get(random.nextInt(PATHS.size())).formatted(150 + random.nextInt(300));
    return """
        {"format":"roving-glyph-scene","version":2,"width":1920,"height":1080,"rate":"25","length":4,
         "paths":[{"id":"p",%s}],"items":[{"kind":"lettering","id":"l","text":"every kite along the dune",
         "face":"fraunces","path":"p","size":%d,"seat":{"side":"%s","align":"%s","baselineShift":%d,
         "pathOffset":{"keyframes":[{"time":0,"value":%d},{"time":4,"value":%d}]}%s}}]}"""
        .formatted(
            path,
            30 + random.nextInt(90),
            random.nextBoolean() ? "left" : "right",
            List.of("start", "middle", "end").get(random.nextInt(3)),
            random.nextInt(60) - 30,
            random.nextInt(900) - 600,
            random.nextInt(1500),
            ends[random.nextInt(4)]);
  }

  @Test
  @SuppressWarnings("unchecked")
  void isWhereTheSceneHasThemToAFiftiethOfAPixel() {
    Random random = new Random(5);
    double farthest = 0;
    int driven = 0;
    double turnedMost = 0;
    try (Page page = Browser.context(1920, 1080).newPage()) {
      for (int n = 0; n < 40; n++) {
        String document = document(random);
        PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
        String svg = AnimatedSvg.write(scene).replace("<svg ", "<svg width='1920' height='1080' ");
        if (!svg.contains("offset-path")) {
          continue;
        }
        driven++;
        page.setContent("<body style='margin:0'>" + svg + "</body>");
        for (int i = 0; i < 3; i++) {
          double t = random.nextDouble() * 3.99;
          List<List<Number>> found =
              (List<List<Number>>)
                  page.evaluate(
                      """
                      t => {
                        document.getAnimations().forEach(a => { a.pause(); a.currentTime = t * 1000; });
                        return [...document.querySelectorAll('g[style^=offset]')].map(g => {
                          const m = g.getScreenCTM();
                          return [m.e, m.f, Math.atan2(m.b, m.a) * 180 / Math.PI];
                        });
                      }""",
                      t);
          List<Placement> wanted = inked(scene.letterings().get("l"), t);
          assertThat(found).hasSameSizeAs(wanted);
          for (int k = 0; k < found.size(); k++) {
            Placement p = wanted.get(k);
            double apart =
                Math.hypot(
                    found.get(k).get(0).doubleValue() - p.at().x(),
                    found.get(k).get(1).doubleValue() - p.at().y());
            double turned =
                Math.IEEEremainder(
                    found.get(k).get(2).doubleValue() - Math.toDegrees(p.angle()), 360);
            String as = "letter " + k + " at " + t + " of " + document;
            assertThat(apart).as(as).isLessThan(APART);
            assertThat(Math.abs(turned)).as(as).isLessThan(DEGREES);
            farthest = Math.max(farthest, apart);
            turnedMost = Math.max(turnedMost, Math.abs(turned));
          }
        }
      }
      page.context().close();
    }
    assertThat(driven).as("driven by CSS").isGreaterThan(25);
    System.out.printf(
        "SVG: letters at most %.4f px and %.4f degrees from their place%n", farthest, turnedMost);
  }

  /** The letters that have an outline, one after the other. */
  private static List<Placement> inked(PreparedLettering l, double time) {
    List<Placement> out = new ArrayList<>();
    for (RowLayout row : l.rows(l.values(time))) {
      for (Placement p : l.inFrame(row)) {
        if (!row.letters().get(p.letter()).isSpace()) {
          out.add(p);
        }
      }
    }
    return out;
  }
}
