package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.pictures.MadePictures;

/** Items that ride a path, and parts of items brought before the words. */
class RideAndCutTest extends PageTest {
  @BeforeEach
  void wordsOnARingAndAField() {
    newScene("Rides");
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Colour field").click();
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Rectangle")).click();
    w.type("Width", "200");
    w.type("Height", "80");
  }

  private void choose(String label, String option) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + label + ":")))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).click();
  }

  private Locator chip(String name) {
    return page.getByLabel("Stack, back to front")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private JsonObject ride(String kind) {
    return w.items(kind).get(0).get("ride").asObject();
  }

  private void startsRiding() {
    w.tab(4);
    page.getByText("Ride a path").click();
    choose("Along the path", "Circle 1");
  }

  /** By its centre, by keys, in copies; back by undo. */
  @Test
  void aFieldRidesTheRing() {
    startsRiding();
    JsonObject before = ride("colour-field");
    assertThat(before.getString("path", "")).isEqualTo(w.path(0).getString("id", ""));
    BoundingBox at = w.handle("place-centre").boundingBox();
    w.drag(w.handle("place-centre"), -8, 24);
    BoundingBox moved = w.handle("place-centre").boundingBox();
    assertThat(Math.hypot(moved.x - at.x, moved.y - at.y)).isGreaterThan(5);
    JsonObject after = ride("colour-field");
    assertThat(after.getDouble("pathOffset", 0)).isNotEqualTo(before.getDouble("pathOffset", 0));
    assertThat(after.getDouble("shift", 0)).as("it stays on the path").isZero();
    assertThat(w.items("colour-field").get(0).getDouble("x", 0)).isEqualTo(960);
    page.keyboard().press("Control+z");
    assertThat(ride("colour-field").getDouble("pathOffset", 0))
        .isEqualTo(before.getDouble("pathOffset", 0));
    page.getByTestId("overlay").focus();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(ride("colour-field").getDouble("pathOffset", 0))
        .isCloseTo(before.getDouble("pathOffset", 0) + 10, within(1e-6));
    page.keyboard().press("ArrowDown");
    assertThat(ride("colour-field").getDouble("shift", 0)).isEqualTo(1);
    w.type("Copies", "6");
    choose("Copies are", "At a distance");
    w.type("Distance", "90");
    assertThat(ride("colour-field").getInt("copies", 1)).isEqualTo(6);
    assertThat(ride("colour-field").getDouble("gap", 0)).isEqualTo(90);
    choose("Past the ends", "Not seen");
    assertThat(ride("colour-field").getString("ends", "")).isEqualTo("cut");
    choose("Along the path", "None: it stays in place");
    assertThat(w.items("colour-field").get(0).get("ride")).isNull();
  }

  /** Words have a handle of their own for it, by pointer and by keys. */
  @Test
  void wordsRideAnotherPath() {
    w.tab(2);
    w.newPath("Wave");
    chip("kites aloft").click();
    w.tab(4);
    page.getByText("Ride a path").click();
    choose("Along the path", "Wave 1");
    double before = ride("lettering").getDouble("pathOffset", 0);
    w.drag(w.handle("ride"), 50, 0);
    double after = ride("lettering").getDouble("pathOffset", 0);
    assertThat(Math.abs(after - before)).isGreaterThan(20);
    page.getByLabel(
            "Ride: drag along the path, or press arrow keys; across it takes it off the path")
        .press("ArrowLeft");
    assertThat(ride("lettering").getDouble("pathOffset", 0)).isCloseTo(after - 1, within(1e-6));
    // A keyframe of it may land.
    page.getByLabel(Pattern.compile("^Path offset: ")).last().click();
    w.handle("ring-0").click();
    choose("Lands", "Just out of frame, before");
    JsonObject key =
        ride("lettering").get("pathOffset").asObject().get("keyframes").asArray().get(0).asObject();
    assertThat(key.getString("landing", "")).isEqualTo("out-before");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(ride("lettering").getDouble("pathOffset", 0)).isEqualTo(before);
  }

  /** Drawn round what is to be in front: one step, its path edited in place, dimmed round it. */
  @Test
  void aPartIsCutByDrawingItsEdge() {
    page.getByText("Bring a part forward").click();
    w.button("Draw its edge").click();
    BoundingBox stage = page.locator("[data-frame]").boundingBox();
    double cx = stage.x + stage.width / 2;
    double cy = stage.y + stage.height / 2;
    for (double[] p : new double[][] {{-40, -20}, {40, -20}, {40, 20}, {-40, 20}}) {
      page.mouse().click(cx + p[0], cy + p[1]);
    }
    page.keyboard().press("Enter");
    JsonObject cut = w.items("foreground-cut").get(0);
    String field = w.items("colour-field").get(0).getString("id", "");
    assertThat(cut.getString("source", "")).isEqualTo(field);
    assertThat(w.path(1).getBoolean("closed", false)).isTrue();
    assertThat(page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).last())
        .hasAttribute("aria-pressed", "true");
    w.type("Soft edge", "12");
    w.type("Grow", "-4");
    assertThat(w.items("foreground-cut").get(0).getDouble("cutEdge", 0)).isEqualTo(12);
    assertThat(w.items("foreground-cut").get(0).getDouble("grow", 0)).isEqualTo(-4);
    assertThat(w.handle("rest-dimmed")).isHidden();
    page.getByText("Show the cut", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(w.handle("rest-dimmed")).isVisible();
    choose("Cut along", "Circle 1");
    assertThat(w.items("foreground-cut").get(0).getString("path", ""))
        .isEqualTo(w.path(0).getString("id", ""));
    for (int i = 0; i < 4; i++) {
      page.keyboard().press("Control+z");
    }
    assertThat(w.items("foreground-cut")).isEmpty();
    assertThat(w.document().get("paths").asArray()).hasSize(1);
  }

  /** Round what is in a picture the line clings to its edges; a click holds it. */
  @Test
  void theEdgeOfAPictureIsClungTo() throws IOException {
    FileChooser chooser = page.waitForFileChooser(() -> w.button("Add pictures").click());
    chooser.setFiles(new FilePayload("Quay.png", "image/png", MadePictures.png(640, 360)));
    assertThat(w.handle("picture-body")).isVisible();
    page.getByText("Bring a part forward").click();
    BoundingBox b = w.handle("picture-body").boundingBox();
    w.button("Draw its edge").click();
    // Its quarters differ: down the middle between them, hit only roughly, then round the right.
    double middle = b.x + b.width / 2;
    page.mouse().click(middle + 2, b.y + 6);
    for (double[] p :
        new double[][] {{middle - 3, b.height - 6}, {b.x + b.width - 5, b.height - 6}}) {
      page.mouse().move(p[0], b.y + p[1] - 4);
      page.mouse().click(p[0], b.y + p[1]);
    }
    page.keyboard().press("Backspace");
    page.mouse().click(b.x + b.width - 5, b.y + b.height - 6);
    page.keyboard().press("Enter");
    JsonObject edge = w.path(1);
    assertThat(edge.getString("kind", "")).isEqualTo("freehand");
    List<JsonValue> samples = edge.get("samples").asArray().values();
    double left = 960;
    long near =
        samples.stream().filter(s -> Math.abs(s.asArray().get(0).asDouble() - left) < 4).count();
    assertThat(near).as("of " + samples.size()).isGreaterThan(20);
    assertThat(w.items("foreground-cut")).hasSize(1);
    assertThat(edge.getBoolean("closed", false)).isTrue();
  }

  /** The path asks before it goes; whoever rides it or is cut along it keeps a copy. */
  @Test
  void aPathIsNotDeletedUnderThem() {
    startsRiding();
    w.tab(2);
    w.button("Delete Circle 1").click();
    assertThat(page.getByText("2 things stand on it or have its shape")).isVisible();
    w.button("Each keeps a copy of the path").click();
    assertThat(w.document().get("paths").asArray()).hasSize(2);
    assertThat(ride("colour-field").getString("path", "")).isNotEmpty();
  }
}
