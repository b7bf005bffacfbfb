package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;

/** Much of everything, names as nobody should give them, and hands that let go too early. */
class OddThingsTest extends PageTest {
  /** Markup, marks that turn the direction round, and letters that are written from the right. */
  private static final String NAME =
      ("<b onclick=\"x()\">\u05e2\u05e4\u05d9\u05e4\u05d5\u05df &amp; \u202etide\u202c "
              + "\u0645\u0646\u0627\u0631\u0629 kite ")
          .repeat(6)
          .substring(0, 197);

  private void open(JsonObject document) {
    newScene("Odd");
    SERVER.send("PUT", "/api/scenes/" + w.sceneId, document.toString(), "If-Match", "\"1\"");
    w.reload();
  }

  private static JsonObject scene(int items) {
    JsonArray all = new JsonArray();
    for (int i = 0; i < items; i++) {
      all.add(
          new JsonObject()
              .add("kind", "lettering")
              .add("id", "i" + i)
              .add("name", NAME + i)
              .add("text", "k" + i)
              .add("path", "p")
              .add("size", 20)
              .add("seat", new JsonObject().add("pathOffset", i * 3)));
    }
    return new JsonObject()
        .add("format", "roving-glyph-scene")
        .add("version", 2)
        .add("name", NAME)
        .add("width", 1280)
        .add("height", 720)
        .add("rate", "25")
        .add("length", 4)
        .add(
            "paths",
            Json.parse(
                "[{\"id\":\"p\",\"name\":\"Rope\",\"kind\":\"circle\",\"x\":640,"
                    + "\"y\":360,\"radius\":250}]"))
        .add("items", all);
  }

  @Test
  void fiveHundredItemsWithLongNamesAreChosenRenamedAndRemoved() {
    open(scene(500));
    Locator last = page.locator("button[draggable][title*='" + 499 + ". ']").last();
    last.click();
    assertThat(last).hasAttribute("aria-pressed", "true");
    // Names are words: nothing of them is taken for markup.
    assertThat(page.locator("b[onclick]")).hasCount(0);
    assertThat(last.innerText()).contains("<b onclick=");
    page.keyboard().press("F2");
    page.keyboard().type("Buoy");
    page.keyboard().press("Enter");
    assertThat(w.items("lettering").get(499).getString("name", "")).isEqualTo("Buoy");
    page.keyboard().press("Delete");
    assertThat(w.items("lettering")).hasSize(499);
    page.keyboard().press("Control+z");
    assertThat(w.items("lettering")).hasSize(500);
    assertThat(w.items("lettering").get(7).getString("name", "")).isEqualTo(NAME + 7);
  }

  @Test
  void aTextOfTenThousandCharactersIsKeptAndNoMoreIsTaken() {
    open(scene(1));
    page.locator("button[draggable]").first().click();
    w.tab(1);
    String words = "high water at nine ".repeat(600);
    Locator text = page.locator("#words-text");
    text.click();
    page.keyboard().press("Control+a");
    page.keyboard().insertText(words);
    assertThat(w.lettering().getString("text", "")).isEqualTo(words.substring(0, 10_000));
    assertThat(page.getByText("10000 of 10000 characters")).isVisible();
    page.keyboard().press("Control+a");
    page.keyboard().insertText("low water");
    assertThat(w.lettering().getString("text", "")).isEqualTo("low water");
  }

  @Test
  void aDragThatLosesItsPointerEndsWhereItWasAndLeavesNothingHanging() {
    open(scene(1));
    page.locator("button[draggable]").first().click();
    w.tab(4);
    BoundingBox puck = w.handle("puck").boundingBox();
    double x = puck.x + puck.width / 2;
    double y = puck.y + puck.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 20, y + 10);
    page.mouse().move(x + 40, y + 20);
    page.evaluate("window.dispatchEvent(new PointerEvent('pointercancel', { pointerId: 1 }))");
    double there = offset();
    page.mouse().move(x + 200, y + 90);
    page.mouse().up();
    assertThat(offset()).isEqualTo(there);
    page.keyboard().press("Control+z");
    assertThat(offset()).isZero();
  }

  private double offset() {
    return w.lettering().get("seat").asObject().getDouble("pathOffset", 0);
  }

  @Test
  void aPenAndTwoFingersAtOnceMoveOneThingAtMost() {
    open(scene(1));
    page.locator("button[draggable]").first().click();
    w.tab(4);
    w.handle("puck")
        .evaluate(
            """
            (puck) => {
              const box = puck.getBoundingClientRect();
              const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
              const at = (type, id, dx, kind, target) =>
                target.dispatchEvent(new PointerEvent(type, {
                  bubbles: true, cancelable: true, pointerId: id, pointerType: kind, button: 0,
                  buttons: type === 'pointerup' ? 0 : 1, clientX: x + dx, clientY: y }));
              at('pointerdown', 11, 0, 'touch', puck);
              at('pointermove', 11, 30, 'touch', window);
              at('pointerdown', 12, 80, 'touch', puck);
              at('pointerdown', 13, 5, 'pen', puck);
              at('pointermove', 12, 160, 'touch', window);
              at('pointermove', 13, 45, 'pen', window);
              for (const id of [11, 12, 13]) at('pointerup', id, 0, 'touch', window);
            }""",
            null);
    double there = offset();
    page.mouse().move(300, 300);
    page.mouse().move(500, 400);
    assertThat(offset()).isEqualTo(there);
    // The hand can go on as ever.
    w.drag(w.handle("puck"), 40, 10);
    assertThat(offset()).isNotEqualTo(there);
  }
}
