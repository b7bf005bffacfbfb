package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.X;
import static rovingglyph.edit.Arguments.Y;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.document.DrawingParts;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of drawings. */
final class Drawings {
  private static final Field<Values, List<Drawing.Part>> PARTS =
      argument("parts", DrawingParts.TYPE);
  private static final Field<Values, Double> WIDTH =
      argument("width", Types.number(1e-3, 1e6, "px"));
  private static final Field<Values, Double> HEIGHT =
      argument("height", Types.number(1e-3, 1e6, "px"));
  private static final Field<Values, List<Integer>> INDEXES =
      argument("indexes", Types.indexes(DrawingParts.MOST));
  private static final Field<Values, Integer> COLOUR = argument("colour", Types.colour());

  static final List<Command> ALL =
      List.of(
          Command.of(
              "addDrawing",
              "Added a drawing",
              List.of(ID, Arguments.NAME, PARTS, WIDTH, HEIGHT, X, Y),
              Drawings::add),
          Command.of(
              "recolour",
              "Changed a colour",
              List.of(ITEM, INDEXES, COLOUR),
              Drawings::recoloured));

  private Drawings() {}

  /**
   * A new drawing {@code id} of {@code parts} that lie within {@code width} by {@code height} round
   * its own middle, which is put at a point: as it is, or as much smaller as the frame asks. It
   * stands above what lies below all words.
   */
  private static Scene add(Scene scene, Values v) {
    if (v.get(PARTS).isEmpty()) {
      throw new IllegalArgumentException("There is nothing in this drawing");
    }
    double fitting = Math.min(scene.width() / v.get(WIDTH), scene.height() / v.get(HEIGHT));
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Transformed.CHANNELS.forEach(
        c -> values.put(c, new AnimatedValue(Transformed.start(c, Point.ORIGIN))));
    values.put(Channel.X, new AnimatedValue(Channel.X.clamp(v.get(X))));
    values.put(Channel.Y, new AnimatedValue(Channel.Y.clamp(v.get(Y))));
    values.put(Channel.SCALE, new AnimatedValue(Channel.SCALE.clamp(Math.min(fitting, 1))));
    String id = v.get(ID);
    String name = v.get(Arguments.NAME) == null ? "Drawing" : v.get(Arguments.NAME);
    Drawing drawing =
        new Drawing(
            new ItemProperties(id, name), v.get(PARTS), Point.ORIGIN, values, UnknownFields.NONE);
    return Pictures.withGround(scene, drawing);
  }

  /** Gives the parts {@code indexes} of the drawing {@code item} another colour. */
  private static Scene recoloured(Scene scene, Values v) {
    if (!(scene.item(v.get(ITEM)) instanceof Drawing d)) {
      throw new IllegalArgumentException("There is no such drawing any more");
    }
    List<Drawing.Part> parts = new ArrayList<>(d.parts());
    for (int i : v.get(INDEXES)) {
      if (i >= parts.size()) {
        throw new IllegalArgumentException("The drawing has no part " + (i + 1) + " any more");
      }
      Drawing.Part p = parts.get(i);
      parts.set(i, new Drawing.Part(p.data(), v.get(COLOUR), p.extras()));
    }
    return scene.withItem(
        new Drawing(d.properties(), List.copyOf(parts), d.centre(), d.values(), d.extras()));
  }
}
