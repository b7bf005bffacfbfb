package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.CORNER;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.prepare;
import static rovingglyph.TestScenes.with;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.scene.Channel;
import rovingglyph.seat.SeatValues;

/** The quick answer must be the slow one, and what it promises must hold. */
class FrameProbeTest {
  private static final String GROUPED =
      "\"groups\":[{\"id\":\"g\",\"members\":[\"l\"],\"centre\":[300,400],\"x\":420,"
          + "\"scale\":1.7,\"rotation\":25}]";

  @Test
  void agreesWithTheOutlinesAtEveryOffset() {
    String out = drawn(-300, 200, 600, -400, 1300, 900);
    for (String path : List.of(out, CORNER, CIRCLE.replace("200", "640"))) {
      for (String seat :
          List.of(
              "",
              "\"ends\":\"cut\"",
              "\"ends\":\"wrap\"",
              "\"side\":\"right\",\"baselineShift\":-90")) {
        for (String turn : List.of("0", "70")) {
          String json = document(path, "wide wind", seat, "\"rotation\":" + turn);
          for (PreparedScene s : List.of(prepare(json), prepare(with(json, GROUPED)))) {
            check(s, s.area());
            check(s, new Rect(-1e7, -1e7, 20, 1e7));
            check(s, new Rect(-1e7, 900, 1e7, 1e7));
          }
        }
      }
    }
  }

  private static void check(PreparedScene scene, Rect area) {
    PreparedLettering l = scene.letterings().get("l");
    SeatValues v = l.values(0);
    FrameProbe probe = new FrameProbe(l, v, area);
    for (double offset = -3000; offset <= 3000; offset += 17.3) {
      LandingSolver.Reading r = probe.read(offset);
      assertThat(r.in()).isEqualTo(l.touches(v.with(Channel.PATH_OFFSET, offset), area));
      for (int way : new int[] {-1, 1}) {
        double edge = offset + way * Math.min(r.sureFor(), 4000);
        assertThat(l.touches(v.with(Channel.PATH_OFFSET, edge), area)).isEqualTo(r.in());
      }
    }
  }
}
