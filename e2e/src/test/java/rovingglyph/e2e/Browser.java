package rovingglyph.e2e;

import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.server.TestServer;

/** Debian's headless Chromium, one for all tests of a run. */
final class Browser {
  /** What Debian's Chromium needs where there is no display and no way out. */
  static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          // Else a picture that is decoded late may be missing in a screenshot.
          "--disable-checker-imaging",
          "--disable-quic",
          // A page that is opened while another is finds the application's scripts compiled.
          "--process-per-site",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync");

  private static Playwright playwright;
  private static com.microsoft.playwright.Browser chromium;

  /** Stays open, and with it the process that has the application's scripts compiled. */
  private static Page keeper;

  private Browser() {}

  /** A window of its own, with its own storage. */
  static BrowserContext context(int width, int height) {
    return context(width, height, false);
  }

  /**
   * The same.
   *
   * @param free whether pages may be given styles and scripts that their policy would not allow
   */
  private static synchronized BrowserContext context(int width, int height, boolean free) {
    if (chromium == null) {
      // A slow machine takes its time; only what never comes is a failure.
      PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
      playwright =
          Playwright.create(
              new Playwright.CreateOptions()
                  .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
      chromium =
          playwright
              .chromium()
              .launch(
                  new BrowserType.LaunchOptions()
                      .setExecutablePath(Path.of("/usr/bin/chromium"))
                      .setArgs(FLAGS));
    }
    return chromium.newContext(
        new com.microsoft.playwright.Browser.NewContextOptions()
            .setViewportSize(width, height)
            .setBypassCSP(free));
  }

  /** A page on a screen that fingers touch; {@link #close} ends it. */
  static Page touched(int width, int height) {
    context(width, height).close();
    return chromium
        .newContext(
            new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setHasTouch(true)
                .setIsMobile(true))
        .newPage();
  }

  /** What Chromium's tracing tells of the work done meanwhile, as JSON. */
  static String trace(Page page, Runnable work) {
    chromium.startTracing(
        page,
        new com.microsoft.playwright.Browser.StartTracingOptions()
            .setCategories(List.of("devtools.timeline")));
    work.run();
    return new String(chromium.stopTracing(), java.nio.charset.StandardCharsets.UTF_8);
  }

  /** A page in which a test can set up what the application's policy forbids. */
  static Page freePage() {
    return context(1280, 800, true).newPage();
  }

  /** A page of a browser that has kept nothing; {@link #close} ends it. */
  static synchronized Page page() {
    if (keeper == null) {
      keeper = context(1280, 800).newPage();
      keeper.navigate(TestServer.shared().address() + "/mark.svg");
    }
    return keeper.context().newPage();
  }

  /** Closes a page and those opened beside it; what they kept in the browser is forgotten. */
  static void close(Page page) {
    if (keeper == null || page.context() != keeper.context()) {
      page.context().close();
      return;
    }
    List<Page> open = new ArrayList<>(keeper.context().pages());
    open.remove(keeper);
    open.forEach(Page::close);
    JsonObject kept = new JsonObject();
    kept.addProperty("origin", TestServer.shared().address());
    kept.addProperty("storageTypes", "all");
    CDPSession devTools = keeper.context().newCDPSession(keeper);
    devTools.send("Storage.clearDataForOrigin", kept);
    devTools.detach();
  }
}
