package rovingglyph.footage;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import rovingglyph.server.TestServer;
import rovingglyph.uploads.StoredFiles;

/** Footage for tests: every frame says its number in twelve cells, light for 1 and dark for 0. */
public final class MadeFootage {
  /** Cells of a number. */
  private static final int BITS = 12;

  public static final int WIDTH = 320;
  public static final int HEIGHT = 180;

  /** The cells reach from here to there, as shares of the height. */
  private static final double[] CELLS = {0.25, 0.5};

  private MadeFootage() {}

  /**
   * A kind of file.
   *
   * @param name with its extension
   * @param rate frames a second, as ffmpeg takes it
   * @param filter of the frames, such as one that gives them times
   * @param encoder what ffmpeg is told
   */
  public record Kind(String name, String rate, String filter, List<String> encoder) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static final List<String> H264 =
      List.of(
          "-c:v", "libx264", "-preset", "veryfast", "-bf", "3", "-g", "30", "-pix_fmt", "yuv420p");

  /** Of 1080p; frames are made larger by ffmpeg. */
  public static final Kind LARGE = new Kind("large.mp4", "25", "scale=1920:1080", H264);

  /** Frames of lengths that differ: 30, 43 and 56 ms by turns. */
  private static final String VARYING =
      "settb=1/1000,setpts=N*43+13*mod(N\\,3)-13*gt(mod(N\\,3)\\,1)";

  public static final List<Kind> KINDS =
      List.of(
          new Kind("plain.mp4", "25", "null", H264),
          new Kind("broadcast.mp4", "30000/1001", "null", H264),
          new Kind("varying.mp4", "25", VARYING, H264),
          new Kind("varying.mov", "25", VARYING, H264),
          new Kind(
              "varying.webm",
              "25",
              VARYING,
              List.of(
                  "-c:v",
                  "libvpx",
                  "-deadline",
                  "realtime",
                  "-pix_fmt",
                  "yuva420p",
                  "-auto-alt-ref",
                  "0")),
          new Kind("steps.gif", "20", "null", List.of()),
          new Kind("steps.webp", "20", "null", List.of("-c:v", "libwebp_anim", "-lossless", "1")),
          new Kind("stills.zip", "25", "null", List.of("-c:v", "png", "-start_number", "98")));

