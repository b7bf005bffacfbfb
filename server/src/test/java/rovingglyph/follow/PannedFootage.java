package rovingglyph.follow;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import rovingglyph.geometry.Point;

/** A file of footage in which a rough wall goes by, as it is known how. */
public final class PannedFootage {
  public static final int WIDTH = 640;
  public static final int HEIGHT = 360;
  public static final int FRAMES = 40;

  /** A place on the wall, in the first frame. */
  public static final Point SPOT = new Point(250, 150);

  private static final int CELL = 9;
  private static final int CELLS = 140;

  private PannedFootage() {}

  /** How far the wall has gone in a frame, px across and down. */
  public static double[] moved(int frame) {
    return new double[] {2.3 * frame, 18 * Math.sin(frame / 12.0)};
  }

  /** An MP4 of 25 frames a second. */
  public static Path make(Path folder) throws IOException {
    Random random = new Random(8);
    double[] cells = random.doubles((long) CELLS * CELLS).toArray();
    Path out = folder.resolve("wall.mp4");
    List<String> command =
        List.of(
            "ffmpeg -v error -y -f rawvideo -pix_fmt gray -s 640x360 -r 25 -i pipe:0 -c:v libx264"
                .split(" "));
    List<String> all = new ArrayList<>(command);
    all.addAll(List.of("-preset", "veryfast", "-crf", "20", "-pix_fmt", "yuv420p", out.toString()));
    Process p = new ProcessBuilder(all).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    try (OutputStream to = p.getOutputStream()) {
      for (int i = 0; i < FRAMES; i++) {
        to.write(frame(cells, moved(i)));
      }
    }
    try {
      if (p.waitFor() != 0) {
        throw new IOException("ffmpeg made no file");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted", e);
    }
    return out;
  }

  private static byte[] frame(double[] cells, double[] moved) {
    byte[] out = new byte[WIDTH * HEIGHT];
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double u = (x - moved[0] + 300) / CELL;
        double v = (y - moved[1] + 300) / CELL;
        int left = (int) u;
        int top = (int) v;
        double a = u - left;
        double b = v - top;
        int at = top * CELLS + left;
        double upper = cells[at] + (cells[at + 1] - cells[at]) * a;
        double lower = cells[at + CELLS] + (cells[at + CELLS + 1] - cells[at + CELLS]) * a;
        out[y * WIDTH + x] = (byte) (40 + 170 * (upper + (lower - upper) * b));
      }
    }
    return out;
  }
}
