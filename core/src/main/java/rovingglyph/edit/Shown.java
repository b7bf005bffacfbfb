package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import java.util.List;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The edit of when items are there. */
final class Shown {
  private static final FieldType<Double> SECONDS = Types.orNull(Arguments.ANY);
  private static final Field<Values, Double> FROM = argument("from", SECONDS).optional();
  private static final Field<Values, Double> TO = argument("to", SECONDS).optional();

  /**
   * Sets when the items {@code items} are there: {@code from} a frame on, up to the frame before
   * {@code to}, in seconds. A time that is left out stays; null, the start or the end of the scene
   * stands for no limit. The times go to frames, and at least one frame is left: the time that was
   * not set gives way.
   */
  static final List<Command> ALL =
      List.of(
          Command.of("shown", "Changed when it is shown", List.of(ITEMS, FROM, TO), Shown::apply));

  private Shown() {}

  private static Scene apply(Scene scene, Values v) {
    Scene out = scene;
    for (String id : v.get(ITEMS)) {
      Item item = item(scene, id);
      out = out.withItem(item.with(shown(scene, item.properties(), v)));
    }
    return out;
  }

  private static ItemProperties shown(Scene scene, ItemProperties p, Values v) {
    double from = time(scene, v, FROM, p.shownFrom(), Double.NEGATIVE_INFINITY);
    double to = time(scene, v, TO, p.shownTo(), Double.POSITIVE_INFINITY);
    double frame = 1 / scene.rate().perSecond();
    if (to < from + frame / 2) {
      boolean begins = v.given(FROM);
      from = begins ? from : onFrame(scene, to - frame);
      to = begins ? onFrame(scene, from + frame) : to;
    }
    // What begins with the scene or ends with it goes on doing so when the scene's length changes.
    boolean first = from < frame / 2;
    boolean last = to > scene.length() - frame / 2;
    return p.shown(first ? Double.NEGATIVE_INFINITY : from, last ? Double.POSITIVE_INFINITY : to);
  }

  private static double time(
      Scene scene, Values v, Field<Values, Double> argument, double present, double none) {
    Double given = v.get(argument);
    if (given == null) {
      return v.given(argument) ? none : present;
    }
    double last = scene.rate().timeOf(scene.frameCount() - 1L);
    double least = none < 0 ? 0 : 1 / scene.rate().perSecond();
    double greatest = none < 0 ? last : scene.length();
    return onFrame(scene, Math.min(Math.max(given, least), greatest));
  }

  private static double onFrame(Scene scene, double time) {
    return scene.rate().timeOf(scene.rate().frameAt(Math.max(time, 0)));
  }
}
