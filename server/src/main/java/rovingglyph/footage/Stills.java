package rovingglyph.footage;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FrameRate;
import rovingglyph.server.JavaProgram;
import rovingglyph.server.LimitedProcess;

/**
 * Footage that comes as single pictures: a ZIP of numbered stills, or an animated WebP. It is put
 * together without loss (FFV1, RFC 9043, in Matroska), and is footage like any other from then on.
 */
final class Stills {
  /** Bytes of one still. */
  private static final long LARGEST = 256L << 20;

  /** Bytes of all of them. */
  private static final long ALL = 8L << 30;

  /** The record that ends a ZIP, PKWARE's APPNOTE 4.3.16: its signature, and bytes of it. */
  private static final int END = 0x06054b50;

  private static final int SHORTEST_END = 22;
  private static final int LONGEST_END = SHORTEST_END + 0xFFFF;
  private static final int LENGTH_OF_LIST = 12;

  /** Bytes of the list of files in a ZIP. */
  private static final long LONGEST_LIST = 64L << 20;

  private static final LimitedProcess FILM =
      new LimitedProcess(600, FootageFile.MEMORY, FootageFile.LARGEST, "ffmpeg");

  private static final LimitedProcess DECODER =
      new LimitedProcess(300, FootageFile.MEMORY, LARGEST, "openjdk-17-jre-headless");

  /** The decoder of ffmpeg for each kind of still, by its extension. */
  private static final Map<String, String> KINDS =
      Map.of(
          "png", "png", "jpg", "mjpeg", "jpeg", "mjpeg", "webp", "webp", "tif", "tiff", "tiff",
          "tiff");

  /** The last number of a name, before its extension. */
  private static final Pattern NUMBERED = Pattern.compile("(\\d{1,12})\\D*\\.([A-Za-z]+)$");

  private static final int FLAGS = 20;
  private static final int ANIMATION = 2;

  /** Where a PNG tells whether it has alpha, and the values that say so. */
  private static final int COLOUR_TYPE = 25;

  private final Path folder;

  /** Pictures by the frame at which each begins. */
  private final TreeMap<Integer, Path> stills = new TreeMap<>();

  private String kind = "png";

  private Stills(Path folder) {
    this.folder = folder;
  }

  /**
   * Puts a file of single pictures together.
   *
   * @param rate of numbered stills
   * @return a new file; null where it is none of these
   * @throws FootageFile.Unusable with the reason
   */
  static Path film(Path file, FrameRate rate) throws IOException, FootageFile.Unusable {
    byte[] head = head(file);
    // An empty ZIP begins with the end of its list.
    boolean zip = head[0] == 'P' && head[1] == 'K' && (head[2] == 3 || head[2] == 5);
    boolean webp =
        new String(head, 0, 16, StandardCharsets.ISO_8859_1).matches("(?s)RIFF.{4}WEBPVP8.");
    if (!zip && !webp) {
      return null;
    }
    if (webp && (head[15] != 'X' || (head[FLAGS] & ANIMATION) == 0)) {
      throw new FootageFile.Unusable("This WebP does not move: add it as a picture");
    }
    Path folder = Files.createTempDirectory("roving-stills");
    try {
      Stills all = new Stills(folder);
      return all.film(zip ? all.unpacked(file, rate) : all.decoded(file));
    } finally {
      FootageFile.delete(folder);
    }
  }

