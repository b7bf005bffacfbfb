package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import rovingglyph.document.SceneCodec;
import rovingglyph.server.TestServer;

/** The interface as a user has it: what can be clicked, dragged and read. */
final class Workbench {
  private static final Page.GetByLabelOptions EXACT = new Page.GetByLabelOptions().setExact(true);

  final Page page;
  private final TestServer server;
  final String sceneId;

  private Workbench(Page page, TestServer server, String sceneId) {
    this.page = page;
    this.server = server;
    this.sceneId = sceneId;
  }

  /** A new project with one empty scene, opened; the playhead is within it, at 2 s. */
  static Workbench ofNewScene(TestServer server, Page page, String name) {
    JsonObject project =
        Json.parse(
                TestServer.text(
                    server.send("POST", "/api/projects", "{\"name\":\"" + name + "\"}")))
            .asObject();
    String id = project.get("scenes").asArray().get(0).asObject().getString("id", "");
    Workbench w = open(server, page, id);
    assertThat(page.getByLabel("Playhead", EXACT)).hasAttribute("max", "149");
    w.scrub(50);
    return w;
  }

  static Workbench open(TestServer server, Page page, String sceneId) {
    page.navigate(server.address() + "/#/scenes/" + sceneId);
    Workbench w = new Workbench(page, server, sceneId);
    assertThat(page.getByTestId("overlay")).isVisible();
    return w;
  }

  /** The id of a scene of the demo project. */
  static String demoScene(TestServer server, String name) {
    for (var p : Json.parse(TestServer.text(server.send("GET", "/api/projects", null))).asArray()) {
      for (var s : p.asObject().get("scenes").asArray()) {
        if (s.asObject().getString("name", "").equals(name)) {
          return s.asObject().getString("id", "");
        }
      }
    }
    throw new AssertionError("no scene " + name);
  }

  /** Loads the page again and waits until the scene is shown. */
  void reload() {
    page.reload();
    assertThat(page.getByTestId("overlay")).isVisible();
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator field(String label) {
    return page.getByLabel(label, EXACT)
        .filter(new Locator.FilterOptions().setVisible(true))
        .first();
  }

  void tab(int number) {
    page.locator("nav button").nth(number - 1).click();
  }

  /** Opens a section of the sheet, unless it is open. */
  void unfold(String title) {
    Locator section =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(title)).first();
    if (!"true".equals(section.getAttribute("aria-expanded"))) {
      section.click();
    }
  }

  /** Types a number into a field of the sheet and commits it. */
  void type(String label, String value) {
    field(label).fill(value);
    field(label).press("Enter");
  }

  void addLettering(String words) {
    button("Lettering").click();
    field("Text").fill(words);
  }

  /** One of the cards of the New path gallery. */
  void newPath(String card) {
    // Where there is none yet, they are on the sheet.
    if (page.getByLabel("A first path", EXACT).count() == 0) {
      button("New path").click();
    }
    button(card).click();
  }

  void drag(Locator handle, double dx, double dy) {
    BoundingBox b = resting(handle);
    drag(b.x + b.width / 2, b.y + b.height / 2, dx, dy);
  }

  /** Where a handle is once it is drawn where it belongs: on a slow machine that takes a while. */
  private BoundingBox resting(Locator handle) {
    BoundingBox now = handle.boundingBox();
    for (int i = 0; i < 40; i++) {
      page.waitForTimeout(30);
      BoundingBox before = now;
      now = handle.boundingBox();
      if (Math.hypot(now.x - before.x, now.y - before.y) < 0.5) {
        break;
      }
    }
    return now;
  }

  void drag(double x, double y, double dx, double dy) {
    page.mouse().move(x, y);
    page.mouse().down();
    for (int i = 1; i <= 8; i++) {
      page.mouse().move(x + dx * i / 8, y + dy * i / 8);
      page.waitForTimeout(20);
    }
    page.mouse().up();
    page.waitForTimeout(80);
  }

  /** Lets go of files over the frame, at a share of its width and height, or pastes them. */
  void give(String how, byte[] file, String name, String type, double x, double y) {
    page.evaluate(
        """
        ([how, base64, name, type, x, y]) => {
          const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
          const data = new DataTransfer();
          data.items.add(new File([bytes], name, { type }));
          const frame = document.querySelector('[data-frame]');
          const r = frame.getBoundingClientRect();
          const all = { bubbles: true, cancelable: true };
          if (how === 'paste') {
            (document.activeElement ?? document.body).dispatchEvent(new ClipboardEvent('paste', { ...all, clipboardData: data }));
            return;
          }
          const at = { clientX: r.left + r.width * x, clientY: r.top + r.height * y };
          frame.dispatchEvent(new DragEvent('drop', { ...all, ...at, dataTransfer: data }));
        }""",
        List.of(how, Base64.getEncoder().encodeToString(file), name, type, x, y));
  }

  Locator handle(String testId) {
    return page.getByTestId(testId);
  }

  /** Brings the playhead to a frame. */
  void scrub(int frame) {
    page.getByLabel("Playhead", EXACT)
        .evaluate(
            """
            (range, frame) => {
              const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
              set.call(range, frame);
              range.dispatchEvent(new Event('input', { bubbles: true }));
            }""",
            frame);
  }

  /** Waits until all is kept that was done, the last of it in the frames to come at most. */
  void waitKept() {
    Object kept =
        page.evaluate(
            """
            async () => {
              const until = performance.now() + 30000;
              let still = 0;
              while (still < 4 && performance.now() < until) {
                await new Promise(requestAnimationFrame);
                const word = document.querySelector('[data-testid="kept"]');
                still = word?.textContent === 'All changes kept' ? still + 1 : 0;
              }
              return still === 4;
            }""");
    if (!Boolean.TRUE.equals(kept)) {
      throw new AssertionError("not everything is kept after 30 s");
    }
  }

  /** The document that the server has, once everything is kept. */
  JsonObject document() {
    waitKept();
    return Json.parse(TestServer.text(server.send("GET", "/api/scenes/" + sceneId, null)))
        .asObject()
        .get("document")
        .asObject();
  }

  /** A path of the kept document. */
  JsonObject path(int index) {
    return document().get("paths").asArray().get(index).asObject();
  }

  JsonObject lettering() {
    return items("lettering").get(0);
  }

  /** The items of one kind of the kept document, whatever version that is of. */
  List<JsonObject> items(String kind) {
    return items(document(), kind);
  }

  static List<JsonObject> items(JsonObject document, String kind) {
    String present = SceneCodec.write(SceneCodec.read(document.toString()));
    List<JsonObject> out = new ArrayList<>();
    for (JsonValue v : Json.parse(present).asObject().get("items").asArray()) {
      if (v.asObject().getString("kind", "").equals(kind)) {
        out.add(v.asObject());
      }
    }
    return out;
  }
}
