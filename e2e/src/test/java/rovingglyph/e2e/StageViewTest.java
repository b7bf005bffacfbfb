package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The stage is zoomed and moved, and what is on it is taken hold of directly. */
class StageViewTest extends PageTest {
  private BoundingBox room;

  @BeforeEach
  void open() {
    newScene("View");
    w.addLettering("high tide at nine");
    w.tab(4);
    assertThat(w.handle("puck")).isVisible();
    room = page.getByTestId("stage-room").boundingBox();
  }

  private BoundingBox frame() {
    page.waitForTimeout(60);
    return page.locator("[data-frame]").boundingBox();
  }

  private double scale() {
    return frame().width / 1920;
  }

  /** The point of the frame that lies at a point of the page. */
  private double[] under(double x, double y) {
    BoundingBox f = frame();
    return new double[] {(x - f.x) / f.width * 1920, (y - f.y) / f.width * 1920};
  }

  private void wheel(double x, double y, double dx, double dy, boolean ctrl) {
    page.mouse().move(x, y);
    if (ctrl) {
      page.keyboard().down("Control");
    }
    page.mouse().wheel(dx, dy);
    page.waitForTimeout(120);
    if (ctrl) {
      page.keyboard().up("Control");
    }
  }

  private double value(String field) {
    return Double.parseDouble(w.field(field).inputValue().replace(',', '.'));
  }

  private JsonObject words(int index) {
    return w.items("lettering").get(index);
  }

  @Test
  void whatLiesUnderThePointerStaysThereWhenItIsZoomed() {
    double fits = scale();
    double x = room.x + room.width * 0.3;
    double y = room.y + room.height * 0.6;
    for (int by : new int[] {-240, -300, 150, -420}) {
      double[] before = under(x, y);
      wheel(x, y, 0, by, true);
      double[] after = under(x, y);
      double pixel = 1.5 / scale();
      assertThat(after[0]).isCloseTo(before[0], within(pixel));
      assertThat(after[1]).isCloseTo(before[1], within(pixel));
    }
    assertThat(scale()).isGreaterThan(4 * fits);
    // The handle is where the words are, as large as ever.
    BoundingBox puck = w.handle("puck").boundingBox();
    assertThat(puck.width).isCloseTo(26, within(1.5));
    page.keyboard().press("0");
    assertThat(scale()).isCloseTo(fits, within(1e-6));
    page.keyboard().press("9");
    assertThat(scale()).isCloseTo(1, within(1e-6));
    assertThat(page.getByText("100 %").first()).isVisible();
    page.keyboard().press("+");
    assertThat(scale()).isCloseTo(1.5, within(1e-6));
    page.keyboard().press("-");
    page.keyboard().press("-");
    assertThat(scale()).isCloseTo(0.75, within(1e-6));
    for (int i = 0; i < 30; i++) {
      page.keyboard().press("-");
    }
    assertThat(scale()).isCloseTo(0.05, within(1e-6));
  }

  @Test
  void itIsMovedByTheWheelTheMiddleButtonAndSpace() {
    page.keyboard().press("9");
    double x = room.x + room.width / 2;
    double y = room.y + room.height / 2;
    BoundingBox begin = frame();
    wheel(x, y, 70, 40, false);
    assertThat(frame().x).isCloseTo(begin.x - 70, within(1.0));
    assertThat(frame().y).isCloseTo(begin.y - 40, within(1.0));

    page.mouse().move(x, y);
    page.mouse().down(new Mouse.DownOptions().setButton(MouseButton.MIDDLE));
    page.mouse().move(x + 70, y + 40);
    page.mouse().up(new Mouse.UpOptions().setButton(MouseButton.MIDDLE));
    assertThat(frame().x).isCloseTo(begin.x, within(1.0));

    // A handle is not touched while Space is held.
    BoundingBox puck = w.handle("puck").boundingBox();
    wheel(x, y, puck.x - x, puck.y - y, false);
    begin = frame();
    String before = w.document().toString();
    page.keyboard().down("Space");
    w.drag(w.handle("puck"), 50, -30);
    page.keyboard().up("Space");
    assertThat(frame().x).isCloseTo(begin.x + 50, within(1.0));
    assertThat(frame().y).isCloseTo(begin.y - 30, within(1.0));
    assertThat(w.document().toString()).isEqualTo(before);
    assertThat(w.button("Play")).isVisible();
    // Let go without having moved, it plays.
    page.keyboard().press("Space");
    assertThat(w.button("Pause")).isVisible();
    page.keyboard().press("k");
    assertThat(w.button("Play")).isVisible();
  }

