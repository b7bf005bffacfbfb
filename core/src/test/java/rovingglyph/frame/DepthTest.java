package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;

/** Items of every kind turned in space, and letters that stand there. */
class DepthTest {
  private static final String WORDS = "nnnnnnnnnnnn";

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static PreparedScene words(String path, String seat, String plane) {
    String more = "\"plane\":{\"planeX\":500,\"planeY\":500," + plane + "}";
    return TestScenes.prepare(TestScenes.document(path, WORDS, seat, more));
  }

  private static PreparedScene kind(String kind, String plane) {
    return TestScenes.prepare(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Depth","width":1000,"height":1000,
         "rate":"25","length":4,"paths":[%s],"items":[%s]}"""
            .formatted(TestScenes.PATHS, TestScenes.item(kind, "\"plane\":{" + plane + "}")));
  }

  /**
   * Without perspective a plane swung by 60 degrees is half as wide, about the point it turns on.
   */
  @ParameterizedTest
  @MethodSource("kinds")
  void aPlaneThatIsSwungIsNarrower(String kind) {
    Rect flat = kind(kind, "\"swing\":0").frameBox("it", 0);
    Rect swung =
        kind(kind, "\"parallel\":true,\"swing\":60,\"planeX\":500,\"planeY\":480")
            .frameBox("it", 0);
    assertThat(swung.left()).isCloseTo(500 + (flat.left() - 500) / 2, within(0.02));
    assertThat(swung.right()).isCloseTo(500 + (flat.right() - 500) / 2, within(0.02));
    assertThat(swung.top()).isCloseTo(flat.top(), within(0.02));
    assertThat(swung.bottom()).isCloseTo(flat.bottom(), within(0.02));
  }

  /** With perspective the side that goes away is lower than the one that comes near. */
  @ParameterizedTest
  @MethodSource("kinds")
  void whatIsFarIsSmall(String kind) {
    PreparedScene scene =
        kind(kind, "\"swing\":50,\"planeX\":500,\"planeY\":440,\"viewingDistance\":600");
    Rect box = scene.frameBox("it", 0);
    assertThat(500 - box.left()).isGreaterThan(box.right() - 500);
    String hit = kind.equals("group") ? "in" : "it";
    assertThat(scene.itemAt(new Point(500, 440), 0, 30)).isEqualTo(hit);
  }

  /** On the near side of a level ring letters stand up from their path, as tall as they are. */
  @Test
  void lettersStandOnTheirPath() {
    PreparedScene scene =
        words(
            TestScenes.CIRCLE,
            "\"side\":\"right\",\"align\":\"middle\"",
            "\"stance\":\"standing\",\"tilt\":90,\"parallel\":true");
    // Seen from the side a ring is a line, and every letter stands on it.
    Rect box = scene.frameBox("l", 0);
    assertThat(box.bottom()).isCloseTo(500, within(1e-6));
    assertThat(box.top()).isCloseTo(430, within(1e-6));
    PreparedScene tilted =
        words(
            TestScenes.CIRCLE,
            "\"side\":\"right\",\"align\":\"middle\"",
            "\"stance\":\"standing\",\"tilt\":60,\"parallel\":true");
    // The nearest letters stand on the ring's lower edge, and are foreshortened by the tilt.
    double foot = 500 + 200 * Math.cos(Math.toRadians(60));
    assertThat(tilted.frameBox("l", 0).bottom()).isBetween(foot - 12, foot + 0.5);
  }

  @Test
  void lettersThatFaceTheViewerKeepTheirForm() {
    PreparedScene scene =
        words(
            TestScenes.CIRCLE,
            "\"fit\":\"spread\"",
            "\"stance\":\"facing\",\"tilt\":80,\"viewingDistance\":900");
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    for (StandingLetters.Letter l : new StandingLetters(scene, "l").letters(0)) {
      Affine m = l.map().near(Point.ORIGIN);
      assertThat(m.b()).isCloseTo(0, within(1e-9));
      assertThat(m.c()).isCloseTo(0, within(1e-9));
      assertThat(m.a()).isCloseTo(m.d(), within(1e-9));
      least = Math.min(least, m.a());
      most = Math.max(most, m.a());
    }
    double sin = Math.sin(Math.toRadians(80));
    assertThat(least).isCloseTo(100 / (1 + 200 * sin / 900), within(0.5));
    assertThat(most).isCloseTo(100 / (1 - 200 * sin / 900), within(3.0));
  }

  @Test
  void standingLettersAreSpacedOnThePathItself() {
    String seat = "\"align\":\"start\",\"evenSpacing\":true";
    String stance = "\"stance\":\"standing\",\"tilt\":70";
    PreparedLettering flat = words(TestScenes.CIRCLE, seat, "\"tilt\":70").letterings().get("l");
    PreparedLettering up = words(TestScenes.CIRCLE, seat, stance).letterings().get("l");
    List<Placement> standing = up.placements(up.values(0));
    double step = standing.get(1).distance() - standing.get(0).distance();
    assertThat(step).isCloseTo(50, within(1e-6));
    List<Placement> lying = flat.placements(flat.values(0));
    assertThat(lying.get(1).distance() - lying.get(0).distance()).isLessThan(49);
  }

  /** What of the letters is far and what is near is all of them, on its own side of the middle. */
  @Test
  void bothHalvesAreTheWhole() {
    PreparedScene scene =
        words(
            TestScenes.CIRCLE,
            "\"fit\":\"spread\",\"side\":\"right\"",
            "\"stance\":\"standing\",\"tilt\":70,\"swing\":10,\"viewingDistance\":1000");
    PreparedLettering l = scene.letterings().get("l");
    Space space = scene.turned(l.lettering(), 0);
    double middle = space.before(new Point3(500, 500, 0)).z();
    List<Integer> seen = new ArrayList<>();
    for (Half half : new Half[] {Half.FAR, Half.NEAR}) {
      for (Card c : new LettersInSpace(l, 0, space).ordered(l.ink(0, 1), half)) {
        seen.add(c.ink().number());
        double z = c.at(c.box().centre().x(), c.box().centre().y()).z();
        assertThat(z > middle).isEqualTo(half == Half.FAR);
      }
    }
    assertThat(seen).contains(IntStream.range(0, WORDS.length()).boxed().toArray(Integer[]::new));
    assertThat(seen.size()).isBetween(WORDS.length(), WORDS.length() + 4);
  }

  @Test
  void wordsGoRoundWhatTheyGoBehind() {
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Behind","width":1000,"height":1000,
         "rate":"25","length":4,"paths":[%s],"items":[%s,
         {"kind":"lettering","id":"a","text":"nnn","path":"p","plane":{"goesBehind":"it","tilt":70}},
         {"kind":"lettering","id":"b","text":"nnn","path":"p","plane":{"goesBehind":"a","tilt":70}}],
         "stack":["a","it","b"]}"""
            .formatted(TestScenes.PATHS, TestScenes.item("drawing", ""));
    assertThat(order(TestScenes.read(document)))
        .containsExactly("b FAR", "a FAR", "it ALL", "a NEAR", "b NEAR");
    // One that goes behind what goes behind it stays where it is.
    Scene round =
        TestScenes.read(document.replace("\"goesBehind\":\"it\"", "\"goesBehind\":\"b\""));
    assertThat(order(round)).containsExactly("a ALL", "it ALL", "b ALL");
    Scene gone = TestScenes.read(document).without("it");
    assertThat(gone.item("a").properties().plane().behind()).isNull();
  }

