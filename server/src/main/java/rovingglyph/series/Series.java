package rovingglyph.series;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import rovingglyph.schema.Fields;
import rovingglyph.values.SceneField;
import rovingglyph.values.SceneValues;

/** A table with what its columns mean for a scene. */
public record Series(List<Column> columns, List<List<String>> rows) {
  /**
   * A column.
   *
   * @param field the path of a {@link SceneField}, {@link #FILE_NAME}, or empty where it is not
   *     used
   */
  public record Column(String heading, String field) {}

  /** In the place of a field: how the files of a row are called. */
  public static final String FILE_NAME = "file.name";

  /** A table, its columns matched to fields by their headings. */
  public static Series of(Table table, List<SceneField> fields) {
    Map<String, String> known = known(fields);
    List<Column> columns = new ArrayList<>();
    List<String> taken = new ArrayList<>();
    for (String heading : table.headings()) {
      String field = known.getOrDefault(plain(heading), "");
      boolean free = !field.isEmpty() && !taken.contains(field);
      columns.add(new Column(heading, free ? field : ""));
      taken.add(field);
    }
    return new Series(columns, table.rows());
  }

  /**
   * The fields by what a heading may call them: the path, the item and the field, the item alone
   * for the first main field of it, the field alone where one item has it.
   */
  private static Map<String, String> known(List<SceneField> fields) {
    Map<String, String> out = new LinkedHashMap<>();
    for (String word : List.of("file", "filename", "name of the file")) {
      out.put(plain(word), FILE_NAME);
    }
    for (SceneField f : fields) {
      out.putIfAbsent(plain(f.path()), f.path());
      out.putIfAbsent(plain(f.itemName() + "." + f.plain().name()), f.path());
      out.putIfAbsent(plain(f.itemName() + " " + f.label()), f.path());
    }
    for (SceneField f : fields) {
      if (f.main() && !f.item().equals(SceneField.SCENE)) {
        out.putIfAbsent(plain(f.itemName()), f.path());
        out.putIfAbsent(plain(f.item()), f.path());
      }
    }
    // "Words" and "Colour" are those of the lettering, where there is one.
    alone(fields.stream().filter(SceneField::ofLettering).toList(), out);
    alone(fields, out);
    return out;
  }

  /** Adds by its label alone each main field whose label none of the others has. */
  private static void alone(List<SceneField> fields, Map<String, String> out) {
    for (SceneField f : fields) {
      long same = fields.stream().filter(o -> o.main() && o.label().equals(f.label())).count();
      if (f.main() && same == 1) {
        out.putIfAbsent(plain(f.label()), f.path());
        out.putIfAbsent(plain(f.plain().name()), f.path());
      }
    }
  }

  private static String plain(String words) {
    return words.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "");
  }

  /** The values of a row; empty cells leave the scene as it is. */
  public List<SceneValues.Value> values(int row) {
    List<SceneValues.Value> out = new ArrayList<>();
    for (int c = 0; c < columns.size(); c++) {
      String field = columns.get(c).field();
      String cell = rows.get(row).get(c);
      if (!field.isEmpty() && !field.equals(FILE_NAME) && !cell.isEmpty()) {
        out.add(SceneValues.Value.of(field, cell));
      }
    }
    return out;
  }

  /** The name that a row has for its files; empty where it has none. */
  String fileName(int row) {
    return first(row, f -> f.equals(FILE_NAME));
  }

  /** The first words of a row; empty where it has none. */
  String words(int row) {
    return first(row, f -> f.endsWith(".text"));
  }

  private String first(int row, Predicate<String> field) {
    for (int c = 0; c < columns.size(); c++) {
      String cell = rows.get(row).get(c).strip();
      if (field.test(columns.get(c).field()) && !cell.isEmpty()) {
        return cell;
      }
    }
    return "";
  }

  /** The same with other cells in a row. */
  public Series with(int row, List<String> cells) {
    List<List<String>> out = new ArrayList<>(rows);
    out.set(row, List.copyOf(cells));
    return new Series(columns, out);
  }

  /** The same with its columns meaning other fields. */
  public Series matched(List<String> fields) {
    List<Column> out = new ArrayList<>();
    for (int c = 0; c < columns.size(); c++) {
      out.add(new Column(columns.get(c).heading(), fields.get(c)));
    }
    return new Series(out, rows);
  }

  /** As JSON. */
  public String text() {
    JsonArray columnList = new JsonArray();
    columns.forEach(
        c -> columnList.add(new JsonObject().add("heading", c.heading()).add("field", c.field())));
    JsonArray rowList = new JsonArray();
    for (List<String> row : rows) {
      JsonArray cells = new JsonArray();
      row.forEach(cells::add);
      rowList.add(cells);
    }
    return new JsonObject().add("columns", columnList).add("rows", rowList).toString();
  }

  /**
   * As it was written by {@link #text}.
   *
   * @throws rovingglyph.schema.DocumentException if it was not
   */
  public static Series parse(JsonValue json) {
    Fields f = Fields.of(json);
    List<Column> columns =
        f.list(
            "columns",
            Table.MOST_COLUMNS,
            c -> new Column(c.text("heading", 200, ""), c.text("field", 300, "")));
    JsonValue given = f.get("rows");
    List<List<String>> rows = new ArrayList<>();
    if (given == null || !given.isArray() || given.asArray().size() > Table.MOST_ROWS) {
      f.problem("rows", "are no list of rows", "at most " + Table.MOST_ROWS);
    } else {
      for (JsonValue row : given.asArray()) {
        rows.add(cells(row, columns.size(), f));
      }
    }
    f.check();
    return new Series(columns, rows);
  }

  private static List<String> cells(JsonValue row, int count, Fields f) {
    List<String> out = new ArrayList<>();
    if (row.isArray()) {
      row.asArray().forEach(c -> out.add(c.isString() ? c.asString() : null));
    }
    boolean good =
        out.size() == count
            && out.stream().allMatch(c -> c != null && c.length() <= Table.LONGEST_CELL);
    if (!good) {
      f.problem("rows", "hold a row that is no list of texts", count + " texts in each");
      return List.of();
    }
    return List.copyOf(out);
  }
}
