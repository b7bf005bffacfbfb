package rovingglyph.server;

import java.io.IOException;
import java.net.BindException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The real server on a real PostgreSQL of its own, both on free ports of loopback. */
public final class TestServer implements AutoCloseable {
  private static TestServer shared;

  private final HttpClient client = HttpClient.newHttpClient();
  private final Path data;
  private final int databasePort;
  private final int port;
  private final String[] properties;
  private ConfigurableApplicationContext context;

  private TestServer() throws IOException, InterruptedException {
    data = Files.createTempDirectory("roving-test");
    databasePort = freePort();
    port = freePort();
    String password = postgres("start", data.toString(), Integer.toString(databasePort)).strip();
    properties =
        new String[] {
          "--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + databasePort + "/roving",
          "--spring.datasource.password=" + password,
          // Those of tests listen on loopback.
          "--roving.webhook.hosts=127.0.0.1"
        };
    start();
  }

  /** One for all tests of a run; it is taken down with the JVM. */
  public static synchronized TestServer shared() {
    if (shared == null) {
      try {
        shared = new TestServer();
      } catch (IOException | InterruptedException e) {
        throw new IllegalStateException(e);
      }
      Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
    }
    return shared;
  }

  /** A second one beside it, on a database of its own; whoever asks for it closes it. */
  public static TestServer another() {
    try {
      return new TestServer();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * A port that nobody listens at, and that is not among those that systems give to connections:
   * one of these could be taken before a server has begun to listen.
   */
  public static int freePort() throws IOException {
    for (; ; ) {
      int port = ThreadLocalRandom.current().nextInt(20_000, 32_000);
      try (ServerSocket s = new ServerSocket(port)) {
        return s.getLocalPort();
      } catch (BindException taken) {
        // The next may be free.
      }
    }
  }

  private static String postgres(String... words) throws IOException, InterruptedException {
    String[] command = new String[words.length + 1];
    command[0] = "../scripts/postgres.sh";
    System.arraycopy(words, 0, command, 1, words.length);
    Path output = Files.createTempFile("roving-test", ".txt");
    Process p =
        new ProcessBuilder(command)
            .redirectOutput(output.toFile())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    if (p.waitFor() != 0) {
      throw new IllegalStateException("PostgreSQL did not start");
    }
    return Files.readString(output);
  }

  public void start() {
    List<String> all = new ArrayList<>(List.of(properties));
    all.add("--server.port=" + port);
    context = SpringApplication.run(RovingGlyph.class, all.toArray(String[]::new));
  }

  /** A node beside this server, on its database; whoever asks for it closes it. */
  public Node node(String... options) throws IOException {
    return new Node(freePort(), List.of(), List.of(options), List.of(properties));
  }

  /** Stops the server but not PostgreSQL. */
  public void stop() {
    context.close();
  }

  /** Stops PostgreSQL under the running server. */
  public void stopDatabase() throws IOException, InterruptedException {
    postgres("stop", data.toString());
  }

  public void startDatabase() throws IOException, InterruptedException {
    postgres("start", data.toString(), Integer.toString(databasePort));
  }

  @Override
  public void close() {
    try {
      stop();
      postgres("stop", data.toString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public String address() {
    return "http://127.0.0.1:" + port;
  }

  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Sends a request; header names and values alternate. A null body sends none. */
  public HttpResponse<byte[]> send(String method, String path, String body, String... headers) {
    HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(address() + path));
    if (body != null) {
      b.header("Content-Type", "application/json");
    }
    if (headers.length > 0) {
      b.headers(headers);
    }
    return send(
        b.method(
            method,
            body == null
                ? HttpRequest.BodyPublishers.noBody()
                : HttpRequest.BodyPublishers.ofString(body)));
  }

  /** Posts a file. */
  public HttpResponse<byte[]> sendBytes(String path, byte[] body) {
    return send(
        HttpRequest.newBuilder(URI.create(address() + path))
            .header("Content-Type", "application/octet-stream")
            .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
  }

  /** Puts a file. */
  public HttpResponse<byte[]> putBytes(String path, byte[] body) {
    return send(
        HttpRequest.newBuilder(URI.create(address() + path))
            .header("Content-Type", "application/octet-stream")
            .PUT(HttpRequest.BodyPublishers.ofByteArray(body)));
  }

  private HttpResponse<byte[]> send(HttpRequest.Builder request) {
    try {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  public static String text(HttpResponse<byte[]> response) {
    return new String(response.body(), StandardCharsets.UTF_8);
  }
}