  /** Also where a button was clicked just before; one that was reached by Tab is pressed by it. */
  @Test
  void spacePlaysAfterAClickOnAButton() {
    w.button("Loop on").click();
    page.keyboard().press("Space");
    assertThat(w.button("Pause")).isVisible();
    assertThat(w.button("Loop off")).isVisible();
    page.keyboard().press("Space");
    assertThat(w.button("Play")).isVisible();
    page.keyboard().press("Tab");
    page.keyboard().press("Shift+Tab");
    page.keyboard().press("Space");
    assertThat(w.button("Loop on")).isVisible();
    assertThat(w.button("Play")).isVisible();
    w.tab(1);
    w.field("Text").focus();
    page.keyboard().press("End");
    page.keyboard().press("Space");
    assertThat(w.field("Text")).hasValue("high tide at nine ");
  }

  @Test
  void itPlaysBackwardsAndFaster() {
    w.scrub(100);
    page.keyboard().press("j");
    page.waitForTimeout(500);
    page.keyboard().press("j");
    assertThat(page.getByText("Backwards, 2 ×")).isVisible();
    page.keyboard().press("l");
    assertThat(page.getByText("Backwards")).hasCount(0);
    page.keyboard().press("k");
    int frame = Integer.parseInt(page.getByLabel("Playhead", exact()).inputValue());
    assertThat(frame).isLessThan(100);
    page.keyboard().press("Escape");
    page.mouse().click(room.x + 6, room.y + 6);
    page.keyboard().press("ArrowRight");
    assertThat(page.getByLabel("Playhead", exact())).hasValue(String.valueOf(frame + 1));
  }

  private static Page.GetByLabelOptions exact() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  @Test
  void wordsAreDraggedAlongTheirPathAndWrittenInPlace() {
    double[] at = letter();
    double before = value("Path offset");
    w.drag(at[0], at[1], 40, 0);
    assertThat(value("Path offset")).isNotCloseTo(before, within(20.0));
    page.keyboard().press("Control+z");
    assertThat(value("Path offset")).isCloseTo(before, within(1e-6));

    at = letter();
    page.mouse().dblclick(at[0], at[1]);
    Locator box =
        page.getByLabel("Words of the lettering").or(page.getByLabel("Words of high tide at nine"));
    assertThat(box).isFocused();
    box.fill("low water");
    page.keyboard().press("Escape");
    assertThat(box).hasCount(0);
    assertThat(words(0).getString("text", "")).isEqualTo("low water");
    page.keyboard().press("Control+z");
    assertThat(words(0).getString("text", "")).isEqualTo("high tide at nine");
  }

  /** Where the first letter is painted, on the page. */
  private double[] letter() {
    Object found =
        page.evaluate(
            """
            () => {
              const canvas = document.querySelector('[data-frame] canvas');
              const { left, top, width } = canvas.getBoundingClientRect();
              const k = width / canvas.width;
              const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
              const [r, g, b, a] = data;
              for (let i = 0; i < data.length; i += 4)
                if (Math.abs(data[i] - r) + Math.abs(data[i + 1] - g) + Math.abs(data[i + 2] - b) > 200) {
                  const p = i / 4;
                  return [left + k * (p % canvas.width), top + k * (Math.floor(p / canvas.width) + 2)];
                }
              return null;
            }""");
    List<?> xy = (List<?>) found;
    return new double[] {((Number) xy.get(0)).doubleValue(), ((Number) xy.get(1)).doubleValue()};
  }

  @Test
  void aBoxFromAnEmptyPlaceChoosesWhatLiesInIt() {
    w.button("Lettering").click();
    w.field("Text").fill("ebb at three");
    w.tab(4);
    BoundingBox f = frame();
    page.mouse().click(f.x + 4, f.y + 4);
    Locator chosen = page.locator("[aria-label^='Stack'] button[aria-pressed=true]");
    assertThat(chosen).hasCount(0);
    w.drag(f.x + 4, f.y - 10, f.width - 8, f.height + 20);
    assertThat(chosen).hasCount(2);
    assertThat(page.getByTestId("marquee")).hasCount(0);
    page.keyboard().press("Delete");
    assertThat(w.items("lettering")).isEmpty();
    page.keyboard().press("Control+z");
    assertThat(w.items("lettering")).hasSize(2);
    // What fills the frame does not take the press.
    page.keyboard().press("Control+k");
    page.keyboard().type("add a colour field");
    page.keyboard().press("Enter");
    w.tab(4);
    assertThat(chosen).hasCount(1);
    w.drag(f.x + 4, f.y + 4, f.width - 8, f.height - 8);
    assertThat(chosen).hasCount(2);
    page.keyboard().press("c");
    w.drag(f.x + 4, f.y + 4, 20, 10);
    assertThat(chosen).hasCount(0);
  }

