package rovingglyph.footage;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import rovingglyph.render.FootageSource;
import rovingglyph.scene.Footage;

/**
 * Reads all of a file once: every frame as a small picture of its own, with its time, and its
 * sound.
 */
final class FootageReading {
  /** The widest that the stage shows footage, px. */
  static final int WIDEST = 1280;

  /** Peaks of the sound in one second. */
  static final int PEAKS = 50;

  /** Samples of the sound in one second, as far as peaks are concerned. */
  private static final int SAMPLES = 8000;

  /** Processor seconds that a file may take. */
  private static final int MOST_SECONDS = 4 * 3600;

  /** One picture has fewer bytes. */
  private static final int LARGEST = 16 << 20;

  private static final Pattern TIME = Pattern.compile(" n: *(\\d+) .*pts_time: *([-0-9.e+]+)");

  /** The filter that tells the times of frames on the output of errors. */
  private static final String TOLD = "showinfo=checksum=0";

  /**
   * Encoders refuse frames that are not later than the one before, and reckon in the frames of a
   * rate unless they are told to in something finer. Where the size changes midway the filter
   * begins anew and knows of none before.
   */
  private static final String APART =
      "settb=1/1000000,setpts=if(isnan(PREV_OUTPTS)\\,PTS\\,max(PTS\\,PREV_OUTPTS+1))";

  /** Takes the frames as they come. */
  interface Frames {
    /**
     * One frame.
     *
     * @return false if no more is wanted
     */
    boolean frame(byte[] picture) throws IOException;
  }

  /** Named to whoever watches, so that it can be ended. */
  interface Watch {
    void child(Process p);
  }

  private final Path file;
  private final FootageFile.Facts facts;
  private final Watch watch;

  FootageReading(Path file, FootageFile.Facts facts, Watch watch) {
    this.file = file;
    this.facts = facts;
    this.watch = watch;
  }

  /** Width and height of what the stage shows, px. */
  static int[] size(FootageFile.Facts f) {
    int width = Math.min(f.width(), WIDEST);
    int height = (int) Math.max(1, Math.round(f.height() * (double) width / f.width()));
    return new int[] {width, height};
  }

  /** The filter that makes of a frame what the stage shows. */
  static String filter(FootageFile.Facts f) {
    int[] size = size(f);
    String scaled = FootageSource.scaled(size[0], size[1], f.matrix());
    return f.opaque()
        // What a JPEG is by its own rules, whatever the colours came as.
        ? scaled + ",format=gbrp,scale=out_color_matrix=smpte170m:out_range=pc,format=yuvj420p"
        : scaled + ",format=bgra";
  }

  /**
   * Gives every frame on.
   *
   * @return their times, seconds; none if no more were wanted
   * @throws FootageFile.Unusable with the reason
   */
  double[] frames(Frames to) throws IOException, FootageFile.Unusable {
    List<String> command = command("-v", "info", "-nostats");
    command.addAll(List.of("-map", "0:v:0", "-fps_mode", "passthrough"));
    command.addAll(List.of("-vf", filter(facts) + "," + TOLD + "," + APART));
    command.addAll(List.of("-enc_time_base", "1:1000000"));
    command.addAll(
        facts.opaque()
            ? List.of("-c:v", "mjpeg", "-q:v", "4", "-huffman", "default")
            : List.of("-c:v", "libwebp", "-quality", "80", "-compression_level", "2"));
    command.addAll(List.of("-f", "image2pipe", "pipe:1"));
    Process p = begin(command);
    Times times = new Times(p.getErrorStream());
    int count = 0;
    try (InputStream in = new BufferedInputStream(p.getInputStream(), 1 << 16)) {
      for (byte[] picture = next(in); picture != null; picture = next(in)) {
        if (++count > FootageFile.MOST_FRAMES) {
          throw new FootageFile.Unusable(
              "It has more than %,d frames".formatted(FootageFile.MOST_FRAMES));
        }
        if (!to.frame(picture)) {
          return new double[0];
        }
      }
      // What it says of the last frames may come after them.
      times.join();
    } finally {
      p.destroyForcibly();
    }
    List<Double> told = times.all();
    // What is said of a frame can be cut in two by something else that is said.
    return checked(told.size() == count ? told : told(), count);
  }

  private double[] checked(List<Double> all, int count) throws FootageFile.Unusable {
    if (count == 0 || all.isEmpty()) {
      throw new FootageFile.Unusable("No frame of it can be decoded");
    }
    double[] out = new double[Math.min(all.size(), count)];
    for (int i = 0; i < out.length; i++) {
      double before = i == 0 ? Double.NEGATIVE_INFINITY : out[i - 1];
      // Frames without a time of their own come at once after the one before.
      out[i] = Math.max(all.get(i), before);
    }
    double span = out[out.length - 1] - out[0];
    if (span > Footage.LONGEST || out.length > span * Footage.FASTEST_RATE + Footage.FASTEST_RATE) {
      throw new FootageFile.Unusable(
          "It has %,d frames in %.1f s; at most %.0f a second can be used"
              .formatted(out.length, span, Footage.FASTEST_RATE));
    }
    return out;
  }

  /** Only the times of its frames, seconds. */
  double[] times() throws IOException, FootageFile.Unusable {
    List<Double> all = told();
    return checked(all, all.size());
  }

