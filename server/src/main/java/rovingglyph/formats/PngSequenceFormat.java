package rovingglyph.formats;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.Progress;

/** Every frame as a PNG of its own, numbered, in one ZIP. */
final class PngSequenceFormat implements ExportFormat {
  /** The number of the first frame in the file names. */
  private static final ExportOption FIRST =
      new ExportOption("first", "First number", "", 0, 900_000, 0, true, false);

  /** File names sort by number wherever they are shown: they have at least so many digits. */
  private static final int LEAST_DIGITS = 4;

  @Override
  public String id() {
    return "png-sequence";
  }

  @Override
  public String label() {
    return "PNG sequence";
  }

  @Override
  public String noun() {
    return "sequence";
  }

  @Override
  public String use() {
    return "Every frame, numbered, in one ZIP; keeps transparency";
  }

  @Override
  public String extension() {
    return "zip";
  }

  @Override
  public String mediaType() {
    return "application/zip";
  }

  @Override
  public List<ExportOption> options() {
    return List.of(ExportOption.SIZE, FIRST);
  }

  @Override
  public int images() {
    // The one painted, and its bytes as a PNG.
    return 2;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    boolean done = false;
    try (OutputStream file = Files.newOutputStream(out);
        ZipOutputStream zip = new ZipOutputStream(file);
        FramePainter painter = new FramePainter(scene, bitmaps, options.scale())) {
      // PNG is packed already.
      zip.setMethod(ZipOutputStream.STORED);
      int frames = scene.scene().frameCount();
      int first = (int) options.number(FIRST);
      int digits = Math.max(LEAST_DIGITS, Integer.toString(first + frames - 1).length());
      String name = FileNames.plain(scene.scene().name());
      for (int f = 0; f < frames; f++) {
        progress.done(f);
        byte[] png = painter.png(scene.scene().rate().timeOf(f));
        zip.putNextEntry(entry(name + "-" + padded(first + f, digits) + ".png", png));
        zip.write(png);
        zip.closeEntry();
      }
      progress.done(frames);
      done = true;
    } finally {
      if (!done) {
        Files.deleteIfExists(out);
      }
    }
  }

  private static ZipEntry entry(String name, byte[] bytes) {
    ZipEntry e = new ZipEntry(name);
    CRC32 sum = new CRC32();
    sum.update(bytes);
    e.setSize(bytes.length);
    e.setCompressedSize(bytes.length);
    e.setCrc(sum.getValue());
    return e;
  }

  private static String padded(int number, int digits) {
    String s = Integer.toString(number);
    return "0".repeat(digits - s.length()) + s;
  }
}
