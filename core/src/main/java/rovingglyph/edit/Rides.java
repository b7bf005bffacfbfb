package rovingglyph.edit;

import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of the path that carries items of any kind. */
final class Rides {
  private static final Field<Values, String> PATH =
      argument("path", Types.orNull(Types.text(Types.LONGEST_ID))).optional();
  private static final Field<Values, Boolean> TURNS = argument("turns", Types.flag()).optional();
  private static final Field<Values, Seat.EndRule> ENDS =
      argument("ends", Types.orNull(Types.choice(Seat.EndRule.values()))).optional();
  private static final Field<Values, Integer> COPIES =
      argument("copies", Types.integer(1, Ride.MOST_COPIES)).optional();
  private static final Field<Values, Ride.Spacing> SPACING =
      argument("spacing", Types.choice(Ride.Spacing.values())).optional();

  static final List<Command> ALL =
      List.of(
          Appearances.ofEach(
              "ride",
              "Changed a ride",
              List.of(PATH, TURNS, ENDS, COPIES, SPACING, Arguments.PLAYHEAD),
              Rides::carried));

  private Rides() {}

  /**
   * Carried along the {@code path}, or with null by none. What is left out stays; a new ride takes
   * the item by the middle that it has at the {@code time}, to what of the path is nearest then.
   */
  private static Item carried(Command.Target target, Item item, Values v) {
    Ride before = item.properties().ride();
    String path = v.get(PATH);
    if (path == null && (v.given(PATH) || before == null)) {
      return Appearances.tidied(item.with(item.properties().carried(null)), item);
    }
    path = path == null ? before.path() : path;
    if (target.scene().path(path) == null) {
      throw new IllegalArgumentException("There is no such path any more");
    }
    double time = v.get(Arguments.PLAYHEAD);
    Ride from = before == null ? begun(path, middle(target, item, time)) : before;
    Ride ride =
        new Ride(
            path,
            from.point(),
            v.get(TURNS) == null ? from.turns() : v.get(TURNS),
            v.given(ENDS) ? v.get(ENDS) : from.ends(),
            v.get(COPIES) == null ? from.copies() : v.get(COPIES),
            v.get(SPACING) == null ? from.spacing() : v.get(SPACING),
            from.extras());
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    if (before == null) {
      Contour way = GuideContour.of(target.scene().path(path), time);
      double nearest = Math.rint(way.nearest(ride.point()).distance() * 10) / 10;
      Channel.RIDE.forEach(c -> values.put(c, new AnimatedValue(0)));
      values.put(Channel.RIDE_OFFSET, new AnimatedValue(nearest));
    }
    return item.with(item.properties().carried(ride), values);
  }

  private static Ride begun(String path, Point point) {
    return new Ride(path, point, true, null, 1, Ride.Spacing.EVEN, UnknownFields.NONE);
  }

  /** What of an item is brought to the path: its centre, or where it has none, its box's middle. */
  private static Point middle(Command.Target target, Item item, double time) {
    if (item instanceof Transformed t) {
      return new Point(
          Timeline.value(t.movable(Channel.X), time), Timeline.value(t.movable(Channel.Y), time));
    }
    PreparedScene prepared = target.prepared();
    Rect box = prepared == null ? Rect.EMPTY : prepared.box(item.id(), time);
    Scene s = target.scene();
    return box.isEmpty() ? new Point(s.width() / 2.0, s.height() / 2.0) : box.centre();
  }
}
