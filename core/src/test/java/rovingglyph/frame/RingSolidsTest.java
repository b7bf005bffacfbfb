package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Space;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** What is within a ring of letters, and the band behind them. */
class RingSolidsTest {
  private static final int LETTERS = 0xFFFFFF;
  private static final int CORE = 0xFF0000;
  private static final int BAND = 0x0000FF;
  private static final String WORDS = "nnnnnnnnnnnn";
  private static final double RADIUS = 260;

  static IntStream seeds() {
    return IntStream.range(0, 40);
  }

  /** A ring with some of it, as it is in a document and as it is in space. */
  private static final class Ring {
    final Random random;
    final String stance;
    final String shape;
    final boolean band;
    final String side;
    final double lean;
    final double radius;
    final double height;
    final double lift;
    final double bandHeight;
    final double bandLift;
    final double gap;
    final PreparedScene scene;
    final Space space;

    Ring(int seed, String light) {
      random = new Random(seed);
      shape = new String[] {"drum", "ball", "disc", null}[seed / 4 % 4];
      // Those that face the viewer may go through a band, at the sides of the ring.
      String last = shape == null ? "standing" : "facing";
      stance = new String[] {"standing", "standing", "flat", last}[seed % 4];
      band = shape == null || random.nextBoolean() && !stance.equals("facing");
      side = random.nextBoolean() ? "right" : "left";
      lean = stance.equals("flat") ? 90 : stance.equals("facing") ? 0 : random.nextInt(60) - 30;
      radius = 60 + random.nextInt(110);
      height = shape == null || !shape.equals("drum") ? 0 : 20 + random.nextInt(160);
      lift = random.nextInt(120) - 60;
      bandHeight = 20 + random.nextInt(60);
      bandLift = random.nextInt(40);
      gap = 2 + random.nextInt(6);
      String plane =
          """
          "planeX":500,"planeY":500,"stance":"%s","tilt":%d,"swing":%d,"lean":%s,
          "viewingDistance":%d,"parallel":%b,%s"""
              .formatted(
                  stance,
                  random.nextInt(180),
                  random.nextInt(140) - 70,
                  lean,
                  700 + random.nextInt(2500),
                  random.nextInt(4) == 0,
                  light);
      if (shape != null) {
        plane +=
            ",\"core\":{\"shape\":\"%s\",\"coreRadius\":%s,\"coreHeight\":%s,\"coreLift\":%s,\"coreColour\":\"#FF0000\"}"
                .formatted(shape, radius, height, lift);
      }
      if (band) {
        plane +=
            ",\"band\":{\"bandHeight\":%s,\"bandLift\":%s,\"bandGap\":%s,\"bandColour\":\"#0000FF\"}"
                .formatted(bandHeight, bandLift, gap);
      }
      String document =
          TestScenes.document(
              TestScenes.CIRCLE.replace("200", "260"),
              WORDS,
              "\"fit\":\"spread\",\"side\":\"" + side + "\"",
              "\"fill\":\"#FFFFFF\",\"plane\":{" + plane + "}");
      scene = TestScenes.prepare(document.replace("\"size\":100", "\"size\":70"));
      space = scene.turned(lettering().lettering(), 0);
    }

    PreparedLettering lettering() {
      return scene.letterings().get("l");
    }

    /** A point of the band. */
    private Point3 onBand(double angle, double up) {
      double in = side.equals("right") ? -1 : 1;
      double a = Math.toRadians(lean);
      double level = RADIUS + in * (gap * Math.cos(a) + up * Math.sin(a));
      double z = gap * Math.sin(a) - up * Math.cos(a);
      return new Point3(500 + level * Math.cos(angle), 500 + level * Math.sin(angle), z);
    }
  }

  /** A look through a point of the picture: from where, and the way it goes, in the plane. */
  private record Look(Point3 from, Point3 way) {
    static Look through(Point p, Space space) {
      Point3 at = new Point3(p.x(), p.y(), 0);
      Point3 eye =
          Double.isInfinite(space.distance())
              ? new Point3(p.x(), p.y(), -5000)
              : new Point3(space.eye().x(), space.eye().y(), -space.distance());
      Point3 from = space.solid().inverse().apply(eye);
      return new Look(from, space.solid().inverse().apply(at).minus(from));
    }

