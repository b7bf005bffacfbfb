package rovingglyph.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Point;

class TypeTest {
  @Test
  void equalRequestsHaveOneKeyAndOthersAnother() {
    RunRequest a = RunRequest.plain("f", Map.of("wght", 400.0, "opsz", 9.0), "text", true);
    assertThat(RunRequest.plain("f", Map.of("opsz", 9.0, "wght", 400.0), "text", true).key())
        .isEqualTo(a.key());
    assertThat(
            List.of(
                RunRequest.plain("g", a.axes(), "text", true).key(),
                RunRequest.plain("f", Map.of("wght", 400.0), "text", true).key(),
                RunRequest.plain("f", Map.of("wght", 401.0, "opsz", 9.0), "text", true).key(),
                RunRequest.plain("f", a.axes(), "texts", true).key(),
                RunRequest.plain("f", a.axes(), "text", false).key()))
        .doesNotHaveDuplicates()
        .doesNotContain(a.key());
  }

  @Test
  void anOutlineIsFlattenedCloseToItsCurve() {
    Outline circle = Outline.of("M1 0A1 1 0 0 1 -1 0A1 1 0 0 1 1 0Z");
    assertThat(circle.bounds().left()).isCloseTo(-1, within(1e-9));
    assertThat(circle.bounds().bottom()).isCloseTo(1, within(1e-9));
    double[] polygon = circle.polygons().get(0);
    for (int i = 2; i < polygon.length; i += 2) {
      Point a = new Point(polygon[i - 2], polygon[i - 1]);
      Point b = new Point(polygon[i], polygon[i + 1]);
      assertThat(b.lerp(a, 0.5).length()).isCloseTo(1, within(1e-4));
    }
  }

  @Test
  void polygonsToBeBentKeepToTheirSize() {
    Outline circle = Outline.of("M1 0A1 1 0 0 1 -1 0A1 1 0 0 1 1 0Z");
    for (double px : new double[] {0.1, 9, 16, 100}) {
      double[] polygon = circle.polygons(px).get(0);
      for (int i = 2; i < polygon.length; i += 2) {
        double x = (polygon[i] + polygon[i - 2]) / 2;
        double y = (polygon[i + 1] + polygon[i - 1]) / 2;
        assertThat((1 - Math.hypot(x, y)) * px).isBetween(-1e-9, 0.05);
      }
    }
    assertThat(circle.polygons(16)).isSameAs(circle.polygons(15));
    // A level edge takes points, for what it is to lie on is bent.
    assertThat(Outline.of("M0 0H1V1H0Z").polygons(40).get(0).length).isGreaterThan(16);
    assertThat(circle.polygons(100).get(0).length).isGreaterThan(circle.polygons(9).get(0).length);
  }

  @Test
  void anOutlineWithAnErrorKeepsThePartBefore() {
    assertThat(Outline.of("M0 0H1V1Znonsense").subPaths()).hasSize(1);
    assertThat(Outline.of("").bounds().isEmpty()).isTrue();
    assertThat(Outline.of("").polygons()).isEmpty();
  }

  @Test
  void aShapedRunIsReadAsItWasWritten() {
    ShapedRun run =
        new ShapedRun(
            "fi ",
            List.of(
                new Cluster("fi", 0, 0.51, List.of(new Cluster.Glyph(0, 0.1, -0.2)), "", false),
                new Cluster(" ", 2, 0.25, List.of(), "DejaVu Sans", true)),
            List.of(Outline.of("M0 0L1 1")),
            0.9,
            0.3,
            0.48,
            0.72,
            true,
            false);
    ShapedRun back = ShapedRunCodec.read(ShapedRunCodec.write(run).toString());
    assertThat(back.clusters()).isEqualTo(run.clusters());
    assertThat(back.outlines().get(0).data()).isEqualTo("M0 0L1 1");
    assertThat(back)
        .isEqualTo(
            new ShapedRun(
                "fi ", run.clusters(), back.outlines(), 0.9, 0.3, 0.48, 0.72, true, false));
    assertThatThrownBy(() -> ShapedRunCodec.read("{}")).isInstanceOf(RuntimeException.class);
  }
}
