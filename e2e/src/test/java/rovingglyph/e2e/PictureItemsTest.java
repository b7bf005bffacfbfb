package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.pictures.MadePictures;

/** Pictures at the workbench: chosen, dropped, pasted; placed, cropped, replaced, taken away. */
class PictureItemsTest extends PageTest {
  @BeforeEach
  void open() {
    newScene("Pictures");
    w.tab(5);
  }

  private JsonObject picture() {
    List<JsonObject> all = w.items("picture");
    return all.get(all.size() - 1);
  }

  private double value(String channel) {
    return picture().getDouble(channel, Double.NaN);
  }

  private static FilePayload file(String name, int width, int height) throws IOException {
    return new FilePayload(name, "image/png", MadePictures.png(width, height));
  }

  private void add(FilePayload... files) {
    FileChooser chooser = page.waitForFileChooser(() -> w.button("Add pictures").click());
    chooser.setFiles(files);
    assertThat(w.handle("picture-body")).isVisible();
  }

  /** The colour on the stage in the middle of a quarter of the picture, by rows. */
  private List<Integer> pixel(int quarter) {
    BoundingBox b = w.handle("picture-body").boundingBox();
    double x = b.x + b.width * (quarter % 2 == 0 ? 0.3 : 0.7);
    double y = b.y + b.height * (quarter < 2 ? 0.3 : 0.7);
    @SuppressWarnings("unchecked")
    List<Integer> out =
        (List<Integer>)
            page.evaluate(
                """
                ([x, y]) => {
                  const canvas = document.querySelector('[data-frame] canvas');
                  const r = canvas.getBoundingClientRect();
                  const k = canvas.width / r.width;
                  const g = canvas.getContext('2d');
                  const at = [(x - r.left) * k, (y - r.top) * k];
                  return [...g.getImageData(at[0], at[1], 1, 1).data];
                }""",
                List.of(x, y));
    return out;
  }

  @Test
  void picturesAreChosenShownAndUndone() throws IOException {
    add(file("Quay.png", 640, 360), file("Dunes.png", 400, 400));
    assertThat(page.getByLabel("Add Dunes")).isVisible();
    assertThat(w.items("picture"))
        .extracting(p -> p.getString("name", ""))
        .containsExactly("Quay", "Dunes");
    assertThat(pixel(0)).containsExactly(255, 0, 0, 255);
    assertThat(pixel(3)).containsExactly(255, 255, 255, 255);
    page.keyboard().press("Control+z");
    assertThat(w.items("picture")).hasSize(1);
    // The project keeps it.
    assertThat(page.getByLabel("Add Dunes")).isVisible();
    page.keyboard().press("Control+Shift+z");
    assertThat(w.items("picture")).hasSize(2);
    w.reload();
    assertThat(w.items("picture")).hasSize(2);
  }

  @Test
  void aPictureStandsWhereItIsDroppedOrInTheMiddleIfItIsPasted() throws IOException {
    w.give("drop", MadePictures.png(300, 200), "kite.png", "image/png", 0.25, 0.75);
    assertThat(w.handle("picture-body")).isVisible();
    assertThat(value("x")).isCloseTo(480, within(2.0));
    assertThat(value("y")).isCloseTo(810, within(2.0));
    w.give("paste", MadePictures.png(302, 200), "image.png", "image/png", 0, 0);
    assertThat(page.getByLabel("Add image")).isVisible();
    assertThat(value("x")).isEqualTo(960);
    w.tab(1);
    w.button("Lettering").click();
    w.field("Text").focus();
    w.give("paste", MadePictures.png(304, 200), "words.png", "image/png", 0, 0);
    assertThat(w.field("Text")).isFocused();
    w.tab(5);
    w.give("drop", "kite".getBytes(), "notes.txt", "text/plain", 0.5, 0.5);
    assertThat(page.getByText("notes.txt is neither a picture")).isVisible();
    w.give("drop", "kite".getBytes(), "broken.png", "image/png", 0.5, 0.5);
    assertThat(page.getByText("broken.png: This is no picture")).isVisible();
    assertThat(w.items("picture")).hasSize(2);
  }

