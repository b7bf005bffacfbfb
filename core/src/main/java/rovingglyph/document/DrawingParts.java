package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Drawing;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The parts of a drawing from and to JSON, for documents and for edits that carry some. */
public final class DrawingParts {
  /** The most parts of a drawing. */
  public static final int MOST = 500;

  private static final Field<Drawing.Part, String> DATA =
      field("d", Types.text(200_000), Drawing.Part::data).fallback("").about("SVG path data");
  private static final Field<Drawing.Part, Integer> FILL =
      field("fill", Types.colour(), Drawing.Part::fill)
          .fallback(0)
          .about("it is filled by the non-zero rule");

  private static final Schema<Drawing.Part> PART =
      Schema.<Drawing.Part>named("Part")
          .with(DATA, FILL)
          .keeping(Drawing.Part::extras)
          .made(DrawingParts::part);

  /** At most 500, back to front. */
  public static final FieldType<List<Drawing.Part>> TYPE = Lists.list(PART, MOST);

  private DrawingParts() {}

  private static Drawing.Part part(Values v) {
    SvgPath.Parsed parsed = SvgPath.parse(v.get(DATA));
    if (parsed.error() != null) {
      v.fields()
          .problem(
              "d", parsed.error() + " at character " + (parsed.position() + 1), "SVG path data");
    }
    return new Drawing.Part(v.get(DATA), v.get(FILL), v.rest());
  }
}
