package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonArray;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The other button of the pointer, on whatever there is. */
class MenusTest extends PageTest {
  @BeforeEach
  void open() {
    newScene("Menus");
    w.addLettering("gulls");
  }

  private Locator entry(String name) {
    return page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name));
  }

  private void menuOn(Locator what) {
    what.click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    assertThat(page.getByRole(AriaRole.MENU)).isVisible();
  }

  private int paths() {
    return w.document().get("paths").asArray().size();
  }

  /** On the line itself: the middle of its box is the middle of a circle. */
  private void menuOnTheLine() {
    List<?> at =
        (List<?>)
            w.handle("path-line")
                .evaluate(
                    """
                    (line) => {
                      const p = line.getPointAtLength(line.getTotalLength() * 0.3);
                      const there = p.matrixTransform(line.getScreenCTM());
                      return [there.x, there.y];
                    }""");
    page.mouse()
        .click(
            ((Number) at.get(0)).doubleValue(),
            ((Number) at.get(1)).doubleValue(),
            new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    assertThat(page.getByRole(AriaRole.MENU)).isVisible();
  }

  @Test
  void aPathIsDuplicatedTurnedIntoPointsAndDeletedFromItsMenu() {
    w.tab(2);
    menuOnTheLine();
    entry("Duplicate it").click();
    assertThat(paths()).isEqualTo(2);
    menuOnTheLine();
    entry("Turn it into points").click();
    assertThat(w.path(1).getString("kind", "")).isEqualTo("drawn");
    // One that words sit on is not deleted before it is said where they go.
    menuOn(page.getByTestId("path-row").first());
    entry("Delete it").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("A lettering sits on it");
    w.button("Do not delete it").click();
    menuOn(page.getByTestId("path-row").last());
    entry("Delete it").click();
    assertThat(paths()).isEqualTo(1);
  }

  @Test
  void pointsAreChosenAndRemovedFromTheirMenu() {
    w.tab(2);
    menuOnTheLine();
    entry("Turn it into points").click();
    JsonArray before = w.path(0).get("points").asArray();
    menuOn(w.handle("point-1"));
    entry("A corner here").click();
    assertThat(w.path(0).get("points").asArray().get(1).asObject().getString("kind", ""))
        .isEqualTo("corner");
    menuOn(w.handle("point-1"));
    entry("Remove from the path").click();
    assertThat(w.path(0).get("points").asArray().size()).isEqualTo(before.size() - 1);
  }

  @Test
  void aKeyframeIsBroughtToThePlayheadAndRemovedFromItsMenu() {
    w.tab(4);
    w.button("Eased lap").click();
    w.scrub(25);
    menuOn(w.handle("ring-1"));
    assertThat(entry("Mirror in time")).hasCount(0);
    entry("Bring it to the playhead").click();
    assertThat(time(1)).isEqualTo(1);
    menuOn(w.handle("ring-1"));
    entry("Remove").click();
    assertThat(keys().size()).isEqualTo(1);
  }

  private JsonArray keys() {
    return w.lettering()
        .get("seat")
        .asObject()
        .get("pathOffset")
        .asObject()
        .get("keyframes")
        .asArray();
  }

  private double time(int key) {
    return keys().get(key).asObject().getDouble("time", -1);
  }

  @Test
  void aSceneIsRenamedFromItsMenu() {
    page.getByTestId("switcher").click();
    menuOn(page.locator("[aria-current=true]"));
    entry("Rename").click();
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Slack water");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("switcher")).containsText("Slack water");
    assertThat(w.document().getString("name", "")).isEqualTo("Slack water");
  }
}
