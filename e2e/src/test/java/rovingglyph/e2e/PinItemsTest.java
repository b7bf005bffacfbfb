package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.document.SceneCodec;
import rovingglyph.follow.PannedFootage;
import rovingglyph.frame.GroupTransform;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Scene;

/**
 * Something in footage is marked, followed and corrected at the workbench, and words hold to it.
 */
class PinItemsTest extends PageTest {
  @TempDir Path folder;

  @BeforeEach
  void open() throws IOException {
    newScene("Pins");
    w.tab(5);
    Path file = PannedFootage.make(folder);
    FileChooser chooser = page.waitForFileChooser(() -> w.button("Add footage").click());
    chooser.setFiles(file);
    assertThat(w.handle("strip")).isVisible();
    assertThat(page.getByText("are being made ready")).hasCount(0);
    w.button("Fill").click();
    page.getByText("What moves in it").click();
  }

  private JsonObject pin() {
    JsonArray pins = w.items("footage").get(0).get("pins").asArray();
    return pins.get(pins.size() - 1).asObject();
  }

  private JsonArray frames() {
    return pin().get("frames").asArray();
  }

  /** Where a mark is in a frame, px of the footage. */
  private double[] mark(int frame, int mark) {
    return mark(frames(), frame, mark);
  }

  private static double[] mark(JsonArray frames, int frame, int mark) {
    JsonArray at = frames.get(frame).asObject().get("points").asArray().get(mark).asArray();
    return new double[] {at.get(0).asDouble(), at.get(1).asDouble()};
  }

  private JsonObject words() {
    List<JsonObject> all = w.items("lettering");
    return all.get(all.size() - 1);
  }

  /** What holding to footage does to the words at a time. */
  private Projection held(double time) {
    Scene scene = SceneCodec.read(w.document().toString());
    return GroupTransform.of(scene, words().getString("id", "")).map(time);
  }

  /** Px of the scene for one of the footage. */
  private double scale() {
    return 1920.0 / PannedFootage.WIDTH;
  }

