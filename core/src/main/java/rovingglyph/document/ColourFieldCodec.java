package rovingglyph.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.ItemProperties;

/** Colour fields from and to JSON. */
final class ColourFieldCodec {
  private ColourFieldCodec() {}

  static ColourField read(Fields f, ItemProperties p) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    ColourField.VALUES.forEach(
        c -> values.put(c, AnimatedValueCodec.read(f, c, ColourField.start(c))));
    return new ColourField(
        p,
        f.choice("area", ColourField.Area.values(), ColourField.Area.RECTANGLE),
        gradient(f),
        values,
        f.rest());
  }

  private static Gradient gradient(Fields f) {
    Gradient.Kind kind = f.choice("filling", Gradient.Kind.values(), Gradient.Kind.PLAIN);
    List<Gradient.Stop> stops = f.list("stops", Gradient.MOST_STOPS, ColourFieldCodec::stop);
    if (kind != Gradient.Kind.PLAIN && stops.size() < 2) {
      f.problem("stops", "has too few entries for a gradient", "2 to " + Gradient.MOST_STOPS);
    }
    for (int i = 1; i < stops.size(); i++) {
      if (stops.get(i).offset() < stops.get(i - 1).offset()) {
        f.problem("stops[" + i + "].offset", "is before the stop above it", "ascending offsets");
      }
    }
    return new Gradient(kind, stops);
  }

  private static Gradient.Stop stop(Fields f) {
    return new Gradient.Stop(
        f.number("offset", 0, 100, 0),
        f.colour("colour", 0),
        f.number("opacity", 0, 100, 100),
        f.rest());
  }

  static String write(Writer w, ColourField c) {
    w.add("area", Spelling.of(c.area())).add("filling", Spelling.of(c.fill().kind()));
    if (!c.fill().stops().isEmpty()) {
      w.list("stops", c.fill().stops(), ColourFieldCodec::write);
    }
    ColourField.VALUES.forEach(v -> w.json(v.field(), AnimatedValueCodec.write(c.movable(v), v)));
    return w.rest(c.extras()).text();
  }

  private static String write(Gradient.Stop s) {
    return Writer.object()
        .add("offset", s.offset())
        .colour("colour", s.colour())
        .add("opacity", s.opacity())
        .rest(s.extras())
        .text();
  }
}
