package rovingglyph.exports;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.render.Bitmaps;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.series.Series;
import rovingglyph.series.SeriesFiles;
import rovingglyph.type.TypeSource;
import rovingglyph.values.Assets;

/** What is asked for of a series: files of each row. */
record SeriesExport(Series series, List<SeriesFiles.Asked> asked) {
  /** In the place of a format. */
  static final String ID = "series";

  /** Files that each row becomes at most. */
  private static final int MOST_FILES = 20;

  /** As a client asks for it; what is wrong becomes a problem of the fields. */
  static SeriesExport read(Fields f, Series series) {
    List<SeriesFiles.Asked> asked = f.list("files", MOST_FILES, SeriesExport::file);
    if (asked.isEmpty()) {
      f.problem("files", "names no file", "1 to " + MOST_FILES + " formats with their options");
    }
    return new SeriesExport(series, asked);
  }

  private static SeriesFiles.Asked file(Fields f) {
    ExportFormat format = ExportFormats.of(f.text("format", 80, ""));
    if (format == null) {
      f.problem("format", "is not known", FormatController.ids());
      return null;
    }
    return new SeriesFiles.Asked(format, ExportOptions.read(format, f.object("options")));
  }

  /** As it was written by {@link #options} and the series itself. */
  static SeriesExport parse(String options, String series) {
    return read(Fields.of(Json.parse(options)), Series.parse(Json.parse(series)));
  }

  /** What is kept of it beside the series. */
  String options() {
    JsonArray files = new JsonArray();
    for (SeriesFiles.Asked a : asked) {
      files.add(
          new JsonObject().add("format", a.format().id()).add("options", a.options().values()));
    }
    return new JsonObject().add("files", files).add("rows", series.rows().size()).toString();
  }

  /** Such options in words. */
  static String words(String options) {
    JsonObject o = Json.parse(options).asObject();
    List<String> formats = new ArrayList<>();
    for (JsonValue f : o.get("files").asArray()) {
      formats.add(f.asObject().getString("format", ""));
    }
    int rows = o.getInt("rows", 0);
    return rows
        + (rows == 1 ? " row as " : " rows as ")
        + formats.stream().distinct().collect(Collectors.joining(", "));
  }

  SeriesFiles files(Scene scene, Assets assets, TypeSource shaper, Bitmaps bitmaps) {
    return new SeriesFiles(scene, series, asked, assets, shaper, bitmaps);
  }
}
