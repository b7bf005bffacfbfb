package rovingglyph.footage;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import rovingglyph.render.FootageSource;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Footage;
import rovingglyph.server.LimitedProcess;

/**
 * Footage files from outside. ffprobe and ffmpeg tell what they are, as processes of their own with
 * limits on time and memory, which read that one file and nothing else.
 */
public final class FootageFile {
  /** Footage that cannot be used, with the reason in plain words. */
  public static final class Unusable extends Exception {
    Unusable(String message) {
      super(message);
    }
  }

  /**
   * What a file is.
   *
   * @param type media type
   * @param width of its frames as they are seen: upright, of square pixels
   * @param height of its frames as they are seen
   * @param rate frames in one second, on average
   * @param length seconds
   * @param opaque whether nothing can be seen through it
   * @param channels of its sound; 0 where it has none
   * @param matrix of its colours, as ffmpeg calls it
   */
  public record Facts(
      String type,
      int width,
      int height,
      double rate,
      double length,
      boolean opaque,
      int channels,
      String matrix) {}

  /** The largest file, bytes. */
  public static final long LARGEST = 2L << 30;

  /** The most pixels of a frame. */
  static final int MOST_PIXELS = 36_000_000;

  /** The most frames. */
  public static final int MOST_FRAMES = 108_000;

  static final long MEMORY = 3L << 30;

  private static final LimitedProcess READER = new LimitedProcess(20, MEMORY, 1L << 26, "ffmpeg");

  /** ffmpeg's names of the formats, with their media types. */
  private static final List<String[]> FORMATS =
      List.of(
          new String[] {"mov,mp4,m4a,3gp,3g2,mj2", "video/mp4"},
          new String[] {"matroska,webm", "video/webm"},
          new String[] {"gif", "image/gif"});

  /** Colours of these are told by the file itself. */
  private static final Set<String> MATRICES =
      Set.of("bt709", "smpte170m", "bt470bg", "bt2020nc", "fcc", "smpte240m", "gbr");

  private static final int HIGH_DEFINITION = 720;

  private FootageFile() {}

