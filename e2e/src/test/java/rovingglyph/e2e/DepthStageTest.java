package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Words that are turned in space, by ready views, by the ball, and along their path. */
class DepthStageTest extends PageTest {
  @BeforeEach
  void wordsOnARing() {
    newScene("Depth");
    w.addLettering("kites aloft");
    w.tab(5);
    w.unfold("Tilt and depth");
  }

  private JsonObject plane() {
    JsonValue plane = w.lettering().get("plane");
    return plane == null ? null : plane.asObject();
  }

  private double number(String field) {
    JsonValue v = plane().get(field);
    return v.isNumber() ? v.asDouble() : v.asObject().getDouble("still", 0);
  }

  private void choose(String label, String option) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + label + ":")))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).first().click();
  }

  @Test
  void aViewIsChosenAndTheBallTurnsIt() {
    w.button("Carousel").click();
    assertThat(plane().getString("stance", "")).isEqualTo("standing");
    assertThat(number("tilt")).isEqualTo(76);
    assertThat(w.lettering().get("seat").asObject().getString("side", "left")).isEqualTo("right");
    w.drag(w.handle("ball"), 20, 30);
    assertThat(number("tilt")).isLessThan(70);
    assertThat(number("swing")).isGreaterThan(5);
    double tilt = number("tilt");
    page.getByLabel(Pattern.compile("^Ball: drag")).press("ArrowUp");
    assertThat(number("tilt")).isCloseTo(tilt + 1, within(1e-6));
    BoundingBox ball = w.handle("ball").boundingBox();
    page.mouse().dblclick(ball.x + ball.width / 2, ball.y + 20);
    assertThat(number("tilt")).isZero();
    assertThat(number("swing")).isZero();
    page.keyboard().press("Control+z");
    w.type("Swing", "15");
    assertThat(number("swing")).isEqualTo(15);
    choose("From behind", "Not seen");
    assertThat(plane().getString("backs", "")).isEqualTo("hidden");
    choose("Letters", "Face the viewer");
    assertThat(plane().getString("stance", "")).isEqualTo("facing");
    w.button("Lay it flat again").click();
    assertThat(plane()).isNull();
  }

  /** Letters get thickness, and the light goes where the ball is taken hold of. */
  @Test
  void lettersAreMadeThickAndLit() {
    w.unfold("Thickness and light");
    w.button("Make the letters thick").click();
    assertThat(body().getDouble("thickness", 0)).isPositive();
    w.type("Bevel", "2");
    choose("Bevel form", "Round");
    choose("Sides", "Another colour");
    Locator light = page.getByLabel(Pattern.compile("^Light: drag"));
    BoundingBox box = light.boundingBox();
    page.mouse().click(box.x + box.width / 2 + 20, box.y + box.height / 2);
    assertThat(body().getDouble("lightFrom", 0)).isCloseTo(90, within(1.0));
    assertThat(body().getDouble("lightHeight", 0)).isCloseTo(60, within(2.0));
    light.press("ArrowUp");
    light.press("ArrowRight");
    assertThat(body().getDouble("lightFrom", 0)).isCloseTo(95, within(1.0));
    assertThat(body().getDouble("lightHeight", 0)).isCloseTo(65, within(2.0));
    assertThat(body().getDouble("bevel", 0)).isEqualTo(2);
    assertThat(body().getString("profile", "")).isEqualTo("round");
    w.button("Make them thin again").click();
    assertThat(plane().get("body")).isNull();
  }

  @Test
  void aRingHasACoreAndABand() {
    w.button("Carousel").click();
    w.unfold("Core and band");
    choose("Inside the ring", "A drum");
    JsonObject core = plane().get("core").asObject();
    assertThat(core.getDouble("coreRadius", 0)).isPositive();
    assertThat(core.getDouble("coreHeight", 0)).isPositive();
    choose("Inside the ring", "A ball");
    w.type("Core radius", "120");
    assertThat(page.getByLabel("Core height").count()).isZero();
    page.getByLabel("Band behind the letters").click();
    w.type("Band height", "90");
    core = plane().get("core").asObject();
    assertThat(core.getString("shape", "")).isEqualTo("ball");
    assertThat(core.getDouble("coreRadius", 0)).isEqualTo(120);
    JsonObject band = plane().get("band").asObject();
    assertThat(band.getDouble("bandHeight", 0)).isEqualTo(90);
    choose("Inside the ring", "Nothing");
    page.getByLabel("Band behind the letters").click();
    assertThat(plane().get("core")).isNull();
    assertThat(plane().get("band")).isNull();
  }

  private JsonObject body() {
    return plane().get("body").asObject();
  }

  /** The puck stands where the path is seen, and goes where the pointer takes it. */
  @Test
  void wordsAreDraggedAlongTheirPathAsItIsSeen() {
    w.button("Halo").click();
    w.tab(3);
    BoundingBox path = w.handle("plane-path").boundingBox();
    assertThat(path.height).as("a ring that lies").isLessThan(path.width * 0.6);
    BoundingBox before = w.handle("puck").boundingBox();
    double offset = w.lettering().get("seat").asObject().getDouble("pathOffset", 0);
    w.drag(w.handle("puck"), 60, 4);
    BoundingBox after = w.handle("puck").boundingBox();
    assertThat(after.x - before.x).isCloseTo(60, within(8.0));
    assertThat(w.lettering().get("seat").asObject().getDouble("pathOffset", 0))
        .isNotEqualTo(offset);
    assertThat(w.lettering().get("seat").asObject().getDouble("baselineShift", 0)).isZero();
  }

  @Test
  void wordsGoBehindAnotherItem() {
    w.button("Carousel").click();
    w.button("Colour field").click();
    page.getByLabel("Stack, back to front")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("kites aloft"))
        .first()
        .click();
    choose("Goes behind", "Colour field");
    String field = w.items("colour-field").get(0).getString("id", "");
    assertThat(plane().getString("goesBehind", "")).isEqualTo(field);
    page.keyboard().press("Control+z");
    assertThat(plane().get("goesBehind")).isNull();
  }

  private JsonObject offset() {
    return w.lettering().get("seat").asObject().get("pathOffset").asObject();
  }

  @Test
  void aRingInSpaceIsWrittenInOneClick() {
    w.tab(4);
    w.button("Carousel").click();
    assertThat(plane().getString("stance", "")).isEqualTo("standing");
    assertThat(offset().get("cruise").asObject().getDouble("amount", 0)).isEqualTo(-3);
    PlaywrightAssertions.assertThat(page.getByTestId("recipe")).containsText("3, of 2 s each");
    w.type("A turn takes", "5");
    assertThat(offset().get("cruise").asObject().getDouble("amount", 0)).isEqualTo(-1);
    page.getByText("Right", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(offset().get("cruise").asObject().getDouble("amount", 0)).isEqualTo(1);
    w.button("Stand up").click();
    w.type("Stands after", "2");
    assertThat(offset().get("cruise")).isNull();
    assertThat(plane().get("lean").asObject().get("keyframes").asArray()).hasSize(2);
    w.button("Take this movement away").click();
    assertThat(plane().getDouble("tilt", 0)).as("it lies as it did at the end").isEqualTo(76);
  }

  @Test
  void wordsAreBroughtToTheFrontInTheJourney() {
    w.button("Carousel").click();
    w.tab(4);
    page.getByLabel("Path offset: Still: click to set a keyframe").click();
    w.handle("ring-0").click();
    choose("Lands", "Hidden at the back");
    JsonObject back = offset().get("keyframes").asArray().get(0).asObject();
    assertThat(back.getString("landing", "")).isEqualTo("at-the-back");
    PlaywrightAssertions.assertThat(page.getByText("At the back").first()).isVisible();
    choose("Lands", "Facing the front");
    JsonObject front = offset().get("keyframes").asArray().get(0).asObject();
    double half = Math.abs(front.getDouble("value", 0) - back.getDouble("value", 0));
    assertThat(half).as("half of the ring").isGreaterThan(300);
  }
}
