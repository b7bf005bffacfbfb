package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Recipes and the Journey chart, used by pointer and keyboard. */
class MoveTest extends PageTest {
  @BeforeEach
  void open() {
    newScene("Move");
    w.addLettering("kites up");
    w.tab(4);
  }

  private JsonObject offset() {
    return w.lettering().get("seat").asObject().get("pathOffset").asObject();
  }

  private JsonArray keyframes() {
    return offset().get("keyframes").asArray();
  }

  private double time(int index) {
    return keyframes().get(index).asObject().getDouble("time", -1);
  }

  private double value(int index) {
    return keyframes().get(index).asObject().getDouble("value", -1);
  }

  @Test
  void theSheetIsNotDrawnAnewForFramesThatArePlayed() {
    recipe("Enter, hold, leave");
    w.tab(4);
    Locator now =
        page.locator("aside[aria-label=Move] h2")
            .filter(
                new Locator.FilterOptions().setHasText(java.util.regex.Pattern.compile("^At \\d")));
    String before = now.textContent();
    page.evaluate(
        """
        () => {
          window.changes = 0;
          new MutationObserver((all) => (window.changes += all.length)).observe(
            document.querySelector('aside[aria-label="Move"]'),
            { subtree: true, childList: true, characterData: true, attributes: true });
        }""");
    page.keyboard().press("p");
    page.waitForTimeout(1200);
    assertThat(page.evaluate("() => window.changes")).isEqualTo(0);
    page.keyboard().press("p");
    page.waitForFunction("() => window.changes > 0");
    assertThat(now).not().hasText(before);
  }

  private void recipe(String name) {
    page.getByLabel("Recipes")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
        .click();
    assertThat(page.getByTestId("recipe")).containsText(name);
  }

  @Test
  void whenItIsThereIsSetByNumberByThePlayheadAndInTheJourney() {
    w.unfold("Shown");
    w.type("Shown from", "1.2");
    w.type("Shown to", "4");
    assertThat(w.lettering().getDouble("shownFrom", 0)).isEqualTo(1.2);
    assertThat(w.lettering().getDouble("shownTo", 0)).isEqualTo(4);
    assertThat(page.getByTestId("away")).hasCount(2);
    Locator end = page.getByTestId("shown-to");
    BoundingBox box = end.boundingBox();
    page.mouse().move(box.x + 5, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2, box.y - 60);
    page.mouse().up();
    double dragged = w.lettering().getDouble("shownTo", 0);
    assertThat(dragged).isBetween(2.5, 3.9);
    end.press("ArrowDown");
    assertThat(w.lettering().getDouble("shownTo", 0)).isCloseTo(dragged + 0.04, within(1e-9));
    w.button("Undo").first().click();
    w.button("Undo").first().click();
    assertThat(w.lettering().getDouble("shownTo", 0)).as("a drag is one step").isEqualTo(4);
    w.button("Always").click();
    assertThat(w.lettering().get("shownFrom")).isNull();
    assertThat(w.lettering().get("shownTo")).isNull();
    assertThat(page.getByTestId("away")).hasCount(0);
  }

  @Test
  void everyRecipeWritesItsMotionAndAnotherReplacesIt() {
    recipe("Endless lap");
    assertThat(keyframes().get(1).asObject().getString("landing", "")).isEqualTo("whole-laps");
    w.type("Laps a loop", "-2");
    assertThat(keyframes().get(1).asObject().getDouble("laps", 0)).isEqualTo(-2);
    recipe("Steady cruise");
    assertThat(offset().get("cruise").asObject().getDouble("amount", 0)).isEqualTo(200);
    assertThat(keyframes()).isEmpty();
    recipe("Sway");
    assertThat(offset().get("cruise")).isNull();
    assertThat(offset().get("sway").asObject().getDouble("amplitude", 0)).isEqualTo(60);
    recipe("Letter reveal");
    w.type("Rise", "40");
    assertThat(w.lettering().get("reveal").asObject().getDouble("rise", 0)).isEqualTo(40);
    assertThat(w.lettering().get("revealTo").asObject().get("keyframes").asArray()).hasSize(2);
    recipe("Clock sweep");
    assertThat(w.lettering().get("reveal")).isNull();
    assertThat(w.lettering().get("sweep").asObject().getInt("letter", -1)).isZero();
    assertThat(offset().get("sway")).isNotNull();
    recipe("Enter, hold, leave");
    assertThat(keyframes()).hasSize(4);
    w.type("Holds for", "1");
    assertThat(time(2)).isCloseTo(2.2, within(1e-6));
    w.button("Take this movement away").click();
    assertThat(w.lettering().get("seat").asObject().get("pathOffset").isNumber()).isTrue();
    assertThat(w.lettering().get("recipes").asArray()).hasSize(1);
    w.button("Undo").first().click();
    assertThat(keyframes()).hasSize(4);
  }

