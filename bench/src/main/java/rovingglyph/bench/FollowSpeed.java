package rovingglyph.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import rovingglyph.follow.Following;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.render.FootageSource;

/** How many frames of 1920 x 1080 are followed in a second, decoded from a file. */
final class FollowSpeed {
  private static final int FRAMES = 200;

  private FollowSpeed() {}

  static void run() throws IOException {
    double[] times = IntStream.range(0, FRAMES).mapToDouble(i -> i / 25.0).toArray();
    Path file = Path.of("demo/footage/harbour-at-dawn.mp4");
    FootageSource source = new FootageSource(file, times, 1920, 1080, true, 1, "bt709");
    Point bolt = new Point(1232.36, 372.56);
    Point other = new Point(1726.04, 372.56);
    List<Point> board = new Rect(1190, 330, 1770, 560).corners();
    for (List<Point> marks : List.of(List.of(bolt), List.of(bolt, other), board)) {
      int[] found = {0};
      long begun = System.nanoTime();
      new Following(source, 0, marks, List.of())
          .run(
              FRAMES,
              frames -> {
                found[0] += frames.size();
                return true;
              });
      double seconds = (System.nanoTime() - begun) / 1e9;
      System.out.printf(
          "Following %d in 1080p footage: %d frames, %.1f a second%n",
          marks.size(), found[0], found[0] / seconds);
    }
  }
}
