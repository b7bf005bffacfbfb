package rovingglyph.generate;

import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.edit.Command;
import rovingglyph.edit.Commands;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Tables;

/** Every kind of edit as types of TypeScript. */
final class EditTypes {
  private EditTypes() {}

  static String text() {
    StringBuilder out = new StringBuilder();
    out.append(
            "// Written by the build from the edits of the core (rovingglyph.edit); changes here")
        .append(" are lost.\n\n")
        .append("import type { Cruise, Easing, Follow, Stagger, Sway } from './document';\n");
    Map<String, Schema<?>> held = new LinkedHashMap<>();
    for (Command c : Commands.all()) {
      Tables.from(c.arguments()).schemas().stream().skip(1).forEach(s -> held.put(s.name(), s));
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
    return out.append(";\n").toString();
  }
}
