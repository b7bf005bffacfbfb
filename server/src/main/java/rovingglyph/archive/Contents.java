package rovingglyph.archive;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.eclipsesource.json.WriterConfig;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.JsonText;
import rovingglyph.schema.Problem;

/**
 * What a project file says of itself in its {@code project.json}.
 *
 * @param fileNames how its finished files are called; null as the server has it
 * @param keepDays how long these stay; null as the server has it
 * @param unknown what it holds that this version does not know
 */
public record Contents(
    String name,
    String fileNames,
    Integer keepDays,
    Map<PartKind, List<Part>> parts,
    List<String> unknown) {
  /**
   * A part of a project.
   *
   * @param id by which others name it; empty where none does
   * @param file in which it lies
   */
  public record Part(String id, String name, String file) {}

  static final String FORMAT = "roving-glyph-project";
  static final int VERSION = 1;

  /** The longest that {@code project.json} is, characters. */
  static final int LONGEST = 4_000_000;

  private static final int LONGEST_NAME = 200;
  private static final int LONGEST_FILE = 400;

  /** The parts of one kind, in order. */
  public List<Part> of(PartKind kind) {
    return parts.getOrDefault(kind, List.of());
  }

  /** As {@code project.json} has it. */
  String text() {
    JsonObject out =
        new JsonObject().add("format", FORMAT).add("version", VERSION).add("name", name);
    if (fileNames != null) {
      out.add("fileNames", fileNames);
    }
    if (keepDays != null) {
      out.add("keepDays", keepDays);
    }
    for (PartKind kind : PartKind.values()) {
      JsonArray list = new JsonArray();
      for (Part p : of(kind)) {
        JsonObject o = new JsonObject();
        if (!p.id().isEmpty()) {
          o.add("id", p.id());
        }
        list.add(o.add("name", p.name()).add("file", p.file()));
      }
      if (!list.isEmpty()) {
        out.add(kind.list(), list);
      }
    }
    return out.toString(WriterConfig.PRETTY_PRINT);
  }

  /**
   * What a {@code project.json} says.
   *
   * @throws UnusableFileException with everything that is wrong
   */
  static Contents read(String text) throws UnusableFileException {
    try {
      JsonValue value = JsonText.read(text, LONGEST);
      Fields f = Fields.of(value);
      checkVersion(f);
      Contents out = read(f);
      f.check();
      return out;
    } catch (DocumentException e) {
      throw new UnusableFileException(
          "project.json: "
              + e.problems().stream().map(Problem::sentence).collect(Collectors.joining("; ")));
    }
  }

  private static void checkVersion(Fields f) throws UnusableFileException {
    if (!f.text("format", LONGEST_NAME, "").equals(FORMAT)) {
      throw new UnusableFileException("This ZIP is no project file: project.json does not say so");
    }
    int version = f.integer("version", 1, Integer.MAX_VALUE, 0);
    f.check();
    if (version > VERSION) {
      throw new UnusableFileException(
          "The project file is of version %d, and this server reads up to %d: bring the server up to date"
              .formatted(version, VERSION));
    }
  }

  private static Contents read(Fields f) {
    String name = f.text("name", LONGEST_NAME, "").strip();
    String fileNames = f.text("fileNames", 1000, null);
    Integer days =
        f.has("keepDays") ? (Integer) f.integer("keepDays", 0, Integer.MAX_VALUE, 0) : null;
    Map<PartKind, List<Part>> parts = new EnumMap<>(PartKind.class);
    Set<String> known = new HashSet<>(Set.of("format", "version", "name", "fileNames", "keepDays"));
    Set<String> ids = new HashSet<>();
    for (PartKind kind : PartKind.values()) {
      known.add(kind.list());
      parts.put(kind, f.list(kind.list(), kind.most(), p -> part(p, kind, ids)));
    }
    List<String> unknown = new ArrayList<>(f.names());
    unknown.removeAll(known);
    return new Contents(
        name.isEmpty() ? "Project" : name, fileNames, days, parts, List.copyOf(unknown));
  }

  private static Part part(Fields f, PartKind kind, Set<String> ids) {
    String id = kind.isNamed() ? f.id("id") : "";
    if (!id.isEmpty() && !ids.add(id)) {
      f.problem("id", "is there twice: " + id, "one of its own");
    }
    if (!id.matches("[A-Za-z0-9-]*")) {
      f.problem("id", "has other characters than letters, digits and hyphens", "");
    }
    String file = f.text("file", LONGEST_FILE, "");
    if (file.isEmpty()) {
      f.problem("file", "is missing", "the file of the part");
    }
    return new Part(id, f.text("name", LONGEST_NAME, "").strip(), file);
  }
}
