package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Rim;
import rovingglyph.geometry.Space;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;

/** Letters that have thickness. */
class BodyTest {
  private static final int FRONT = 0xFFFFFF;
  private static final int SIDES = 0xFF0000;
  private static final int BACK = 0x0000FF;

  /** A ring, a comb with notches, a hook, and a drop: round, sharp, hollow, either way round. */
  private static final List<Outline> SHAPES =
      List.of(
          Outline.of(
              "M0.05 -0.35C0.05 -0.75 0.45 -0.75 0.45 -0.35C0.45 0.05 0.05 0.05 0.05 -0.35Z"
                  + "M0.15 -0.35C0.15 -0.1 0.35 -0.1 0.35 -0.35C0.35 -0.6 0.15 -0.6 0.15 -0.35Z"),
          Outline.of(
              "M0.05 0L0.05 -0.7L0.45 -0.7L0.45 -0.6L0.15 -0.6L0.15 -0.4L0.4 -0.4L0.4 -0.3"
                  + "L0.15 -0.3L0.15 -0.1L0.45 -0.1L0.45 0Z"),
          Outline.of(
              "M0.1 0C0.5 0 0.45 -0.3 0.3 -0.4C0.2 -0.5 0.25 -0.6 0.45 -0.55L0.45 -0.65"
                  + "C0.1 -0.75 0.1 -0.45 0.2 -0.35C0.3 -0.2 0.3 -0.1 0.1 -0.12Z"),
          Outline.of("M0.25 -0.7Q0.25 -0.4 0.45 -0.25Q0.45 0 0.25 0Q0.05 0 0.05 -0.25L0.25 -0.7Z"));

  private static ShapedRun run(RunRequest request) {
    List<Cluster> clusters = new ArrayList<>();
    String text = request.text();
    for (int i = 0; i < text.length(); i++) {
      int shape = text.charAt(i) - 'a';
      List<Cluster.Glyph> glyphs = List.of(new Cluster.Glyph(shape, 0, 0));
      clusters.add(new Cluster(text.substring(i, i + 1), i, 0.5, glyphs, "", false));
    }
    return new ShapedRun(text, clusters, SHAPES, 0.8, 0.2, 0.5, 0.7, false, false);
  }

  private static String document(String path, String text, String seat, String plane) {
    String more =
        "\"fill\":\"#FFFFFF\",\"plane\":{\"planeX\":500,\"planeY\":500,\"backs\":\"coloured\","
            + "\"backColour\":\"#0000FF\","
            + plane
            + "}";
    return TestScenes.document(path, text, seat, more);
  }

  private static PreparedScene prepared(String path, String text, String seat, String plane) {
    Scene scene = TestScenes.read(document(path, text, seat, plane));
    return Preparation.prepare(scene, BodyTest::run);
  }

  private static String body(String more) {
    return "\"body\":{\"sides\":\"coloured\",\"sideColour\":\"#FF0000\",\"ambient\":100,"
        + more
        + "}";
  }

  static IntStream seeds() {
    return IntStream.range(0, 30);
  }

  /** What is painted at a point is the first that a look meets of fronts, backs and sides. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whatIsSeenIsWhatALookMeetsFirst(int seed) {
    Random random = new Random(seed);
    String[] stances = {"standing", "standing", "facing", "flat"};
    String plane =
        "\"stance\":\"%s\",\"tilt\":%d,\"swing\":%d,\"lean\":%d,\"viewingDistance\":%d,\"parallel\":%b,"
            .formatted(
                stances[seed % 4],
                random.nextInt(180),
                random.nextInt(140) - 70,
                random.nextInt(40) - 20,
                600 + random.nextInt(2500),
                random.nextInt(4) == 0);
    PreparedScene scene =
        prepared(
            TestScenes.CIRCLE.replace("200", "260"),
            "abcdabcdab",
            "\"fit\":\"spread\"",
            plane + body("\"thickness\":" + (5 + random.nextInt(70))));
    PreparedLettering l = scene.letterings().get("l");
    Space space = scene.turned(l.lettering(), 0);
    List<Look> letters = new ArrayList<>();
    for (Card c : new LettersInSpace(l, 0, space).all(l.printed(l.rows(l.values(0))))) {
      letters.add(new Look(c, space));
    }
    PaintedAreas painted = new PaintedAreas(scene.outlines(), scene.at(0));
    int covered = 0;
    int other = 0;
    for (int y = 0; y < 1000; y += 4) {
      for (int x = 0; x < 1000; x += 4) {
        Point p = new Point(x + 0.37, y + 0.41);
        int colour = first(letters, p);
        int there = painted.colour(p);
        covered += colour >= 0 || there >= 0 ? 1 : 0;
        other += colour == there || isAtEdge(letters, p, colour) ? 0 : 1;
      }
    }
    assertThat(covered).isGreaterThan(300);
    assertThat((double) other / covered).as(other + " of " + covered).isLessThan(0.001);
  }

  /** The colour of what a look meets first, or -1. */
  private static int first(List<Look> letters, Point p) {
    int colour = -1;
    double least = Double.POSITIVE_INFINITY;
    for (Look look : letters) {
      look.at(p);
      colour = look.depth < least ? look.colour : colour;
      least = Math.min(look.depth, least);
    }
    return colour;
  }