  private List<Double> told() throws IOException {
    List<String> command = command("-v", "info", "-nostats");
    command.addAll(List.of("-map", "0:v:0", "-fps_mode", "passthrough"));
    command.addAll(List.of("-vf", TOLD, "-f", "null", "-"));
    Process p = begin(command);
    Times times = new Times(p.getErrorStream());
    try {
      times.thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted while reading footage", e);
    } finally {
      p.destroyForcibly();
    }
    return times.all();
  }

  /**
   * Its sound in a file that browsers play, and its peaks: of every stretch the loudest, 0 to 255.
   */
  byte[] sound(Path out) throws IOException {
    List<String> command = command("-v", "error");
    command.addAll(
        List.of("-map", "0:a:0", "-ac", "2", "-c:a", "libopus", "-b:a", "112k", "-f", "ogg", "-y"));
    command.add(out.toString());
    command.addAll(List.of("-map", "0:a:0", "-ac", "1", "-ar", String.valueOf(SAMPLES)));
    command.addAll(List.of("-f", "s16le", "pipe:1"));
    Process p = begin(new ArrayList<>(command));
    ByteArrayOutputStream peaks = new ByteArrayOutputStream();
    try (InputStream in = p.getInputStream()) {
      p.getErrorStream().close();
      byte[] stretch = in.readNBytes(2 * SAMPLES / PEAKS);
      for (; stretch.length > 1; stretch = in.readNBytes(2 * SAMPLES / PEAKS)) {
        int most = 0;
        for (int i = 0; i + 1 < stretch.length; i += 2) {
          most = Math.max(most, Math.abs(stretch[i + 1] << 8 | stretch[i] & 255));
        }
        peaks.write(Math.min(255, most >> 7));
      }
      // The file may be ended after the samples are.
      p.waitFor(1, TimeUnit.MINUTES);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted while reading sound", e);
    } finally {
      p.destroyForcibly();
    }
    return peaks.toByteArray();
  }

  private List<String> command(String... said) {
    List<String> out = new ArrayList<>();
    out.addAll(List.of("prlimit", "--as=" + FootageFile.MEMORY, "--cpu=" + MOST_SECONDS));
    out.addAll(List.of("--core=0", "ffmpeg", "-hide_banner", "-nostdin"));
    out.addAll(List.of(said));
    out.addAll(FootageSource.WARY);
    out.addAll(List.of("-threads", "2", "-i", file.toString()));
    return out;
  }

  private Process begin(List<String> command) throws IOException {
    ProcessBuilder builder = new ProcessBuilder(command);
    builder.environment().put("MALLOC_ARENA_MAX", "2");
    Process p = builder.start();
    watch.child(p);
    return p;
  }

  /** The next picture; null at the end. */
  private byte[] next(InputStream in) throws IOException {
    try {
      return facts.opaque() ? jpeg(in) : riff(in);
    } catch (EOFException e) {
      return null;
    }
  }

  private static int octet(InputStream in) throws IOException {
    int b = in.read();
    if (b < 0) {
      throw new EOFException();
    }
    return b;
  }

  private static byte[] riff(InputStream in) throws IOException {
    byte[] head = in.readNBytes(8);
    if (head.length < 8) {
      throw new EOFException();
    }
    int size = head[4] & 255 | (head[5] & 255) << 8 | (head[6] & 255) << 16 | (head[7] & 255) << 24;
    if (head[0] != 'R' || size < 0 || size > LARGEST) {
      throw new IOException("ffmpeg wrote no picture");
    }
    byte[] body = in.readNBytes(size + (size & 1));
    byte[] out = new byte[8 + body.length];
    System.arraycopy(head, 0, out, 0, 8);
    System.arraycopy(body, 0, out, 8, body.length);
    return out;
  }

  /** Up to the marker of its end, which cannot stand within its data; see ITU T.81, B.1.1.2. */
  private static byte[] jpeg(InputStream in) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 16);
    int before = octet(in);
    out.write(before);
    while (true) {
      int b = octet(in);
      out.write(b);
      if (before == 0xFF && b == 0xD9) {
        return out.toByteArray();
      }
      if (out.size() > LARGEST) {
        throw new IOException("ffmpeg wrote no picture");
      }
      before = b;
    }
  }

  /** Reads what ffmpeg says of each frame, while that is at work. */
  private static final class Times {
    private final List<Double> all = new ArrayList<>();
    private final Thread thread;

    Times(InputStream said) {
      thread = new Thread(() -> read(said), "footage times");
      thread.setDaemon(true);
      thread.start();
    }

    private void read(InputStream said) {
      try (BufferedReader lines =
          new BufferedReader(new InputStreamReader(said, StandardCharsets.ISO_8859_1))) {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
          Matcher m = line.length() < 2000 ? TIME.matcher(line) : null;
          if (m != null && line.contains("showinfo") && m.find()) {
            add(m.group(2));
          }
        }
      } catch (IOException e) {
        // It was ended: what it said so far counts.
      }
    }

    private synchronized void add(String time) {
      try {
        if (all.size() < FootageFile.MOST_FRAMES) {
          all.add(Double.parseDouble(time));
        }
      } catch (NumberFormatException e) {
        // One that is missing is noticed by the count of all.
      }
    }

    synchronized List<Double> all() {
      return List.copyOf(all);
    }

    void join() throws IOException {
      try {
        thread.join(60_000);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException("Interrupted while reading footage", e);
      }
    }
  }
}