  @Test
  void keyframesAreMovedByKeysAndSeveralTogether() {
    recipe("Enter, hold, leave");
    page.getByLabel("Just out of frame 1 at").focus();
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(time(0)).isCloseTo(11 / 25.0, within(1e-6));
    assertThat(keyframes().get(0).asObject().getString("landing", "")).isEqualTo("out-before");

    // A box round the first two, dragged together.
    BoundingBox chart = page.getByTestId("chart-svg").boundingBox();
    double bottom = w.handle("ring-1").boundingBox().y + 20;
    w.drag(chart.x + 44, chart.y + 2, chart.width - 60, bottom - chart.y - 2);
    assertThat(page.getByTestId("several-keys")).containsText("2 keyframes chosen");
    double before = time(1);
    w.drag(w.handle("ring-1"), 0, 25);
    assertThat(time(1)).isGreaterThan(before + 0.1);
    assertThat(time(1) - time(0)).isCloseTo(before - 11 / 25.0, within(1e-6));
    w.button("Mirror in time").click();
    assertThat(keyframes().get(0).asObject().getString("landing", "")).isEqualTo("at-rest");
    w.button("Undo").first().click();
    page.keyboard().press("Escape");
  }

  @Test
  void aCopiedWayIsPastedOnward() {
    page.getByLabel("Path offset: Still: click to set a keyframe").click();
    w.field("Playhead").press("End");
    w.type("Path offset", "300");
    w.handle("ring-0").click();
    w.handle("ring-1")
        .click(
            new Locator.ClickOptions()
                .setModifiers(List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
    w.button("Copy").click();
    w.button("Paste onward").click();
    assertThat(keyframes()).hasSize(3);
    assertThat(value(2)).isCloseTo(600, within(1e-6));
    w.button("Undo").first().click();
    assertThat(keyframes()).hasSize(2);
  }

  @Test
  void theTableHasEveryKeyframeByNumber() {
    recipe("Endless lap");
    w.button("Keyframes as a table").click();
    Locator at = page.getByLabel("Path offset 2: time in seconds");
    at.fill("4");
    at.press("Enter");
    assertThat(time(1)).isCloseTo(4, within(1e-6));
    page.getByLabel("Path offset 1: easing").selectOption("spring");
    assertThat(keyframes().get(0).asObject().get("easing").isObject()).isTrue();
    w.button("Delete Path offset 2").click();
    assertThat(keyframes()).hasSize(1);
  }

  @Test
  void cuesAreAddedDraggedFollowedAndImported() {
    recipe("Endless lap");
    w.unfold("Cues");
    w.field("Playhead").focus();
    for (int i = 0; i < 25; i++) {
      page.keyboard().press("ArrowLeft");
    }
    w.button("Cue here").click();
    double at = w.document().get("cues").asArray().get(0).asObject().getDouble("time", -1);
    assertThat(at).isGreaterThan(0);
    w.handle("ring-1").click();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("At the cue:")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Cue 1")).click();
    assertThat(time(1)).isCloseTo(at, within(1e-6));
    w.drag(w.handle("cue-line-Cue 1"), 0, 40);
    double later = w.document().get("cues").asArray().get(0).asObject().getDouble("time", -1);
    assertThat(later).isGreaterThan(at + 0.1);
    assertThat(time(1)).isCloseTo(later, within(1e-6));
    page.getByTestId("cue-file")
        .setInputFiles(
            new FilePayload(
                "fair.vtt",
                "text/vtt",
                "WEBVTT\n\n00:01.000 --> 00:02.000\nGust\n\n00:03.500 --> 00:04.000\nLull\n"
                    .getBytes()));
    assertThat(page.getByTestId("cue")).hasCount(3);
    page.getByTestId("cue-file")
        .setInputFiles(new FilePayload("bad.srt", "text/plain", "1\n00:a --> b\n".getBytes()));
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("Line 2");
  }

  @Test
  void theLoopCheckFindsAndMendsWhatDoesNotClose() {
    page.getByLabel("Path offset: Still: click to set a keyframe").click();
    w.field("Playhead").press("End");
    w.type("Path offset", "0.97 laps");
    page.getByText("compare first and last").click();
    assertThat(page.getByTestId("loop-result")).containsText("They differ by up to");
    w.button("Close it").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).not().containsText("path offset ends");
    w.button("Done").click();
    assertThat(keyframes().get(1).asObject().getString("landing", "")).isEqualTo("whole-laps");
    w.button("Undo").first().click();
    w.button("Make it whole laps").click();
    assertThat(keyframes().get(1).asObject().getDouble("laps", 0)).isEqualTo(1);
  }

  @Test
  void lanesZoomAndMotionByItself() {
    recipe("Endless lap");
    w.button("Show the speed beside it").click();
    assertThat(w.handle("lane-speed")).isVisible();
    w.button("Closer").click();
    assertThat(page.getByText("of 6 s")).isVisible();
    BoundingBox chart = page.getByTestId("chart-svg").boundingBox();
    page.mouse().move(chart.x + 90, chart.y + 90);
    page.mouse().wheel(0, 300);
    w.button("Farther").click();
    w.unfold("Path offset by itself");
    page.getByLabel("Sway", new Page.GetByLabelOptions().setExact(true)).check();
    assertThat(offset().get("sway")).isNotNull();
    page.getByLabel("Letter by letter").check();
    assertThat(offset().get("stagger").asObject().getDouble("delay", 0)).isEqualTo(0.05);
    w.unfold("Trail");
    page.getByLabel("Draw the path's line").check();
    assertThat(w.lettering().get("trail").asObject().getDouble("width", 0)).isEqualTo(6);
    w.unfold("Motion blur");
    w.type("Shutter", "180");
    assertThat(w.document().get("blur").asObject().getDouble("angle", 0)).isEqualTo(180);
  }

  @Test
  void aSceneShortenedUnderItsKeyframesKeepsThem() {
    recipe("Endless lap");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("fps")).click();
    w.type("Length", "2");
    page.keyboard().press("Escape");
    assertThat(time(1)).isCloseTo(6, within(1e-6));
    assertThat(page.getByText("after the end of the scene").first()).isVisible();
  }