  /** Whether a colour ends less than 0.7 px away. */
  private static boolean isAtEdge(List<Look> letters, Point p, int colour) {
    for (int i = 0; i < 8; i++) {
      Point beside = new Point(0.7 * Math.cos(i * Math.PI / 4), 0.7 * Math.sin(i * Math.PI / 4));
      if (first(letters, p.plus(beside)) != colour) {
        return true;
      }
    }
    return false;
  }

  /** A letter as a heap of faces, none of which is left out or put in order. */
  private static final class Look {
    /** A parallelogram in space, and where a point of the picture lies in it, 0 to 1. */
    private record Wall(Point3 from, Point3 along, Point3 way, Projection back) {}

    private final Space space;
    private final Card card;
    private final List<List<Point>> polygons = new ArrayList<>();
    private final List<Wall> walls = new ArrayList<>();
    private final Wall front;
    private final Wall back;
    private double depth;
    private int colour;

    Look(Card card, Space space) {
      this.card = card;
      this.space = space;
      for (Card.Part part : card.pieces()) {
        polygons.addAll(PaintedAreas.flattened(part.piece().subPaths(), part.piece().map()));
      }
      for (List<Point> polygon : polygons) {
        for (int i = 0; i < polygon.size(); i++) {
          Point a = polygon.get(i);
          Point b = polygon.get((i + 1) % polygon.size());
          Point3 from = card.at(a.x(), a.y());
          walls.add(wall(from, card.at(b.x(), b.y()).minus(from), card.back()));
        }
      }
      front = wall(card.origin(), card.u(), card.v());
      back = wall(card.origin().plus(card.back()), card.u(), card.v());
    }

    private Wall wall(Point3 from, Point3 along, Point3 way) {
      return new Wall(from, along, way, space.seen(from, along, way).inverse());
    }

    void at(Point p) {
      depth = Double.POSITIVE_INFINITY;
      colour = -1;
      if (!card.seenBox(space).contains(p)) {
        return;
      }
      int rgb = space.side(card.origin(), card.back()) < 0 ? FRONT : BACK;
      for (Wall w : List.of(front, back)) {
        Point em = w.back.apply(p);
        if (PaintedAreas.winding(polygons, em) != 0) {
          met(w, em, rgb);
        }
      }
      for (Wall w : walls) {
        Point there = w.back.apply(p);
        if (there.x() >= 0 && there.x() <= 1 && there.y() >= 0 && there.y() <= 1) {
          met(w, there, SIDES);
        }
      }
    }

    private void met(Wall w, Point there, int rgb) {
      Point3 at = w.from.plus(w.along.times(there.x())).plus(w.way.times(there.y()));
      if (space.weight(at) > Projection.NEAREST && at.z() < depth) {
        depth = at.z();
        colour = rgb;
      }
    }
  }

  /** Fronts stay where they are: seen straight, thickness changes nothing but the light. */
  @Test
  void frontsStay() {
    String plane = "\"parallel\":true";
    PreparedScene thin = prepared(TestScenes.LINE, "abcd", "", plane);
    PreparedScene thick =
        prepared(TestScenes.LINE, "abcd", "", plane + "," + body("\"thickness\":80"));
    Rect a = thin.frameBox("l", 0);
    Rect b = thick.frameBox("l", 0);
    assertThat(b.left()).isCloseTo(a.left(), within(1e-9));
    assertThat(b.right()).isCloseTo(a.right(), within(1e-9));
    // Swung to the side, half of the thickness is seen beside what is half as wide.
    PreparedScene swung =
        prepared(
            TestScenes.LINE,
            "b",
            "\"align\":\"middle\"",
            "\"parallel\":true,\"swing\":30," + body("\"thickness\":80"));
    Rect c = swung.frameBox("l", 0);
    double wide = 40 * Math.cos(Math.PI / 6) + 80 * Math.sin(Math.PI / 6);
    assertThat(c.right() - c.left()).isCloseTo(wide, within(1e-6));
  }

