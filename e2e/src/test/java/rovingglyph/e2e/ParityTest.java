package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;
import rovingglyph.schema.Spelling;
import rovingglyph.server.TestServer;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRunCodec;

/** The same scenes on the JVM and in the core as the browser runs it. */
class ParityTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static Page page;

  @BeforeAll
  static void loadTheCompiledCore() {
    page = Browser.page();
    page.route(
        "**/parity/core.js",
        r ->
            r.fulfill(
                new Route.FulfillOptions()
                    .setContentType("text/javascript")
                    .setPath(Path.of("../core-js/target/js/core.js"))));
    page.navigate(TestServer.shared().address());
  }

  /** Scenes with every rule of the seat, sharp corners, own curves and all channels moving. */
  private static List<String> documents() throws IOException {
    String hard =
        """
        {"format":"roving-glyph-scene","version":1,"width":900,"height":600,"rate":"30000/1001","length":3,
         "paths":[{"id":"z","kind":"drawn","points":[{"x":-40,"y":300,"out":[200,-500]},
           {"x":400,"y":300,"in":[90,300],"out":[10,-10]},{"x":700,"y":100},{"x":850,"y":500}]},
           {"id":"r","kind":"circle","centre":[450,300],"radius":210.5,"direction":"counterclockwise"}],
         "letterings":[
          {"id":"a","text":"Wind & string, 3 knots","path":"z","face":"pacifico","tracking":0.03,
           "size":{"keyframes":[{"time":0,"value":40,"easing":[0.3,1.4,0.6,-0.2]},{"time":2,"value":70}]},
           "rotation":{"keyframes":[{"time":0,"value":0,"easing":"gentle-both"},{"time":3,"value":200}]},
           "seat":{"align":"middle","ends":"cut","baselineShift":6,"startMargin":30,
             "pathOffset":{"keyframes":[{"time":0,"value":0,"landing":"out-before","easing":"gentle-stop"},
               {"time":1,"value":0,"landing":"at-rest"},{"time":2.5,"value":0,"landing":"out-after"}]}}},
          {"id":"b","text":"upright \\u05d0\\u05d1 \\ud83d\\ude00","path":"r","face":"bricolage-grotesque","size":52,
           "axes":{"wght":333,"wdth":81},"seat":{"side":"right","orientation":"upright","align":"end",
             "endMargin":17,"pathOffset":{"keyframes":[{"time":0,"value":-40},{"time":3,"value":0,"landing":"whole-laps","laps":2}]}}},
          {"id":"c","text":"round and about","path":"r","face":"comfortaa","size":30,"rotation":{"keyframes":[{"time":0,"value":0},{"time":3,"value":70}]},
           "plane":{"stance":"standing","swing":12,"tilt":{"keyframes":[{"time":0,"value":40},{"time":3,"value":75}]},"planeX":450,"planeY":300},
           "seat":{"pathOffset":{"keyframes":[{"time":0,"value":0,"landing":"at-the-back"},{"time":1.4,"value":0,"landing":"facing-front"}]}}}],
         "groups":[{"id":"g","members":["a"],"centre":[450,300],"opacity":70,
             "scale":{"keyframes":[{"time":0,"value":0.6,"easing":"gentle-both"},{"time":2,"value":1.3}]}},
           {"id":"h","members":["g","b"],"x":30,"rotation":{"sway":{"amplitude":9,"period":2}}}]}""";
    return List.of(
        hard,
        everyKindOfPath(),
        Files.readString(Path.of("../demo/kite-string-entrance.json")),
        Files.readString(Path.of("../demo/wind-rose-badge.json")),
        Files.readString(Path.of("../demo/dune-ribbon.json")),
        Files.readString(Path.of("../demo/wall-of-wind.json")),
        Files.readString(Path.of("../demo/pennant-line.json")),
        everyFit());
  }

  /** A lettering on each kind of path, turned, flipped and with moving numbers. */
  private static String everyKindOfPath() {
    StringBuilder paths = new StringBuilder();
    StringBuilder letterings = new StringBuilder();
    for (ShapeKind kind : ShapeKind.values()) {
      paths.append(
          """
          {"id":"%1$s","kind":"%1$s","x":450,"y":{"keyframes":[{"time":0,"value":250},{"time":3,"value":330}]},
           "turn":17,"flipped":%2$s,"reversed":%3$s,"radius":%4$s},"""
              .formatted(
                  Spelling.of(kind),
                  kind.ordinal() % 2 == 0,
                  kind.ordinal() % 3 == 0,
                  "{\"keyframes\":[{\"time\":0,\"value\":120},{\"time\":2,\"value\":260}]}"));
    }
    String points = "[[40,300],[200,80],[420,420],[700,200],[860,330]]";
    paths.append(
        """
        {"id":"through","kind":"smooth","points":%1$s},
        {"id":"near","kind":"smooth","rule":"near","closed":true,"points":%1$s},
        {"id":"hand","kind":"freehand","samples":%1$s,"steadiness":40},
        {"id":"moving","kind":"drawn","points":[{"x":0,"y":0},{"x":9,"y":0}],"shapes":[
          {"time":0,"points":[{"x":50,"y":300},{"x":800,"y":300}],"easing":"gentle-both"},
          {"time":2,"points":[{"x":50,"y":500},{"x":300,"y":90,"in":[-60,0],"out":[60,0]},{"x":800,"y":400}]}]}"""
            .formatted(points));
    for (GuidePath p :
        SceneCodec.read(
                "{\"format\":\"roving-glyph-scene\",\"version\":1,\"paths\":[" + paths + "]}")
            .paths()) {
      letterings.append(letterings.isEmpty() ? "" : ",");
      letterings.append(
          "{\"id\":\"l-%1$s\",\"text\":\"dune\",\"path\":\"%1$s\",\"size\":40}".formatted(p.id()));
    }
    return "{\"format\":\"roving-glyph-scene\",\"version\":1,\"width\":900,\"height\":600,\"length\":3,"
        + "\"paths\":["
        + paths
        + "],\"letterings\":["
        + letterings
        + "]}";
  }

  /** Every fit and shape, with phrases, rules, rows, profiles, staggers and all easings. */
  private static String everyFit() {
    StringBuilder letterings = new StringBuilder();
    String[] seats = {
      "\"fit\":\"spread\",\"evenSpacing\":true",
      "\"fit\":\"stretch\",\"method\":\"bent\"",
      "\"fit\":\"scale\",\"side\":\"right\",\"evenSpacing\":true",
      "\"fit\":\"repeat\",\"seamGap\":30,\"letterTurn\":{\"sway\":{\"amplitude\":20,\"period\":1,\"shape\":\"noise\"},\"stagger\":{\"delay\":0.1,\"order\":\"random\"}}",
      "\"leastGap\":6,\"side\":\"right\",\"pathOffset\":{\"cruise\":{\"pace\":\"letters\",\"amount\":2}}",
      "\"overlong\":\"shrink\",\"startMargin\":900,\"pathOffset\":{\"follow\":{\"lettering\":\"f4\",\"factor\":0.5}}",
      "\"overlong\":\"through\",\"startMargin\":1200,\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":1}}"
    };
    for (int i = 0; i < seats.length; i++) {
      letterings.append(i == 0 ? "" : ",").append("{\"id\":\"f" + i + "\",\"path\":\"r\",");
      letterings.append(
          "\"text\":\"wind and\\nkites 3\",\"face\":\"bricolage-grotesque\",\"size\":30,");
      letterings.append(
          "\"axes\":{\"wght\":{\"sway\":{\"amplitude\":300,\"period\":2},\"still\":500}},");
      letterings.append("\"phrases\":{\"separator\":\"~\",\"space\":0.3,\"times\":" + i % 2 + "},");
      letterings.append("\"rules\":[{\"by\":\"digits\",\"size\":150,\"fill\":\"#112233\"}],");
      letterings.append("\"rows\":{\"count\":2,\"kind\":\"parallel\",\"step\":40},");
      letterings.append(
          "\"profiles\":[{\"of\":\"size\",\"along\":\"path\",\"points\":[[0,80],[0.5,120],[1,80]]}],");
      letterings.append(
          "\"fill\":{\"keyframes\":[{\"time\":0,\"value\":\"#FF0000\",\"easing\":\"bounce\"},{\"time\":2,\"value\":\"#00AAFF\",\"easing\":\"spring\"},{\"time\":3,\"value\":\"#000000\"}]},");
      letterings.append("\"seat\":{" + seats[i] + "}}");
    }
    return "{\"format\":\"roving-glyph-scene\",\"version\":1,\"width\":900,\"height\":600,\"length\":3,"
        + "\"paths\":[{\"id\":\"r\",\"kind\":\"circle\",\"x\":450,\"y\":300,\"radius\":220}],\"letterings\":["
        + letterings
        + "]}";
  }

  private static Map<String, String> runs(Scene scene) {
    Map<String, String> runs = new LinkedHashMap<>();
    for (Lettering l : scene.letterings()) {
      for (RunRequest r : Preparation.requests(l)) {
        runs.put(r.key(), ShapedRunCodec.write(SHAPER.run(r)).toString());
      }
    }
    return runs;
  }

  @Test
  @SuppressWarnings("unchecked")
  void theSameFramesToABillionthOfAPixel() throws IOException {
    int compared = 0;
    for (String document : documents()) {
      Scene scene = SceneCodec.read(document);
      PreparedScene prepared = Preparation.prepare(scene, SHAPER);
      List<List<Number>> frames =
          (List<List<Number>>)
              page.evaluate(
                  """
                  async ([document, runs, length]) => {
                    const core = await import('/parity/core.js');
                    for (const [key, run] of Object.entries(runs)) core.putRun(key, run);
                    const opened = JSON.parse(core.open(document, false));
                    if (!opened.frames) throw new Error(JSON.stringify(opened).slice(0, 300));
                    return Array.from({ length: 14 }, (_, i) => [...core.frame((i * length) / 12)]);
                  }""",
                  List.of(document, runs(scene), scene.length()));
      for (int i = 0; i < frames.size(); i++) {
        double[] here = prepared.at(i * scene.length() / 12).numbers();
        assertThat(frames.get(i)).hasSize(here.length);
        for (int k = 0; k < here.length; k++) {
          assertThat(Math.abs(frames.get(i).get(k).doubleValue() - here[k]))
              .as("frame " + i + ", number " + k)
              .isLessThanOrEqualTo(1e-9);
          compared++;
        }
      }
    }
    assertThat(compared).isGreaterThan(10_000);
  }

  @Test
  void theSameDocumentIsWrittenAndTheSameProblemsAreFound() throws IOException {
    for (String document : documents()) {
      Scene scene = SceneCodec.read(document);
      String edit = "{\"op\":\"reverse\",\"path\":\"" + scene.paths().get(0).id() + "\"}";
      String there =
          (String)
              page.evaluate(
                  """
                  async ([document, runs, edit]) => {
                    const core = await import('/parity/core.js');
                    for (const [key, run] of Object.entries(runs)) core.putRun(key, run);
                    core.open(document, false);
                    return core.edit(document, edit);
                  }""",
                  List.of(document, runs(scene), edit));
      Scene here = SceneEdits.apply(Preparation.prepare(scene, SHAPER).scene(), edit);
      for (double t = 0; t < scene.length(); t += 0.7) {
        double[] one = Preparation.prepare(SceneCodec.read(there), SHAPER).at(t).numbers();
        double[] other = Preparation.prepare(here, SHAPER).at(t).numbers();
        assertThat(one).hasSameSizeAs(other).containsExactly(other, within(1e-9));
      }
    }
    String bad =
        documents().get(2).replace("\"length\": 6", "\"length\": 1e308").replace("168", "-1");
    Object problems =
        page.evaluate("async (d) => (await import('/parity/core.js')).open(d, false)", bad);
    assertThat(problems.toString()).contains("$.length", "$.letterings[0].size", "1 to 4000");
  }
}
