package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import rovingglyph.document.PinCodec;
import rovingglyph.frame.PreparedPath;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Pin;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of what is followed in footage, and of what holds to it. */
final class Pins {
  private static final FieldType<Double> SECONDS = Types.number(0, Footage.LONGEST, "s");
  private static final Field<Values, String> PIN = argument("pin", Types.id());
  private static final Field<Values, FootagePin.By> BY =
      argument("by", Types.choice(FootagePin.By.values()));
  private static final Field<Values, Double> MOMENT =
      argument("moment", SECONDS).about("the time of the frame in the footage");
  private static final Field<Values, List<Point>> POINTS =
      argument("points", Types.pairs(FootagePin.By.CORNERS.marks(), -Arguments.FAR, Arguments.FAR));
  private static final Field<Values, List<FootagePin.Frame>> FRAMES =
      argument("frames", PinCodec.FRAME_LIST);
  private static final Field<Values, Double> SMOOTHING =
      argument("smoothing", Types.number(0, FootagePin.SMOOTHEST, "s")).optional();
  private static final Field<Values, String> TO =
      argument("to", Types.orNull(Types.text(Types.LONGEST_ID))).optional();

  /** Of the edge of an area, by which it is kept. */
  private static final int AREA_POINTS = 120;

  /** Pixels of footage: smaller areas show nothing. */
  private static final double LEAST_AREA = 4;

  private static final Field<Values, Boolean> LAID =
      argument("laid", Types.flag())
          .optional()
          .about("all of the frame is fitted between the corners");

  static final List<Command> ALL =
      List.of(
          Command.of(
              "markPin",
              "Marked what moves",
              List.of(ITEM, ID, Arguments.NAME, BY, MOMENT, POINTS),
              Pins::marked),
          Command.of(
              "markArea",
              "Marked what moves",
              List.of(ITEM, ID, Arguments.NAME, MOMENT, PathCommands.PATH, PLAYHEAD),
              Pins::areaMarked),
          Command.of(
              "setPin",
              "Set a pin in a frame",
              List.of(ITEM, PIN, MOMENT, POINTS),
              (scene, v) ->
                  changed(scene, v, p -> p.set(frame(v.get(MOMENT), v.get(POINTS), p.by())))),
          Command.of(
              "followPin",
              "Followed what moves",
              List.of(ITEM, PIN, MOMENT, FRAMES),
              (scene, v) -> changed(scene, v, p -> followed(p, v))),
          Command.of(
              "changePin",
              "Changed a pin",
              List.of(ITEM, PIN, Arguments.NAME, SMOOTHING),
              (scene, v) ->
                  changed(
                      scene,
                      v,
                      p ->
                          p.with(
                              v.get(Arguments.NAME) == null ? p.name() : v.get(Arguments.NAME),
                              v.get(SMOOTHING) == null ? p.smoothing() : v.get(SMOOTHING)))),
          Command.of("removePin", "Took a pin away", List.of(ITEM, PIN), Pins::removed),
          Appearances.ofEach(
              "pinTo",
              "Pinned to footage",
              List.of(TO, PLAYHEAD, LAID),
              (target, item, v) ->
                  item.with(
                      item.properties().pinned(pin(target.scene(), v, isLaid(v))), item.values())),
          Command.of(
              "pinPath", "Pinned a path", List.of(PathCommands.PATH, TO, PLAYHEAD), Pins::path));

  private Pins() {}

  private static Footage footage(Scene scene, String id) {
    if (scene.item(id) instanceof Footage f) {
      return f;
    }
    throw new IllegalArgumentException("There is no such footage any more");
  }

  private static FootagePin.Frame frame(double moment, List<Point> points, FootagePin.By by) {
    if (points.size() != by.marks()) {
      throw new IllegalArgumentException("Mark " + by.marks() + " points, not " + points.size());
    }
    if (by == FootagePin.By.CORNERS && !Projection.isConvex(points)) {
      throw new IllegalArgumentException("Corners go round an area in order: drag them apart");
    }
    return new FootagePin.Frame(moment, 100, FootagePin.How.SET, List.copyOf(points));
  }

  /** Something new to follow in the footage {@code item}, as it is in one frame. */
  private static Scene marked(Scene scene, Values v) {
    return marked(scene, v, v.get(BY), v.get(POINTS), List.of());
  }

