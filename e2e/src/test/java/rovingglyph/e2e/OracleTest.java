package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.SvgPath;
import rovingglyph.seat.Placement;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Seating;
import rovingglyph.server.TestServer;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * Glyph places against Chromium's own text on a path, with the same font file. Chromium measures a
 * path by chords that may be off by a fraction of a pixel each, so the scenes are large, and the
 * limit of 0.1 px with them.
 */
class OracleTest {
  /** The scenes are this much larger than lettering of 64 px on a circle of 320 px. */
  private static final int LARGER = 16;

  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static Page page;

  private static final String CIRCLE =
      "{\"id\":\"p\",\"kind\":\"circle\",\"centre\":[8000,8000],\"radius\":5120,\"startAngle\":-160}";
  private static final String COUNTER =
      CIRCLE.replace("-160", "20").replace("}", ",\"direction\":\"counterclockwise\"}");
  private static final String WAVE =
      "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":640,\"y\":9600,\"out\":[3200,-6400]},"
          + "{\"x\":8320,\"y\":6720,\"in\":[-2560,960],\"out\":[2560,-960]},{\"x\":15680,\"y\":8960,\"in\":[-1920,4160]}]}";

  /** A case: path, face, side, align, offset. */
  record Case(String path, String face, String side, String align, double offset) {}

  @BeforeAll
  static void open() {
    page = Browser.page();
    page.navigate(TestServer.shared().address() + "/mark.svg");
    page.navigate(TestServer.shared().address());
  }

  static List<Case> cases() {
    List<Case> all = new ArrayList<>();
    String[] faces = {"league-spartan", "pacifico", "eb-garamond", "fraunces"};
    int n = 0;
    for (String path : List.of(CIRCLE, COUNTER, WAVE)) {
      for (String side : List.of("left", "right")) {
        for (String align : List.of("start", "middle", "end")) {
          for (double offset : new double[] {0, 600}) {
            String face = faces[n++ % faces.length];
            // At the resting point of "end" an offset would push letters off the path.
            all.add(new Case(path, face, side, align, align.equals("end") ? -offset : offset));
          }
        }
      }
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("cases")
  @SuppressWarnings("unchecked")
  void glyphsStandWhereChromiumPutsThem(Case c) {
    String text = "Tall wavy AV kites";
    String axes =
        c.face.equals("fraunces")
            ? ",\"axes\":{\"wght\":500,\"opsz\":60,\"SOFT\":0,\"WONK\":0}"
            : "";
    String document =
        """
        {"format":"roving-glyph-scene","version":1,"width":8000,"height":8000,"paths":[%s],
         "letterings":[{"id":"l","text":"%s","path":"p","face":"%s","size":1024%s,
          "seat":{"side":"%s","align":"%s","pathOffset":%s}}]}"""
            .formatted(c.path, text, c.face, axes, c.side, c.align, c.offset);
    PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
    PreparedLettering l = scene.letterings().get("l");
    SeatValues v = l.values(0);
    Seating seating = l.seating(v);
    Contour contour = seating.contour();
    List<List<Number>> chromium =
        (List<List<Number>>)
            page.evaluate(
                """
                async ({ d, text, face, anchor, offset, variations }) => {
                  const font = new FontFace('oracle-' + face, `url(/api/faces/${face}/file)`);
                  document.fonts.add(await font.load());
                  const ns = 'http://www.w3.org/2000/svg';
                  const svg = document.createElementNS(ns, 'svg');
                  svg.setAttribute('width', '1000');
                  svg.setAttribute('height', '1000');
                  svg.innerHTML = `<path id="oracle" d="${d}"/><text text-anchor="${anchor}"
                    style="font: 1024px 'oracle-${face}'; text-rendering: geometricPrecision;
                    font-optical-sizing: none; font-variation-settings: ${variations}"
                    ><textPath href="#oracle" startOffset="${offset}">${text}</textPath></text>`;
                  document.body.append(svg);
                  const t = svg.querySelector('text');
                  const out = [];
                  for (let i = 0; i < t.getNumberOfChars(); i++) {
                    const p = t.getStartPositionOfChar(i);
                    out.push([p.x, p.y, t.getRotationOfChar(i)]);
                  }
                  svg.remove();
                  return out;
                }""",
                Map.of(
                    "d",
                    SvgPath.write(contour, 6),
                    "text",
                    text,
                    "face",
                    c.face,
                    "anchor",
                    c.align,
                    "offset",
                    seating.anchor(),
                    "variations",
                    c.face.equals("fraunces")
                        ? "'wght' 500, 'opsz' 60, 'SOFT' 0, 'WONK' 0"
                        : "normal"));
    List<Placement> places = l.placements(v);
    assertThat(chromium).hasSameSizeAs(places);
    int compared = 0;
    for (int i = 0; i < places.size(); i++) {
      Placement p = places.get(i);
      // Chromium reports no place for letters off the end of the path.
      double raw = seating.distance(i);
      if (raw < 0 || raw > contour.length()) {
        continue;
      }
      double half = p.advance() / 2;
      double x = p.at().x() - Math.cos(p.angle()) * half;
      double y = p.at().y() - Math.sin(p.angle()) * half;
      List<Number> there = chromium.get(i);
      assertThat(Math.hypot(there.get(0).doubleValue() - x, there.get(1).doubleValue() - y))
          .as("place of letter " + i)
          .isLessThan(0.1 * LARGER);
      double turn = Math.IEEEremainder(there.get(2).doubleValue() - Math.toDegrees(p.angle()), 360);
      assertThat(Math.abs(turn)).as("turn of letter " + i).isLessThan(0.1);
      compared++;
    }
    assertThat(compared).isGreaterThan(places.size() / 3);
  }
}
