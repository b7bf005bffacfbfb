package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.CastShadow;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of a cast shadow by its handles on the stage. */
final class CastShadows {
  /** What is taken hold of. */
  private enum Grip {
    /** The ground, by a point of its line. */
    GROUND,
    /** The turn of the ground's line. */
    LINE,
    /** Where the far end lands. */
    THROW
  }

  private static final Field<Values, Grip> GRIP = argument("grip", Types.choice(Grip.values()));

  static final List<Command> ALL =
      List.of(
          Command.of(
              "castShadow",
              "Changed a shadow",
              List.of(ITEM, Appearances.EFFECT, GRIP, Arguments.X, Arguments.Y, PLAYHEAD),
              CastShadows::moved));

  private CastShadows() {}

  /** Brings a {@code grip} to a point, in the pixels round the item. */
  private static Scene moved(Scene scene, Values v) {
    Item item = Arguments.item(scene, v.get(ITEM));
    Effect e = item.properties().effect(v.get(Appearances.EFFECT));
    if (e == null || e.kind() != Effect.Kind.CAST_SHADOW) {
      throw new IllegalArgumentException("There is no such shadow any more");
    }
    double time = v.get(PLAYHEAD);
    CastShadow now = Appearance.cast(item, e, time);
    Point to = new Point(v.get(Arguments.X), v.get(Arguments.Y));
    Map<Effect.Parameter, Double> set =
        switch (v.get(GRIP)) {
          case GROUND -> Map.of(Effect.GROUND_X, to.x(), Effect.GROUND_Y, to.y());
          case LINE -> Map.of(Effect.GROUND_ANGLE, angle(item, e, to, time));
          case THROW -> thrown(now, now.ground().inverse().apply(to));
        };
    Map<Channel, Double> numbers = new LinkedHashMap<>();
    set.forEach((p, n) -> numbers.put(Channel.effect(e.id(), p), n));
    return scene.withItem(new AtTime(scene, item, time).set(numbers));
  }

  /** The angle of the line to a point, the nearest one to what it is. */
  private static double angle(Item item, Effect e, Point to, double time) {
    double x = to.x() - Appearance.value(item, e, Effect.GROUND_X, time);
    double y = to.y() - Appearance.value(item, e, Effect.GROUND_Y, time);
    double before = Appearance.value(item, e, Effect.GROUND_ANGLE, time);
    double wanted = Math.toDegrees(Math.atan2(y, x));
    return wanted + 360 * Math.rint((before - wanted) / 360);
  }

  private static Map<Effect.Parameter, Double> thrown(CastShadow now, Point land) {
    double length = Math.hypot(land.x(), land.y()) / now.farEnd();
    return Map.of(
        Effect.DIRECTION,
        Math.toDegrees(Math.atan2(land.y(), land.x())),
        Effect.THROW,
        100 * length);
  }
}
