package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Point3;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;

/** Letters of boxes, 0.3 em wide and 0.7 em high, that go through each other or do not. */
class LetterCrossingsTest {
  private static final String CROSSED =
      """
      {"id":"p","kind":"drawn","points":[{"x":200,"y":300,"out":[500,500]},{"x":800,"y":300,"in":[-500,500]}]}""";

  private static String circle(double radius) {
    return "{\"id\":\"p\",\"kind\":\"circle\",\"centre\":[500,500],\"radius\":" + radius + "}";
  }

  private static List<Card> cards(PreparedScene scene) {
    PreparedLettering l = scene.letterings().get("l");
    return new LettersInSpace(l, 0, scene.turned(l.lettering(), 0)).all(l.ink(0, 1));
  }

  /** The corners of a box, smaller all round by so many px. */
  private static List<Point3> box(Card c, double by) {
    double x = by / c.u().length();
    double y = by / c.v().length();
    return List.of(
        c.at(c.box().left() + x, c.box().top() + y),
        c.at(c.box().right() - x, c.box().top() + y),
        c.at(c.box().right() - x, c.box().bottom() - y),
        c.at(c.box().left() + x, c.box().bottom() - y));
  }

  /** Two rectangles meet where an edge of one goes through the other. */
  private static boolean meet(List<Point3> a, List<Point3> b) {
    return pierces(a, b) || pierces(b, a);
  }

  private static boolean pierces(List<Point3> edges, List<Point3> area) {
    Point3 u = area.get(1).minus(area.get(0));
    Point3 v = area.get(3).minus(area.get(0));
    Point3 normal = u.cross(v);
    for (int i = 0; i < 4; i++) {
      Point3 p = edges.get(i);
      Point3 q = edges.get((i + 1) % 4);
      double from = normal.dot(p.minus(area.get(0)));
      double to = normal.dot(q.minus(area.get(0)));
      if (from < 0 != to < 0) {
        Point3 at = p.plus(q.minus(p).times(from / (from - to))).minus(area.get(0));
        double x = at.dot(u) / u.dot(u);
        double y = at.dot(v) / v.dot(v);
        // Letters that stand alike on both sides of a plane meet where edges of both do.
        double hair = 1e-9;
        if (Math.max(Math.abs(x - 0.5), Math.abs(y - 0.5)) <= 0.5 + hair) {
          return true;
        }
      }
    }
    return false;
  }

  /** Against rectangles in space, edge by edge. */
  @Test
  void lettersGoThroughEachOtherWhereTheirBoxesDo() {
    Random r = new Random(5);
    int crossing = 0;
    for (int n = 0; n < 150; n++) {
      String path = r.nextInt(3) == 0 ? CROSSED : circle(40 + r.nextInt(160));
      String plane =
          "\"plane\":{\"stance\":\"%s\",\"tilt\":%d,\"swing\":%d,\"lean\":%d.5,\"planeX\":500,\"planeY\":500}"
              .formatted(
                  r.nextInt(5) == 0 ? "facing" : "standing",
                  r.nextInt(160) - 80,
                  r.nextInt(160) - 80,
                  r.nextInt(240) - 120);
      String more = plane + ",\"letterTurn\":" + (r.nextBoolean() ? 0 : r.nextInt(90) - 45);
      PreparedScene scene = prepare(document(path, "abcdefghij", "", more));
      List<Card> cards = cards(scene);
      Set<String> found = new HashSet<>();
      for (LetterCrossings.Pair p : LetterCrossings.of(cards)) {
        found.add(p.first().letter() + " " + p.second().letter());
      }
      crossing += found.size();
      for (int i = 0; i < cards.size(); i++) {
        for (int k = i + 1; k < cards.size(); k++) {
          String pair = cards.get(i).ink().letter() + " " + cards.get(k).ink().letter();
          if (meet(box(cards.get(i), 1), box(cards.get(k), 1))) {
            assertThat(found).as(n + ": " + plane).contains(pair);
          }
          if (!meet(box(cards.get(i), 0), box(cards.get(k), 0))) {
            assertThat(found).as(n + ": " + plane).doesNotContain(pair);
          }
        }
      }
    }
    assertThat(crossing).isGreaterThan(100);
  }

  private static List<String> told(String path, String more) {
    return told(path, "", more);
  }

  private static List<String> told(String path, String seat, String more) {
    List<String> out = new ArrayList<>();
    for (Finding f : Proof.of(prepare(document(path, "abcdefgh", seat, more)))) {
      out.add(f.message());
    }
    return out;
  }

  private static String standing(String more) {
    return "\"plane\":{\"stance\":\"standing\",\"tilt\":70,\"planeX\":500,\"planeY\":500"
        + more
        + "}";
  }

  @Test
  void proofTellsOfThemAndOfNoOthers() {
    String through = "go through each other";
    assertThat(told(circle(180), standing(""))).noneMatch(m -> m.contains(through));
    assertThat(told(circle(80), standing(",\"lean\":-75")))
        .anyMatch(m -> m.contains("the letters") && m.contains(through));
    // What has thickness goes through its neighbour behind its front.
    String thick = ",\"body\":{\"thickness\":%d}";
    assertThat(told(circle(90), standing(thick.formatted(10)))).noneMatch(m -> m.contains(through));
    assertThat(told(circle(90), "\"side\":\"right\"", standing(thick.formatted(80))))
        .anyMatch(m -> m.contains(through));
  }

  @Test
  void lettersOnOnePlaneMayLieOverEachOther() {
    PreparedScene scene =
        prepare(
            document(
                circle(180),
                "abcd",
                "",
                standing("").replace("standing", "flat") + ",\"tracking\":-0.4"));
    assertThat(LetterCrossings.of(cards(scene))).isEmpty();
  }

  @Test
  void proofTellsOfLettersTooSmallToReadAtTheBack() {
    String small = "too small to read";
    String line =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":100,\"y\":900},{\"x\":900,\"y\":100}]}";
    String swung = "\"plane\":{\"swing\":80,\"planeX\":0,\"planeY\":900,\"viewingDistance\":%s}";
    assertThat(told(line, swung.formatted(25))).anyMatch(m -> m.contains(small));
    assertThat(told(line, swung.formatted(2000))).noneMatch(m -> m.contains(small));
    String parallel = swung.formatted(25).replace("{", "{\"parallel\":true,");
    assertThat(told(line, parallel)).noneMatch(m -> m.contains(small));
  }

  /** Far letters are as small as they are in the frame, in groups that make them smaller too. */
  @Test
  void theSizeThatIsReadIsThatInTheFrame() {
    String scene =
        """
        {"format":"roving-glyph-scene","version":2,"width":1000,"height":1000,"rate":"25","length":4,
         "paths":[{"id":"p","kind":"drawn","points":[{"x":300,"y":500},{"x":900,"y":500}]}],
         "items":[{"kind":"lettering","id":"l","text":"abcdefgh","path":"p","size":100,
             "plane":{"swing":60,"planeX":300,"planeY":500,"viewingDistance":250}},
           {"kind":"group","id":"g","members":["l"],"centre":[500,500],"scale":%s}]}""";
    String small = "too small to read";
    assertThat(Proof.of(prepare(scene.formatted(1)))).noneMatch(f -> f.message().contains(small));
    assertThat(Proof.of(prepare(scene.formatted(0.2)))).anyMatch(f -> f.message().contains(small));
  }
}
