package rovingglyph.values;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.Locale;
import rovingglyph.document.PlainField;

/** What a text from a table or a command stands for in a field. */
final class CellValue {
  private static final List<String> YES = List.of("true", "yes", "1");
  private static final List<String> NO = List.of("false", "no", "0");

  private CellValue() {}

  /**
   * The value as documents have it; of a picture its id.
   *
   * @throws BadValueException with what is allowed, for one that cannot stand there
   */
  static JsonValue of(SceneField field, String text, Assets assets) {
    PlainField plain = field.plain();
    return switch (field.kind()) {
      case TEXT -> {
        if (text.length() > plain.max() || text.indexOf('\0') >= 0) {
          throw bad(text, "at most " + (int) plain.max() + " characters");
        }
        yield Json.value(text);
      }
      case COLOUR -> Json.value(colour(text));
      case NUMBER -> number(text, plain);
      case FLAG -> flag(text);
      case CHOICE -> {
        String word = text.strip().toLowerCase(Locale.ROOT).replace(' ', '-');
        if (!plain.choices().contains(word)) {
          throw bad(text, "one of " + String.join(", ", plain.choices()));
        }
        yield Json.value(word);
      }
      case FACE -> {
        String face = assets.face(text.strip());
        if (face == null) {
          throw new BadValueException("there is no typeface “" + text.strip() + "”");
        }
        yield Json.value(face);
      }
      case PICTURE -> Json.value(picture(text, assets).id());
    };
  }

  static Assets.KnownPicture picture(String text, Assets assets) {
    Assets.KnownPicture picture = assets.picture(text.strip());
    if (picture == null) {
      throw new BadValueException("there is no picture “" + text.strip() + "”");
    }
    return picture;
  }

  private static String colour(String text) {
    String hex = text.strip();
    hex = hex.startsWith("#") ? hex.substring(1) : hex;
    if (hex.matches("[0-9A-Fa-f]{3}")) {
      hex = hex.replaceAll("(.)", "$1$1");
    }
    if (!hex.matches("[0-9A-Fa-f]{6}")) {
      throw bad(text, "a colour as #RRGGBB");
    }
    return "#" + hex.toUpperCase(Locale.ROOT);
  }

  private static JsonValue number(String text, PlainField plain) {
    try {
      // Spreadsheets of many countries write a comma.
      double d = Double.parseDouble(text.strip().replace(',', '.'));
      if (d >= plain.min() && d <= plain.max()) {
        return Json.value(d);
      }
    } catch (NumberFormatException e) {
      // Told like one out of range.
    }
    throw bad(text, "a number from " + plain(plain.min()) + " to " + plain(plain.max()));
  }

  private static String plain(double d) {
    return d == Math.rint(d) ? Long.toString((long) d) : Double.toString(d);
  }

  private static JsonValue flag(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    if (!YES.contains(word) && !NO.contains(word)) {
      throw bad(text, "yes or no");
    }
    return Json.value(YES.contains(word));
  }

  private static BadValueException bad(String text, String allowed) {
    String shown = text.length() > 40 ? text.substring(0, 40) + "…" : text;
    return new BadValueException("“" + shown + "” cannot stand there; it takes " + allowed);
  }
}
