package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.CheckedNode;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every view by axe-core: contrast, names of controls, roles. */
class AccessibilityTest extends PageTest {
  private boolean inDusk;
  private final List<String> found = new ArrayList<>();

  private void openIn(String theme) {
    inDusk = theme.equals("dusk");
    page.addInitScript("localStorage.setItem('roving-theme', '" + theme + "')");
  }

  /**
   * By WCAG 2.1 AA; what Headless UI puts round a panel to keep the focus in it is its own. Of the
   * two themes only the colours differ. Without frames axe need not gather what it found in a page
   * of its own, which takes as long as looking.
   */
  private AxeBuilder axe() {
    AxeBuilder axe =
        new AxeBuilder(page)
            .exclude("[data-headlessui-focus-guard]")
            .setLegacyMode(page.frames().size() == 1);
    return inDusk
        ? axe.withRules(List.of("color-contrast"))
        : axe.withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa"));
  }

  private void look(String view) {
    page.waitForTimeout(300);
    for (Rule rule : axe().analyze().getViolations()) {
      for (CheckedNode node : rule.getNodes()) {
        found.add(view + ": " + rule.getId() + " at " + node.getTarget() + " " + node.getHtml());
      }
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"day", "dusk"})
  void whatIsFollowedInBothThemes(String theme) {
    openIn(theme);
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Harbour morning"));
    w.tab(5);
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    page.getByLabel("Marks of Sign on the stage").click();
    look("marks");
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).nth(1).click();
    w.tab(4);
    look("pinned");
    assertThat(found).isEmpty();
  }

  /** A window of 1280 by 800 px at 200 percent. */
  @ParameterizedTest
  @ValueSource(strings = {"day", "dusk"})
  void everyTabAtTwiceTheSize(String theme) {
    openIn(theme);
    page.setViewportSize(640, 400);
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Opening stamp"));
    for (int tab = 1; tab <= 7; tab++) {
      w.tab(tab);
      look("at 200 %: tab " + tab);
    }
    assertThat(found).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"day", "dusk"})
  void everyTabInBothThemes(String theme) {
    openIn(theme);
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Opening stamp"));
    page.waitForTimeout(800);
    for (int tab = 1; tab <= 6; tab++) {
      w.tab(tab);
      look("tab " + tab);
    }
    w.tab(5);
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    look("group");
    w.button("Add cast shadow").click();
    look("finish");
    Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Pennant line"));
    w.tab(5);
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    look("footage");
    Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Night market sign"));
    w.tab(5);
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    look("picture");
    Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Opening stamp"));
    w.tab(2);
    w.button("New path").click();
    look("gallery");
    page.keyboard().press("Escape");
    w.button("Show").click();
    look("show");
    page.keyboard().press("Escape");
    w.button("Help").click();
    look("help");
    page.keyboard().press("Escape");
    page.getByTestId("switcher").click();
    look("projects");
    page.keyboard().press("Escape");
    w.tab(4);
    w.button("Keyframes as a table").click();
    look("table");
    assertThat(found).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"day", "dusk"})
  void theHandOffInBothThemes(String theme) {
    openIn(theme);
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Opening stamp"));
    w.tab(6);
    w.unfold("Choices");
    page.getByText("Choices").nth(4).click();
    look("choices");
    w.button("Try it, copy it…").click();
    look("snippet");
    page.keyboard().press("Escape");
    page.getByText("Of all scenes").click();
    look("files");
    page.keyboard().press("Escape");
    page.getByText("A series from a table").click();
    Locator table = page.getByLabel("The table");
    table.or(page.getByAltText("Row 1")).waitFor();
    if (table.isVisible()) {
      look("new table");
      table.fill("Words,Colour,Remark\nLow tide,#0F6B69,morning\nHigh tide,red,noon\n");
      page.getByText("Use this table").click();
    }
    PlaywrightAssertions.assertThat(page.getByAltText("Row 1")).isVisible();
    look("series");
    page.keyboard().press("Escape");
    page.getByTestId("switcher").click();
    page.getByText("Open a project file").click();
    look("project file");
    assertThat(found).isEmpty();
    // What sets the theme here is tried in the sandbox of the snippet too.
    errors.removeIf(e -> e.contains("document is sandboxed"));
  }
}