  private static List<String> order(Scene scene) {
    List<String> out = new ArrayList<>();
    new StackOrder(scene, scene.stack()).each((id, half) -> out.add(id + " " + half));
    return out;
  }

  private static final String[] PATHS = {
    TestScenes.CIRCLE,
    TestScenes.drawn(150, 500, 420, 300, 560, 700, 880, 420),
    """
    {"id":"p","kind":"star","x":500,"y":500,"radius":260,"innerRadius":90,"count":5}""",
    """
    {"id":"p","kind":"drawn","points":[{"x":300,"y":300,"out":[500,500]},{"x":700,"y":300,"in":[-500,500]}]}"""
  };

  static IntStream seeds() {
    return IntStream.range(0, 24);
  }

  /** Near letters cover far ones: the order of painting says of a point what its depths say. */
  @ParameterizedTest
  @MethodSource("seeds")
  void theOrderIsThatOfADepthBuffer(int seed) {
    Random random = new Random(seed);
    String stance = random.nextInt(4) == 0 ? "facing" : "standing";
    String more =
        "\"letterTurn\":%d,\"plane\":{\"planeX\":500,\"planeY\":500,\"stance\":\"%s\",\"tilt\":%d,\"swing\":%d,\"lean\":%d,\"viewingDistance\":%d}"
            .formatted(
                random.nextInt(90),
                stance,
                20 + random.nextInt(140),
                random.nextInt(120) - 60,
                random.nextInt(40) - 20,
                700 + random.nextInt(2000));
    String size = "\"size\":" + (60 + random.nextInt(180));
    String document =
        TestScenes.document(PATHS[seed % PATHS.length], WORDS, "\"fit\":\"spread\"", more);
    PreparedScene scene = TestScenes.prepare(document.replace("\"size\":100", size));
    PreparedLettering l = scene.letterings().get("l");
    Space space = scene.turned(l.lettering(), 0);
    List<Card> ordered = new LettersInSpace(l, 0, space).ordered(l.ink(0, 1), Half.ALL);
    List<Card> whole = new LettersInSpace(l, 0, space).all(l.printed(l.rows(l.values(0))));
    int covered = 0;
    int other = 0;
    for (int y = 0; y < 1000; y += 2) {
      for (int x = 0; x < 1000; x += 2) {
        Point p = new Point(x + 0.37, y + 0.41);
        Card painted = null;
        for (Card c : ordered) {
          painted = holds(c, space, p) ? c : painted;
        }
        Card nearest = null;
        double least = Double.POSITIVE_INFINITY;
        for (Card c : whole) {
          double z = holds(c, space, p) ? depth(c, space, p) : Double.POSITIVE_INFINITY;
          nearest = z < least ? c : nearest;
          least = Math.min(z, least);
        }
        covered += nearest != null ? 1 : 0;
        boolean same =
            painted == null
                ? nearest == null
                : nearest != null && painted.ink().number() == nearest.ink().number();
        other += same ? 0 : 1;
      }
    }
    assertThat(covered).isGreaterThan(300);
    assertThat((double) other / covered).as(other + " of " + covered).isLessThan(0.001);
  }

