package rovingglyph.e2e;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import rovingglyph.server.TestServer;

/**
 * Types into the real interface and kills (-9) the server, the database or the browser at random
 * moments, then looks whether anything is gone that was shown as kept. Everything is its own:
 * ports, data and browser profile.
 */
final class Soak implements AutoCloseable {
  private static final String READ =
      "() => [document.querySelector('#words-text')?.value ?? '',"
          + " document.querySelector('[data-testid=kept]')?.textContent ?? '']";

  private final Path root = Path.of("..").toAbsolutePath().normalize();
  private final Path data = Files.createTempDirectory("roving-soak");
  private final Path profile = Files.createTempDirectory("roving-soak-profile");
  private final Random random;
  private final int port = TestServer.freePort();
  private final int databasePort = TestServer.freePort();
  private final HttpClient client = HttpClient.newHttpClient();
  private final List<String> faults = new ArrayList<>();
  private String password;
  private Process server;
  private Playwright playwright;
  private BrowserContext browser;
  private Page page;
  private String scene;
  private int shownInBrowser;

  Soak(long seed) throws IOException, InterruptedException {
    random = new Random(seed);
    startDatabase();
    startServer();
    JsonObject project = Json.parse(ask("POST", "/api/projects", "{\"name\":\"Soak\"}")).asObject();
    scene = project.get("scenes").asArray().get(0).asObject().getString("id", "");
    startBrowser();
    page.getByText("Add a lettering").first().click();
    page.locator("#words-text").fill("");
    // Every check needs the lettering: a browser killed before it was kept may rightly lose it.
    page.waitForCondition(
        () -> page.getByTestId("kept").textContent().equals("All changes kept") && isOnServer());
  }

  public static void main(String[] args) throws Exception {
    int kills = 200;
    for (int i = 0; i + 1 < args.length; i += 2) {
      if (!args[i].equals("--kills")) {
        System.err.println("Usage: ./roving soak --kills N");
        System.exit(2);
      }
      kills = Integer.parseInt(args[i + 1]);
    }
    List<String> faults;
    try (Soak soak = new Soak(System.nanoTime())) {
      faults = soak.run(kills, true);
      System.out.printf(
          "%d kills; edits that were shown as kept in the browser alone: %d%n",
          kills, soak.shownInBrowser);
    }
    faults.forEach(System.out::println);
    System.out.println(faults.isEmpty() ? "Nothing lost." : faults.size() + " faults.");
    System.exit(faults.isEmpty() ? 0 : 1);
  }

  /** What went wrong, one line each. */
  List<String> run(int kills, boolean tell) throws IOException, InterruptedException {
    for (int i = 0; i < kills; i++) {
      int victim = random.nextInt(3);
      // A dead server first: what the browser keeps is all there is then.
      boolean away = victim == 2 && random.nextBoolean();
      if (away) {
        killServer();
      }
      String shown = type(1 + random.nextInt(30));
      switch (victim) {
        case 0 -> killServer();
        case 1 -> killDatabase();
        default -> killBrowser();
      }
      startDatabase();
      startServer();
      String before = victim == 2 ? shown : text();
      if (victim == 2) {
        startBrowser();
      }
      check(i, victim, shown, before);
      if (tell && (i + 1) % 20 == 0) {
        System.out.println((i + 1) + " kills, " + faults.size() + " faults");
      }
    }
    return faults;
  }

  /** Types letters; gives the text as of the last moment at which it was shown as kept. */
  private String type(int letters) {
    page.locator("#words-text").click();
    page.keyboard().press("Control+End");
    String shown = kept("");
    for (int i = 0; i < letters; i++) {
      page.keyboard().type(String.valueOf((char) ('a' + random.nextInt(26))));
      page.waitForTimeout(random.nextInt(30));
      shown = kept(shown);
    }
    page.waitForTimeout(random.nextInt(600));
    return kept(shown);
  }

  private String kept(String before) {
    @SuppressWarnings("unchecked")
    List<String> read = (List<String>) page.evaluate(READ);
    boolean inBrowser = read.get(1).contains("kept in this browser");
    shownInBrowser += inBrowser ? 1 : 0;
    return inBrowser || read.get(1).equals("All changes kept") ? read.get(0) : before;
  }

  private String text() {
    return page.locator("#words-text").inputValue();
  }

  /** Everything comes to rest on the server, and it is what was shown. */
  private void check(int number, int victim, String shown, String before)
      throws IOException, InterruptedException {
    String who = List.of("server", "database", "browser").get(victim);
    String there = "";
    for (int i = 0; i < 300; i++) {
      if (page.getByText("This scene was changed elsewhere").isVisible()) {
        faults.add(number + ": a conflict with oneself after the " + who + " was killed");
        page.getByText("Keep my version").click();
      }
      boolean rests = kept("?").equals(text());
      there = rests ? onServer() : "";
      if (rests
          && there.equals(text())
          && page.getByTestId("kept").textContent().equals("All changes kept")) {
        break;
      }
      page.waitForTimeout(100);
    }
    if (!there.startsWith(shown) || !there.startsWith(before)) {
      faults.add(
          "%d: %d of %d characters after the %s was killed"
              .formatted(number, there.length(), Math.max(shown.length(), before.length()), who));
    }
  }

