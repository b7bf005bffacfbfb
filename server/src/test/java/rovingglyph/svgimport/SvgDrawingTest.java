package rovingglyph.svgimport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SvgDrawingTest {
  private static SvgDrawing.Result read(String root, String inside) {
    String svg = "<svg xmlns='http://www.w3.org/2000/svg' " + root + ">" + inside + "</svg>";
    return SvgDrawing.read(svg.getBytes(StandardCharsets.UTF_8));
  }

  private static SvgDrawing.Result read(String inside) {
    return read("width='100' height='60'", inside);
  }

  @Test
  void shapesComeBackToFrontRoundTheMiddleOfTheFrame() {
    SvgDrawing.Result r =
        read(
            "<title>Kite</title><path d='M0 0h10v10z' fill='#C4472D'/><g fill='navy'>"
                + "<rect x='50' y='30' width='50' height='30'/></g>");
    assertThat(r.width()).isEqualTo(100);
    assertThat(r.parts()).extracting(SvgDrawing.Part::fill).containsExactly("#c4472d", "#000080");
    assertThat(r.parts().get(0).d()).startsWith("M-50 -30L-40 -30L-40 -20");
    assertThat(r.parts().get(1).d()).startsWith("M0 0L50 0L50 30");
  }

  @Test
  void theViewBoxAndAllTransformsAreWorkedIn() {
    SvgDrawing.Result r =
        read(
            "width='200' height='200' viewBox='0 0 20 20'",
            "<g transform='translate(10 10)'><path transform='rotate(90)' d='M0 0L5 0L5 5Z'/></g>");
    assertThat(r.parts()).containsExactly(new SvgDrawing.Part("M0 0L0 50L-50 50L0 0Z", "#000000"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "fill='#abc' | #aabbcc",
        "fill='#ABCDEF' | #abcdef",
        "fill='rgb(1, 20, 300)' | #0114ff",
        "fill='white' | #ffffff",
        "style='fill:#123456;stroke-width:3' fill='red' | #123456",
        "'' | #000000"
      })
  void coloursAreReadAsTheyAreWritten(String attributes, String colour) {
    assertThat(read("<path d='M0 0h10v10z' " + attributes + "/>").parts())
        .extracting(SvgDrawing.Part::fill)
        .containsExactly(colour);
  }

  @Test
  void whatIsNotSeenIsLeftOut() {
    SvgDrawing.Result r =
        read(
            "<defs><linearGradient id='a'/></defs><path d='M0 0h10v10z' fill='none'/>"
                + "<g display='none'><text>no</text></g><path d='M0 0h10v10z'/>");
    assertThat(r.parts()).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<path d='M0 0h9v9z' stroke='red'/>",
        "<path d='M0 0h9v9z' opacity='.5'/>",
        "<path d='M0 0h9v9z' fill='url(#a)'/>",
        "<path d='M0 0h9v9z' fill='tomato'/>",
        "<path d='M0 0h9v9z' fill-rule='evenodd'/>",
        "<path d='M0 0h9v9z' class='a'/>",
        "<path d='M0 0h9v9z' style='transform:scale(2)'/>",
        "<path d='M0 0h9v9z'><animate attributeName='d'/></path>",
        "<path d='M0 0h9v'/>",
        "<path d='M0 0h900v9z'/>",
        "<g filter='url(#f)'><path d='M0 0h9v9z'/></g>",
        "<style>path{fill:red}</style><path d='M0 0h9v9z'/>",
        "<text>kites</text>",
        "<image href='kite.png'/>",
        "<use href='#a'/><defs><path id='a' d='M0 0h9v9z'/></defs>"
      })
  void whateverElseItHasMakesItAPicture(String inside) {
    assertThat(read("<path d='M0 0h9v9z'/>" + inside).parts()).isEmpty();
    assertThat(read(inside + "<path d='M0 0h9v9z'/>").parts()).isEmpty();
  }

  @Test
  void whatIsNoSvgIsRefused() {
    for (String bad : List.of("", "<html/>", "<svg><path", "kite")) {
      assertThatThrownBy(() -> SvgDrawing.read(bad.getBytes(StandardCharsets.UTF_8)))
          .isInstanceOf(rovingglyph.server.RefusedException.class);
    }
  }
}
