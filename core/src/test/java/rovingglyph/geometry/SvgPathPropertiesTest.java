package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;

/** The path parser under random and damaged text. */
class SvgPathPropertiesTest {
  private static final String[] PARTS = {
    "M", "m", "L", "h", "V", "C", "s", "Q", "t", "A", "a", "z", "Z", " ", ",", ",,", "1", "-2.5",
    "+.5", "1e3", "1e999", "1e", ".", "-", "0", "0 1", "NaN", "\n", "x", "\u2212", "10 20", "30,40"
  };
  private static final String GOOD =
      "M10 20L30 40C1 2 3 4 5 6S7 8 9 10Q1 1 2 2T5 5A10 20 30 0 1 50 60H5V6zm1 1l2 2";

  @Property(tries = 5000, seed = "1")
  void anyRowOfPiecesIsReadWithoutAFault(@ForAll long seed) {
    Random r = new Random(seed);
    StringBuilder text = new StringBuilder(r.nextBoolean() ? "M0 0" : "");
    for (int i = r.nextInt(30); i > 0; i--) {
      text.append(PARTS[r.nextInt(PARTS.length)]);
    }
    check(text.toString());
  }

  @Property(tries = 2000, seed = "2")
  void anyTextIsReadWithoutAFault(@ForAll @StringLength(max = 200) String text) {
    check(text);
  }

  @Property(tries = 3000, seed = "3")
  void aDamagedCharacterKeepsWhatStandsBeforeIt(@ForAll long seed) {
    Random r = new Random(seed);
    int at = r.nextInt(GOOD.length());
    String broken = GOOD.substring(0, at) + (char) (33 + r.nextInt(90)) + GOOD.substring(at + 1);
    check(broken);
  }

  private static void check(String text) {
    SvgPath.Parsed p = SvgPath.parse(text);
    assertThat(p.position()).isBetween(0, text.length());
    if (p.error() == null) {
      return;
    }
    // The error rule: what is drawn is what the text up to the error draws.
    SvgPath.Parsed head = SvgPath.parse(text.substring(0, p.position()));
    assertThat(segments(p)).isGreaterThanOrEqualTo(0).isLessThanOrEqualTo(segments(head));
    for (SubPath s : p.subPaths()) {
      if (s.segments().stream().allMatch(g -> finite(g.bounds()))) {
        assertThat(new Contour(s.segments(), s.closed()).length()).isNotNaN();
      }
    }
  }

  private static int segments(SvgPath.Parsed p) {
    return p.subPaths().stream().mapToInt(s -> s.segments().size()).sum();
  }

  private static boolean finite(Rect r) {
    return Double.isFinite(r.width()) && Double.isFinite(r.height());
  }
}