  private void choose(String label, String option) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(label + ":")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).first().click();
  }

  private void followed() {
    assertThat(page.getByText(Pattern.compile("Following: ")))
        .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(60_000));
  }

  /** Drags a mark to a point of the footage. */
  private void drag(int mark, double x, double y) {
    BoundingBox from = w.handle("pin-mark-" + mark).boundingBox();
    BoundingBox stage = page.locator("[data-frame]").boundingBox();
    page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
    page.mouse().down();
    page.mouse()
        .move(
            stage.x + stage.width * x / PannedFootage.WIDTH,
            stage.y + stage.height * y / PannedFootage.HEIGHT);
    page.mouse().up();
  }

  @Test
  void aSpotIsFollowedAndCorrectedAndWordsHoldToIt() {
    w.scrub(0);
    w.button("A spot").click();
    drag(0, PannedFootage.SPOT.x(), PannedFootage.SPOT.y());
    double[] at = mark(0, 0);
    assertThat(at[0]).isCloseTo(PannedFootage.SPOT.x(), within(2.0));
    w.button("Follow from here").click();
    followed();
    assertThat(frames()).hasSize(PannedFootage.FRAMES);
    for (int i = 0; i < PannedFootage.FRAMES; i++) {
      double[] now = mark(i, 0);
      assertThat(now[0] - at[0]).isCloseTo(PannedFootage.moved(i)[0], within(1.0));
      assertThat(now[1] - at[1]).isCloseTo(PannedFootage.moved(i)[1], within(1.0));
    }
    // One frame is set by hand: it is followed again from there only.
    w.scrub(149);
    int last = PannedFootage.FRAMES - 1;
    drag(0, mark(last, 0)[0] + 25, mark(last, 0)[1]);
    page.waitForTimeout(300);
    followed();
    assertThat(frames().get(last).asObject().getString("how", "")).isEqualTo("set");
    assertThat(mark(0, 0)).isEqualTo(at);
    assertThat(mark(last - 1, 0)[0] - at[0])
        .isCloseTo(PannedFootage.moved(last - 1)[0] + 25, within(2.5));
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(mark(last, 0)[0] - at[0]).isCloseTo(PannedFootage.moved(last)[0], within(1.0));

    // Words that hold to it go with it.
    w.scrub(0);
    w.addLettering("Tide tables");
    w.tab(4);
    page.getByText("Pinned to footage").click();
    choose("Goes with", "Pin 1");
    JsonObject words = words();
    assertThat(words.get("pin").asObject().getString("to", ""))
        .isEqualTo(pin().getString("id", "?"));
    for (int i = 0; i < PannedFootage.FRAMES; i += 7) {
      Projection held = held(i / 25.0);
      double k = scale();
      assertThat(held.e()).isCloseTo(k * PannedFootage.moved(i)[0], within(3.0));
      assertThat(held.f()).isCloseTo(k * PannedFootage.moved(i)[1], within(3.0));
    }
    assertThat(w.button("Go there")).isVisible();
    choose("Goes with", "Nothing in footage");
    page.waitForTimeout(500);
    assertThat(held(1)).isEqualTo(Projection.IDENTITY);
  }

  /** Every mark goes as the wall does. */
  private void eachIsFollowed(int marks) {
    JsonArray all = frames();
    for (int i = 0; i < PannedFootage.FRAMES; i++) {
      for (int m = 0; m < marks; m++) {
        double[] by = PannedFootage.moved(i);
        double[] from = mark(all, 0, m);
        double[] now = mark(all, i, m);
        assertThat(now[0] - from[0]).isCloseTo(by[0], within(2.0));
        assertThat(now[1] - from[1]).isCloseTo(by[1], within(2.0));
      }
    }
  }

  @Test
  void somethingFlatIsFollowedByItsCornersOrWithinAPath() {
    w.scrub(0);
    w.button("Four corners").click();
    assertThat(w.handle("pin-mark-3")).isVisible();
    double[] corner = mark(0, 1);
    drag(1, corner[0] + 30, corner[1] - 20);
    assertThat(mark(0, 1)[0]).isCloseTo(corner[0] + 30, within(2.0));
    // Where they would go round no area a corner is not taken to.
    double[] was = mark(0, 0);
    drag(0, mark(0, 2)[0] + 60, mark(0, 2)[1] + 40);
    assertThat(page.getByText("Corners go round an area")).isVisible();
    List<Point> corners =
        IntStream.range(0, 4).mapToObj(i -> new Point(mark(0, i)[0], mark(0, i)[1])).toList();
    assertThat(Projection.isConvex(corners)).isTrue();
    drag(0, was[0], was[1]);
    w.button("Follow from here").click();
    followed();
    assertThat(frames()).hasSize(PannedFootage.FRAMES);
    eachIsFollowed(4);

    w.addLettering("Tide tables");
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    w.tab(5);
    w.button("Within a path").click();
    page.getByRole(AriaRole.MENUITEM).first().click();
    assertThat(pin().getString("by", "")).isEqualTo("corners");
    assertThat(pin().get("area").asArray()).isNotEmpty();
    w.button("Follow from here").click();
    followed();
    eachIsFollowed(4);
    assertThat(w.handle("pin-mark-3")).isVisible();

    // All of the frame is fitted between the corners, and what the words are with it.
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).last().click();
    w.tab(4);
    page.getByText("Pinned to footage").click();
    choose("Goes with", "Pin 1");
    page.getByText("Laid between the corners").click();
    page.waitForTimeout(500);
    assertThat(words().get("pin").asObject().getBoolean("laid", false)).isTrue();
    JsonArray board =
        w.items("footage").get(0).get("pins").asArray().get(0).asObject().get("frames").asArray();
    for (int i = 0; i < PannedFootage.FRAMES; i += 13) {
      Point end = held(i / 25.0).apply(new Point(1920, 1080));
      assertThat(end.x()).isCloseTo(scale() * mark(board, i, 2)[0], within(1e-6));
      assertThat(end.y()).isCloseTo(scale() * mark(board, i, 2)[1], within(1e-6));
    }
    page.keyboard().press("Control+z");
    page.waitForTimeout(500);
    assertThat(words().get("pin").asObject().getBoolean("laid", false)).isFalse();
  }
}
