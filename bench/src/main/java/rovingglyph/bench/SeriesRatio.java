package rovingglyph.bench;

import com.eclipsesource.json.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.series.Series;
import rovingglyph.series.SeriesFiles;
import rovingglyph.series.Table;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.values.Assets;
import rovingglyph.values.SceneField;
import rovingglyph.values.SceneValues;

/**
 * A series of 200 rows as MP4 against each of its files made by itself, from its document on; in
 * turn, twenty at a time, so that a drift of the machine's speed falls on both.
 */
final class SeriesRatio {
  private static final int ROWS = 200;
  private static final int AT_ONCE = 20;

  private static final Assets NONE =
      new Assets() {
        @Override
        public String face(String name) {
          return null;
        }

        @Override
        public KnownPicture picture(String name) {
          return null;
        }
      };

  private SeriesRatio() {}

  static void run(Path document) throws IOException {
    Scene scene = SceneCodec.read(Files.readString(document));
    Shaper shaper = new Shaper(FaceCatalogue.shipped());
    ExportFormat mp4 = ExportFormats.of("mp4");
    ExportOptions options =
        ExportOptions.read(mp4, Fields.of(Json.parse("{\"size\":25,\"to\":49}")));
    List<SeriesFiles.Asked> asked = List.of(new SeriesFiles.Asked(mp4, options));
    Path folder = Files.createTempDirectory("roving-bench");
    Path out = folder.resolve("out");
    double together = 0;
    double alone = 0;
    try {
      for (int from = 0; from < ROWS; from += AT_ONCE) {
        Series series = series(scene, from);
        long begun = System.nanoTime();
        new SeriesFiles(scene, series, asked, NONE, shaper, Bitmaps.NONE)
            .writeZip(out, new Progress());
        together += (System.nanoTime() - begun) / 1e9;
        for (int row = 0; row < AT_ONCE; row++) {
          String varied = SceneCodec.write(SceneValues.applied(scene, series.values(row), NONE));
          begun = System.nanoTime();
          Scene one = ExportFormats.applied(SceneCodec.read(varied), options);
          mp4.write(Preparation.prepare(one, shaper), Bitmaps.NONE, options, out, new Progress());
          alone += (System.nanoTime() - begun) / 1e9;
        }
      }
    } finally {
      Files.deleteIfExists(out);
      Files.deleteIfExists(folder);
    }
    System.out.printf(
        "Series of %d rows as MP4: %.1f s together, %.1f s one by one; ratio %.3f (goal 1.15)%n",
        ROWS, together, alone, together / alone);
  }

  private static Series series(Scene scene, int from) {
    StringBuilder csv = new StringBuilder("Words,Colour\n");
    for (int i = from; i < from + AT_ONCE; i++) {
      csv.append("kite number ")
          .append(i)
          .append(",#")
          .append("%06X".formatted(i * 4001))
          .append('\n');
    }
    try {
      byte[] file = csv.toString().getBytes(StandardCharsets.UTF_8);
      return Series.of(Table.read(file), SceneField.of(scene));
    } catch (Table.Unusable e) {
      throw new IllegalStateException(e);
    }
  }
}
