package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.server.TestServer;

/** Scenes of a project shown within others, as a new user makes them. */
class InsetsTest extends PageTest {
  private String kite;

  /** An empty scene beside one that is full of red, twice as large. */
  @BeforeEach
  void twoScenes() {
    JsonObject project = json("POST", "/api/projects", "{\"name\":\"Insets\"}");
    String open = project.get("scenes").asArray().get(0).asObject().getString("id", "");
    String path = "/api/projects/" + project.getString("id", "") + "/scenes";
    kite = json("POST", path, "{\"name\":\"Kite\"}").getString("id", "");
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Kite","width":3840,"height":2160,"rate":"25",
         "length":2,"background":"#C4472D"}""";
    SERVER.send("PUT", "/api/scenes/" + kite, document, "If-Match", "\"1\"");
    w = Workbench.open(SERVER, page, open);
    w.tab(5);
    w.unfold("Scenes of this project");
  }

  private static JsonObject json(String method, String path, String body) {
    return Json.parse(TestServer.text(SERVER.send(method, path, body))).asObject();
  }

  private JsonObject inset() {
    return w.items("inset").get(0);
  }

  private Locator choice(String label) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + label + ":")));
  }

  /** The colour of the stage in the middle of the frame. */
  private int middle() {
    return Integer.parseInt(
        page.evaluate(
                """
                () => {
                  const c = document.querySelector('[data-frame] canvas');
                  const d = c.getContext('2d').getImageData(c.width / 2, c.height / 2, 1, 1).data;
                  return (d[0] << 16) + (d[1] << 8) + d[2];
                }""")
            .toString());
  }

  @Test
  void isAddedTimedAndSeen() {
    w.button("Add Kite").click();
    w.waitKept();
    assertThat(inset().getString("scene", "")).isEqualTo(kite);
    assertThat(inset().getDouble("scale", 0)).as("as the frame asks").isEqualTo(0.5);
    int before = middle();
    page.getByLabel("With its backdrop").check();
    w.waitKept();
    assertThat(middle()).isNotEqualTo(before).isEqualTo(0xC4472D);
    w.type("Begins at", "1.5");
    w.type("Speed", "0.5");
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Stays")).click();
    w.waitKept();
    assertThat(inset().getDouble("begins", 0)).isEqualTo(1.5);
    assertThat(inset().getDouble("speed", 0)).isEqualTo(0.5);
    assertThat(inset().getString("atEnd", "")).isEqualTo("hold");
    w.type("Speed", "90");
    assertThat(page.getByText("0.05 to 20").first()).isVisible();
    for (int i = 0; i < 5; i++) {
      w.button("Undo").first().click();
    }
    w.waitKept();
    assertThat(w.items("inset")).isEmpty();
  }

  @Test
  void isDraggedOntoTheStage() {
    BoundingBox frame = page.locator("[data-frame]").boundingBox();
    BoundingBox room = page.getByTestId("stage-room").boundingBox();
    w.button("Add Kite")
        .dragTo(
            page.getByTestId("stage-room"),
            new Locator.DragToOptions()
                .setTargetPosition(
                    frame.x - room.x + frame.width / 4, frame.y - room.y + frame.height / 4));
    w.waitKept();
    assertThat(inset().getDouble("x", 0)).isCloseTo(480, within(8.0));
    assertThat(inset().getDouble("y", 0)).isCloseTo(270, within(8.0));
  }

  @Test
  void aSceneIsNotShownInItselfAndWhatIsShownIsNotDeletedUnasked() {
    w.button("Add Kite").click();
    w.waitKept();
    page.getByText("Open that scene").click();
    assertThat(page.getByTestId("switcher")).containsText("Kite");
    w.tab(5);
    w.unfold("Scenes of this project");
    w.button("Add First scene").click();
    assertThat(page.getByText("“Kite” shows “First scene” shows “Kite”")).isVisible();
    page.getByTestId("switcher").click();
    w.button("Delete Kite").last().click();
    assertThat(page.getByText("It is shown in First scene")).isVisible();
    page.getByText("Delete it anyway").click();
    assertThat(page.getByText("“Kite” is deleted")).isVisible();
    assertThat(page.getByTestId("switcher")).containsText("First scene");
    w.tab(5);
    page.getByLabel("Stack, back to front")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Kite").setExact(true))
        .click();
    assertThat(page.getByText("The scene is not in this project any more")).isVisible();
    assertThat(choice("Shows")).containsText("A scene that is gone");
  }
}
