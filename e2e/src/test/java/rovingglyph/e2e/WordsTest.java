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
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Words and Seat tabs, used by pointer and keyboard. */
class WordsTest extends PageTest {
  private static final Path FACES = Path.of("../server/src/main/resources/faces");

  @BeforeEach
  void open() {
    newScene("Words");
    w.addLettering("kites up");
  }

  private JsonObject seat() {
    return w.lettering().get("seat").asObject();
  }

  private void choose(String label, String option) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(label + ":")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).first().click();
  }

  private Locator radio(String name) {
    return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** How long the text and its room are, as the Seat sheet says. */
  private double[] facts() {
    String[] words = page.getByTestId("fit-facts").innerText().split(" ");
    return new double[] {Double.parseDouble(words[1]), Double.parseDouble(words[7])};
  }

  @Test
  void aFontFileIsAddedUsedAndTakenOutAgain() throws IOException {
    byte[] font = Files.readAllBytes(FACES.resolve("comfortaa.ttf"));
    page.getByTestId("font-file").setInputFiles(new FilePayload("own.ttf", "font/ttf", font));
    assertThat(page.getByText("is kept with this project").first()).isVisible();
    JsonObject l = w.lettering();
    String face = l.getString("face", "");
    assertThat(face).startsWith("font-");
    assertThat(l.getString("faceName", "")).contains("Comfortaa");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Face:")).click();
    Locator out =
        page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName("Take " + l.getString("faceName", "") + " out"));
    out.click();
    page.keyboard().press("Escape");
    // The words stay, in the fallback, and the missing face is named.
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("Comfortaa");
    assertThat(page.getByText("is shown in the fallback").first()).isVisible();
    assertThat(w.lettering().getString("text", "")).isEqualTo("kites up");
    assertThat(w.lettering().getString("face", "")).isEqualTo(face);

    page.getByTestId("font-file")
        .setInputFiles(new FilePayload("bad.ttf", "font/ttf", "no font".getBytes()));
    assertThat(page.getByText("This is no font").first()).isVisible();
  }

  @Test
  void phrasesWithSeparatorsCloseARingExactly() {
    w.field("Text").fill("north wind\nsouth wind");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Separator:")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Bullet")).click();
    w.type("Space round it", "0.4");
    JsonObject phrases = w.lettering().get("phrases").asObject();
    assertThat(phrases.getString("separator", "")).isEqualTo("•");
    assertThat(phrases.getDouble("space", 0)).isEqualTo(0.4);
    w.tab(3);
    double natural = facts()[0];
    choose("Fit", "Repeat");
    assertThat(seat().getString("fit", "")).isEqualTo("repeat");
    assertThat(facts()[0]).isGreaterThan(natural).isCloseTo(facts()[1], within(1.0));
    w.button("Undo").first().click();
    assertThat(seat().get("fit")).isNull();
  }

  @Test
  void everyFitFillsTheRoomInItsWay() {
    w.tab(3);
    w.type("Start margin", "100");
    for (String fit : List.of("Spread", "Stretch", "Scale", "Repeat")) {
      choose("Fit", fit);
      assertThat(facts()[0]).as(fit).isCloseTo(facts()[1], within(1.0));
    }
    choose("Fit", "Natural");
    double text = facts()[0];
    assertThat(text).isLessThan(facts()[1]);
    w.type("End margin", "2100");
    assertThat(page.getByText("longer than its room").first()).isVisible();
    choose("If too long", "Shrink to fit");
    assertThat(facts()[0]).isLessThan(text).isCloseTo(facts()[1], within(1.0));
  }

  @Test
  void someWordsDifferInColourAndSize() {
    w.unfold("Some words differ");
    w.button("Let some letters differ").click();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Which:")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("A word")).click();
    w.field("The word").fill("up");
    Locator rule = page.getByTestId("rule-0");
    rule.getByLabel("Size").fill("150");
    rule.getByLabel("Size").press("Enter");
    JsonObject kept = w.lettering().get("rules").asArray().get(0).asObject();
    assertThat(kept.getString("match", "")).isEqualTo("up");
    assertThat(kept.getString("fill", "")).isEqualTo("#C4472D");
    assertThat(kept.getDouble("size", 0)).isEqualTo(150);
    assertThat(colours()).contains(0xC4472D, 0x1F2B37);
    w.button("Take this rule away").click();
    assertThat(colours()).doesNotContain(0xC4472D);
  }

  /** Colours on the stage's canvas that are not mixed by its edges. */
  @SuppressWarnings("unchecked")
  private List<Integer> colours() {
    page.waitForTimeout(300);
    return (List<Integer>)
        page.evaluate(
            """
            () => {
              const c = document.querySelector('main canvas');
              const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data;
              const seen = new Map();
              for (let i = 0; i < d.length; i += 4) {
                if (d[i + 3] < 255) continue;
                const rgb = (d[i] << 16) | (d[i + 1] << 8) | d[i + 2];
                seen.set(rgb, (seen.get(rgb) ?? 0) + 1);
              }
              return [...seen].filter(([, n]) => n > 12).map(([rgb]) => rgb);
            }""");
  }

  @Test
  void caseFeaturesAxesAndRowsAreSet() {
    radio("ALL").click();
    assertThat(w.lettering().getString("casing", "")).isEqualTo("upper");
    w.type("Weight", "300");
    assertThat(w.lettering().get("axes").asObject().getDouble("wght", 0)).isEqualTo(300);
    page.getByLabel("Weight: Still: click to set a keyframe").click();
    w.field("Playhead").press("End");
    w.type("Weight", "800");
    JsonObject weight = w.lettering().get("axes").asObject().get("wght").asObject();
    assertThat(weight.get("keyframes").asArray()).hasSize(2);
    w.unfold("Features of the typeface");
    page.getByLabel("Kerning").uncheck();
    assertThat(w.lettering().get("features").asObject().getInt("kern", 1)).isZero();
    w.unfold("Several rows");
    w.type("Rows", "3");
    assertThat(w.lettering().get("rows").asObject().getInt("count", 0)).isEqualTo(3);
    for (int i = 0; i < 6; i++) {
      w.button("Undo").first().click();
    }
    JsonObject back = w.lettering();
    assertThat(back.get("rows")).isNull();
    assertThat(back.get("casing")).isNull();
  }

  @Test
  void changingSidesKeepsTheWordsInPlaceAndReadableTurnsThemUp() {
    w.tab(3);
    radio("Middle").click();
    // The middle of the text at the bottom of the circle: upside down outside.
    w.type("Path offset", "50%");
    BoundingBox before = w.handle("puck").boundingBox();
    radio("Inside").click();
    BoundingBox after = w.handle("puck").boundingBox();
    assertThat(after.x).isCloseTo(before.x, within(2.0));
    assertThat(after.y).isCloseTo(before.y, within(2.0));
    assertThat(seat().getString("side", "")).isEqualTo("right");
    // Read the other way they are upright there; outside they are brought round to the top.
    w.button("Make it readable").click();
    assertThat(seat().getString("side", "")).isEqualTo("right");
    radio("Outside").click();
    w.button("Make it readable").click();
    assertThat(seat().getString("side", "left")).isEqualTo("left");
    assertThat(w.handle("puck").boundingBox().y).isLessThan(before.y - 100);
    double pin = seat().getDouble("pin", -1);
    w.button("Make it readable").click();
    assertThat(seat().getDouble("pin", -1)).isEqualTo(pin);
  }

  @Test
  void lettersChangeAlongTheRunByASmallCurve() {
    w.tab(3);
    w.unfold("Letters along the run");
    w.button("Let letters change along the run").click();
    JsonArray points = profile().get("points").asArray();
    assertThat(points).hasSize(3);
    page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Point 2")).focus();
    page.keyboard().press("Shift+ArrowUp");
    double raised = profile().get("points").asArray().get(1).asArray().get(1).asDouble();
    assertThat(raised).isGreaterThan(points.get(1).asArray().get(1).asDouble() + 10);
    BoundingBox curve = page.getByTestId("curve").boundingBox();
    page.mouse().dblclick(curve.x + curve.width * 0.8, curve.y + curve.height * 0.5);
    assertThat(profile().get("points").asArray()).hasSize(4);
    page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Point 2")).focus();
    page.keyboard().press("Delete");
    assertThat(profile().get("points").asArray()).hasSize(3);
  }

  private JsonObject profile() {
    return w.lettering().get("profiles").asArray().get(0).asObject();
  }

  @Test
  void handlesOnTheStageSetSeamAndShift() {
    w.tab(3);
    w.type("Baseline shift", "60");
    w.drag(w.handle("shift"), 0, -30);
    assertThat(seat().getDouble("baselineShift", 60)).isNotEqualTo(60);
    choose("Fit", "Spread");
    w.drag(w.handle("seam"), 50, 8);
    assertThat(seat().getDouble("seamGap", 0)).isGreaterThan(20);
    assertThat(page.getByTestId("room-laid-straight")).isVisible();
  }

  @Test
  void oddTextsAreShownSensibly() {
    String marks = "a" + "\u0301".repeat(200);
    for (String odd :
        List.of(
            "\u200d\u200d",
            "a\u0007b\u0000c".replace("\u0000", ""),
            "\ud83d\ude00 ok",
            marks,
            "\u05e9\u05dc\u05d5\u05dd kites \u0633\u0644\u0627\u0645")) {
      w.field("Text").fill(odd);
      page.waitForTimeout(300);
    }
    assertThat(page.getByTestId("overlay")).isVisible();
    w.waitKept();
  }
}
