package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import rovingglyph.server.TestServer;

/** Each test has a page of a browser that has kept nothing, and no script on it may fail. */
abstract class PageTest {
  static final TestServer SERVER = TestServer.shared();

  final List<String> errors = new ArrayList<>();
  Page page;
  Workbench w;

  @BeforeEach
  final void openPage() {
    page = Browser.page();
    page.onPageError(errors::add);
  }

  @AfterEach
  final void closePage() {
    Browser.close(page);
    assertThat(errors).isEmpty();
  }

  /** A new project with one empty scene, opened. */
  final void newScene(String name) {
    w = Workbench.ofNewScene(SERVER, page, name);
  }
}
