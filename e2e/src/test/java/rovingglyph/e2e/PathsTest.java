package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Path tab, used by pointer and keyboard, and undo of each thing done there. */
class PathsTest extends PageTest {
  private BoundingBox stage;

  @BeforeEach
  void open() {
    newScene("Paths");
    w.addLettering("the line");
    w.tab(2);
    // A circle that something was made of stays when the words go elsewhere.
    w.type("Radius", "300");
    page.waitForTimeout(200);
    stage = page.locator("[data-frame]").boundingBox();
  }

  private JsonArray points(int path) {
    return w.path(path).get("points").asArray();
  }

  private int pathCount() {
    return w.document().get("paths").asArray().size();
  }

  private Locator radio(String name) {
    return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator alert() {
    return page.getByRole(AriaRole.ALERT).first();
  }

  private void undo() {
    w.button("Undo").first().click();
  }

  /** A curve through places of the stage, given in shares of its width and height. */
  private void draw(double... shares) {
    w.newPath("Curve");
    for (int i = 0; i < shares.length; i += 2) {
      page.mouse().click(stage.x + stage.width * shares[i], stage.y + stage.height * shares[i + 1]);
    }
    page.keyboard().press("Enter");
  }

  @Test
  void aCurveIsClosedByClickingItsFirstPointAndShiftKeepsItLevel() {
    w.newPath("Curve");
    page.mouse().click(stage.x + 100, stage.y + 80);
    page.keyboard().down("Shift");
    page.mouse().click(stage.x + 300, stage.y + 90);
    page.keyboard().up("Shift");
    page.mouse().click(stage.x + 220, stage.y + 220);
    page.mouse().click(stage.x + 101, stage.y + 81);
    assertThat(w.path(1).getBoolean("closed", false)).isTrue();
    assertThat(points(1)).hasSize(3);
    double first = points(1).get(0).asObject().getDouble("y", 0);
    assertThat(points(1).get(1).asObject().getDouble("y", -1)).isCloseTo(first, within(1e-6));
    undo();
    assertThat(pathCount()).isEqualTo(1);
  }

  @Test
  void aStrokeOfTheHandIsFittedAndSteadiedAfterwards() {
    w.newPath("Freehand");
    page.mouse().move(stage.x + 40, stage.y + 200);
    page.mouse().down();
    for (int i = 0; i <= 60; i++) {
      page.mouse().move(stage.x + 40 + 7 * i, stage.y + 200 + 70 * Math.sin(i / 9.0) + i % 3);
    }
    page.mouse().up();
    JsonObject stroke = w.path(1);
    assertThat(stroke.getString("kind", "")).isEqualTo("freehand");
    assertThat(stroke.get("samples").asArray().size()).isGreaterThan(30);
    Locator fit = page.getByTestId("freehand-fit");
    assertThat(fit).containsText("points; leaves your stroke by at most");
    int before = Integer.parseInt(fit.innerText().split(" ")[0]);
    w.type("Simplicity", "90");
    w.document();
    assertThat(Integer.parseInt(fit.innerText().split(" ")[0])).isLessThan(before);
    w.button("Turn into points").click();
    assertThat(w.path(1).getString("kind", "")).isEqualTo("drawn");
    undo();
    undo();
    assertThat(w.path(1).getDouble("simplicity", 0)).isEqualTo(30);
    undo();
    assertThat(pathCount()).isEqualTo(1);
  }

  @Test
  void pointsAreBoxedMovedLinedUpSimplifiedAndDeleted() {
    draw(0.1, 0.3, 0.3, 0.4, 0.5, 0.3, 0.7, 0.45, 0.9, 0.3);
    assertThat(points(1)).hasSize(5);
    // A box round the first three.
    w.drag(stage.x + 4, stage.y + 4, stage.width * 0.57, stage.height * 0.5);
    assertThat(page.getByTestId("chosen-points")).containsText("3 points");
    double x = points(1).get(0).asObject().getDouble("x", 0);
    page.keyboard().press("Shift+ArrowRight");
    page.keyboard().press("ArrowRight");
    assertThat(points(1).get(0).asObject().getDouble("x", 0)).isCloseTo(x + 11, within(1e-6));
    w.button("Line up on the top").click();
    double y = points(1).get(0).asObject().getDouble("y", 0);
    assertThat(points(1).get(1).asObject().getDouble("y", 0)).isEqualTo(y);
    undo();
    assertThat(points(1).get(1).asObject().getDouble("y", 0)).isNotEqualTo(y);
    page.keyboard().press("Delete");
    assertThat(page.getByTestId("chosen-points")).hasCount(0);
    assertThat(points(1)).hasSize(2);
    undo();
    assertThat(points(1)).hasSize(5);

    w.type("May differ by", "400");
    Locator simplify = page.getByText("Simplify: 5 points to");
    assertThat(simplify).isVisible();
    simplify.click();
    assertThat(points(1).size()).isLessThan(5);
    undo();
    assertThat(points(1)).hasSize(5);
  }

  @Test
  void pointsDraggedTogetherFollowThePointerAlsoWhereItRestsInBetween() {
    draw(0.1, 0.3, 0.3, 0.4, 0.5, 0.3, 0.7, 0.45, 0.9, 0.3);
    w.drag(stage.x + 4, stage.y + 4, stage.width * 0.37, stage.height * 0.5);
    assertThat(page.getByTestId("chosen-points")).containsText("2 points");
    JsonArray before = points(1);
    double unit = w.document().getDouble("width", 0) / stage.width;
    BoundingBox b = w.handle("point-0").boundingBox();
    double x = b.x + b.width / 2;
    double y = b.y + b.height / 2;
    page.keyboard().down("Control");
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 15, y + 30);
    page.mouse().move(x + 20, y + 40);
    // Long enough for what is shown to be made.
    page.waitForTimeout(700);
    page.mouse().move(x + 30, y + 50);
    page.mouse().move(x + 40, y + 60);
    page.mouse().up();
    page.keyboard().up("Control");
    for (int i = 0; i < 5; i++) {
      double moved = i < 2 ? 1 : 0;
      JsonObject was = before.get(i).asObject();
      JsonObject now = points(1).get(i).asObject();
      assertThat(now.getDouble("x", 0) - was.getDouble("x", 0))
          .isCloseTo(40 * unit * moved, within(0.5));
      assertThat(now.getDouble("y", 0) - was.getDouble("y", 0))
          .isCloseTo(60 * unit * moved, within(0.5));
    }
    undo();
    assertThat(points(1)).isEqualTo(before);
  }

