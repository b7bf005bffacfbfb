package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Drafts, several things at once, undo over visits, history: nothing is lost by a key. */
class ManyWaysBackTest extends PageTest {
  @BeforeEach
  void open() {
    newScene("Ways back");
    w.addLettering("wind");
  }

  private int letterings() {
    return w.items("lettering").size();
  }

  private int paths() {
    return w.document().get("paths").asArray().size();
  }

  private Locator chip(String name) {
    return page.getByLabel("Stack, back to front")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator drawn() {
    return page.locator("[data-testid=drawing] ~ circle");
  }

  private void click(double x, double y) {
    BoundingBox stage = page.locator("[data-frame]").boundingBox();
    page.mouse().click(stage.x + stage.width * x, stage.y + stage.height * y);
  }

  private void draft() {
    w.tab(2);
    w.newPath("Curve");
    click(0.2, 0.3);
    click(0.5, 0.6);
    click(0.8, 0.3);
    assertThat(drawn()).hasCount(3);
  }

  @Test
  void whileALineIsDrawnTheKeysAreAboutThatLine() {
    draft();
    page.keyboard().press("Backspace");
    assertThat(drawn()).hasCount(2);
    page.keyboard().press("Control+z");
    assertThat(drawn()).hasCount(1);
    page.keyboard().press("Delete");
    page.keyboard().press("Delete");
    page.keyboard().press("Control+z");
    assertThat(drawn()).hasCount(0);
    click(0.3, 0.3);
    page.keyboard().press("Escape");
    assertThat(drawn()).hasCount(0);
    assertThat(page.getByTestId("drawing")).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.getByTestId("drawing")).not().isVisible();
    assertThat(w.lettering().getString("text", "")).isEqualTo("wind");
    assertThat(paths()).isEqualTo(1);
  }

  @Test
  void anotherSheetEndsALineAndSaysSo() {
    draft();
    page.keyboard().press("4");
    assertThat(page.getByText("The line was ended where it was")).isVisible();
    assertThat(paths()).isEqualTo(1);
    assertThat(w.path(0).getString("kind", "")).isEqualTo("drawn");
    assertThat(page.getByTestId("drawing")).not().isVisible();
  }

  @Test
  void whatIsDoneToOneOfSeveralChosenIsDoneToAll() {
    w.addLettering("kites");
    chip("wind").click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    w.type("Size", "77");
    for (var l : w.items("lettering")) {
      assertThat(l.asObject().getDouble("size", 0)).isEqualTo(77);
    }
    w.button("Undo").first().click();
    for (var l : w.items("lettering")) {
      assertThat(l.asObject().getDouble("size", 0)).isNotEqualTo(77);
    }
    w.tab(4);
    chip("kites").click();
    chip("wind").click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    page.keyboard().press("Delete");
    assertThat(letterings()).isZero();
    page.keyboard().press("Control+z");
    assertThat(letterings()).isEqualTo(2);
  }

  @Test
  void undoReachesIntoEarlierVisitsAndBackLeadsToTheSceneBefore() {
    w.waitKept();
    page.waitForTimeout(900);
    String other = Workbench.demoScene(SERVER, "Dune ribbon");
    page.evaluate("id => { location.hash = '#/scenes/' + id; }", other);
    assertThat(page.getByTestId("switcher")).containsText("Dune ribbon");
    page.goBack();
    assertThat(page.getByTestId("switcher")).containsText("First scene");
    assertThat(chip("wind")).isVisible();
    w.reload();
    w.button("Undo").first().click();
    assertThat(chip("wind")).not().isVisible();
  }

  @Test
  void aKeptVersionIsNamedAndBroughtBack() {
    w.waitKept();
    w.field("Text").fill("storm");
    w.waitKept();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("History")).click();
    Locator list = page.getByLabel("Kept versions").getByRole(AriaRole.BUTTON);
    assertThat(list.first()).containsText("As it is now");
    list.nth(1).click();
    page.getByLabel("Name of this version").fill("Before the storm");
    page.getByText("Keep the name").click();
    assertThat(page.getByLabel("Kept versions")).containsText("Before the storm");
    page.getByText("Bring this version back").click();
    assertThat(chip("wind")).isVisible();
    assertThat(w.lettering().getString("text", "")).isEqualTo("wind");
    w.button("Undo").first().click();
    assertThat(chip("storm")).isVisible();
  }

  @Test
  void theStageKeepsItsSizeOnEverySheetAndStandsOnWholePixels() {
    BoundingBox first = page.locator("main canvas").first().boundingBox();
    assertThat(first.x % 1 + first.y % 1 + first.width % 1 + first.height % 1).isZero();
    for (int tab = 1; tab <= 6; tab++) {
      w.tab(tab);
      page.waitForTimeout(150);
      BoundingBox now = page.locator("main canvas").first().boundingBox();
      assertThat(List.of(now.x, now.y, now.width, now.height))
          .as("sheet " + tab)
          .isEqualTo(List.of(first.x, first.y, first.width, first.height));
    }
  }

  @Test
  void theTableOfKeyframesCanBeClosedAgain() {
    w.tab(4);
    Locator table = w.button("Keyframes as a table");
    table.click();
    table.click();
    Locator chart = page.getByTestId("chart").locator("svg").first();
    assertThat(chart).isVisible();
    assertThat(chart.boundingBox().width).isGreaterThan(200);
  }

  @Test
  void aRefusedNumberGoesBackAndSaysWhy() {
    String before = w.field("Size").inputValue();
    w.type("Size", "-5");
    assertThat(w.field("Size")).hasValue(before);
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("allowed");
    w.type("Size", "many");
    assertThat(w.field("Size")).hasValue(before);
    JsonObject l = w.lettering();
    assertThat(l.getDouble("size", 0)).isEqualTo(Double.parseDouble(before));
  }
}
