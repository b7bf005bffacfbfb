package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Inset;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of insets. */
final class Insets {
  private static final Field<Values, String> SHOWN = argument("scene", Types.id());
  private static final FieldType<Integer> PIXELS = Types.integer(1, 100_000, "px");
  private static final Field<Values, Integer> WIDTH = argument("width", PIXELS);
  private static final Field<Values, Integer> HEIGHT = argument("height", PIXELS);

  private static final Field<Values, Double> NEW_X = argument("x", Arguments.ANY).optional();
  private static final Field<Values, Double> NEW_Y = argument("y", Arguments.ANY).optional();

  static final List<Command> ALL =
      List.of(
          Command.of(
              "addInset",
              "Added a scene",
              List.of(ID, Arguments.NAME, SHOWN, WIDTH, HEIGHT, NEW_X, NEW_Y),
              Insets::add),
          Command.of(
              "showScene", "Put another scene in", List.of(ITEM, SHOWN), Insets::showAnother));

  private Insets() {}

  /**
   * A new inset {@code id} of a {@code scene} before all else, with its middle at {@code x}, {@code
   * y}, else in that of the frame: as large as that scene's frame is, {@code width} by {@code
   * height}, or as much smaller as this one asks.
   */
  private static Scene add(Scene scene, Values v) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Transformed.CHANNELS.forEach(
        c -> values.put(c, new AnimatedValue(Transformed.start(c, Point.ORIGIN))));
    double x = v.get(NEW_X) == null ? scene.width() / 2.0 : v.get(NEW_X);
    double y = v.get(NEW_Y) == null ? scene.height() / 2.0 : v.get(NEW_Y);
    values.put(Channel.X, new AnimatedValue(Channel.X.clamp(x)));
    values.put(Channel.Y, new AnimatedValue(Channel.Y.clamp(y)));
    double fitting =
        Math.min(scene.width() / (double) v.get(WIDTH), scene.height() / (double) v.get(HEIGHT));
    values.put(Channel.SCALE, new AnimatedValue(Channel.SCALE.clamp(Math.min(fitting, 1))));
    String name = v.get(Arguments.NAME) == null ? "Inset" : v.get(Arguments.NAME);
    Inset inset =
        new Inset(
            new ItemProperties(v.get(ID), name),
            v.get(SHOWN),
            0,
            1,
            Inset.AtEnd.LOOP,
            false,
            Point.ORIGIN,
            values,
            UnknownFields.NONE);
    return scene.withItem(inset).stacked(inset.id());
  }

  /** Another {@code scene} in the place of the one that {@code item} shows. */
  private static Scene showAnother(Scene scene, Values v) {
    if (!(scene.item(v.get(ITEM)) instanceof Inset i)) {
      throw new IllegalArgumentException("There is no such inset any more");
    }
    return scene.withItem(i.showing(v.get(SHOWN)));
  }
}
