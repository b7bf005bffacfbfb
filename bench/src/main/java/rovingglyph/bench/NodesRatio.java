package rovingglyph.bench;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.server.RovingGlyph;

/**
 * A long MP4 by one node on one core, and by two nodes on one core each, by turns; from asking for
 * it to its end, with a database of their own.
 */
final class NodesRatio {
  private static final int ROUNDS = 3;

  private final HttpClient client = HttpClient.newHttpClient();
  private final List<Process> nodes = new ArrayList<>();
  private final Path folder;
  private final int databasePort = freePort();
  private final String password;
  private final JsonObject document;

  private NodesRatio(Path document) throws IOException, InterruptedException {
    this.folder = Files.createTempDirectory("roving-bench");
    this.document = Json.parse(Files.readString(document)).asObject().set("length", 48);
    this.password = postgres("start", folder.toString(), Integer.toString(databasePort));
  }

  static void run(Path document) throws IOException, InterruptedException {
    NodesRatio bench = new NodesRatio(document);
    try {
      bench.measure();
    } finally {
      bench.nodes.forEach(NodesRatio::kill);
      postgres("stop", bench.folder.toString());
    }
  }

  private void measure() throws IOException, InterruptedException {
    double one = Double.MAX_VALUE;
    double two = Double.MAX_VALUE;
    int first = node(0);
    seconds(first, 300);
    for (int i = 0; i < ROUNDS; i++) {
      one = Math.min(one, seconds(first, 1200));
      node(1);
      // It has compiled what it runs before it is measured, as the first one has.
      seconds(first, 600);
      two = Math.min(two, seconds(first, 1200));
      kill(nodes.remove(1));
    }
    System.out.printf(
        "MP4 of 1,200 frames: %.1f s by one node of one core, %.1f s by two; ratio %.2f (goal 0.60)%n",
        one, two, two / one);
  }

  private double seconds(int port, int frames) throws IOException, InterruptedException {
    JsonObject options = new JsonObject().add("size", 50).add("to", frames - 1);
    JsonObject file = new JsonObject().add("format", "mp4").add("options", options);
    JsonObject asked =
        new JsonObject().add("document", document).add("files", Json.array().asArray().add(file));
    long begun = System.nanoTime();
    HttpRequest.Builder post =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/render"))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(asked.toString()));
    String id = Json.parse(answer(post)).asArray().get(0).asObject().getString("id", "");
    URI at = URI.create("http://127.0.0.1:" + port + "/api/exports/" + id);
    for (; ; ) {
      Thread.sleep(50);
      String state =
          Json.parse(answer(HttpRequest.newBuilder(at))).asObject().getString("state", "");
      if (state.equals("done")) {
        return (System.nanoTime() - begun) / 1e9;
      }
      if (!state.equals("waiting") && !state.equals("running")) {
        throw new IOException("The export is " + state);
      }
    }
  }

  private String answer(HttpRequest.Builder request) throws IOException, InterruptedException {
    HttpResponse<String> answer =
        client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() >= 300) {
      throw new IOException(answer.body());
    }
    return answer.body();
  }

  /** Starts a node that has one core, with the encoders that it starts. */
  private int node(int core) throws IOException, InterruptedException {
    int port = freePort();
    Path log = folder.resolve("node-" + core + ".log");
    List<String> command = new ArrayList<>(List.of("taskset", "-c", Integer.toString(core)));
    command.add(ProcessHandle.current().info().command().orElse("java"));
    command.addAll(List.of("-Xmx1g", "-cp", System.getProperty("java.class.path")));
    command.addAll(List.of(RovingGlyph.class.getName(), "--server.port=" + port));
    command.add("--spring.datasource.password=" + password);
    command.add("--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + databasePort + "/roving");
    Process p =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile()).start();
    nodes.add(p);
    for (int i = 0; i < 600 && p.isAlive(); i++) {
      Thread.sleep(100);
      try {
        answer(HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/projects")));
        return port;
      } catch (IOException e) {
        // It does not answer yet.
      }
    }
    throw new IOException("A node did not start: " + Files.readString(log));
  }

  private static void kill(Process node) {
    node.destroy();
    node.onExit().join();
  }

  private static String postgres(String... words) throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of("scripts/postgres.sh"));
    command.addAll(List.of(words));
    Path said = Files.createTempFile("roving-bench", ".txt");
    Process p =
        new ProcessBuilder(command)
            .redirectOutput(said.toFile())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    if (p.waitFor() != 0) {
      throw new IOException("PostgreSQL did not do it");
    }
    return Files.readString(said).strip();
  }

  private static int freePort() {
    try (ServerSocket s = new ServerSocket(0)) {
      return s.getLocalPort();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
