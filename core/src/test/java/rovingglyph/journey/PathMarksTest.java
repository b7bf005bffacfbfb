package rovingglyph.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;

/** The letters of the scenes here are 100 px high, their tops 80 px over the baseline. */
class PathMarksTest {
  private static final String BEND =
      "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":0,\"y\":0,\"out\":[200,0]},"
          + "{\"x\":400,\"y\":%d,\"in\":[-200,0]}]}";

  private static PreparedLettering on(String path, String seat) {
    return prepare(document(path, "abcd", seat, "")).letterings().get("l");
  }

  private static double tight(String path, String seat) {
    PreparedLettering l = on(path, seat);
    List<Contour> found = PathMarks.tight(l, l.values(0));
    return found.stream().mapToDouble(Contour::length).sum();
  }

  @ParameterizedTest
  @CsvSource({
    "20, left, true",
    "34, left, true",
    "36, left, false",
    "60, right, true",
    "200, right, false"
  })
  void aCircleIsTooTightAllRoundOrNotAtAll(int radius, String side, boolean expected) {
    String circle =
        "{\"id\":\"p\",\"kind\":\"circle\",\"x\":0,\"y\":0,\"radius\":%d}".formatted(radius);
    double tight = tight(circle, "\"side\":\"" + side + "\"");
    assertThat(tight).isCloseTo(expected ? 2 * Math.PI * radius : 0, within(1e-6));
  }

  @Test
  void onlyTheBendsOfACurveAreMarked() {
    assertThat(tight(BEND.formatted(0), "")).isZero();
    double steep = tight(BEND.formatted(900), "");
    Contour c = on(BEND.formatted(900), "").seats().path().at(0);
    assertThat(steep).isGreaterThan(20).isLessThan(c.length() / 2);
  }

  @Test
  void aCornerTowardsTheLettersIsMarkedOnBothSides() {
    String corner =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":0,\"y\":0},{\"x\":300,\"y\":0},"
            + "{\"x\":300,\"y\":%d}]}";
    assertThat(tight(corner.formatted(-300), "")).isCloseTo(50, within(1e-6));
    assertThat(tight(corner.formatted(300), "")).isZero();
  }

  @Test
  void theRoomLiesBetweenTheMargins() {
    PreparedLettering l = on(BEND.formatted(0), "\"startMargin\":30,\"endMargin\":70");
    Contour room = PathMarks.room(l, l.values(0)).get(0);
    assertThat(room.first().x()).isCloseTo(30, within(1e-6));
    assertThat(room.length()).isCloseTo(300, within(1e-6));
    PreparedLettering none = on(BEND.formatted(0), "\"startMargin\":230,\"endMargin\":270");
    assertThat(PathMarks.room(none, none.values(0))).isEmpty();
  }
}