  /** What a file is called in documents: made from its content, so that the same is kept once. */
  static String id(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      byte[] some = new byte[1 << 20];
      for (int n = in.read(some); n >= 0; n = in.read(some)) {
        sha.update(some, 0, n);
      }
      return "footage-" + HexFormat.of().formatHex(sha.digest()).substring(0, 20);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Tells what a file is.
   *
   * @throws Unusable with the reason
   * @throws IOException if ffmpeg is missing
   */
  public static Facts read(Path file) throws Unusable, IOException {
    Path folder = Files.createTempDirectory("roving-footage");
    try {
      LimitedProcess.Result r =
          READER.run(
              folder,
              Stream.concat(
                      Stream.of("ffprobe", "-v", "error"),
                      Stream.concat(
                          FootageSource.WARY.stream(),
                          Stream.of(
                              "-print_format",
                              "json",
                              "-show_streams",
                              "-show_format",
                              file.toString())))
                  .toList());
      if (r.exit() != 0) {
        throw refused(r.failed());
      }
      return facts(Json.parse(String.join("\n", r.said())).asObject());
    } catch (LimitedProcess.TooLong e) {
      throw new Unusable("The footage takes too long to look into: " + e.getMessage());
    } finally {
      delete(folder);
    }
  }

  /**
   * The first frame as a JPEG, or a PNG where it can be seen through.
   *
   * @throws Unusable if there is none
   */
  static byte[] still(Path file, Facts facts) throws Unusable, IOException {
    Path folder = Files.createTempDirectory("roving-footage");
    try {
      Path out = folder.resolve(facts.opaque() ? "still.jpg" : "still.png");
      LimitedProcess.Result r =
          READER.run(
              folder,
              Stream.of(
                      List.of("ffmpeg", "-nostdin", "-v", "error"),
                      FootageSource.WARY,
                      List.of("-threads", "2", "-i", file.toString(), "-map", "0:v:0"),
                      List.of("-frames:v", "1", "-vf", FootageReading.filter(facts)),
                      List.of("-q:v", "3", "-f", "image2", out.toString()))
                  .flatMap(List::stream)
                  .toList());
      if (r.exit() != 0 || !Files.exists(out) || Files.size(out) == 0) {
        throw new Unusable("No frame of the footage can be decoded: it is damaged or encrypted");
      }
      return Files.readAllBytes(out);
    } catch (LimitedProcess.TooLong e) {
      throw new Unusable("The footage takes too long to decode: " + e.getMessage());
    } finally {
      delete(folder);
    }
  }

  static void delete(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(p);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Unusable refused(String failed) {
    boolean other =
        failed.contains("Invalid data found")
            || failed.contains("not on whitelist")
            || failed.contains("Error opening input");
    return new Unusable(
        other
            ? "This is no footage that can be used: MP4, MOV, WebM, GIF and animated WebP files"
                + " can be, and ZIPs of numbered stills, if they are whole"
            : "The footage is damaged, or asks for more memory than it may have");
  }

  private static Facts facts(JsonObject probe) throws Unusable {
    JsonObject format = object(probe.get("format"));
    JsonObject video = null;
    int channels = 0;
    for (JsonValue v : probe.get("streams").asArray()) {
      JsonObject stream = v.asObject();
      String kind = stream.getString("codec_type", "");
      boolean cover = object(stream.get("disposition")).getInt("attached_pic", 0) == 1;
      video = video == null && kind.equals("video") && !cover ? stream : video;
      if (channels == 0 && kind.equals("audio")) {
        channels = stream.getInt("channels", 0);
      }
    }
    if (video == null) {
      throw new Unusable(
          channels > 0 ? "The file has sound, but no picture" : "The file has no footage in it");
    }
    if (video.get("codec_name") == null || video.getString("codec_tag_string", "").equals("encv")) {
      throw new Unusable("The footage is encrypted, or of a codec that is not known here");
    }
    return facts(format, video, channels);
  }

  private static Facts facts(JsonObject format, JsonObject video, int channels) throws Unusable {
    int coded = video.getInt("width", 0);
    int rows = video.getInt("height", 0);
    if (coded < 1 || rows < 1) {
      throw new Unusable("The footage does not say how large its frames are");
    }
    double[] aspect = ratio(video.getString("sample_aspect_ratio", "1:1"), ":");
    double squeeze = aspect[0] > 0 && aspect[1] > 0 ? aspect[0] / aspect[1] : 1;
    boolean sane = squeeze > 0.1 && squeeze < 10;
    int across = (int) Math.max(1, Math.round(coded * (sane ? squeeze : 1)));
    boolean aside = Math.abs(turn(video)) % 180 == 90;
    int width = aside ? rows : across;
    int height = aside ? across : rows;
    if (Math.max(width, height) > Bitmapped.LONGEST_SIDE || (long) width * height > MOST_PIXELS) {
      throw new Unusable(
          "Its frames are %d \u00d7 %d px; at most %d million pixels can be used"
              .formatted(width, height, MOST_PIXELS / 1_000_000));
    }
    double rate = quotient(video.getString("avg_frame_rate", "0/0"));
    if (rate <= 0) {
      rate = quotient(video.getString("r_frame_rate", "25/1"));
    }
    if (rate > Footage.FASTEST_RATE) {
      throw new Unusable(
          "It has %.0f frames a second; at most %.0f can be used"
              .formatted(rate, Footage.FASTEST_RATE));
    }
    double length = seconds(video, format, rate);
    if (length > Footage.LONGEST || length * rate > MOST_FRAMES * 1.01) {
      throw new Unusable(
          "It is %.0f s long; at most %.0f s and %,d frames can be used"
              .formatted(length, Footage.LONGEST, MOST_FRAMES));
    }
    String pixels = video.getString("pix_fmt", "");
    return new Facts(
        type(format.getString("format_name", "")),
        width,
        height,
        Math.max(rate, Footage.SLOWEST_RATE),
        Math.max(length, 0.001),
        !seenThrough(video, pixels),
        channels,
        matrix(video, pixels, height));
  }

  /** WebM keeps alpha beside the stream and only says so. */
  private static boolean seenThrough(JsonObject video, String pixels) {
    JsonObject tags = object(video.get("tags"));
    return pixels.matches(".*(yuva|rgba|bgra|argb|abgr|ya8|ya16|gbrap|pal8).*")
        || tags.getString("alpha_mode", tags.getString("ALPHA_MODE", "")).equals("1");
  }

  private static String matrix(JsonObject video, String pixels, int height) {
    if (!pixels.startsWith("yuv") && !pixels.startsWith("nv") && !pixels.startsWith("p0")) {
      return "auto";
    }
    if (MATRICES.contains(video.getString("color_space", ""))) {
      return "auto";
    }
    // What is not told goes by the size, as in browsers.
    return height >= HIGH_DEFINITION ? "bt709" : "smpte170m";
  }

  private static String type(String format) throws Unusable {
    for (String[] f : FORMATS) {
      if (f[0].equals(format)) {
        return f[1];
      }
    }
    throw new Unusable(
        "Footage of this kind cannot be used; MP4, MOV, WebM, GIF and animated WebP files can, and"
            + " ZIPs of numbered stills");
  }

  private static double seconds(JsonObject video, JsonObject format, double rate) {
    double own = number(video.getString("duration", ""));
    if (own > 0) {
      return own;
    }
    double frames = number(video.getString("nb_frames", ""));
    double all = number(format.getString("duration", ""));
    return all > 0 ? all : frames > 0 ? frames / rate : 1 / rate;
  }

  private static int turn(JsonObject video) {
    JsonValue data = video.get("side_data_list");
    if (data != null && data.isArray()) {
      for (JsonValue v : data.asArray()) {
        JsonValue turned = v.asObject().get("rotation");
        if (turned != null && turned.isNumber()) {
          return (int) Math.round(turned.asDouble());
        }
      }
    }
    return 0;
  }

  private static JsonObject object(JsonValue v) {
    return v != null && v.isObject() ? v.asObject() : new JsonObject();
  }

  private static double quotient(String text) {
    double[] r = ratio(text, "/");
    return r[1] > 0 ? r[0] / r[1] : 0;
  }

  private static double[] ratio(String text, String by) {
    String[] parts = text.split(by);
    return parts.length == 2
        ? new double[] {number(parts[0]), number(parts[1])}
        : new double[] {0, 0};
  }

  private static double number(String text) {
    try {
      double n = Double.parseDouble(text);
      return Double.isFinite(n) ? n : 0;
    } catch (NumberFormatException e) {
      return 0;
    }
  }
}
