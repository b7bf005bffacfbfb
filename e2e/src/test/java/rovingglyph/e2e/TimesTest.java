package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Times in seconds and in frames, and a part of the scene that is played. */
class TimesTest extends PageTest {
  private Locator clock;

  @BeforeEach
  void open() {
    w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Kite-string entrance"));
    clock = page.getByLabel("Time at the playhead");
  }

  private void goTo(String time) {
    clock.fill(time);
    clock.press("Enter");
  }

  @Test
  void aTimeIsTypedInAnyOfItsSpellings() {
    for (String time : List.of("00:01.05", "1.2s", "1,2", "30f", "60f/2", "0:01:05")) {
      goTo("0");
      goTo(time.equals("60f/2") ? "60/2f" : time);
      assertThat(clock).hasValue("00:01.05");
    }
    goTo("soon");
    assertThat(page.getByText("“soon” is no time")).isVisible();
    assertThat(clock).hasValue("00:01.05");
    goTo("99999");
    assertThat(clock).hasValue("00:05.24");
  }

  @Test
  void framesAreToldEverywhereAndKeptForTheNextVisit() {
    goTo("1.2");
    page.getByLabel("Times in seconds; tell them in frames").click();
    assertThat(clock).hasValue("30 f");
    assertThat(page.getByLabel("Poses").getByText("149 f")).isVisible();
    assertThat(page.getByText("25 fps · 150 f")).isVisible();
    assertThat(page.getByText("At 30 f", new Page.GetByTextOptions().setExact(true))).isVisible();
    page.getByTestId("ring-1").click();
    assertThat(w.field("Time")).hasValue("30");
    w.type("Time", "1.6s");
    assertThat(w.field("Time")).hasValue("40");
    w.field("Time").press("ArrowUp");
    assertThat(w.field("Time")).hasValue("41");
    w.type("Time", "00:01.07");
    assertThat(w.field("Time")).hasValue("32");
    w.type("Time", "00:01.70");
    assertThat(page.getByText("has frame 70 of a second of 25")).isVisible();
    assertThat(w.field("Time")).hasValue("32");
    w.reload();
    assertThat(clock).hasValue("50 f");
    page.getByLabel("Times in frames; tell them in seconds").click();
    assertThat(clock).hasValue("00:02.00");
  }

  /**
   * It asks for the frame by its shape and begins with words, at the start; the next one is alike.
   */
  @Test
  void aNewSceneBeginsAtItsStartWithTheFrameThatWasChosen() {
    page.getByTestId("switcher").click();
    w.button("New scene").first().click();
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Portrait")).click();
    w.field("New scene").fill("A tall one");
    w.field("New scene").press("Enter");
    assertThat(page.getByText("1080 × 1350")).isVisible();
    assertThat(clock).hasValue("00:00.00");
    assertThat(page.locator("nav button").first()).hasAttribute("aria-current", "page");
    page.getByTestId("switcher").click();
    w.button("New scene").first().click();
    assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Portrait")))
        .hasAttribute("aria-checked", "true");
  }

  @Test
  void aPartOfTheSceneIsPlayedOverAndOver() {
    BoundingBox strip = page.getByTestId("played").boundingBox();
    w.drag(strip.x + strip.width / 3, strip.y + 6, strip.width / 12, 0);
    Locator from = page.getByLabel("Played from", new Page.GetByLabelOptions().setExact(true));
    Locator to = page.getByLabel("Played up to", new Page.GetByLabelOptions().setExact(true));
    assertThat(from).hasAttribute("aria-valuetext", "2 s");
    assertThat(to).hasAttribute("aria-valuetext", "2.48 s");
    to.focus();
    page.keyboard().press("ArrowLeft");
    assertThat(to).hasAttribute("aria-valuetext", "2.44 s");
    w.button("Play").click();
    // More than once through it; no frame outside is shown.
    Object seen =
        page.evaluate(
            """
            async () => {
              const seen = [];
              const end = performance.now() + 1600;
              const range = document.querySelector('[aria-label="Playhead"]');
              await new Promise((r) => setTimeout(r, 100));
              while (performance.now() < end) {
                await new Promise(requestAnimationFrame);
                seen.push(Number(range.value));
              }
              return [Math.min(...seen), Math.max(...seen), seen.filter((f, i) => f < seen[i - 1]).length];
            }""");
    List<?> found = (List<?>) seen;
    assertThat(((Number) found.get(0)).intValue()).isBetween(50, 61);
    assertThat(((Number) found.get(1)).intValue()).isBetween(50, 61);
    assertThat(((Number) found.get(2)).intValue()).isPositive();
    w.button("Pause").click();
    // With keys: from the playhead on, and up to it.
    goTo("10f");
    page.locator("body").press("(");
    assertThat(from).hasAttribute("aria-valuetext", "0.4 s");
    goTo("20f");
    page.locator("body").press(")");
    assertThat(to).hasAttribute("aria-valuetext", "0.84 s");
    w.button("Play all of the scene").click();
    assertThat(from).hasCount(0);
  }
}