    Point3 at(double t) {
      return from.plus(way.times(t));
    }
  }

  /** What a look meets first: how far away, and its colour. */
  private static final class First {
    double t = Double.POSITIVE_INFINITY;
    int colour = -1;
    Point3 normal;

    void met(double at, int rgb, Point3 way) {
      if (at > 0 && at < t) {
        t = at;
        colour = rgb;
        normal = way;
      }
    }
  }

  /** By formulas of a sphere, a cylinder and circles, and by triangles of the band. */
  private static First first(Ring r, List<Card> letters, List<Point3[]> band, Point p) {
    Look look = Look.through(p, r.space);
    First out = new First();
    for (Card c : letters) {
      if (!c.seenBox(r.space).contains(p)) {
        continue;
      }
      Point em = c.map(r.space).inverse().apply(p);
      for (Card.Part part : c.pieces()) {
        var outline = PaintedAreas.flattened(part.piece().subPaths(), part.piece().map());
        if (PaintedAreas.winding(outline, em) != 0) {
          Point3 at = r.space.solid().inverse().apply(c.at(em.x(), em.y()));
          out.met(at.minus(look.from).dot(look.way) / look.way.dot(look.way), LETTERS, look.way);
        }
      }
    }
    if (r.shape != null) {
      core(r, look, out);
    }
    for (Point3[] t : band) {
      triangle(t, look, out);
    }
    return out;
  }

  private static void core(Ring r, Look look, First out) {
    Point3 middle = new Point3(500, 500, -r.lift);
    Point3 from = look.from.minus(middle);
    Point3 way = look.way;
    boolean ball = r.shape.equals("ball");
    double z = ball ? 1 : 0;
    double a = way.x() * way.x() + way.y() * way.y() + z * way.z() * way.z();
    double b = from.x() * way.x() + from.y() * way.y() + z * from.z() * way.z();
    double c =
        from.x() * from.x() + from.y() * from.y() + z * from.z() * from.z() - r.radius * r.radius;
    double root = b * b - a * c;
    if (root > 0) {
      double t = (-b - Math.sqrt(root)) / a;
      Point3 at = from.plus(way.times(t));
      if (ball || Math.abs(at.z()) < r.height / 2) {
        out.met(t, CORE, new Point3(at.x(), at.y(), z * at.z()).unit());
      }
    }
    for (int side = -1; side <= 1 && !ball; side += 2) {
      double t = (side * r.height / 2 - from.z()) / way.z();
      Point3 at = from.plus(way.times(t));
      if (Math.hypot(at.x(), at.y()) < r.radius) {
        out.met(t, CORE, new Point3(0, 0, way.z() > 0 ? -1 : 1));
      }
    }
  }

  /** T. Moeller and B. Trumbore, Fast, Minimum Storage Ray/Triangle Intersection, 1997. */
  private static void triangle(Point3[] t, Look look, First out) {
    Point3 e = t[1].minus(t[0]);
    Point3 f = t[2].minus(t[0]);
    Point3 p = look.way.cross(f);
    double det = e.dot(p);
    Point3 s = look.from.minus(t[0]);
    double u = s.dot(p) / det;
    Point3 q = s.cross(e);
    double v = look.way.dot(q) / det;
    if (u >= 0 && v >= 0 && u + v <= 1) {
      Point3 normal = e.cross(f).unit();
      out.met(f.dot(q) / det, BAND, normal.times(normal.dot(look.way) > 0 ? -1 : 1));
    }
  }

  private static List<Point3[]> triangles(Ring r) {
    List<Point3[]> out = new ArrayList<>();
    double low = r.bandLift - r.bandHeight / 2;
    double high = low + r.bandHeight;
    int n = 180;
    for (int i = 0; i < n && r.band; i++) {
      double from = 2 * Math.PI * i / n;
      double to = 2 * Math.PI * (i + 1) / n;
      Point3 a = r.onBand(from, low);
      Point3 b = r.onBand(to, low);
      Point3 c = r.onBand(to, high);
      Point3 d = r.onBand(from, high);
      out.add(new Point3[] {a, b, c});
      out.add(new Point3[] {a, c, d});
    }
    return out;
  }

