package rovingglyph.formats;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import rovingglyph.render.FramePainter;
import rovingglyph.render.FrameRange;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;

/** What was chosen for a file: a value for each option of its format. */
public record ExportOptions(JsonObject values) {

  /** What holds where nothing is chosen. */
  public static ExportOptions of(ExportFormat format) {
    return read(format, Fields.of(new JsonObject()));
  }

  /** By the format's options; what is wrong becomes a problem of the fields. */
  public static ExportOptions read(ExportFormat format, Fields f) {
    JsonObject out = new JsonObject();
    for (ExportOption o : format.options()) {
      out.add(o.name(), o.read(f));
    }
    return new ExportOptions(out);
  }

  /** As it was written by {@link #text}. */
  public static ExportOptions parse(ExportFormat format, String text) {
    return read(format, Fields.of(Json.parse(text)));
  }

  /** The number that was chosen; {@code fallback} where none was and it has none by itself. */
  double number(NumberOption option, double fallback) {
    JsonValue v = values.get(option.name());
    return v == null || v.isNull() ? fallback : v.asDouble();
  }

  /** The same of an option that has a number by itself. */
  double number(NumberOption option) {
    return number(option, option.initial());
  }

  String choice(ChoiceOption option) {
    return values.getString(option.name(), option.initial());
  }

  /** 0xRRGGBB; null where none was chosen. */
  Integer colour(ColourOption option) {
    JsonValue v = values.get(option.name());
    return v == null || v.isNull()
        ? null
        : (Integer) Integer.parseInt(v.asString().substring(1), 16);
  }

  /** The same with another number. */
  private ExportOptions with(NumberOption option, double value) {
    return new ExportOptions(new JsonObject(values).set(option.name(), value));
  }

  /** The same for some of the frames alone, counted among those that were chosen. */
  public ExportOptions part(Scene scene, int from, int count) {
    FrameRange all = FrameOptions.range(scene, this);
    int first = all.first() + from * all.every();
    return with(FrameOptions.FROM, first)
        .with(FrameOptions.TO, Math.min(all.last(), first + (count - 1) * all.every()));
  }

  /** Of the images that are painted, px. */
  public int width(Scene scene) {
    return FramePainter.scaled(scene.width(), FrameOptions.scale(this));
  }

  /** Of the images that are painted, px. */
  public int height(Scene scene) {
    return FramePainter.scaled(scene.height(), FrameOptions.scale(this));
  }

  /** How long the frames that were chosen are shown, s. */
  public double seconds(Scene scene) {
    return FrameOptions.range(scene, this).seconds();
  }

  /** What was chosen and is not as usual, in words; empty where there is nothing. */
  public String words(ExportFormat format) {
    ExportOptions usual = of(format);
    List<String> out = new ArrayList<>();
    for (ExportOption o : format.options()) {
      JsonValue v = values.get(o.name());
      if (v != null && !v.isNull() && !v.equals(usual.values.get(o.name()))) {
        out.add(o.label().toLowerCase(Locale.ROOT) + " " + o.told(v));
      }
    }
    return String.join(", ", out);
  }

  /** As JSON. */
  public String text() {
    return values.toString();
  }
}
