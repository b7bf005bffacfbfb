package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SvgPathTest {
  private static List<SubPath> read(String data) {
    SvgPath.Parsed p = SvgPath.parse(data);
    assertThat(p.error()).isNull();
    return p.subPaths();
  }

  @Test
  void relativeAndShortFormsMeanTheSame() {
    String absolute = "M10 10L20 10L20 30C20 40 30 40 30 30C30 20 40 20 40 30Z";
    String relative = "m10,10h10v20c0 10,10 10,10 0s10-10 10 0z";
    assertThat(read(relative)).isEqualTo(read(absolute));
  }

  @Test
  void numbersNeedNoSeparators() {
    Segment s = read("M.5.5L-1-2e1").get(0).segments().get(0);
    assertThat(s.start()).isEqualTo(new Point(0.5, 0.5));
    assertThat(s.end()).isEqualTo(new Point(-1, -20));
  }

  @Test
  void arcFlagsNeedNoSeparators() {
    List<SubPath> a = read("M0 0A25 25 0 0150 0");
    assertThat(a).isEqualTo(read("M0 0 A 25 25 0 0 1 50 0"));
    assertThat(a.get(0).segments().get(0).point(0.5).y()).isCloseTo(-25, within(1e-9));
  }

  @Test
  void moreMovesAreLinesAndANewMoveBeginsASubPath() {
    assertThat(read("M0 0 10 0 10 10M50 50L60 60")).hasSize(2);
  }

  @Test
  void anErrorKeepsWhatCameBeforeAndTellsWhere() {
    SvgPath.Parsed p = SvgPath.parse("M0 0L10 0L20 x");
    assertThat(p.subPaths().get(0).segments()).hasSize(1);
    assertThat(p.error()).contains("number");
    assertThat(p.position()).isEqualTo(13);
    assertThat(SvgPath.parse("L0 0").error()).contains("begins with a move");
    assertThat(SvgPath.parse("M0 0L1e999 0").error()).contains("too large");
  }

  @Test
  void whatIsWrittenReadsTheSame() {
    Contour circle =
        new Contour(List.of(new Arc(new Point(9, 8), 70, 70, 0, 1, 2 * Math.PI)), true);
    Contour back = new Contour(read(SvgPath.write(circle, 9)).get(0).segments(), true);
    assertThat(back.length()).isCloseTo(circle.length(), within(1e-6));
    assertThat(back.at(123).point().distance(circle.at(123).point())).isLessThan(1e-6);
  }

  @Test
  void noGarbageThrows() {
    Random random = new Random(3);
    String letters = "MmZzLlHhVvCcSsQqTtAa0123456789.-+eE ,x\n";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder s = new StringBuilder("M1 1");
      for (int k = random.nextInt(30); k > 0; k--) {
        s.append(letters.charAt(random.nextInt(letters.length())));
      }
      SvgPath.Parsed p = SvgPath.parse(s.toString());
      assertThat(p.position()).isBetween(0, s.length());
    }
  }

  @Test
  void decimalsAreShortAndNeverExponents() {
    assertThat(Decimal.text(1e-7, 4)).isEqualTo("0");
    assertThat(Decimal.text(-0.25, 4)).isEqualTo("-0.25");
    assertThat(Decimal.text(1234567.891, 2)).isEqualTo("1234567.89");
    assertThat(Decimal.text(Double.NaN, 2)).isEqualTo("0");
    assertThat(Decimal.text(-9007199254.740993, 0)).isEqualTo("-9007199255");
    assertThat(Decimal.text(100, 3)).isEqualTo("100");
    assertThat(Decimal.text(0.995, 9)).isEqualTo("0.995");
  }

  @Test
  void decimalsAreReadToTheNearestDouble() {
    Random random = new Random(5);
    for (int i = 0; i < 20_000; i++) {
      String text = Decimal.text((random.nextDouble() - 0.5) * Math.pow(10, i % 18), i % 10);
      assertThat(Decimal.parse(text)).as(text).isEqualTo(Double.parseDouble(text));
    }
    for (String text : List.of("-0", ".5", "7.", "1e-5", "-1.5E3", "0.30000000000000004")) {
      assertThat(Decimal.parse(text)).as(text).isEqualTo(Double.parseDouble(text));
    }
    for (String none : List.of("", "-", ".", "1.2.3", "+-1", "x")) {
      assertThatThrownBy(() -> Decimal.parse(none)).isInstanceOf(NumberFormatException.class);
    }
  }
}
