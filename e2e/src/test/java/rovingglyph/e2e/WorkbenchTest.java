package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The real interface, used by pointer and keyboard. */
class WorkbenchTest extends PageTest {
  private static JsonObject seat(Workbench w) {
    return w.lettering().get("seat").asObject();
  }

  private static JsonArray keyframes(Workbench w) {
    return seat(w).get("pathOffset").asObject().get("keyframes").asArray();
  }

  @Test
  void aFirstPieceFromEmptySceneToFinishedFiles(@TempDir Path folder) throws Exception {
    newScene("First piece");
    w.button("Add a lettering").click();
    w.field("Text").fill("Saltmarsh");

    // A curve: two clicks, the second pressed and dragged to bend.
    w.tab(2);
    w.newPath("Curve");
    BoundingBox stage = page.locator("[data-frame]").boundingBox();
    page.mouse().click(stage.x + 60, stage.y + stage.height * 0.7);
    w.drag(stage.x + stage.width / 2, stage.y + stage.height * 0.3, 90, 0);
    page.mouse().click(stage.x + stage.width - 60, stage.y + stage.height * 0.7);
    page.keyboard().press("Enter");
    JsonArray paths = w.document().get("paths").asArray();
    JsonObject curve = paths.get(0).asObject();
    assertThat(curve.get("points").asArray()).hasSize(3);
    assertThat(w.lettering().getString("path", "")).isEqualTo(curve.getString("id", ""));

    // The puck along the path: the offset grows and nothing else changes.
    w.tab(3);
    w.drag(w.handle("puck"), 70, 6);
    double offset = seat(w).getDouble("pathOffset", 0);
    assertThat(offset).isGreaterThan(80);
    assertThat(seat(w).getDouble("baselineShift", -1)).isZero();
    w.drag(w.handle("start-stop"), 60, -40);
    assertThat(seat(w).getDouble("startMargin", 0)).isGreaterThan(50);

    // Two keyframes in the chart by double-click, then one dragged down.
    w.tab(4);
    BoundingBox chart = page.getByTestId("chart-svg").boundingBox();
    page.mouse().dblclick(chart.x + 80, chart.y + 60);
    page.mouse().dblclick(chart.x + chart.width - 60, chart.y + chart.height * 0.6);
    assertThat(keyframes(w)).hasSize(2);
    double before = keyframes(w).get(1).asObject().getDouble("time", 0);
    w.drag(w.handle("ring-1"), -30, 60);
    assertThat(keyframes(w).get(1).asObject().getDouble("time", 0)).isGreaterThan(before + 0.3);

    w.button("Play").click();
    page.waitForTimeout(1200);
    w.button("Pause").click();
    assertThat(page.getByLabel("Time at the playhead")).not().hasValue("00:02.00");

    // Smaller and shorter, so that the video is made in a moment.
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("fps")).click();
    w.type("Width", "1280/4");
    w.type("Height", "180");
    w.type("Length", "1");
    page.keyboard().press("Escape");
    w.waitKept();
    w.button("Export…").click();
    w.button("Make the video").click();
    w.button("Make the SVG").click();
    w.unfold("Stills");
    w.button("Make the still").click();
    Path mp4 = download(folder, "mp4");
    assertThat(probe(mp4)).isEqualTo("h264,320,180,yuv420p,25/1,25");
    Path svg = download(folder, "svg");
    assertThat(Files.readString(svg))
        .contains("offset-path", "@property")
        .doesNotContain("<script", "<text");
    Page viewer = page.context().newPage();
    viewer.setContent(Files.readString(svg));
    assertThat(((Number) viewer.evaluate("() => document.getAnimations().length")).intValue())
        .isEqualTo(1);
    download(folder, "png");
    w.unfold("Frames ZIP");
    Locator sequence = page.getByLabel("PNG sequence", new Page.GetByLabelOptions().setExact(true));
    sequence.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Choices")).click();
    sequence.getByLabel("Size").fill("50");
    sequence.getByLabel("First number").fill("101");
    sequence.getByLabel("First number").press("Enter");
    w.button("Make the sequence").click();
    try (ZipFile zip = new ZipFile(download(folder, "zip").toFile())) {
      assertThat(zip.size()).isEqualTo(25);
      ZipEntry first = zip.entries().nextElement();
      assertThat(first.getName()).endsWith("-0101.png");
      assertThat(ImageIO.read(zip.getInputStream(first)).getWidth()).isEqualTo(160);
    }
    w.button("Make the animation").click();
    assertThat(probe(download(folder, "apng"))).startsWith("apng,320,180,rgb");
  }

  private Path download(Path folder, String ending) {
    var link = page.locator("li", new Page.LocatorOptions().setHasText("." + ending)).locator("a");
    assertThat(link).isVisible();
    Download d = page.waitForDownload(link::click);
    Path file = folder.resolve(d.suggestedFilename());
    d.saveAs(file);
    return file;
  }

  private static String probe(Path file) throws Exception {
    Process p =
        new ProcessBuilder(
                "ffprobe",
                "-v",
                "error",
                "-count_frames",
                "-show_entries",
                "stream=codec_name,pix_fmt,width,height,r_frame_rate,nb_read_frames",
                "-of",
                "csv=p=0",
                file.toString())
            .start();
    return new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
  }

  @Test
  void everyEditIsUndoneRedoneAndThereAfterAReload() {
    newScene("Undo");
    w.addLettering("one");
    w.tab(3);
    w.type("Baseline shift", "3*25");
    w.button("Undo").click();
    assertThat(seat(w).getDouble("baselineShift", -1)).isZero();
    w.button("Redo").click();
    assertThat(seat(w).getDouble("baselineShift", 0)).isEqualTo(75);
    w.waitKept();
    w.reload();
    page.keyboard().press("3");
    assertThat(w.field("Baseline shift")).hasValue("75");
    w.button("Undo").click();
    assertThat(w.field("Baseline shift")).hasValue("0");
  }

  @Test
  void ringsSetAndRemoveKeyframesAndEditsOfMovingValuesAddThem() {
    newScene("Rings");
    w.addLettering("rings");
    w.tab(4);
    w.page.getByLabel("Path offset: Still: click to set a keyframe").click();
    assertThat(keyframes(w)).hasSize(1);
    w.field("Playhead").press("End");
    w.type("Path offset", "1 lap");
    assertThat(page.getByText("Keyframe set for path offset")).isVisible();
    assertThat(keyframes(w)).hasSize(2);
    assertThat(keyframes(w).get(1).asObject().getDouble("value", 0)).isCloseTo(2375, within(2.0));
    w.page.getByLabel("Path offset: Keyframe here: click to remove it").click();
    assertThat(keyframes(w)).hasSize(1);
    w.button("Undo").first().click();
    w.handle("ring-1").click();
    w.page.keyboard().press("Delete");
    assertThat(keyframes(w)).hasSize(1);
  }

  @Test
  void easingsAndLandingsAreChosenInTheJourney() {
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Kite-string entrance"));
    w.handle("chip-2").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Gentle both")).click();
    assertThat(keyframes(w).get(2).asObject().getString("easing", "")).isEqualTo("ease-in-out");
    w.drag(w.handle("bend-0"), 25, 10);
    assertThat(keyframes(w).get(2).asObject().get("easing").isArray()).isTrue();

    // A landing keeps its goal when it is dragged in time, and is solved again after an edit.
    w.drag(w.handle("ring-0"), 2, 30);
    assertThat(keyframes(w).get(0).asObject().getString("landing", "")).isEqualTo("out-before");
    w.handle("ring-0").click();
    String solved = w.field("Path offset").inputValue();
    w.tab(1);
    w.type("Size", "84");
    w.tab(4);
    w.handle("ring-0").click();
    assertThat(page.getByLabel("The chosen keyframe").getByLabel("Path offset").inputValue())
        .isNotEqualTo(solved);
    for (int i = 0; i < 10 && w.button("Undo").isEnabled(); i++) {
      w.button("Undo").click();
    }
    w.waitKept();
  }

  @Test
  void aKeyframeOnTheWayToALandingStandsOnTheSolvedLine() {
    Workbench w = Workbench.open(SERVER, page, Workbench.demoScene(SERVER, "Kite-string entrance"));
    w.tab(1);
    w.type("Size", "60");
    w.tab(4);
    page.getByLabel("Poses").locator("li button").first().click();
    for (int i = 0; i < 8; i++) {
      page.keyboard().press(".");
    }
    // The sheet follows once the playhead rests.
    assertThat(page.getByText("At 00:00.08")).isVisible();
    String before = w.field("Path offset").inputValue();
    page.getByLabel("Path offset: Moves, no keyframe here: click to set one").click();
    assertThat(w.field("Path offset")).hasValue(before);
    w.button("Undo").click();
    w.button("Undo").click();
    w.waitKept();
  }

  @Test
  void pointsAreMovedAddedBentAndDeletedAndTheDirectionReversed() {
    newScene("Points");
    w.addLettering("points");
    w.tab(2);
    w.newPath("Curve");
    BoundingBox s = page.locator("[data-frame]").boundingBox();
    page.mouse().click(s.x + 80, s.y + 200);
    page.mouse().click(s.x + 300, s.y + 200);
    page.keyboard().press("Enter");
    page.mouse().dblclick(s.x + 190, s.y + 200);
    assertThat(points(w)).hasSize(3);
    w.drag(w.handle("point-1"), 0, -60);
    w.button("Undo").click();
    w.button("Redo").click();
    w.page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Smooth")).click();
    double y = points(w).get(1).asObject().get("out").asArray().get(1).asDouble();
    w.drag(w.handle("handle-out"), 0, 40);
    assertThat(points(w).get(1).asObject().get("out").asArray().get(1).asDouble())
        .isGreaterThan(y + 50);
    double firstX = points(w).get(0).asObject().getDouble("x", 0);
    page.getByText("Place, size and direction").click();
    w.button("Reverse").click();
    assertThat(points(w).get(2).asObject().getDouble("x", 0)).isEqualTo(firstX);
    w.page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Closed")).click();
    assertThat(w.document().get("paths").asArray().get(0).asObject().getBoolean("closed", false))
        .isTrue();
    w.handle("point-2").click();
    page.keyboard().press("Delete");
    page.waitForTimeout(100);
    assertThat(points(w)).hasSize(2);
    w.handle("point-1").click();
    page.keyboard().press("Delete");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("at least two points");
    assertThat(points(w)).hasSize(2);
  }

  private static JsonArray points(Workbench w) {
    return w.document().get("paths").asArray().get(0).asObject().get("points").asArray();
  }

  @Test
  void badNumbersAreToldAtTheFieldAndChangeNothing() {
    newScene("Bad numbers");
    w.addLettering("<b>bold?</b>");
    assertThat(page.locator("main ul").first()).containsText("<b>bold?</b>");
    w.tab(2);
    for (String bad : new String[] {"0", "-5", "1e308", "NaN", "8/0", "many"}) {
      w.type("Radius", bad);
      assertThat(page.getByRole(AriaRole.ALERT).first()).isVisible();
      w.field("Radius").press("Escape");
    }
    JsonObject circle = w.document().get("paths").asArray().get(0).asObject();
    assertThat(circle.getDouble("radius", 0)).isEqualTo(378);
  }

  @Test
  void whatTheServerMissedIsKeptByTheBrowserAndSentLater() {
    newScene("Away");
    w.addLettering("before");
    w.waitKept();
    SERVER.stop();
    try {
      w.tab(3);
      w.type("Baseline shift", "44");
      assertThat(page.getByTestId("kept")).containsText("kept in this browser");
    } finally {
      SERVER.start();
    }
    assertThat(seat(w).getDouble("baselineShift", 0)).isEqualTo(44);

    SERVER.stop();
    try {
      w.type("Baseline shift", "45");
      assertThat(page.getByTestId("kept")).containsText("kept in this browser");
      page.close();
    } finally {
      SERVER.start();
    }
    // The tab is gone; the next one on the scene takes up its work.
    page = page.context().newPage();
    Workbench again = Workbench.open(SERVER, page, w.sceneId);
    assertThat(seat(again).getDouble("baselineShift", 0)).isEqualTo(45);
  }

  @Test
  void theSecondTabToSaveChoosesWhoseVersionStands() {
    newScene("Tabs");
    w.addLettering("both");
    w.waitKept();
    Page second = page.context().newPage();
    Workbench other = Workbench.open(SERVER, second, w.sceneId);
    second.waitForTimeout(500);
    w.tab(3);
    w.type("Baseline shift", "10");
    w.waitKept();
    other.tab(3);
    other.type("Baseline shift", "20");
    assertThat(second.getByRole(AriaRole.DIALOG)).containsText("changed elsewhere");
    assertThat(seat(w).getDouble("baselineShift", 0)).isEqualTo(10);
    other.button("Keep my version").click();
    assertThat(seat(other).getDouble("baselineShift", 0)).isEqualTo(20);

    w.type("Baseline shift", "30");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("changed elsewhere");
    w.button("Take the other version").click();
    assertThat(w.field("Baseline shift")).hasValue("20");
    w.button("Undo").click();
    assertThat(w.field("Baseline shift")).hasValue("30");
  }

  @Test
  void projectsAndScenesAreMadeRenamedDuplicatedDeletedAndBroughtBack() {
    newScene("Switching");
    page.getByTestId("switcher").click();
    w.button("New project").click();
    w.field("New project").fill("Own & \"new\" <p>");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("switcher")).containsText("Own & \"new\" <p>");
    page.getByTestId("switcher").click();
    w.button("Duplicate First scene").first().click();
    assertThat(page.getByTestId("switcher")).containsText("First scene copy");
    assertThat(page.getByLabel("Projects and scenes")).isHidden();
    page.getByTestId("switcher").click();
    w.button("Delete Own & \"new\" <p>").click();
    assertThat(page.getByText("is deleted")).isVisible();
    w.button("Undo").last().click();
    page.waitForTimeout(500);
    page.getByTestId("switcher").click();
    assertThat(w.button("Delete Own & \"new\" <p>")).isVisible();
  }

  @Test
  void keysReachEverything() {
    newScene("Keys");
    w.addLettering("keys");
    page.keyboard().press("Escape");
    page.locator("main")
        .click(new com.microsoft.playwright.Locator.ClickOptions().setPosition(5, 5));
    page.evaluate("() => document.activeElement.blur()");
    page.keyboard().press("4");
    assertThat(page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Move")))
        .isVisible();
    page.keyboard().press("Shift+?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Keys and gestures");
    page.keyboard().press("Escape");
    page.keyboard().press("f");
    assertThat(page.getByTestId("overlay")).isHidden();
    page.keyboard().press("Escape");
    assertThat(page.getByTestId("overlay")).isVisible();
  }

  @Test
  void theSideColumnsAreResizedAndHidden() {
    newScene("Columns");
    w.addLettering("wide");
    Locator stage = page.getByRole(AriaRole.MAIN);
    double before = stage.boundingBox().width;
    BoundingBox edge = w.handle("edge-journey").boundingBox();
    w.drag(edge.x + 4, edge.y + 40, -100, 0);
    assertThat(stage.boundingBox().width).isCloseTo(before - 100, within(3.0));
    w.button("Hide the sheet").click();
    assertThat(stage.boundingBox().width).isGreaterThan(before + 100);
    w.reload();
    assertThat(stage.boundingBox().width).isGreaterThan(before + 100);
    page.keyboard().press("1");
    assertThat(w.field("Text")).isVisible();
    w.handle("edge-journey").press("ArrowRight");
    w.handle("edge-journey").press("ArrowRight");
    assertThat(stage.boundingBox().width).isCloseTo(before - 68, within(3.0));
  }
}