  /** Two fingers zoom what is between them; the words that the first one touched stay. */
  @Test
  void twoFingersMoveThePictureAndNothingElse() {
    String before = w.document().toString();
    double fits = scale();
    double[] at = letter();
    double[] under = under(at[0], at[1]);
    page.evaluate(
        """
        ([x, y]) => {
          const target = document.querySelector('[data-testid=overlay]');
          const room = document.querySelector('[data-testid=stage-room]');
          const pointer = (type, id, x, y) => target.dispatchEvent(new PointerEvent(type,
            { pointerId: id, pointerType: 'touch', isPrimary: id === 1, button: type === 'pointermove' ? -1 : 0,
              buttons: 1, clientX: x, clientY: y, bubbles: true, cancelable: true }));
          const touch = (type, points) => room.dispatchEvent(new TouchEvent(type,
            { bubbles: true, cancelable: true, touches: points.map(([x, y], identifier) =>
              new Touch({ identifier, target: room, clientX: x, clientY: y })) }));
          pointer('pointerdown', 1, x, y);
          touch('touchstart', [[x, y]]);
          pointer('pointermove', 1, x + 12, y + 2);
          pointer('pointerdown', 2, x + 80, y);
          touch('touchstart', [[x - 40, y], [x + 40, y]]);
          for (const d of [60, 90, 120]) touch('touchmove', [[x - d, y], [x + d, y]]);
          touch('touchend', []);
        }""",
        List.of(at[0], at[1]));
    assertThat(scale()).isCloseTo(3 * fits, within(0.02));
    double[] after = under(at[0], at[1]);
    assertThat(after[0]).isCloseTo(under[0], within(2 / scale()));
    assertThat(w.document().toString()).isEqualTo(before);
  }

  private void show(String what) {
    w.button("Show").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(what)).click();
  }

  private List<JsonObject> guides() {
    JsonValue all = w.document().get("guides");
    return all == null
        ? List.of()
        : all.asArray().values().stream().map(JsonValue::asObject).toList();
  }

  @Test
  void guidesAreDraggedOutOfTheRulersAndBack() {
    show("Rulers");
    page.mouse().click(room.x + 200, room.y + 8);
    assertThat(guides()).isEmpty();
    w.drag(room.x + 200, room.y + 8, 10, 150);
    assertThat(guides()).hasSize(1);
    JsonObject level = guides().get(0);
    assertThat(level.getBoolean("upright", true)).isFalse();
    double[] there = under(0, room.y + 158);
    assertThat(level.getDouble("at", 0)).isCloseTo(there[1], within(2 / scale()));
    Locator line = w.handle("guide-" + level.getString("id", ""));
    line.focus();
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(guides().get(0).getDouble("at", 0))
        .isCloseTo(level.getDouble("at", 0) + 11, within(1e-9));
    BoundingBox at = line.boundingBox();
    w.drag(room.x + 300, at.y + at.height / 2, 0, room.y + 5 - at.y);
    assertThat(guides()).isEmpty();
    page.keyboard().press("Control+z");
    assertThat(guides()).hasSize(1);
    // The same key removes a guide that has the keys, and not what is chosen.
    line.focus();
    page.keyboard().press("Delete");
    assertThat(guides()).isEmpty();
    assertThat(w.items("lettering")).hasSize(1);
  }

  @Test
  void whereItIsAtItsKeyframesIsShownUntilNotWanted() {
    w.tab(2);
    w.newPath("Line");
    w.tab(4);
    w.button("Enter and stay").click();
    w.scrub(149);
    Locator marks = w.handle("at-keyframes").locator("text");
    assertThat(marks).hasCount(1);
    assertThat(marks).hasText("0 s");
    w.scrub(0);
    assertThat(marks).hasCount(1);
    assertThat(marks).not().hasText("0 s");
    show("Where what is chosen is at its keyframes");
    assertThat(marks).hasCount(0);
  }

  @Test
  void whatTheRingIsForIsToldUntilItWasDraggedOnce() {
    assertThat(w.handle("puck-hint")).isVisible();
    w.drag(w.handle("puck"), 60, 10);
    assertThat(w.handle("puck-hint")).hasCount(0);
    w.reload();
    page.locator("button[draggable]").first().click();
    assertThat(w.handle("puck")).isVisible();
    assertThat(w.handle("puck-hint")).hasCount(0);
  }
}
