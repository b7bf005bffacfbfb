package rovingglyph.shaping;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** The shipped typefaces, and those of a folder for the command line. */
public final class FaceCatalogue implements FaceSource {
  /** Characters that a face lacks are drawn in this one. */
  public static final String FALLBACK = "dejavu-sans";

  private final Map<String, Face> faces = new LinkedHashMap<>();
  private final Map<String, Optional<Face>> scripts = new ConcurrentHashMap<>();

  private FaceCatalogue() {}

  public static FaceCatalogue shipped() {
    FaceCatalogue c = new FaceCatalogue();
    String list = new String(resource("faces.json"), StandardCharsets.UTF_8);
    for (JsonValue v : Json.parse(list).asArray()) {
      JsonObject o = v.asObject();
      List<Face.Axis> axes = new ArrayList<>();
      for (JsonValue a : o.get("axes").asArray()) {
        JsonObject x = a.asObject();
        axes.add(
            new Face.Axis(
                x.getString("tag", ""),
                x.getString("name", ""),
                x.getDouble("least", 0),
                x.getDouble("greatest", 0),
                x.getDouble("start", 0)));
      }
      List<String> files = new ArrayList<>();
      o.get("files").asArray().forEach(f -> files.add(f.asString()));
      c.add(face(o, List.copyOf(axes), files));
    }
    return c;
  }

  private static Face face(JsonObject o, List<Face.Axis> axes, List<String> files) {
    String id = o.getString("id", "");
    String name = o.getString("name", "");
    String character = o.getString("character", "");
    List<Face> more = new ArrayList<>();
    for (String file : files.subList(1, files.size())) {
      byte[] data = resource(file);
      String own = id + "/" + file;
      more.add(new Face(own, name, character, axes, SfntFacts.of(data), data, List.of()));
    }
    byte[] data = resource(files.get(0));
    return new Face(id, name, character, axes, SfntFacts.of(data), data, List.copyOf(more));
  }

  /**
   * Adds every .ttf, .otf, .woff and .woff2 of a folder under its file name without the ending.
   *
   * @throws IOException also for a font that cannot be used, with its name and the reason
   */
  public FaceCatalogue with(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      for (Path p : files.sorted().toList()) {
        String name = p.getFileName().toString();
        String lower = name.toLowerCase(Locale.ROOT);
        if (lower.matches(".*\\.(ttf|otf|woff2?)")) {
          String id = name.substring(0, name.lastIndexOf('.'));
          try {
            add(of(id, FontFile.read(Files.readAllBytes(p))));
          } catch (FontFile.Unusable e) {
            throw new IOException(name + ": " + e.getMessage(), e);
          }
        }
      }
    }
    return this;
  }

  /** A face from a plain OpenType file, as it tells of itself. */
  public static Face of(String id, byte[] data) {
    Face.Facts facts = SfntFacts.of(data);
    String name = (facts.family() + " " + facts.style()).strip();
    String character = facts.ownAxes().isEmpty() ? "" : "variable";
    return new Face(
        id, name.isEmpty() ? id : name, character, facts.ownAxes(), facts, data, List.of());
  }

  private void add(Face f) {
    faces.put(f.id(), f);
  }

  public List<Face> all() {
    return List.copyOf(faces.values());
  }

  @Override
  public Face find(String id) {
    return faces.get(id);
  }

  @Override
  public Face fallback() {
    return faces.get(FALLBACK);
  }

  @Override
  public Face fallback(Character.UnicodeScript script) {
    String file =
        switch (script) {
          case HAN, HIRAGANA, KATAKANA, BOPOMOFO -> "cjk";
          default -> script.name().toLowerCase(Locale.ROOT);
        };
    // Read when a text first asks for it: most never do.
    return scripts.computeIfAbsent(file, FaceCatalogue::ofScript).orElse(null);
  }

  private static Optional<Face> ofScript(String file) {
    if (FaceCatalogue.class.getResource("/faces/scripts/" + file + ".ttf") == null) {
      return Optional.empty();
    }
    return Optional.of(of("script-" + file, resource("scripts/" + file + ".ttf")));
  }

  private static byte[] resource(String file) {
    try (InputStream in = FaceCatalogue.class.getResourceAsStream("/faces/" + file)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
