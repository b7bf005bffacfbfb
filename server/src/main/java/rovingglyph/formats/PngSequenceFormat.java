package rovingglyph.formats;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.scene.Scene;

/** Every frame as a PNG of its own, numbered, in one ZIP. */
public final class PngSequenceFormat implements FormatInParts {
  private static final FormatWords WORDS =
      new FormatWords(
          "png-sequence",
          FormatWords.Group.FRAMES,
          "PNG sequence",
          "sequence",
          "Every frame, numbered, in one ZIP; keeps transparency",
          "zip",
          "application/zip");

  /** The number of the first frame in the file names. */
  private static final NumberOption FIRST =
      NumberOption.whole("first", "First number", 0, 900_000, 0);

  /** File names sort by number wherever they are shown: they have at least so many digits. */
  private static final int LEAST_DIGITS = 4;

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    List<ExportOption> out = new ArrayList<>(List.of(FrameOptions.SIZE, StillFormat.DEPTH, FIRST));
    out.addAll(FrameOptions.RANGE);
    out.add(FrameOptions.SAMPLES);
    out.add(FrameOptions.GROUND);
    return out;
  }

  @Override
  public int frames(Scene scene, ExportOptions options) {
    return FrameOptions.range(scene, options).count();
  }

  @Override
  public int images() {
    // The one painted, which may have two bytes for a colour, and its bytes as a PNG.
    return 4;
  }

  @Override
  public String unsupportedReason(Scene scene, ExportOptions options) {
    return FrameOptions.outOfRange(scene, options);
  }

  /** Takes the frames one after another. */
  private interface Frames {
    void take(String name, byte[] png) throws IOException;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Part all = new Part(0, frames(scene.scene(), options));
    writePart(scene, bitmaps, options, all, out, progress);
  }

  @Override
  public List<Part> parts(Scene scene, ExportOptions options) {
    return Part.cut(frames(scene, options), 1);
  }

  @Override
  public void writePart(
      PreparedScene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      Part part,
      Path out,
      Progress progress)
      throws IOException {
    zip(out, to -> frames(scene, bitmaps, options, part, progress, to));
  }

  @Override
  public void join(
      Scene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      List<Path> parts,
      Path out,
      Progress progress)
      throws IOException {
    zip(
        out,
        to -> {
          for (Path part : parts) {
            try (InputStream file = new BufferedInputStream(Files.newInputStream(part));
                ZipInputStream in = new ZipInputStream(file)) {
              for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                to.take(e.getName(), in.readAllBytes());
              }
            }
          }
        });
  }

  /** What is put into a ZIP. */
  private interface Content {
    void give(Frames to) throws IOException;
  }

  private static void zip(Path out, Content content) throws IOException {
    boolean done = false;
    try (OutputStream file = new BufferedOutputStream(Files.newOutputStream(out));
        ZipOutputStream zip = new ZipOutputStream(file)) {
      // PNG is packed already.
      zip.setMethod(ZipOutputStream.STORED);
      content.give(
          (name, png) -> {
            zip.putNextEntry(entry(name, png));
            zip.write(png);
            zip.closeEntry();
          });
      done = true;
    } finally {
      if (!done) {
        Files.deleteIfExists(out);
      }
    }
  }

  /** Gives out frames as PNG files with their names. */
  private static void frames(
      PreparedScene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      Part part,
      Progress progress,
      Frames frames)
      throws IOException {
    FrameRange range = FrameOptions.range(scene.scene(), options);
    int first = (int) options.number(FIRST);
    int digits = Math.max(LEAST_DIGITS, Integer.toString(first + range.count() - 1).length());
    String name = FileNames.plain(scene.scene().name());
    try (FramePainter painter = new FramePainter(scene, bitmaps, FrameOptions.scale(options));
        Raster raster = painter.raster(StillFormat.depth(options))) {
      for (int i = 0; i < part.count(); i++) {
        progress.done(i);
        int f = part.first() + i;
        painter.paint(raster, range.time(f));
        frames.take(name + "-" + padded(first + f, digits) + ".png", raster.png());
      }
      progress.done(part.count());
    }
  }

  /** Writes the frames as files of their own into a folder. */
  public static void writeInto(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path folder, Progress progress)
      throws IOException {
    Files.createDirectories(folder);
    Part all = new Part(0, FrameOptions.range(scene.scene(), options).count());
    frames(
        scene,
        bitmaps,
        options,
        all,
        progress,
        (name, png) -> Files.write(folder.resolve(name), png));
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
