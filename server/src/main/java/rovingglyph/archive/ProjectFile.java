package rovingglyph.archive;

import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * A project file that is read: a ZIP in which {@code project.json} tells what there is. Its files
 * are read from where they lie and never put anywhere by the names that they have in it, and none
 * is read beyond what a part of its kind may have, whatever the ZIP says of it.
 */
public final class ProjectFile implements AutoCloseable {
  /** Bytes of a whole file at most: what a ZIP without its later extensions can hold. */
  public static final long LARGEST = 0xFFFFFFFEL;

  static final String CONTENTS = "project.json";

  /** Files in it at most, and bytes of the list of them, which is read whole. */
  private static final int MOST_ENTRIES = 10_000;

  private static final long LONGEST_LIST = 4L << 20;

  /** The record at the end of a ZIP; see its specification (APPNOTE 6.3), 4.3.16. */
  private static final int END = 22;

  private static final int END_SIGNATURE = 0x06054b50;

  private final ZipFile zip;
  private final Contents contents;

  /** Bytes that may still be read: what is packed tightly could fill any disk. */
  private long left = LARGEST;

  private ProjectFile(ZipFile zip) throws IOException, UnusableFileException {
    this.zip = zip;
    this.contents = Contents.read(text(CONTENTS, 4L * Contents.LONGEST));
  }

  /**
   * Opens a file.
   *
   * @throws UnusableFileException with the reason, if it is none or cannot be used
   */
  public static ProjectFile open(Path file) throws IOException, UnusableFileException {
    checkEnd(file);
    ZipFile zip;
    try {
      zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
    } catch (ZipException | IllegalArgumentException e) {
      throw damaged(e.getMessage());
    }
    try {
      checkNames(zip);
      return new ProjectFile(zip);
    } catch (IOException | UnusableFileException | RuntimeException e) {
      zip.close();
      throw e;
    }
  }

  private static UnusableFileException damaged(String how) {
    return new UnusableFileException(
        "This is no whole ZIP file; it may have been cut on its way (" + how + ")");
  }

  /** The list of files is read whole by whatever opens a ZIP: it must not be too long for that. */
  private static void checkEnd(Path file) throws IOException, UnusableFileException {
    try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
      if (in.length() < END || in.length() > LARGEST) {
        throw damaged("it has " + in.length() + " bytes");
      }
      byte[] end = new byte[END];
      in.seek(in.length() - END);
      in.readFully(end);
      ByteBuffer b = ByteBuffer.wrap(end).order(ByteOrder.LITTLE_ENDIAN);
      if (b.getInt(0) != END_SIGNATURE) {
        throw damaged("its end is missing");
      }
      int entries = b.getShort(10) & 0xFFFF;
      long list = b.getInt(12) & 0xFFFFFFFFL;
      if (entries > MOST_ENTRIES || list > LONGEST_LIST) {
        throw new UnusableFileException(
            "The ZIP lists more than " + MOST_ENTRIES + " files; a project has fewer");
      }
    }
  }

  private static void checkNames(ZipFile zip) throws UnusableFileException {
    Set<String> seen = new HashSet<>();
    for (ZipEntry e : Collections.list(zip.entries())) {
      String name = e.getName();
      if (name.startsWith("/")
          || name.contains("\\")
          || name.indexOf('\0') >= 0
          || List.of(name.split("/")).contains("..")) {
        throw new UnusableFileException(
            "The ZIP holds a name that leads out of it, which no project file has: " + name);
      }
      if (!seen.add(name)) {
        throw new UnusableFileException("The ZIP holds two files of one name: " + name);
      }
    }
  }

  public Contents contents() {
    return contents;
  }

  /** All of a part. */
  public byte[] bytes(PartKind kind, Contents.Part part) throws IOException, UnusableFileException {
    return bytes(part.file(), kind.largest());
  }

  /** The text of a part. */
  public String text(PartKind kind, Contents.Part part) throws IOException, UnusableFileException {
    return text(part.file(), kind.largest());
  }

  /**
   * A part as it lies; reading ends in a {@link BadPartException} where it is damaged or larger
   * than one may be.
   */
  public InputStream stream(PartKind kind, Contents.Part part)
      throws IOException, UnusableFileException {
    return entry(part.file(), kind.largest());
  }

  /** Sees that each part is there, and not larger than it may be by what the ZIP says. */
  void checkFiles() throws UnusableFileException {
    for (PartKind kind : PartKind.values()) {
      for (Contents.Part p : contents.of(kind)) {
        checked(p.file(), kind.largest());
      }
    }
  }

  private ZipEntry checked(String file, long largest) throws UnusableFileException {
    ZipEntry e = zip.getEntry(file);
    if (e == null) {
      throw missing(file);
    }
    if (e.getSize() > largest) {
      throw new UnusableFileException(tooLarge(file, largest));
    }
    return e;
  }

  private static String tooLarge(String file, long largest) {
    return file + " has more than " + largest / 1_000_000 + " MB";
  }

  private static UnusableFileException missing(String file) {
    return new UnusableFileException("The file " + file + " is missing in the ZIP");
  }

  private Whole entry(String file, long largest) throws IOException, UnusableFileException {
    // Where the ZIP lies, reading ends where it may go no further.
    ZipEntry e = checked(file, largest);
    try {
      return new Whole(zip.getInputStream(e), e, largest);
    } catch (ZipException f) {
      throw damaged(f.getMessage());
    }
  }

  private byte[] bytes(String file, long largest) throws IOException, UnusableFileException {
    try (InputStream in = entry(file, largest)) {
      return in.readAllBytes();
    } catch (BadPartException e) {
      throw new UnusableFileException(e.getMessage());
    } catch (ZipException | EOFException e) {
      throw damaged(file + ": " + e.getMessage());
    }
  }

  private String text(String file, long largest) throws IOException, UnusableFileException {
    try {
      ByteBuffer bytes = ByteBuffer.wrap(bytes(file, largest));
      return StandardCharsets.UTF_8.newDecoder().decode(bytes).toString();
    } catch (CharacterCodingException e) {
      throw new UnusableFileException(file + " is no text in UTF-8");
    }
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }

  /** A part that is read no further: it is damaged, or larger than it may be. */
  public static final class BadPartException extends IOException {
    BadPartException(String message) {
      super(message);
    }
  }

  /** A part as it lies; fails where more comes than may, or other bytes than were put in. */
  private final class Whole extends FilterInputStream {
    private final ZipEntry entry;
    private final long largest;
    private final CRC32 sum = new CRC32();
    private long read;

    Whole(InputStream in, ZipEntry entry, long largest) {
      super(in);
      this.entry = entry;
      this.largest = largest;
    }

    @Override
    public int read() throws IOException {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int from, int count) throws IOException {
      int n = super.read(into, from, count);
      if (n < 0) {
        if (sum.getValue() != entry.getCrc()) {
          throw new BadPartException(entry.getName() + " is damaged: its check sum is wrong");
        }
        return n;
      }
      sum.update(into, from, n);
      read += n;
      left -= n;
      if (read > largest || left < 0) {
        throw new BadPartException(
            read > largest
                ? tooLarge(entry.getName(), largest)
                : "The project has more than 4 GB when it is unpacked");
      }
      return n;
    }

    @Override
    public long skip(long n) throws IOException {
      // Read, since what is left out could not be checked.
      byte[] some = new byte[8192];
      long done = 0;
      int got = 0;
      while (done < n && got >= 0) {
        got = read(some, 0, (int) Math.min(some.length, n - done));
        done += Math.max(0, got);
      }
      return done;
    }
  }
}