  @Test
  void anSvgOfPlainShapesIsADrawingWhoseColoursCanBeChangedAndAnyOtherAPicture() {
    String head = "<svg xmlns='http://www.w3.org/2000/svg' width='200' height='100'>";
    String kite =
        head
            + "<path d='M0 0h100v100z' fill='#336699'/><rect x='120' width='40' height='40'/></svg>";
    w.give("drop", kite.getBytes(), "kite.svg", "image/svg+xml", 0.5, 0.5);
    assertThat(w.handle("place-centre")).isVisible();
    JsonObject drawing = w.items("drawing").get(0);
    assertThat(drawing.getString("name", "")).isEqualTo("kite");
    assertThat(drawing.get("parts").asArray()).hasSize(2);
    page.getByLabel("Colour 1: six hexadecimal digits").fill("#C4472D");
    page.keyboard().press("Enter");
    page.getByLabel("Colour 1: six hexadecimal digits").blur();
    drawing = w.items("drawing").get(0);
    assertThat(drawing.get("parts").asArray().get(0).asObject().getString("fill", ""))
        .isEqualTo("#C4472D");
    assertThat(drawing.get("parts").asArray().get(1).asObject().getString("fill", ""))
        .isEqualTo("#000000");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(w.items("drawing")).isEmpty();
    String faded = kite.replace("fill='#336699'", "fill='#336699' opacity='.5'");
    w.give("drop", faded.getBytes(), "faded.svg", "image/svg+xml", 0.5, 0.5);
    assertThat(page.getByLabel("Add faded")).isVisible();
    assertThat(w.items("picture")).hasSize(1);
    assertThat(value("pixelWidth")).isEqualTo(200);
  }

  @Test
  void itIsMovedScaledTurnedAndCroppedOnTheStage() throws IOException {
    add(file("Quay.png", 640, 360));
    BoundingBox b = w.handle("picture-body").boundingBox();
    double perPixel = 640 / b.width;
    w.drag(b.x + 20, b.y + 20, 45, 30);
    assertThat(value("x")).isCloseTo(960 + 45 * perPixel, within(2 * perPixel));
    page.keyboard().press("Control+z");
    assertThat(value("x")).isEqualTo(960);
    w.drag(w.handle("picture-corner-2"), b.width / 2, b.height / 2);
    assertThat(value("scale")).isCloseTo(2, within(0.05));
    page.keyboard().press("Control+z");
    assertThat(value("scale")).isEqualTo(1);
    w.drag(w.handle("crop-left"), b.width / 4, 0);
    assertThat(value("cropLeft")).isCloseTo(25, within(1.5));
    w.handle("crop-bottom").focus();
    page.keyboard().press("Shift+ArrowUp");
    page.keyboard().press("ArrowUp");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowUp");
    assertThat(value("cropBottom")).isEqualTo(11);
    assertThat(value("y")).as("the picture itself stays").isEqualTo(540);
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(value("cropLeft")).isZero();
  }

  @Test
  void aClickThroughItChoosesWhatLiesAboveIt() throws IOException {
    w.addLettering("kites");
    w.tab(5);
    add(file("Quay.png", 1920, 1080));
    // The first letters stand on the top of the circle.
    BoundingBox frame = page.locator("[data-frame]").boundingBox();
    JsonObject circle = w.path(0);
    double k = frame.width / 1920;
    double top = circle.getDouble("y", 0) - circle.getDouble("radius", 0);
    page.mouse().click(frame.x + frame.width / 2, frame.y + (top - 20) * k);
    assertThat(w.handle("picture-body")).isHidden();
    page.mouse().click(frame.x + 8, frame.y + 8);
    assertThat(w.handle("picture-body")).isVisible();
  }

  @Test
  void itIsFittedFilledAndReplaced() throws IOException {
    add(file("Quay.png", 640, 480));
    w.button("Fill").click();
    assertThat(value("scale")).isEqualTo(3);
    w.button("Fit").click();
    assertThat(value("scale")).isEqualTo(2.25);
    w.type("Rotation", "30");
    String before = picture().getString("image", "");
    FileChooser chooser = page.waitForFileChooser(() -> w.button("Replace").click());
    chooser.setFiles(file("Other.png", 500, 500));
    assertThat(page.getByText("500 × 500 px")).isVisible();
    assertThat(picture().getString("image", "")).isNotEqualTo(before);
    assertThat(value("rotation")).isEqualTo(30);
    assertThat(value("height")).isEqualTo(640);
  }

  @Test
  void oneThatIsShownIsTakenOutOfTheProjectOnlyOnPurpose() throws IOException {
    add(file("Quay.png", 600, 400));
    w.waitKept();
    page.getByLabel("Add Quay").hover();
    page.getByLabel("Take Quay out of this project").click();
    assertThat(page.getByText("It is shown in")).isVisible();
    w.button("Leave it").click();
    assertThat(page.getByLabel("Add Quay")).isVisible();
    page.getByLabel("Add Quay").hover();
    page.getByLabel("Take Quay out of this project").click();
    w.button("Take it out").click();
    assertThat(page.getByLabel("Add Quay")).isHidden();
    assertThat(w.items("picture")).hasSize(1);
  }
}
