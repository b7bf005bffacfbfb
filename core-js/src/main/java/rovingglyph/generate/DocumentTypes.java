package rovingglyph.generate;

import java.util.List;
import java.util.stream.Collectors;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Easing;
import rovingglyph.schema.Field;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Spelling;
import rovingglyph.schema.Tables;

/** The scene document as types of TypeScript. */
final class DocumentTypes {
  private static final String EASINGS =
      "export type EasingName = "
          + List.of(Easing.Kind.values()).stream()
              .map(k -> "'" + Spelling.of(k) + "'")
              .collect(Collectors.joining(" | "))
          + ";\n\n/** A word, an own curve, or one by numbers. */\n"
          + "export type Easing =\n  | EasingName\n  | [number, number, number, number]\n"
          + "  | { spring: number[] }\n  | { bounce: number[] }\n  | { steps: number[] }\n"
          + "  | { list: number[] };\n\n"
          + "/** A number, or one that moves. */\nexport type Movable = number | Motion;\n\n"
          + "/** A colour #RRGGBB, or one that moves. */\n"
          + "export type MovableColour = string | MovingColour;\n";

  private final StringBuilder out = new StringBuilder();

  private DocumentTypes() {}

  static String text() {
    Tables all = Tables.from(SceneCodec.schema());
    DocumentTypes types = new DocumentTypes();
    types
        .out
        .append("// Written by the build from the tables of the core (rovingglyph.document);")
        .append(" changes here are lost.\n\n")
        .append(EASINGS);
    all.shared().forEach(types::shared);
    all.schemas().forEach(types::schema);
    all.kinds().forEach(types::kinds);
    all.schemas().forEach(types::plain);
    return types.out.toString();
  }

  private void shared(Schema.Shared<?> s) {
    out.append("\nexport interface ").append(s.name()).append(" {\n");
    s.fields().forEach(f -> out.append(member(f)));
    out.append("}\n");
  }

  private void schema(Schema<?> s) {
    out.append("\nexport interface ").append(s.name());
    if (!s.shared().isEmpty()) {
      out.append(" extends ")
          .append(s.shared().stream().map(Schema.Shared::name).collect(Collectors.joining(", ")));
    }
    out.append(" {\n");
    if (s.kind() != null) {
      out.append("  kind: '").append(s.kind()).append("';\n");
    }
    s.own().forEach(f -> out.append(member(f)));
    out.append("}\n");
  }

  /** One field of an interface, with what is said of it. */
  static String member(Field<?, ?> f) {
    String about = f.about().isEmpty() ? "" : "  /** " + sentence(f.about()) + " */\n";
    boolean may = f.presence() == Field.Presence.DIFFERING;
    boolean none = f.fallback() == null && f.presence() == Field.Presence.WRITTEN;
    String type = f.type().typescript() + (none ? " | null" : "");
    return about + "  " + f.name() + (may ? "?: " : ": ") + type + ";\n";
  }

  private static String sentence(String about) {
    return Character.toUpperCase(about.charAt(0)) + about.substring(1) + ".";
  }

  private void kinds(Kinds<?> k) {
    out.append("\nexport type ")
        .append(k.name())
        .append(" =")
        .append(k.kinds().stream().map(s -> "\n  | " + s.name()).collect(Collectors.joining()))
        .append(";\n");
  }

  /** An object that leaves everything to its defaults, where it can. */
  private void plain(Schema<?> s) {
    boolean can =
        s.shared().isEmpty()
            && s.own().stream().noneMatch(f -> f.presence() == Field.Presence.REQUIRED);
    if (!can) {
      return;
    }
    out.append("\nexport const plain")
        .append(s.name())
        .append(": ")
        .append(s.name())
        .append(" = {\n");
    for (Field<?, ?> f : s.own()) {
      if (f.presence() == Field.Presence.WRITTEN) {
        out.append("  ").append(f.name()).append(": ").append(Tables.fallback(f)).append(",\n");
      }
    }
    out.append("};\n");
  }
}