  /** A bevel takes its width off each edge, and leaves thin strokes a front. */
  @Test
  void aBevelNarrowsFronts() {
    Rim comb = SHAPES.get(1).rims(100, false).get(0);
    double[] narrow = comb.inset(0.02, List.of(comb));
    assertThat(narrow[0]).isCloseTo(0.07, within(1e-9));
    assertThat(narrow[1]).isCloseTo(-0.02, within(1e-9));
    double last = Double.POSITIVE_INFINITY;
    for (double by = 0; by < 0.5; by += 0.01) {
      double area = area(comb.inset(by, List.of(comb)));
      assertThat(area).isPositive().isLessThanOrEqualTo(last + 1e-12);
      last = area;
    }
  }

  private static double area(double[] polygon) {
    double sum = 0;
    for (int i = 0; i < polygon.length; i += 2) {
      int next = (i + 2) % polygon.length;
      sum += polygon[i] * polygon[next + 1] - polygon[next] * polygon[i + 1];
    }
    return sum / 2;
  }

  private static int front(String plane, String light) {
    String body = "\"body\":{\"thickness\":10," + light + "}";
    PreparedScene scene = prepared(TestScenes.LINE, "b", "", plane + body);
    List<FrameEntries.Entry> all = FrameEntries.of(scene.at(0));
    return all.get(all.size() - 1).paint().rgb();
  }

  /** Light by the cosine: 60 degrees away from it a face has half of it, which sRGB calls 188. */
  @Test
  void facesAreLitByTheCosine() {
    String viewer = "\"lightHeight\":90,\"ambient\":0";
    assertThat(front("", viewer)).isEqualTo(0xFFFFFF);
    assertThat(front("\"parallel\":true,\"tilt\":60,", viewer)).isEqualTo(0xBCBCBC);
    String above = "\"lightHeight\":0,\"lightFrom\":0";
    assertThat(front("", above + ",\"ambient\":50")).isEqualTo(0xBCBCBC);
    assertThat(front("", above + ",\"ambient\":0")).isEqualTo(0x000000);
    // Tilted, the top goes away, and the front looks up.
    assertThat(front("\"parallel\":true,\"tilt\":60,", above + ",\"ambient\":0"))
        .isEqualTo(0xEFEFEF);
    int warm = front("", viewer + ",\"warmth\":100");
    assertThat(warm >> 16).isEqualTo(255);
    assertThat(warm & 255).isLessThan(warm >> 8 & 255);
    int cold = front("", viewer + ",\"warmth\":-100");
    assertThat(cold & 255).isEqualTo(255);
    assertThat(cold >> 16).isLessThan(cold >> 8 & 255);
    String dark = "\"lightHeight\":-90,\"ambient\":0,\"edgeLight\":100";
    assertThat(front("\"parallel\":true,", dark)).isEqualTo(0);
    assertThat(front("\"parallel\":true,\"tilt\":80,", dark) & 255).isGreaterThan(150);
  }

  /** What is cut at the middle is all there, in two parts that meet. */
  @Test
  void bothHalvesAreTheWhole() {
    String plane =
        "\"stance\":\"standing\",\"tilt\":80,\"viewingDistance\":900," + body("\"thickness\":40");
    PreparedScene scene = prepared(TestScenes.CIRCLE, "abcdabcd", "\"fit\":\"spread\"", plane);
    PreparedLettering l = scene.letterings().get("l");
    Space space = scene.turned(l.lettering(), 0);
    LettersInSpace standing = new LettersInSpace(l, 0, space);
    PaintedAreas whole = new PaintedAreas(scene.outlines(), painted(scene, standing, Half.ALL));
    PaintedAreas halves =
        new PaintedAreas(
            scene.outlines(),
            painted(scene, standing, Half.FAR),
            painted(scene, standing, Half.NEAR));
    int covered = 0;
    int other = 0;
    for (int y = 0; y < 1000; y += 2) {
      for (int x = 0; x < 1000; x += 2) {
        Point p = new Point(x + 0.37, y + 0.41);
        int colour = whole.colour(p);
        covered += colour >= 0 ? 1 : 0;
        other += colour == halves.colour(p) ? 0 : 1;
      }
    }
    assertThat(covered).isGreaterThan(5000);
    assertThat((double) other / covered).as(other + " of " + covered).isLessThan(0.002);
  }

