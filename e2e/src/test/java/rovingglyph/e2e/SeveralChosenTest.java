package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Values of several chosen letterings are told as mixed where they differ, and edited for all. */
class SeveralChosenTest extends PageTest {

  @BeforeEach
  void open() {
    newScene("Several");
    w.addLettering("buoys and bells");
    w.type("Size", "90");
    w.addLettering("wind from the west");
    w.type("Size", "60");
  }

  private Locator chip(int index) {
    return page.locator("[aria-label^='Stack'] button").nth(index);
  }

  private void chooseBoth() {
    chip(0).click();
    chip(1).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
  }

  private double size(int index) {
    return w.items("lettering").get(index).getDouble("size", -1);
  }

  @Test
  void aNumberThatDiffersIsMixedUntilOneIsTypedForAll() {
    chooseBoth();
    assertThat(w.field("Size")).hasValue("");
    assertThat(w.field("Size")).hasAttribute("placeholder", "mixed");
    assertThat(w.field("Tracking")).hasValue("0");
    // Steps go to each from its own.
    w.field("Size").press("ArrowUp");
    w.field("Size").press("Shift+ArrowUp");
    assertThat(w.field("Size")).hasValue("");
    assertThat(size(0)).isEqualTo(101);
    assertThat(size(1)).isEqualTo(71);
    w.drag(page.getByText("Size", new Page.GetByTextOptions().setExact(true)), 15, 0);
    assertThat(size(0)).isEqualTo(116);
    assertThat(size(1)).isEqualTo(86);
    // Leaving the field changes nothing.
    w.field("Size").click();
    w.field("Tracking").click();
    assertThat(size(1)).isEqualTo(86);
    w.type("Size", "75");
    assertThat(w.field("Size")).hasValue("75");
    assertThat(size(0)).isEqualTo(75);
    assertThat(size(1)).isEqualTo(75);
    // The drag was one step, and so is what was typed.
    page.keyboard().press("Escape");
    w.button("Undo").click();
    assertThat(size(0)).isEqualTo(116);
    assertThat(size(1)).isEqualTo(86);
  }

  @Test
  void choicesColoursAndKeyframesAreThoseOfAll() {
    w.tab(3);
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Upright")).click();
    chooseBoth();
    Locator letters = page.getByRole(AriaRole.RADIOGROUP, named("Letters"));
    assertThat(letters.getByRole(AriaRole.RADIO).and(page.locator("[aria-checked=true]")))
        .hasCount(0);
    letters.getByRole(AriaRole.RADIO).nth(0).click();
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Inside")).click();
    w.tab(1);
    w.field("Fill: six hexadecimal digits").fill("#2F6F7E");
    w.field("Fill: six hexadecimal digits").press("Enter");
    w.field("Size: Still: click to set a keyframe").click();
    for (JsonObject l : w.items("lettering")) {
      JsonObject seat = l.get("seat").asObject();
      assertThat(seat.getString("orientation", "turn")).isEqualTo("turn");
      assertThat(seat.getString("side", "")).isEqualTo("right");
      assertThat(l.getString("fill", "")).isEqualTo("#2F6F7E");
      assertThat(l.get("size").asObject().get("keyframes").asArray()).hasSize(1);
    }
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test
  void namesAreWrittenInTheStrip() {
    chip(0).dblclick();
    w.field("Name").fill("Bell <b>title</b>");
    w.field("Name").press("Enter");
    assertThat(chip(0)).hasText("Bell <b>title</b>");
    assertThat(w.items("lettering").get(0).getString("name", "")).isEqualTo("Bell <b>title</b>");
    chip(0).focus();
    page.keyboard().press("F2");
    w.field("Name").fill("other");
    w.field("Name").press("Escape");
    assertThat(chip(0)).hasText("Bell <b>title</b>");
    // Without a name of its own it is called by its words.
    chip(0).click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Rename")).click();
    assertThat(w.field("Name")).isFocused();
    w.field("Name").fill("");
    w.field("Name").press("Enter");
    assertThat(chip(0)).hasText("buoys and bells");
    assertThat(w.field("Name")).hasCount(0);
  }
}
