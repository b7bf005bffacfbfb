package rovingglyph.exports;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneBundle;
import rovingglyph.footage.KeptBitmaps;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.Shaper;

/** Makes the file of an export, of a scene or of a series, and keeps it. */
@Component
class ExportWork {
  /** Writes a file. */
  private interface Writing {
    void to(Path file, Bitmaps bitmaps) throws IOException;
  }

  private final ExportStore exports;
  private final Shaper shaper;
  private final KeptBitmaps kept;
  private final ProjectAssets assets;

  ExportWork(ExportStore exports, Shaper shaper, KeptBitmaps kept, ProjectAssets assets) {
    this.exports = exports;
    this.shaper = shaper;
    this.kept = kept;
    this.assets = assets;
  }

  /**
   * Does all of it.
   *
   * @throws IOException with what happened and what to do
   */
  void write(ExportStore.Export export, Progress progress) throws IOException {
    Scene scene = SceneBundle.read(exports.document(export.id()));
    if (export.format().equals(SeriesExport.ID)) {
      SeriesExport series = SeriesExport.parse(export.options(), exports.series(export.id()));
      write(
          export,
          ".zip",
          (file, bitmaps) ->
              series
                  .files(scene, assets.of(export.projectId()), shaper, bitmaps)
                  .writeZip(file, progress));
      return;
    }
    ExportFormat format = ExportFormats.of(export.format());
    if (format == null) {
      throw new IOException("This server does not know the format \"" + export.format() + "\"");
    }
    ExportOptions options = ExportOptions.parse(format, export.options());
    PreparedScene prepared = Preparation.prepare(ExportFormats.applied(scene, options), shaper);
    write(
        export,
        "." + format.words().extension(),
        (file, bitmaps) -> {
          Bitmaps.requireAll(bitmaps, prepared.scene());
          format.write(prepared, bitmaps, options, file, progress);
        });
  }

  private void write(ExportStore.Export export, String end, Writing writing) throws IOException {
    Path file = Files.createTempFile("roving-export", end);
    try (KeptBitmaps.Borrowed bitmaps = kept.borrow()) {
      writing.to(file, bitmaps);
      try (InputStream in = Files.newInputStream(file)) {
        exports.finish(export.id(), in);
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
