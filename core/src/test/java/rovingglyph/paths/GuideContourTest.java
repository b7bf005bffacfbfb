package rovingglyph.paths;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.document;

import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.scene.GuidePath;

class GuideContourTest {
  private static GuidePath path(String json) {
    return SceneCodec.read(document(json, "a", "", "")).path("p");
  }

  @Test
  void aCircleBeginsAtItsStartAngleAndRunsItsWay() {
    Contour clockwise = GuideContour.of(path(CIRCLE));
    assertThat(clockwise.at(0).point().distance(new Point(500, 300))).isLessThan(1e-9);
    assertThat(clockwise.at(1).point().x()).isGreaterThan(500);
    Contour counter =
        GuideContour.of(path(CIRCLE.replace("}", ",\"direction\":\"counterclockwise\"}")));
    assertThat(counter.at(1).point().x()).isLessThan(500);
    assertThat(counter.closed()).isTrue();
  }

  @Test
  void pointsWithoutHandlesAreJoinedStraight() {
    String mixed =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"closed\":true,\"points\":[{\"x\":0,\"y\":0},"
            + "{\"x\":90,\"y\":0,\"out\":[30,30]},{\"x\":90,\"y\":90}]}";
    Contour c = GuideContour.of(path(mixed));
    assertThat(c.segments()).hasSize(3);
    assertThat(c.segments().get(0)).isInstanceOf(Line.class);
    assertThat(c.segments().get(1)).isInstanceOf(Cubic.class);
    assertThat(c.segments().get(2)).isInstanceOf(Line.class);
    assertThat(c.at(c.length()).point().distance(c.at(0).point())).isLessThan(1e-9);
  }

  @Test
  void theCentreIsThatOfTheCircleOrTheMiddleOfTheBox() {
    GuidePath circle = path(CIRCLE);
    assertThat(GuideContour.centre(circle, GuideContour.of(circle), 0))
        .isEqualTo(new Point(500, 500));
    GuidePath arch =
        path(
            "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":0,\"y\":0,\"out\":[0,-400]},"
                + "{\"x\":300,\"y\":0,\"in\":[0,-400]}]}");
    Point centre = GuideContour.centre(arch, GuideContour.of(arch), 0);
    assertThat(centre.x()).isCloseTo(150, within(1e-9));
    assertThat(centre.y()).isCloseTo(-150, within(1e-9));
  }

  @Test
  void doubledPointsDoNoHarm() {
    String doubled =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":5,\"y\":5},{\"x\":5,\"y\":5},"
            + "{\"x\":25,\"y\":5},{\"x\":25,\"y\":5}]}";
    Contour c = GuideContour.of(path(doubled));
    assertThat(c.length()).isCloseTo(20, within(1e-12));
    assertThat(c.at(10).tangent()).isEqualTo(new Point(1, 0));
  }
}
