package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SvgPath;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
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

  /** A case; tracking and word spacing in em. */
  record Case(
      String path,
      String face,
      String side,
      String align,
      double offset,
      double tracking,
      double wordSpacing) {}

  @BeforeAll
  static void open() {
    page = Browser.freePage();
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
            all.add(
                new Case(path, face, side, align, align.equals("end") ? -offset : offset, 0, 0));
          }
        }
      }
    }
    Random r = new Random(8440);
    while (all.size() < 240) {
      String path = List.of(CIRCLE, COUNTER, WAVE).get(r.nextInt(3));
      String align = List.of("start", "middle", "end").get(r.nextInt(3));
      double offset = Math.rint(r.nextDouble() * 1500);
      // At the resting point of "end" an offset would push letters off the path.
      all.add(
          new Case(
              path,
              faces[r.nextInt(faces.length)],
              r.nextBoolean() ? "left" : "right",
              align,
              align.equals("end") ? -offset : align.equals("middle") ? offset - 750 : offset,
              Math.rint(r.nextDouble() * 100) / 1000,
              Math.rint(r.nextDouble() * 400) / 1000));
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
         "letterings":[{"id":"l","text":"%s","path":"p","face":"%s","size":1024%s,"tracking":%s,"wordSpacing":%s,
          "seat":{"side":"%s","align":"%s","pathOffset":%s}}]}"""
            .formatted(
                c.path, text, c.face, axes, c.tracking, c.wordSpacing, c.side, c.align, c.offset);
    PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
    PreparedLettering l = scene.letterings().get("l");
    SeatValues v = l.values(0);
    RowLayout seating = l.seating(v);
    Contour contour = seating.contour();
    List<List<Number>> chromium =
        (List<List<Number>>)
            page.evaluate(
                """
                async ({ d, text, face, anchor, offset, variations, letter, word }) => {
                  const font = new FontFace('oracle-' + face, `url(/api/faces/${face}/file)`);
                  document.fonts.add(await font.load());
                  const ns = 'http://www.w3.org/2000/svg';
                  const svg = document.createElementNS(ns, 'svg');
                  svg.setAttribute('width', '1000');
                  svg.setAttribute('height', '1000');
                  svg.innerHTML = `<path id="oracle" d="${d}"/><text text-anchor="${anchor}"
                    style="font: 1024px 'oracle-${face}'; text-rendering: geometricPrecision;
                    font-optical-sizing: none; font-variation-settings: ${variations};
                    letter-spacing: ${letter}px; word-spacing: ${word}px"
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
                    "letter",
                    c.tracking * 1024,
                    "word",
                    c.wordSpacing * 1024,
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
          .as(
              "place of letter "
                  + i
                  + " in "
                  + c.face
                  + ", "
                  + c.align
                  + ", tracking "
                  + c.tracking)
          .isLessThan(0.1 * LARGER);
      double turn = Math.IEEEremainder(there.get(2).doubleValue() - Math.toDegrees(p.angle()), 360);
      assertThat(Math.abs(turn))
          .as("turn of letter " + i + " in " + c.face + ", " + c.align + ", tracking " + c.tracking)
          .isLessThan(0.1);
      compared++;
    }
    assertThat(compared).isGreaterThan(places.size() / 3);
  }

  /** Path data with lines, cubics, cusps, self-crossings, tiny and large pieces. */
  private static String random(Random r) {
    double x = r.nextDouble() * 4000;
    double y = r.nextDouble() * 4000;
    StringBuilder d = new StringBuilder("M" + x + " " + y);
    int pieces = 1 + r.nextInt(4);
    for (int i = 0; i < pieces; i++) {
      double scale = new double[] {20, 900, 4000}[r.nextInt(3)];
      double[] n = new double[6];
      for (int k = 0; k < 6; k++) {
        n[k] = (k % 2 == 0 ? x : y) + (r.nextDouble() - 0.5) * scale;
      }
      switch (r.nextInt(5)) {
        case 0 -> d.append("L" + n[4] + " " + n[5]);
        // Handles that cross: the curve stops and turns back on the way.
        case 1 -> d.append("C" + n[4] + " " + n[5] + " " + x + " " + y + " " + n[4] + " " + n[5]);
        case 2 -> d.append("Q" + n[0] + " " + n[1] + " " + n[4] + " " + n[5]);
        default ->
            d.append("C" + n[0] + " " + n[1] + " " + n[2] + " " + n[3] + " " + n[4] + " " + n[5]);
      }
      x = n[4];
      y = n[5];
    }
    return d.toString();
  }

  /** Chromium measures by chords, so that a thousandth of the length is what it can hold. */
  @Test
  @SuppressWarnings("unchecked")
  void aThousandRandomPathsAreAsLongAndGoWhereChromiumSays() {
    Random r = new Random(1);
    List<String> data = new ArrayList<>();
    for (int i = 0; i < 1000; i++) {
      data.add(random(r));
    }
    List<List<Number>> there =
        (List<List<Number>>)
            page.evaluate(
                """
                (all) => all.map((d) => {
                  const p = document.createElementNS('http://www.w3.org/2000/svg', 'path');
                  p.setAttribute('d', d);
                  const l = p.getTotalLength();
                  const out = [l];
                  for (let i = 0; i <= 8; i++) {
                    const q = p.getPointAtLength((l * i) / 8);
                    out.push(q.x, q.y);
                  }
                  return out;
                })""",
                data);
    for (int i = 0; i < data.size(); i++) {
      Contour c = new Contour(SvgPath.parse(data.get(i)).subPaths().get(0).segments(), false);
      List<Number> n = there.get(i);
      double limit = 1e-3 * c.length() + 0.5;
      assertThat(Math.abs(n.get(0).doubleValue() - c.length())).as(data.get(i)).isLessThan(limit);
      for (int k = 0; k <= 8; k++) {
        double x = n.get(1 + 2 * k).doubleValue();
        double y = n.get(2 + 2 * k).doubleValue();
        assertThat(c.at(c.length() * k / 8).point().distance(new Point(x, y)))
            .as(data.get(i) + " at " + k + "/8")
            .isLessThan(limit);
      }
    }
  }
}
