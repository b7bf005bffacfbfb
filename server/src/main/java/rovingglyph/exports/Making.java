package rovingglyph.exports;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.FormatInParts;
import rovingglyph.formats.Part;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.series.SeriesFiles;
import rovingglyph.type.TypeSource;

/**
 * How the file of an export is made, at once or in parts. All of it may be asked on any node, and
 * says the same there.
 */
interface Making {
  /** The end of its name, with the dot. */
  String end();

  /** One where it is made at once. */
  List<Part> parts();

  /** Writes all of it. */
  void write(Path out, Progress progress) throws IOException;

  /** Writes one of several parts. */
  void writePart(Part part, Path out, Progress progress) throws IOException;

  /** Writes all of it from what was written of its parts. */
  void join(List<Path> parts, Path out, Progress progress) throws IOException;

  /** A file of a scene. */
  record OfFile(
      ExportFormat format, Scene scene, ExportOptions options, TypeSource shaper, Bitmaps bitmaps)
      implements Making {
    @Override
    public String end() {
      return "." + format.words().extension();
    }

    @Override
    public List<Part> parts() {
      return format instanceof FormatInParts f ? f.parts(scene, options) : Part.whole(1);
    }

    @Override
    public void write(Path out, Progress progress) throws IOException {
      format.write(prepared(), bitmaps, options, out, progress);
    }

    @Override
    public void writePart(Part part, Path out, Progress progress) throws IOException {
      inParts().writePart(prepared(), bitmaps, options, part, out, progress);
    }

    @Override
    public void join(List<Path> parts, Path out, Progress progress) throws IOException {
      Bitmaps.requireAll(bitmaps, scene);
      inParts().join(scene, bitmaps, options, parts, out, progress);
    }

    private FormatInParts inParts() {
      return (FormatInParts) format;
    }

    private PreparedScene prepared() throws IOException {
      Bitmaps.requireAll(bitmaps, scene);
      ExportFormats.requireMemory(format, scene, options);
      return Preparation.prepare(scene, shaper);
    }
  }

  /** The files of a series in a ZIP; parts are rows. */
  record OfSeries(SeriesFiles files) implements Making {
    @Override
    public String end() {
      return ".zip";
    }

    @Override
    public List<Part> parts() {
      return files.parts();
    }

    @Override
    public void write(Path out, Progress progress) throws IOException {
      files.writeZip(out, progress);
    }

    @Override
    public void writePart(Part part, Path out, Progress progress) throws IOException {
      files.writePart(part, out, progress);
    }

    @Override
    public void join(List<Path> parts, Path out, Progress progress) throws IOException {
      SeriesFiles.join(parts, out);
    }
  }
}