  /** What is painted at a point is the first that a look meets of letters, core and band. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whatIsSeenIsWhatALookMeetsFirst(int seed) {
    Ring r = new Ring(seed, "\"body\":{\"thickness\":0,\"ambient\":100}");
    PreparedLettering l = r.lettering();
    List<Card> letters = new LettersInSpace(l, 0, r.space).all(l.printed(l.rows(l.values(0))));
    List<Point3[]> band = triangles(r);
    PaintedAreas painted = new PaintedAreas(r.scene.outlines(), r.scene.at(0));
    int covered = 0;
    int other = 0;
    for (int y = 0; y < 1000; y += 6) {
      for (int x = 0; x < 1000; x += 6) {
        Point p = new Point(x + 0.37, y + 0.41);
        int colour = first(r, letters, band, p).colour;
        int there = painted.colour(p);
        covered += colour >= 0 || there >= 0 ? 1 : 0;
        boolean bad = !(colour == there || isAtEdge(r, letters, band, p, colour));
        other += bad ? 1 : 0;
      }
    }
    assertThat(covered).isGreaterThan(100);
    assertThat((double) other / covered).as(other + " of " + covered).isLessThan(0.001);
  }

  /** The colours of core and band are those of Lambert's law, to what a gradient can say. */
  @ParameterizedTest
  @MethodSource("seeds")
  void lightFallsByTheLaw(int seed) {
    Ring r =
        new Ring(
            seed,
            "\"body\":{\"thickness\":0,\"ambient\":20,\"lightFrom\":%d,\"lightHeight\":%d,\"warmth\":%d}"
                .formatted(37 * seed, 20 + seed % 60, 60 - seed % 120));
    Light light = BodyLook.light(r.lettering().lettering(), 0);
    List<Point3[]> band = triangles(r);
    PaintedAreas painted = new PaintedAreas(r.scene.outlines(), r.scene.at(0));
    int looks = 0;
    int other = 0;
    double sum = 0;
    for (int y = 0; y < 1000; y += 7) {
      for (int x = 0; x < 1000; x += 7) {
        Point p = new Point(x + 0.37, y + 0.41);
        First first = first(r, List.of(), band, p);
        int there = painted.colour(p);
        boolean is = first.colour >= 0 && there >= 0 && (there & 0xFF00FF) != 0;
        if (!is || (there >> 8 & 255) > 0 || isAtEdge(r, List.of(), band, p, first.colour)) {
          continue;
        }
        int want = light.on(first.colour, r.space.solid().way(first.normal), new Point3(0, 0, -1));
        int shift = first.colour == CORE ? 16 : 0;
        double off = Math.abs((want >> shift & 255) - (there >> shift & 255));
        looks++;
        sum += off;
        // A face of one colour may end beside another of the same one.
        other += off > 8 ? 1 : 0;
      }
    }
    assertThat(looks).isGreaterThan(50);
    assertThat(sum / looks).isLessThan(2.5);
    assertThat((double) other / looks).as(other + " of " + looks).isLessThan(0.03);
  }

  private static PreparedScene ring(String plane, String more) {
    return TestScenes.prepare(
        TestScenes.document(
            TestScenes.CIRCLE.replace("200", "260"),
            WORDS,
            "\"fit\":\"spread\",\"side\":\"right\"",
            more
                + "\"plane\":{\"planeX\":500,\"planeY\":500,\"tilt\":70,\"stance\":\"standing\","
                + plane
                + "}"));
  }

  /** What is put into a ring fits into it, whatever its form. */
  @ParameterizedTest
  @ValueSource(strings = {"drum", "ball", "disc"})
  void aNewCoreFits(String shape) {
    PreparedScene before = ring("\"lean\":10", "");
    String edit =
        "{\"op\":\"plane\",\"items\":[\"l\"],\"core\":true,\"band\":true,\"shape\":\"%s\",\"time\":0}";
    Scene scene = SceneEdits.apply(before.scene(), before, edit.formatted(shape));
    PreparedScene after = TestScenes.prepare(SceneCodec.write(scene));
    Item l = after.scene().item("l");
    assertThat(l.properties().plane().core().shape().name()).isEqualToIgnoringCase(shape);
    assertThat(l.movable(Channel.CORE_RADIUS).base()).isEqualTo(221);
    assertThat(l.movable(Channel.BAND_HEIGHT).base()).isEqualTo(150);
    assertThat(new StandingLetters(after, "l").coreRoom(0)).isNaN();
    // The same once more leaves all as it is.
    assertThat(SceneEdits.apply(scene, after, edit.formatted(shape))).isEqualTo(scene);
  }

