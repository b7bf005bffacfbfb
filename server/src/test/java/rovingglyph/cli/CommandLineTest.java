package rovingglyph.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.document.SceneCodec;

class CommandLineTest {
  private static final String KITE = "../demo/kite-string-entrance.json";

  @TempDir Path folder;
  private String out;
  private String err;

  private int run(String... args) {
    ByteArrayOutputStream o = new ByteArrayOutputStream();
    ByteArrayOutputStream e = new ByteArrayOutputStream();
    int code =
        CommandLine.run(
            new PrintStream(o, true, StandardCharsets.UTF_8),
            new PrintStream(e, true, StandardCharsets.UTF_8),
            args);
    out = o.toString(StandardCharsets.UTF_8);
    err = e.toString(StandardCharsets.UTF_8);
    return code;
  }

  @Test
  void layoutPrintsOneObjectPerGlyph() {
    assertThat(run("layout", KITE, "--at", "2")).isZero();
    List<JsonObject> glyphs = out.lines().map(l -> Json.parse(l).asObject()).toList();
    assertThat(glyphs)
        .extracting(g -> g.getString("cluster", ""))
        .containsExactly("the sky is open".split(""));
    assertThat(glyphs.get(0).names())
        .containsExactly("lettering", "cluster", "x", "y", "angle", "scale", "distance", "visible");
    assertThat(glyphs.get(0).getDouble("distance", 0))
        .isLessThan(glyphs.get(14).getDouble("distance", 0));
  }

  @Test
  void aStillHasTheBackgroundAndTheWords() throws IOException {
    Path png = folder.resolve("still.png");
    assertThat(run("render", KITE, png.toString(), "--at", "2")).isZero();
    BufferedImage image = ImageIO.read(png.toFile());
    assertThat(image.getWidth()).isEqualTo(1920);
    assertThat(image.getRGB(5, 5) & 0xFFFFFF).isEqualTo(0xBFE0E7);
    assertThat(ink(image, 0x1F2B37)).isGreaterThan(20_000);
    assertThat(run("render", KITE, png.toString(), "--at", "0")).isZero();
    assertThat(ink(ImageIO.read(png.toFile()), 0x1F2B37)).as("still out of frame").isZero();
  }

  @Test
  void picturesOfAFolderAreShown() throws IOException {
    Path out = folder.resolve("still.png");
    String scene = folder.resolve("pier.json").toString();
    Files.writeString(
        Path.of(scene),
        """
        {"format":"roving-glyph-scene","version":2,"name":"Pier","width":850,"height":1690,
         "rate":"25","length":1,"items":[{"kind":"picture","id":"it","name":"Pier at dusk",
         "image":"picture-726f43e0649f5ad8e729","x":425,"y":845,"width":850,"height":1690}]}""");
    assertThat(run("render", scene, out.toString(), "--pictures", "../demo/pictures")).isZero();
    BufferedImage image = ImageIO.read(out.toFile());
    assertThat(ink(image, 0x1F2B37)).as("the pier").isGreaterThan(20_000);
    assertThat(run("render", scene, out.toString())).isEqualTo(2);
    assertThat(err).contains("\"Pier at dusk\" is not there", "--pictures");
    assertThat(run("render", scene, out.toString(), "--pictures", KITE)).isEqualTo(1);
    assertThat(err).contains("is no folder");
    Path broken = Files.createDirectory(folder.resolve("broken"));
    Files.writeString(broken.resolve("picture-726f43e0649f5ad8e729.png"), "kite");
    assertThat(run("render", scene, out.toString(), "--pictures", broken.toString())).isEqualTo(1);
    assertThat(err).contains("This is no picture");
  }

  @Test
  void footageOfAFolderIsShownAndHeard() throws IOException {
    Path out = folder.resolve("still.png");
    String scene = "../demo/pennant-line.json";
    assertThat(run("render", scene, out.toString(), "--footage", "../demo/footage")).isZero();
    BufferedImage image = ImageIO.read(out.toFile());
    long dark =
        java.util.Arrays.stream(image.getRGB(0, 0, 1080, 1920, null, 0, 1080))
            .filter(p -> (p >> 16 & 255) + (p >> 8 & 255) + (p & 255) < 170)
            .count();
    assertThat(dark).as("the pier").isGreaterThan(20_000);
    assertThat(run("render", scene, out.toString())).isEqualTo(2);
    assertThat(err).contains("\"Pier at dusk\" is not there", "--footage");
    assertThat(run("render", scene, out.toString(), "--footage", KITE)).isEqualTo(1);
    assertThat(err).contains("is no folder");
    Path svg = folder.resolve("still.svg");
    assertThat(run("render", scene, svg.toString())).isEqualTo(2);
    assertThat(run("render", scene, svg.toString(), "--footage", "../demo/footage")).isZero();
    assertThat(err).contains("An SVG cannot hold footage");
    assertThat(Files.readString(svg)).doesNotContain("<image");
  }