  private static boolean holds(Card c, Space space, Point p) {
    List<List<Point>> polygons = new ArrayList<>();
    for (Piece piece : c.seen(space)) {
      for (SubPath s : piece.subPaths()) {
        List<Point> polygon = new ArrayList<>();
        for (Segment e : s.segments()) {
          polygon.add(piece.map().apply(e.start()));
          polygon.add(piece.map().apply(e.end()));
        }
        polygons.add(polygon);
      }
    }
    return PaintedAreas.winding(polygons, p) != 0;
  }

  private static double depth(Card c, Space space, Point p) {
    Point em = c.map(space).inverse().apply(p);
    return c.at(em.x(), em.y()).z();
  }

  /** However a plane is turned there are numbers, and they come soon. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyNumberIsGood(String kind) {
    double[] turns = {0, 45, 89.999999, 90, 180, -90, 36000};
    String[] stances = {"flat", "standing", "facing"};
    String[] distances = {"10", "300", "1000000"};
    for (double tilt : turns) {
      for (double swing : turns) {
        for (int i = 0; i < 3; i++) {
          PreparedScene scene =
              kind(
                  kind,
                  "\"stance\":\"%s\",\"backs\":\"hidden\",\"tilt\":%s,\"swing\":%s,\"lean\":%s,\"viewingDistance\":%s,\"planeX\":500"
                      .formatted(stances[i], tilt, swing, i * 90, distances[i]));
          for (double n : scene.at(1.3).numbers()) {
            assertThat(n).isFinite();
          }
          scene.itemAt(new Point(500, 440), 0, 2);
          Rect box = scene.frameBox("it", 0);
          assertThat(Double.isNaN(box.left())).isFalse();
        }
      }
    }
  }

  @Test
  void tenThousandLettersComeInTime() {
    char[] many = new char[10_000];
    Arrays.fill(many, 'n');
    String more = "\"plane\":{\"stance\":\"standing\",\"tilt\":70,\"planeX\":500,\"planeY\":500}";
    PreparedScene scene =
        TestScenes.prepare(TestScenes.document(TestScenes.CIRCLE, new String(many), "", more));
    long from = System.nanoTime();
    assertThat(scene.at(0).numbers().length).isGreaterThan(100_000);
    assertThat((System.nanoTime() - from) / 1e9).isLessThan(20);
  }

  private static Lettering edited(PreparedScene scene, String edit) {
    return (Lettering) SceneEdits.apply(scene.scene(), scene, edit).item("l");
  }

  @Test
  void aReadyViewTurnsWordsToTheViewer() {
    PreparedScene scene =
        TestScenes.prepare(
            TestScenes.document(TestScenes.CIRCLE, WORDS, "\"align\":\"middle\"", ""));
    Lettering l =
        edited(scene, "{\"op\":\"plane\",\"items\":[\"l\"],\"view\":\"carousel\",\"time\":0}");
    assertThat(l.properties().plane().stance()).isEqualTo(Plane.Stance.STANDING);
    assertThat(l.seat().side()).isEqualTo(Seat.Side.RIGHT);
    assertThat(l.movable(Channel.TILT).base()).isEqualTo(76);
    assertThat(l.movable(Channel.PLANE_X).base()).isEqualTo(500);
    PreparedScene after = TestScenes.prepare(SceneCodec.write(scene.scene().withItem(l)));
    // In front, the right way round: what is read is at the lower edge of the ring.
    List<StandingLetters.Letter> letters = new StandingLetters(after, "l").letters(0);
    Affine middle = letters.get(WORDS.length() / 2).map().near(Point.ORIGIN);
    assertThat(middle.a()).isPositive();
    assertThat(middle.d()).isPositive();
    assertThat(middle.f()).isGreaterThan(500);
    Lettering flat = edited(after, "{\"op\":\"plane\",\"items\":[\"l\"],\"on\":false}");
    assertThat(flat.properties().plane()).isNull();
    assertThat(flat.movable(Channel.TILT)).isNull();
  }

  /** Words at the back of a ring read the wrong way round; a ring all round has a front. */
  @Test
  void proofTellsWhatReadsTheWrongWayRound() {
    String back = "\"stance\":\"standing\",\"tilt\":75";
    assertThat(messages(words(TestScenes.CIRCLE, "\"side\":\"left\",\"align\":\"middle\"", back)))
        .anyMatch(m -> m.contains("from behind"));
    assertThat(messages(words(TestScenes.CIRCLE, "\"side\":\"right\",\"align\":\"middle\"", back)))
        .noneMatch(m -> m.contains("from behind"));
    assertThat(messages(words(TestScenes.CIRCLE, "\"side\":\"left\",\"fit\":\"spread\"", back)))
        .noneMatch(m -> m.contains("from behind"));
    String near = "\"stance\":\"standing\",\"tilt\":75,\"viewingDistance\":150";
    assertThat(messages(words(TestScenes.CIRCLE, "\"fit\":\"spread\"", near)))
        .anyMatch(m -> m.contains("pass the eye"));
  }

  private static List<String> messages(PreparedScene scene) {
    return Proof.of(scene).stream().map(Finding::message).toList();
  }
}
