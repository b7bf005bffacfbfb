package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What Proof finds is shown, mended and told before a hand-off. */
class ProofTest extends PageTest {
  private static final String DOCUMENT =
      """
      {"format":"roving-glyph-scene","version":2,"name":"Proof","width":1280,"height":720,
       "rate":"25","length":4,"background":"#F3E9D2",
       "paths":[
        {"id":"p","name":"Rope","kind":"drawn","points":[{"x":240,"y":400},{"x":640,"y":400}]},
        {"id":"q","name":"Wave","kind":"wave","x":640,"y":600,
         "amplitude":{"keyframes":[{"time":0,"value":20},{"time":6,"value":60}]}}],
       "items":[{"kind":"lettering","id":"l","text":"ropes along the pier","face":"league-spartan",
        "path":"p","seat":{},"size":90,"fill":"#E8DCC0"}]}""";

  @BeforeEach
  void open() {
    newScene("Proof");
    w.waitKept();
    SERVER.send("PUT", "/api/scenes/" + w.sceneId, DOCUMENT, "If-Match", "\"1\"");
    w.reload();
  }

  private Locator finding(String region, String words) {
    return page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName(region).setExact(true))
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText(words));
  }

  private static Locator button(Locator finding, String name) {
    return finding.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void whatIsFoundIsMendedAndComesBackWithUndo() {
    Locator tooLong = finding("Proof", "longer than its room");
    button(tooLong, "Shrink it to fit").click();
    assertThat(tooLong).isHidden();
    assertThat(w.lettering().get("seat").asObject().getString("overlong", "")).isEqualTo("shrink");
    page.keyboard().press("Control+z");
    assertThat(tooLong).isVisible();
  }

  @Test
  void whatIsFoundOfAPathShowsThePath() {
    button(finding("Proof", "after the end of the scene"), "Show").click();
    assertThat(w.field("Wave height")).isVisible();
    button(finding("Proof", "after the end of the scene"), "Make the scene so long").click();
    assertThat(finding("Proof", "after the end of the scene")).isHidden();
    assertThat(w.document().getDouble("length", 0)).isEqualTo(6);
  }

  @Test
  void thePicturesAreLookedAtWhenAskedAndBeforeAHandOff() {
    assertThat(finding("Proof", "hardly stands out")).isHidden();
    w.button("check contrast and flashes").click();
    assertThat(finding("Proof", "hardly stands out")).isVisible();
    w.tab(6);
    w.button("1 more").click();
    Locator here = finding("Before the hand-off", "hardly stands out");
    button(here, "Show").click();
    // Another colour, and it is found no more.
    w.tab(1);
    page.getByLabel("Fill: six hexadecimal digits").first().fill("#1F2B37");
    page.keyboard().press("Enter");
    w.tab(6);
    assertThat(finding("Before the hand-off", "longer than its room")).isVisible();
    assertThat(here).isHidden();
  }
}
