package rovingglyph.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.schema.Spelling;

class SceneTest {
  @ParameterizedTest
  @CsvSource({
    "24000, 1001, 10, 240", "24, 1, 10, 240", "25, 1, 6, 150", "30000, 1001, 10, 300",
    "30, 1, 4, 120", "50, 1, 0.5, 25", "60, 1, 1, 60", "25, 1, 0.01, 1"
  })
  void framesOfALength(int numerator, int denominator, double length, int frames) {
    FrameRate rate = new FrameRate(numerator, denominator);
    Scene s = SceneCodec.read(document(LINE, "a", "", ""));
    Scene timed =
        new Scene(
            s.name(),
            s.width(),
            s.height(),
            rate,
            length,
            s.background(),
            s.paths(),
            s.items(),
            s.templates(),
            s.guides(),
            s.cues(),
            s.blur(),
            s.stack(),
            s.shown(),
            s.extras());
    assertThat(timed.frameCount()).isEqualTo(frames);
  }

  @Test
  void aFramesTimeIsExactAndComesBackToIt() {
    FrameRate ntsc = new FrameRate(30000, 1001);
    for (long f = 0; f < 200_000; f += 997) {
      assertThat(ntsc.frameAt(ntsc.timeOf(f))).isEqualTo(f);
    }
    assertThat(ntsc.timeOf(30000)).isCloseTo(1001, within(1e-9));
    assertThat(ntsc.text()).isEqualTo("30000/1001");
    assertThat(new FrameRate(25, 1).text()).isEqualTo("25");
  }

  static List<Channel> channels() {
    List<Channel> out = new ArrayList<>(Lettering.SEAT);
    out.addAll(Lettering.OWN);
    return out;
  }

  @ParameterizedTest
  @MethodSource("channels")
  void everyChannelOfALetteringCanBeReplacedAlone(Channel channel) {
    Lettering l = SceneCodec.read(document(LINE, "a", "", "")).letterings().get(0);
    Lettering changed = l.with(channel, new AnimatedValue(42));
    for (Channel c : channels()) {
      assertThat(changed.movable(c)).isEqualTo(c == channel ? new AnimatedValue(42) : l.movable(c));
    }
    assertThat(Channel.of(channel.field())).isEqualTo(channel);
    assertThat(channel.clamp(1e12)).isEqualTo(channel.max());
    assertThat(channel.clamp(-1e12)).isEqualTo(channel.min());
  }

  @Test
  void anItemIsReplacedInItsPlace() {
    Scene s = SceneCodec.read(document(LINE, "a", "", ""));
    Scene changed = s.withItem(s.item("l").with(Channel.SIZE, new AnimatedValue(7)));
    assertThat(changed.item("l").movable(Channel.SIZE).base()).isEqualTo(7);
    assertThat(changed.stack()).isEqualTo(s.stack());
    assertThat(s.item("nobody")).isNull();
    assertThat(s.path("nowhere")).isNull();
  }

  @ParameterizedTest
  @EnumSource(Easing.Kind.class)
  void choicesAreSpeltTheSameBothWays(Easing.Kind kind) {
    assertThat(Spelling.find(Easing.Kind.values(), Spelling.of(kind))).isEqualTo(kind);
    assertThat(Easing.of(kind).kind()).isEqualTo(kind);
    assertThat(Spelling.of(kind)).matches("[a-z-]+");
  }
}
