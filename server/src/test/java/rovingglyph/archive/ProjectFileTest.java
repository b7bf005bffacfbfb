package rovingglyph.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.archive.ProjectFiles.object;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.cli.CommandLine;
import rovingglyph.server.TestServer;

/** Projects as files: whole on another server and on the command line; bad ones change nothing. */
class ProjectFileTest {
  private static final TestServer SERVER = TestServer.shared();
  private static TestServer other;
  private static String project;
  private static byte[] file;

  @TempDir static Path folder;

  @BeforeAll
  static void aFullProject() throws IOException {
    project = ProjectFiles.full(SERVER, folder);
    file = ProjectFiles.of(SERVER, project);
    other = TestServer.another();
  }

  @AfterAll
  static void close() {
    other.close();
  }

  private static JsonObject opened(TestServer server, byte[] zip, String body) {
    return object(ProjectFiles.open(server, ProjectFiles.upload(server, zip), body));
  }

  private static List<String> sceneIds(TestServer server, String project) {
    for (JsonValue p : Json.parse(text(server.send("GET", "/api/projects", null))).asArray()) {
      if (p.asObject().getString("id", "").equals(project)) {
        List<String> out = new ArrayList<>();
        for (JsonValue s : p.asObject().get("scenes").asArray()) {
          out.add(s.asObject().getString("id", ""));
        }
        return out;
      }
    }
    throw new AssertionError("no project " + project);
  }

