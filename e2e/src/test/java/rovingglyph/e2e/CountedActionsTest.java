package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.pictures.MadePictures;
import rovingglyph.proof.LoopCheck;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * How many actions a piece takes from an empty scene: a click, a choice out of a list (two), a text
 * or a number typed.
 */
class CountedActionsTest extends PageTest {
  private int actions;

  @BeforeEach
  void open() {
    newScene("Counted");
    w.field("Playhead").press("Home");
    actions = 0;
  }

  private void click(Locator what) {
    what.click();
    actions++;
  }

  private void sheet(int number) {
    w.tab(number);
    actions++;
  }

  private void words(String text) {
    click(w.button("Lettering"));
    // Written over at once, as soon as the box is there.
    assertThat(page.locator("#words-text")).isFocused();
    page.keyboard().type(text);
    actions++;
  }

  private PreparedScene prepared() {
    return Preparation.prepare(
        SceneCodec.read(w.document().toString()), new Shaper(FaceCatalogue.shipped()));
  }

  private static PreparedLettering only(PreparedScene scene) {
    return scene.letterings().values().iterator().next();
  }

  /** The angle of the middle letter at a time, radians. */
  private static double angle(PreparedLettering l, double time) {
    List<Placement> places = l.inFrame(l.seating(l.values(time)));
    Placement middle = places.get(places.size() / 2);
    return Math.atan2(Math.sin(middle.angle()), Math.cos(middle.angle()));
  }

  @Test
  void aReadyPieceMovesAndTakesItsWordsAtOnce() {
    for (String card : List.of("Badge that turns", "Title that swoops in", "Border that runs")) {
      assertThat(w.button(card)).isVisible();
    }
    click(w.button("Badge that turns"));
    assertThat(page.locator("#words-text")).isFocused();
    assertThat(w.button("Pause")).isVisible();
    page.keyboard().type("kites and buoys");
    actions++;
    assertThat(actions).isEqualTo(2);
    w.button("Pause").click();
    PreparedScene scene = prepared();
    assertThat(only(scene).lettering().text()).isEqualTo("kites and buoys");
    assertThat(LoopCheck.of(scene)).isEmpty();
    assertThat(w.button("Badge that turns")).isHidden();
    w.field("Playhead").focus();
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(w.button("Border that runs")).isVisible();
  }

  @Test
  void aRingTurnsOnceInTwoSecondsUprightAtItsStartAndItsEnd() {
    words("kites over the dune");
    click(page.getByText("1920 \u00d7 1080"));
    w.type("Length", "2");
    actions++;
    sheet(4);
    click(w.button("Eased lap"));
    assertThat(actions).isLessThanOrEqualTo(6);

    PreparedScene scene = prepared();
    PreparedLettering ring = only(scene);
    double length = ring.seating(ring.values(0)).contour().length();
    assertThat(scene.scene().length()).isEqualTo(2);
    assertThat(ring.values(2).pathOffset() - ring.values(0).pathOffset())
        .isCloseTo(length, offset(1e-6));
    for (double time : new double[] {0, 2}) {
      assertThat(angle(ring, time)).isCloseTo(0, offset(0.12));
      assertThat(middle(ring, time)).isLessThan(scene.area().centre().y());
    }
    assertThat(Math.abs(angle(ring, 1))).isGreaterThan(2.5);
  }

  private static double middle(PreparedLettering l, double time) {
    return l.inFrame(l.seating(l.values(time))).stream()
        .mapToDouble(p -> p.at().y())
        .average()
        .orElseThrow();
  }

  @Test
  void aCaptionSwoopsInAndStays() {
    sheet(2);
    click(w.button("Wave"));
    words("high water at nine");
    sheet(4);
    click(w.button("Enter and stay"));
    assertThat(actions).isLessThanOrEqualTo(6);

    PreparedScene scene = prepared();
    PreparedLettering caption = only(scene);
    SeatValues begins = caption.values(0);
    assertThat(caption.touches(begins, scene.area())).isFalse();
    assertThat(caption.unsolved()).isEmpty();
    double end = scene.scene().length();
    assertThat(caption.values(end).pathOffset()).isZero();
    assertThat(caption.values(2).pathOffset()).isZero();
    assertThat(caption.touches(caption.values(end), scene.area())).isTrue();
  }

