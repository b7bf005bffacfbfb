package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Items are copied, cut, pasted and duplicated, with keys and from their menu. */
class ClipboardTest extends PageTest {

  @BeforeEach
  void open() {
    newScene("Copies");
    w.addLettering("buoys and bells");
    w.tab(4);
    w.type("Path offset", "120");
  }

  private Locator chips() {
    return page.locator("[aria-label^='Stack'] button");
  }

  private List<JsonObject> words() {
    return w.items("lettering");
  }

  @Test
  void aCopyHasItsPathAndItsMotionAndIsAStepOfTheHistory() {
    chips().first().click();
    page.keyboard().press("Control+c");
    page.keyboard().press("Control+v");
    assertThat(chips()).hasCount(2);
    assertThat(words()).hasSize(2);
    JsonObject first = words().get(0);
    JsonObject second = words().get(1);
    assertThat(second.getString("text", "")).isEqualTo("buoys and bells");
    assertThat(second.get("seat")).isEqualTo(first.get("seat"));
    assertThat(second.getString("path", "")).isNotEqualTo(first.getString("path", ""));
    assertThat(w.document().get("paths").asArray()).hasSize(2);
    // The copy is chosen.
    assertThat(chips().nth(1)).hasAttribute("aria-pressed", "true");
    page.keyboard().press("Control+z");
    assertThat(chips()).hasCount(1);
    chips().first().click();
    page.keyboard().press("Control+d");
    assertThat(page.getByText("exactly over the first")).isVisible();
    assertThat(chips()).hasCount(2);
    page.keyboard().press("Control+x");
    assertThat(chips()).hasCount(1);
    page.keyboard().press("Control+v");
    assertThat(chips()).hasCount(2);
  }

  @Test
  void whatWasCopiedIsPutIntoAnotherProject() {
    chips().first().click();
    page.keyboard().press("Control+c");
    newScene("Elsewhere");
    page.reload();
    assertThat(page.getByText("Begin with words")).isVisible();
    page.keyboard().press("Control+v");
    assertThat(chips()).hasCount(1);
    assertThat(words().get(0).getString("text", "")).isEqualTo("buoys and bells");
  }

  /** In fields the same keys are about their text. */
  @Test
  void textInFieldsIsCopiedAsText() {
    w.tab(1);
    w.field("Text").selectText();
    page.keyboard().press("Control+c");
    page.keyboard().press("End");
    page.keyboard().press("Control+v");
    assertThat(w.field("Text")).hasValue("buoys and bellsbuoys and bells");
    assertThat(chips()).hasCount(1);
    // Words on the clipboard are no part of a scene: it says so.
    chips().first().click();
    page.keyboard().press("Control+v");
    assertThat(page.getByText("Only what was copied from a scene")).isVisible();
    assertThat(chips()).hasCount(1);
  }

  @Test
  void theMenuOfAnItemListsWhatCanBeDoneWithIt() {
    chips().first().click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    Locator menu = page.getByRole(AriaRole.MENU);
    assertThat(menu).isVisible();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Duplicate")).click();
    assertThat(chips()).hasCount(2);
    // By keys: the first entry is copying, and Escape leaves all as it is.
    chips().first().click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    assertThat(menu).isVisible();
    page.keyboard().press("Escape");
    assertThat(menu).hasCount(0);
    chips().first().click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Copy")).click();
    page.keyboard().press("Control+v");
    assertThat(chips()).hasCount(3);
  }

  /** The motion or the look goes onto another lettering, whose words and place stay. */
  @Test
  void onlyTheMotionOrTheLookIsPasted() {
    page.getByLabel("Path offset: Still: click to set a keyframe").click();
    w.tab(1);
    w.type("Size", "150");
    w.addLettering("wind from the west");
    w.type("Size", "40");
    chips().first().click();
    page.keyboard().press("Control+c");
    choose(1, "Paste only how it looks");
    assertThat(w.field("Size")).hasValue("150");
    JsonObject other = words().get(1);
    assertThat(other.getString("text", "")).isEqualTo("wind from the west");
    assertThat(other.get("seat").asObject().get("pathOffset").isObject()).isFalse();
    choose(1, "Paste only how it moves");
    other = words().get(1);
    assertThat(other.get("seat").asObject().get("pathOffset"))
        .isEqualTo(words().get(0).get("seat").asObject().get("pathOffset"));
    assertThat(w.document().get("paths").asArray()).hasSize(2);
    // The keys are the stage's again after the menu.
    page.keyboard().press("Control+z");
    assertThat(words().get(1).get("seat").asObject().get("pathOffset").isObject()).isFalse();
    choose(1, "Paste only how it looks");
    assertThat(page.getByText("It looks like what was copied already")).isVisible();
  }

  private void choose(int chip, String entry) {
    chips().nth(chip).click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(entry)).click();
  }
}
