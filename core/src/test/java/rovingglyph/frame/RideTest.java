package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.journey.RideHandle;
import rovingglyph.proof.Finding;
import rovingglyph.proof.LoopCheck;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.schema.DocumentException;
import rovingglyph.webexport.AnimatedSvg;

/** Items of every kind that a path carries. */
class RideTest {
  /** Round (500, 500), from its top to the right. */
  private static final String RING =
      "{\"id\":\"ring\",\"kind\":\"circle\",\"x\":500,\"y\":500,\"radius\":200,\"startAngle\":-90}";

  private static final String LEVEL =
      "{\"id\":\"level\",\"kind\":\"drawn\",\"points\":[{\"x\":100,\"y\":700},{\"x\":900,\"y\":700}]}";

  private static final double LAP = 2 * Math.PI * 200;
  private static final Offset<Double> NEAR = within(0.01);

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static String document(String kind, String ride) {
    return document(kind, ride, "");
  }

  private static String document(String kind, String ride, String more) {
    String riding = ride.isEmpty() ? "" : "\"ride\":{\"point\":[500,440]," + ride + "}";
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Rides","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s,%s,%s],"items":[%s]}"""
        .formatted(
            TestScenes.PATHS,
            RING,
            LEVEL,
            TestScenes.item(kind, riding + (riding.isEmpty() || more.isEmpty() ? "" : ",") + more));
  }

  private static PreparedScene prepare(String kind, String ride) {
    return TestScenes.prepare(document(kind, ride));
  }

  private static Point onRing(double offset) {
    double a = offset / 200 - Math.PI / 2;
    return new Point(500 + 200 * Math.cos(a), 500 + 200 * Math.sin(a));
  }

  private static void assertBox(Rect actual, Rect box, double dx, double dy) {
    assertThat(actual.left()).isCloseTo(box.left() + dx, NEAR);
    assertThat(actual.top()).isCloseTo(box.top() + dy, NEAR);
    assertThat(actual.right()).isCloseTo(box.right() + dx, NEAR);
    assertThat(actual.bottom()).isCloseTo(box.bottom() + dy, NEAR);
  }

  /** Upright ones are moved so that their point is on the path, off it by the shift. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isCarriedAlongThePath(String kind) {
    Rect box = prepare(kind, "").box("it", 0);
    PreparedScene p =
        prepare(
            kind,
            "\"path\":\"ring\",\"turns\":false,\"shift\":30,\"pathOffset\":"
                + "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":800}]}");
    for (double t = 0; t <= 4; t += 0.37) {
      Point on = onRing(200 * t);
      // To the right of the direction is towards the middle.
      Point at = on.plus(new Point(500, 500).minus(on).unit().times(30));
      assertBox(p.box("it", t), box, at.x() - 500, at.y() - 440);
    }
  }

  /** A quarter of a lap on, what was above its point is to the right of it. */
  @ParameterizedTest
  @MethodSource("kinds")
  void turnsWithThePath(String kind) {
    Rect box = prepare(kind, "").box("it", 0);
    Rect turned = prepare(kind, "\"path\":\"ring\",\"pathOffset\":" + LAP / 4).box("it", 0);
    assertThat(turned.left()).isCloseTo(700 + 440 - box.bottom(), NEAR);
    assertThat(turned.right()).isCloseTo(700 + 440 - box.top(), NEAR);
    assertThat(turned.top()).isCloseTo(500 + box.left() - 500, NEAR);
    assertThat(turned.bottom()).isCloseTo(500 + box.right() - 500, NEAR);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isFoundWhereItIsCarried(String kind) {
    PreparedScene p = prepare(kind, "\"path\":\"level\",\"pathOffset\":250");
    // A point of its ink, 30 px to the left of what rides and 20 below it.
    String found = p.itemAt(new Point(100 + 250 - 28, 700 + 20), 0, 4);
    assertThat(found).isEqualTo(kind.equals("group") ? "in" : "it");
    assertThat(p.itemAt(new Point(500, 440), 0, 1)).isEmpty();
  }

  /** In equal shares of what comes round; from end to end of what does not; or so far apart. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isThereSeveralTimes(String kind) {
    Rect box = prepare(kind, "").box("it", 0);
    assertStops(prepare(kind, "\"path\":\"ring\",\"copies\":4"), 0, LAP / 4, LAP / 2, LAP * 3 / 4);
    assertStops(prepare(kind, "\"path\":\"level\",\"copies\":3"), 0, 400, 800);
    PreparedScene p =
        prepare(kind, "\"path\":\"level\",\"copies\":3,\"spacing\":\"distance\",\"gap\":150");
    assertStops(p, 0, 150, 300);
    Rect all = p.box("it", 0);
    assertBox(
        all,
        new Rect(box.left(), box.top(), box.right() + 300, box.bottom()),
        100 - 500,
        700 - 440);
    assertStops(prepare(kind, "\"path\":\"level\",\"copies\":1"), 0);
  }

  private static void assertStops(PreparedScene p, double... along) {
    Carriage carriage = p.carriage(p.scene().item("it"));
    List<Carriage.Stop> stops = carriage.stops(0);
    assertThat(stops).hasSize(along.length);
    for (int i = 0; i < along.length; i++) {
      Point at = carriage.track(0).at(along[i]).point();
      assertThat(stops.get(i).at().distance(at)).isLessThan(1e-6);
    }
  }

  /** Past an end: straight on, not seen, or round. */
  @ParameterizedTest
  @MethodSource("kinds")
  void hasARuleForTheEnds(String kind) {
    Rect box = prepare(kind, "").box("it", 0);
    String past = "\"path\":\"level\",\"pathOffset\":900";
    assertBox(prepare(kind, past).box("it", 0), box, 500, 260);
    assertThat(prepare(kind, past + ",\"ends\":\"cut\"").box("it", 0).isEmpty()).isTrue();
    assertThat(prepare(kind, past + ",\"ends\":\"cut\"").at(0).numbers()).isEmpty();
    assertBox(prepare(kind, past + ",\"ends\":\"wrap\"").box("it", 0), box, -300, 260);
  }

  /** Just out of the frame is out, and a pixel nearer is in. */
  @ParameterizedTest
  @MethodSource("kinds")
  void landsJustOutsideTheFrame(String kind) {
    String keys =
        "\"path\":\"level\",\"pathOffset\":{\"keyframes\":["
            + "{\"time\":0,\"landing\":\"out-before\"},{\"time\":1,\"landing\":\"centred\"},"
            + "{\"time\":2,\"value\":350},{\"time\":4,\"landing\":\"out-after\"}]}";
    PreparedScene p = prepare(kind, keys);
    assertThat(p.unsolved().get("it")).isEmpty();
    assertThat(p.scene().item("it").movable(Channel.RIDE_OFFSET).keyframes().get(1).value())
        .isCloseTo(400, NEAR);
    for (int i : new int[] {0, 3}) {
      double time = i == 0 ? 0 : 4;
      double at = p.scene().item("it").movable(Channel.RIDE_OFFSET).keyframes().get(i).value();
      assertThat(shown(prepare(kind, still(at)))).as("%s at %s", kind, time).isFalse();
      assertThat(shown(prepare(kind, still(at + (i == 0 ? 1 : -1))))).isTrue();
    }
  }

  private static String still(double offset) {
    return "\"path\":\"level\",\"pathOffset\":" + offset;
  }

  private static boolean shown(PreparedScene p) {
    Window frame = new Window(p.area(), Space.FLAT);
    return new SceneHits(p, 0).touches(p.scene().item("it"), frame);
  }

  @Test
  void tellsOfALandingThatIsNone() {
    PreparedScene p =
        prepare(
            "drawing",
            "\"path\":\"ring\",\"pathOffset\":{\"keyframes\":["
                + "{\"time\":0,\"value\":9,\"landing\":\"out-before\"},{\"time\":1,\"value\":50}]}");
    assertThat(p.unsolved().get("it")).containsExactly(0);
    assertThat(Proof.of(p))
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("never gets out"));
  }

  /** Laps per loop close the loop; so does the share of a lap after which copies are alike. */
  @ParameterizedTest
  @MethodSource("kinds")
  void closesItsLoop(String kind) {
    String cruise = "\"pathOffset\":{\"still\":0,\"cruise\":{\"pace\":\"laps\",\"amount\":%s}}";
    PreparedScene one = prepare(kind, "\"path\":\"ring\"," + cruise.formatted("1"));
    assertThat(LoopCheck.of(one)).isEmpty();
    Carriage carriage = one.carriage(one.scene().item("it"));
    assertThat(carriage.stops(2).get(0).at().distance(onRing(LAP / 2))).isLessThan(1e-6);
    String third = "\"path\":\"ring\"," + cruise.formatted("0.25");
    assertThat(LoopCheck.of(prepare(kind, third))).hasSize(1);
    assertThat(LoopCheck.of(prepare(kind, third + ",\"copies\":4"))).isEmpty();
  }

  @Test
  void closesALoopByAnEdit() {
    PreparedScene p =
        prepare(
            "drawing",
            "\"path\":\"ring\",\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},"
                + "{\"time\":4,\"value\":1200}]}");
    Scene closed =
        SceneEdits.apply(
            p.scene(), p, "{\"op\":\"closeLoop\",\"item\":\"it\",\"channel\":\"rideOffset\"}");
    assertThat(closed.item("it").movable(Channel.RIDE_OFFSET).keyframes().get(1).value())
        .isCloseTo(LAP, NEAR);
  }

  /** Effects and clip are done to what is carried; they stay where they are. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isClippedWhereItIsCarried(String kind) {
    String clip = "\"clip\":{\"path\":\"area\"}";
    String json = document(kind, "\"path\":\"level\",\"pathOffset\":400", clip);
    List<FrameEntries.Entry> all = FrameEntries.of(TestScenes.prepare(json).at(0));
    String still = document(kind, "", clip);
    List<FrameEntries.Entry> before = FrameEntries.of(TestScenes.prepare(still).at(0));
    FrameEntries.Entry area = all.get(all.size() - 2);
    assertThat(area.points()).isEqualTo(before.get(before.size() - 2).points());
  }

  /** A copy of a group is like the first, also where an item in it is measured by another. */
  @Test
  void carriesMattesWithACopy() {
    String json =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Copies","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s,%s],"items":[
         {"kind":"drawing","id":"by","hidden":true,"x":120,"y":690,"parts":[{"d":"M0 0H40V40Z","fill":"#000000"}]},
         {"kind":"drawing","id":"in","x":100,"y":700,"parts":[{"d":"M-50-50H50V50Z","fill":"#445566"}],
          "matte":{"item":"by"}},
         {"kind":"group","id":"g","members":["in"],
          "ride":{"path":"level","point":[100,700],"copies":2,"spacing":"distance","gap":300}}]}"""
            .formatted(TestScenes.PATHS, LEVEL);
    List<FrameEntries.Entry> all = FrameEntries.of(TestScenes.prepare(json).at(0));
    List<FrameEntries.Entry> fills = all.stream().filter(e -> e.op() == Op.FILL).toList();
    assertThat(fills).hasSize(4);
    for (int i = 0; i < 2; i++) {
      assertThat(fills.get(i + 2).maps().get(0).e() - fills.get(i).maps().get(0).e())
          .isCloseTo(300, NEAR);
    }
  }

  /** A drag brings what rides to the pointer, by the nearest lap, and tells how far off it is. */
  @Test
  void isDraggedAlongThePath() {
    PreparedScene p = prepare("picture", "\"path\":\"ring\",\"pathOffset\":" + (2 * LAP + 10));
    RideHandle handle = new RideHandle(p.carriage(p.scene().item("it")), 0);
    double[] to = handle.to(new Point(720, 500));
    assertThat(to[0]).isCloseTo(2.25 * LAP, NEAR);
    assertThat(to[1]).isCloseTo(-20, NEAR);
    assertThat(handle.mark()[0]).isCloseTo(onRing(10).x(), NEAR);
  }

  /** The new ride takes an item by its middle; with the path taken away the item keeps a copy. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isMadeAndTakenAwayByEdits(String kind) {
    PreparedScene p = prepare(kind, "");
    Scene carried =
        SceneEdits.apply(
            p.scene(), p, "{\"op\":\"ride\",\"items\":[\"it\"],\"path\":\"ring\",\"copies\":2}");
    Point middle = carried.item("it").properties().ride().point();
    boolean placed = p.scene().item("it") instanceof Transformed;
    Point centre = kind.equals("group") ? Point.ORIGIN : new Point(500, 480);
    assertThat(middle).isEqualTo(placed ? centre : p.box("it", 0).centre());
    assertThat(carried.item("it").values()).containsKeys(Channel.RIDE.toArray(Channel[]::new));
    double offset = carried.item("it").movable(Channel.RIDE_OFFSET).base();
    Contour ring = p.paths().get("ring").at(0);
    assertThat(offset).isCloseTo(ring.nearest(middle).distance(), within(0.06));
    Scene kept = SceneEdits.apply(carried, "{\"op\":\"deletePath\",\"of\":\"ring\"}");
    String rail = kept.item("it").properties().ride().path();
    assertThat(kept.path(rail).name()).endsWith("(kept)");
    Scene off = SceneEdits.apply(carried, "{\"op\":\"ride\",\"items\":[\"it\"],\"path\":null}");
    assertThat(off.item("it")).isEqualTo(p.scene().item("it"));
    assertThat(TestScenes.read(SceneCodec.write(carried))).isEqualTo(carried);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isInTheAnimatedSvg(String kind) {
    String svg =
        AnimatedSvg.write(
            prepare(
                kind,
                "\"path\":\"ring\",\"copies\":3,\"pathOffset\":"
                    + "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":800}]}"));
    assertThat(svg.split("translate\\(-500px,-440px\\)")).hasSizeGreaterThan(10);
    assertThat(svg.split("<g style=\"animation:")).hasSize(4);
  }

  @Test
  void hasLimits() {
    String many = document("group", "\"path\":\"ring\",\"copies\":50");
    String inner =
        many.replace("\"id\":\"in\"", "\"id\":\"in\",\"ride\":{\"path\":\"ring\",\"copies\":5}");
    assertThatThrownBy(() -> SceneCodec.read(inner))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("ride.copies")
        .hasMessageContaining("250 times");
    assertThatThrownBy(() -> SceneCodec.read(document("drawing", "\"path\":\"none\"")))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("items[0].ride.path");
    String letters =
        document(
            "drawing",
            "\"path\":\"ring\",\"pathOffset\":{\"still\":0,\"cruise\":{\"pace\":\"letters\",\"amount\":1}}");
    assertThatThrownBy(() -> SceneCodec.read(letters))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("only words count letters");
  }

  /** A box chooses what is seen wholly within it, wherever a path has carried it. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isWithinABoxWhereItIsSeen(String kind) {
    PreparedScene p =
        prepare(
            kind,
            "\"path\":\"ring\",\"pathOffset\":"
                + "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":800}]}");
    for (double time : new double[] {0, 1.3, 3.1}) {
      Rect seen = p.frameBox("it", time);
      assertThat(p.itemsWithin(seen.grown(0.5), time)).contains("it");
      Rect less = new Rect(seen.left() + 1, seen.top(), seen.right(), seen.bottom()).grown(0.5);
      assertThat(p.itemsWithin(less, time)).doesNotContain("it");
    }
    Scene locked =
        SceneEdits.apply(
            p.scene(), "{\"op\":\"change\",\"items\":[\"it\"],\"fields\":{\"locked\":true}}");
    Rect all = p.frameBox("it", 0).grown(1);
    assertThat(TestScenes.prepare(SceneCodec.write(locked).toString()).itemsWithin(all, 0))
        .doesNotContain("it");
  }
}
