package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Band;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Core;
import rovingglyph.scene.Item;
import rovingglyph.scene.Plane;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The plane that an item lies in, from and to JSON. */
final class PlaneCodec {
  private static final Field<Valued<Plane>, Plane.Stance> STANCE =
      field("stance", Types.choice(Plane.Stance.values()), (Valued<Plane> d) -> d.part().stance())
          .usual(Plane.Stance.FLAT)
          .about(
              "of letters: in the plane; standing square to it, read from the right of the path; or"
                  + " facing the viewer. Anything else lies in it");
  private static final Field<Valued<Plane>, Boolean> PARALLEL =
      field("parallel", Types.flag(), (Valued<Plane> d) -> d.part().parallel())
          .usual(false)
          .about("whether things far away are as large as near ones");
  private static final Field<Valued<Plane>, Plane.Backs> BACKS =
      field("backs", Types.choice(Plane.Backs.values()), (Valued<Plane> d) -> d.part().backs())
          .usual(Plane.Backs.SHOWN)
          .about("of letters: seen as they are, in `backColour`, or not at all");
  private static final Field<Valued<Plane>, Valued<Body>> BODY =
      field("body", Lists.object(BodyCodec.SCHEMA), (Valued<Plane> d) -> of(d, d.part().body()))
          .optional()
          .about("the thickness of letters, and the light on them; left out: they have none");
  private static final Field<Valued<Plane>, Valued<Core>> CORE =
      field("core", Lists.object(CoreCodec.SCHEMA), (Valued<Plane> d) -> of(d, d.part().core()))
          .optional()
          .about(
              "a round thing within the ring of letters, about the middle of their path; in the"
                  + " light of `body`, or where that is left out in one from the upper left");
  private static final Field<Valued<Plane>, Valued<Band>> BAND =
      field("band", Lists.object(BandCodec.SCHEMA), (Valued<Plane> d) -> of(d, d.part().band()))
          .optional()
          .about("a strip behind letters along their path, which stands or lies as they do");
  private static final Field<Valued<Plane>, String> BEHIND =
      field("goesBehind", Types.id(), (Valued<Plane> d) -> d.part().behind())
          .optional()
          .about(
              "id of an item beside it in the stack: letters farther away than the centre are"
                  + " painted before it, the nearer ones after it");
  private static final List<Field<Valued<Plane>, AnimatedValue>> VALUES =
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

  static final Schema<Valued<Plane>> SCHEMA =
      Schema.<Valued<Plane>>named("Plane")
          .with(STANCE, PARALLEL, BACKS, BODY, CORE, BAND, BEHIND)
          .with(VALUES)
          .keeping(d -> d.part().extras())
          .made(PlaneCodec::read);

  private PlaneCodec() {}

  private static Valued<Plane> read(Values v) {
    String behind = v.get(BEHIND) == null || v.get(BEHIND).isEmpty() ? null : v.get(BEHIND);
    Plane plane =
        new Plane(
            v.get(STANCE),
            v.get(PARALLEL),
            v.get(BACKS),
            part(v.get(BODY)),
            part(v.get(CORE)),
            part(v.get(BAND)),
            behind,
            v.rest());
    Valued<Plane> out = Valued.read(plane, Plane.CHANNELS, VALUES, v);
    for (Field<Valued<Plane>, ? extends Valued<?>> part : List.of(BODY, CORE, BAND)) {
      if (v.get(part) != null) {
        out.values().putAll(v.get(part).values());
      }
    }
    return out;
  }

  private static <T> T part(Valued<T> v) {
    return v == null ? null : v.part();
  }

  private static <T> Valued<T> of(Valued<Plane> plane, T part) {
    return part == null ? null : new Valued<>(part, plane.values());
  }

  private static Field<Valued<Plane>, AnimatedValue> value(Channel c, String about) {
    return Valued.value(c, Plane.start(c), about);
  }

  /** That of an item; null where it has none. */
  static Valued<Plane> document(Item item) {
    Plane plane = item.properties().plane();
    return plane == null ? null : new Valued<>(plane, item.values());
  }

  /** Where the document of a plane has one of its values; null where it has none such. */
  static String place(Channel c) {
    if (Plane.CHANNELS.contains(c)) {
      return c.field();
    }
    Field<?, ?> part =
        Body.CHANNELS.contains(c)
            ? BODY
            : Core.CHANNELS.contains(c) ? CORE : Band.CHANNELS.contains(c) ? BAND : null;
    return part == null ? null : part.name() + "." + c.field();
  }
}
