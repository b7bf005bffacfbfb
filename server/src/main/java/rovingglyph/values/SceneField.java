package rovingglyph.values;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import rovingglyph.document.PlainField;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/**
 * A field of a scene that can be given a value.
 *
 * @param item the id of the item that has it; {@link #SCENE} for the scene itself
 * @param itemName as it is called
 * @param ofLettering whether that is a lettering
 * @param label what it is, in a word or two
 * @param kind of its values
 * @param main whether it is one of the few that designs are mostly varied by
 */
public record SceneField(
    String item,
    String itemName,
    boolean ofLettering,
    PlainField plain,
    String label,
    Kind kind,
    boolean main) {
  /** What a value is. */
  public enum Kind {
    TEXT,
    COLOUR,
    NUMBER,
    FLAG,
    CHOICE,
    /** A typeface by its name or id. */
    FACE,
    /** A picture of the project by its name or id. */
    PICTURE
  }

  /** In the place of an item: the scene itself. */
  public static final String SCENE = "scene";

  private static final Map<String, String> MAIN =
      Map.of(
          "text", "Words",
          "fill", "Colour",
          "face", "Typeface",
          "image", "Picture",
          "size", "Size",
          "background", "Background",
          "length", "Length");

  /** How values and columns name it: {@code ITEM.FIELD}. */
  public String path() {
    return item + "." + plain.name();
  }

  /**
   * Sees whether a text can stand in it.
   *
   * @throws BadValueException with what is allowed, if it cannot
   */
  public void check(String text, Assets assets) {
    CellValue.of(this, text, assets);
  }

  /** All that can be set, the scene first and then its items from behind to the front. */
  public static List<SceneField> of(Scene scene) {
    List<SceneField> out = new ArrayList<>();
    for (PlainField f : PlainField.ofScene()) {
      out.add(of(SCENE, "Scene", f, null));
    }
    for (Item item : scene.items().values()) {
      String name = called(item);
      PlainField.of(item).forEach(f -> out.add(of(item.id(), name, f, item)));
    }
    return out;
  }

  private static SceneField of(String id, String name, PlainField f, Item item) {
    Kind kind = Kind.valueOf(f.sort().name());
    if (item instanceof Lettering && f.name().equals("face")) {
      kind = Kind.FACE;
    } else if (item instanceof Picture && f.name().equals("image")) {
      kind = Kind.PICTURE;
    }
    String main = MAIN.get(f.name());
    return new SceneField(
        id,
        name,
        item instanceof Lettering,
        f,
        main == null ? words(f.name()) : main,
        kind,
        main != null);
  }

  /** Its name, a lettering's first line where it has none, else its id. */
  private static String called(Item item) {
    if (!item.name().isEmpty()) {
      return item.name();
    }
    String first =
        item instanceof Lettering l ? l.text().lines().findFirst().orElse("").strip() : "";
    return first.isEmpty() ? item.id() : first;
  }

  /** {@code revealFrom} as "Reveal from". */
  private static String words(String name) {
    String spaced = name.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
    return spaced.substring(0, 1).toUpperCase(Locale.ROOT) + spaced.substring(1);
  }
}
