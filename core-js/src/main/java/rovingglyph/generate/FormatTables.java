package rovingglyph.generate;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import rovingglyph.document.SceneCodec;
import rovingglyph.schema.Field;
import rovingglyph.schema.ObjectType;
import rovingglyph.schema.Tables;

/**
 * The tables of docs/scene-format.md. Each stands between {@code <!-- table: Name -->} and {@code
 * <!-- end -->}; what stands around them is written by hand.
 */
final class FormatTables {
  private static final Pattern TABLE =
      Pattern.compile("(<!-- table: (\\w+) -->\n).*?(<!-- end -->)", Pattern.DOTALL);

  private FormatTables() {}

  /**
   * The page with its tables as they are now.
   *
   * @throws IllegalStateException where it has a table of nothing, or lacks that of something
   */
  static String of(String page) {
    Tables all = Tables.from(SceneCodec.schema());
    Map<String, String> tables = new HashMap<>();
    all.shared().forEach(s -> tables.put(s.name(), table(null, s.fields())));
    all.schemas().forEach(s -> tables.put(s.name(), table(s.kind(), s.own())));
    StringBuilder out = new StringBuilder();
    Matcher m = TABLE.matcher(page);
    while (m.find()) {
      String table = tables.remove(m.group(2));
      if (table == null) {
        throw new IllegalStateException("There is no table " + m.group(2));
      }
      m.appendReplacement(out, Matcher.quoteReplacement(m.group(1) + table + m.group(3)));
    }
    if (!tables.isEmpty()) {
      throw new IllegalStateException("docs/scene-format.md lacks tables: " + tables.keySet());
    }
    return m.appendTail(out).toString();
  }

  private static String table(String kind, List<? extends Field<?, ?>> fields) {
    StringBuilder out = new StringBuilder("| field | value | |\n| --- | --- | --- |\n");
    if (kind != null) {
      row(out, "kind", "`\"" + kind + "\"`", "");
    }
    fields.forEach(f -> row(out, f.name(), value(f), f.about()));
    return out.toString();
  }

  private static void row(StringBuilder out, String name, String value, String about) {
    out.append("| `")
        .append(name)
        .append("` | ")
        .append(value)
        .append(" | ")
        .append(about)
        .append(" |\n");
  }

  private static String value(Field<?, ?> f) {
    StringBuilder out = new StringBuilder();
    if (f.presence() == Field.Presence.REQUIRED) {
      out.append("required, ");
    }
    out.append(f.type().words());
    boolean moves = f.type().words().startsWith("**movable**");
    for (ObjectType<?> o : moves ? List.<ObjectType<?>>of() : f.type().objects()) {
      out.append(" of ").append(o.name());
    }
    String fallback = Tables.fallback(f);
    if (fallback != null && !fallback.contains("{")) {
      out.append(" (`").append(fallback).append("`)");
    }
    return out.toString();
  }
}
