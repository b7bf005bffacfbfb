package rovingglyph.series;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.FileNames;
import rovingglyph.formats.Part;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.type.TypeSource;
import rovingglyph.values.Assets;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneValues;

/** The files of a series: one row after another, none kept once it is written. */
public final class SeriesFiles {
  /** A file that each row becomes. */
  public record Asked(ExportFormat format, ExportOptions options) {}

  /** Where files go, by their names. */
  private interface Target {
    /** Where the next one is written. */
    Path file(String name) throws IOException;

    /** It is whole. */
    void done(String name, Path file) throws IOException;
  }

  private static final int LONGEST_NAME = 60;

  private final Scene scene;
  private final Series series;
  private final List<Asked> files;
  private final Assets assets;
  private final TypeSource shaper;
  private final Bitmaps bitmaps;

  /**
   * @param scene that the rows vary
   * @param files that each row becomes
   */
  public SeriesFiles(
      Scene scene,
      Series series,
      List<Asked> files,
      Assets assets,
      TypeSource shaper,
      Bitmaps bitmaps) {
    this.scene = scene;
    this.series = series;
    this.files = List.copyOf(files);
    this.assets = assets;
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  /** Frames of all files, where every row is as long as the scene. */
  public static int frames(Scene scene, Series series, List<Asked> files) {
    long one =
        files.stream()
            .mapToLong(
                f -> f.format().frames(ExportFormats.applied(scene, f.options()), f.options()))
            .sum();
    return (int) Math.min(Integer.MAX_VALUE, one * series.rows().size());
  }

  /**
   * Writes all into one ZIP.
   *
   * @throws IOException with the row, where one cannot be made
   */
  public void writeZip(Path zip, Progress progress) throws IOException {
    writePart(new Part(0, series.rows().size()), zip, progress);
  }

  /** The rows that are best made together. */
  public List<Part> parts() {
    int rows = series.rows().size();
    return Part.cutRows(rows, Math.max(1, frames(scene, series, files) / rows));
  }

  /** Writes the files of some rows into one ZIP, under the names that they have in the whole. */
  public void writePart(Part rows, Path zip, Progress progress) throws IOException {
    try (OutputStream to = Files.newOutputStream(zip);
        ZipOutputStream out = new ZipOutputStream(to, StandardCharsets.UTF_8)) {
      write(rows, new Zipped(out), progress);
    }
  }

  /** Writes the ZIP of all rows from those of its parts. */
  public static void join(List<Path> parts, Path zip) throws IOException {
    try (OutputStream to = Files.newOutputStream(zip);
        ZipOutputStream out = new ZipOutputStream(to, StandardCharsets.UTF_8)) {
      for (Path part : parts) {
        try (ZipInputStream in =
            new ZipInputStream(
                new BufferedInputStream(Files.newInputStream(part)), StandardCharsets.UTF_8)) {
          for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
            put(out, e.getName());
            in.transferTo(out);
            out.closeEntry();
          }
        }
      }
    }
  }

  private static void put(ZipOutputStream out, String name) throws IOException {
    // Films and pictures are packed already.
    boolean text = name.matches(".*\\.(svg|html|vtt|srt)");
    out.setLevel(text ? Deflater.DEFAULT_COMPRESSION : Deflater.NO_COMPRESSION);
    out.putNextEntry(new ZipEntry(name));
  }

  private record Zipped(ZipOutputStream out) implements Target {
    @Override
    public Path file(String name) throws IOException {
      return Files.createTempFile("roving-series", name.substring(name.lastIndexOf('.')));
    }

    @Override
    public void done(String name, Path file) throws IOException {
      put(out, name);
      Files.copy(file, out);
      out.closeEntry();
      Files.delete(file);
    }
  }

  private record InFolder(Path folder) implements Target {
    @Override
    public Path file(String name) {
      return folder.resolve(name);
    }

    @Override
    public void done(String name, Path file) {
      // It lies where it belongs.
    }
  }

  /** The same into a folder; files that are there already under these names are replaced. */
  public void writeFolder(Path folder, Progress progress) throws IOException {
    Files.createDirectories(folder);
    write(new Part(0, series.rows().size()), new InFolder(folder), progress);
  }

  private void write(Part rows, Target target, Progress progress) throws IOException {
    Set<String> taken = new HashSet<>();
    for (int row = 0; row < rows.first(); row++) {
      for (Asked asked : files) {
        free(row, asked.format(), taken);
      }
    }
    for (int row = rows.first(); row < rows.first() + rows.count(); row++) {
      try {
        Scene varied = SceneValues.applied(scene, series.values(row), assets);
        for (Asked asked : files) {
          one(varied, asked, free(row, asked.format(), taken), target, progress);
        }
      } catch (Bitmaps.NotReady e) {
        throw new Bitmaps.NotReady("Row " + (row + 1) + ": " + e.getMessage());
      } catch (BadValueException | DocumentException | IOException e) {
        throw new IOException("Row " + (row + 1) + ": " + e.getMessage(), e);
      }
    }
  }

  /** The name of a file; no two are the same in any case of letters. */
  private String free(int row, ExportFormat format, Set<String> taken) {
    String end = format.words().extension();
    long alike = files.stream().filter(f -> f.format().words().extension().equals(end)).count();
    String base = base(row) + (alike > 1 ? "-" + format.id() : "");
    String out = base + "." + end;
    for (int n = 2; !taken.add(out.toLowerCase(Locale.ROOT)); n++) {
      out = base + "-" + n + "." + end;
    }
    return out;
  }

  /** The name that the row has for its files, else its number and its first words. */
  private String base(int row) {
    String own = series.fileName(row);
    String plain = FileNames.plain(own.isEmpty() ? series.words(row) : own);
    int most = Math.min(LONGEST_NAME, plain.codePointCount(0, plain.length()));
    String cut = plain.substring(0, plain.offsetByCodePoints(0, most));
    int digits = Integer.toString(series.rows().size()).length();
    return own.isEmpty() ? ("%0" + digits + "d-%s").formatted(row + 1, cut) : cut;
  }

  private void one(Scene varied, Asked asked, String name, Target target, Progress progress)
      throws IOException {
    ExportFormat format = asked.format();
    Scene applied = ExportFormats.applied(varied, asked.options());
    String reason = ExportFormats.unsupportedReason(format, applied, asked.options());
    if (reason != null) {
      throw new IOException(reason);
    }
    Bitmaps.requireAll(bitmaps, applied);
    PreparedScene prepared = Preparation.prepare(applied, shaper);
    Path file = target.file(name);
    try {
      format.write(prepared, bitmaps, asked.options(), file, progress);
      target.done(name, file);
      progress.next();
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(file);
      throw e;
    }
  }
}
