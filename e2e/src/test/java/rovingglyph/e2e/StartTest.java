package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermission;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.server.TestServer;

/** The start command in a checkout that counts as built, on ports and data of its own. */
class StartTest {
  /** What the fingerprint of a checkout without sources of its own comes to: that of no lines. */
  private static final String NO_SOURCES =
      "e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855\n";

  private static final String[] SOURCES = {
    "pom.xml", "core", "core-js", "web", "server", "demo", "scripts"
  };

  @TempDir Path checkout;
  private Path data;
  private int port;
  private int databasePort;

  @BeforeEach
  void checkout() throws IOException {
    Path root = Path.of("..").toRealPath();
    Files.copy(
        root.resolve("roving"), checkout.resolve("roving"), StandardCopyOption.COPY_ATTRIBUTES);
    for (String s : SOURCES) {
      Files.createSymbolicLink(checkout.resolve(s), root.resolve(s));
    }
    Files.createDirectory(checkout.resolve(".roving"));
    Files.writeString(checkout.resolve(".roving/built"), NO_SOURCES);
    data = Files.createTempDirectory("roving-test");
    port = TestServer.freePort();
    databasePort = TestServer.freePort();
  }

  @AfterEach
  void nothingIsLeft() throws Exception {
    run("stop").waitFor();
    assertThat(listens(port)).isFalse();
    assertThat(listens(databasePort)).isFalse();
  }

  private static boolean listens(int port) {
    try (Socket s = new Socket()) {
      s.connect(new InetSocketAddress("127.0.0.1", port), 1000);
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  private Process run(String command) throws IOException {
    Path said = Files.createTempFile(checkout, "said", ".txt");
    ProcessBuilder b = new ProcessBuilder("./roving", command).directory(checkout.toFile());
    b.environment().put("ROVING_DATA", data.toString());
    b.environment().put("ROVING_PORT", Integer.toString(port));
    b.environment().put("ROVING_PG_PORT", Integer.toString(databasePort));
    return b.redirectErrorStream(true).redirectOutput(said.toFile()).start();
  }

  /** All that the commands of this checkout have said. */
  private String said() throws IOException {
    StringBuilder all = new StringBuilder();
    try (var files = Files.newDirectoryStream(checkout, "said*")) {
      for (Path f : files) {
        all.append(Files.readString(f));
      }
    }
    return all.toString();
  }

  private void awaitSaid(String words) throws Exception {
    for (int i = 0; i < 2400 && !said().contains(words); i++) {
      Thread.sleep(100);
    }
    Path log = checkout.resolve(".roving/server.log");
    assertThat(said()).as(Files.exists(log) ? Files.readString(log) : "").contains(words);
  }

  @Test
  void twoStartsAtOnceComeToOneServerThatStopEnds() throws Exception {
    Process one = run("start");
    Process other = run("start");
    awaitSaid("is ready at http://127.0.0.1:" + port + "/");
    awaitSaid("already running");
    assertThat(one.isAlive() ^ other.isAlive()).isTrue();
    assertThat(run("stop").waitFor()).isZero();
    assertThat(one.waitFor(20, TimeUnit.SECONDS) && other.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(Math.max(one.exitValue(), other.exitValue())).isZero();
  }

  @Test
  void aPidFileWithSomebodyElsesNumberIsNeitherBelievedNorObeyed() throws Exception {
    Process somebody = new ProcessBuilder("sleep", "300").start();
    Path file = checkout.resolve(".roving/server.pid");
    try {
      Files.writeString(file, somebody.pid() + "\n");
      assertThat(run("stop").waitFor()).isZero();
      assertThat(somebody.isAlive()).isTrue();
      Files.writeString(file, somebody.pid() + "\n");
      Process start = run("start");
      awaitSaid("is ready at http://127.0.0.1:" + port + "/");
      assertThat(said()).doesNotContain("already running");
      assertThat(Files.getPosixFilePermissions(checkout.resolve(".roving/server.log")))
          .containsOnly(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
      killDatabase();
      awaitSaid("starting it again");
      awaitAnswer();
      run("stop").waitFor();
      assertThat(start.waitFor(20, TimeUnit.SECONDS)).isTrue();
      assertThat(somebody.isAlive()).isTrue();
    } finally {
      somebody.destroyForcibly();
    }
  }

  private String projects(int port) throws IOException {
    URL projects = new URL("http://127.0.0.1:" + port + "/api/projects");
    return new String(projects.openStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  @Test
  void nodesShareADatabaseAndOneGoesOnWithoutTheOther() throws Exception {
    Process cluster = run("cluster");
    awaitSaid("All 2 nodes are ready");
    String seen = projects(port);
    assertThat(seen).contains("Saltmarsh Kite Fair");
    assertThat(projects(port + 1)).isEqualTo(seen);
    String first = Files.readAllLines(checkout.resolve(".roving/nodes")).get(0);
    assertThat(new ProcessBuilder("kill", "-9", first).start().waitFor()).isZero();
    assertThat(projects(port + 1)).isEqualTo(seen);
    cluster.destroy();
    assertThat(cluster.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(listens(port + 1)).isFalse();
  }

  private void killDatabase() throws Exception {
    String pid = Files.readAllLines(data.resolve("db/postmaster.pid")).get(0);
    assertThat(new ProcessBuilder("kill", "-9", pid).start().waitFor()).isZero();
  }

  private void awaitAnswer() throws Exception {
    URL projects = new URL("http://127.0.0.1:" + port + "/api/projects");
    for (int i = 0; i < 300; i++) {
      HttpURLConnection c = (HttpURLConnection) projects.openConnection();
      if (c.getResponseCode() == 200) {
        return;
      }
      Thread.sleep(100);
    }
    throw new AssertionError("the server did not come back");
  }

  @Test
  void aTakenPortIsTold() throws Exception {
    try (ServerSocket taken = new ServerSocket(port)) {
      assertThat(run("start").waitFor()).isEqualTo(1);
      assertThat(said()).contains("port " + port + " is taken").contains("ROVING_PORT=");
    }
    try (ServerSocket taken = new ServerSocket(databasePort)) {
      assertThat(run("start").waitFor()).isEqualTo(1);
      assertThat(said()).contains("ROVING_PG_PORT=");
    }
  }
}
