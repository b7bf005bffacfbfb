package rovingglyph.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.TestScenes;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;

/** The ends of gradients: what is dragged to where it is, stays. */
class GradientHandlesTest {
  private static final String STOPS =
      "\"stops\":[{\"offset\":0,\"colour\":\"#112233\"},{\"offset\":100,\"colour\":\"#AABBCC\"}]";

  private static PreparedScene scene(String kind, String more) {
    return TestScenes.prepare(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Ends","width":1000,"height":800,"rate":"25",
         "length":4,"paths":[%s,
           {"id":"ring","kind":"circle","x":500,"y":400,"radius":200}],"items":[%s]}"""
            .formatted(TestScenes.PATHS, TestScenes.item(kind, more)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "colour-field | \"filling\":\"linear\",\"rotation\":30,\"scale\":2,",
        "colour-field | \"filling\":\"radial\",\"area\":\"frame\",",
        "lettering | \"filling\":\"linear\",\"across\":\"frame\",\"rotation\":20,",
        "lettering | \"filling\":\"linear\",\"across\":\"run\",\"rotation\":20,",
        "lettering | \"filling\":\"radial\",\"across\":\"path\","
      })
  void comeBackToWhereTheyAre(String kind, String more) {
    String values = "\"fromX\":12,\"fromY\":34,\"toX\":78,\"toY\":56,";
    PreparedScene p = scene(kind, more + values + STOPS);
    GradientHandles h = new GradientHandles(p, "it", 1);
    double[] ends = h.ends();
    assertThat(ends).hasSize(4);
    double[] from = h.to(new Point(ends[0], ends[1]));
    double[] to = h.to(new Point(ends[2], ends[3]));
    assertThat(from[0]).isCloseTo(12, within(1e-3));
    assertThat(to[0]).isCloseTo(78, within(1e-3));
    if (from.length > 1) {
      assertThat(from[1]).isCloseTo(34, within(1e-3));
      assertThat(to[1]).isCloseTo(56, within(1e-3));
    }
  }

  /** Round a ring an end is dragged by the nearest way. */
  @Test
  void goRoundARing() {
    String ring =
        "\"filling\":\"linear\",\"across\":\"run\",\"fromX\":0,\"toX\":100,"
            + "\"seat\":{\"pathOffset\":-40},"
            + STOPS;
    PreparedScene p =
        TestScenes.prepare(
            """
            {"format":"roving-glyph-scene","version":2,"name":"Ends","width":1000,"height":800,"rate":"25",
             "length":4,"paths":[{"id":"ring","kind":"circle","x":500,"y":400,"radius":200}],
             "items":[{"kind":"lettering","id":"it","text":"nnnn","path":"ring","size":100,%s}]}"""
                .formatted(ring));
    GradientHandles h = new GradientHandles(p, "it", 0);
    double[] ends = h.ends();
    assertThat(h.to(new Point(ends[0], ends[1]))[0]).isCloseTo(0, within(1e-3));
    assertThat(h.to(new Point(ends[2], ends[3]))[0]).isCloseTo(100, within(1e-3));
  }

  @Test
  void areNowhereWithoutAGradientOfOnePlace() {
    assertThat(new GradientHandles(scene("colour-field", ""), "it", 0).ends()).isEmpty();
    assertThat(new GradientHandles(scene("drawing", ""), "it", 0).ends()).isEmpty();
    String letters = "\"filling\":\"linear\",\"across\":\"letter\"," + STOPS;
    assertThat(new GradientHandles(scene("lettering", letters), "it", 0).ends()).isEmpty();
    assertThat(new GradientHandles(scene("group", ""), "it", 0).ends()).isEmpty();
  }
}
