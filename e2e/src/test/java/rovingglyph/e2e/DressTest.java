package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Colour fields, effects, blend modes and clips, as the Dress sheet makes them. */
class DressTest extends PageTest {
  @BeforeEach
  void open() {
    newScene("Dress");
  }

  private JsonObject field() {
    return w.items("colour-field").get(0);
  }

  private Locator radio(String name) {
    return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private void choose(String label, String option) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^" + label + ":")))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  @Test
  void aColourFieldIsAddedFilledPlacedAndMoved() {
    w.tab(5);
    w.button("Colour field").click();
    assertThat(field().getString("area", "")).isEqualTo("frame");
    assertThat(w.handle("place-centre")).isHidden();
    radio("Linear").click();
    w.field("At").last();
    page.getByLabel("Colour: six hexadecimal digits").first().fill("#3366CC");
    page.keyboard().press("Enter");
    JsonObject f = field();
    assertThat(f.getString("filling", "")).isEqualTo("linear");
    assertThat(f.get("stops").asArray()).hasSize(2);
    assertThat(f.get("stops").asArray().get(0).asObject().getString("colour", ""))
        .isEqualTo("#3366CC");
    w.button("Colour").click();
    assertThat(field().get("stops").asArray().get(1).asObject().getDouble("offset", 0))
        .isEqualTo(50);
    radio("Rectangle").click();
    w.type("Width", "500");
    assertThat(w.handle("place-centre")).isVisible();
    w.drag(w.handle("place-centre"), 60, 30);
    assertThat(field().getDouble("x", 0)).isGreaterThan(960);
    assertThat(field().getDouble("width", 0)).isEqualTo(500);
    page.keyboard().press("Control+z");
    assertThat(field().getDouble("x", 0)).isEqualTo(960);
  }

  @Test
  void aPathIsFilledAndGoesWhereItsPathGoes() {
    w.addLettering("kites aloft");
    w.tab(2);
    w.button("Fill this path").click();
    JsonObject shape = w.items("filled-path").get(0);
    String path = w.path(0).getString("id", "");
    assertThat(shape.getString("path", "")).isEqualTo(path);
    assertThat(shape.getBoolean("filled", false)).isTrue();
    w.type("Line width", "12");
    page.getByLabel("Line colour: six hexadecimal digits").fill("#C4472D");
    page.keyboard().press("Enter");
    page.getByText("Filled", new Page.GetByTextOptions().setExact(true)).click();
    shape = w.items("filled-path").get(0);
    assertThat(shape.getBoolean("filled", true)).isFalse();
    assertThat(shape.getString("stroke", "")).isEqualTo("#C4472D");
    assertThat(shape.getDouble("strokeWidth", 0)).isEqualTo(12);
    assertThat(page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first())
        .hasAttribute("aria-pressed", "true");
    // The path is asked for before it goes: the shape keeps one of its own.
    w.tab(2);
    w.button("Delete Circle 1").click();
    assertThat(page.getByText("2 things stand on it or have its shape")).isVisible();
    w.button("Each keeps a copy of the path").click();
    assertThat(w.items("filled-path").get(0).getString("path", "")).isNotEqualTo(path);
    page.keyboard().press("Control+z");
    assertThat(w.items("filled-path").get(0).getString("path", "")).isEqualTo(path);
  }

  @Test
  void lettersAreOutlinedAndDrawnOnOneAfterTheOther() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add outline").click();
    w.type("Width", "9");
    radio("Both").click();
    radio("Sharp").click();
    assertThat(effect(0).getString("side", "")).isEqualTo("centred");
    assertThat(effect(0).getString("join", "")).isEqualTo("miter");
    assertThat(effect(0).getDouble("width", 0)).isEqualTo(9);
    w.type("Drawn", "0");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^Drawn: ")))
        .click();
    w.tab(4);
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions()
                .setName(java.util.regex.Pattern.compile("^Drawn ?1 keyframe")))
        .click();
    page.getByText("Drawn by itself").click();
    page.getByText("Letter by letter").click();
    JsonObject drawn = effect(0).get("drawn").asObject();
    assertThat(drawn.get("stagger").asObject().getString("order", "")).isEqualTo("forward");
    assertThat(page.getByText("Follow")).hasCount(0);
    page.keyboard().press("Control+z");
    assertThat(effect(0).get("drawn").asObject().get("stagger")).isNull();
  }

  @Test
  void lettersAreFilledWithAGradientOrWithNothing() {
    w.addLettering("kites aloft");
    w.tab(5);
    choose("Filled", "Linear gradient");
    assertThat(w.lettering().get("stops").asArray()).hasSize(2);
    assertThat(w.field("Ends down")).hasValue("100");
    choose("Across", "The whole text");
    assertThat(w.field("Ends across")).hasValue("100");
    assertThat(w.field("Ends down")).hasCount(0);
    w.type("Begins across", "20");
    assertThat(w.lettering().getDouble("fromX", 0)).isEqualTo(20);
    choose("Filled", "Nothing");
    assertThat(w.lettering().getString("filling", "")).isEqualTo("none");
    assertThat(page.getByText("Colours along it")).hasCount(0);
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(w.lettering().getDouble("fromX", 0)).isZero();
    assertThat(w.lettering().getString("across", "")).isEqualTo("run");
  }

  @Test
  void aFieldIsSeenThroughLettersThatAreHidden() {
    w.addLettering("kites aloft");
    String letters = w.lettering().getString("id", "");
    w.tab(5);
    w.button("Colour field").last().click();
    choose("Seen through", "kites aloft");
    assertThat(field().get("matte").asObject().getString("item", "")).isEqualTo(letters);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("By its:")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Light")).click();
    page.getByText("Inverted: show what it leaves").click();
    page.getByText("Hide what it is seen through").click();
    JsonObject matte = field().get("matte").asObject();
    assertThat(matte.getString("by", "")).isEqualTo("luminance");
    assertThat(matte.getBoolean("inverted", false)).isTrue();
    assertThat(w.lettering().getBoolean("hidden", false)).isTrue();
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(field().get("matte").asObject().get("inverted")).isNull();
    choose("Seen through", "No other item");
    assertThat(field().get("matte")).isNull();
  }

  @Test
  void aLetteringIsBlurredOverTimeBlendedAndClipped() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add blur").click();
    w.type("Amount", "30");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^Amount: ")))
        .click();
    choose("Blend mode", "Multiply");
    choose("Clip to path", "Circle 1");
    page.getByText("Inverted: show what lies outside").click();
    w.type("Soft edge", "40");
    JsonObject l = w.lettering();
    assertThat(l.getString("blendMode", "")).isEqualTo("multiply");
    JsonObject blur = l.get("effects").asArray().get(0).asObject();
    assertThat(blur.getString("kind", "")).isEqualTo("blur");
    JsonObject key =
        blur.get("stdDeviation").asObject().get("keyframes").asArray().get(0).asObject();
    assertThat(key.getDouble("value", 0)).isEqualTo(30);
    assertThat(l.get("clip").asObject().getBoolean("inverted", false)).isTrue();
    assertThat(l.get("clip").asObject().getDouble("softEdge", 0)).isEqualTo(40);
    w.button("Blur: switch off").click();
    assertThat(w.lettering().get("effects").asArray().get(0).asObject().getBoolean("off", false))
        .isTrue();
    w.button("Blur: remove").click();
    assertThat(w.lettering().get("effects")).isNull();
    page.keyboard().press("Control+z");
    w.reload();
    assertThat(w.lettering().get("effects").asArray()).hasSize(1);
  }

  private JsonObject effect(int index) {
    return w.lettering().get("effects").asArray().get(index).asObject();
  }

  @Test
  void aDropShadowFallsWhereItsHandleIsDraggedOrStepped() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add drop shadow").click();
    assertThat(w.handle("drop-shadow")).isVisible();
    w.drag(w.handle("drop-shadow"), 30, 20);
    double dx = effect(0).getDouble("dx", 0);
    assertThat(dx).isGreaterThan(40);
    assertThat(effect(0).getDouble("dy", 0)).isGreaterThan(30);
    Locator grip =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Shadow: drag"));
    grip.focus();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(effect(0).getDouble("dx", 0)).isCloseTo(dx + 10, within(0.5));
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(effect(0).getDouble("dx", 0)).isEqualTo(6);
    w.type("Spread", "4");
    page.getByLabel("Colour: six hexadecimal digits").fill("#C4472D");
    page.keyboard().press("Enter");
    assertThat(effect(0).getDouble("spread", 0)).isEqualTo(4);
    assertThat(effect(0).getString("colour", "")).isEqualTo("#C4472D");
  }

  /** By its distance and direction too; and done earlier or later by dragging. */
  @Test
  void aDropShadowIsSetByItsDirectionAndTheOrderByDragging() {
    w.addLettering("kites");
    w.tab(5);
    w.button("Add drop shadow").click();
    w.type("Distance", "20");
    w.type("Direction", "90");
    JsonObject shadow = effect(0);
    assertThat(shadow.getDouble("dx", 9)).isCloseTo(0, within(0.01));
    assertThat(shadow.getDouble("dy", 0)).isCloseTo(20, within(0.01));
    w.button("Add blur").click();
    assertThat(effect(1).getString("kind", "")).isEqualTo("blur");
    w.drag(w.handle("effect-grip-1"), 0, -400);
    assertThat(effect(0).getString("kind", "")).isEqualTo("blur");
    w.drag(w.handle("effect-grip-0"), 0, 600);
    assertThat(effect(1).getString("kind", "")).isEqualTo("blur");
    page.keyboard().press("Control+z");
    assertThat(effect(0).getString("kind", "")).isEqualTo("blur");
  }

  /** On the stage, by pointer and keys; along the words only along their path. */
  @Test
  void theEndsOfAGradientAreDragged() {
    w.tab(5);
    w.button("Colour field").click();
    radio("Linear").click();
    radio("Rectangle").click();
    w.drag(w.handle("gradient-to"), 30, -20);
    assertThat(field().getDouble("toX", 50)).isGreaterThan(55);
    assertThat(field().getDouble("toY", 100)).isLessThan(95);
    double before = field().getDouble("fromX", 50);
    page.getByLabel("Where the gradient begins: drag it, or press arrow keys").press("ArrowRight");
    assertThat(field().getDouble("fromX", 50)).isGreaterThan(before);
    page.keyboard().press("Control+z");
    assertThat(field().getDouble("fromX", 50)).isEqualTo(before);
    w.addLettering("kites aloft");
    w.tab(5);
    choose("Filled", "Linear gradient");
    choose("Across", "The whole text");
    w.drag(w.handle("gradient-from"), 25, 25);
    assertThat(w.lettering().getDouble("fromX", 0)).isNotZero();
    assertThat(w.lettering().getDouble("fromY", 0)).isZero();
  }

  @Test
  void aShadowIsCastOnAGroundThatIsMovedSlopedAndThrownTo() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add cast shadow").click();
    double ground = effect(0).getDouble("groundY", 0);
    double far = effect(0).getDouble("farEnd", 0);
    assertThat(ground).as("below the words").isGreaterThan(200);
    w.drag(w.handle("shadow-ground"), 0, 20);
    assertThat(effect(0).getDouble("groundY", 0)).isGreaterThan(ground + 30);
    w.drag(w.handle("shadow-line"), 0, 15);
    assertThat(effect(0).getDouble("groundAngle", 0)).isBetween(5.0, 45.0);
    w.drag(w.handle("shadow-throw"), -60, 10);
    assertThat(effect(0).getDouble("direction", 0)).isGreaterThan(60);
    assertThat(effect(0).getDouble("farEnd", 0)).isEqualTo(far);
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Control+z");
    }
    assertThat(effect(0).getDouble("groundY", 0)).isEqualTo(ground);
    assertThat(effect(0).getDouble("direction", 0)).isEqualTo(60);
    w.button("Cast shadow: switch off").click();
    assertThat(w.handle("shadow-ground")).isHidden();
  }

  @Test
  void theColoursOfAnOutlineGoFromOneHandleToTheOther() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add outline").click();
    assertThat(w.handle("line-gradient-from")).isHidden();
    radio("Radial").last().click();
    assertThat(effect(0).getString("filling", "")).isEqualTo("radial");
    w.drag(w.handle("line-gradient-from"), 120, 0);
    assertThat(effect(0).getDouble("fromX", 0)).isBetween(10.0, 40.0);
    assertThat(effect(0).getDouble("fromY", 50)).isBetween(49.5, 50.5);
    double right = effect(0).getDouble("toX", 100);
    w.button("Where the gradient ends: drag it, or press arrow keys").focus();
    page.keyboard().press("Shift+ArrowLeft");
    assertThat(effect(0).getDouble("toX", 100)).isLessThan(right);
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Control+z");
    }
    assertThat(effect(0).getString("filling", "plain")).isEqualTo("plain");
    assertThat(w.handle("line-gradient-from")).isHidden();
  }

  @Test
  void aFinishIsCopiedToAnItemOfAnotherKind() {
    w.addLettering("kites aloft");
    w.tab(5);
    w.button("Add glow").click();
    radio("Within").click();
    choose("Blend", "Screen");
    w.type("Strength", "220");
    w.button("Copy the finish").click();
    w.button("Colour field").click();
    w.button("Add blur").click();
    w.button("Use the copied finish").click();
    JsonObject copy = field().get("effects").asArray().get(0).asObject();
    assertThat(field().get("effects").asArray()).hasSize(1);
    assertThat(copy.getString("kind", "")).isEqualTo("glow");
    assertThat(copy.getString("side", "")).isEqualTo("inner");
    assertThat(copy.getString("blendMode", "")).isEqualTo("screen");
    assertThat(copy.getDouble("strength", 0)).isEqualTo(220);
    page.keyboard().press("Control+z");
    assertThat(field().get("effects").asArray().get(0).asObject().getString("kind", ""))
        .isEqualTo("blur");
    // Kept by name, it is there in the whole project.
    w.button("Kept finishes").click();
    w.field("Name of the finish").fill("Out of focus");
    w.button("Keep").click();
    w.reload();
    page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).last().click();
    w.tab(5);
    page.getByText("Kept finishes").click();
    w.button("Out of focus").click();
    assertThat(effect(0).getString("kind", "")).isEqualTo("blur");
    w.button("Forget Out of focus").click();
    assertThat(w.button("Out of focus")).isHidden();
  }

  @Test
  void allThatIsChosenIsDressedAlike() {
    w.addLettering("kites");
    w.addLettering("dunes");
    Locator chips = page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON);
    chips.first().click();
    chips
        .last()
        .click(
            new Locator.ClickOptions()
                .setModifiers(List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
    w.tab(5);
    w.button("Add blur").click();
    choose("Blend mode", "Screen");
    for (JsonObject l : w.items("lettering")) {
      assertThat(l.get("effects").asArray()).hasSize(1);
      assertThat(l.getString("blendMode", "")).isEqualTo("screen");
    }
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    for (JsonObject l : w.items("lettering")) {
      assertThat(l.get("effects")).isNull();
    }
  }
}
