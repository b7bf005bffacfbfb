package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.cli.CommandLine;
import rovingglyph.pictures.MadePictures;
import rovingglyph.server.TestServer;

/** One scene and a table: over HTTP and on the command line. */
class SeriesTest {
  private static final TestServer SERVER = TestServer.shared();

  private static final String SCENE =
      """
      {"format":"roving-glyph-scene","version":2,"name":"Name plate","width":320,"height":180,
       "rate":"25","length":1,"background":"#F3E9D2",
       "paths":[{"id":"p","name":"Rope","kind":"line","x":160,"y":100,"length":300}],
       "items":[{"kind":"picture","id":"pic","name":"Badge","image":"%s","pixelWidth":8,
        "pixelHeight":8,"x":40,"y":40,"width":40,"height":40},
        {"kind":"lettering","id":"l","name":"Title","text":"kites up","face":"league-spartan",
        "path":"p","seat":{"align":"middle"},"size":40,"fill":"#1F2B37"}]}""";

  @TempDir Path folder;
  private String project;
  private String at;
  private String scene;

  @BeforeEach
  void begin() throws IOException {
    JsonObject made = object("POST", "/api/projects", "{\"name\":\"Fair\"}");
    project = made.getString("id", "");
    scene = made.get("scenes").asArray().get(0).asObject().getString("id", "");
    at = "/api/scenes/" + scene + "/series";
    String picture = picture("Disc", MadePictures.disc(16));
    picture("Wide", MadePictures.png(64, 32));
    SERVER.send("PUT", "/api/scenes/" + scene, SCENE.formatted(picture), "If-Match", "\"1\"");
  }

  private String picture(String name, byte[] file) {
    HttpResponse<byte[]> kept =
        SERVER.sendBytes("/api/projects/" + project + "/pictures?name=" + name, file);
    return Json.parse(text(kept)).asObject().getString("id", "");
  }

  private static JsonObject object(String method, String path, String body) {
    HttpResponse<byte[]> answer = SERVER.send(method, path, body);
    assertThat(answer.statusCode()).as(text(answer)).isLessThan(300);
    return Json.parse(text(answer)).asObject();
  }

  private HttpResponse<byte[]> table(String csv) {
    return SERVER.putBytes(at, csv.getBytes(StandardCharsets.UTF_8));
  }

  private List<String> fields(JsonObject view) {
    return view.get("columns").asArray().values().stream()
        .map(c -> c.asObject().getString("field", ""))
        .toList();
  }

  private JsonArray rows() {
    return Json.parse(text(SERVER.send("GET", at + "/rows", null))).asArray();
  }

  private Map<String, byte[]> made(String files) throws Exception {
    String id = object("POST", at + "/files", "{\"files\":" + files + "}").getString("id", "");
    return unpacked(finished(id));
  }

  private static byte[] finished(String id) throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      JsonObject e = object("GET", "/api/exports/" + id, null);
      assertThat(e.getString("state", "")).as(e.toString()).isNotEqualTo("failed");
      if (e.getString("state", "").equals("done")) {
        return SERVER.send("GET", "/api/exports/" + id + "/file", null).body();
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never done");
  }