  @Test
  void aPathIsCutInTwoAndJoinedAgain() {
    draw(0.1, 0.5, 0.5, 0.4, 0.9, 0.5);
    w.handle("point-1").click();
    w.button("Cut here").click();
    assertThat(pathCount()).isEqualTo(3);
    page.getByLabel("Join with: another open path").click();
    page.getByRole(AriaRole.OPTION).last().click();
    assertThat(pathCount()).isEqualTo(2);
    undo();
    assertThat(pathCount()).isEqualTo(3);
    undo();
    assertThat(points(1)).hasSize(3);
  }

  @Test
  void aShapeIsMovedByNumbersAndKeyframesAndTurnedIntoPoints() {
    w.newPath("Wave");
    assertThat(w.lettering().getString("path", "")).isEqualTo(w.path(1).getString("id", ""));
    w.type("Waves", "3");
    assertThat(w.path(1).getDouble("cycles", 0)).isEqualTo(3);
    page.getByLabel("Phase: Still: click to set a keyframe").click();
    w.field("Playhead").press("End");
    w.type("Phase", "360");
    assertThat(w.path(1).get("phase").asObject().get("keyframes").asArray()).hasSize(2);
    w.field("Playhead").press("Home");
    w.button("Turn into points").click();
    assertThat(points(1).size()).isGreaterThan(6);
    undo();
    assertThat(w.path(1).getString("kind", "")).isEqualTo("wave");
    w.button("Fit to frame").or(page.getByText("Place, size and direction")).first().click();
    w.button("Left–right").click();
    assertThat(w.path(1).getBoolean("flipped", false)).isTrue();
    undo();
    assertThat(w.path(1).getBoolean("flipped", false)).isFalse();
  }

  @Test
  void whatStandsOnAPathStaysWhenThePathIsReshaped() {
    draw(0.1, 0.5, 0.5, 0.4, 0.9, 0.5);
    w.tab(3);
    w.type("Path offset", "50%");
    double offset = w.lettering().get("seat").asObject().getDouble("pathOffset", 0);
    w.tab(2);
    w.drag(w.handle("point-2"), -150, -60);
    double kept = w.lettering().get("seat").asObject().getDouble("pathOffset", 0);
    double length = Double.parseDouble(page.getByTestId("path-length").innerText().split(" ")[0]);
    assertThat(kept).isLessThan(offset - 50).isCloseTo(length / 2, within(0.2));
    page.getByText("What stands on it").click();
    radio("Distance").click();
    w.drag(w.handle("point-2"), 60, 60);
    assertThat(w.lettering().get("seat").asObject().getDouble("pathOffset", 0)).isEqualTo(kept);
    w.button("Pin the resting point here").click();
    double pin = w.lettering().get("seat").asObject().getDouble("pin", -1);
    double now = Double.parseDouble(page.getByTestId("path-length").innerText().split(" ")[0]);
    assertThat(pin).isCloseTo(now / 2, within(0.2));
    undo();
    assertThat(w.lettering().get("seat").asObject().get("pin")).isNull();
  }

