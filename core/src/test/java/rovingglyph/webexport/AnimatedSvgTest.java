package rovingglyph.webexport;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.CORNER;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;

class AnimatedSvgTest {
  private static final String GO =
      offsets(
          "{\"time\":1,\"value\":0,\"easing\":[0.2,0.1,0.3,0.9]}", "{\"time\":6,\"value\":500}");

  private static String svg(String path, String text, String seat) throws Exception {
    String svg = AnimatedSvg.write(prepare(document(path, text, seat, "")));
    Document parsed =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    assertThat(parsed.getElementsByTagName("script").getLength()).isZero();
    assertThat(parsed.getElementsByTagName("text").getLength()).isZero();
    return svg;
  }

  private static int count(String text, String part) {
    return (text.length() - text.replace(part, "").length()) / part.length();
  }

  @Test
  void oneAnimatedValueDrivesAllLetters() throws Exception {
    String svg = svg(CIRCLE, "kites and strings", GO);
    assertThat(count(svg, "@keyframes")).isEqualTo(1);
    assertThat(count(svg, "@property")).isEqualTo(1);
    assertThat(count(svg, "offset-distance:calc(")).isEqualTo(15);
    assertThat(svg).doesNotContain("@font-face", "http://www.w3.org/1999/xlink", "url(");
  }

  @Test
  void aKeyframeAfterTheEndCutsTheCurveThere() throws Exception {
    assertThat(svg(LINE, "ab", GO)).contains("0%{", "25%{", "100%{").doesNotContain("150%");
  }

  @Test
  void aLetteringRoundACornerIsSampled() throws Exception {
    String svg = svg(CORNER, "ab", GO);
    assertThat(svg).doesNotContain("offset-path", "step-end").contains("rotate(90deg)");
    assertThat(count(svg, "@keyframes")).isEqualTo(2);
  }

  @Test
  void aJumpIsThereAtItsOwnTime() throws Exception {
    // A browser's own reckoning may fall short of 30 % by its last bit.
    String held =
        offsets("{\"time\":0,\"value\":0,\"easing\":\"hold\"}", "{\"time\":1.2,\"value\":100}");
    assertThat(svg(CORNER, "ab", held))
        .containsPattern("29\\.99\\d*%\\{transform:translate\\(225px");
  }

  @Test
  void lettersThatDoTheSameLaterShareOneRule() throws Exception {
    String lap =
        "\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":1}},\"evenSpacing\":true";
    String svg = svg(CIRCLE, "kites and strings", lap);
    assertThat(count(svg, "@keyframes")).isEqualTo(1);
    assertThat(count(svg, "linear infinite")).isEqualTo(15);
  }

  @Test
  void namesAreShownAsText() throws Exception {
    String json =
        document(LINE, "a", "", "").replace("\"Test\"", "\"</title><script>x()</script>&\"");
    String svg = AnimatedSvg.write(prepare(json));
    assertThat(svg).contains("&lt;script&gt;").doesNotContain("<script");
  }
}
