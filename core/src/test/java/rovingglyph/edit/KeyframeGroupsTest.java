package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;

import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import rovingglyph.document.SceneCodec;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;

/** Edits of all keyframes of a value that undo each other, over random keyframes on frames. */
class KeyframeGroupsTest {
  private static final Random RANDOM = new Random(3);

  private Scene scene;
  private int count;

  @BeforeEach
  void keyframes() {
    TreeSet<Integer> frames = new TreeSet<>();
    count = 2 + RANDOM.nextInt(6);
    while (frames.size() < count) {
      frames.add(RANDOM.nextInt(100));
    }
    String keys =
        frames.stream()
            .map(f -> "{\"time\":" + f / 25.0 + ",\"value\":" + RANDOM.nextInt(500) + "}")
            .collect(Collectors.joining(","));
    String offset = "\"pathOffset\":{\"keyframes\":[" + keys + "]}";
    scene = SceneCodec.read(document(LINE, "abcd", offset, ""));
  }

  private Scene edit(Scene s, String op, String more) {
    String all =
        IntStream.range(0, count).mapToObj(String::valueOf).collect(Collectors.joining(","));
    return SceneEdits.apply(
        s,
        "{\"op\":\"%s\",\"item\":\"l\",\"channel\":\"pathOffset\",\"indexes\":[%s]%s}"
            .formatted(op, all, more));
  }

  private static AnimatedValue offset(Scene s) {
    return s.item("l").movable(Channel.PATH_OFFSET);
  }

  private static List<Keyframe> keys(Scene s) {
    return offset(s).keyframes();
  }

  @RepeatedTest(20)
  void mirroredTwiceIsAsItWas() {
    Scene once = edit(scene, "mirrorKeys", "");
    assertThat(keys(once)).hasSize(count);
    double first = keys(scene).get(0).time();
    double last = keys(scene).get(count - 1).time();
    for (double t = first; t <= last; t += 0.037) {
      assertThat(Timeline.value(offset(once), first + last - t))
          .isCloseTo(Timeline.value(offset(scene), t), within(1e-6));
    }
    assertThat(keys(edit(once, "mirrorKeys", ""))).isEqualTo(keys(scene));
  }

  @RepeatedTest(20)
  void movedThereAndBackIsAsItWas() {
    Scene there = edit(scene, "moveKeys", ",\"by\":1.2,\"value\":30");
    for (int i = 0; i < count; i++) {
      assertThat(keys(there).get(i).time())
          .isCloseTo(keys(scene).get(i).time() + 1.2, within(1e-9));
      assertThat(keys(there).get(i).value()).isEqualTo(keys(scene).get(i).value() + 30);
    }
    assertThat(keys(edit(there, "moveKeys", ",\"by\":-1.2,\"value\":-30"))).isEqualTo(keys(scene));
  }

  @RepeatedTest(20)
  void stretchedAndShrunkIsAsItWas() {
    Scene twice = edit(scene, "stretchKeys", ",\"about\":0,\"factor\":2");
    assertThat(keys(twice).get(count - 1).time())
        .isCloseTo(2 * keys(scene).get(count - 1).time(), within(1e-9));
    assertThat(keys(edit(twice, "stretchKeys", ",\"about\":0,\"factor\":0.5")))
        .isEqualTo(keys(scene));
  }
}
