package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Trail;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Filled paths from and to JSON. */
final class FilledPathCodec {
  private static final Field<FilledPath, String> PATH =
      field("path", Types.id(), FilledPath::path).about("id of the path whose shape it has");
  private static final Field<FilledPath, Boolean> FILLED =
      field("filled", Types.flag(), FilledPath::filled)
          .fallback(true)
          .about("by the non-zero rule; an open path as if it were closed");
  private static final Field<FilledPath, Trail.Cap> CAP =
      field("cap", Types.choice(Trail.Cap.values()), FilledPath::cap)
          .fallback(Trail.Cap.ROUND)
          .about("how the line of an open path ends; its corners are round");
  private static final List<Field<FilledPath, AnimatedValue>> VALUES =
      AnimatedType.fields(FilledPath.VALUES, FilledPath::movable, FilledPath::start);

  static final Schema<FilledPath> SCHEMA =
      Schema.<FilledPath>named("FilledPath")
          .kind("filled-path")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(PATH, FILLED, CAP)
          .with(VALUES)
          .keeping(FilledPath::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Filled path",
                      (p, appearance) ->
                          new FilledPath(
                              p,
                              v.get(PATH),
                              v.get(FILLED),
                              v.get(CAP),
                              values(v, appearance),
                              v.rest())));

  private FilledPathCodec() {}

  private static Map<Channel, AnimatedValue> values(
      Values v, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> out = AnimatedType.collected(v, VALUES);
    out.putAll(appearance);
    return out;
  }
}
