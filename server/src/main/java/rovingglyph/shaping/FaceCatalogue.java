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
import java.util.stream.Stream;

/** The shipped typefaces, and those of a folder for the command line. */
public final class FaceCatalogue {
  /** Characters that a face lacks are drawn in this one. */
  public static final String FALLBACK = "dejavu-sans";

  private final Map<String, Face> faces = new LinkedHashMap<>();

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
      c.add(
          new Face(
              o.getString("id", ""),
              o.getString("name", ""),
              o.getString("character", ""),
              List.copyOf(axes),
              resource(o.getString("file", ""))));
    }
    return c;
  }

  /** Adds every .ttf and .otf of a folder under its file name without the ending. */
  public FaceCatalogue with(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      for (Path p : files.sorted().toList()) {
        String name = p.getFileName().toString();
        String lower = name.toLowerCase(Locale.ROOT);
        if (lower.endsWith(".ttf") || lower.endsWith(".otf")) {
          String id = name.substring(0, name.length() - 4);
          add(new Face(id, id, "", List.of(), Files.readAllBytes(p)));
        }
      }
    }
    return this;
  }

  private void add(Face f) {
    faces.put(f.id(), f);
  }

  public List<Face> all() {
    return List.copyOf(faces.values());
  }

  /** Null if there is none with this id. */
  public Face find(String id) {
    return faces.get(id);
  }

  public Face fallback() {
    return faces.get(FALLBACK);
  }

  private static byte[] resource(String file) {
    try (InputStream in = FaceCatalogue.class.getResourceAsStream("/faces/" + file)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
