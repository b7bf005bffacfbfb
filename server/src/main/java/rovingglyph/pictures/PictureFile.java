package rovingglyph.pictures;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.stream.Stream;
import rovingglyph.render.Bitmaps;
import rovingglyph.server.JavaProgram;
import rovingglyph.server.LimitedProcess;
import rovingglyph.server.Sha256;
import rovingglyph.svgimport.SvgSize;

/**
 * Picture files from outside. What they are is told from their content; they are decoded by
 * processes of their own with limits on time and memory, so that no damaged file ever comes near
 * the server, and nothing that they point to is fetched.
 */
public final class PictureFile {
  /** A picture that cannot be used, with the reason in plain words. */
  public static final class Unusable extends Exception {
    Unusable(String message) {
      super(message);
    }
  }

  /**
   * A picture that can be used.
   *
   * @param type media type of the file as it came
   * @param width its natural size, px
   * @param levels the sizes for painting, the largest first
   */
  public record Read(String type, int width, int height, List<Bitmaps.Level> levels) {}

  public static final int LARGEST = 40_000_000;

  /** The longest side of an SVG as it is painted, px: as sharp as the widest frames ask. */
  private static final int SVG_SIDE = 4096;

  private static final long MEMORY = 3L << 30;
  private static final long WRITTEN = 1L << 29;

  private static final LimitedProcess DECODER =
      new LimitedProcess(30, MEMORY, WRITTEN, "openjdk-17-jre-headless");
  private static final LimitedProcess AVIF = new LimitedProcess(30, MEMORY, WRITTEN, "libavif-bin");

  /** Filters of an SVG can ask for any amount of computing. */
  private static final LimitedProcess SVG = new LimitedProcess(10, MEMORY, WRITTEN, "librsvg2-bin");

  /** Decoders at work at one time; what waits longer than its client does is refused by that. */
  private static final Semaphore TURN = new Semaphore(2, true);

  private PictureFile() {}

  /** What a file is called in documents: made from its content, so that the same is kept once. */
  static String id(byte[] file) {
    return "picture-" + Sha256.hex(file, 20);
  }

  /**
   * Checks and decodes a file.
   *
   * @throws Unusable with the reason
   * @throws IOException if a program that is needed is missing
   */
  public static Read read(byte[] file) throws Unusable, IOException {
    if (file.length > LARGEST) {
      throw new Unusable("The picture has more than 40 MB; make it smaller");
    }
    String type = type(file);
    if (type == null) {
      throw new Unusable(
          "This is no picture: PNG, JPEG, WebP, AVIF, GIF and SVG files can be used");
    }
    Path folder = Files.createTempDirectory("roving-picture");
    try {
      TURN.acquire();
      try {
        return read(file, type, folder);
      } finally {
        TURN.release();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted while reading a picture", e);
    } finally {
      delete(folder);
    }
  }

  private static void delete(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(p);
      }
    }
  }

  private static Read read(byte[] file, String type, Path folder)
      throws Unusable, IOException, InterruptedException {
    Path in = Files.write(folder.resolve("in"), file);
    double[] size = null;
    if (type.equals("image/svg+xml")) {
      size = svgSize(file);
      in = rasterised(in, size, folder);
    } else if (type.equals("image/avif")) {
      Path png = folder.resolve("in.png");
      Path avif = Files.move(in, folder.resolve("in.avif"));
      run(folder, AVIF, "avifdec", "-j", "2", "-d", "8", avif.toString(), png.toString());
      in = png;
    }
    Path out = Files.createDirectory(folder.resolve("out"));
    List<String> lines = decode(folder, in, out);
    List<Bitmaps.Level> levels = new ArrayList<>();
    for (String line : lines) {
      String[] words = line.split(" ");
      byte[] content = Files.readAllBytes(out.resolve(words[0]));
      levels.add(
          new Bitmaps.Level(
              Integer.parseInt(words[1]), Integer.parseInt(words[2]), words[3], () -> content));
    }
    Bitmaps.Level whole = levels.get(0);
    return size == null
        ? new Read(type, whole.width(), whole.height(), levels)
        : new Read(type, natural(size[0]), natural(size[1]), levels);
  }

  private static int natural(double length) {
    return (int) Math.min(Math.max(Math.round(length), 1), PictureLevels.LONGEST_SIDE);
  }

  private static double[] svgSize(byte[] file) throws Unusable {
    try {
      return SvgSize.of(file);
    } catch (RuntimeException e) {
      throw new Unusable(e.getMessage());
    }
  }

  private static Path rasterised(Path svg, double[] size, Path folder)
      throws Unusable, IOException, InterruptedException {
    double times = SVG_SIDE / Math.max(size[0], size[1]);
    Path png = folder.resolve("in.png");
    run(
        folder,
        SVG,
        "rsvg-convert",
        "--width=" + Math.max(1, Math.round(size[0] * times)),
        "--height=" + Math.max(1, Math.round(size[1] * times)),
        "--output=" + png,
        svg.toString());
    return png;
  }

  /** Decodes in a Java of its own; the lines that it tells, one for each size. */
  private static List<String> decode(Path folder, Path in, Path out)
      throws Unusable, IOException, InterruptedException {
    return run(
        folder,
        DECODER,
        JavaProgram.command(PictureLevels.class, "192m", in.toString(), out.toString())
            .toArray(String[]::new));
  }

  private static List<String> run(Path folder, LimitedProcess decoder, String... command)
      throws Unusable, IOException {
    LimitedProcess.Result r;
    try {
      r = decoder.run(folder, List.of(command));
    } catch (LimitedProcess.TooLong e) {
      throw new Unusable("The picture takes too long to read: " + e.getMessage());
    }
    if (r.exit() != 0) {
      throw refused(r.exit(), r.failed());
    }
    return r.said();
  }

  /** What to tell of a decoder that failed; it throws where that is no fault of the picture's. */
  private static Unusable refused(int exit, String failed) throws IOException {
    if (failed.contains("Could not find or load main class")) {
      throw new IOException("The decoder of pictures did not start: " + failed.strip());
    }
    String first = failed.lines().findFirst().orElse("").strip();
    boolean own = exit == 2 && first.startsWith("It ");
    return new Unusable(
        own
            ? "The picture cannot be used. " + first
            : "The picture is damaged, or asks for more memory than it may have");
  }

  /** The media type by content; null for what is no picture. */
  private static String type(byte[] f) {
    if (starts(f, 0, "\u0089PNG")) {
      return "image/png";
    }
    if (starts(f, 0, "\u00ff\u00d8\u00ff")) {
      return "image/jpeg";
    }
    if (starts(f, 0, "GIF8")) {
      return "image/gif";
    }
    if (starts(f, 0, "RIFF") && starts(f, 8, "WEBP")) {
      return "image/webp";
    }
    if (starts(f, 4, "ftypavif") || starts(f, 4, "ftypavis")) {
      return "image/avif";
    }
    int at = starts(f, 0, "\u00ef\u00bb\u00bf") ? 3 : 0;
    while (at < f.length && f[at] >= 0 && f[at] <= ' ') {
      at++;
    }
    return at < f.length && f[at] == '<' ? "image/svg+xml" : null;
  }

  private static boolean starts(byte[] f, int at, String magic) {
    byte[] m = magic.getBytes(StandardCharsets.ISO_8859_1);
    return f.length >= at + m.length
        && java.util.Arrays.equals(f, at, at + m.length, m, 0, m.length);
  }
}
