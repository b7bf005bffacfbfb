package rovingglyph.bench;

import com.eclipsesource.json.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.FormatInParts;
import rovingglyph.formats.Part;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.schema.Fields;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** What it costs one node to make an MP4 in parts and join them, against making it at once. */
final class PartsRatio {
  private static final int ROUNDS = 4;

  private PartsRatio() {}

  static void run(Path document) throws IOException {
    String text = Json.parse(Files.readString(document)).asObject().set("length", 48).toString();
    FormatInParts mp4 = (FormatInParts) ExportFormats.of("mp4");
    ExportOptions options = ExportOptions.read(mp4, Fields.of(Json.parse("{\"to\":1199}")));
    Shaper shaper = new Shaper(FaceCatalogue.shipped());
    Path folder = Files.createTempDirectory("roving-bench");
    List<Double> ratios = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      long begun = System.nanoTime();
      PreparedScene whole = Preparation.prepare(SceneCodec.read(text), shaper);
      mp4.write(whole, Bitmaps.NONE, options, folder.resolve("whole.mp4"), new Progress());
      double atOnce = (System.nanoTime() - begun) / 1e9;
      begun = System.nanoTime();
      List<Path> files = new ArrayList<>();
      for (Part part : mp4.parts(whole.scene(), options)) {
        PreparedScene scene = Preparation.prepare(SceneCodec.read(text), shaper);
        Path file = folder.resolve(part.first() + ".mp4");
        mp4.writePart(scene, Bitmaps.NONE, options, part, file, new Progress());
        files.add(file);
      }
      Path joined = folder.resolve("joined.mp4");
      mp4.join(whole.scene(), Bitmaps.NONE, options, files, joined, new Progress());
      double inParts = (System.nanoTime() - begun) / 1e9;
      ratios.add(inParts / atOnce);
      System.out.printf(
          "MP4 of 1,200 frames: %.1f s at once, %.1f s in %d parts; ratio %.3f; bytes %.3f%n",
          atOnce,
          inParts,
          files.size(),
          inParts / atOnce,
          (double) Files.size(joined) / Files.size(folder.resolve("whole.mp4")));
    }
    for (Path file : Files.list(folder).toList()) {
      Files.delete(file);
    }
    Files.delete(folder);
    System.out.printf("Median ratio %.3f%n", ratios.stream().sorted().toList().get(ROUNDS / 2));
  }
}
