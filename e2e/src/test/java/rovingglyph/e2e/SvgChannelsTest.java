package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.webexport.AnimatedSvg;

/**
 * The animated SVG against the render with every value that can move, alone and in pairs, each in
 * every way that values move, at times of frames and between them.
 */
class SvgChannelsTest {
  private static final int WIDTH = 640;
  private static final int HEIGHT = 400;
  private static final double LENGTH = 2;
  private static final double SHARE = 0.0008;
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final int PAIRS = Integer.getInteger("roving.svgPairs", 10);

  /** At how many times each scene is looked at. */
  private static final int TIMES = Integer.getInteger("roving.svgTimes", 2);

  /** From and to of each value, in its unit. */
  private static Map<String, String[]> channels() {
    Map<String, String[]> out = new LinkedHashMap<>();
    out.put("seat.pathOffset", new String[] {"-60", "140"});
    out.put("seat.startMargin", new String[] {"0", "90"});
    out.put("seat.endMargin", new String[] {"0", "120"});
    out.put("seat.baselineShift", new String[] {"-25", "30"});
    out.put("size", new String[] {"36", "62"});
    out.put("opacity", new String[] {"20", "100"});
    out.put("rotation", new String[] {"-20", "35"});
    out.put("tracking", new String[] {"0", "0.5"});
    out.put("wordSpacing", new String[] {"0", "0.8"});
    out.put("letterTurn", new String[] {"-30", "60"});
    out.put("fixedAngle", new String[] {"-40", "40"});
    out.put("revealFrom", new String[] {"0", "60"});
    out.put("revealTo", new String[] {"0", "100"});
    out.put("sweepFrom", new String[] {"0", "180"});
    out.put("sweepTo", new String[] {"40", "360"});
    out.put("trailFrom", new String[] {"0", "50"});
    out.put("trailTo", new String[] {"10", "100"});
    out.put("fill", new String[] {"\"#C4472D\"", "\"#2F6F7E\""});
    out.put("fromX", new String[] {"0", "60"});
    out.put("fromY", new String[] {"0", "50"});
    out.put("toX", new String[] {"40", "100"});
    out.put("toY", new String[] {"20", "100"});
    out.put("axes.wght", new String[] {"200", "800"});
    return out;
  }

  /** What the gradient goes across whose end each of these moves. */
  private static final Map<String, String> GRADED =
      Map.of("fromX", "path", "fromY", "frame", "toX", "run", "toY", "letter");

  private static String keyed(String[] v, String easing) {
    return "{\"still\":%s,\"keyframes\":[{\"time\":0.2,\"value\":%s,\"easing\":%s},{\"time\":1.55,\"value\":%s}]}"
        .formatted(v[0], v[0], easing, v[1]);
  }

  /** Every way of moving that a value has. */
  private static List<String> ways(String name, String[] v) {
    List<String> out = new ArrayList<>();
    for (String easing :
        List.of(
            "\"steady\"",
            "\"gentle-both\"",
            "\"hold\"",
            "{\"steps\":[4]}",
            "{\"bounce\":[2]}",
            "{\"spring\":[90,6,1]}")) {
      out.add(keyed(v, easing));
    }
    if (!name.equals("fill")) {
      double a = Double.parseDouble(v[0]);
      double b = Double.parseDouble(v[1]);
      String mid = Double.toString((a + b) / 2);
      for (String shape : List.of("sine", "triangle", "noise")) {
        out.add(
            "{\"still\":%s,\"sway\":{\"amplitude\":%s,\"period\":0.8,\"shape\":\"%s\"}}"
                .formatted(mid, Double.toString((b - a) / 2), shape));
      }
      out.add(
          "{\"still\":%s,\"cruise\":{\"amount\":%s}}"
              .formatted(v[0], Double.toString((b - a) / 2)));
      out.add(
          "{\"still\":%s,\"sway\":{\"amplitude\":%s,\"period\":1},\"stagger\":{\"delay\":0.04}}"
              .formatted(mid, Double.toString((b - a) / 2)));
    }
    out.add(
        keyed(v, "\"gentle-stop\"")
            .replaceFirst("\\}$", ",\"stagger\":{\"delay\":0.03,\"order\":\"middle\"}}"));
    return out;
  }

