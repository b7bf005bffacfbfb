package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

class FrameTest {
  @Test
  void aLetteringIsOneShapeOfAllItsOutlines() {
    List<FrameEntries.Entry> entries =
        FrameEntries.of(
            prepare(document(LINE, "ab c", "", "\"fill\":\"#102030\",\"opacity\":40")).at(0));
    assertThat(entries).hasSize(1);
    FrameEntries.Entry e = entries.get(0);
    assertThat(e.paint().rgb()).isEqualTo(0x102030);
    assertThat(e.paint().alpha()).isEqualTo(0.4);
    assertThat(e.maps()).hasSize(3);
    // The origin of the first letter stands at the start of the line, scaled by the type size.
    assertThat(e.maps().get(0).a()).isCloseTo(100, within(1e-9));
    assertThat(e.maps().get(0).e()).isCloseTo(100, within(1e-9));
    assertThat(e.maps().get(0).f()).isCloseTo(500, within(1e-9));
  }

  @Test
  void whatIsHiddenOrFullyClearIsNotInTheFrame() {
    assertThat(prepare(document(LINE, "a", "", "\"hidden\":true")).at(0).numbers()).isEmpty();
    assertThat(prepare(document(LINE, "a", "", "\"opacity\":0")).at(0).numbers()).isEmpty();
  }

  @Test
  void theStackGivesTheOrder() {
    String picture =
        "\"pictures\":[{\"id\":\"k\",\"parts\":[{\"d\":\"M0 0H9V9Z\",\"fill\":\"#0000FF\"}]}],";
    String json =
        document(LINE, "a", "", "\"fill\":\"#FF0000\"").replace("\"paths\"", picture + "\"paths\"");
    assertThat(lowest(json)).isEqualTo(0x0000FF);
    String turned = json.replace("\"paths\"", "\"stack\":[\"l\",\"k\"],\"paths\"");
    assertThat(lowest(turned)).isEqualTo(0xFF0000);
  }

  /** The colour of what is painted first. */
  private static int lowest(String document) {
    return FrameEntries.of(prepare(document).at(0)).get(0).paint().rgb();
  }

  @Test
  void aWholeLapClosesWithoutASeam() {
    PreparedScene s =
        prepare(
            document(
                CIRCLE,
                "abcdefg",
                offsets(
                    "{\"time\":0,\"value\":0,\"landing\":\"at-rest\"}",
                    "{\"time\":4,\"value\":0,\"landing\":\"whole-laps\",\"laps\":1}"),
                ""));
    double[] first = s.at(0).numbers();
    double[] after = s.at(4).numbers();
    for (int i = 0; i < first.length; i++) {
      assertThat(after[i]).isCloseTo(first[i], within(1e-9));
    }
  }

  @Test
  void itemAtFindsInkAndNotTheGapsBetween() {
    PreparedScene s = prepare(document(LINE, "ab", "", ""));
    assertThat(s.itemAt(new Point(125, 480), 0, 1)).isEqualTo("l");
    assertThat(s.itemAt(new Point(150, 480), 0, 1)).isEmpty();
    assertThat(s.itemAt(new Point(125, 520), 0, 1)).isEmpty();
  }

  @Test
  void touchingIsExact() {
    Outline ring = Outline.of("M0 0H100V100H0ZM20 20V80H80V20Z");
    Rect area = new Rect(30, 30, 70, 70);
    assertThat(AreaTouch.touches(ring, Projection.IDENTITY, area)).as("in the hole").isFalse();
    assertThat(AreaTouch.touches(ring, Projection.of(Affine.translate(12, 0)), area)).isTrue();
    Outline full = Outline.of("M0 0H100V100H0Z");
    assertThat(AreaTouch.touches(full, Projection.IDENTITY, area)).as("wholly covered").isTrue();
    assertThat(
            AreaTouch.touches(
                full, Projection.of(Affine.translate(-100.001, 0)), new Rect(0, 0, 9, 9)))
        .isFalse();
    assertThat(
            AreaTouch.touches(
                full, Projection.of(Affine.translate(-99.999, 0)), new Rect(0, 0, 9, 9)))
        .isTrue();
  }
}
