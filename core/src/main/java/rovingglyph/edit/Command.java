package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.function.BiFunction;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Values;

/**
 * One kind of edit: its word, what it is called once it is done, its arguments, and what it does. A
 * new one is a line in its list of {@link Commands}.
 */
public final class Command {
  /** The field that names the kind of an edit. */
  static final String OP = "op";

  /** The argument with the fields that are changed. */
  static final String FIELDS = "fields";

  private static final String CHANNEL = "{channel}";
  private static final String FIELD = "{field}";

  /**
   * What edits are made to.
   *
   * @param prepared the scene as it stands; null while its words are on their way
   */
  record Target(Scene scene, PreparedScene prepared) {}

  private final String op;
  private final String done;
  private final boolean open;
  private final Schema<Values> arguments;
  private final BiFunction<Target, Values, Scene> does;

  private Command(
      String op,
      String done,
      boolean open,
      Schema<Values> arguments,
      BiFunction<Target, Values, Scene> does) {
    this.op = op;
    this.done = done;
    this.open = open;
    this.arguments = arguments;
    this.does = does;
  }

  /** An argument that has to be there, unless it is given a default. */
  static <V> Field<Values, V> argument(String name, FieldType<V> type) {
    return Field.field(name, type, (Values v) -> null);
  }

  /**
   * A kind of edit.
   *
   * @param done what the history calls it, such as "Moved a keyframe"; {@code {channel}} stands for
   *     the label of the channel that it names, {@code {field}} for the first field that it changes
   */
  static Command of(
      String op,
      String done,
      List<Field<Values, ?>> arguments,
      BiFunction<Scene, Values, Scene> does) {
    return standing(op, done, arguments, (target, v) -> does.apply(target.scene(), v));
  }

  /** One that depends on how the text stands. */
  static Command standing(
      String op,
      String done,
      List<Field<Values, ?>> arguments,
      BiFunction<Target, Values, Scene> does) {
    return new Command(op, done, false, table(op, arguments), does);
  }

  /** The same, which may have further arguments, which are kept. */
  static Command open(
      String op,
      String done,
      List<Field<Values, ?>> arguments,
      BiFunction<Target, Values, Scene> does) {
    return new Command(op, done, true, table(op, arguments), does);
  }

  private static Schema<Values> table(String op, List<Field<Values, ?>> arguments) {
    String name = Character.toUpperCase(op.charAt(0)) + op.substring(1) + "Edit";
    return Schema.<Values>named(name).with(arguments).made(v -> v);
  }

  /** The word of the edit. */
  public String op() {
    return op;
  }

  /** The table of its arguments. */
  public Schema<Values> arguments() {
    return arguments;
  }

  /** Whether it may have further arguments. */
  public boolean isOpen() {
    return open;
  }

  /** What an edit of this kind is called once it is done. */
  String done(JsonObject edit) {
    Channel c = Channel.of(edit.getString("channel", ""));
    return done.replace(CHANNEL, c == null ? "a value" : c.label().toLowerCase())
        .replace(FIELD, firstField(edit));
  }

  /** The first field that is changed, as words: "face name" of faceName. */
  private static String firstField(JsonObject edit) {
    JsonValue fields = edit.get(FIELDS);
    if (fields == null || !fields.isObject() || fields.asObject().isEmpty()) {
      return "it";
    }
    StringBuilder out = new StringBuilder();
    for (char c : fields.asObject().names().get(0).toCharArray()) {
      out.append(Character.isUpperCase(c) ? " " : "").append(Character.toLowerCase(c));
    }
    return out.toString();
  }

  /**
   * Makes an edit.
   *
   * @throws RefusedEdit with every argument that cannot be used
   * @throws IllegalArgumentException where what it names is not there, or not fit for it
   */
  Scene apply(Target target, JsonObject edit) {
    try {
      Fields f = Fields.of(edit);
      f.get(OP);
      Values v = arguments.read(f);
      if (!open) {
        f.refuseRest();
      }
      f.check();
      return does.apply(target, v);
    } catch (DocumentException e) {
      throw new RefusedEdit(e);
    }
  }
}