  private static String document(Map<String, String> moving, String seat, String more) {
    Map<String, String> own = new LinkedHashMap<>();
    own.put("size", "48");
    own.put("fill", "\"#1F2B37\"");
    own.put("rules", "[{\"by\":\"word\",\"match\":\"up\",\"fill\":\"#C4472D\"}]");
    StringBuilder inSeat = new StringBuilder(seat);
    StringBuilder axes = new StringBuilder();
    moving.forEach(
        (name, value) -> {
          if (name.startsWith("seat.")) {
            inSeat
                .append(inSeat.length() > 0 ? "," : "")
                .append("\"" + name.substring(5) + "\":" + value);
          } else if (name.startsWith("axes.")) {
            axes.append("\"" + name.substring(5) + "\":" + value);
          } else {
            own.put(name, value);
          }
        });
    if (moving.keySet().stream().anyMatch(n -> n.startsWith("reveal"))) {
      own.put("reveal", "{\"soft\":20,\"rise\":10,\"turn\":30,\"scale\":60}");
    }
    if (moving.keySet().stream().anyMatch(n -> n.startsWith("sweep"))) {
      own.put("sweep", "{\"soft\":30}");
    }
    GRADED.forEach(
        (name, across) -> {
          if (moving.containsKey(name)) {
            own.put("filling", across.equals("letter") ? "\"radial\"" : "\"linear\"");
            own.put("across", "\"" + across + "\"");
            own.put(
                "stops",
                "[{\"offset\":0,\"colour\":\"#C4472D\"},{\"offset\":100,\"colour\":\"#2F6F7E\"}]");
          }
        });
    if (moving.keySet().stream().anyMatch(n -> n.startsWith("trail"))) {
      own.put("trail", "{\"colour\":\"#C4472D\",\"width\":6,\"cap\":\"round\"}");
    }
    StringBuilder fields = new StringBuilder();
    own.forEach((n, v) -> fields.append(",\"" + n + "\":" + v));
    return """
        {"format":"roving-glyph-scene","version":1,"width":%d,"height":%d,"rate":"25","length":%s,"background":"#FFFFFF",
         "paths":[{"id":"p","kind":"drawn","points":[{"x":60,"y":300,"out":[120,-260]},{"x":420,"y":190,"in":[-110,120],"out":[80,-90]},{"x":600,"y":260,"in":[-60,-90]}]}],
         "letterings":[{"id":"l","text":"kites up high","path":"p","face":"bricolage-grotesque","axes":{%s},"seat":{%s}%s%s}]}"""
        .formatted(WIDTH, HEIGHT, LENGTH, axes, inSeat, fields, more);
  }

  /** Ways of sitting that change how the SVG is written. */
  private static final List<String> SEATS =
      List.of(
          "",
          "\"align\":\"middle\",\"evenSpacing\":true",
          "\"orientation\":\"upright\"",
          "\"orientation\":\"fixed\"",
          "\"method\":\"bent\"",
          "\"fit\":\"spread\"",
          "\"ends\":\"cut\"",
          "\"ends\":\"wrap\"");

  @Test
  void everyValueMovesAsInTheRender() throws IOException {
    List<String> wrong = new ArrayList<>();
    int tried = 0;
    try (Page page = Browser.context(WIDTH, HEIGHT).newPage()) {
      for (var c : channels().entrySet()) {
        List<String> ways = ways(c.getKey(), c.getValue());
        for (int w = 0; w < ways.size(); w++) {
          String seat = SEATS.get((tried + w) % SEATS.size());
          compare(page, Map.of(c.getKey(), ways.get(w)), seat, tried++, wrong);
        }
      }
      Random random = new Random(7);
      List<String> names = new ArrayList<>(channels().keySet());
      for (int i = 0; i < PAIRS; i++) {
        Map<String, String> two = new LinkedHashMap<>();
        while (two.size() < 2) {
          String name = names.get(random.nextInt(names.size()));
          List<String> ways = ways(name, channels().get(name));
          two.put(name, ways.get(random.nextInt(ways.size())));
        }
        compare(page, two, SEATS.get(random.nextInt(SEATS.size())), tried++, wrong);
      }
      page.context().close();
    }
    System.out.println("SVG: " + tried + " scenes compared with the render");
    assertThat(wrong).isEmpty();
  }

  /**
   * How insets show a scene of two seconds: what comes round with the outer one and what does not.
   */
  private static final List<String> SHOWING =
      List.of(
          "\"begins\":0.37",
          "\"begins\":-0.4,\"speed\":2",
          "\"begins\":0.25,\"speed\":1.3",
          "\"begins\":0.3,\"speed\":1.7,\"atEnd\":\"hold\"",
          "\"begins\":-0.5,\"speed\":0.6,\"atEnd\":\"hold\"");

  private static Scene within(String inner, String showing) {
    String outer =
        """
        {"format":"roving-glyph-scene","version":2,"width":%d,"height":%d,"rate":"25","length":%s,"background":"#FFFFFF",
         "items":[{"kind":"inset","id":"it","scene":"inner","x":320,"y":200,"scale":0.8,"rotation":-9,%s}]}"""
            .formatted(WIDTH, HEIGHT, LENGTH, showing);
    return SceneBundle.filled(outer, Map.of("inner", inner));
  }

