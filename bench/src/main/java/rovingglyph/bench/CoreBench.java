package rovingglyph.bench;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Placement;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;

/** The core's work while a scene is played and edited. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBench {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  private final Scene two = SceneCodec.read(document(200));
  private final String twoText = document(200);
  private final PreparedScene twoHundred = Preparation.prepare(two, SHAPER);
  private final PreparedScene thousand =
      Preparation.prepare(SceneCodec.read(document(1000)), SHAPER);
  private final Contour contour =
      new Contour(
          List.of(
              new Cubic(
                  new Point(0, 0), new Point(900, -800), new Point(200, 900), new Point(1200, 40))),
          false);
  private final PreparedLettering evenly = lettering("\"evenSpacing\":true,");
  private final PreparedScene bent =
      Preparation.prepare(SceneCodec.read(document(1000, "\"method\":\"bent\",")), SHAPER);
  private final PreparedScene standing =
      Preparation.prepare(SceneCodec.read(ring(200, "")), SHAPER);
  private final PreparedScene thick =
      Preparation.prepare(
          SceneCodec.read(ring(200, ",\"body\":{\"thickness\":12,\"bevel\":1.5}")), SHAPER);
  private double t;
  private int texts;

  private static PreparedLettering lettering(String seat) {
    return Preparation.prepare(SceneCodec.read(document(1000, seat)), SHAPER).letterings().get("l");
  }

  private static String document(int letters) {
    return document(letters, "");
  }

  private static String document(int letters, String seat) {
    String text = "kites and strings aloft ".repeat(letters / 24 + 1).substring(0, letters);
    return """
        {"format":"roving-glyph-scene","version":1,"width":1920,"height":1080,"rate":"25","length":6,
         "paths":[{"id":"p","kind":"drawn","points":[{"x":-80,"y":900,"out":[280,-110]},
           {"x":900,"y":330,"in":[-330,10],"out":[330,-10]},{"x":2010,"y":700,"in":[-330,40]}]}],
         "letterings":[{"id":"l","text":"%s","path":"p","face":"league-spartan","size":18,
           "seat":{%s"align":"middle","pathOffset":{"keyframes":[
             {"time":0,"value":-900,"landing":"out-before","easing":"gentle-stop"},
             {"time":3,"value":0,"landing":"at-rest"},
             {"time":6,"value":900,"landing":"out-after"}]}}}]}"""
        .formatted(text, seat);
  }

  private static String ring(int letters, String body) {
    String text = "kitesandstringsaloft".repeat(letters / 20);
    return """
        {"format":"roving-glyph-scene","version":2,"width":1920,"height":1080,"rate":"25","length":6,
         "paths":[{"id":"p","kind":"circle","x":960,"y":540,"radius":420}],
         "items":[{"id":"l","kind":"lettering","text":"%s","path":"p","face":"league-spartan",
           "size":22,"seat":{"side":"right","fit":"spread","pathOffset":{"keyframes":[
             {"time":0,"value":0},{"time":6,"value":2639}]}},
           "plane":{"stance":"standing","tilt":74,"planeX":960,"planeY":540%s}}]}"""
        .formatted(text, body);
  }

  private double next() {
    t = (t + 0.04) % 6;
    return t;
  }

  /** Goal: below 1000 microseconds. */
  @Benchmark
  public double[] frameOfThousandGlyphs() {
    return thousand.at(next()).numbers();
  }

  /** A fifth of the work above: shows that the cost is linear in glyphs. */
  @Benchmark
  public double[] frameOfTwoHundredGlyphs() {
    return twoHundred.at(next()).numbers();
  }

  /** Two landings are solved against the outlines. */
  @Benchmark
  public PreparedScene prepareTwoHundredGlyphs() {
    return Preparation.prepare(two, SHAPER);
  }

  /** Laying out with even spacing. Goal: below 2000 microseconds. */
  @Benchmark
  public List<Placement> layOutThousandEvenly() {
    return evenly.seating(evenly.values(next())).place();
  }

  /** A frame of bent letters. Goal: below 10,000 microseconds. */
  @Benchmark
  public double[] bendThousandGlyphs() {
    return bent.at(next()).numbers();
  }

  /** A frame of letters that stand on a ring in space, in order. Goal: below 6000 microseconds. */
  @Benchmark
  public double[] standTwoHundredLetters() {
    return standing.at(next()).numbers();
  }

  /** The same with thickness and bevel, lit. Goal: below 6000 microseconds. */
  @Benchmark
  public double[] standTwoHundredThickLetters() {
    return thick.at(next()).numbers();
  }

  /** A text that has not been shaped before. Goal: below 50,000 microseconds. */
  @Benchmark
  public ShapedRun shapeTenThousandCharacters() {
    String text = ++texts + " kites and strings aloft".repeat(420);
    return SHAPER.run(
        RunRequest.plain("league-spartan", Map.of(), text.substring(0, 10_000), true));
  }

  @Benchmark
  public Scene readDocument() {
    return SceneCodec.read(twoText);
  }

  /** Goal: below 1 microsecond. */
  @Benchmark
  public Contour.Station lookUpByDistance() {
    return contour.at(next() / 6 * contour.length());
  }
}