  private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
    Map<String, byte[]> out = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        out.put(e.getName(), in.readAllBytes());
      }
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource({
    "Title, l.text",
    "title words, l.text",
    "Words, l.text",
    "TITLE COLOUR, l.fill",
    "Colour, l.fill",
    "l.size, l.size",
    "Title.opacity, l.opacity",
    "Typeface, l.face",
    "Badge, pic.image",
    "Picture, pic.image",
    "Background, scene.background",
    "File name, file.name",
    "Remarks, ''"
  })
  void headingsFindTheirFields(String heading, String field) {
    JsonObject view = Json.parse(text(table(heading + "\nx\n"))).asObject();
    assertThat(fields(view)).containsExactly(field);
  }

  @Test
  void eachRowIsTheSceneWithItsValues() throws Exception {
    table(
        """
        Title;Colour;Typeface;Badge;Background;size;Remarks
        Low tide;#f00;Lobster;Wide;112233;52,5;nobody reads this
        ;;;;;;all as it is
        Öffnen;0F6B69;pacifico;Disc;;;
        """);
    Map<String, byte[]> files =
        made("[{\"format\":\"png\",\"options\":{\"at\":0.4}},{\"format\":\"svg-still\"}]");
    assertThat(files.keySet())
        .containsExactly(
            "1-Low-tide.png",
            "1-Low-tide.svg",
            "2-scene.png",
            "2-scene.svg",
            "3-Öffnen.png",
            "3-Öffnen.svg");
    // The same as values set by hand.
    byte[] plain = finished(export());
    assertThat(files.get("2-scene.png")).isEqualTo(plain);
    set("l", "{\"text\":\"Low tide\",\"fill\":\"#FF0000\",\"face\":\"lobster\",\"size\":52.5}");
    String document =
        object("GET", "/api/scenes/" + scene, null)
            .get("document")
            .toString()
            .replace("#F3E9D2", "#112233");
    JsonObject kept = Json.parse(document).asObject();
    SERVER.send("PUT", "/api/scenes/" + scene, kept.toString(), "If-Match", "\"3\"");
    assertThat(rowWithoutPicture(files.get("1-Low-tide.png")))
        .isEqualTo(rowWithoutPicture(finished(export())));
    assertThat(new String(files.get("1-Low-tide.svg"), StandardCharsets.UTF_8)).contains("#ff0000");
  }

  private String export() {
    return object(
            "POST",
            "/api/scenes/" + scene + "/exports",
            "{\"format\":\"png\",\"options\":{\"at\":0.4}}")
        .getString("id", "");
  }

  /** The lower half, where the picture is not. */
  private static List<Integer> rowWithoutPicture(byte[] png) throws IOException {
    var image = javax.imageio.ImageIO.read(new ByteArrayInputStream(png));
    List<Integer> out = new java.util.ArrayList<>();
    for (int y = 80; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        out.add(image.getRGB(x, y));
      }
    }
    return out;
  }

  private void set(String item, String fields) {
    JsonObject document = object("GET", "/api/scenes/" + scene, null).get("document").asObject();
    for (JsonValue i : document.get("items").asArray()) {
      if (i.asObject().getString("id", "").equals(item)) {
        Json.parse(fields).asObject().forEach(m -> i.asObject().set(m.getName(), m.getValue()));
      }
    }
    HttpResponse<byte[]> put =
        SERVER.send("PUT", "/api/scenes/" + scene, document.toString(), "If-Match", "\"2\"");
    assertThat(put.statusCode()).as(text(put)).isEqualTo(200);
  }

  @Test
  void namesOfFilesAreTheirOwnWhateverTheTableSays() throws Exception {
    table("Words,File\na,../../up\nb,UP\nc,up\nd,\n");
    assertThat(made("[{\"format\":\"srt\"}]").keySet())
        .containsExactly("up.srt", "UP-2.srt", "up-3.srt", "4-d.srt");
  }

  @Test
  void twoFilesOfOneEndAreToldApart() throws Exception {
    table("Words\na\n");
    assertThat(
            made("[{\"format\":\"png\"},{\"format\":\"svg\"},{\"format\":\"svg-still\"},"
                    + "{\"format\":\"png\",\"options\":{\"size\":50}}]")
                .keySet())
        .containsExactly("1-a-png.png", "1-a-svg.svg", "1-a-svg-still.svg", "1-a-png-2.png");
  }

  @Test
  void badCellsAreToldWithTheirRowAndMadeGoodOneByOne() throws Exception {
    table("Title,Colour,Badge,size\na,red,Nowhere,9999\nb,#000000,Disc,20\n");
    JsonObject first = rows().get(0).asObject();
    assertThat(first.get("bad").toString())
        .contains("#RRGGBB", "there is no picture “Nowhere”", "a number from 1 to 4000");
    HttpResponse<byte[]> refused =
        SERVER.send("POST", at + "/files", "{\"files\":[{\"format\":\"png\"}]}");
    assertThat(refused.statusCode()).isEqualTo(400);
    assertThat(text(refused)).contains("Row 1, “Colour”", "#RRGGBB");
    JsonObject mended =
        object("PUT", at + "/rows/0", "{\"cells\":[\"a\",\"#FF0000\",\"Disc\",\"30\"]}");
    assertThat(mended.get("bad").asArray()).isEmpty();
    assertThat(made("[{\"format\":\"png\"}]")).hasSize(2);
  }

  @Test
  void whatProofFindsIsToldRowByRow() {
    String words = "kites over the dunes and the pier and the marsh and the sea ".repeat(3);
    table("Title\nup\n" + words + "\n");
    assertThat(rows().get(0).asObject().get("findings").asArray()).isEmpty();
    assertThat(rows().get(1).asObject().get("findings").toString()).contains("longer");
  }

  @Test
  void aRowHasAPicture() {
    table("Title,Colour\na,#FF0000\nb,nothing\n");
    HttpResponse<byte[]> picture = SERVER.send("GET", at + "/rows/0/picture", null);
    assertThat(picture.headers().firstValue("Content-Type")).contains("image/png");
    assertThat(SERVER.send("GET", at + "/rows/1/picture", null).statusCode()).isEqualTo(422);
    assertThat(SERVER.send("GET", at + "/rows/2/picture", null).statusCode()).isEqualTo(404);
  }

  @Test
  void columnsAreMatchedByHandAndWhatTheSceneLacksIsTold() {
    table("A,B\nx,y\n");
    assertThat(object("GET", at, null).getString("problem", "")).contains("No column is matched");
    JsonObject view = object("PUT", at + "/columns", "{\"fields\":[\"\",\"l.text\"]}");
    assertThat(fields(view)).containsExactly("", "l.text");
    assertThat(view.get("problem").isNull()).isTrue();
    JsonObject gone = object("PUT", at + "/columns", "{\"fields\":[\"\",\"other.text\"]}");
    assertThat(gone.getString("problem", "")).contains("“B” is for other.text");
    assertThat(SERVER.send("PUT", at + "/columns", "{\"fields\":[\"\"]}").statusCode())
        .isEqualTo(422);
  }

  @Test
  void aFileIsMadeAgainOfTheSameRowsThoughTheTableIsGone() throws Exception {
    table("Title\na\nb\n");
    JsonObject begun = object("POST", at + "/files", "{\"files\":[{\"format\":\"vtt\"}]}");
    assertThat(begun.getString("choices", "")).isEqualTo("2 rows as vtt");
    byte[] before = finished(begun.getString("id", ""));
    SERVER.send("DELETE", at, null);
    assertThat(object("GET", at, null).get("columns").asArray()).isEmpty();
    JsonObject again = object("POST", "/api/exports/" + begun.getString("id", "") + "/again", null);
    assertThat(unpacked(finished(again.getString("id", ""))).keySet())
        .isEqualTo(unpacked(before).keySet());
  }

  @Test
  void aBadTableChangesNothing() {
    table("Title\na\n");
    HttpResponse<byte[]> refused = table("Title\n" + "b\n".repeat(100_000));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(text(refused)).contains("more than 10000 rows");
    assertThat(rows().get(0).asObject().get("cells").toString()).isEqualTo("[\"a\"]");
  }

  @Test
  void theCommandLineMakesTheSameFiles() throws Exception {
    String csv = "Title,Colour,size\nLow tide,#f00,30\nHigh tide,#00f,31\n";
    table(csv);
    Map<String, byte[]> there = made("[{\"format\":\"png\"},{\"format\":\"vtt\"}]");
    Path file = Files.writeString(folder.resolve("tides.csv"), csv);
    Path zip =
        Files.write(
            folder.resolve("fair.zip"),
            SERVER.send("GET", "/api/projects/" + project + "/file", null).body());
    Path out = folder.resolve("tides.zip");
    assertThat(
            run("series", zip.toString(), file.toString(), out.toString(), "--formats", "png,vtt"))
        .isZero();
    Map<String, byte[]> here = unpacked(Files.readAllBytes(out));
    assertThat(here.keySet()).isEqualTo(there.keySet());
    here.forEach((name, bytes) -> assertThat(bytes).as(name).isEqualTo(there.get(name)));
    String into = folder + "/tides/";
    assertThat(
            run(
                "series",
                zip.toString(),
                file.toString(),
                into,
                "--formats",
                "png",
                "--size",
                "50",
                "--match",
                "Title=l.fill",
                "--match",
                "Colour=file.name"))
        .isEqualTo(2);
    assertThat(err).contains("Row 1, “Title”", "#RRGGBB");
    assertThat(
            run(
                "series",
                zip.toString(),
                file.toString(),
                into,
                "--formats",
                "png",
                "--match",
                "Colour=file.name"))
        .isZero();
    assertThat(Path.of(into, "f00.png")).exists();
    assertThat(Path.of(into, "00f.png")).exists();
    assertThat(run("series", zip.toString(), file.toString(), into)).isEqualTo(2);
    assertThat(err).contains("needs --formats");
  }

  private String err;

  private int run(String... args) {
    ByteArrayOutputStream e = new ByteArrayOutputStream();
    int code =
        CommandLine.run(
            new PrintStream(new ByteArrayOutputStream()),
            new PrintStream(e, true, StandardCharsets.UTF_8),
            args);
    err = e.toString(StandardCharsets.UTF_8);
    return code;
  }
}
