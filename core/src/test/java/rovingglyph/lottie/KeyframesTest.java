package rovingglyph.lottie;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;

/** What a player makes of the keyframes is what was sampled. */
class KeyframesTest {
  private static final double PER_FRAME = 3;

  /** A property at a time in frames, as the specification says. */
  private static double[] at(JsonObject property, double time) {
    if (property.getInt("a", 0) == 0) {
      return numbers(property.get("k"));
    }
    JsonArray keys = property.get("k").asArray();
    for (int i = 0; i + 1 < keys.size(); i++) {
      JsonObject key = keys.get(i).asObject();
      JsonObject next = keys.get(i + 1).asObject();
      double from = key.getDouble("t", 0);
      double to = next.getDouble("t", 0);
      if (time < to - 1e-3) {
        double gone = Math.max(0, time - from) / (to - from);
        double share = key.getInt("h", 0) == 1 ? 0 : eased(key, gone);
        double[] a = numbers(key.get("s"));
        double[] b = numbers(next.get("s"));
        return key.get("to") == null ? mixed(a, b, share) : bent(key, a, b, share);
      }
    }
    return numbers(keys.get(keys.size() - 1).asObject().get("s"));
  }

  /** CSS's cubic-bezier(), by halving. */
  private static double eased(JsonObject key, double time) {
    JsonObject o = key.get("o").asObject();
    JsonObject i = key.get("i").asObject();
    double low = 0;
    double high = 1;
    for (int n = 0; n < 50; n++) {
      double t = (low + high) / 2;
      if (cubic(t, o.getDouble("x", 0), i.getDouble("x", 0)) < time) {
        low = t;
      } else {
        high = t;
      }
    }
    return cubic(low, o.getDouble("y", 0), i.getDouble("y", 0));
  }

  private static double cubic(double t, double a, double b) {
    double u = 1 - t;
    return 3 * u * u * t * a + 3 * u * t * t * b + t * t * t;
  }

  private static double[] numbers(JsonValue v) {
    return v.isNumber()
        ? new double[] {v.asDouble()}
        : v.asArray().values().stream().mapToDouble(JsonValue::asDouble).toArray();
  }

  private static double[] mixed(double[] a, double[] b, double share) {
    double[] out = new double[a.length];
    Arrays.setAll(out, i -> a[i] + share * (b[i] - a[i]));
    return out;
  }

  /** Along the cubic by its length. */
  private static double[] bent(JsonObject key, double[] a, double[] d, double share) {
    double[] away = numbers(key.get("to"));
    double[] in = numbers(key.get("ti"));
    int steps = 2000;
    double[][] points = new double[steps + 1][2];
    double[] lengths = new double[steps + 1];
    for (int i = 0; i <= steps; i++) {
      double t = (double) i / steps;
      double u = 1 - t;
      for (int c = 0; c < 2; c++) {
        points[i][c] =
            u * u * u * a[c]
                + 3 * u * u * t * (a[c] + away[c])
                + 3 * u * t * t * (d[c] + in[c])
                + t * t * t * d[c];
      }
      lengths[i] =
          i == 0
              ? 0
              : lengths[i - 1]
                  + Math.hypot(points[i][0] - points[i - 1][0], points[i][1] - points[i - 1][1]);
    }
    int i = 0;
    while (i < steps && lengths[i] < share * lengths[steps]) {
      i++;
    }
    return i == 0
        ? points[0]
        : mixed(
            points[i - 1],
            points[i],
            (share * lengths[steps] - lengths[i - 1]) / (lengths[i] - lengths[i - 1]));
  }

  /** The map of a transform: the anchor to the origin, scale, lean along x, turn, place. */
  private static Affine map(JsonObject t, double time) {
    double[] a = at(t.get("a").asObject(), time);
    double[] p = at(t.get("p").asObject(), time);
    double[] s = at(t.get("s").asObject(), time);
    double turn = Math.toRadians(at(t.get("r").asObject(), time)[0]);
    JsonValue lean = t.get("sk");
    double tan = lean == null ? 0 : Math.tan(Math.toRadians(at(lean.asObject(), time)[0]));
    return Affine.translate(p[0], p[1])
        .times(Affine.rotate(turn))
        .times(new Affine(1, 0, -tan, 1, 0, 0))
        .times(new Affine(s[0] / 100, 0, 0, s[1] / 100, 0, 0))
        .times(Affine.translate(-a[0], -a[1]));
  }