  private static Frame painted(PreparedScene scene, LettersInSpace standing, Half half) {
    PreparedLettering l = scene.letterings().get("l");
    Frame frame = new Frame(scene.outlines());
    frame.mapped(scene.turned(l.lettering(), 0));
    frame.halved(half);
    standing.paint(frame, l.ink(0, 1), Outlines.NONE, 1);
    return frame;
  }

  /** However thick letters are, and from wherever they are lit, there are numbers, and soon. */
  @Test
  void everyNumberIsGood() {
    String[] thick = {"0", "0.001", "30", "4000"};
    String[] bevels = {"0", "0.02", "5", "1000"};
    String[] turns = {"0", "45", "90", "180", "-36000"};
    String[] distances = {"10", "300", "1000000"};
    for (int i = 0; i < 120; i++) {
      Random random = new Random(i);
      String plane =
          "\"stance\":\"%s\",\"tilt\":%s,\"swing\":%s,\"viewingDistance\":%s,"
              .formatted(
                  List.of("standing", "facing", "flat").get(i % 3),
                  turns[random.nextInt(5)],
                  turns[random.nextInt(5)],
                  distances[random.nextInt(3)]);
      String body =
          "\"body\":{\"thickness\":%s,\"bevel\":%s,\"profile\":\"%s\",\"lightFrom\":%s,\"lightHeight\":%d,\"warmth\":%d,\"edgeLight\":%d}"
              .formatted(
                  thick[random.nextInt(4)],
                  bevels[random.nextInt(4)],
                  random.nextBoolean() ? "round" : "straight",
                  turns[random.nextInt(5)],
                  random.nextInt(181) - 90,
                  random.nextInt(201) - 100,
                  random.nextInt(101));
      String seat = "\"method\":\"" + (random.nextBoolean() ? "bent" : "rigid") + "\"";
      String path = TestScenes.CIRCLE.replace("200", random.nextBoolean() ? "200" : "1");
      PreparedScene scene = prepared(path, "abcdabcd", seat, plane + body);
      for (double n : scene.at(1.3).numbers()) {
        assertThat(n).as(plane + body + seat).isFinite();
      }
      scene.itemAt(new Point(500, 440), 0, 2);
      assertThat(Double.isNaN(scene.frameBox("l", 0).left())).isFalse();
    }
  }

  @Test
  void tenThousandLettersComeInTime() {
    String plane = "\"stance\":\"standing\",\"tilt\":70," + body("\"thickness\":9,\"bevel\":1");
    PreparedScene scene = prepared(TestScenes.CIRCLE, "abcd".repeat(2500), "", plane);
    long from = System.nanoTime();
    assertThat(scene.at(0).numbers().length).isGreaterThan(100_000);
    assertThat((System.nanoTime() - from) / 1e9).isLessThan(20);
  }

  private static Lettering edited(PreparedScene scene, String edit) {
    return (Lettering) SceneEdits.apply(scene.scene(), scene, edit).item("l");
  }

  @Test
  void lettersAreMadeThickAndThinAgain() {
    PreparedScene scene = prepared(TestScenes.CIRCLE, "abcd", "", "\"tilt\":20");
    Lettering thick =
        edited(scene, "{\"op\":\"plane\",\"items\":[\"l\"],\"thick\":true,\"time\":0}");
    assertThat(thick.properties().plane().body().bevel()).isEqualTo(Body.Bevel.STRAIGHT);
    assertThat(thick.movable(Channel.THICKNESS).base()).isEqualTo(20);
    PreparedScene after =
        Preparation.prepare(
            SceneCodec.read(SceneCodec.write(scene.scene().withItem(thick))), BodyTest::run);
    Lettering round =
        edited(
            after,
            "{\"op\":\"plane\",\"items\":[\"l\"],\"profile\":\"round\",\"sides\":\"coloured\",\"time\":0}");
    assertThat(round.properties().plane().body().bevel()).isEqualTo(Body.Bevel.ROUND);
    assertThat(round.properties().plane().body().sides()).isEqualTo(Body.Sides.COLOURED);
    assertThat(round.movable(Channel.THICKNESS).base()).isEqualTo(20);
    Lettering thin =
        edited(after, "{\"op\":\"plane\",\"items\":[\"l\"],\"thick\":false,\"time\":0}");
    assertThat(thin.properties().plane().body()).isNull();
    assertThat(thin.movable(Channel.THICKNESS)).isNull();
    assertThat(thin.movable(Channel.TILT).base()).isEqualTo(20);
  }
}
