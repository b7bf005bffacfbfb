package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A project saved as a file and opened again, as a stranger does it. */
class ProjectFileTest extends PageTest {
  @TempDir Path folder;

  private Locator dialog() {
    return page.getByRole(
        AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Open a project file"));
  }

  private Path saved() {
    page.getByTestId("switcher").click();
    Download d = page.waitForDownload(() -> page.getByLabel("Save Fair as a file").last().click());
    Path out = folder.resolve(d.suggestedFilename());
    d.saveAs(out);
    return out;
  }

  private void choose(Path file) {
    page.getByText("Open a project file").click();
    page.getByTestId("project-file").setInputFiles(file);
  }

  private long uploads() {
    return SERVER
        .bean(JdbcClient.class)
        .sql(
            "select count(*) from stored_file where project_id = '00000000-0000-0000-0000-000000000000'")
        .query(Long.class)
        .single();
  }

  private void project() {
    newScene("Fair");
    w.waitKept();
  }

  @Test
  void aSavedProjectIsOpenedUnderAnotherNameWithWhatIsInItToldBefore() {
    project();
    Path file = saved();
    assertThat(file.getFileName().toString()).matches("Fair-\\d{4}-\\d\\d-\\d\\d\\.zip");
    choose(file);
    assertThat(dialog()).containsText("1 scene");
    dialog().getByLabel("Called").fill("Fair, second year");
    dialog().getByText("Open it").click();
    assertThat(page.getByTestId("switcher")).containsText("Fair, second year");
    assertThat(dialog()).isHidden();
    assertThat(uploads()).isZero();
  }

  @Test
  void itCanBecomePartOfTheOpenProject() {
    project();
    String scene = page.url();
    Path file = saved();
    choose(file);
    dialog().getByText("part of the open project").click();
    dialog().getByText("Open it").click();
    assertThat(dialog()).isHidden();
    assertThat(page.getByTestId("switcher")).containsText("Fair");
    page.waitForCondition(() -> !page.url().equals(scene));
  }

  @Test
  void aBadFileIsRefusedInWordsAndOneThatIsNotOpenedIsForgotten() throws IOException {
    project();
    Path file = saved();
    byte[] all = Files.readAllBytes(file);
    Path half = Files.write(folder.resolve("half.zip"), Arrays.copyOf(all, all.length / 2));
    choose(half);
    assertThat(dialog().getByRole(AriaRole.ALERT)).containsText("no whole ZIP file");
    page.getByTestId("project-file").setInputFiles(file);
    assertThat(dialog()).containsText("1 scene");
    dialog().getByText("Not now").click();
    assertThat(dialog()).isHidden();
    page.waitForCondition(() -> uploads() == 0);
  }
}
