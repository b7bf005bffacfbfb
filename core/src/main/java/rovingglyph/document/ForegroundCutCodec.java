package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** Foreground cuts from and to JSON. */
final class ForegroundCutCodec {
  private static final double FARTHEST = 1e6;

  private static final Field<ForegroundCut, String> SOURCE =
      field("source", Types.id(), ForegroundCut::source)
          .about("id of the item of which a part is painted once more here, as it is there");
  private static final Field<ForegroundCut, String> PATH =
      field("path", Types.id(), ForegroundCut::path)
          .about("id of the path that the part lies in; an open one as if it were closed");
  private static final Field<ForegroundCut, Affine> IN_SOURCE =
      field("inSource", Types.matrix(FARTHEST), ForegroundCut::inSource)
          .fallback(Affine.IDENTITY)
          .about(
              "from the pixels of the path to those of the source before its place and its ride:"
                  + " the path goes with them");
  private static final List<Field<ForegroundCut, AnimatedValue>> VALUES =
      AnimatedType.fields(ForegroundCut.VALUES, ForegroundCut::movable, ForegroundCut::start);

  static final Schema<ForegroundCut> SCHEMA =
      Schema.<ForegroundCut>named("ForegroundCut")
          .kind("foreground-cut")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(SOURCE, PATH, IN_SOURCE)
          .with(VALUES)
          .keeping(ForegroundCut::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Foreground cut",
                      (p, appearance) -> {
                        Map<Channel, AnimatedValue> values = AnimatedType.collected(v, VALUES);
                        values.putAll(appearance);
                        return new ForegroundCut(
                            p, v.get(SOURCE), v.get(PATH), v.get(IN_SOURCE), values, v.rest());
                      }));

  private ForegroundCutCodec() {}
}