  private void ease(String name) {
    w.handle("chip-0").click();
    page.getByRole(AriaRole.MENU)
        .getByText(name, new Locator.GetByTextOptions().setExact(true))
        .click();
  }

  private String easing() {
    return keyframes().get(0).asObject().get("easing").toString();
  }

  @Test
  void anOwnEasingIsKeptWithTheProjectAndChosenAgain() {
    recipe("Endless lap");
    ease("Gentle both");
    w.handle("ring-0").click();
    w.drag(w.handle("bend-0"), 30, 0);
    String own = easing();
    assertThat(own).startsWith("[");
    ease("Keep this one");
    assertThat(page.getByText("The easing is kept with this project.")).isVisible();
    ease("Steady");
    assertThat(easing()).isNotEqualTo(own);
    ease("Own curve 1");
    assertThat(easing()).isEqualTo(own);
    w.handle("chip-0").click();
    w.button("Forget Own curve 1").click();
    assertThat(page.getByText("Own curve 1")).isHidden();
  }

  @Test
  void theSpeedIsSetInItsGraphAndByNumber() {
    recipe("Endless lap");
    w.button("Show the speed beside it").click();
    w.handle("ring-0").click();
    w.type("Leaves at", "0");
    JsonArray slow = keyframes().get(0).asObject().get("easing").asArray();
    assertThat(slow.get(1).asDouble()).isCloseTo(0, within(1e-6));
    double arrives = Double.parseDouble(w.handle("speed-arriving").getAttribute("aria-valuenow"));
    w.drag(w.handle("speed-leaving"), 20, 0);
    assertThat(Double.parseDouble(w.handle("speed-leaving").getAttribute("aria-valuenow")))
        .isGreaterThan(10);
    assertThat(Double.parseDouble(w.handle("speed-arriving").getAttribute("aria-valuenow")))
        .isCloseTo(arrives, within(1e-3));
    JsonArray fast = keyframes().get(0).asObject().get("easing").asArray();
    assertThat(fast.get(1).asDouble()).isGreaterThan(0.01);
  }
}
