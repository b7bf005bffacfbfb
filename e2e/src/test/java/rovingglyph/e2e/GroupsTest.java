package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Groups made, moved and taken apart by pointer and keyboard. */
class GroupsTest extends PageTest {
  @BeforeEach
  void twoLetteringsInAGroup() {
    newScene("Groups");
    w.addLettering("wind");
    w.addLettering("kites");
    w.tab(4);
    chip("wind").click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make a group")).click();
  }

  private Locator chip(String name) {
    return page.getByLabel("Stack, back to front")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private JsonObject group() {
    return w.items("group").get(0);
  }

  private List<String> members() {
    return group().get("members").asArray().values().stream().map(Object::toString).toList();
  }

  @Test
  void itsHandlesMoveTurnAndScaleWhatIsInIt() {
    assertThat(members()).hasSize(2);
    BoundingBox before = w.handle("place-centre").boundingBox();
    w.drag(w.handle("place-centre"), 60, -40);
    BoundingBox after = w.handle("place-centre").boundingBox();
    assertThat(after.x - before.x).isCloseTo(60, within(7.0));
    assertThat(after.y - before.y).isCloseTo(-40, within(7.0));
    // A quarter round the ring.
    w.drag(w.handle("place-turn"), -58, 58);
    assertThat(group().getDouble("rotation", 0)).isCloseTo(90, within(8.0));
    w.drag(w.handle("place-scale"), -41, 41);
    assertThat(group().getDouble("scale", 0)).isCloseTo(2, within(0.1));
    double x = group().getDouble("x", 0);
    chip("Group 1").press("ArrowRight");
    assertThat(group().getDouble("x", 0)).isCloseTo(x + 1, within(1e-6));
  }

  @Test
  void aLetteringInItIsHandledWhereTheGroupBringsIt() {
    w.type("Centre x", "960+240");
    w.type("Rotation", "90");
    chip("kites").click();
    w.tab(3);
    BoundingBox puck = w.handle("puck").boundingBox();
    // It was at the top of the ring; turned by a quarter it is on the right of it.
    BoundingBox ring = page.locator("[data-frame]").boundingBox();
    assertThat(puck.y + puck.height / 2).isCloseTo(ring.y + ring.height / 2, within(3.0));
    w.drag(w.handle("puck"), 0, 60);
    JsonObject kites = w.items("lettering").get(1);
    double offset = kites.get("seat").asObject().getDouble("pathOffset", 0);
    double scale = ring.width / 1920;
    assertThat(offset).isCloseTo(60 / scale, within(12 / scale));
  }

  @Test
  void thePuckOfATurnedLetteringIsWhereItsWordsAre() {
    chip("kites").click();
    BoundingBox before = w.handle("puck").boundingBox();
    w.type("Rotation", "90");
    BoundingBox after = w.handle("puck").boundingBox();
    BoundingBox frame = page.locator("[data-frame]").boundingBox();
    // From the top of the ring to its right.
    double radius = frame.y + frame.height / 2 - (before.y + before.height / 2);
    assertThat(after.x - before.x).isCloseTo(radius, within(2.0));
    assertThat(after.y - before.y).isCloseTo(radius, within(2.0));
  }

  @Test
  void itsValuesAreKeyframedAndChartedAndStandAfterALoad() {
    page.getByLabel("Opacity", new Page.GetByLabelOptions().setExact(true)).first().fill("40");
    page.keyboard().press("Enter");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Opacity: "))
        .first()
        .click();
    assertThat(group().get("opacity").asObject().get("keyframes").asArray()).hasSize(1);
    w.reload();
    chip("Group 1").click();
    assertThat(page.getByText("What moves")).isVisible();
    assertThat(
            page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Opacity 1 keyframe")))
        .isVisible();
  }

  @Test
  void membersLeaveByKeyboardAndTheGroupIsTakenApart() {
    chip("kites").press("Alt+ArrowUp");
    assertThat(members()).hasSize(1);
    assertThat(w.document().get("stack").asArray()).hasSize(2);
    chip("kites").press("Alt+ArrowDown");
    assertThat(members()).hasSize(2);
    chip("Group 1").click();
    w.button("Take the group apart").click();
    assertThat(w.items("group")).isEmpty();
    assertThat(w.document().get("stack").asArray()).hasSize(2);
    w.button("Undo").click();
    assertThat(members()).hasSize(2);
  }

  /** What it does stays; where that cannot be, it is said why, and done all the same if wished. */
  @Test
  void whatItDoesIsWorkedIntoItsMembers() {
    w.tab(5);
    w.type("Rotation", "30");
    w.button("Take the group apart").last().click();
    assertThat(w.items("group")).isEmpty();
    assertThat(w.path(0).getDouble("turn", 0) + w.path(0).getDouble("startAngle", 0)).isNotZero();
    w.button("Undo").click();
    chip("Group 1").click();
    w.type("Opacity", "50");
    w.button("Take the group apart").last().click();
    assertThat(page.getByText("It cannot look the same without the group: it fades as one"))
        .isVisible();
    assertThat(members()).hasSize(2);
    w.button("Take it apart all the same").click();
    assertThat(w.items("group")).isEmpty();
  }
}
