package rovingglyph.bench;

import java.util.Arrays;
import java.util.Random;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.Raster;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** How long the server paints frames of 1920 by 1080. */
final class PaintTimes {
  private static final int ROUNDS = 60;

  private PaintTimes() {}

  static void run() {
    StringBuilder paths = new StringBuilder();
    StringBuilder items = new StringBuilder();
    Random random = new Random(1);
    for (int i = 0; i < 100; i++) {
      paths.append(i > 0 ? "," : "");
      paths.append(
          "{\"id\":\"p%d\",\"kind\":\"circle\",\"x\":%d,\"y\":%d,\"radius\":60}"
              .formatted(i, 100 + random.nextInt(1700), 100 + random.nextInt(880)));
      items.append(i > 0 ? "," : "");
      items.append(
          """
          {"kind":"lettering","id":"l%1$d","text":"kites up aft","path":"p%1$d","size":20,
           "rotation":{"cruise":{"amount":30}}}"""
              .formatted(i));
    }
    time("1,000 letters in 100 letterings (goal 30)", paths.toString(), items.toString());
    String box =
        """
        {"kind":"drawing","id":"d","x":900,"y":500,"parts":[{"d":"M-300-220H300V220H-300Z","fill":"#336699"}]%s}""";
    String blur = ",\"effects\":[{\"id\":\"b\",\"kind\":\"blur\",\"stdDeviation\":12}]";
    time("a box of 600 by 440", "", box.formatted(""));
    time("the same, blurred by 12 px", "", box.formatted(blur));
  }

  private static void time(String name, String paths, String items) {
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Painted","width":1920,"height":1080,"rate":"25",
         "length":4,"background":"#FFFFFF","paths":[%s],"items":[%s]}"""
            .formatted(paths, items);
    PreparedScene scene =
        Preparation.prepare(SceneCodec.read(document), new Shaper(FaceCatalogue.shipped()));
    double[] times = new double[ROUNDS];
    try (FramePainter painter = new FramePainter(scene, Bitmaps.NONE, 1);
        Raster raster = painter.raster(Raster.Pixels.OPAQUE)) {
      for (int i = -ROUNDS; i < ROUNDS; i++) {
        long begin = System.nanoTime();
        painter.paint(raster, Math.abs(i) / 25.0);
        // The first rounds warm up the JVM.
        times[Math.max(i, 0)] = (System.nanoTime() - begin) / 1e6;
      }
    }
    Arrays.sort(times);
    System.out.printf(
        "Painted on the server, %s: median %.1f ms, slowest twentieth %.1f ms%n",
        name, times[ROUNDS / 2], times[ROUNDS - ROUNDS / 20]);
  }
}
