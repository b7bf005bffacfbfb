package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SvgPath;

/** The outlines that tell where an item is at some time. */
class SilhouetteTest {
  private static final String THERE_AND_GONE =
      offsets("{\"time\":0,\"value\":-300}", "{\"time\":2,\"value\":300}");

  private static Rect box(String data) {
    Rect box = Rect.EMPTY;
    for (var p : SvgPath.parse(data).subPaths()) {
      for (Segment s : p.segments()) {
        box = box.union(s.bounds());
      }
    }
    return box;
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void anItemOfAnyKindIsWhereItIsPaintedInAGroupThatMoves(String kind) {
    PreparedScene scene =
        prepare(
            """
            {"format":"roving-glyph-scene","version":2,"name":"Outlines","width":1000,"height":1000,
             "rate":"25","length":4,"paths":[%s],"items":[%s,
             {"kind":"group","id":"round","members":["it"],"scale":0.5,"rotation":20,
              "x":{"keyframes":[{"time":0,"value":0},{"time":1,"value":300}]}}]}"""
                .formatted(TestScenes.PATHS, TestScenes.item(kind, "")));
    for (double time : List.of(0.0, 0.4, 1.0)) {
      Rect painted = scene.frameBox("it", time);
      Rect outline = box(Silhouette.of(scene, "it", time));
      assertThat(painted.isEmpty()).isFalse();
      // A filled path has a line along its outline.
      double room = kind.equals("filled-path") ? 2 : 0.2;
      assertThat(outline.grown(room).contains(painted)).isTrue();
      assertThat(painted.grown(0.2).contains(outline)).isTrue();
    }
  }

  @Test
  void itGoesOnBeyondTheFrameAndWhereLettersAreNotRevealed() {
    PreparedScene scene = prepare(document(LINE, "abc", "\"pathOffset\":-700", "\"opacity\":0"));
    Rect box = box(Silhouette.of(scene, "l", 0));
    assertThat(box.width()).isGreaterThan(50);
    assertThat(box.right()).isLessThan(0);
  }

  @Test
  void itMovesAsTheItemDoes() {
    PreparedScene scene = prepare(document(LINE, "abc", THERE_AND_GONE, ""));
    Rect first = box(Silhouette.of(scene, "l", 0));
    Rect last = box(Silhouette.of(scene, "l", 2));
    assertThat(last.left() - first.left()).isCloseTo(600, within(0.2));
  }

  @Test
  void keyframesAreToldByTheirFramesWithThoseOfTheGroupsRound() {
    PreparedScene scene = prepare(document(LINE, "abc", THERE_AND_GONE, ""));
    assertThat(Silhouette.keyTimes(scene, "l")).containsExactly(0, 2);
  }
}
