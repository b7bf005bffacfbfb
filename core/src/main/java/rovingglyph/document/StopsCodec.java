package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.scene.Gradient;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** The colours of gradients from and to JSON. */
final class StopsCodec {
  private static final Field<Gradient.Stop, Double> OFFSET =
      field("offset", Types.number(0, 100, "%"), Gradient.Stop::offset)
          .fallback(0.0)
          .about("ascending");
  private static final Field<Gradient.Stop, Integer> COLOUR =
      field("colour", Types.colour(), Gradient.Stop::colour).fallback(0);
  private static final Field<Gradient.Stop, Double> STOP_OPACITY =
      field("opacity", Types.number(0, 100, "%"), Gradient.Stop::opacity).fallback(100.0);

  private static final Schema<Gradient.Stop> STOP =
      Schema.<Gradient.Stop>named("Stop")
          .with(OFFSET, COLOUR, STOP_OPACITY)
          .keeping(Gradient.Stop::extras)
          .made(
              v -> new Gradient.Stop(v.get(OFFSET), v.get(COLOUR), v.get(STOP_OPACITY), v.rest()));

  static final FieldType<List<Gradient.Stop>> LIST = Lists.list(STOP, Gradient.MOST_STOPS);

  static final String ABOUT =
      "of a gradient 2 or more. Between stops colours are mixed in sRGB, not multiplied by their"
          + " opacity, as in SVG; before the first and after the last their colours go on. A gradient"
          + " that ends where it begins is of its last colour";

  private StopsCodec() {}

  /** Tells what is wrong with stops. */
  static void check(Fields f, boolean graded, List<Gradient.Stop> stops) {
    if (graded && stops.size() < 2) {
      f.problem("stops", "has too few entries for a gradient", "2 to " + Gradient.MOST_STOPS);
    }
    for (int i = 1; i < stops.size(); i++) {
      if (stops.get(i).offset() < stops.get(i - 1).offset()) {
        f.problem("stops[" + i + "].offset", "is before the stop above it", "ascending offsets");
      }
    }
  }
}
