package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The hand-off as a stranger does it: choices and what comes of them, sets, the list of files. */
class ExportTest extends PageTest {
  private static final String DOCUMENT =
      """
      {"format":"roving-glyph-scene","version":2,"name":"Hand-off","width":320,"height":180,
       "rate":"25","length":2,"background":%s,
       "paths":[{"id":"p","name":"Rope","kind":"line","x":160,"y":100,"length":300}],
       "items":[{"kind":"lettering","id":"l","text":"kites up","face":"league-spartan",
        "path":"p","seat":{"align":"middle"},"size":40,"fill":"#1F2B37"}]}""";

  private void open(String background) {
    newScene("Hand-off");
    w.waitKept();
    String document = DOCUMENT.formatted(background);
    SERVER.send("PUT", "/api/scenes/" + w.sceneId, document, "If-Match", "\"1\"");
    w.reload();
    w.tab(6);
  }

  private Locator row(String label) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(label).setExact(true));
  }

  private static Locator button(Locator within, String name) {
    return within.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator tick(String label) {
    return page.getByRole(
        AriaRole.CHECKBOX,
        new Page.GetByRoleOptions().setName(label + ", together with others").setExact(true));
  }

  private Locator files() {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download"));
  }

  @Test
  void choicesSayWhatComesOfThemBeforeTheFileIsMade() {
    open("\"#F3E9D2\"");
    Locator gif = row("GIF");
    button(gif, "Choices").click();
    assertThat(gif.getByRole(AriaRole.STATUS))
        .hasText(Pattern.compile("50 frames · 320 × 180 · 2 s · about \\d+ kB.*"));
    button(gif, "Half").click();
    gif.getByLabel("Last frame").fill("24");
    gif.getByLabel("Last frame").press("Enter");
    assertThat(gif.getByRole(AriaRole.STATUS))
        .hasText(Pattern.compile("25 frames · 160 × 90 · 1 s · about .*"));
    gif.getByLabel("Last frame").fill("99");
    gif.getByLabel("Last frame").press("Enter");
    assertThat(gif.getByRole(AriaRole.STATUS)).containsText("frames 0 to 49");
    gif.getByLabel("First frame").fill("-3");
    gif.getByLabel("First frame").press("Enter");
    assertThat(gif.getByRole(AriaRole.ALERT)).containsText("out of range");
    gif.getByLabel("Last frame").fill("24");
    gif.getByLabel("Last frame").press("Enter");
    w.button("Make the GIF").click();
    assertThat(page.getByText("size 50 %, last frame 24")).isVisible();
    assertThat(files()).hasCount(1);
  }

  @Test
  void whatIsBehindASceneWithoutBackgroundIsAskedWhereThereIsNoTransparency() throws Exception {
    open("null");
    assertThat(w.button("Make the SVG")).isEnabled();
    assertThat(w.button("Make the video")).isDisabled();
    assertThat(row("MP4 video")).containsText("What is behind it?");
    button(row("MP4 video"), "White").click();
    w.button("Make the video").click();
    assertThat(files()).hasCount(1);
    assertThat(page.getByText("it is on black")).isHidden();
    Download file = page.waitForDownload(() -> files().click());
    assertThat(Files.size(file.path())).isGreaterThan(1000);
  }

  @Test
  void aSetOfFilesIsKeptAndMadeAgainByOnePress() {
    open("\"#F3E9D2\"");
    tick("Animated SVG").check();
    tick("GIF").check();
    button(row("GIF"), "Choices").click();
    button(row("GIF"), "Half").click();
    w.button("Keep as a set…").click();
    page.keyboard().type("For the client");
    page.keyboard().press("Enter");
    assertThat(w.button("Make all of For the client")).isVisible();
    assertThat(tick("GIF")).not().isChecked();
    w.reload();
    w.tab(6);
    w.button("Make all of For the client").click();
    assertThat(files()).hasCount(2);
    assertThat(page.getByText("size 50 %")).isVisible();
    w.button("Forget For the client").click();
    assertThat(w.button("Make all of For the client")).isHidden();
    tick("Animated SVG").check();
    w.unfold("Words and sound");
    tick("Captions, WebVTT").check();
    w.button("Make 2 files").click();
    assertThat(files()).hasCount(4);
  }

  @Test
  void filesOfAllScenesAreInOneListAndCalledAsTheProjectWantsIt() {
    open("\"#F3E9D2\"");
    page.getByText("Of all scenes").click();
    Locator names = page.getByLabel("Called");
    names.fill("{scene}-{cat}");
    names.press("Enter");
    assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT)).containsText("{cat}");
    names.fill("pier {number} {format}");
    names.press("Enter");
    assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT)).isHidden();
    page.keyboard().press("Escape");
    w.unfold("Words and sound");
    w.button("Make the captions").click();
    assertThat(page.getByText("pier-001-vtt.vtt")).isVisible();
    w.button("Make pier-001-vtt.vtt again").click();
    assertThat(files()).hasCount(2);
    page.getByText("Of all scenes").click();
    Locator list = page.getByLabel("Files made");
    assertThat(list.getByRole(AriaRole.LISTITEM)).hasCount(2);
    button(list, "Remove pier-001-vtt.vtt").click();
    assertThat(list.getByRole(AriaRole.LISTITEM)).hasCount(1);
    assertThat(list).containsText("pier-002-vtt.vtt");
  }

  @Test
  void theSnippetIsSeenOnAPageInThreeWidthsAndCopied() {
    open("\"#F3E9D2\"");
    Locator snippet = row("Web snippet");
    button(snippet, "Choices").click();
    button(snippet, "Try it, copy it…").click();
    FrameLocator tried = page.frameLocator("iframe");
    assertThat(tried.locator("roving-glyph")).hasCount(3);
    Object plays = tried.locator("roving-glyph").first().evaluate("g => g.playing");
    assertThat(plays).isEqualTo(true);
    assertThat(tried.locator("roving-glyph").nth(1).evaluate("g => g.offsetWidth")).isEqualTo(480);
    assertThat(page.getByLabel("The code", new Page.GetByLabelOptions().setExact(true)))
        .containsText("<roving-glyph plays=\"seen\"");
    page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
    w.button("Copy the code").click();
    assertThat(page.getByText("Copied")).isVisible();
    assertThat((String) page.evaluate("() => navigator.clipboard.readText()"))
        .contains("customElements.define", "</roving-glyph>");
  }
}
