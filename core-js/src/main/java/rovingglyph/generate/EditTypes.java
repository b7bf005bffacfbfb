package rovingglyph.generate;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.Command;
import rovingglyph.edit.Commands;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Tables;

/** Every kind of edit as types of TypeScript. */
final class EditTypes {
  private EditTypes() {}

  static String text() {
    StringBuilder out = new StringBuilder();
    Set<String> known =
        Tables.from(SceneCodec.schema()).schemas().stream()
            .map(Schema::name)
            .collect(Collectors.toSet());
    Map<String, Schema<?>> held = new LinkedHashMap<>();
    for (Command c : Commands.all()) {
      // What documents have too is taken from their types.
      Tables.from(c.arguments()).schemas().stream()
          .skip(1)
          .filter(s -> !known.contains(s.name()))
          .forEach(s -> held.put(s.name(), s));
      out.append("\nexport interface ")
          .append(c.arguments().name())
          .append(" {\n  op: '")
          .append(c.op())
          .append("';\n");
      c.arguments().own().forEach(f -> out.append(DocumentTypes.member(f)));
      out.append(c.isOpen() ? "  [further: string]: unknown;\n}\n" : "}\n");
    }
    for (Schema<?> s : held.values()) {
      out.append("\nexport interface ").append(s.name()).append(" {\n");
      s.own().forEach(f -> out.append(DocumentTypes.member(f)));
      out.append("}\n");
    }
    out.append("\n/** An edit by the rules of the core. */\nexport type Edit =");
    Commands.all().forEach(c -> out.append("\n  | ").append(c.arguments().name()));
    out.append(";\n");
    String imported =
        Stream.concat(known.stream(), Stream.of("Easing", "Effect"))
            .filter(name -> Pattern.compile("[ :]" + name + "\\b").matcher(out).find())
            .sorted()
            .collect(Collectors.joining(", "));
    return "// Written by the build from the edits of the core (rovingglyph.edit); changes here"
        + " are lost.\n\nimport type { "
        + imported
        + " } from './document';\n"
        + out;
  }
}