  /** Goes, turns, leans and flips; now and then it is not there, or somewhere else at once. */
  private static Affine[] chance(Random random, int count) {
    Affine[] out = new Affine[count];
    double[] pace = random.doubles(6, 0.2, 3).toArray();
    double jump = random.nextInt(4) == 0 ? 400 : 0;
    int gone = random.nextInt(3) == 0 ? random.nextInt(count) : count;
    for (int k = 0; k < count; k++) {
      double t = k / 75.0;
      double across = Math.cos(pace[0] * t);
      Affine lean = new Affine(1, 0, 0.4 * Math.sin(pace[1] * t), 1, 0, 0);
      Affine scale = new Affine(across, 0, 0, 1 + 0.3 * Math.sin(pace[2] * t), 0, 0);
      double x = 300 + 200 * Math.cos(pace[3] * t) + (k > count / 2 ? jump : 0);
      double y = 200 + 200 * Math.sin(pace[3] * t) + 40 * Math.sin(pace[4] * t);
      boolean there = k < gone || k > gone + 20;
      out[k] =
          there
              ? Affine.translate(x, y)
                  .times(Affine.rotate(pace[5] * t * 4))
                  .times(lean)
                  .times(scale)
              : null;
    }
    return out;
  }

  @Test
  void mapsAreWithinATenthOfAPixelAtEverySample() {
    Random random = new Random(20261201);
    Point anchor = new Point(7, -12);
    double reach = 40;
    for (int i = 0; i < 60; i++) {
      int from = random.nextInt(50);
      Affine[] maps = chance(random, 40 + random.nextInt(200));
      JsonObject t =
          Json.parse("{" + new Transforms(PER_FRAME, from, maps, 1).json(anchor, reach) + "}")
              .asObject();
      for (int k = 0; k < maps.length; k++) {
        Affine is = map(t, (from + k) / PER_FRAME);
        for (int angle = 0; angle < 360; angle += 45) {
          double along = Math.toRadians(angle);
          Point p =
              new Point(anchor.x() + reach * Math.cos(along), anchor.y() + reach * Math.sin(along));
          if (maps[k] == null) {
            assertThat(is.apply(p).distance(is.apply(anchor))).as("not there").isLessThan(1e-6);
            continue;
          }
          assertThat(is.apply(p).distance(maps[k].apply(p)))
              .as("case " + i + " sample " + k)
              .isLessThan(0.1);
        }
      }
    }
  }

  @Test
  void aCircleTakesFewKeyframesAndAStillValueNone() {
    Affine[] round = new Affine[601];
    for (int k = 0; k < round.length; k++) {
      round[k] = Affine.rotate(2 * Math.PI * k / 600).times(Affine.translate(300, 0));
    }
    String circle = new Transforms(PER_FRAME, 0, round, 1).json(new Point(0, 0), 20);
    assertThat(circle.split("\"t\":")).hasSizeLessThan(20);
    Affine[] still = new Affine[100];
    Arrays.fill(still, Affine.translate(3, 4));
    assertThat(new Transforms(PER_FRAME, 0, still, 1).json(new Point(0, 0), 20))
        .doesNotContain("\"t\":")
        .contains("\"p\":{\"a\":0,\"k\":[3,4]}");
  }

  @Test
  void aJumpIsHeldUntilItsSample() {
    double[][] values = new double[60][];
    Arrays.setAll(values, k -> new double[] {k < 30 ? 10 : 90});
    JsonObject p = Json.parse(new Property(PER_FRAME, 0, values, 0.1).number()).asObject();
    assertThat(at(p, 29.9 / PER_FRAME)[0]).isCloseTo(10, within(1e-9));
    assertThat(at(p, 30 / PER_FRAME)[0]).isCloseTo(90, within(1e-9));
  }

  @Test
  void contoursWithMoreCornersAreTheSameCurve() {
    double[] steps = {0, 0, 0, 3, 10, 0, 20, 10, 20, 20, 1, 0, 20, 4};
    Contours.Contour is = Contours.of(steps, Affine.IDENTITY).get(0);
    assertThat(is.closed()).isTrue();
    Contours.Contour more = is.padded(is.corners() + 3);
    assertThat(more.corners()).isEqualTo(is.corners() + 3);
    assertThat(Arrays.copyOf(more.numbers(), 4)).isEqualTo(Arrays.copyOf(is.numbers(), 4));
    Contours.Contour open = is.opened();
    assertThat(open.closed()).isFalse();
    assertThat(open.corners()).isEqualTo(is.corners() + 1);
    assertThat(Arrays.copyOfRange(open.numbers(), open.numbers().length - 6, open.numbers().length))
        .startsWith(0.0, 0.0);
  }
}
