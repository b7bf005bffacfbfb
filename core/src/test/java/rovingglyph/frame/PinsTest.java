package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
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
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;

/** Things that hold to what is followed in footage. */
class PinsTest {
  private static final double NEAR = 1e-6;
  private static final int FRAMES = 60;

  private static final List<String> SORTS = List.of("spot", "two", "corners");

  /** Footage that itself moves, turns and grows, in a group that does, with pins of all sorts. */
  private static JsonObject footage(Random r) {
    JsonArray spot = new JsonArray();
    JsonArray two = new JsonArray();
    JsonArray corners = new JsonArray();
    for (int i = 0; i < FRAMES; i++) {
      double time = i / 30.0;
      spot.add(frame(time, point(r)));
      two.add(frame(time, point(r), point(r)));
      corners.add(
          frame(time, near(r, 150, 90), near(r, 490, 90), near(r, 490, 270), near(r, 150, 270)));
    }
    JsonArray pins =
        new JsonArray()
            .add(new JsonObject().add("id", "spot").add("by", "spot").add("frames", spot))
            .add(new JsonObject().add("id", "two").add("by", "two-spots").add("frames", two))
            .add(new JsonObject().add("id", "corners").add("by", "corners").add("frames", corners));
    return new JsonObject()
        .add("kind", "footage")
        .add("id", "film")
        .add("image", "film")
        .add("pixelWidth", 640)
        .add("pixelHeight", 360)
        .add("rate", 30)
        .add("length", 2)
        .add("width", 500)
        .add("height", 310)
        .add("speed", 0.8)
        .add("x", moving(100, 500))
        .add("y", 400)
        .add("scale", moving(0.5, 1.3))
        .add("rotation", moving(-20, 70))
        .add("pins", pins);
  }

  private static JsonObject moving(double from, double to) {
    return Json.parse(
            "{\"keyframes\":[{\"time\":0,\"value\":%s},{\"time\":2,\"value\":%s}]}"
                .formatted(from, to))
        .asObject();
  }

  private static JsonObject frame(double time, JsonArray... points) {
    JsonArray all = new JsonArray();
    for (JsonArray p : points) {
      all.add(p);
    }
    return new JsonObject().add("time", time).add("points", all);
  }

  private static JsonArray point(Random r) {
    return new JsonArray().add(r.nextInt(640)).add(r.nextInt(360));
  }

  private static JsonArray near(Random r, int x, int y) {
    return new JsonArray().add(x - 10 + r.nextInt(20)).add(y - 10 + r.nextInt(20));
  }

