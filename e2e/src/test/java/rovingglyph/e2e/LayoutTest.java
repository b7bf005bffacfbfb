package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.server.TestServer;

/** Small, upright and touched windows: all of it can be reached, and nothing lies over another. */
class LayoutTest {
  private static final TestServer SERVER = TestServer.shared();

  private final List<String> errors = new ArrayList<>();
  private Page page;
  private Workbench w;

  private void open(Page in) {
    page = in;
    page.onPageError(errors::add);
    w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Wind rose badge"));
  }

  @AfterEach
  void close() {
    Browser.close(page);
    assertThat(errors).isEmpty();
  }

  private Locator part(String name) {
    return page.getByRole(
        AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** What can be pressed and is cut off by the window, or lies over something else of its kind. */
  private Object hidden() {
    return page.evaluate(
        """
        () => {
          const all = [...document.querySelectorAll('header button, nav button, [aria-label="Transport"] button')]
            .filter((b) => b.getClientRects().length > 0);
          const box = (b) => b.getBoundingClientRect();
          const name = (b) => b.getAttribute('aria-label') ?? b.textContent;
          const out = all.filter((b) => box(b).left < 0 || box(b).right > innerWidth + 0.5).map(name);
          for (const a of all) for (const b of all) {
            const [p, q] = [box(a), box(b)];
            const over = Math.min(p.right, q.right) - Math.max(p.left, q.left);
            const high = Math.min(p.bottom, q.bottom) - Math.max(p.top, q.top);
            if (a !== b && over > 1 && high > 1) out.push(name(a) + ' over ' + name(b));
          }
          if (document.documentElement.scrollWidth > innerWidth) out.push('the page is too wide');
          return out;
        }""");
  }

  @ParameterizedTest
  @CsvSource({"1024, 700", "1099, 820", "800, 1200", "390, 800", "640, 400"})
  void everySheetAndTheJourneyCanBeReached(int width, int height) {
    open(Browser.context(width, height).newPage());
    assertThat(part("Move")).isVisible();
    assertThat(hidden()).isEqualTo(List.of());
    for (int tab = 1; tab <= 6; tab++) {
      w.tab(tab);
      assertThat(part(List.of("Words", "Path", "Seat", "Move", "Dress", "Export").get(tab - 1)))
          .isVisible();
    }
    boolean both = width < height && width >= 700;
    if (!both) {
      assertThat(part("Journey")).isHidden();
      page.locator("nav button").last().click();
    }
    assertThat(part("Journey")).isVisible();
    assertThat(w.handle("ring-0")).isVisible();
    assertThat(hidden()).isEqualTo(List.of());
    // Whatever asks for a sheet brings it back.
    page.keyboard().press("3");
    assertThat(part("Seat")).isVisible();
    Locator frame = page.locator("[data-frame]");
    assertThat(frame.boundingBox().width).isGreaterThan(50);
  }

  @Test
  void posesAndProofAreAFoldWhereTheStageWouldBeSmall() {
    open(Browser.context(800, 1200).newPage());
    Locator proof =
        page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName("Proof").setExact(true));
    assertThat(proof).isHidden();
    page.getByText("Poses and Proof").click();
    assertThat(proof).isVisible();
    page.setViewportSize(1280, 800);
    assertThat(page.getByText("Poses and Proof")).isHidden();
    assertThat(proof).isVisible();
  }

  @Test
  void aFingerHasRoomEverywhere() {
    open(Browser.touched(800, 1200));
    for (int tab = 1; tab <= 6; tab++) {
      w.tab(tab);
      page.waitForTimeout(200);
      Object small =
          page.evaluate(
              """
              () => [...document.querySelectorAll('button:not(.underline), .field, select')]
                .map((b) => [b.getBoundingClientRect(), b])
                .filter(([r]) => r.width > 0 && (r.height < 39.5 || r.width < 39.5))
                .map(([r, b]) => (b.getAttribute('aria-label') ?? b.textContent) + ` ${r.width} x ${r.height}`)""");
      assertThat(small).as("sheet " + tab).isEqualTo(List.of());
    }
    // A ring is dragged by a finger that is 15 px beside it.
    w.tab(4);
    var ring = w.handle("ring-0").boundingBox();
    assertThat(ring.width).isGreaterThanOrEqualTo(39);
  }
}