  @Test
  void aPathInUseIsOnlyDeletedOnceItIsSaidWhereItsLetteringGoes() {
    draw(0.1, 0.5, 0.9, 0.5);
    w.button("Delete Curve 1").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("A lettering sits on it");
    w.button("Do not delete it").click();
    assertThat(pathCount()).isEqualTo(2);
    w.button("Delete Curve 1").click();
    w.button("It keeps a copy of the path").click();
    assertThat(pathCount()).isEqualTo(2);
    assertThat(w.path(1).getString("name", "")).isEqualTo("Curve 1 (kept)");
    undo();
    assertThat(w.path(1).getString("name", "")).isEqualTo("Curve 1");
    w.button("Delete Curve 1").click();
    w.button("To Circle 1").click();
    assertThat(pathCount()).isEqualTo(1);
    assertThat(w.lettering().getString("path", "")).isEqualTo(w.path(0).getString("id", ""));
  }

  private void chooseFile(String testId, String name, String type, String content) {
    page.getByTestId(testId)
        .setInputFiles(new FilePayload(name, type, content.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void linesOfAnSvgFileAreTakenInAndBadFilesAreTold() {
    String svg =
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 50'><title>dune</title>"
            + "<g transform='translate(5 5)'><path d='M0 20C20 0 60 0 90 20'/><circle cx='40' cy='20' r='9'/></g></svg>";
    chooseFile("svg-file", "dune.svg", "image/svg+xml", svg);
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("2 of 2 chosen");
    page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.CHECKBOX).nth(1).uncheck();
    w.button("Take the path").click();
    assertThat(pathCount()).isEqualTo(2);
    assertThat(points(1)).hasSize(2);
    undo();
    assertThat(pathCount()).isEqualTo(1);

    record Bad(String content, String told) {}
    List<Bad> files =
        List.of(
            new Bad("", "empty"),
            new Bad("GIF89a no picture of lines", "SVG"),
            new Bad("<svg xmlns='http://www.w3.org/2000/svg'><text>no line</text></svg>", "no"),
            new Bad(
                "<!DOCTYPE svg [<!ENTITY a 'aaaa'><!ENTITY b '&a;&a;&a;'>]><svg xmlns='http://www.w3.org/2000/svg'><path d='M0 0L9 9'/><text>&b;</text></svg>",
                ""));
    for (Bad bad : files) {
      chooseFile("svg-file", "bad.svg", "image/svg+xml", bad.content());
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText(bad.told());
      assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT).first()).isVisible();
      w.button("Cancel").click();
    }
    assertThat(pathCount()).isEqualTo(1);
  }

  @Test
  void brokenPathDataIsDrawnUpToTheErrorAndItsPlaceTold() {
    w.newPath("Path data");
    page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Path data"))
        .fill("M10 80 C40 10 65 10 95 80 L nonsense");
    assertThat(alert()).containsText("Broken at character 29");
    w.button("Take the path").click();
    assertThat(points(1)).hasSize(2);
  }

  @Test
  void aPictureToTraceOverIsShownScaledAndTakenAway() {
    String svg =
        "<svg xmlns='http://www.w3.org/2000/svg' width='64' height='48'><rect width='64' height='48' fill='#C4472D'/></svg>";
    page.getByText("Trace over a picture").click();
    chooseFile("template-file", "sketch.svg", "image/svg+xml", svg);
    assertThat(page.getByTestId("template-image")).isVisible();
    JsonObject template = w.document().get("templates").asArray().get(0).asObject();
    assertThat(template.getDouble("height", 0)).isEqualTo(1080);
    w.type("Wide", "640");
    assertThat(w.document().get("templates").asArray().get(0).asObject().getDouble("height", 0))
        .isEqualTo(480);
    undo();
    undo();
    assertThat(page.getByTestId("template-image")).hasCount(0);
    chooseFile("template-file", "sketch.png", "image/png", "no picture at all");
    assertThat(alert()).isVisible();
    assertThat(w.document().get("templates").asArray()).isEmpty();
  }

  @Test
  void changeOfShapeIsOnlyOnWhenAskedForAndOneClickTakesItAway() {
    draw(0.1, 0.5, 0.5, 0.4, 0.9, 0.5);
    page.getByText("Change of shape").click();
    w.button("Let this path change shape over time").click();
    w.field("Playhead").press("End");
    w.drag(w.handle("point-1"), 0, 80);
    assertThat(w.path(1).get("shapes").asArray()).hasSize(2);
    assertThat(page.getByText("changes shape over time").first()).isVisible();
    w.button("Keep this shape for the whole scene").click();
    assertThat(w.path(1).get("shapes")).isNull();
    undo();
    assertThat(w.path(1).get("shapes").asArray()).hasSize(2);
  }
}
