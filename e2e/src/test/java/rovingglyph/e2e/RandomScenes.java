package rovingglyph.e2e;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.schema.Spelling;

/** A scene of chance with every kind of item, and with all that an item of any kind may have. */
final class RandomScenes {
  private static final int WIDTH = 480;
  private static final int HEIGHT = 270;

  private final Random random;

  /** Chance of its own, so that rides leave the rest of a seed's scene as it is. */
  private final Random riding;

  /** Chance of its own for planes. */
  private final Random turning;

  private final Random thickening;
  private final Random rounding;

  /** Begins the id of a scene of chance that others show; its seed and its depth follow. */
  static final String ID = "chance-";

  /** How deep scenes of chance are in each other at most. */
  private static final int DEEPEST = 2;

  private final int seed;
  private final int depth;
  private int ids;

  RandomScenes(int seed) {
    this(seed, 0);
  }

  private RandomScenes(int seed, int depth) {
    this.seed = seed;
    this.depth = depth;
    this.random = new Random(seed);
    this.riding = new Random(seed + 7000L);
    this.turning = new Random(seed + 13_000L);
    this.thickening = new Random(seed + 14_000L);
    this.rounding = new Random(seed + 15_000L);
  }

  String document() {
    List<String> items = new ArrayList<>();
    int groups = random.nextInt(3);
    for (int i = 2 + random.nextInt(4); i > 0; i--) {
      items.add(item());
    }
    for (int i = 0; i < groups; i++) {
      String member = item();
      String id = member.substring(member.indexOf("\"id\":\"") + 6).split("\"")[0];
      items.add(member);
      items.add(
          """
          {"kind":"group","id":"g%d","members":["%s"],"x":%d,"scale":%s,"rotation":%s,"opacity":%s%s}"""
              .formatted(
                  i,
                  id,
                  random.nextInt(80) - 40,
                  value(0.6, 1.4),
                  value(-40, 40),
                  value(20, 100),
                  turnedOnce(member, appearance())));
    }
    measure(items);
    if (riding.nextInt(2) == 0) {
      items.add(cut(items.get(riding.nextInt(items.size()))));
    }
    if (depth < DEEPEST && riding.nextInt(3) == 0) {
      items.add(inset());
    }
    String plain =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Chance %d","width":%d,"height":%d,"rate":"25",
         "length":4,"background":%s,"paths":[%s,%s,%s],"items":[%s]}"""
            .formatted(
                seed,
                WIDTH,
                HEIGHT,
                random.nextInt(4) == 0 ? "null" : "\"" + colour() + "\"",
                drawn(),
                """
            {"id":"p1","kind":"circle","x":%s,"y":%s,"radius":%s}"""
                    .formatted(value(100, 380), value(80, 190), value(40, 110)),
                """
            {"id":"p2","kind":"star","x":%d,"y":%d,"radius":%s,"innerRadius":%d,"count":5,"turn":%s}"""
                    .formatted(
                        100 + random.nextInt(280),
                        80 + random.nextInt(110),
                        value(60, 120),
                        20 + random.nextInt(40),
                        value(0, 180)),
                String.join(",", items));
    Random pinning = new Random(seed + 11_000L);
    return pinning.nextBoolean() ? new RandomPins(pinning).in(plain) : plain;
  }

  /**
   * What a group looks like; without a plane where its member has one. An animated SVG cannot turn
   * what is turned once more.
   */
  private static String turnedOnce(String member, String appearance) {
    return member.contains("\"plane\"") ? appearance.split(",\"plane\"")[0] : appearance;
  }

  /** The document with footage in the place of its pictures, of chance in how it goes by. */
  String withFootage() {
    Random chance = new Random(seed + 9000L);
    return Pattern.compile("\"kind\":\"picture\",\"id\":(\"\\w+\"),\"image\":\"[\\w-]+\"")
        .matcher(document())
        .replaceAll(
            m ->
                """
                "kind":"footage","id":%s,"image":"%s","rate":12.5,"length":3,"in":%s,"out":%s,
                "speed":%s,"atEnd":"%s"
                """
                    .strip()
                    .formatted(
                        m.group(1),
                        KeptPictures.footage(),
                        number(chance, 0, 1),
                        number(chance, 1.3, 3),
                        number(chance, 0.2, 3),
                        List.of("loop", "hold", "end").get(chance.nextInt(3))));
  }

  /** The document of a scene that others show. */
  static String shown(String id) {
    String[] parts = id.substring(ID.length()).split("-");
    return new RandomScenes(Integer.parseInt(parts[0]), Integer.parseInt(parts[1])).forSvg();
  }

  /** Another scene of chance within this one, faster or slower, at any of its times. */
  private String inset() {
    return """
        {"kind":"inset","id":"within","scene":"%s%d-%d","begins":%s,"speed":%s,"atEnd":"%s",
         "background":%s,"centre":[%d,20],"x":%s,"y":%s,"scale":%s,"rotation":%s,"opacity":%s%s}"""
        .formatted(
            ID,
            seed + 1000,
            depth + 1,
            number(riding, -3, 3),
            riding.nextInt(3) == 0 ? "2" : number(riding, 0.3, 3),
            riding.nextBoolean() ? "loop" : "hold",
            riding.nextBoolean(),
            riding.nextInt(60) - 30,
            value(riding, 140, 340),
            value(riding, 90, 180),
            value(riding, 0.3, 0.8),
            value(riding, -40, 40),
            value(riding, 50, 100),
            appearance());
  }

  /** A part of an item once more, on top. */
  private String cut(String source) {
    String id = source.substring(source.indexOf("\"id\":\"") + 6).split("\"")[0];
    double turn = riding.nextDouble() * 2 - 1;
    double scale = 0.5 + riding.nextDouble();
    return """
        {"kind":"foreground-cut","id":"cut","source":"%s","path":"p%d",
         "inSource":[%s,%s,%s,%s,%d,%d],"cutEdge":%s,"grow":%s,"opacity":%s%s}"""
        .formatted(
            id,
            1 + riding.nextInt(2),
            scale * Math.cos(turn),
            scale * Math.sin(turn),
            -scale * Math.sin(turn),
            scale * Math.cos(turn),
            riding.nextInt(200) - 200,
            riding.nextInt(200) - 150,
            riding.nextBoolean() ? "0" : value(riding, 0, 40),
            riding.nextBoolean() ? "0" : value(riding, -25, 25),
            value(riding, 40, 100),
            riding.nextInt(3) == 0 ? ",\"blendMode\":\"multiply\"" : "");
  }

  /** Has one item measured by another now and then: the second by the first, whatever they are. */
  private void measure(List<String> items) {
    if (random.nextInt(3) > 0) {
      return;
    }
    String source = items.get(0);
    String id = source.substring(source.indexOf("\"id\":\"") + 6).split("\"")[0];
    String measured = items.get(1).strip();
    String matte =
        ",\"matte\":{\"item\":\"%s\",\"by\":\"%s\",\"inverted\":%s}}"
            .formatted(id, random.nextBoolean() ? "alpha" : "luminance", random.nextBoolean());
    items.set(1, measured.substring(0, measured.length() - 1) + matte);
    if (random.nextBoolean()) {
      items.set(0, source.replaceFirst("\"id\"", "\"hidden\":true,\"id\""));
    }
  }

  /**
   * The same with a background, for what shows no transparency, and without lines under letters,
   * which animated SVG steps from frame to frame; nor with planes where it has no words for them:
   * round scenes that are shown, and on what others are measured by or cut from.
   */
  String forSvg() {
    String plain =
        document()
            .replace("\"background\":null", "\"background\":\"#FFFFFF\"")
            .replaceAll(",\"trail\":\\{[^}]*}", "");
    JsonObject scene = Json.parse(plain).asObject();
    Set<String> flat = new HashSet<>();
    for (JsonValue v : scene.get("items").asArray()) {
      JsonObject item = v.asObject();
      flat.add(item.getString("source", ""));
      if (item.get("matte") instanceof JsonObject matte) {
        flat.add(matte.getString("item", ""));
      }
      if (item.getString("kind", "").equals("inset")) {
        flat.add(item.getString("id", ""));
      }
    }
    for (JsonValue v : scene.get("items").asArray()) {
      JsonObject item = v.asObject();
      boolean round =
          item.get("members") instanceof JsonArray members
              && members.values().stream().anyMatch(m -> flat.contains(m.asString()));
      if (round || flat.contains(item.getString("id", ""))) {
        item.remove("plane");
        if (item.get("members") instanceof JsonArray members) {
          members.forEach(m -> flat.add(m.asString()));
        }
      }
    }
    for (JsonValue v : scene.get("items").asArray()) {
      if (flat.contains(v.asObject().getString("id", ""))) {
        v.asObject().remove("plane");
      }
    }
    return scene.toString();
  }

  private String drawn() {
    StringBuilder points = new StringBuilder();
    for (int i = 0; i < 4; i++) {
      points.append(i > 0 ? "," : "");
      points.append(
          "{\"x\":%d,\"y\":%d,\"out\":[%d,%d]}"
              .formatted(
                  -20 + i * 160 + random.nextInt(50),
                  random.nextInt(HEIGHT),
                  random.nextInt(160) - 80,
                  random.nextInt(160) - 80));
    }
    return "{\"id\":\"p0\",\"kind\":\"drawn\",\"points\":[" + points + "]}";
  }

  private String item() {
    String id = "i" + ids++;
    return switch (random.nextInt(5)) {
      case 0 -> lettering(id);
      case 1 -> drawing(id);
      case 2 -> picture(id);
      case 3 -> filledPath(id);
      default -> field(id);
    };
  }

  private String lettering(String id) {
    String[] faces = {"fraunces", "bricolage-grotesque", "pacifico", "comfortaa"};
    String[] baselines = {"alphabetic", "hanging", "alphabetic", "central", "alphabetic"};
    String trail =
        random.nextInt(3) == 0
            ? ",\"trail\":{\"colour\":\"%s\",\"width\":%d,\"dash\":[%d,4],\"cap\":\"round\"}"
                .formatted(colour(), 1 + random.nextInt(8), 3 + random.nextInt(9))
            : "";
    // Longer than its path now and then, and seen in parts where that comes round.
    boolean through = Math.floorMod(7 * id.hashCode() + seed, 4) == 0;
    String words = random.nextBoolean() ? "kites aloft & away" : "Saltmarsh";
    return """
        {"kind":"lettering","id":"%s","text":"%s","path":"p%d","face":"%s","size":%s,"fill":"%s",
         "opacity":%s,"rotation":%s,"tracking":%s,"seat":{"method":"%s","baseline":"%s","overlong":"%s",
         "pathOffset":%s}%s%s%s}"""
        .formatted(
            id,
            through ? (words + " ").repeat(4) : words,
            random.nextInt(3),
            faces[random.nextInt(faces.length)],
            value(14, 60),
            colour(),
            value(30, 100),
            value(-30, 30),
            value(-0.05, 0.2),
            random.nextInt(3) == 0 ? "bent" : "rigid",
            baselines[Math.floorMod(id.hashCode() + seed, baselines.length)],
            through ? "through" : "on",
            value(-60, 120),
            trail,
            filling(),
            appearance());
  }

  /** A gradient now and then, or nothing. */
  private String filling() {
    String[] kinds = {"plain", "linear", "radial", "none"};
    String[] across = {"frame", "letter", "run", "path"};
    String kind = random.nextInt(2) == 0 ? "plain" : kinds[random.nextInt(kinds.length)];
    if (kind.equals("plain")) {
      return "";
    }
    return """
        ,"filling":"%s","across":"%s","stops":[%s],"fromX":%s,"fromY":%s,"toX":%s,"toY":%s"""
        .formatted(
            kind,
            across[random.nextInt(across.length)],
            stops(),
            value(0, 40),
            value(0, 40),
            value(60, 120),
            value(60, 120));
  }

  private String drawing(String id) {
    return """
        {"kind":"drawing","id":"%s","x":%s,"y":%s,"scale":%s,"rotation":%s,"opacity":%s,
         "parts":[{"d":"M-60-40H60V40H-60ZM-30-20V20H30V-20Z","fill":"%s"},
           {"d":"M0-50C40-50 50 10 0 50S-40-50 0-50Z","fill":"%s"}]%s}"""
        .formatted(
            id,
            value(60, 420),
            value(40, 230),
            value(0.3, 1.6),
            value(0, 360),
            value(30, 100),
            colour(),
            colour(),
            appearance());
  }

  private String filledPath(String id) {
    String[] caps = {"butt", "round", "square"};
    return """
        {"kind":"filled-path","id":"%s","path":"p%d","filled":%s,"cap":"%s","opacity":%s,"fill":"%s",
         "stroke":"%s","strokeWidth":%s%s}"""
        .formatted(
            id,
            random.nextInt(3),
            random.nextInt(3) > 0,
            caps[random.nextInt(3)],
            value(20, 100),
            colour(),
            colour(),
            random.nextInt(3) == 0 ? "0" : value(0, 20),
            appearance());
  }

  private String picture(String id) {
    List<String> all = KeptPictures.ids();
    return """
        {"kind":"picture","id":"%s","image":"%s","pixelWidth":320,"pixelHeight":240,"centre":[%d,10],
         "x":%s,"y":%s,"width":%s,"height":%s,"scale":%s,"rotation":%s,"opacity":%s,
         "cropLeft":%s,"cropTop":%s,"cropRight":%s,"cropBottom":%s%s}"""
        .formatted(
            id,
            all.get(random.nextInt(all.size())),
            random.nextInt(60) - 30,
            value(60, 420),
            value(40, 230),
            value(80, 500),
            value(60, 400),
            value(0.3, 1.5),
            value(0, 360),
            value(30, 100),
            value(0, 40),
            random.nextInt(3) == 0 ? value(0, 40) : "0",
            random.nextInt(3) == 0 ? value(0, 40) : "0",
            value(0, 40),
            appearance());
  }

  private String field(String id) {
    String[] fillings = {"plain", "linear", "radial"};
    return """
        {"kind":"colour-field","id":"%s","area":"%s","filling":"%s","stops":[%s],"x":%s,"y":%s,
         "width":%s,"height":%s,"scale":%s,"rotation":%s,"opacity":%s,"fill":"%s",
         "fromX":%s,"fromY":%s,"toX":%s,"toY":%s%s}"""
        .formatted(
            id,
            random.nextInt(3) == 0 ? "frame" : "rectangle",
            fillings[random.nextInt(3)],
            stops(),
            value(60, 420),
            value(40, 230),
            value(60, 300),
            value(40, 200),
            value(0.5, 1.3),
            value(0, 90),
            value(30, 100),
            colour(),
            value(0, 50),
            value(0, 50),
            value(60, 120),
            value(60, 120),
            appearance());
  }

  private String stops() {
    StringBuilder stops = new StringBuilder();
    int count = 2 + random.nextInt(4);
    for (int i = 0; i < count; i++) {
      stops.append(i > 0 ? "," : "");
      stops.append(
          "{\"offset\":%d,\"colour\":\"%s\",\"opacity\":%d}"
              .formatted(100 * i / (count - 1), colour(), random.nextInt(5) * 25));
    }
    return stops.toString();
  }

  /** Blend mode, effects, clip, ride and plane, each now and then. */
  private String appearance() {
    StringBuilder out = new StringBuilder();
    if (random.nextInt(3) == 0) {
      BlendMode[] all = BlendMode.values();
      // Seeds go over all of them, whatever chance does.
      BlendMode mode = all[(seed + random.nextInt(2)) % all.length];
      out.append(",\"blendMode\":\"").append(Spelling.of(mode)).append('"');
    }
    List<String> effects = new ArrayList<>();
    for (int i = random.nextInt(3) == 0 ? 1 + random.nextInt(3) : 0; i > 0; i--) {
      effects.add(effect("e" + i));
    }
    if (!effects.isEmpty()) {
      out.append(",\"effects\":").append(effects);
    }
    if (random.nextInt(3) == 0) {
      out.append(",\"clip\":{\"path\":\"p").append(1 + random.nextInt(2)).append('"');
      out.append(",\"inverted\":").append(random.nextBoolean());
      out.append(",\"softEdge\":").append(random.nextBoolean() ? "0" : value(0, 60)).append('}');
    }
    return out + ride() + plane();
  }

  /** Turned in space now and then; letters in all stances. */
  private String plane() {
    if (turning.nextInt(4) > 0) {
      return "";
    }
    return """
        ,"plane":{"stance":"%s","parallel":%s,"backs":"%s","tilt":%s,"swing":%s,"lean":%s,
         "viewingDistance":%s,"planeX":%s,"planeY":%s,"backColour":"#%06X"%s}"""
        .formatted(
            List.of("flat", "standing", "facing").get(turning.nextInt(3)),
            turning.nextInt(4) == 0,
            List.of("shown", "coloured", "hidden").get(turning.nextInt(3)),
            value(turning, -80, 80),
            value(turning, -70, 70),
            turning.nextBoolean() ? "0" : value(turning, -40, 40),
            value(turning, 400, 1500),
            value(turning, 0, WIDTH),
            value(turning, 0, HEIGHT),
            turning.nextInt(0x1000000),
            body() + solids());
  }

  /** Letters with thickness, every other time. */
  private String body() {
    if (thickening.nextBoolean()) {
      return "";
    }
    return """
        ,"body":{"profile":"%s","sides":"%s","thickness":%s,"bevel":%s,"sideColour":"#%06X",
         "lightFrom":%s,"lightHeight":%s,"ambient":%s,"warmth":%s,"edgeLight":%s}"""
        .formatted(
            thickening.nextBoolean() ? "round" : "straight",
            thickening.nextBoolean() ? "coloured" : "same",
            value(thickening, 0, 40),
            thickening.nextBoolean() ? "0" : value(thickening, 0, 6),
            thickening.nextInt(0x1000000),
            value(thickening, -180, 180),
            value(thickening, -90, 90),
            value(thickening, 0, 100),
            value(thickening, -100, 100),
            thickening.nextBoolean() ? "0" : value(thickening, 0, 100));
  }

  /** A core within the ring and a band behind its letters, each now and then. */
  private String solids() {
    String core =
        """
        ,"core":{"shape":"%s","coreRadius":%s,"coreHeight":%s,"coreLift":%s,"coreColour":"#%06X"}"""
            .formatted(
                List.of("drum", "ball", "disc").get(rounding.nextInt(3)),
                value(rounding, 0, 90),
                value(rounding, 0, 90),
                value(rounding, -40, 40),
                rounding.nextInt(0x1000000));
    String band =
        """
        ,"band":{"bandHeight":%s,"bandLift":%s,"bandGap":%s,"bandColour":"#%06X"}"""
            .formatted(
                value(rounding, 0, 60),
                value(rounding, -20, 40),
                value(rounding, 0, 20),
                rounding.nextInt(0x1000000));
    return (rounding.nextInt(3) == 0 ? core : "") + (rounding.nextInt(3) == 0 ? band : "");
  }

  /** Carried along a path now and then, alone or in copies. */
  private String ride() {
    if (riding.nextInt(4) > 0) {
      return "";
    }
    String[] ends = {"", ",\"ends\":\"cut\"", ",\"ends\":\"wrap\"", ",\"ends\":\"continue\""};
    return """
        ,"ride":{"path":"p%d","point":[%d,%d],"turns":%s,"copies":%d,"spacing":"%s",
         "pathOffset":%s,"shift":%s,"gap":%s%s}"""
        .formatted(
            riding.nextInt(3),
            riding.nextInt(WIDTH),
            riding.nextInt(HEIGHT),
            riding.nextInt(3) > 0,
            riding.nextInt(3) == 0 ? 2 + riding.nextInt(3) : 1,
            riding.nextBoolean() ? "even" : "distance",
            value(riding, -100, 500),
            riding.nextBoolean() ? "0" : value(riding, -40, 40),
            value(riding, 20, 90),
            ends[riding.nextInt(4)]);
  }

  private String effect(String id) {
    Effect.Kind[] all = Effect.Kind.values();
    Effect.Kind kind = all[(seed + random.nextInt(2)) % all.length];
    StringBuilder out = new StringBuilder("{\"id\":\"" + id + "\",\"kind\":\"");
    out.append(Spelling.of(kind)).append('"');
    for (Effect.Option<?> o : kind.options()) {
      Enum<?>[] values = o.values();
      out.append(",\"" + o.name() + "\":\"");
      out.append(Spelling.of(values[random.nextInt(values.length)])).append('"');
    }
    for (Effect.Parameter p : kind.parameters()) {
      out.append(",\"" + p.name() + "\":").append(number(p));
    }
    return out.append('}').toString();
  }

  /** Of a size that leaves something to be seen in so small a frame. */
  private String number(Effect.Parameter p) {
    if (p.kind() == Channel.Kind.COLOUR) {
      return "\"" + colour() + "\"";
    }
    return switch (p.name()) {
      case "stdDeviation" -> value(0, random.nextInt(3) == 0 ? 30 : 5);
      case "dx", "dy" -> value(-30, 30);
      case "spread" -> random.nextBoolean() ? "0" : value(0, 12);
      case "fromX", "fromY", "toX", "toY" -> value(-20, 120);
      case "groundX" -> value(0, WIDTH);
      case "groundY" -> value(HEIGHT / 2.0, HEIGHT);
      case "groundAngle" -> value(-20, 20);
      case "direction" -> value(20, 160);
      case "farEnd" -> value(40, 200);
      case "throw" -> value(20, 120);
      case "strength" -> value(50, 400);
      case "width" -> value(1, random.nextInt(3) == 0 ? 20 : 5);
      case "drawn" -> random.nextBoolean() ? "100" : value(20, 100);
      case "dash" -> value(2, 20);
      case "gap" -> random.nextBoolean() ? "0" : value(3, 12);
      default -> value(p.min(), p.max());
    };
  }

  private String colour() {
    return "#%06X".formatted(random.nextInt(0x1000000));
  }

  /** A value that stands still or goes from one number to another. */
  private String value(double least, double greatest) {
    return value(random, least, greatest);
  }

  private static String value(Random chance, double least, double greatest) {
    String a = number(chance, least, greatest);
    return chance.nextBoolean()
        ? a
        : "{\"keyframes\":[{\"time\":0,\"value\":%s,\"easing\":\"gentle-both\"},{\"time\":4,\"value\":%s}]}"
            .formatted(a, number(chance, least, greatest));
  }

  private static String number(Random chance, double least, double greatest) {
    return Double.toString(
        Math.round((least + (greatest - least) * chance.nextDouble()) * 100) / 100.0);
  }
}
