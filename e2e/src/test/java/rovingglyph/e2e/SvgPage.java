package rovingglyph.e2e;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.function.Function;
import java.util.function.Predicate;
import javax.imageio.ImageIO;

/** An animated SVG that a page shows, brought to times of one's choice. */
final class SvgPage {
  private static final int TRIES = 20;
  private static final int PAUSE = 150;

  private SvgPage() {}

  /**
   * Shows an animated SVG whose CSS never runs by itself. In a loaded Chromium an opacity that has
   * begun to run may stay where the compositor had it, wherever it is brought to afterwards.
   */
  static void show(Page page, String svg) {
    page.setContent(
        "<style>* { animation-play-state: paused !important }</style><body style='margin:0'>"
            + svg
            + "</body>");
  }

  /** Brings the CSS and the SMIL of a page to a time in seconds, where they stay. */
  static void goTo(Page page, double t) {
    page.evaluate(
        """
        t => {
          document.getAnimations().forEach(a => { a.pause(); a.currentTime = t * 1000; });
          document.querySelectorAll('svg').forEach(s => { s.pauseAnimations(); s.setCurrentTime(t); });
        }""",
        t);
  }

  /**
   * How what the page shows compares, once it is good, or after some seconds as it is then. The
   * page stands still, but a loaded machine paints it piece by piece: the first screenshot may lack
   * letters and pictures.
   */
  static <D> D compared(Page page, Function<BufferedImage, D> compare, Predicate<D> good)
      throws IOException {
    D found = null;
    for (int i = 0; i < TRIES; i++) {
      found = compare.apply(ImageIO.read(new ByteArrayInputStream(page.screenshot())));
      if (good.test(found)) {
        break;
      }
      page.waitForTimeout(PAUSE);
    }
    return found;
  }
}
