package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Seat;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** The path that carries an item, from and to JSON. */
final class RideCodec {
  /** A ride with its values. */
  record Document(Ride ride, Map<Channel, AnimatedValue> values) {}

  private static final Field<Document, String> PATH =
      field("path", Types.id(), (Document d) -> d.ride.path()).about("id of the path");
  private static final Field<Document, Point> POINT =
      field("point", Types.pair(PathCodec.FARTHEST), (Document d) -> d.ride.point())
          .fallback(Point.ORIGIN)
          .about("in the pixels round the item: what is brought to the path");
  private static final Field<Document, Boolean> TURNS =
      field("turns", Types.flag(), (Document d) -> d.ride.turns())
          .usual(true)
          .about("whether it turns with the path; as it is where the path goes to the right");
  private static final Field<Document, Seat.EndRule> ENDS =
      field("ends", Types.choice(Seat.EndRule.values()), (Document d) -> d.ride.ends())
          .optional()
          .about(
              "past an end: straight on, not seen, round. Left out, closed paths wrap and open ones"
                  + " continue");
  private static final Field<Document, Integer> COPIES =
      field("copies", Types.integer(1, Ride.MOST_COPIES), (Document d) -> d.ride.copies())
          .usual(1)
          .about("each ahead of the one before and painted over it");
  private static final Field<Document, Ride.Spacing> SPACING =
      field("spacing", Types.choice(Ride.Spacing.values()), (Document d) -> d.ride.spacing())
          .usual(Ride.Spacing.EVEN)
          .about(
              "copies in equal shares of the path, the last at its end where it does not come"
                  + " round; or `gap` apart");
  private static final List<Field<Document, AnimatedValue>> VALUES =
      List.of(
          value(Channel.RIDE_OFFSET, "pathOffset", "how far along the path"),
          value(Channel.RIDE_SHIFT, "shift", "how far off the path, to the right of its direction"),
          value(Channel.RIDE_GAP, "gap", "along the path from copy to copy"));

  static final Schema<Document> SCHEMA =
      Schema.<Document>named("Ride")
          .with(PATH, POINT, TURNS, ENDS, COPIES, SPACING)
          .with(VALUES)
          .keeping(d -> d.ride.extras())
          .made(
              v -> {
                Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
                for (int i = 0; i < VALUES.size(); i++) {
                  values.put(Channel.RIDE.get(i), v.get(VALUES.get(i)));
                }
                Ride ride =
                    new Ride(
                        v.get(PATH),
                        v.get(POINT),
                        v.get(TURNS),
                        v.get(ENDS),
                        v.get(COPIES),
                        v.get(SPACING),
                        v.rest());
                return new Document(ride, values);
              });

  private RideCodec() {}

  private static Field<Document, AnimatedValue> value(Channel c, String name, String about) {
    return field(name, AnimatedType.of(c), (Document d) -> d.values.get(c))
        .fallback(new AnimatedValue(0))
        .about(about);
  }

  /** That of an item; null where no path carries it. */
  static Document document(Item item) {
    Ride ride = item.properties().ride();
    return ride == null ? null : new Document(ride, item.values());
  }

  /** What the document calls one of its values. */
  static String name(Channel c) {
    return VALUES.get(Channel.RIDE.indexOf(c)).name();
  }
}
