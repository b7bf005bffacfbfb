package rovingglyph.edit;

import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PathPlace;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.journey.SideSwitch;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Band;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Core;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.PlaneView;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Transformed;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;
import rovingglyph.seat.RowLayout;

/** Edits of the plane that an item of any kind lies in. */
final class Planes {
  private static final Field<Values, Boolean> ON = argument("on", Types.flag()).usual(true);
  private static final Field<Values, PlaneView> VIEW =
      argument("view", Types.choice(PlaneView.values())).optional();
  private static final Field<Values, Plane.Stance> STANCE =
      argument("stance", Types.choice(Plane.Stance.values())).optional();
  private static final Field<Values, Boolean> PARALLEL =
      argument("parallel", Types.flag()).optional();
  private static final Field<Values, Plane.Backs> BACKS =
      argument("backs", Types.choice(Plane.Backs.values())).optional();
  private static final Field<Values, Boolean> THICK = argument("thick", Types.flag()).optional();
  private static final Field<Values, Body.Bevel> BEVEL =
      argument("profile", Types.choice(Body.Bevel.values())).optional();
  private static final Field<Values, Body.Sides> SIDES =
      argument("sides", Types.choice(Body.Sides.values())).optional();
  private static final Field<Values, Boolean> HAS_CORE = argument("core", Types.flag()).optional();
  private static final Field<Values, Core.Shape> SHAPE =
      argument("shape", Types.choice(Core.Shape.values())).optional();
  private static final Field<Values, Boolean> HAS_BAND = argument("band", Types.flag()).optional();
  private static final Field<Values, String> BEHIND =
      argument("goesBehind", Types.orNull(Types.text(Types.LONGEST_ID))).optional();

  static final List<Command> ALL =
      List.of(
          Appearances.ofEach(
              "plane",
              "Turned in space",
              List.of(
                  ON,
                  VIEW,
                  STANCE,
                  PARALLEL,
                  BACKS,
                  THICK,
                  BEVEL,
                  SIDES,
                  HAS_CORE,
                  SHAPE,
                  HAS_BAND,
                  BEHIND,
                  Arguments.PLAYHEAD),
              Planes::turned));

  /** How many points of a path are looked at. */
  private static final int LOOKS = 360;

  /** How thick letters are at first, in shares of their size. */
  private static final double THICK_SHARE = 0.2;

  private Planes() {}

  /**
   * In a plane, or where it is not {@code on} in none. What is left out stays; a new plane is
   * turned about the middle that the item has at the {@code time}.
   */
  private static Item turned(Command.Target target, Item item, Values v) {
    if (!v.get(ON)) {
      return Appearances.tidied(item.with(item.properties().turned(null)), item);
    }
    Plane before = item.properties().plane();
    Plane from = before == null ? Plane.PLAIN : before;
    PlaneView view = v.get(VIEW);
    String behind = v.given(BEHIND) ? v.get(BEHIND) : from.behind();
    if (behind != null && (target.scene().item(behind) == null || behind.equals(item.id()))) {
      throw new IllegalArgumentException("There is no such item to go behind");
    }
    Plane.Stance stance = view == null ? v.get(STANCE) : view.stance();
    Plane plane =
        new Plane(
            stance == null ? from.stance() : stance,
            v.get(PARALLEL) == null ? from.parallel() : v.get(PARALLEL),
            v.get(BACKS) == null ? from.backs() : v.get(BACKS),
            item instanceof Lettering ? body(from.body(), v) : from.body(),
            item instanceof Lettering ? core(from.core(), v) : from.core(),
            item instanceof Lettering ? band(from.band(), v) : from.band(),
            behind,
            from.extras());
    double time = v.get(Arguments.PLAYHEAD);
    Item out = before == null ? begun(target, item, plane, time) : with(item, plane);
    if (plane.body() != null && from.body() == null) {
      out = thickened(out, time);
    }
    if (out instanceof Lettering l) {
      out = RingParts.begun(l, from, box(target, l, time), time);
    }
    // An item of a kind that is not known has no values.
    boolean viewed = view != null && out.movable(Channel.TILT) != null;
    return Appearances.tidied(viewed ? viewed(target, out, view, time) : out, item);
  }

  /** Words that lie in no plane, turned as a view has it; those that do as they are. */
  static Lettering viewed(Command.Target target, Lettering l, PlaneView view, double time) {
    if (l.properties().plane() != null) {
      return l;
    }
    Plane plane = Plane.PLAIN.standing(view.stance());
    return (Lettering) viewed(target, begun(target, l, plane, time), view, time);
  }

  /** The thickness that letters have after an edit; null for none. */
  private static Body body(Body before, Values v) {
    boolean thick = v.get(THICK) == null ? before != null : v.get(THICK);
    if (!thick) {
      return null;
    }
    Body from = before == null ? Body.PLAIN : before;
    return new Body(
        v.get(BEVEL) == null ? from.bevel() : v.get(BEVEL),
        v.get(SIDES) == null ? from.sides() : v.get(SIDES),
        from.extras());
  }

  private static Core core(Core before, Values v) {
    boolean there = v.get(HAS_CORE) == null ? before != null : v.get(HAS_CORE);
    if (!there) {
      return null;
    }
    Core from = before == null ? Core.PLAIN : before;
    return new Core(v.get(SHAPE) == null ? from.shape() : v.get(SHAPE), from.extras());
  }

