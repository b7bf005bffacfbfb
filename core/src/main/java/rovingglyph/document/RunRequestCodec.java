package rovingglyph.document;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import rovingglyph.scene.Typesetting;
import rovingglyph.type.RunRequest;

/** Texts to be shaped, from JSON. */
public final class RunRequestCodec {
  /** Texts in one request at most. */
  public static final int MOST = 200;

  /** The longest single text, in characters. */
  public static final int LONGEST = 20_000;

  /** All texts of one request together, in characters; this is what shaping costs. */
  public static final int LONGEST_TOGETHER = 60_000;

  private static final int MOST_FEATURES = 100;

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
        axes(f.object("axes")),
        f.text("text", LONGEST, ""),
        f.flag("ligatures", true),
        f.choice("casing", Typesetting.Casing.values(), Typesetting.Casing.AS_TYPED),
        features(f.object("features")));
  }

  private static Map<String, Double> axes(Fields f) {
    Map<String, Double> out = new TreeMap<>();
    if (f.names().size() > LetteringCodec.MOST_AXES) {
      f.problem(null, "has too many axes", "at most " + LetteringCodec.MOST_AXES);
      return out;
    }
    for (String tag : f.names()) {
      if (LetteringCodec.isTag(tag)) {
        out.put(tag, f.number(tag, -1e6, 1e6, 0));
      } else {
        f.problem(tag, "is not the tag of an axis", "four characters, such as wght");
      }
    }
    return out;
  }

  /** OpenType features with their values, as a lettering has them too. */
  static Map<String, Integer> features(Fields f) {
    Map<String, Integer> out = new TreeMap<>();
    if (f.names().size() > MOST_FEATURES) {
      f.problem(null, "has too many features", "at most " + MOST_FEATURES);
      return out;
    }
    for (String tag : f.names()) {
      if (LetteringCodec.isTag(tag)) {
        out.put(tag, f.integer(tag, 0, 1000, 0));
      } else {
        f.problem(tag, "is not the tag of a feature", "four characters, such as smcp");
      }
    }
    return out;
  }
}