  private static byte[] head(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      byte[] some = in.readNBytes(FLAGS + 1);
      byte[] out = new byte[FLAGS + 1];
      System.arraycopy(some, 0, out, 0, some.length);
      return out;
    }
  }

  /** Unpacks numbered stills; one whose number is left out is the one before it. */
  private String unpacked(Path zip, FrameRate rate) throws IOException, FootageFile.Unusable {
    TreeMap<Long, ZipEntry> numbered = new TreeMap<>();
    requireShortList(zip);
    try (ZipFile in = new ZipFile(zip.toFile())) {
      for (Enumeration<? extends ZipEntry> e = in.entries(); e.hasMoreElements(); ) {
        ZipEntry entry = e.nextElement();
        String name = entry.getName().substring(entry.getName().lastIndexOf('/') + 1);
        boolean beside = name.startsWith(".") || entry.getName().startsWith("__");
        if (!entry.isDirectory() && !beside) {
          add(numbered, name, entry);
        }
      }
      if (numbered.isEmpty()) {
        throw new FootageFile.Unusable("There are no pictures in the ZIP");
      }
      long first = numbered.firstKey();
      if (numbered.lastKey() - first >= FootageFile.MOST_FRAMES) {
        throw new FootageFile.Unusable(
            "Its stills are numbered from %d to %d; at most %,d frames can be used"
                .formatted(first, numbered.lastKey(), FootageFile.MOST_FRAMES));
      }
      long left = ALL;
      for (Map.Entry<Long, ZipEntry> e : numbered.entrySet()) {
        Path still = folder.resolve("still-" + stills.size());
        left -= unpack(in, e.getValue(), still, Math.min(left, LARGEST));
        stills.put((int) (e.getKey() - first), still);
      }
    } catch (ZipException | EOFException e) {
      throw new FootageFile.Unusable("The ZIP is damaged: " + e.getMessage());
    }
    stills.put(stills.lastKey() + 1, stills.lastEntry().getValue());
    return rate.text();
  }

  /** Java reads the list of a ZIP into memory as a whole: how long that is comes first. */
  private static void requireShortList(Path zip) throws IOException, FootageFile.Unusable {
    try (RandomAccessFile in = new RandomAccessFile(zip.toFile(), "r")) {
      byte[] end = new byte[(int) Math.min(in.length(), LONGEST_END)];
      in.seek(in.length() - end.length);
      in.readFully(end);
      ByteBuffer n = ByteBuffer.wrap(end).order(ByteOrder.LITTLE_ENDIAN);
      for (int i = end.length - SHORTEST_END; i >= 0; i--) {
        if (n.getInt(i) == END) {
          if (Integer.toUnsignedLong(n.getInt(i + LENGTH_OF_LIST)) > LONGEST_LIST) {
            throw new FootageFile.Unusable("There are too many files in the ZIP");
          }
          return;
        }
      }
    }
    throw new FootageFile.Unusable("The ZIP is damaged: its end is missing");
  }

  private void add(TreeMap<Long, ZipEntry> numbered, String name, ZipEntry entry)
      throws FootageFile.Unusable {
    Matcher m = NUMBERED.matcher(name);
    boolean found = m.find();
    String extension = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    if (!KINDS.containsKey(extension)) {
      throw new FootageFile.Unusable(
          "There is “%s” in the ZIP: only PNG, JPEG, WebP and TIFF stills can be".formatted(name));
    }
    if (!found) {
      throw new FootageFile.Unusable("“%s” has no number in its name".formatted(name));
    }
    if (!numbered.isEmpty() && !kind.equals(KINDS.get(extension))) {
      throw new FootageFile.Unusable("Its stills are of several kinds; make them all alike");
    }
    kind = KINDS.get(extension);
    if (numbered.put(Long.parseLong(m.group(1)), entry) != null) {
      throw new FootageFile.Unusable("There are two stills with the number " + m.group(1));
    }
  }

  private static long unpack(ZipFile zip, ZipEntry entry, Path to, long most)
      throws IOException, FootageFile.Unusable {
    long size = 0;
    try (InputStream in = zip.getInputStream(entry);
        OutputStream out = Files.newOutputStream(to)) {
      byte[] some = new byte[1 << 16];
      for (int n = in.read(some); n >= 0; n = in.read(some)) {
        size += n;
        if (size > most) {
          throw new FootageFile.Unusable(
              "Its stills are too large: at most %d MB each, and %d GB together"
                  .formatted(LARGEST >> 20, ALL >> 30));
        }
        out.write(some, 0, n);
      }
    }
    return size;
  }

  /**
   * Decodes an animated WebP. Its frames stand for whole ms: the film has the rate in which all of
   * them begin at a frame, or if that is too fast, the fastest.
   */
  private String decoded(Path webp) throws IOException, FootageFile.Unusable {
    List<Integer> stand = new ArrayList<>();
    try {
      LimitedProcess.Result r =
          DECODER.run(
              folder,
              JavaProgram.command(WebpFrames.class, "192m", webp.toString(), folder.toString()));
      if (r.exit() != 0) {
        throw new FootageFile.Unusable(
            "The footage is damaged, or asks for more memory than it may have");
      }
      r.said().forEach(line -> stand.add(Integer.parseInt(line.strip())));
    } catch (LimitedProcess.TooLong e) {
      throw new FootageFile.Unusable("The footage takes too long to decode: " + e.getMessage());
    }
    // What stands no time at all stands for as long as browsers let it.
    stand.replaceAll(ms -> ms <= 10 ? 100 : ms);
    int common = stand.stream().map(BigInteger::valueOf).reduce(BigInteger::gcd).get().intValue();
    int step = Math.max(common, (int) Math.ceil(1000 / Footage.FASTEST_RATE));
    long gone = 0;
    for (int i = 0; i <= stand.size(); i++) {
      int at = (int) Math.min(Math.round((double) gone / step), FootageFile.MOST_FRAMES);
      stills.put(at, folder.resolve(Math.min(i, stand.size() - 1) + ".png"));
      gone += i < stand.size() ? stand.get(i) : 0;
    }
    if (stills.lastKey() >= FootageFile.MOST_FRAMES) {
      throw new FootageFile.Unusable("It is too long");
    }
    return "1000/" + step;
  }

  /** The film; the last of the stills only tells where it ends. */
  private Path film(String rate) throws IOException, FootageFile.Unusable {
    Path row = Files.createDirectory(folder.resolve("row"));
    for (int frame = 0; frame < stills.lastKey(); frame++) {
      Files.createLink(row.resolve(frame + "." + "still"), stills.floorEntry(frame).getValue());
    }
    Path out = Files.createTempFile("roving-film", ".mkv");
    try {
      List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y"));
      command.addAll(List.of("-protocol_whitelist", "file", "-format_whitelist", "image2"));
      command.addAll(List.of("-f", "image2", "-framerate", rate, "-c:v", kind, "-threads", "2"));
      command.addAll(List.of("-i", row + "/%d.still", "-fps_mode", "passthrough"));
      command.addAll(List.of("-c:v", "ffv1", "-level", "3", "-g", "1", "-slices", "4"));
      command.addAll(List.of("-pix_fmt", isSeenThrough() ? "bgra" : "bgr0"));
      command.addAll(List.of("-fflags", "+bitexact", "-flags:v", "+bitexact", "-f", "matroska"));
      command.add(out.toString());
      LimitedProcess.Result r = FILM.run(folder, command);
      if (r.exit() != 0 || !r.failed().isBlank()) {
        throw new FootageFile.Unusable(
            "Its stills cannot be put together: one is damaged, or together they have more than"
                + " 2 GiB");
      }
      return out;
    } catch (LimitedProcess.TooLong e) {
      Files.deleteIfExists(out);
      throw new FootageFile.Unusable("Its stills take too long to decode: " + e.getMessage());
    } catch (FootageFile.Unusable | IOException e) {
      Files.deleteIfExists(out);
      throw e;
    }
  }

  private boolean isSeenThrough() throws IOException {
    if (!kind.equals("png")) {
      return kind.equals("webp") || kind.equals("tiff");
    }
    for (Path p : stills.values()) {
      try (InputStream in = Files.newInputStream(p)) {
        byte[] some = in.readNBytes(COLOUR_TYPE + 1);
        // 3 is a palette, which may have clear colours; see PNG, 11.2.2.
        if (some.length > COLOUR_TYPE && some[COLOUR_TYPE] >= 3) {
          return true;
        }
      }
    }
    return false;
  }
}
