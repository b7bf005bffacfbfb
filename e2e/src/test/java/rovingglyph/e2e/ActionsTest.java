package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The list of all that can be done, and parts of the screen that fail alone. */
class ActionsTest extends PageTest {
  @Test
  void aPartOfTheScreenThatFailsLeavesTheOthersAndTheWorkAlone() {
    newScene("Region");
    page.route(
        "**/api/export-formats**",
        r ->
            r.fulfill(
                new Route.FulfillOptions()
                    .setContentType("application/json")
                    .setBody("[{\"id\":\"odd\"}]")));
    w.addLettering("kites");
    w.tab(6);
    Locator failed = page.getByText("The sheet could not be drawn");
    assertThat(failed).isVisible();
    assertThat(page.getByTestId("overlay")).isVisible();
    w.tab(1);
    w.type("Size", "88");
    assertThat(w.lettering().getDouble("size", 0)).isEqualTo(88);
    w.tab(6);
    assertThat(failed).isVisible();
    page.unroute("**/api/export-formats**");
    // What was asked for before is asked for anew with the next version.
    w.button("Undo").first().click();
    w.waitKept();
    w.button("Go on").click();
    assertThat(w.button("Make the video")).isEnabled();
    errors.clear();
  }

  @Test
  void anythingIsFoundByItsWordsAndDone() {
    newScene("Find");
    w.addLettering("kites up");
    Locator found = page.getByRole(AriaRole.OPTION);
    find("frame saf");
    assertThat(page.getByText("Nothing of that name")).isVisible();
    page.keyboard().press("Escape");
    find("lock");
    assertThat(found).hasCount(1);
    page.keyboard().press("Enter");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(w.lettering().getBoolean("locked", false)).isTrue();
    find("choose kites");
    assertThat(found).hasText("Choosekites up");
    found.click();
    find("unlock");
    page.keyboard().press("Enter");
    assertThat(w.lettering().getBoolean("locked", true)).isFalse();
    w.button("Help").click();
    assertThat(page.getByText("Find something to do")).isVisible();
  }

  private void find(String words) {
    page.keyboard().press("Control+k");
    assertThat(page.getByLabel("What to do")).isFocused();
    page.keyboard().type(words);
  }
}