  /** What lies within the {@code path} as it stands at the {@code time}. */
  private static Scene areaMarked(Scene scene, Values v) {
    Footage f = footage(scene, v.get(ITEM));
    GuidePath path = Arguments.path(scene, v.get(PathCommands.PATH));
    double time = Math.max(0, v.get(PLAYHEAD));
    Contour edge = PreparedPath.inFootage(scene, path.id(), f, time);
    Rect box = edge.bounds();
    if (!(box.width() >= LEAST_AREA && box.height() >= LEAST_AREA)) {
      throw new IllegalArgumentException("This path goes round no area: choose another");
    }
    List<Point> area = new ArrayList<>();
    for (int i = 0; i < AREA_POINTS; i++) {
      Point p = edge.at(edge.length() * i / AREA_POINTS).point();
      double x = (p.x() - box.left()) / box.width();
      double y = (p.y() - box.top()) / box.height();
      area.add(new Point(Math.min(Math.max(x, 0), 1), Math.min(Math.max(y, 0), 1)));
    }
    return marked(scene, v, FootagePin.By.CORNERS, box.corners(), area);
  }

  private static Scene marked(
      Scene scene, Values v, FootagePin.By by, List<Point> points, List<Point> area) {
    Footage f = footage(scene, v.get(ITEM));
    if (f.pins().size() >= FootagePin.MOST) {
      throw new IllegalArgumentException(
          "At most " + FootagePin.MOST + " things are followed in footage: take one away first");
    }
    String id = v.get(ID);
    if (scene.mover(id) != null || scene.pinned(id) != null) {
      throw new IllegalArgumentException("The new pin needs an id of its own");
    }
    String given = v.get(Arguments.NAME);
    List<FootagePin> all = new ArrayList<>(f.pins());
    all.add(
        new FootagePin(
            id,
            given == null ? "Pin " + (all.size() + 1) : given,
            by,
            area,
            0,
            List.of(frame(v.get(MOMENT), points, by)),
            UnknownFields.NONE));
    return scene.withItem(f.with(all));
  }

  private static Scene changed(Scene scene, Values v, UnaryOperator<FootagePin> change) {
    Footage f = footage(scene, v.get(ITEM));
    if (f.pin(v.get(PIN)) == null) {
      throw new IllegalArgumentException("There is no such pin any more");
    }
    return scene.withItem(
        f.with(
            f.pins().stream().map(p -> p.id().equals(v.get(PIN)) ? change.apply(p) : p).toList()));
  }

  private static FootagePin followed(FootagePin p, Values v) {
    for (FootagePin.Frame f : v.get(FRAMES)) {
      if (f.points().size() != p.by().marks()) {
        throw new IllegalArgumentException("What was followed does not fit the pin");
      }
    }
    FootagePin out = p.followed(v.get(MOMENT), v.get(FRAMES));
    if (out.frames().size() > FootagePin.MOST_FRAMES) {
      throw new IllegalArgumentException(
          "A pin has at most %,d frames: cut the footage shorter first"
              .formatted(FootagePin.MOST_FRAMES));
    }
    return out;
  }

  /** What held to it stands as it does by itself. */
  private static Scene removed(Scene scene, Values v) {
    Footage f = footage(scene, v.get(ITEM));
    return scene
        .withItem(f.with(f.pins().stream().filter(p -> !p.id().equals(v.get(PIN))).toList()))
        .withoutLost();
  }

  private static boolean isLaid(Values v) {
    return v.get(LAID) != null && v.get(LAID);
  }

  /** As things stand at the {@code time}; with {@code to} null they are held by nothing. */
  private static Pin pin(Scene scene, Values v, boolean laid) {
    if (v.get(TO) == null) {
      return null;
    }
    if (scene.pinned(v.get(TO)) == null) {
      throw new IllegalArgumentException("There is no such pin any more");
    }
    return new Pin(v.get(TO), Math.max(0, v.get(PLAYHEAD)), laid, UnknownFields.NONE);
  }

  private static Scene path(Scene scene, Values v) {
    GuidePath path = Arguments.path(scene, v.get(PathCommands.PATH));
    return scene.withPath(path.with(path.label().pinned(pin(scene, v, false))));
  }
}