  @Test
  void everyValueMovesAsInTheRenderWithinAnInset() throws IOException {
    List<String> wrong = new ArrayList<>();
    int tried = 0;
    try (Page page = Browser.context(WIDTH, HEIGHT).newPage()) {
      for (var c : channels().entrySet()) {
        List<String> ways = ways(c.getKey(), c.getValue());
        for (int i = 0; i < 2; i++) {
          String way = ways.get((5 * i + tried) % ways.size());
          String seat = SEATS.get((tried + i) % SEATS.size());
          String more = tried % 4 == 0 ? ",\"shownFrom\":0.31,\"shownTo\":1.62" : "";
          String inner = document(Map.of(c.getKey(), way), seat, more);
          String showing = SHOWING.get(tried % SHOWING.size());
          String what = c.getKey() + " " + way + ", seat " + seat + more + ", " + showing;
          compare(page, within(inner, showing), what, tried++, wrong);
        }
      }
      page.context().close();
    }
    assertThat(wrong).isEmpty();
  }

  /** From the middle of nothing to the middle of a frame, and past the end. */
  @Test
  void itemsComeAndGoAsInTheRender() throws IOException {
    List<String> wrong = new ArrayList<>();
    Map<String, String> rides =
        Map.of("seat.pathOffset", keyed(new String[] {"-60", "140"}, "\"steady\""));
    try (Page page = Browser.context(WIDTH, HEIGHT).newPage()) {
      int tried = 0;
      for (String shown :
          List.of(
              "\"shownFrom\":0.4",
              "\"shownTo\":1.3",
              "\"shownFrom\":0.52,\"shownTo\":1.48",
              "\"shownFrom\":0.333,\"shownTo\":5")) {
        for (String seat : List.of("", "\"method\":\"bent\"")) {
          for (int i = 0; i < 4; i++) {
            compare(page, rides, seat, "," + shown, tried++, wrong);
          }
        }
      }
      page.context().close();
    }
    assertThat(wrong).isEmpty();
  }

  /** From and to of the values of a ride and of a cut, which items of every kind may have. */
  private static final Map<String, String[]> OF_RIDES_AND_CUTS =
      Map.of(
          "pathOffset", new String[] {"-40", "420"},
          "shift", new String[] {"-30", "40"},
          "gap", new String[] {"60", "150"},
          "cutEdge", new String[] {"0", "30"},
          "grow", new String[] {"-15", "15"});

  private static final List<String> CARRIED =
      List.of(
          "{\"kind\":\"drawing\",\"id\":\"it\",\"x\":300,\"y\":200,\"parts\":"
              + "[{\"d\":\"M-50-30H50V30H-50Z\",\"fill\":\"#C4472D\"},{\"d\":\"M0-50L40 0H-40Z\",\"fill\":\"#2F6F7E\"}]%s}",
          "{\"kind\":\"lettering\",\"id\":\"it\",\"text\":\"kites\",\"path\":\"arc\",\"face\":\"fraunces\",\"size\":70%s}",
          "{\"kind\":\"colour-field\",\"id\":\"it\",\"filling\":\"linear\",\"x\":300,\"y\":200,\"width\":120,\"height\":70,"
              + "\"stops\":[{\"offset\":0,\"colour\":\"#C4472D\"},{\"offset\":100,\"colour\":\"#2F6F7E\"}]%s}",
          "{\"kind\":\"filled-path\",\"id\":\"it\",\"path\":\"star\",\"fill\":\"#C4472D\"%s}",
          "{\"kind\":\"drawing\",\"id\":\"in\",\"x\":300,\"y\":200,\"scale\":0.7,\"parts\":[{\"d\":\"M-50-30H50V30H-50Z\",\"fill\":\"#2F6F7E\"}]},"
              + "{\"kind\":\"group\",\"id\":\"it\",\"members\":[\"in\"],\"centre\":[300,200],\"rotation\":20%s}");

