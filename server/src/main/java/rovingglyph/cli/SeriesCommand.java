package rovingglyph.cli;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.series.Series;
import rovingglyph.series.SeriesCheck;
import rovingglyph.series.SeriesFiles;
import rovingglyph.series.Table;
import rovingglyph.shaping.Shaper;
import rovingglyph.values.SceneField;
import rovingglyph.values.SceneValues;

/**
 * {@code series}: files of every row of a table.
 *
 * @param matches what columns are for, as HEADING=ITEM.FIELD
 * @param err where is said what columns were found to be for
 */
record SeriesCommand(
    Inputs inputs, List<SceneValues.Value> values, List<String> matches, PrintStream err) {
  /** Told how far a file is; true, so that it goes on. */
  interface Telling {
    boolean how(String file, String state, int frames, int of);
  }

  /**
   * Does it.
   *
   * @param words the document or project file, the table, and where it goes
   * @param tell told how far it is; null where nobody asked
   */
  void run(List<String> words, Map<String, String> options, Telling tell) throws IOException {
    String formats = options.remove("formats");
    if (formats == null) {
      throw new Refused("series needs --formats, such as --formats mp4,svg\n" + CommandLine.USAGE);
    }
    List<SeriesFiles.Asked> files =
        WrittenFile.ofFormats(List.of(formats.split(",")), options).stream()
            .map(f -> new SeriesFiles.Asked(f.format(), f.options()))
            .toList();
    Scene scene = inputs.scene(Path.of(words.get(0)), values, true);
    FolderAssets assets = inputs.assets();
    Series series = matched(Path.of(words.get(1)), scene);
    SeriesCheck check = new SeriesCheck(series, scene, assets);
    String bad = check.bad();
    if (bad != null) {
      throw new Refused(words.get(1) + ": " + bad);
    }
    for (Series.Column c : series.columns()) {
      err.println("“" + c.heading() + "”: " + (c.field().isEmpty() ? "not used" : c.field()));
    }
    SeriesFiles writer =
        new SeriesFiles(scene, series, files, assets, new Shaper(inputs.faces()), inputs.bitmaps());
    String out = words.get(2);
    int all = SeriesFiles.frames(scene, series, files);
    Progress progress =
        tell == null ? new Progress() : new Progress(n -> tell.how(out, "frame", n, all));
    if (out.endsWith("/")) {
      writer.writeFolder(Path.of(out), progress);
    } else if (out.endsWith(".zip")) {
      writer.writeZip(Path.of(out), progress);
    } else {
      throw new Refused("A series goes into a .zip file or a folder, which ends in /, not " + out);
    }
    if (tell != null) {
      tell.how(out, "done", progress.frames(), progress.frames());
    }
  }

  /** The table, its columns matched by their headings and as it was asked for. */
  private Series matched(Path file, Scene scene) throws IOException {
    List<SceneField> fields = SceneField.of(scene);
    try {
      Series series = Series.of(Table.read(Files.readAllBytes(file)), fields);
      List<String> columns =
          new ArrayList<>(series.columns().stream().map(Series.Column::field).toList());
      for (String m : matches) {
        int equals = m.lastIndexOf('=');
        List<String> headings = series.columns().stream().map(Series.Column::heading).toList();
        int at = headings.indexOf(m.substring(0, Math.max(0, equals)));
        if (at < 0) {
          throw new Refused("--match " + m + ": the table has " + String.join(", ", headings));
        }
        columns.set(at, m.substring(equals + 1));
      }
      return series.matched(columns);
    } catch (Table.Unusable e) {
      throw new Refused(file + ": " + e.getMessage());
    }
  }
}