  private static Band band(Band before, Values v) {
    boolean there = v.get(HAS_BAND) == null ? before != null : v.get(HAS_BAND);
    return there ? before == null ? Band.PLAIN : before : null;
  }

  /** With what thick letters begin with: a share of their size. */
  private static Item thickened(Item item, double time) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    Body.CHANNELS.forEach(c -> values.put(c, new AnimatedValue(Body.start(c))));
    double size = Timeline.value(item.movable(Channel.SIZE), time);
    values.put(Channel.THICKNESS, still(Channel.THICKNESS.clamp(THICK_SHARE * size)));
    return item.with(item.properties(), values);
  }

  private static Item with(Item item, Plane plane) {
    return item.with(item.properties().turned(plane));
  }

  private static Item begun(Command.Target target, Item item, Plane plane, double time) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    Plane.CHANNELS.forEach(c -> values.put(c, new AnimatedValue(Plane.start(c))));
    Rect box = box(target, item, time);
    Point middle = middle(target, item, box, time);
    values.put(Channel.PLANE_X, still(middle.x()));
    values.put(Channel.PLANE_Y, still(middle.y()));
    double far = Channel.VIEWING_DISTANCE.clamp(3 * Math.max(box.width(), box.height()));
    values.put(Channel.VIEWING_DISTANCE, still(far));
    return item.with(item.properties().turned(plane), values);
  }

  private static AnimatedValue still(double value) {
    return new AnimatedValue(Math.rint(value * 10) / 10);
  }

  /** With the numbers of a view; what moves has a keyframe at the time. */
  private static Item viewed(Command.Target target, Item item, PlaneView view, double time) {
    Rect box = box(target, item, time);
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    Map<Channel, Double> numbers = new LinkedHashMap<>();
    numbers.put(Channel.TILT, view.tilt());
    numbers.put(Channel.SWING, view.swing());
    numbers.put(Channel.LEAN, 0.0);
    double far = view.far() * Math.max(box.width(), box.height());
    numbers.put(Channel.VIEWING_DISTANCE, Math.rint(Channel.VIEWING_DISTANCE.clamp(far)));
    numbers.forEach(
        (c, n) ->
            values.put(c, new KeyframeEdits(c, target.scene().rate()).set(values.get(c), time, n)));
    Item out = item.with(item.properties(), values);
    return view.outward() != null && out instanceof Lettering l ? read(target, l, view, time) : out;
  }

  /**
   * On a ring, read from outside or from inside, whichever way round its path goes; from outside
   * with its middle in front.
   */
  private static Lettering read(Command.Target target, Lettering l, PlaneView view, double time) {
    Contour path = GuideContour.of(target.scene().path(l.path()), time);
    if (!path.closed()) {
      return l;
    }
    Seat.Side side = isClockwise(path) == view.outward() ? Seat.Side.RIGHT : Seat.Side.LEFT;
    Lettering out = side == l.seat().side() ? l : l.with(l.seat().on(side));
    PreparedScene prepared = target.prepared();
    PreparedLettering words = prepared == null ? null : prepared.letterings().get(l.id());
    if (words == null || !view.outward() || out.movable(Channel.PATH_OFFSET).moves()) {
      return out;
    }
    RowLayout row = words.as(out, time);
    double lap = row.track().length();
    Space turned =
        Space.FLAT.turned(
            Math.toRadians(view.tilt()), Math.toRadians(view.swing()), Point.ORIGIN, 1);
    double front = PathPlace.nearest(row.contour(), Affine.IDENTITY, turned, false);
    double by = row.travel((row.tail() + row.head()) / 2, Double.isNaN(front) ? 0 : front);
    return row.track().round() && lap > 0
        ? SideSwitch.movedOn(out, Math.rint((by - lap * Math.rint(by / lap)) * 10) / 10)
        : out;
  }

  /** Whether a closed path goes round clockwise on the whole, by the sign of its area. */
  private static boolean isClockwise(Contour path) {
    double area = 0;
    for (int i = 0; i < LOOKS; i++) {
      Point p = path.at(path.length() * i / LOOKS).point();
      area += p.cross(path.at(path.length() * (i + 1) / LOOKS).point());
    }
    return area > 0;
  }

  /** What the item takes up where it stands by itself. */
  private static Rect box(Command.Target target, Item item, double time) {
    Scene s = target.scene();
    Rect all = new Rect(0, 0, s.width(), s.height());
    if (item instanceof Lettering l) {
      Rect path = GuideContour.of(s.path(l.path()), time).bounds();
      return path.isEmpty() ? all : path;
    }
    PreparedScene prepared = target.prepared();
    Rect box = prepared == null ? Rect.EMPTY : prepared.standing(item.id(), time);
    return box.isEmpty() ? all : box;
  }

  private static Point middle(Command.Target target, Item item, Rect box, double time) {
    PreparedScene prepared = target.prepared();
    PreparedLettering words = prepared == null ? null : prepared.letterings().get(item.id());
    if (words != null) {
      return words.centre(words.values(time));
    }
    return item instanceof Transformed t
        ? new Point(
            Timeline.value(t.movable(Channel.X), time), Timeline.value(t.movable(Channel.Y), time))
        : box.centre();
  }
}
