package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.LoopCheck;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;

/** Copies that come after words on the same path. */
class FollowersTest {
  private static final String MOVING =
      "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":-400,\"easing\":\"ease-in-out\"},"
          + "{\"time\":2,\"value\":500}]}";
  private static final String LOOKS =
      "\"opacity\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":0.5,\"value\":90}]},"
          + "\"fill\":{\"keyframes\":[{\"time\":0,\"value\":\"#102030\"},"
          + "{\"time\":1,\"value\":\"#C0B0A0\"}]},"
          + "\"size\":{\"base\":60,\"sway\":{\"amplitude\":4,\"period\":1}}";

  /** With copies, as it is read from what was written. */
  private static PreparedScene with(String document, int count) {
    PreparedScene before = TestScenes.prepare(document);
    Scene after =
        SceneEdits.apply(
            before.scene(),
            before,
            "{\"op\":\"followers\",\"item\":\"l\",\"id\":\"c\",\"count\":%d}".formatted(count));
    return Preparation.prepare(SceneCodec.read(SceneCodec.write(after)), TestScenes::run);
  }

  private static List<PreparedLettering> all(PreparedScene scene) {
    return new ArrayList<>(scene.letterings().values());
  }

  private static double offset(PreparedLettering l, double time) {
    return l.values(time).pathOffset();
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 5})
  void wordsThatStandStillGoThroughTheFrameAndNoneTouchesTheNext(int count) {
    PreparedScene scene = with(document(LINE, "abcd", "", ""), count);
    List<PreparedLettering> row = all(scene);
    assertThat(row).hasSize(count + 1);
    double length = scene.scene().length();
    for (PreparedLettering l : row) {
      assertThat(l.touches(l.values(0), scene.area())).isFalse();
      assertThat(l.touches(l.values(length - 0.04), scene.area())).isFalse();
    }
    double last = offset(row.get(0), length);
    double first = offset(row.get(0), 0);
    double extent = row.get(0).seating(row.get(0).values(0)).extent();
    for (int i = 0; i < count; i++) {
      for (double t = 0; t < length; t += 0.04) {
        double ahead = offset(row.get(i), t);
        double behind = offset(row.get(i + 1), t);
        if (ahead < last - 1 && behind > first + 1) {
          assertThat(ahead - behind).isGreaterThan(extent);
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {2, 8})
  void onARingTheyGoBehindEachOtherAndTheLoopIsClosed(int count) {
    PreparedScene scene = with(document(CIRCLE, "ab", "", ""), count);
    assertThat(LoopCheck.of(scene)).isEmpty();
    List<PreparedLettering> row = all(scene);
    double gap = offset(row.get(0), 1) - offset(row.get(1), 1);
    double length = row.get(0).seating(row.get(0).values(0)).track().length();
    assertThat(gap * (count + 1)).isLessThanOrEqualTo(length + 1e-6);
    for (int i = 0; i < count; i++) {
      assertThat(offset(row.get(i), 2.5) - offset(row.get(i + 1), 2.5))
          .isCloseTo(gap, within(1e-6));
    }
  }

  @Test
  void whateverMovesIsLaterByTheSame() {
    PreparedScene scene = with(document(LINE, "ab", MOVING, LOOKS), 2);
    List<PreparedLettering> row = all(scene);
    double delay = row.get(1).lettering().values().get(Channel.PATH_OFFSET).follow().delay();
    assertThat(delay).isGreaterThan(0.03);
    for (double t = 0.1; t < 3; t += 0.17) {
      for (int i = 0; i < 2; i++) {
        var now = row.get(i).values(t);
        var then = row.get(i + 1).values(t + delay);
        assertThat(then.pathOffset()).isCloseTo(now.pathOffset(), within(1e-6));
        assertThat(then.opacity()).isCloseTo(now.opacity(), within(1e-6));
        assertThat(then.size()).isCloseTo(now.size(), within(1e-6));
      }
    }
  }

  @Test
  void moreOfThemComeAfterThoseThatAreThere() {
    PreparedScene two = with(document(LINE, "ab", MOVING, ""), 2);
    Scene four =
        SceneEdits.apply(
            two.scene(), two, "{\"op\":\"followers\",\"item\":\"l\",\"id\":\"d\",\"count\":2}");
    assertThat(four.letterings().stream().skip(1).map(l -> delay(four, l.id())))
        .isSorted()
        .doesNotHaveDuplicates()
        .hasSize(4);
    assertThat(four.stack()).hasSize(5);
  }

  private static double delay(Scene scene, String id) {
    return scene.item(id).values().get(Channel.PATH_OFFSET).follow().delay();
  }
}