  private static String carried(String name, String way, int number) {
    StringBuilder ride = new StringBuilder("\"path\":\"p\",\"point\":[300,200]");
    boolean cut = name.equals("cutEdge") || name.equals("grow");
    ride.append(name.equals("pathOffset") ? "" : ",\"pathOffset\":150");
    ride.append(cut ? "" : ",\"" + name + "\":" + way);
    ride.append(name.equals("gap") ? ",\"copies\":3,\"spacing\":\"distance\"" : "");
    ride.append(number % 2 == 0 ? "" : ",\"turns\":false");
    ride.append(List.of("", ",\"ends\":\"cut\"", ",\"ends\":\"wrap\"").get(number % 3));
    String item = CARRIED.get(number % CARRIED.size()).formatted(",\"ride\":{" + ride + "}");
    // Only the cut of it is seen.
    String parts =
        cut
            ? ",{\"kind\":\"group\",\"id\":\"rest\",\"members\":[\"it\"],\"shownFrom\":99},"
                + "{\"kind\":\"foreground-cut\",\"id\":\"cut\",\"source\":\"it\",\"path\":\"star\","
                + "\"inSource\":[1,0,0,1,%s],\"%s\":%s}"
                    .formatted(number % CARRIED.size() % 2 == 0 ? "-300,-200" : "0,0", name, way)
            : "";
    return """
        {"format":"roving-glyph-scene","version":2,"width":%d,"height":%d,"rate":"25","length":%s,"background":"#FFFFFF",
         "paths":[{"id":"p","kind":"drawn","points":[{"x":60,"y":300,"out":[120,-260]},{"x":420,"y":190,"in":[-110,120],"out":[80,-90]},{"x":600,"y":260,"in":[-60,-90]}]},
           {"id":"arc","kind":"circle","x":300,"y":320,"radius":120,"startAngle":-120},
           {"id":"star","kind":"star","x":300,"y":200,"radius":70,"innerRadius":35,"count":5}],
         "items":[%s%s]}"""
        .formatted(WIDTH, HEIGHT, LENGTH, item, parts);
  }

  @Test
  void ridesAndCutsMoveAsInTheRender() throws IOException {
    List<String> wrong = new ArrayList<>();
    int tried = 0;
    try (Page page = Browser.context(WIDTH, HEIGHT).newPage()) {
      for (var c : OF_RIDES_AND_CUTS.entrySet()) {
        for (String way : ways(c.getKey(), c.getValue())) {
          if (!way.contains("stagger")) {
            String json = carried(c.getKey(), way, tried);
            compare(page, json, c.getKey() + " " + way + " " + tried, tried++, wrong);
          }
        }
      }
      page.context().close();
    }
    assertThat(wrong).isEmpty();
  }

  @Test
  void noValueIsForgottenHere() {
    long named = channels().keySet().stream().filter(n -> !n.startsWith("axes.")).count();
    assertThat(named).isEqualTo(Lettering.SEAT.size() + Lettering.OWN.size());
    // The opacity of a cut is written as that of all items is.
    assertThat(OF_RIDES_AND_CUTS).hasSize(Channel.RIDE.size() + ForegroundCut.VALUES.size() - 1);
  }

  private static void compare(
      Page page, Map<String, String> moving, String seat, int number, List<String> wrong)
      throws IOException {
    compare(page, moving, seat, "", number, wrong);
  }

  private static void compare(
      Page page,
      Map<String, String> moving,
      String seat,
      String more,
      int number,
      List<String> wrong)
      throws IOException {
    compare(page, document(moving, seat, more), moving + ", seat " + seat, number, wrong);
  }

  private static void compare(
      Page page, String document, String what, int number, List<String> wrong) throws IOException {
    compare(page, SceneCodec.read(document), what, number, wrong);
  }

  private static void compare(
      Page page, Scene document, String what, int number, List<String> wrong) throws IOException {
    PreparedScene scene = Preparation.prepare(document, SHAPER);
    SvgPage.show(page, AnimatedSvg.write(scene));
    Random random = new Random(number);
    for (int i = 0; i < TIMES; i++) {
      int frame = random.nextInt(50);
      // A hair past the time of a frame, where browsers and we may be on either side of a jump.
      double t = i == 0 ? frame / 25.0 + 2e-4 : frame / 25.0 + 0.0017 + random.nextDouble() * 0.036;
      SvgPage.goTo(page, t);
      BufferedImage rendered = Images.of(scene, t);
      double off =
          SvgPage.compared(page, shot -> difference(rendered, shot), found -> found <= SHARE);
      if (off > SHARE) {
        wrong.add("%.5f at %.4f s: %s".formatted(off, t, what));
      }
    }
  }

  /** The share of pixels in which a channel differs by more than 64 of 255. */
  private static double difference(BufferedImage a, BufferedImage b) {
    int far = 0;
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(x, y);
        int worst = 0;
        for (int s = 0; s < 24; s += 8) {
          worst = Math.max(worst, Math.abs((p >> s & 255) - (q >> s & 255)));
        }
        far += worst > 64 ? 1 : 0;
      }
    }
    return far / (double) (WIDTH * HEIGHT);
  }
}