  @Test
  void scenesOfAFolderAreShown() throws IOException {
    Path out = folder.resolve("still.png");
    String scene = "../demo/pier-screens.json";
    String[] all = {
      "render",
      scene,
      out.toString(),
      "--pictures",
      "../demo/pictures",
      "--at",
      "2",
      "--footage",
      "../demo/footage"
    };
    assertThat(run(all)).isEqualTo(2);
    assertThat(err).contains("The scene that \"Opening stamp\" shows is not there", "--scenes");
    List<String> with = new ArrayList<>(List.of(all));
    with.addAll(List.of("--scenes", "../demo"));
    assertThat(run(with.toArray(String[]::new))).isZero();
    assertThat(ink(ImageIO.read(out.toFile()), 0x16222E)).as("the sign").isGreaterThan(100_000);
    with.set(with.size() - 1, KITE);
    assertThat(run(with.toArray(String[]::new))).isEqualTo(2);
    assertThat(err).contains("is no folder");
  }

  private static long ink(BufferedImage image, int rgb) {
    return java.util.Arrays.stream(
            image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth()))
        .filter(p -> (p & 0xFFFFFF) == rgb)
        .count();
  }

  @Test
  void withoutABackgroundAStillIsTransparent() throws IOException {
    Path scene =
        Files.writeString(
            folder.resolve("s.json"),
            Files.readString(Path.of(KITE))
                .replace("\"background\": \"#BFE0E7\"", "\"background\": null"));
    Path png = folder.resolve("still.png");
    assertThat(run("render", scene.toString(), png.toString())).isZero();
    assertThat(ImageIO.read(png.toFile()).getRGB(5, 5)).isZero();
  }

  @Test
  void aVideoHasTheRightCodecSizeRateAndLength() throws Exception {
    Path scene =
        Files.writeString(
            folder.resolve("s.json"),
            Files.readString(Path.of(KITE))
                .replace(
                    "\"rate\": \"25\", \"length\": 6", "\"rate\": \"30000/1001\", \"length\": 1"));
    Path mp4 = folder.resolve("out.mp4");
    assertThat(run("render", scene.toString(), mp4.toString())).as(err).isZero();
    Process p =
        new ProcessBuilder(
                "ffprobe",
                "-v",
                "error",
                "-count_frames",
                "-show_entries",
                "stream=codec_name,pix_fmt,width,height,r_frame_rate,nb_read_frames",
                "-of",
                "csv=p=0",
                mp4.toString())
            .start();
    assertThat(new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip())
        .isEqualTo("h264,1920,1080,yuv420p,30000/1001,30");
  }

  @Test
  void framesGoIntoAFolderAsFilesOfTheirOwn() throws IOException {
    String frames = folder.resolve("frames") + "/";
    String[] all = {"render", KITE, frames, "--frames", "48-52", "--every", "2", "--size", "10"};
    assertThat(run(all)).as(err).isZero();
    try (var files = Files.list(folder.resolve("frames"))) {
      assertThat(files.map(f -> f.getFileName().toString()).sorted())
          .containsExactly(
              "Kite-string-entrance-0000.png",
              "Kite-string-entrance-0001.png",
              "Kite-string-entrance-0002.png");
    }
    Path still = folder.resolve("still.png");
    assertThat(run("render", KITE, still.toString(), "--at", "2", "--size", "10")).isZero();
    assertThat(Files.readAllBytes(folder.resolve("frames/Kite-string-entrance-0001.png")))
        .isEqualTo(Files.readAllBytes(still));
  }

  @Test
  void severalFilesAreMadeOfOneSceneWithValuesFromOutside() throws IOException {
    String id = lettering();
    String svg = folder.resolve("out.svg").toString();
    String vtt = folder.resolve("out.vtt").toString();
    String png = folder.resolve("out.png").toString();
    String[] all = {
      "render",
      KITE,
      svg,
      vtt,
      png,
      "--at",
      "2",
      "--size",
      "10",
      "--set",
      id + ".text=2026",
      "--set",
      id + ".fill=#FF0000",
      "--set",
      "scene.background=#00FF00",
      "--progress",
      "json"
    };
    assertThat(run(all)).as(err).isZero();
    assertThat(Files.readString(Path.of(vtt))).contains("2026").doesNotContain("sky");
    assertThat(Files.readString(Path.of(svg))).contains("<desc>2026</desc>");
    BufferedImage image = ImageIO.read(Path.of(png).toFile());
    assertThat(image.getWidth()).isEqualTo(192);
    assertThat(ink(image, 0x00FF00)).isGreaterThan(5_000);
    assertThat(out.lines().map(l -> Json.parse(l).asObject().getString("state", "")))
        .contains("done");
    assertThat(out.lines().filter(l -> l.contains("\"done\""))).hasSize(3);
  }

  private String lettering() throws IOException {
    return SceneCodec.read(Files.readString(Path.of(KITE))).letterings().get(0).id();
  }

  @Test
  void whatCannotBeSetIsToldWithItsItemAndField() throws IOException {
    String id = lettering();
    String png = folder.resolve("out.png").toString();
    for (String[] wrong :
        new String[][] {
          {"text", "ITEM.FIELD=VALUE"},
          {"nobody.text=x", "no item \"nobody\""},
          {id + ".size=large", id + ".size"},
          {id + ".colour=#123456", id + ".colour"},
          {"scene.length=-4", "length"},
          {id + "=x", "ITEM.FIELD=VALUE"}
        }) {
      assertThat(run("render", KITE, png, "--set", wrong[0])).as(wrong[0]).isEqualTo(2);
      assertThat(err).as(wrong[0]).contains(wrong[1]);
    }
    assertThat(run("render", KITE, png, png + ".svg", "--loops", "2")).isEqualTo(2);
    assertThat(err).contains("None of the files has an option --loops");
    assertThat(run("render", KITE, png, "--progress", "bar")).isEqualTo(2);
    assertThat(Path.of(png)).doesNotExist();
  }

  @Test
  void fontsOfAFolderCanBeUsed() throws IOException {
    try (var in = CommandLineTest.class.getResourceAsStream("/faces/lobster.otf")) {
      Files.copy(in, folder.resolve("My own.otf"));
    }
    Path scene =
        Files.writeString(
            folder.resolve("s.json"),
            Files.readString(Path.of(KITE))
                .replace("\"face\": \"fraunces\"", "\"face\": \"My own\""));
    assertThat(run("layout", scene.toString(), "--at", "2", "--fonts", folder.toString())).isZero();
    double own = Json.parse(out.lines().findFirst().orElseThrow()).asObject().getDouble("x", 0);
    assertThat(run("layout", scene.toString(), "--at", "2")).isZero();
    double fallback =
        Json.parse(out.lines().findFirst().orElseThrow()).asObject().getDouble("x", 0);
    assertThat(own).isNotCloseTo(fallback, within(5.0));
  }

  @Test
  void badUseAndBadInputAreToldWithAnExitCode() throws IOException {
    assertThat(run()).isEqualTo(2);
    assertThat(err).contains("Usage");
    assertThat(run("render", KITE, "out.txt")).isEqualTo(2);
    assertThat(err).contains(".mp4, .mov, .svg", "or in / for single frames");
    assertThat(run("render", KITE, "out.mp4", "--format", "mp5")).isEqualTo(2);
    assertThat(err).contains("no format mp5", "mov-prores");
    assertThat(run("render", KITE, "frames/", "--format", "gif")).isEqualTo(2);
    assertThat(err).contains("png-sequence");
    assertThat(run("render", KITE, "out.mp4", "--frames", "3..9")).isEqualTo(2);
    assertThat(err).contains("--frames", "0-49");
    assertThat(run("render", KITE, "out.mp4", "--frames", "100-900")).isEqualTo(2);
    assertThat(err).contains("frames 0 to 149", "900");
    assertThat(run("render", KITE, "out.mp4", "--quality", "best")).isEqualTo(2);
    assertThat(err).contains("--quality is an unknown choice", "good, small, finest");
    assertThat(run("render", KITE, "out.png", "--loops", "2")).isEqualTo(2);
    assertThat(err).contains("no option --loops of .png");
    assertThat(run("render", KITE, "out.png", "--size", "4")).isEqualTo(2);
    assertThat(err).contains("--size is 4, out of range; it takes 5 to 400");
    assertThat(run("render", KITE, "out.zip", "--first", "noon")).isEqualTo(2);
    assertThat(err).contains("--first is not a number");
    assertThat(run("render", KITE, "out.apng", "--loops", "NaN")).isEqualTo(2);
    assertThat(run("layout", KITE)).isEqualTo(2);
    assertThat(run("layout", KITE, "--at", "soon")).isEqualTo(2);
    assertThat(err).contains("soon");
    assertThat(run("layout", "nowhere.json", "--at", "0")).isEqualTo(2);
    assertThat(err).contains("nowhere.json");
    Path bad =
        Files.writeString(
            folder.resolve("bad.json"),
            "{\"format\":\"roving-glyph-scene\",\"version\":1,\"length\":-1}");
    assertThat(run("layout", bad.toString(), "--at", "0")).isEqualTo(2);
    assertThat(err).contains("$.length").contains("allowed");
    Path odd =
        Files.writeString(
            folder.resolve("odd.json"), Files.readString(Path.of(KITE)).replace("1920", "1921"));
    assertThat(run("render", odd.toString(), folder.resolve("o.mp4").toString())).isEqualTo(2);
    assertThat(err).contains("1921").contains("1922");
    assertThat(folder.resolve("o.mp4")).doesNotExist();
  }
}