  private static byte[] still(TestServer server, String scene, double at)
      throws InterruptedException {
    String body = "{\"format\":\"png\",\"options\":{\"at\":%s,\"size\":50}}".formatted(at);
    String id =
        object(server.send("POST", "/api/scenes/" + scene + "/exports", body)).getString("id", "");
    for (int i = 0; i < 400; i++) {
      JsonObject e = object(server.send("GET", "/api/exports/" + id, null));
      if (e.getString("state", "").equals("failed")) {
        throw new AssertionError(e.getString("message", ""));
      }
      if (e.getString("state", "").equals("done")) {
        return server.send("GET", "/api/exports/" + id + "/file", null).body();
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never done");
  }

  @Test
  void everyKindOfPartIsInIt() throws IOException {
    JsonObject contents =
        Json.parse(
                new String(ProjectFiles.unpacked(file).get("project.json"), StandardCharsets.UTF_8))
            .asObject();
    for (PartKind kind : PartKind.values()) {
      assertThat(contents.get(kind.list())).as(kind.list()).isNotNull();
    }
    assertThat(ProjectFiles.unpacked(file).keySet()).anyMatch(n -> n.startsWith("licences/font-"));
    assertThat(ProjectFiles.of(SERVER, project)).as("the same again").isEqualTo(file);
  }

  @Test
  void onAnEmptySecondServerItIsTheSameProjectAndPaintsTheSamePixels() throws Exception {
    JsonObject there = opened(other, file, "{}");
    String id = there.getString("id", "");
    assertThat(there.getString("name", "")).isEqualTo("Kite & pier");
    assertThat(text(other.send("GET", "/api/projects/" + id + "/hand-off", null)))
        .isEqualTo(text(SERVER.send("GET", "/api/projects/" + project + "/hand-off", null)));
    for (JsonValue f :
        Json.parse(text(other.send("GET", "/api/projects/" + id + "/footage", null))).asArray()) {
      rovingglyph.footage.MadeFootage.settled(other, id, f.asObject().getString("id", ""));
    }
    List<String> here = sceneIds(SERVER, project);
    List<String> scenes = sceneIds(other, id);
    assertThat(scenes).hasSameSizeAs(here);
    for (int i = 0; i < here.size(); i++) {
      for (double at : new double[] {0, 0.7, 1.4}) {
        assertThat(still(other, scenes.get(i), at))
            .as("scene %d at %s", i, at)
            .isEqualTo(still(SERVER, here.get(i), at));
      }
    }
    assertThat(plain(ProjectFiles.of(other, id))).isEqualTo(plain(file));
  }

  /** What is in a file, with numbers in the places of the ids that servers give. */
  private static List<String> plain(byte[] zip) throws IOException {
    Map<String, byte[]> files = ProjectFiles.unpacked(zip);
    JsonObject contents =
        Json.parse(new String(files.get("project.json"), StandardCharsets.UTF_8)).asObject();
    Map<String, String> ids = new LinkedHashMap<>();
    for (PartKind kind : PartKind.values()) {
      for (JsonValue p : contents.get(kind.list()).asArray()) {
        String id = p.asObject().getString("id", "");
        if (!id.isEmpty()) {
          ids.put(id, kind + "-" + ids.size());
        }
      }
    }
    List<String> out = new ArrayList<>();
    files.forEach(
        (name, bytes) -> {
          String all = name + ": " + new String(bytes, StandardCharsets.ISO_8859_1);
          if (name.endsWith(".json")) {
            all = name + ": " + Json.parse(new String(bytes, StandardCharsets.UTF_8));
          }
          for (Map.Entry<String, String> id : ids.entrySet()) {
            all = all.replace(id.getKey(), id.getValue());
          }
          out.add(all);
        });
    return out;
  }

  @Test
  void whatIsNewIsToldAndWhatIsHereIsNot() {
    String upload = ProjectFiles.upload(SERVER, file);
    JsonObject look = object(SERVER.send("GET", "/api/project-files/" + upload, null));
    assertThat(look.getString("name", "")).isEqualTo("Kite & pier");
    for (JsonValue p : look.get("parts").asArray()) {
      String kind = p.asObject().getString("kind", "");
      assertThat(p.asObject().getBoolean("known", false))
          .as(p.toString())
          .isEqualTo(List.of("pictures", "footage", "typefaces").contains(kind));
    }
    assertThat(look.get("notes").toString())
        .contains("1 item of a kind that this version does not know");
    assertThat(SERVER.send("DELETE", "/api/uploads/" + upload, null).statusCode()).isEqualTo(204);
  }

  @Test
  void itGoesIntoAProjectThatIsThereAndPartsOfOneNameAreNotTwice() {
    JsonObject first = opened(SERVER, file, "{\"name\":\"Second fair\"}");
    assertThat(first.getString("name", "")).isEqualTo("Second fair");
    String id = first.getString("id", "");
    int scenes = sceneIds(SERVER, id).size();
    JsonObject again = opened(SERVER, file, "{\"project\":\"" + id + "\"}");
    assertThat(again.getString("id", "")).isEqualTo(id);
    assertThat(sceneIds(SERVER, id)).hasSize(2 * scenes).doesNotHaveDuplicates();
    for (String list : List.of("easings", "finishes", "file-sets", "curves", "pictures")) {
      JsonArray parts =
          Json.parse(text(SERVER.send("GET", "/api/projects/" + id + "/" + list, null))).asArray();
      assertThat(parts).as(list).hasSize(1);
    }
  }

  @Test
  void theCommandLinePaintsASceneOfItAsTheServerDoes() throws Exception {
    Path zip = Files.write(folder.resolve("fair.zip"), file);
    Path png = folder.resolve("still.png");
    assertThat(run("render", zip.toString(), png.toString(), "--at", "0.7", "--size", "50"))
        .contains("choose one with --scene", "Opening");
    List<String> scenes = sceneIds(SERVER, project);
    List<String> names = new ArrayList<>();
    JsonObject contents =
        Json.parse(
                new String(ProjectFiles.unpacked(file).get("project.json"), StandardCharsets.UTF_8))
            .asObject();
    contents.get("scenes").asArray().forEach(s -> names.add(s.asObject().getString("name", "")));
    for (int i = 0; i < scenes.size(); i++) {
      run(
          "render",
          zip.toString(),
          png.toString(),
          "--scene",
          names.get(i),
          "--at",
          "0.7",
          "--size",
          "50");
      assertThat(Files.readAllBytes(png)).isEqualTo(still(SERVER, scenes.get(i), 0.7));
    }
    assertThat(run("render", zip.toString(), png.toString(), "--scene", "Lighthouse"))
        .contains("There is no scene \"Lighthouse\"", "Opening");
    Files.write(zip, Arrays.copyOf(file, file.length / 2));
    assertThat(run("render", zip.toString(), png.toString())).contains("no whole ZIP");
  }

  private static String run(String... args) {
    ByteArrayOutputStream err = new ByteArrayOutputStream();
    CommandLine.run(
        new PrintStream(new ByteArrayOutputStream()),
        new PrintStream(err, true, StandardCharsets.UTF_8),
        args);
    return err.toString(StandardCharsets.UTF_8);
  }

  /** A bad file, and what is said of it. */
  record Bad(String what, byte[] zip, String told) {
    @Override
    public String toString() {
      return what;
    }
  }

  private static String first(String folder) throws IOException {
    return ProjectFiles.unpacked(file).keySet().stream()
        .filter(n -> n.startsWith(folder + "/"))
        .findFirst()
        .orElseThrow();
  }

  static Stream<Bad> badFiles() throws IOException {
    byte[] words = "no such thing".getBytes(StandardCharsets.UTF_8);
    String all =
        ProjectFiles.unpacked(file).keySet().stream()
            .filter(n -> n.startsWith("scenes/002"))
            .findFirst()
            .orElseThrow();
    List<Bad> out = new ArrayList<>();
    out.add(new Bad("no ZIP", words, "no whole ZIP"));
    out.add(new Bad("cut", Arrays.copyOf(file, file.length - 40), "no whole ZIP"));
    out.add(
        new Bad(
            "another ZIP", ProjectFiles.packed(Map.of("a.txt", words)), "project.json is missing"));
    out.add(new Bad("no JSON", ProjectFiles.with(file, "project.json", words), "project.json: "));
    out.add(
        new Bad(
            "a later version",
            ProjectFiles.with(file, "project.json", "\"version\": 1", "\"version\": 2"),
            "bring the server up to date"));
    out.add(
        new Bad(
            "another format",
            ProjectFiles.with(file, "project.json", "roving-glyph-project", "kites"),
            "no project file"));
    out.add(
        new Bad(
            "a bad pattern",
            ProjectFiles.with(file, "project.json", "{number}", "{wind}"),
            "{wind} is not known"));
    out.add(
        new Bad(
            "a scene of a later version",
            ProjectFiles.with(file, first("scenes"), "\"version\":2", "\"version\":99"),
            "version 99 is not known here"));
    out.add(
        new Bad(
            "a scene that shows itself",
            ProjectFiles.with(file, all, scene(0), scene(1)),
            "show itself"));
    for (String name : List.of("../up.json", "scenes/../../up.json", "/etc/up.json", "a\\b")) {
      out.add(new Bad("the name " + name, ProjectFiles.with(file, name, words), "leads out of it"));
    }
    for (PartKind kind : PartKind.values()) {
      String name = first(kind.list());
      out.add(new Bad("bad " + kind, ProjectFiles.with(file, name, words), name));
      Map<String, byte[]> less = ProjectFiles.unpacked(file);
      less.remove(name);
      out.add(new Bad("without " + kind, ProjectFiles.packed(less), name + " is missing"));
      if (kind.largest() < 50_000_000) {
        byte[] zeros = new byte[(int) kind.largest() + 1];
        out.add(
            new Bad(
                "zeros " + kind, ProjectFiles.with(file, name, zeros), name + " has more than"));
      }
    }
    return out.stream();
  }

  private static String scene(int i) {
    return sceneIds(SERVER, project).get(i);
  }

  @ParameterizedTest
  @MethodSource("badFiles")
  void aBadFileIsRefusedWithTheReasonAndNothingIsKept(Bad bad) {
    String before = counts();
    String upload = ProjectFiles.upload(other, bad.zip());
    HttpResponse<byte[]> answer = ProjectFiles.open(other, upload, "{}");
    assertThat(text(answer)).contains(bad.told());
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(counts()).isEqualTo(before);
    other.send("DELETE", "/api/uploads/" + upload, null);
  }

  /** How much of everything the second server has. */
  private static String counts() {
    JdbcClient jdbc = other.bean(JdbcClient.class);
    StringBuilder out = new StringBuilder();
    for (String table :
        List.of(
            "project",
            "scene",
            "picture",
            "footage",
            "typeface",
            "image",
            "curve",
            "easing",
            "finish",
            "file_set",
            "project_picture",
            "project_footage",
            "project_typeface",
            "series")) {
      out.append(table)
          .append(jdbc.sql("select count(*) from " + table).query(Long.class).single());
    }
    return out.toString();
  }

  @Test
  void whateverIsDamagedIsRefusedOrChangesNothing() {
    Random random = new Random(20261201);
    for (int i = 0; i < 60; i++) {
      byte[] zip = file.clone();
      // At the ends, where the lists are, as often as anywhere.
      int at = i % 2 == 0 ? random.nextInt(zip.length) : zip.length - 1 - random.nextInt(2500);
      zip[at] ^= (byte) (1 << random.nextInt(8));
      String upload = ProjectFiles.upload(other, zip);
      HttpResponse<byte[]> answer = other.send("GET", "/api/project-files/" + upload, null);
      assertThat(answer.statusCode()).as("byte %d: %s", at, text(answer)).isIn(200, 422);
      other.send("DELETE", "/api/uploads/" + upload, null);
    }
  }

  @Test
  void anUploadForSomethingElseIsNoProjectFile() {
    String begun = "{\"name\":\"a.mp4\",\"size\":10}";
    String upload =
        object(SERVER.send("POST", "/api/projects/" + project + "/uploads", begun))
            .getString("id", "");
    assertThat(SERVER.send("GET", "/api/project-files/" + upload, null).statusCode())
        .isEqualTo(409);
    SERVER.putBytes("/api/uploads/" + upload + "/pieces/0", new byte[10]);
    assertThat(SERVER.send("GET", "/api/project-files/" + upload, null).statusCode())
        .isEqualTo(404);
    String projectFile = ProjectFiles.upload(SERVER, file);
    assertThat(SERVER.send("POST", "/api/uploads/" + projectFile + "/end", "").statusCode())
        .isEqualTo(404);
    assertThat(
            ProjectFiles.open(SERVER, projectFile, "{\"project\":\"" + UUID.randomUUID() + "\"}")
                .statusCode())
        .isEqualTo(404);
    assertThat(SERVER.send("POST", "/api/project-files", "{\"size\":5e9}").statusCode())
        .isEqualTo(422);
  }
}
