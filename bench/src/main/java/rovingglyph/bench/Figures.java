package rovingglyph.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.zip.GZIPOutputStream;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.seat.Placement;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.WebSvg;

/** Figures that are no times: sizes of files, steps of letters, errors of approximations. */
final class Figures {
  private Figures() {}

  static void run() throws IOException {
    Shaper shaper = new Shaper(FaceCatalogue.shipped());
    System.out.println("Animated SVG of the demo scenes: bytes, and packed with gzip");
    TreeSet<Path> documents = new TreeSet<>();
    try (DirectoryStream<Path> all = Files.newDirectoryStream(Path.of("demo"), "*.json")) {
      all.forEach(documents::add);
    }
    for (Path p : documents) {
      PreparedScene scene = prepare(p, shaper);
      byte[] svg = svg(scene);
      System.out.printf("  %-28s %9d %8d%n", p.getFileName(), svg.length, packed(svg));
    }
    steps(prepare(Path.of("demo/pennant-line.json"), shaper));
    nearest();
  }

  private static PreparedScene prepare(Path p, Shaper shaper) throws IOException {
    return Preparation.prepare(SceneCodec.read(Files.readString(p)), shaper);
  }

  /** As it is handed off, without its pictures. */
  private static byte[] svg(PreparedScene scene) {
    return WebSvg.write(scene, (image, width) -> null, "xMidYMid meet")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static int packed(byte[] bytes) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
      gzip.write(bytes);
    }
    return out.size();
  }

  /** How far letters on the straight sides go from frame to frame. */
  private static void steps(PreparedScene scene) {
    PreparedLettering l = scene.letterings().values().iterator().next();
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    for (int f = 0; f < scene.scene().frameCount(); f++) {
      List<Placement> now = l.placements(l.values(scene.scene().rate().timeOf(f)));
      List<Placement> next = l.placements(l.values(scene.scene().rate().timeOf(f + 1)));
      for (int i = 0; i < now.size(); i++) {
        boolean straight =
            Math.abs(now.get(i).angle() - next.get(i).angle()) < 1e-12
                && (Math.abs(now.get(i).at().x() - next.get(i).at().x()) < 1e-9
                    || Math.abs(now.get(i).at().y() - next.get(i).at().y()) < 1e-9);
        if (straight) {
          double step = now.get(i).at().distance(next.get(i).at());
          least = Math.min(least, step);
          most = Math.max(most, step);
        }
      }
    }
    System.out.printf(
        "Pennant line, letters on straight parts: steps of %.4f to %.4f px a frame%n", least, most);
  }

  /** The nearest place of random cubics against 4,000 places of each, the best of them refined. */
  private static void nearest() {
    Random r = new Random(18);
    double worst = 0;
    long nanos = 0;
    for (int i = 0; i < 20_000; i++) {
      Point[] q = new Point[5];
      for (int k = 0; k < 5; k++) {
        q[k] = new Point(r.nextDouble() * 1000, r.nextDouble() * 1000);
      }
      Cubic c = new Cubic(q[0], q[1], q[2], q[3]);
      Contour contour = new Contour(List.of(c), false);
      contour.length();
      long begun = System.nanoTime();
      double found = contour.nearest(q[4]).point().distance(q[4]);
      nanos += System.nanoTime() - begun;
      worst = Math.max(worst, found - least(c, q[4]));
    }
    System.out.printf(
        "Nearest place of 20,000 random cubics: worst %.2e px, %.1f us each%n",
        worst, nanos / 20_000 / 1e3);
  }

  private static double least(Cubic c, Point p) {
    int n = 2000;
    int best = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i <= n; i++) {
      double d = c.point((double) i / n).distance(p);
      if (d < least) {
        least = d;
        best = i;
      }
    }
    double low = Math.max(0, best - 1.0) / n;
    double high = Math.min(n, best + 1.0) / n;
    for (int i = 0; i < 80; i++) {
      double a = low + (high - low) / 3;
      double b = high - (high - low) / 3;
      if (c.point(a).distance(p) <= c.point(b).distance(p)) {
        high = b;
      } else {
        low = a;
      }
    }
    return c.point((low + high) / 2).distance(p);
  }
}
