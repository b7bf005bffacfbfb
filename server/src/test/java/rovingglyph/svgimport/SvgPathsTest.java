package rovingglyph.svgimport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.server.RefusedException;

class SvgPathsTest {
  private static SvgPaths.Result read(String svg) {
    return SvgPaths.read(svg.getBytes(StandardCharsets.UTF_8));
  }

  private static SvgPaths.Result inside(String body) {
    return read(
        "<svg xmlns='http://www.w3.org/2000/svg' width='200' height='100'>" + body + "</svg>");
  }

  private static Rect box(SvgPaths.Found f) {
    SubPath s = SvgPath.parse(f.d()).subPaths().get(0);
    return new Contour(s.segments(), s.closed()).bounds();
  }

  private static void assertBox(SvgPaths.Found f, double l, double t, double r, double b) {
    Rect box = box(f);
    assertThat(new double[] {box.left(), box.top(), box.right(), box.bottom()})
        .containsExactly(new double[] {l, t, r, b}, within(1e-6));
  }

  @Test
  void everyBasicShapeIsALine() {
    List<SvgPaths.Found> all =
        inside(
                "<rect x='10' y='20' width='30' height='40'/>"
                    + "<rect width='100' height='50' rx='10'/>"
                    + "<circle cx='50' cy='50' r='25'/>"
                    + "<ellipse cx='50' cy='50' rx='25' ry='10'/>"
                    + "<line x1='0' y1='0' x2='30' y2='40'/>"
                    + "<polyline points='0,0 10,0 10,10'/>"
                    + "<polygon points='0,0 10,0 10,10'/>"
                    + "<path id='own' d='M5 5h10'/>")
            .paths();
    assertThat(all)
        .extracting(SvgPaths.Found::name)
        .containsExactly("rect", "rect", "circle", "ellipse", "line", "polyline", "polygon", "own");
    assertThat(all)
        .extracting(SvgPaths.Found::closed)
        .containsExactly(true, true, true, true, false, false, true, false);
    assertBox(all.get(0), 10, 20, 40, 60);
    assertThat(all.get(1).length()).isCloseTo(300 - 80 + 20 * Math.PI, within(1e-6));
    assertThat(all.get(2).length()).isCloseTo(50 * Math.PI, within(1e-6));
    assertBox(all.get(3), 25, 40, 75, 60);
    assertThat(all.get(4).length()).isCloseTo(50, within(1e-9));
    assertThat(all.get(6).length()).isCloseTo(20 + Math.sqrt(200), within(1e-6));
  }

  @Test
  void transformsNestFromTheOutsideIn() {
    SvgPaths.Found f =
        inside(
                "<g transform='translate(100, 10)'><g transform='rotate(90) scale(2)'>"
                    + "<line x1='0' y1='0' x2='10' y2='0' transform='translate(5 0)'/></g></g>")
            .paths()
            .get(0);
    assertBox(f, 100, 20, 100, 40);
    assertBox(
        inside("<line x2='10' transform='matrix(1 0 0 1 3 4)'/>").paths().get(0), 3, 4, 13, 4);
    assertBox(inside("<line y2='10' transform='skewX(45)'/>").paths().get(0), 0, 0, 10, 10);
    assertBox(
        inside("<line x2='10' transform='rotate(180, 10, 10)'/>").paths().get(0), 10, 20, 20, 20);
  }

  @Test
  void viewBoxUnitsAndPercentGiveThePlaceInPx() {
    SvgPaths.Result r =
        read("<svg width='2in' height='1in' viewBox='0 0 20 10'><line x2='20' y2='10'/></svg>");
    assertThat(r.width()).isEqualTo(192);
    assertBox(r.paths().get(0), 0, 0, 192, 96);
    assertBox(inside("<rect width='50%' height='10mm'/>").paths().get(0), 0, 0, 100, 96 / 2.54);
    // Kept in the middle where the proportions differ, or stretched when told so.
    assertBox(
        read("<svg width='200' height='100' viewBox='0 0 10 10'><line x2='10' y2='10'/></svg>")
            .paths()
            .get(0),
        50,
        0,
        150,
        100);
    assertBox(
        read("<svg width='200' height='100' viewBox='0 0 10 10' preserveAspectRatio='none'>"
                + "<line x2='10' y2='10'/></svg>")
            .paths()
            .get(0),
        0,
        0,
        200,
        100);
    assertBox(
        inside(
                "<svg x='20' y='30' width='50' height='50' viewBox='0 0 5 5'><line x2='5' y2='5'/></svg>")
            .paths()
            .get(0),
        20,
        30,
        70,
        80);
  }