  /** Makes a file of a kind, of so many frames; with a tone of 440 Hz if it is to have sound. */
  public static Path make(Path folder, Kind kind, int frames, boolean sound) throws IOException {
    boolean stills = kind.name().endsWith(".zip");
    Path out = folder.resolve(stills ? "kite-%d.png" : kind.name());
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of("-f", "rawvideo", "-pix_fmt", "bgra", "-s", WIDTH + "x" + HEIGHT));
    command.addAll(List.of("-r", kind.rate(), "-i", "pipe:0"));
    if (sound) {
      command.addAll(
          List.of(
              "-f",
              "lavfi",
              "-t",
              "30",
              "-i",
              "sine=frequency=440:sample_rate=48000",
              "-shortest"));
    }
    command.addAll(List.of("-vf", kind.filter(), "-fps_mode", "passthrough"));
    command.addAll(List.of("-enc_time_base", "1:90000"));
    command.addAll(kind.encoder());
    command.add(out.toString());
    Process p = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    try (OutputStream to = p.getOutputStream()) {
      for (int i = 0; i < frames; i++) {
        to.write(bytes(frame(i)));
      }
    }
    run(p);
    return stills ? zipped(folder, folder.resolve(kind.name())) : out;
  }

  /** All PNG files of a folder in a ZIP, in no order. */
  static Path zipped(Path folder, Path out) throws IOException {
    try (Stream<Path> all = Files.list(folder);
        ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(out))) {
      for (Path p : all.filter(f -> f.toString().endsWith(".png")).toList()) {
        zip.putNextEntry(new ZipEntry("kites/" + p.getFileName()));
        zip.write(Files.readAllBytes(p));
        Files.delete(p);
      }
    }
    return out;
  }

  /** A pattern of many colours that moves. */
  public static Path pattern(Path folder, int width, int height, String rate, int seconds)
      throws IOException {
    Path out = folder.resolve("pattern.mp4");
    String source = "testsrc2=s=%dx%d:r=%s:d=%d".formatted(width, height, rate, seconds);
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y", "-f", "lavfi"));
    command.addAll(List.of("-i", source));
    command.addAll(H264);
    command.add(out.toString());
    run(new ProcessBuilder(command).inheritIO().start());
    return out;
  }

  static void run(Process p) throws IOException {
    try {
      if (p.waitFor() != 0) {
        throw new IOException("ffmpeg failed");
      }
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  private static byte[] bytes(BufferedImage image) {
    int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    ByteBuffer out = ByteBuffer.allocate(4 * pixels.length).order(ByteOrder.LITTLE_ENDIAN);
    Arrays.stream(pixels).forEach(out::putInt);
    return out.array();
  }

  private static BufferedImage frame(int number) {
    BufferedImage out = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = out.createGraphics();
    g.setColor(new Color(90, 120, 110));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    int wide = WIDTH / (BITS + 2);
    int top = (int) (HEIGHT * CELLS[0]);
    for (int bit = 0; bit < BITS; bit++) {
      g.setColor((number >> bit & 1) == 1 ? Color.WHITE : Color.BLACK);
      g.fillRect(wide * (bit + 1), top, wide, (int) (HEIGHT * CELLS[1]) - top);
    }
    g.setColor(new Color(200, 80, 40));
    g.fillOval(number * 5 % WIDTH, 110, 40, 40);
    g.dispose();
    return out;
  }

  /** The number in a picture that shows a frame from edge to edge, at any size. */
  public static int number(BufferedImage image) {
    int out = 0;
    double wide = image.getWidth() / (double) WIDTH * (WIDTH / (BITS + 2));
    int y = (int) (image.getHeight() * (CELLS[0] + CELLS[1]) / 2);
    for (int bit = 0; bit < BITS; bit++) {
      int rgb = image.getRGB((int) (wide * (bit + 1.5)), y);
      int light = (rgb >> 16 & 255) + (rgb >> 8 & 255) + (rgb & 255);
      out |= light > 384 ? 1 << bit : 0;
    }
    return out;
  }

  /** Uploads a file in pieces. */
  public static HttpResponse<byte[]> upload(TestServer server, String project, Path file) {
    try {
      byte[] all = Files.readAllBytes(file);
      String begun = "{\"name\":\"%s\",\"size\":%d}".formatted(file.getFileName(), all.length);
      HttpResponse<byte[]> upload =
          server.send("POST", "/api/projects/" + project + "/uploads", begun);
      if (upload.statusCode() != 201) {
        return upload;
      }
      String id = Json.parse(TestServer.text(upload)).asObject().getString("id", "");
      for (int n = 0; n * StoredFiles.PIECE < all.length; n++) {
        int to = Math.min(all.length, (n + 1) * StoredFiles.PIECE);
        server.putBytes(
            "/api/uploads/" + id + "/pieces/" + n,
            Arrays.copyOfRange(all, n * StoredFiles.PIECE, to));
      }
      return server.send("POST", "/api/uploads/" + id + "/end", "");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Uploads a file and waits until it is ready or has failed. */
  public static JsonObject kept(TestServer server, String project, Path file) {
    HttpResponse<byte[]> ended = upload(server, project, file);
    if (ended.statusCode() != 200) {
      throw new AssertionError(TestServer.text(ended));
    }
    return settled(
        server, project, Json.parse(TestServer.text(ended)).asObject().getString("id", ""));
  }

  /** Waits until footage is ready or has failed. */
  public static JsonObject settled(TestServer server, String project, String id) {
    for (int i = 0; i < 600; i++) {
      String list =
          TestServer.text(server.send("GET", "/api/projects/" + project + "/footage", null));
      for (var v : Json.parse(list).asArray()) {
        JsonObject f = v.asObject();
        if (f.getString("id", "").equals(id) && !f.getString("state", "").equals("preparing")) {
          return f;
        }
      }
      try {
        Thread.sleep(100);
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }
    throw new AssertionError("The footage did not get ready");
  }
}