  @Test
  void lettersAreRevealedRoundACircleAndThenTurnBackTwice() {
    words("lanterns along the quay");
    sheet(4);
    click(w.button("Letter reveal"));
    click(w.button("Endless lap"));
    w.type("Begins at", "2");
    w.type("Laps a loop", "-2");
    actions += 2;
    assertThat(actions).isLessThanOrEqualTo(7);

    PreparedScene scene = prepared();
    PreparedLettering ring = only(scene);
    double length = ring.seating(ring.values(0)).contour().length();
    assertThat(ring.values(2).pathOffset()).isZero();
    assertThat(ring.values(scene.scene().length()).pathOffset())
        .isCloseTo(-2 * length, offset(1e-6));
    assertThat(w.lettering().get("reveal")).isNotNull();
  }

  @Test
  void threeStaggeredCopiesRunAlongATracedCurve() {
    sheet(2);
    click(w.button("Freehand"));
    BoundingBox f = page.locator("[data-frame]").boundingBox();
    page.mouse().move(f.x + 2, f.y + f.height * 0.7);
    page.mouse().down();
    for (int i = 1; i <= 20; i++) {
      double across = i / 20.0;
      double down = 0.6 + 0.12 * Math.cos(across * 5);
      page.mouse().move(f.x + 2 + (f.width - 4) * across, f.y + f.height * down);
    }
    page.mouse().up();
    actions++;
    words("ebb tide");
    sheet(4);
    click(w.button("Two copies that come after"));
    assertThat(actions).isLessThanOrEqualTo(7);

    PreparedScene scene = prepared();
    List<PreparedLettering> row = List.copyOf(scene.letterings().values());
    assertThat(row).hasSize(3);
    assertThat(w.document().get("paths").asArray().size()).isEqualTo(1);
    double end = scene.scene().length();
    for (PreparedLettering l : row) {
      assertThat(l.touches(l.values(0), scene.area())).isFalse();
      assertThat(l.touches(l.values(end), scene.area())).isFalse();
    }
    double extent = row.get(0).seating(row.get(0).values(0)).extent();
    double middle = end / 2;
    for (int i = 0; i < 2; i++) {
      double gap =
          row.get(i).values(middle).pathOffset() - row.get(i + 1).values(middle).pathOffset();
      assertThat(gap).isGreaterThan(extent);
    }
  }

  @Test
  void textRunsRoundARoundedRectangleWithAPictureInIt() throws IOException {
    sheet(2);
    click(w.button("Rounded rectangle"));
    words("saltmarsh kite fair \u00b7 ");
    sheet(3);
    click(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Fit: Natural")));
    click(page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Repeat")));
    w.give("drop", MadePictures.png(640, 360), "Quay.png", "image/png", 0.5, 0.5);
    actions++;
    assertThat(actions).isLessThanOrEqualTo(8);
    w.handle("picture-body").waitFor();

    PreparedScene scene =
        Preparation.prepare(
            TestShelf.filled(w.document().toString()), new Shaper(FaceCatalogue.shipped()));
    PreparedLettering border = only(scene);
    RowLayout row = border.seating(border.values(0));
    double length = row.contour().length();
    assertThat(row.letters().size()).isGreaterThan("saltmarsh kite fair".length() * 2);
    assertThat(row.head() - row.tail()).isCloseTo(length, offset(length * 0.02));
    JsonObject picture = w.items("picture").get(0);
    assertThat(picture.getDouble("x", 0)).isCloseTo(960, offset(1.0));
    assertThat(scene.scene().stack()).startsWith(picture.getString("id", ""));
  }
}