  private static Scene scene(String kind, JsonObject film) {
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"width":1000,"height":1000,"rate":"25",
         "length":3,"paths":[%s],"items":[%s,%s]}"""
            .formatted(TestScenes.PATHS, TestScenes.item(kind, ""), film);
    return TestScenes.read(document);
  }

  private static Scene pinned(Scene scene, String to, double at) {
    String edit =
        "{\"op\":\"pinTo\",\"items\":[\"it\"],\"to\":\"%s\",\"time\":%s}".formatted(to, at);
    return SceneEdits.apply(scene, edit);
  }

  private static PreparedScene prepared(Scene scene) {
    return TestScenes.prepare(SceneCodec.write(scene));
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  /**
   * What lies under a mark of the footage when it is pinned lies under the mark at all times, in
   * every kind of item, whatever the footage, the item and the groups round them do.
   */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindOfItemHoldsToWhatItIsPinnedTo(String kind) {
    Random r = new Random(kind.hashCode());
    for (int round = 0; round < 12; round++) {
      Scene plain = scene(kind, footage(r));
      Scene scene = round % 2 == 0 ? plain : grouped(plain, r);
      String to = SORTS.get(round % 3);
      double at = r.nextInt(50) / 25.0;
      PreparedScene p = prepared(pinned(scene, to, at));
      PreparedScene free = prepared(scene);
      Footage film = (Footage) p.scene().item("film");
      List<Point> from = marks(p, film, to, at);
      for (int i = 0; i < 10; i++) {
        double time = r.nextDouble() * 3;
        Projection alone = free.groupTransform("it").map(time);
        Projection by = p.groupTransform("it").map(time).times(alone.inverse());
        List<Point> now = marks(p, film, to, time);
        for (int m = 0; m < from.size(); m++) {
          assertThat(by.apply(from.get(m)).distance(now.get(m))).as(kind).isLessThan(NEAR);
        }
      }
      Projection stands = p.groupTransform("it").map(at);
      Projection alone = free.groupTransform("it").map(at);
      assertThat(stands.apply(Point.ORIGIN).distance(alone.apply(Point.ORIGIN))).isLessThan(NEAR);
    }
  }

  /** What fills the frame covers the four corners, whatever the footage and the groups do. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindOfItemIsLaidBetweenCorners(String kind) {
    Random r = new Random(kind.hashCode() + 2);
    Scene plain = scene(kind, footage(r));
    for (Scene scene : List.of(plain, grouped(plain, r))) {
      String edit =
          "{\"op\":\"pinTo\",\"items\":[\"it\"],\"to\":\"corners\",\"time\":1,\"laid\":true}";
      PreparedScene p = prepared(SceneEdits.apply(scene, edit));
      PreparedScene free = prepared(scene);
      List<Point> frame = new Rect(0, 0, 1000, 1000).corners();
      for (int i = 0; i < 10; i++) {
        double time = r.nextDouble() * 3;
        Projection alone = free.groupTransform("it").map(time);
        Projection by = p.groupTransform("it").map(time).times(alone.inverse());
        List<Point> now = marks(p, (Footage) p.scene().item("film"), "corners", time);
        for (int m = 0; m < 4; m++) {
          assertThat(by.apply(frame.get(m)).distance(now.get(m))).as(kind).isLessThan(NEAR);
        }
      }
    }
  }

  /** The same seen from what is painted: of a spot in footage that stands still it is moved. */
  @ParameterizedTest
  @MethodSource("kinds")
  void whatIsPaintedIsMoved(String kind) {
    Random r = new Random(kind.hashCode() + 1);
    JsonObject film = footage(r).set("x", 500).set("scale", 0.7).set("rotation", 30);
    Scene scene = scene(kind, film);
    PreparedScene p = prepared(pinned(scene, "spot", 0.6));
    PreparedScene free = prepared(scene);
    for (int i = 0; i < 10; i++) {
      double time = r.nextDouble() * 2;
      Point from = marks(p, (Footage) p.scene().item("film"), "spot", 0.6).get(0);
      Point now = marks(p, (Footage) p.scene().item("film"), "spot", time).get(0);
      Rect alone = free.box("it", time);
      Rect box = p.box("it", time);
      assertThat(box.isEmpty()).isEqualTo(alone.isEmpty());
      if (!alone.isEmpty()) {
        Point expected = alone.centre().plus(now.minus(from));
        assertThat(box.centre().distance(expected)).as(kind).isLessThan(0.01);
        boolean before = p.itemAt(now, time, 0).isEmpty();
        assertThat(before).isEqualTo(free.itemAt(from, time, 0).isEmpty() && before);
      }
    }
  }

  private static Scene pathPinned(Scene scene, String path, String to, double at) {
    String edit =
        "{\"op\":\"pinPath\",\"path\":\"%s\",\"to\":\"%s\",\"time\":%s}".formatted(path, to, at);
    return SceneEdits.apply(scene, edit);
  }

  @Test
  void aPathHoldsToFootage() {
    Random r = new Random(4);
    Scene scene = scene("lettering", footage(r));
    for (String to : SORTS) {
      PreparedScene p = prepared(pathPinned(scene, "area", to, 0.4));
      Footage film = (Footage) p.scene().item("film");
      for (int i = 0; i < 20; i++) {
        double time = r.nextDouble() * 3;
        Projection by = p.paths().get("area").pinned(time);
        List<Point> from = marks(p, film, to, 0.4);
        List<Point> now = marks(p, film, to, time);
        for (int m = 0; m < from.size(); m++) {
          assertThat(by.apply(from.get(m)).distance(now.get(m))).isLessThan(NEAR);
        }
        Point first = p.paths().get("area").at(time).first();
        Point alone = prepared(scene).paths().get("area").at(time).first();
        assertThat(first.distance(by.apply(alone))).isLessThan(NEAR);
      }
    }
  }

  /** The path of a cut of the very footage is not moved by that twice. */
  @Test
  void aCutOfFootageHoldsToWhatMovesInIt() {
    Random r = new Random(5);
    Scene scene = scene("lettering", footage(r));
    scene =
        SceneEdits.apply(
            scene,
            "{\"op\":\"cutForeground\",\"id\":\"cut\",\"item\":\"film\",\"along\":\"area\",\"time\":0.4}");
    for (String to : SORTS) {
      cutHolds(scene, to);
    }
  }

  private static void cutHolds(Scene scene, String to) {
    Random r = new Random(to.hashCode());
    PreparedScene p = prepared(pathPinned(scene, "area", to, 0.4));
    ForegroundCut cut = (ForegroundCut) p.scene().item("cut");
    Footage film = (Footage) p.scene().item("film");
    Point corner = p.paths().get("area").at(0.4).first();
    Point inFilm = p.footagePixels(film, 0.4).inverse().apply(corner);
    for (int i = 0; i < 20; i++) {
      double time = r.nextDouble() * 3;
      CutArea area = p.cutArea(cut);
      Point now = area.map(time).apply(area.edge(time).first());
      // How the two marks move the corner, in pixels of the footage.
      Projection pixels = p.footagePixels(film, time);
      Projection then = p.footagePixels(film, 0.4);
      Projection moved = pixels.inverse().times(p.paths().get("area").pinned(time)).times(then);
      assertThat(now.distance(pixels.apply(moved.apply(inFilm)))).isLessThan(NEAR);
    }
  }

  /** The item in one group that turns, the footage in another. */
  private static Scene grouped(Scene scene, Random r) {
    String turned = "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":3,\"value\":90}]}";
    Scene out = SceneEdits.apply(scene, group("one", "it"));
    out = SceneEdits.apply(out, group("other", "film"));
    JsonObject json = Json.parse(SceneCodec.write(out)).asObject();
    json.get("items")
        .asArray()
        .forEach(
            i -> {
              if (List.of("one", "other").contains(i.asObject().getString("id", ""))) {
                i.asObject().set("rotation", Json.parse(turned));
                i.asObject().set("scale", 0.5 + r.nextInt(4) / 3.0);
              }
            });
    return SceneCodec.read(json.toString());
  }

  private static String group(String id, String item) {
    return "{\"op\":\"group\",\"id\":\"%s\",\"items\":[\"%s\"]}".formatted(id, item);
  }

  /** Where the marks are seen in the frame of the scene: the last frame that has begun. */
  private static List<Point> marks(PreparedScene p, Footage film, String to, double time) {
    FootagePin pin = film.pin(to);
    double moment = film.moment(time);
    int last =
        IntStream.range(0, FRAMES)
            .filter(i -> pin.frames().get(i).time() <= moment)
            .max()
            .orElse(0);
    Projection map = p.footagePixels(film, time);
    return pin.frames().get(last).points().stream().map(map::apply).toList();
  }

  @Test
  void smoothingTakesUnrestOutAndLeavesASteadyMotion() {
    Random r = new Random(6);
    JsonArray steady = new JsonArray();
    JsonArray shaking = new JsonArray();
    for (int i = 0; i < FRAMES; i++) {
      steady.add(frame(i / 30.0, new JsonArray().add(100 + 4 * i).add(50)));
      double by = r.nextGaussian() * 3;
      shaking.add(frame(i / 30.0, new JsonArray().add(100 + 4 * i + by).add(50)));
    }
    JsonObject film =
        footage(r)
            .set("x", 500)
            .set("scale", 1)
            .set("rotation", 0)
            .set("speed", 1)
            .set("width", 640);
    film.set(
        "pins",
        new JsonArray()
            .add(new JsonObject().add("id", "spot").add("smoothing", 0.2).add("frames", steady))
            .add(new JsonObject().add("id", "two").add("smoothing", 0.2).add("frames", shaking)));
    Scene scene = scene("drawing", film);
    double worst = 0;
    double unrest = 0;
    PreparedScene still = prepared(pinned(scene, "spot", 1));
    PreparedScene shaken = prepared(pinned(scene, "two", 1));
    double before = 0;
    for (int i = 5; i < 55; i++) {
      double time = i / 30.0 + 0.01;
      worst = Math.max(worst, Math.abs(still.groupTransform("it").map(time).e() - 4 * (i - 30)));
      double off = shaken.groupTransform("it").map(time).e() - 4 * (i - 30);
      unrest = i > 5 ? Math.max(unrest, Math.abs(off - before)) : 0;
      before = off;
    }
    assertThat(worst).isLessThan(1e-9);
    assertThat(unrest).isLessThan(1.5);
  }

  @Test
  void followingAnewStaysBetweenTheFramesSetByHand() {
    FootagePin pin =
        new FootagePin("p", "Pin", FootagePin.By.SPOT, List.of(), 0, List.of(), UnknownFields.NONE);
    for (int i = 0; i < 20; i++) {
      pin = pin.set(found(i, i == 5 || i == 15 ? FootagePin.How.SET : FootagePin.How.FOUND, 0));
    }
    pin = pin.set(found(10, FootagePin.How.SET, 7));
    List<FootagePin.Frame> anew =
        IntStream.range(11, 20).mapToObj(i -> found(i, FootagePin.How.FOUND, 7)).toList();
    FootagePin after = pin.followed(0.4, anew);
    for (int i = 0; i < 20; i++) {
      double x = after.frames().get(i).points().get(0).x();
      assertThat(x).as("frame " + i).isEqualTo(i >= 10 && i < 15 ? 7 : 0);
    }
    assertThat(after.frames()).hasSize(20);
  }

  private static FootagePin.Frame found(int frame, FootagePin.How how, double x) {
    return new FootagePin.Frame(frame / 25.0, 90, how, List.of(new Point(x, 0)));
  }

  @Test
  void whatIsNotFollowedAnyMoreHoldsNothing() {
    Scene scene = pinned(scene("drawing", footage(new Random(1))), "two", 1);
    scene = pathPinned(scene, "area", "spot", 1);
    for (String edit :
        List.of(
            "{\"op\":\"deleteItem\",\"item\":\"film\"}",
            "{\"op\":\"removePin\",\"item\":\"film\",\"pin\":\"two\"}",
            "{\"op\":\"replaceFootage\",\"item\":\"film\",\"image\":\"sea\",\"pixelWidth\":9,"
                + "\"pixelHeight\":9,\"rate\":10,\"length\":1}")) {
      Scene after = SceneEdits.apply(scene, edit);
      assertThat(after.item("it").properties().pin()).as(edit).isNull();
      assertThat(after.path("area").label().pin() == null).isEqualTo(!edit.contains("removePin"));
      SceneCodec.read(SceneCodec.write(after));
    }
  }

  @Test
  void nothingHoldsToItself() {
    Scene scene = scene("group", footage(new Random(2)));
    assertThatThrownBy(
            () ->
                SceneEdits.apply(
                    scene, "{\"op\":\"pinTo\",\"items\":[\"film\"],\"to\":\"two\",\"time\":0}"))
        .hasMessageContaining("holds to it");
    Scene held = pinned(scene, "two", 0);
    assertThatThrownBy(
            () ->
                SceneEdits.apply(
                    held, "{\"op\":\"restack\",\"item\":\"film\",\"into\":\"it\",\"to\":0}"))
        .isInstanceOf(IllegalArgumentException.class);
    String ring =
        SceneCodec.write(scene)
            .replace("\"id\":\"film\"", "\"id\":\"film\",\"pin\":{\"to\":\"two\",\"at\":0}");
    assertThatThrownBy(() -> SceneCodec.read(ring)).hasMessageContaining("holds to it");
  }
}
