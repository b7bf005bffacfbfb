package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of colour fields. */
final class ColourFields {
  private static final Field<Values, Gradient.Kind> FILLING =
      argument("filling", Types.choice(Gradient.Kind.values()));

  static final List<Command> ALL =
      List.of(
          Command.of("addColourField", "Added a colour field", List.of(ID), ColourFields::add),
          Command.of(
              "filling", "Changed a filling", List.of(ITEM, FILLING), ColourFields::filling));

  private ColourFields() {}

  /** A new field {@code id} of one colour behind all else, over the whole frame. */
  private static Scene add(Scene scene, Values v) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    ColourField.VALUES.forEach(c -> values.put(c, new AnimatedValue(ColourField.start(c))));
    values.put(Channel.X, new AnimatedValue(scene.width() / 2.0));
    values.put(Channel.Y, new AnimatedValue(scene.height() / 2.0));
    values.put(Channel.WIDTH, new AnimatedValue(Math.rint(scene.width() / 2.0)));
    values.put(Channel.HEIGHT, new AnimatedValue(Math.rint(scene.height() / 2.0)));
    String id = v.get(ID);
    ColourField field =
        new ColourField(
            new ItemProperties(id, "Colour field"),
            ColourField.Area.FRAME,
            new Gradient(Gradient.Kind.PLAIN, List.of()),
            Point.ORIGIN,
            values,
            UnknownFields.NONE);
    List<String> stack = new ArrayList<>(scene.stack());
    stack.add(0, id);
    return scene.withItem(field).withStack(stack);
  }

  /**
   * Another {@code filling} of the field {@code item}. A gradient that has no stops yet goes from
   * its colour to nothing.
   */
  private static Scene filling(Scene scene, Values v) {
    if (!(scene.item(v.get(ITEM)) instanceof ColourField f)) {
      throw new IllegalArgumentException("There is no such colour field any more");
    }
    Gradient.Kind kind = v.get(FILLING);
    List<Gradient.Stop> stops = f.fill().stops();
    if (stops.size() < 2) {
      int colour = (int) f.movable(Channel.FILL).base();
      stops =
          List.of(
              new Gradient.Stop(0, colour, 100, UnknownFields.NONE),
              new Gradient.Stop(100, colour, 0, UnknownFields.NONE));
    }
    ColourField changed = f.with(f.area(), new Gradient(kind, stops));
    // From the top to the bottom suits a line; what radiates does so from the middle.
    if (kind == Gradient.Kind.RADIAL && isAtStart(f)) {
      changed = changed.with(Channel.FROM_Y, new AnimatedValue(50));
    }
    return scene.withItem(changed);
  }

  private static boolean isAtStart(ColourField f) {
    return List.of(Channel.FROM_X, Channel.FROM_Y, Channel.TO_X, Channel.TO_Y).stream()
        .allMatch(c -> !f.movable(c).moves() && f.movable(c).base() == ColourField.start(c));
  }
}