  /** A core that is too large is told, and made as small as need be. */
  @ParameterizedTest
  @ValueSource(strings = {"drum", "ball", "disc"})
  void lettersInTheCoreAreTold(String shape) {
    PreparedScene scene =
        ring(
            "\"lean\":20,\"core\":{\"shape\":\"%s\",\"coreRadius\":275,\"coreHeight\":200,\"coreLift\":20}"
                .formatted(shape),
            "");
    Finding found =
        Proof.of(scene).stream()
            .filter(f -> f.message().contains("stick in"))
            .findFirst()
            .orElseThrow();
    Scene mended = SceneEdits.apply(scene.scene(), scene, found.edit());
    PreparedScene after = TestScenes.prepare(SceneCodec.write(mended));
    assertThat(mended.item("l").movable(Channel.CORE_RADIUS).base()).isBetween(180.0, 262.0);
    assertThat(Proof.of(after)).noneMatch(f -> f.message().contains("stick in"));
  }

  /** A ring that fades does so as a whole; its core is hit as its letters are. */
  @Test
  void aCoreFadesWithItsLetters() {
    String core = "\"core\":{\"shape\":\"ball\",\"coreRadius\":150,\"coreColour\":\"#FF0000\"}";
    PreparedScene scene = ring(core, "\"opacity\":0,");
    assertThat(new PaintedAreas(scene.outlines(), scene.at(0)).colour(new Point(500, 500)))
        .isEqualTo(-1);
    PreparedScene whole = ring(core, "");
    assertThat(whole.itemAt(new Point(500, 500), 0, 1)).isEqualTo("l");
    PreparedLettering l = whole.letterings().get("l");
    assertThat(l.overlaps(0)).isTrue();
  }

  /** However large or near there are numbers, and they come soon. */
  @ParameterizedTest
  @MethodSource("seeds")
  void everyNumberIsGood(int seed) {
    Random random = new Random(seed);
    String[] sizes = {"0", "1e-3", "90", "400", "1e5"};
    String[] lifts = {"0", "-1e5", "300", "1e5"};
    PreparedScene scene =
        ring(
            """
            "swing":%d,"viewingDistance":%s,"lean":%d,
            "core":{"shape":"%s","coreRadius":%s,"coreHeight":%s,"coreLift":%s},
            "band":{"bandHeight":%s,"bandLift":%s,"bandGap":%s}"""
                .formatted(
                    random.nextInt(5) * 45,
                    new String[] {"10", "200", "1e6"}[seed % 3],
                    random.nextInt(5) * 90 - 180,
                    new String[] {"drum", "ball", "disc"}[seed / 3 % 3],
                    sizes[random.nextInt(5)],
                    sizes[random.nextInt(5)],
                    lifts[random.nextInt(4)],
                    sizes[random.nextInt(5)],
                    lifts[random.nextInt(4)],
                    random.nextBoolean() ? "1e4" : "-1e4"),
            "");
    long from = System.nanoTime();
    double[] numbers = scene.at(0.3).numbers();
    assertThat((System.nanoTime() - from) / 1e9).isLessThan(5);
    assertThat(numbers.length).isLessThan(2_000_000);
    for (double n : numbers) {
      assertThat(n).isFinite();
    }
    scene.itemAt(new Point(500, 440), 0, 2);
    Proof.of(scene);
  }

  /** Whether a colour ends less than 0.7 px away. */
  private static boolean isAtEdge(
      Ring r, List<Card> letters, List<Point3[]> band, Point p, int colour) {
    for (int i = 0; i < 8; i++) {
      Point beside = new Point(0.7 * Math.cos(i * Math.PI / 4), 0.7 * Math.sin(i * Math.PI / 4));
      if (first(r, letters, band, p.plus(beside)).colour != colour) {
        return true;
      }
    }
    return false;
  }
}
