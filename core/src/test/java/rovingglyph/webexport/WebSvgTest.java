package rovingglyph.webexport;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;

/** What the animated SVG has on web pages beside its motion. */
class WebSvgTest {
  private static String svg(String seat, String fit) {
    String document = TestScenes.document(TestScenes.LINE, "kites & <pier>", seat, "");
    return WebSvg.write(TestScenes.prepare(document), (image, width) -> null, fit);
  }

  private static final String MOVES =
      "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":2,\"value\":200}]}";

  @Test
  void itsWordsAreToldToThoseWhoCannotSeeThem() {
    assertThat(svg(MOVES, "none"))
        .contains("role=\"img\"", "<desc>kites &amp; &lt;pier&gt;</desc>");
  }

  @Test
  void itStandsStillWhereLessMotionIsAskedFor() {
    String moving = svg(MOVES, "none");
    assertThat(moving).containsOnlyOnce("prefers-reduced-motion:reduce");
    String prefix = moving.split("-still\\{display:none\\}", -1)[0].replaceAll("(?s).*\\.", "");
    assertThat(moving)
        .containsOnlyOnce("<g class=\"" + prefix + "-moves\">")
        .containsOnlyOnce("<g class=\"" + prefix + "-still\">");
    String still = moving.substring(moving.indexOf(prefix + "-still\">"));
    assertThat(still).contains("<path d=").doesNotContain("animation", "<animate", "offset-path");
  }

  @Test
  void whatDoesNotMoveIsThereOnce() {
    assertThat(svg("", "none")).doesNotContain("reduced-motion", "-still");
  }

  @Test
  void noNameIsThereTwice() {
    List<String> ids =
        Pattern.compile(" id=\"([^\"]*)\"")
            .matcher(svg(MOVES, "none"))
            .results()
            .map((MatchResult r) -> r.group(1))
            .toList();
    assertThat(ids).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @ValueSource(strings = {"xMidYMid meet", "xMidYMid slice", "none"})
  void itTakesTheSizeOfItsPlace(String fit) {
    String head = svg(MOVES, fit).split(">", -1)[0];
    assertThat(head)
        .contains("preserveAspectRatio=\"" + fit + "\"", "viewBox=\"0 0 1000 1000\"")
        .doesNotContain(" width=", " height=");
  }
}
