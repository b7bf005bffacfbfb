package rovingglyph.archive;

import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import rovingglyph.footage.MadeFootage;
import rovingglyph.pictures.MadePictures;
import rovingglyph.server.TestServer;
import rovingglyph.typefaces.Fonts;
import rovingglyph.uploads.StoredFiles;

/** Project files for tests: of a project that has a part of every kind, and of files by name. */
final class ProjectFiles {
  private ProjectFiles() {}

  static JsonObject object(HttpResponse<byte[]> answer) {
    if (answer.statusCode() >= 300) {
      throw new AssertionError(answer.statusCode() + " " + text(answer));
    }
    return Json.parse(text(answer)).asObject();
  }

  /** A project with parts of all kinds; the second of its scenes has items of all kinds. */
  static String full(TestServer server, Path folder) throws IOException {
    JsonObject made = object(server.send("POST", "/api/projects", "{\"name\":\"Kite & pier\"}"));
    String project = made.getString("id", "");
    String at = "/api/projects/" + project;
    String shown = made.get("scenes").asArray().get(0).asObject().getString("id", "");
    byte[] font = Fonts.woff(Fonts.resource("/faces/eb-garamond.otf"));
    String face = object(server.sendBytes(at + "/faces", font)).getString("id", "");
    String picture =
        object(server.sendBytes(at + "/pictures?name=Kites", MadePictures.png(64, 48)))
            .getString("id", "");
    String template =
        object(server.sendBytes("/api/images", MadePictures.png(40, 30))).getString("id", "");
    Path film = MadeFootage.make(folder, MadeFootage.KINDS.get(0), 40, true);
    String footage = MadeFootage.kept(server, project, film).getString("id", "");
    String words =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Opening","width":640,"height":360,
         "rate":"25","length":2,"background":"#203040","paths":[{"id":"p","kind":"line",
         "x1":40,"y1":200,"x2":600,"y2":180}],"items":[{"id":"w","kind":"lettering","path":"p",
         "text":"The sky is open","face":"%s","size":60}]}"""
            .formatted(face);
    put(server, shown, words);
    String all =
        Files.readString(Path.of("../core/src/test/resources/everything.json"))
            .replace("\"kites\"", "\"" + picture + "\"")
            .replace("\"sea\"", "\"" + footage + "\"")
            .replace("\"gelasio\"", "\"" + face + "\"")
            .replace("\"opening\"", "\"" + shown + "\"")
            .replace("\"0123\"", "\"" + template + "\"");
    JsonObject second = object(server.send("POST", at + "/scenes", "{\"name\":\"All\"}"));
    put(server, second.getString("id", ""), all);
    object(
        server.send(
            "POST",
            at + "/curves",
            Json.parse(words).asObject().get("paths").asArray().get(0).toString()));
    object(server.send("POST", at + "/easings", "{\"name\":\"Gust\",\"curve\":[0.2,0,0.1,1]}"));
    object(
        server.send(
            "POST",
            at + "/finishes",
            "{\"name\":\"Dusk\",\"effects\":[{\"id\":\"soft\",\"kind\":\"blur\",\"radius\":3}]}"));
    object(
        server.send(
            "POST",
            at + "/file-sets",
            "{\"name\":\"For the fair\",\"files\":[{\"format\":\"mp4\"},{\"format\":\"svg\"}]}"));
    object(
        server.send(
            "PUT", at + "/hand-off", "{\"fileNames\":\"{scene}-{number}\",\"keepDays\":12}"));
    String table = "Words,Typeface\nLow tide," + face + "\n";
    server.putBytes("/api/scenes/" + shown + "/series", table.getBytes(StandardCharsets.UTF_8));
    return project;
  }

  private static void put(TestServer server, String scene, String document) {
    HttpResponse<byte[]> answer =
        server.send("PUT", "/api/scenes/" + scene, document, "If-Match", "\"1\"");
    if (answer.statusCode() >= 300) {
      throw new AssertionError(text(answer));
    }
  }

  static byte[] of(TestServer server, String project) {
    HttpResponse<byte[]> answer = server.send("GET", "/api/projects/" + project + "/file", null);
    if (answer.statusCode() != 200) {
      throw new AssertionError(text(answer));
    }
    return answer.body();
  }

  /** Uploads a project file; its upload's id. */
  static String upload(TestServer server, byte[] file) {
    String begun = "{\"name\":\"project.zip\",\"size\":%d}".formatted(file.length);
    String id = object(server.send("POST", "/api/project-files", begun)).getString("id", "");
    for (int n = 0; n * StoredFiles.PIECE < file.length; n++) {
      int to = Math.min(file.length, (n + 1) * StoredFiles.PIECE);
      server.putBytes(
          "/api/uploads/" + id + "/pieces/" + n,
          Arrays.copyOfRange(file, n * StoredFiles.PIECE, to));
    }
    return id;
  }

  static HttpResponse<byte[]> open(TestServer server, String upload, String body) {
    return server.send("POST", "/api/project-files/" + upload + "/open", body);
  }

  /** The files of a ZIP by name, in order. */
  static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
    Map<String, byte[]> out = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        out.put(e.getName(), in.readAllBytes());
      }
    }
    return out;
  }

  static byte[] packed(Map<String, byte[]> files) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
      }
    }
    return out.toByteArray();
  }

  /** The same with a file that reads otherwise. */
  static byte[] with(byte[] zip, String file, byte[] content) throws IOException {
    Map<String, byte[]> files = unpacked(zip);
    files.put(file, content);
    return packed(files);
  }

  /** The same with other words in a file. */
  static byte[] with(byte[] zip, String file, String from, String to) throws IOException {
    String text = new String(unpacked(zip).get(file), StandardCharsets.UTF_8);
    if (!text.contains(from)) {
      throw new AssertionError(file + " has no " + from);
    }
    return with(zip, file, text.replace(from, to).getBytes(StandardCharsets.UTF_8));
  }
}
