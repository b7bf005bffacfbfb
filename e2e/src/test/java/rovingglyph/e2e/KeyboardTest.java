package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.assertions.LocatorAssertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A whole piece by keys alone, from words to the finished file: nothing is clicked. */
class KeyboardTest extends PageTest {
  /** More than there is to stop at between any two things. */
  private static final int STOPS = 160;

  private static final String IS_SEEN =
      "document.activeElement.matches(':focus-visible')"
          + " || document.activeElement.closest('svg') !== null";

  @BeforeEach
  void open() {
    newScene("Keys");
  }

  /** What has the keys, by the name that is told of it. */
  private String here() {
    return (String)
        page.evaluate(
            """
            () => {
              const e = document.activeElement;
              const label = e.labels?.[0]?.textContent;
              return (e.getAttribute('aria-label') ?? label ?? e.textContent ?? '').trim();
            }""");
  }

  /** Goes on by Tab until something is reached whose name begins so; it has to be seen to be on. */
  private void to(String name) {
    // A sheet may still be on its way.
    for (int round = 0; round < 3; round++) {
      for (int i = 0; i < STOPS; i++) {
        if (here().startsWith(name)) {
          assertThat(page.evaluate(IS_SEEN)).as(name + " is seen to have the keys").isEqualTo(true);
          return;
        }
        page.keyboard().press("Tab");
      }
      page.waitForTimeout(2000);
    }
    throw new AssertionError("\"" + name + "\" cannot be reached by Tab");
  }

  private void press(String name) {
    to(name);
    page.keyboard().press("Enter");
  }

  @Test
  void aPieceFromWordsToTheFile() {
    press("Lettering");
    assertThat(page.locator("#words-text")).isFocused();
    page.keyboard().type("wind from the west");
    page.keyboard().press("Escape");
    page.keyboard().press("2");
    press("New path");
    press("Wave");
    to("Centre y");
    page.keyboard().press("Control+a");
    page.keyboard().type("600");
    page.keyboard().press("Enter");
    page.keyboard().press("Escape");
    page.keyboard().press("3");
    press("Middle");
    page.keyboard().press("4");
    press("Enter and stay");
    to("At rest 2");
    for (int i = 0; i < 5; i++) {
      page.keyboard().press("ArrowDown");
    }
    page.keyboard().press("5");
    press("Add drop shadow");
    page.keyboard().press("6");
    press("Make the video");
    assertThat(page.getByText("Download"))
        .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
    to("Download");

    JsonObject l = w.lettering();
    assertThat(l.getString("text", "")).isEqualTo("wind from the west");
    assertThat(l.get("seat").asObject().getString("align", "")).isEqualTo("middle");
    assertThat(l.get("effects").asArray()).hasSize(1);
    assertThat(w.path(0).getString("kind", "")).isEqualTo("wave");
    assertThat(w.path(0).getDouble("y", 0)).isEqualTo(600);
    double rests =
        l.get("seat")
            .asObject()
            .get("pathOffset")
            .asObject()
            .get("keyframes")
            .asArray()
            .get(1)
            .asObject()
            .getDouble("time", 0);
    assertThat(rests).isBetween(1.39, 1.41);
  }

  @Test
  void theStageIsReachedByKeysToo() {
    press("Badge that turns");
    page.keyboard().press("Escape");
    page.keyboard().press("Space");
    page.keyboard().press("3");
    to("your words");
    double before = w.lettering().get("seat").asObject().getDouble("baselineShift", 0);
    to("Words along the path");
    page.keyboard().press("ArrowUp");
    assertThat(w.lettering().get("seat").asObject().getDouble("baselineShift", 0))
        .isNotEqualTo(before);
  }
}
