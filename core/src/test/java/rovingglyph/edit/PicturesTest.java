package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.GroupTransform;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

class PicturesTest {
  private static final Rect FRAME = new Rect(0, 0, 1000, 600);

  /** A picture "it" of 400 by 200 with these further fields, in a group with others of its own. */
  private static Scene scene(String picture, String group) {
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"name":"P","width":1000,"height":600,"rate":"25",
         "length":4,"paths":[%s],"items":[
         {"kind":"picture","id":"it","image":"kites","pixelWidth":400,"pixelHeight":200,
          "width":400,"height":200,"x":300,"y":200%s},
         {"kind":"colour-field","id":"sky"},
         {"kind":"lettering","id":"words","text":"up","path":"p"}%s]}"""
            .formatted(
                TestScenes.LINE,
                picture,
                group.isEmpty()
                    ? ""
                    : ",{\"kind\":\"group\",\"id\":\"g\",\"members\":[\"it\"]" + group + "}"));
  }

  private static Picture picture(Scene s) {
    return (Picture) s.item("it");
  }

  private static double value(Scene s, Channel c) {
    return picture(s).movable(c).base();
  }

  private static Scene sized(Scene s, String size) {
    return SceneEdits.apply(
        s, "{\"op\":\"sizePicture\",\"item\":\"it\",\"size\":\"" + size + "\"}");
  }

  /** The corners of what is seen of it, in the frame. */
  private static List<Point> corners(Scene s) {
    Projection map = GroupTransform.of(s, "it").map(0).times(Place.map(picture(s), 0));
    Rect r = new PreparedPicture(picture(s), 0).seen(0);
    List<Point> out = new ArrayList<>();
    for (double x : new double[] {r.left(), r.right()}) {
      for (double y : new double[] {r.top(), r.bottom()}) {
        out.add(map.apply(new Point(x, y)));
      }
    }
    return out;
  }

  private static Scene ofChance(Random random) {
    String picture =
        ",\"rotation\":%d,\"scale\":%s,\"cropLeft\":%d,\"cropBottom\":%d,\"centre\":[%d,20]"
            .formatted(
                random.nextInt(360),
                0.2 + random.nextInt(20) / 10.0,
                random.nextInt(60),
                random.nextInt(60),
                random.nextInt(100) - 50);
    String group =
        random.nextBoolean()
            ? ""
            : ",\"x\":%d,\"rotation\":%d,\"scale\":%s"
                .formatted(random.nextInt(300), random.nextInt(360), 0.3 + random.nextInt(9) / 5.0);
    return scene(picture, group);
  }

  @Test
  void fittedItIsAsLargeAsItCanBeWithinTheFrame() {
    Random random = new Random(1);
    for (int i = 0; i < 200; i++) {
      Scene s = sized(ofChance(random), "fit");
      Rect box = Rect.EMPTY;
      for (Point p : corners(s)) {
        box = box.include(p);
      }
      assertThat(box.centre().distance(FRAME.centre())).isLessThan(1e-6);
      double free = Math.min(FRAME.width() - box.width(), FRAME.height() - box.height());
      assertThat(free).as("it touches two edges").isCloseTo(0, within(1e-6));
    }
  }

  @Test
  void fillingItCoversTheFrameAndNoMore() {
    Random random = new Random(2);
    for (int i = 0; i < 200; i++) {
      Scene s = sized(ofChance(random), "fill");
      Projection map = GroupTransform.of(s, "it").map(0).times(Place.map(picture(s), 0));
      Rect seen = new PreparedPicture(picture(s), 0).seen(0);
      Rect frame = map.inverse().apply(FRAME);
      double spare =
          Math.min(
              Math.min(frame.left() - seen.left(), seen.right() - frame.right()),
              Math.min(frame.top() - seen.top(), seen.bottom() - frame.bottom()));
      assertThat(spare).as("an edge of it goes through a corner").isCloseTo(0, within(1e-6));
    }
  }

  @Test
  void ofItsNaturalSizeAPixelIsAPixel() {
    Scene s = sized(scene(",\"width\":90,\"height\":90,\"scale\":3", ""), "natural");
    assertThat(value(s, Channel.WIDTH)).isEqualTo(400);
    assertThat(value(s, Channel.HEIGHT)).isEqualTo(200);
    assertThat(value(s, Channel.SCALE)).isEqualTo(1);
    assertThat(value(s, Channel.X)).isEqualTo(300);
  }

  @Test
  void aSizeThatMovesGetsAKeyframe() {
    String moving = ",\"scale\":{\"keyframes\":[{\"time\":0,\"value\":2}]}";
    String edit = "{\"op\":\"sizePicture\",\"item\":\"it\",\"size\":\"fit\",\"time\":1}";
    Picture p = picture(SceneEdits.apply(scene(moving, ""), edit));
    assertThat(p.movable(Channel.SCALE).keyframes()).extracting("time").containsExactly(0.0, 1.0);
    assertThat(p.movable(Channel.SCALE).keyframes().get(1).value()).isCloseTo(2.5, within(1e-9));
    assertThat(p.movable(Channel.X).moves()).isFalse();
  }

  @Test
  void whatIsCroppedAwayWhollyCannotBeFitted() {
    assertThatThrownBy(() -> sized(scene(",\"cropLeft\":60,\"cropRight\":60", ""), "fit"))
        .hasMessageContaining("crop less");
  }

  private static Scene cropped(Scene s, String edge, double x, double y) {
    return SceneEdits.apply(
        s,
        "{\"op\":\"crop\",\"item\":\"it\",\"edge\":\"%s\",\"x\":%s,\"y\":%s}"
            .formatted(edge, x, y));
  }

  @ParameterizedTest
  @CsvSource({
    "left, 200, 200, cropLeft, 25",
    "right, 480, 0, cropRight, 5",
    "top, 0, 120, cropTop, 10",
    "bottom, 0, 250, cropBottom, 25",
    "left, -900, 0, cropLeft, 0",
    "left, 900, 0, cropLeft, 89"
  })
  void anEdgeGoesToThePointItIsDraggedTo(
      String edge, double x, double y, String channel, double cut) {
    Scene s = scene(",\"cropRight\":10", "");
    assertThat(value(cropped(s, edge, x, y), Channel.of(channel))).isCloseTo(cut, within(1e-9));
  }

  @Test
  void anEdgeIsFoundInATurnedPictureToo() {
    // Turned by a quarter its own left edge is on top.
    Scene s = cropped(scene(",\"rotation\":90", ""), "left", 999, 100);
    assertThat(value(s, Channel.CROP_LEFT)).isCloseTo(25, within(1e-9));
  }

  private static Scene replaced(Scene s, int width, int height) {
    return SceneEdits.apply(
        s,
        "{\"op\":\"replacePicture\",\"item\":\"it\",\"image\":\"dunes\",\"pixelWidth\":%d,\"pixelHeight\":%d}"
            .formatted(width, height));
  }

  @Test
  void anotherPictureInItsPlaceKeepsAllElseAndItsOwnProportions() {
    Scene s = scene(",\"rotation\":30,\"cropLeft\":5", "");
    Scene other = replaced(s, 500, 500);
    assertThat(picture(other).image()).isEqualTo("dunes");
    assertThat(value(other, Channel.WIDTH)).isEqualTo(400);
    assertThat(value(other, Channel.HEIGHT)).isEqualTo(400);
    assertThat(value(other, Channel.CROP_LEFT)).isEqualTo(5);
    Scene stretched = replaced(scene(",\"height\":90", ""), 500, 500);
    assertThat(value(stretched, Channel.HEIGHT)).as("drawn out on purpose").isEqualTo(90);
  }

  private static Scene added(int width, int height, String more) {
    return SceneEdits.apply(
        scene("", ""),
        "{\"op\":\"addPicture\",\"id\":\"new\",\"image\":\"dunes\",\"pixelWidth\":%d,\"pixelHeight\":%d%s}"
            .formatted(width, height, more));
  }

  @Test
  void aNewOneIsSeenWholeAndStandsBelowTheWords() {
    Scene s = added(4000, 1000, ",\"name\":\"Dunes\"");
    Picture p = (Picture) s.item("new");
    assertThat(s.stack()).containsExactly("it", "sky", "new", "words");
    assertThat(p.name()).isEqualTo("Dunes");
    assertThat(p.movable(Channel.SCALE).base()).isEqualTo(0.25);
    assertThat(p.movable(Channel.X).base()).isEqualTo(500);
    Picture small = (Picture) added(40, 10, ",\"x\":7,\"y\":8").item("new");
    assertThat(small.movable(Channel.SCALE).base()).isEqualTo(1);
    assertThat(small.movable(Channel.Y).base()).isEqualTo(8);
  }

  @ParameterizedTest
  @ValueSource(strings = {"sizePicture\",\"size\":\"fit", "crop\",\"edge\":\"left"})
  void whatIsNoPictureIsSaid(String edit) {
    assertThatThrownBy(
            () -> SceneEdits.apply(scene("", ""), "{\"op\":\"" + edit + "\",\"item\":\"words\"}"))
        .hasMessageContaining("no such picture");
  }

  @Test
  void aMovedCentreMovesNothing() {
    Scene s = scene(",\"rotation\":40,\"scale\":1.5", "");
    Scene about = SceneEdits.apply(s, "{\"op\":\"centre\",\"item\":\"it\",\"x\":50,\"y\":-20}");
    assertThat(picture(about).centre()).isEqualTo(new Point(50, -20));
    List<Point> before = corners(s);
    for (int i = 0; i < 4; i++) {
      assertThat(corners(about).get(i).distance(before.get(i))).isLessThan(1e-9);
    }
  }
}