  private List<JsonObject> letteringsOnServer() throws IOException, InterruptedException {
    JsonObject document =
        Json.parse(ask("GET", "/api/scenes/" + scene, null)).asObject().get("document").asObject();
    return Workbench.items(document, "lettering");
  }

  private boolean isOnServer() {
    try {
      return !letteringsOnServer().isEmpty();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private String onServer() throws IOException, InterruptedException {
    return letteringsOnServer().get(0).getString("text", "");
  }

  private String ask(String method, String path, String body)
      throws IOException, InterruptedException {
    HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(address() + path));
    b.header("Content-Type", "application/json");
    b.method(
        method,
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofString(body));
    return client.send(b.build(), HttpResponse.BodyHandlers.ofString()).body();
  }

  private String address() {
    return "http://127.0.0.1:" + port;
  }

  private String script(String... words) throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of(root.resolve("scripts/postgres.sh").toString()));
    command.addAll(List.of(words));
    Path out = data.resolveSibling(data.getFileName() + ".out");
    Process p =
        new ProcessBuilder(command)
            .redirectOutput(out.toFile())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    return p.waitFor() == 0 ? Files.readString(out).strip() : "";
  }

  private void startDatabase() throws IOException, InterruptedException {
    // The back ends of one that was killed take a moment to go.
    for (int i = 0; i < 50; i++) {
      String said = script("start", data.toString(), Integer.toString(databasePort));
      if (!said.isEmpty()) {
        password = said;
        return;
      }
      Thread.sleep(200);
    }
    throw new IllegalStateException("PostgreSQL does not start");
  }

  private void startServer() throws IOException, InterruptedException {
    if (server == null || !server.isAlive()) {
      ProcessBuilder b =
          new ProcessBuilder(
              "java",
              "-Xmx512m",
              "-Djava.awt.headless=true",
              "-cp",
              root.resolve("server/target/roving-glyph-server-0.1.0.jar")
                  + ":"
                  + root.resolve("server/target/lib/*"),
              "rovingglyph.server.RovingGlyph");
      b.environment()
          .putAll(
              Map.of(
                  "ROVING_PORT",
                  Integer.toString(port),
                  "ROVING_DATABASE",
                  "jdbc:postgresql://127.0.0.1:" + databasePort + "/roving",
                  "ROVING_DATABASE_PASSWORD",
                  password));
      server =
          b.redirectErrorStream(true)
              .redirectOutput(data.resolveSibling(data.getFileName() + ".log").toFile())
              .start();
    }
    for (int i = 0; i < 600; i++) {
      try {
        if (ask("GET", "/api/projects", null).startsWith("[")) {
          return;
        }
      } catch (IOException e) {
        // Not there yet.
      }
      Thread.sleep(100);
    }
    throw new IllegalStateException("the server does not answer");
  }

  private void startBrowser() {
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launchPersistentContext(
                profile,
                new BrowserType.LaunchPersistentContextOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setViewportSize(1280, 800)
                    .setArgs(Browser.FLAGS));
    page = browser.newPage();
    page.setDefaultTimeout(60_000);
    page.navigate(address() + "/#/scenes/" + scene);
    page.getByTestId("overlay").waitFor();
    page.locator("nav button").first().click();
  }

  private void killServer() throws InterruptedException {
    server.destroyForcibly().waitFor();
  }

  private void killDatabase() throws IOException, InterruptedException {
    kill(List.of(Files.readAllLines(data.resolve("db/postmaster.pid")).get(0)));
  }

  private void killBrowser() throws IOException, InterruptedException {
    Process p = new ProcessBuilder("pgrep", "-f", "--", "--user-data-dir=" + profile).start();
    List<String> all = new String(p.getInputStream().readAllBytes()).lines().toList();
    p.waitFor();
    kill(all);
    try {
      playwright.close();
    } catch (PlaywrightException e) {
      // Its browser is gone: that is what was wanted.
    }
  }

  private static void kill(List<String> processes) throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of("kill", "-9"));
    command.addAll(processes);
    new ProcessBuilder(command).redirectErrorStream(true).start().waitFor();
  }

  @Override
  public void close() throws IOException, InterruptedException {
    try {
      killBrowser();
    } finally {
      killServer();
      script("stop", data.toString());
      new ProcessBuilder(
              "rm", "-rf", data.toString(), profile.toString(), data + ".log", data + ".out")
          .start()
          .waitFor();
    }
  }
}
