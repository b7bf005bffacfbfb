package rovingglyph;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Op;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;

/** Scenes with a made-up face: every letter is a box half an em wide, 0.1 to 0.4, and 0.7 high. */
public final class TestScenes {
  public static final double ADVANCE = 0.5;
  private static final Outline BOX = Outline.of("M0.1 0L0.1 -0.7L0.4 -0.7L0.4 0Z");
  private static final Map<String, ShapedRun> RUNS = new HashMap<>();

  public static final String CIRCLE =
      """
      {"id":"p","name":"Ring","kind":"circle","centre":[500,500],"radius":200,"startAngle":-90}""";
  public static final String LINE = drawn(100, 500, 900, 500);
  public static final String CORNER =
      """
      {"id":"p","kind":"drawn","points":[{"x":100,"y":500},{"x":500,"y":500},{"x":500,"y":900}]}""";

  private TestScenes() {}

  /** The entries of a frame that an item of a kind is, without any appearance. */
  public static List<Op> ops(String kind) {
    return switch (kind) {
      case "foreground-cut" -> List.of(Op.PUSH, Op.FILL, Op.MATTE, Op.FILL, Op.POP);
      case "inset" -> List.of(Op.PUSH, Op.CLIP, Op.FILL, Op.UNCLIP, Op.POP);
      default -> List.of(Op.FILL);
    };
  }

  /**
   * The scenes that insets of the test scenes show: "kite" is one of nothing but its background.
   */
  public static final SceneShelf SHELF = shelf();

  private static SceneShelf shelf() {
    SceneShelf out = new SceneShelf();
    out.put(
        "kite",
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":2,"name":"Kite","width":200,"height":200,
             "rate":"25","length":1.5,"background":"#112233"}"""));
    return out;
  }

  /** Where {@link #item} is among the items, from 0 on. */
  public static int index(String kind) {
    return kind.equals("group") ? 1 : kind.equals("foreground-cut") ? 2 : 0;
  }

  public static String drawn(double... xy) {
    StringBuilder points = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      points.append(i > 0 ? "," : "");
      points.append("{\"x\":").append(xy[i]).append(",\"y\":").append(xy[i + 1]).append('}');
    }
    return "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[" + points + "]}";
  }

  public static ShapedRun run(RunRequest request) {
    return RUNS.computeIfAbsent(
        request.text(),
        text -> {
          List<Cluster> clusters = new ArrayList<>();
          for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            List<Cluster.Glyph> glyphs = c == ' ' ? List.of() : List.of(new Cluster.Glyph(0, 0, 0));
            clusters.add(new Cluster(String.valueOf(c), i, ADVANCE, glyphs, "", false));
          }
          return new ShapedRun(text, clusters, List.of(BOX), 0.8, 0.2, 0.5, 0.7, false, false);
        });
  }

  /** A scene of 1000 x 1000 px, 25 fps, 4 s with one lettering "l" of size 100. */
  public static String document(String path, String text, String seat, String more) {
    return """
        {"format":"roving-glyph-scene","version":1,"name":"Test","width":1000,"height":1000,
         "rate":"25","length":4,"background":null,"paths":[%s],
         "letterings":[{"id":"l","text":"%s","path":"p","size":100,"seat":{%s}%s}]}"""
        .formatted(path, text, seat, more.isEmpty() ? "" : "," + more);
  }

  /** The same with more fields of the scene, before its paths. */
  public static String with(String document, String fields) {
    return document.replace("\"paths\"", fields + ",\"paths\"");
  }

  public static PreparedScene prepare(String document) {
    return Preparation.prepare(read(document), TestScenes::run);
  }

  /** A scene with those that its insets show. */
  public static Scene read(String document) {
    return SHELF.filled(SceneCodec.read(document));
  }

  public static PreparedLettering lettering(String path, String text, String seat) {
    return prepare(document(path, text, seat, "")).letterings().get("l");
  }

  /** A path offset through these keyframes, as the field of a seat. */
  public static String offsets(String... keyframes) {
    return "\"pathOffset\":{\"keyframes\":[" + String.join(",", keyframes) + "]}";
  }

  /** What {@link #item} needs: a level line, and a shape. */
  public static final String PATHS =
      LINE
          + ",{\"id\":\"area\",\"kind\":\"rectangle\",\"x\":500,\"y\":480,\"width\":200,\"height\":200}";

  /** Every kind of item that there is; a test of the documents sees that none is left out. */
  public static final List<String> ITEM_KINDS =
      List.of(
          "lettering",
          "drawing",
          "group",
          "colour-field",
          "picture",
          "footage",
          "filled-path",
          "foreground-cut",
          "inset");

  /**
   * An item of a kind, called "it", whose ink reaches from (400, 400) to (600, 480) and on, in a
   * scene with the {@link #PATHS}.
   *
   * @param more further fields
   */
  public static String item(String kind, String more) {
    String box = "\"parts\":[{\"d\":\"M-100-100H100V100H-100Z\",\"fill\":\"#112233\"}]";
    String before = "";
    String fields =
        switch (kind) {
          case "lettering" -> "\"text\":\"nnnnnnnnnnnnnnnn\",\"path\":\"p\"";
          case "drawing" -> "\"x\":500,\"y\":480," + box;
          case "group" -> {
            before = "{\"kind\":\"drawing\",\"id\":\"in\",\"x\":500,\"y\":480," + box + "},";
            yield "\"members\":[\"in\"]";
          }
          case "colour-field" -> "\"x\":500,\"y\":480";
          case "picture" -> "\"x\":500,\"y\":480,\"image\":\"kites\"";
          case "footage" ->
              "\"x\":500,\"y\":480,\"image\":\"sea\",\"rate\":10,\"length\":2,\"atEnd\":\"loop\"";
          case "inset" -> "\"x\":500,\"y\":480,\"scene\":\"kite\",\"background\":true";
          case "filled-path" -> "\"path\":\"area\"";
          case "foreground-cut" -> {
            // What is cut is not seen but in the cut.
            before =
                "{\"kind\":\"drawing\",\"id\":\"of\",\"x\":500,\"y\":480,"
                    + box
                    + "},{\"kind\":\"group\",\"id\":\"rest\",\"members\":[\"of\"],\"shownFrom\":999},";
            yield "\"source\":\"of\",\"path\":\"area\",\"inSource\":[1,0,0,1,-500,-480]";
          }
          default -> "\"depth\":[1,{\"of\":2}]";
        };
    String tail = more.isEmpty() ? "" : "," + more;
    return before + "{\"kind\":\"" + kind + "\",\"id\":\"it\"," + fields + tail + "}";
  }
}
