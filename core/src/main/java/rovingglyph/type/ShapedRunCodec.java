package rovingglyph.type;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;

/** Shaped runs as JSON, for the way from the server to the browser. */
public final class ShapedRunCodec {
  private ShapedRunCodec() {}

  /** A shaped text as the browser reads it. */
  public static JsonObject write(ShapedRun run) {
    JsonArray clusters = new JsonArray();
    for (Cluster c : run.clusters()) {
      JsonArray glyphs = new JsonArray();
      for (Cluster.Glyph g : c.glyphs()) {
        glyphs.add(g.outline()).add(g.dx()).add(g.dy());
      }
      JsonObject one = new JsonObject();
      one.add("text", c.text())
          .add("start", c.start())
          .add("advance", c.advance())
          .add("glyphs", glyphs);
      clusters.add(one.add("borrowed", c.borrowed()).add("missing", c.missing()));
    }
    JsonArray outlines = new JsonArray();
    run.outlines().forEach(o -> outlines.add(o.data()));
    return new JsonObject()
        .add("text", run.text())
        .add("clusters", clusters)
        .add("outlines", outlines)
        .add("ascent", run.ascent())
        .add("descent", run.descent())
        .add("xHeight", run.xHeight())
        .add("capHeight", run.capHeight())
        .add("rightToLeft", run.rightToLeft())
        .add("faceMissing", run.faceMissing());
  }

  /** Reads what {@link #write} wrote; anything else fails with a RuntimeException. */
  public static ShapedRun read(String json) {
    JsonObject o = Json.parse(json).asObject();
    List<Outline> outlines = new ArrayList<>();
    for (JsonValue d : o.get("outlines").asArray()) {
      outlines.add(Outline.of(d.asString()));
    }
    List<Cluster> clusters = new ArrayList<>();
    for (JsonValue v : o.get("clusters").asArray()) {
      JsonObject c = v.asObject();
      JsonArray g = c.get("glyphs").asArray();
      List<Cluster.Glyph> glyphs = new ArrayList<>();
      for (int i = 0; i + 2 < g.size(); i += 3) {
        glyphs.add(
            new Cluster.Glyph(g.get(i).asInt(), g.get(i + 1).asDouble(), g.get(i + 2).asDouble()));
      }
      clusters.add(
          new Cluster(
              c.getString("text", ""),
              c.getInt("start", 0),
              c.getDouble("advance", 0),
              glyphs,
              c.getString("borrowed", ""),
              c.getBoolean("missing", false)));
    }
    return new ShapedRun(
        o.getString("text", ""),
        clusters,
        outlines,
        o.getDouble("ascent", 0),
        o.getDouble("descent", 0),
        o.getDouble("xHeight", 0.5),
        o.getDouble("capHeight", 0.7),
        o.getBoolean("rightToLeft", false),
        o.getBoolean("faceMissing", false));
  }
}
