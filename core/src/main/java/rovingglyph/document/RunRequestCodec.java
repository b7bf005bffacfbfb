package rovingglyph.document;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Typesetting;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Types;
import rovingglyph.type.RunRequest;

/** Texts to be shaped, from JSON. */
public final class RunRequestCodec {
  /** Texts in one request at most. */
  public static final int MOST = 200;

  /** The longest single text, in characters. */
  public static final int LONGEST = 20_000;

  /** All texts of one request together, in characters; this is what shaping costs. */
  public static final int LONGEST_TOGETHER = 60_000;

  private static final FieldType<Map<String, Double>> AXES =
      Lists.byTag(Types.number(-1e6, 1e6, ""), 0.0, "an axis", "wght", LetteringCodec.MOST_AXES);

  private RunRequestCodec() {}

  /**
   * Reads a list of texts.
   *
   * @throws DocumentException with every problem found
   */
  public static List<RunRequest> read(JsonValue list) {
    Fields f = Fields.of(new JsonObject().add("texts", list));
    if (!list.isArray()) {
      f.problem("texts", "is not a list", "[ ... ]");
    }
    List<RunRequest> out = f.list("texts", MOST, RunRequestCodec::read);
    f.check();
    long together = out.stream().mapToLong(r -> r.text().length()).sum();
    if (together > LONGEST_TOGETHER) {
      f.problem(
          "texts",
          "have " + together + " characters together",
          "at most " + LONGEST_TOGETHER + " in one request; send the others in further ones");
    }
    f.check();
    return out;
  }

  private static RunRequest read(Fields f) {
    return new RunRequest(
        f.id("face"),
        AXES.read(f, "axes", Map.of()),
        f.text("text", LONGEST, ""),
        f.flag("ligatures", true),
        TypesettingCodec.CASING_TYPE.read(f, "casing", Typesetting.Casing.AS_TYPED),
        TypesettingCodec.FEATURES_TYPE.read(f, "features", Map.of()));
  }
}