  @Test
  void usedElementsAndSymbolsAreDrawnWhereTheyAreUsed() {
    SvgPaths.Result r =
        inside(
            "<defs><line id='l' x2='10'/><symbol id='s' viewBox='0 0 1 1'><line x2='1' y2='1'/></symbol>"
                + "</defs><use href='#l' x='5' y='6'/>"
                + "<use xmlns:xlink='http://www.w3.org/1999/xlink' xlink:href='#l'/>"
                + "<use href='#s' width='40' height='40'/>");
    assertThat(r.paths()).hasSize(3);
    assertBox(r.paths().get(0), 5, 6, 15, 6);
    assertBox(r.paths().get(2), 0, 0, 40, 40);
  }

  @Test
  void severalSubpathsAreToldApartAndTitlesNameThem() {
    List<SvgPaths.Found> all =
        inside("<path d='M0 0h10M0 5h20zM3 3'><title>Two &amp; more</title></path>").paths();
    assertThat(all)
        .extracting(SvgPaths.Found::name)
        .containsExactly("Two & more 1", "Two & more 2");
  }

  @Test
  void brokenDataIsDrawnUpToTheErrorAndThePlaceIsTold() {
    SvgPaths.Result r = inside("<path id='kite' d='M0 0 L10 0 L 20 x 30'/>");
    assertBox(r.paths().get(0), 0, 0, 10, 0);
    assertThat(r.notes())
        .containsExactly(
            "\u201ckite\u201d is broken at character 17: a number is missing. It is drawn up to there.");
  }

  @Test
  void hiddenAndUndrawnElementsAreLeftOut() {
    assertThatThrownBy(
            () ->
                inside(
                    "<clipPath><rect width='9' height='9'/></clipPath><script>x</script>"
                        + "<g display='none'><circle r='4'/></g><circle r='0'/><text>hi</text>"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("draws no path");
  }

  @Test
  void whatIsNoSvgIsRefusedWithTheReason() {
    assertThatThrownBy(() -> read("")).hasMessageContaining("empty");
    assertThatThrownBy(() -> read("<html/>")).hasMessageContaining("begins with <html>");
    assertThatThrownBy(() -> read("hello")).hasMessageContaining("not an SVG");
    assertThatThrownBy(() -> read("<svg><path d='M0 0h9'></svg>"))
        .hasMessageContaining("broken (line 1)");
    assertThatThrownBy(() -> SvgPaths.read(new byte[20_000_000])).hasMessageContaining("20 MB");
    assertThatThrownBy(() -> read("<svg/>")).hasMessageContaining("draws no path");
  }

  @Test
  void entitiesAndOutsideReferencesAreNeverFollowed() {
    String bomb =
        "<!DOCTYPE svg [<!ENTITY a 'haha'><!ENTITY b '&a;&a;&a;&a;'><!ENTITY c SYSTEM 'file:///etc/passwd'>]>";
    assertThatThrownBy(() -> read(bomb + "<svg><title>&b;</title><line x2='9'/></svg>"))
        .hasMessageMatching(".*(entit|broken).*");
    assertThatThrownBy(() -> read(bomb + "<svg><title>&c;</title><line x2='9'/></svg>"))
        .hasMessageMatching(".*(entit|broken).*");
    assertThat(
            read("<!DOCTYPE svg PUBLIC 'x' 'http://127.0.0.1:1/x.dtd'><svg><line x2='9'/></svg>")
                .paths())
        .hasSize(1);
    SvgPaths.Result r =
        inside("<use href='file:///etc/passwd#x'/><use href='#gone'/><line x2='9'/>");
    assertThat(r.notes()).hasSize(2);
    StringBuilder uses = new StringBuilder("<g id='u0'><line x2='9'/></g>");
    for (int i = 1; i < 30; i++) {
      String use = "<use href='#u" + (i - 1) + "'/>";
      uses.append("<g id='u" + i + "'>" + use + use + use + "</g>");
    }
    assertThatThrownBy(() -> inside(uses.toString())).hasMessageContaining("<use>");
    assertThat(inside("<g id='me'><use href='#me'/><line x2='9'/></g>").notes().toString())
        .contains("uses itself");
    assertThatThrownBy(() -> read("<svg>".repeat(5000))).hasMessageContaining("nested");
  }

  @Test
  void damagedFilesNeverDoMoreThanBeRefused() {
    String good =
        "<svg viewBox='0 0 9 9' width='90'><g transform='rotate(3) scale(2)'><path d='M0 0C1 2 3 4 5 6z'/>"
            + "<use href='#a' x='2'/><rect id='a' width='3' height='4' rx='1'/></g></svg>";
    Random random = new Random(5);
    int read = 0;
    for (int i = 0; i < 1500; i++) {
      StringBuilder s = new StringBuilder(good);
      for (int k = 0; k <= random.nextInt(4); k++) {
        s.setCharAt(random.nextInt(s.length()), (char) (32 + random.nextInt(95)));
      }
      try {
        read += read(s.toString()).paths().size();
      } catch (RefusedException e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
    assertThat(read).isGreaterThan(500);
  }
}
