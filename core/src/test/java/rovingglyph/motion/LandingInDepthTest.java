package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point3;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/** Words that are brought to the front of a path in space, and to its back. */
class LandingInDepthTest {
  private static final String TO_BACK_AND_FRONT =
      offsets(
          "{\"time\":0.5,\"value\":0,\"landing\":\"at-the-back\"}",
          "{\"time\":2,\"value\":0,\"landing\":\"facing-front\"}");

  private static String plane(String more) {
    return "\"plane\":{\"stance\":\"standing\",\"planeX\":500,\"planeY\":500," + more + "}";
  }

  /** How far away the third of five letters is: in the middle of the text. */
  private static double depth(PreparedLettering l, double time, double offset) {
    SeatValues v = l.values(time).with(Channel.PATH_OFFSET, offset);
    RowLayout row = l.seating(v);
    Affine turn = l.turn(v);
    Point3 there = Point3.of(turn.apply(row.foot(2).at()));
    return l.groupTransform().space(time).before(there).z();
  }

  private static String number(Random r, double from, double to) {
    return String.valueOf(Math.rint(from + (to - from) * r.nextDouble()));
  }

  private static String moving(Random r, double from, double to) {
    String a = number(r, from, to);
    return r.nextBoolean()
        ? a
        : "{\"keyframes\":[{\"time\":0,\"value\":%s},{\"time\":3,\"value\":%s}]}"
            .formatted(a, number(r, from, to));
  }

  private static String ring(Random r) {
    return switch (r.nextInt(3)) {
      case 0 -> CIRCLE;
      case 1 ->
          "{\"id\":\"p\",\"kind\":\"ellipse\",\"centre\":[480,520],\"radiusX\":%s,\"radiusY\":%s}"
              .formatted(number(r, 120, 400), number(r, 120, 400));
      default ->
          "{\"id\":\"p\",\"kind\":\"drawn\",\"closed\":true,\"points\":["
              + "{\"x\":200,\"y\":500,\"in\":[0,150],\"out\":[0,-150]},"
              + "{\"x\":500,\"y\":300,\"in\":[-90,30],\"out\":[90,-30]},"
              + "{\"x\":800,\"y\":550,\"in\":[20,-140],\"out\":[-20,140]},"
              + "{\"x\":480,\"y\":700,\"in\":[120,0],\"out\":[-120,0]}]}";
    };
  }

  @RepeatedTest(40)
  void noPlaceIsNearerThanTheFrontNorFartherThanTheBack(RepetitionInfo info) {
    Random r = new Random(info.getCurrentRepetition());
    String turned =
        "\"tilt\":%s,\"swing\":%s,\"viewingDistance\":%s"
            .formatted(moving(r, -85, 85), moving(r, -85, 85), number(r, 300, 3000));
    String align = List.of("start", "middle", "end").get(r.nextInt(3));
    String seat =
        TO_BACK_AND_FRONT
            + ",\"align\":\"%s\",\"side\":\"%s\",\"startMargin\":%s"
                .formatted(align, r.nextBoolean() ? "left" : "right", moving(r, 0, 100));
    String more = plane(turned) + ",\"rotation\":" + moving(r, -180, 180);
    PreparedScene scene = prepare(document(ring(r), "abcde", seat, more));
    PreparedLettering l = scene.letterings().get("l");
    double lap = l.seating(l.values(0)).lap();
    for (Keyframe k : l.lettering().movable(Channel.PATH_OFFSET).keyframes()) {
      boolean far = k.time() < 1;
      double sign = far ? -1 : 1;
      double found = sign * depth(l, k.time(), k.value());
      for (int i = 0; i < 3000; i++) {
        double there = sign * depth(l, k.time(), k.value() + lap * i / 3000);
        assertThat(there).isGreaterThan(found - 1e-3);
      }
    }
  }

  /** A circle that lies is nearest where it is lowest on the picture. */
  @Test
  void theFrontOfALyingCircleIsItsLowestPoint() {
    PreparedScene scene =
        prepare(
            document(
                CIRCLE,
                "abcde",
                TO_BACK_AND_FRONT + ",\"align\":\"middle\"",
                plane("\"tilt\":70")));
    PreparedLettering l = scene.letterings().get("l");
    List<Keyframe> keys = l.lettering().movable(Channel.PATH_OFFSET).keyframes();
    // It begins at the top, so in its middle words are at the front; both ways on are as long.
    assertThat(keys.get(0).value()).isCloseTo(Math.PI * 200, within(0.01));
    assertThat(keys.get(1).value()).isCloseTo(Math.PI * 400, within(0.01));
  }

  @Test
  void anOpenPathHasItsFrontAtAnEnd() {
    PreparedScene scene =
        prepare(
            document(drawn(100, 500, 900, 500), "abcde", TO_BACK_AND_FRONT, plane("\"swing\":40")));
    PreparedLettering l = scene.letterings().get("l");
    List<Keyframe> keys = l.lettering().movable(Channel.PATH_OFFSET).keyframes();
    double way = Math.abs(keys.get(1).value() - keys.get(0).value());
    assertThat(way).isCloseTo(800, within(0.01));
    assertThat(depth(l, 2, keys.get(1).value())).isLessThan(depth(l, 0.5, keys.get(0).value()));
  }

  @Test
  void wherePathsLieInNoPlaneProofTellsThatThereIsNoFront() {
    PreparedScene scene = prepare(document(CIRCLE, "abcde", TO_BACK_AND_FRONT, ""));
    assertThat(scene.letterings().get("l").unsolved()).containsExactly(0, 1);
    assertThat(Proof.of(scene))
        .anySatisfy(f -> assertThat(f.message()).contains("nowhere nearer to the viewer"));
  }

  @Test
  void anItemThatRidesThroughAGroupInSpaceIsBroughtToTheFront() {
    String ride =
        "\"ride\":{\"path\":\"p\",\"point\":[500,500],\"pathOffset\":{\"keyframes\":["
            + "{\"time\":0,\"value\":0,\"landing\":\"at-the-back\"},"
            + "{\"time\":2,\"value\":0,\"landing\":\"facing-front\"}]}}";
    PreparedScene scene =
        prepare(
            """
            {"format":"roving-glyph-scene","version":2,"width":1000,"height":1000,"rate":"25","length":4,
             "paths":[%s],
             "items":[{"kind":"colour-field","id":"it","x":500,"y":500,"width":60,"height":40,%s},
               {"kind":"group","id":"g","members":["it"],"centre":[500,500],
                "plane":{"tilt":60,"planeX":500,"planeY":500}}]}"""
                .formatted(CIRCLE, ride));
    List<Keyframe> keys = scene.scene().item("it").movable(Channel.RIDE_OFFSET).keyframes();
    assertThat(keys.get(0).value()).isCloseTo(0, within(0.01));
    assertThat(keys.get(1).value()).isCloseTo(Math.PI * 200, within(0.01));
  }
}
