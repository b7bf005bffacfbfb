package rovingglyph.exports;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneBundle;
import rovingglyph.footage.KeptBitmaps;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.Part;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.Shaper;

/** Makes the file of an export, or a part of it, and keeps it. */
@Component
class ExportWork {
  /** Writes a file. */
  private interface Writing {
    void to(Path file) throws IOException;
  }

  /** Does something with a file that was written. */
  private interface Keeping {
    void keep(InputStream file) throws IOException;
  }

  private final ExportStore exports;
  private final ExportParts parts;
  private final Shaper shaper;
  private final KeptBitmaps kept;
  private final ProjectAssets assets;

  ExportWork(
      ExportStore exports,
      ExportParts parts,
      Shaper shaper,
      KeptBitmaps kept,
      ProjectAssets assets) {
    this.exports = exports;
    this.parts = parts;
    this.shaper = shaper;
    this.kept = kept;
    this.assets = assets;
  }

  /**
   * The parts in which it is made; one where it is made at once.
   *
   * @throws IOException with what happened and what to do
   */
  List<Part> parts(UUID id) throws IOException {
    return making(exports.get(id), Bitmaps.NONE).parts();
  }

  /**
   * Does all of it.
   *
   * @throws IOException with what happened and what to do
   */
  void write(UUID id, Progress progress) throws IOException {
    try (KeptBitmaps.Borrowed bitmaps = kept.borrow()) {
      Making making = making(exports.get(id), bitmaps);
      written(making, file -> making.write(file, progress), in -> exports.finish(id, in));
    }
  }

  /**
   * Does a part of it.
   *
   * @throws IOException with what happened and what to do
   */
  void writePart(UUID id, int number, Progress progress) throws IOException {
    try (KeptBitmaps.Borrowed bitmaps = kept.borrow()) {
      Making making = making(exports.get(id), bitmaps);
      Part part = parts.part(id, number);
      written(
          making,
          file -> making.writePart(part, file, progress),
          in -> parts.finish(id, number, in));
    }
  }

  /**
   * Joins its parts, all of which are there.
   *
   * @throws IOException with what happened and what to do
   */
  void join(UUID id, Progress progress) throws IOException {
    List<Path> files = new ArrayList<>();
    try (KeptBitmaps.Borrowed bitmaps = kept.borrow()) {
      ExportStore.Export export = exports.get(id);
      Making making = making(export, bitmaps);
      for (int number = 1; number <= parts.count(id); number++) {
        Path file = Files.createTempFile("roving-part", making.end());
        files.add(file);
        try (OutputStream out = Files.newOutputStream(file)) {
          exports.write(id, number, out);
        }
        progress.done(export.framesTotal());
      }
      written(making, file -> making.join(files, file, progress), in -> exports.finish(id, in));
    } finally {
      for (Path f : files) {
        Files.deleteIfExists(f);
      }
    }
  }

  private Making making(ExportStore.Export export, Bitmaps bitmaps) throws IOException {
    Scene scene = SceneBundle.read(exports.document(export.id()));
    if (export.format().equals(SeriesExport.ID)) {
      SeriesExport series = SeriesExport.parse(export.options(), exports.series(export.id()));
      return new Making.OfSeries(
          series.files(scene, assets.of(export.projectId()), shaper, bitmaps));
    }
    ExportFormat format = ExportFormats.of(export.format());
    if (format == null) {
      throw new IOException("This server does not know the format \"" + export.format() + "\"");
    }
    ExportOptions options = ExportOptions.parse(format, export.options());
    Scene applied = ExportFormats.applied(scene, options);
    return new Making.OfFile(format, applied, options, shaper, bitmaps);
  }

  private static void written(Making making, Writing writing, Keeping keeping) throws IOException {
    Path file = Files.createTempFile("roving-export", making.end());
    try {
      writing.to(file);
      try (InputStream in = Files.newInputStream(file)) {
        keeping.keep(in);
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
