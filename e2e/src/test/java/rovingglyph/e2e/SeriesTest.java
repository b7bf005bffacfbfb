package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** One design and many texts, as a stranger makes them. */
class SeriesTest extends PageTest {
  private static final String DOCUMENT =
      """
      {"format":"roving-glyph-scene","version":2,"name":"Name plate","width":320,"height":180,
       "rate":"25","length":1,"background":"#F3E9D2",
       "paths":[{"id":"p","name":"Rope","kind":"line","x":160,"y":100,"length":300}],
       "items":[{"kind":"lettering","id":"l","name":"Title","text":"kites up",
        "face":"league-spartan","path":"p","seat":{"align":"middle"},"size":40,
        "fill":"#1F2B37"}]}""";

  @BeforeEach
  void open() {
    newScene("Series");
    w.waitKept();
    SERVER.send("PUT", "/api/scenes/" + w.sceneId, DOCUMENT, "If-Match", "\"1\"");
    w.reload();
    w.tab(6);
    page.getByText("A series from a table").click();
  }

  private Locator dialog() {
    return page.getByRole(
        AriaRole.DIALOG, new Page.GetByRoleOptions().setName("A series from a table"));
  }

  private void paste(String table) {
    dialog().getByLabel("The table").fill(table);
    dialog().getByText("Use this table").click();
  }

  private Locator button(String name) {
    return dialog()
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void cellsOutOfASpreadsheetBecomeFilesOnceWhatIsWrongIsMended() throws IOException {
    paste("Title\tColour\tRemark\nLow tide\t#0F6B69\tmorning\nHigh tide\tred\tnoon\n");
    assertThat(dialog().getByAltText("Row 1")).isVisible();
    assertThat(dialog()).containsText("takes a colour as #RRGGBB");
    button("MP4 video").click();
    button("PNG still").click();
    button("Captions, WebVTT").click();
    button("Make 4 files").click();
    assertThat(dialog()).containsText("Row 2, “Colour”");
    Locator cell = dialog().getByLabel("Colour, row 2");
    cell.fill("#C8452F");
    cell.press("Enter");
    assertThat(dialog().getByAltText("Row 2")).isVisible();
    button("Make 4 files").click();
    assertThat(dialog()).isHidden();
    Locator link = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download"));
    Download d = page.waitForDownload(() -> link.first().click());
    try (ZipFile zip = new ZipFile(d.path().toFile())) {
      assertThat(zip.stream().map(ZipEntry::getName))
          .containsExactly(
              "1-Low-tide.png", "1-Low-tide.vtt", "2-High-tide.png", "2-High-tide.vtt");
    }
  }

  @Test
  void columnsAreMatchedAndTheTableIsFoundAgain() {
    paste("A;B\nLow tide;plate\n");
    assertThat(dialog().getByRole(AriaRole.ALERT)).containsText("No column is matched");
    dialog().getByLabel("A is for: not used").click();
    page.getByText("Title: Words").click();
    dialog().getByLabel("B is for: not used").click();
    page.getByText("The name of the file").click();
    assertThat(dialog().getByRole(AriaRole.ALERT)).hasCount(0);
    page.keyboard().press("Escape");
    w.reload();
    w.tab(6);
    page.getByText("A series from a table").click();
    assertThat(dialog().getByLabel("A is for: Title: Words")).isVisible();
    button("Another table").click();
    assertThat(dialog().getByLabel("The table")).isVisible();
    button("Keep the one there is").click();
    assertThat(dialog().getByLabel("A is for: Title: Words")).isVisible();
    button("Another table").click();
    paste("Words\nNoon\n");
    assertThat(dialog().getByLabel("Words, row 1")).hasValue("Noon");
  }

  @Test
  void aBadTableIsRefusedInWords() {
    paste("Title,Colour\na,b,c\n");
    assertThat(dialog().getByRole(AriaRole.ALERT)).containsText("Row 2 has 3 cells");
  }

  @Test
  void manyRowsAreLeafedThrough() {
    paste("Title\n" + "kites\n".repeat(30));
    assertThat(dialog()).containsText("1 to 12 of 30");
    for (String shown : List.of("13 to 24 of 30", "25 to 30 of 30")) {
      dialog().getByLabel("Rows after").click();
      assertThat(dialog()).containsText(shown);
    }
    assertThat(dialog().getByLabel("Title, row 30")).hasValue("kites");
  }
}
