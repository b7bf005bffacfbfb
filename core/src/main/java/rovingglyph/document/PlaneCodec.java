package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Plane;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** The plane that an item lies in, from and to JSON. */
final class PlaneCodec {
  /** A plane with its values. */
  record Document(Plane plane, Map<Channel, AnimatedValue> values) {}

  private static final Field<Document, Plane.Stance> STANCE =
      field("stance", Types.choice(Plane.Stance.values()), (Document d) -> d.plane.stance())
          .usual(Plane.Stance.FLAT)
          .about(
              "of letters: in the plane; standing square to it, read from the right of the path; or"
                  + " facing the viewer. Anything else lies in it");
  private static final Field<Document, Boolean> PARALLEL =
      field("parallel", Types.flag(), (Document d) -> d.plane.parallel())
          .usual(false)
          .about("whether things far away are as large as near ones");
  private static final Field<Document, Plane.Backs> BACKS =
      field("backs", Types.choice(Plane.Backs.values()), (Document d) -> d.plane.backs())
          .usual(Plane.Backs.SHOWN)
          .about("of letters: seen as they are, in `backColour`, or not at all");
  static final Field<Document, BodyCodec.Document> BODY =
      field("body", Lists.object(BodyCodec.SCHEMA), PlaneCodec::body)
          .optional()
          .about("the thickness of letters, and the light on them; left out: they have none");
  private static final Field<Document, String> BEHIND =
      field("goesBehind", Types.id(), (Document d) -> d.plane.behind())
          .optional()
          .about(
              "id of an item beside it in the stack: letters farther away than the centre are"
                  + " painted before it, the nearer ones after it");
  private static final List<Field<Document, AnimatedValue>> VALUES =
      List.of(
          value(
              Channel.TILT,
              "about the level axis, as CSS's `rotateX`: with little of it the top goes away"),
          value(
              Channel.SWING,
              "about the upright axis after that, as `rotateY`: the right side goes away"),
          value(
              Channel.VIEWING_DISTANCE,
              "of the eye, straight before the centre. Within a plane that is turned itself the"
                  + " outermost one's counts"),
          value(
              Channel.PLANE_X,
              "of the point that it is turned about, in the pixels round the item"),
          value(Channel.PLANE_Y, "of the same point"),
          value(Channel.LEAN, "of standing letters, to the left of the path"),
          value(Channel.BACK_COLOUR, "of letters seen from behind"));

  static final Schema<Document> SCHEMA =
      Schema.<Document>named("Plane")
          .with(STANCE, PARALLEL, BACKS, BODY, BEHIND)
          .with(VALUES)
          .keeping(d -> d.plane.extras())
          .made(
              v -> {
                Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
                for (int i = 0; i < VALUES.size(); i++) {
                  values.put(Plane.CHANNELS.get(i), v.get(VALUES.get(i)));
                }
                String behind =
                    v.get(BEHIND) == null || v.get(BEHIND).isEmpty() ? null : v.get(BEHIND);
                BodyCodec.Document body = v.get(BODY);
                if (body != null) {
                  values.putAll(body.values());
                }
                Plane plane =
                    new Plane(
                        v.get(STANCE),
                        v.get(PARALLEL),
                        v.get(BACKS),
                        body == null ? null : body.body(),
                        behind,
                        v.rest());
                return new Document(plane, values);
              });

  private PlaneCodec() {}

  private static Field<Document, AnimatedValue> value(Channel c, String about) {
    return field(c.field(), AnimatedType.of(c), (Document d) -> d.values.get(c))
        .fallback(new AnimatedValue(Plane.start(c)))
        .about(about);
  }

  private static BodyCodec.Document body(Document d) {
    return d.plane.body() == null ? null : new BodyCodec.Document(d.plane.body(), d.values);
  }

  /** That of an item; null where it has none. */
  static Document document(Item item) {
    Plane plane = item.properties().plane();
    return plane == null ? null : new Document(plane, item.values());
  }
}
