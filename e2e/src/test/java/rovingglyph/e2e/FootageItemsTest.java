package rovingglyph.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.footage.MadeFootage;
import rovingglyph.server.TestServer;

/** Footage at the workbench: taken in, shown frame by frame, trimmed, cued, taken away. */
class FootageItemsTest extends PageTest {
  private static final int FRAMES = 100;

  @TempDir Path folder;

  @BeforeEach
  void open() {
    newScene("Footage");
    w.tab(5);
  }

  private static MadeFootage.Kind kind(String name) {
    return MadeFootage.KINDS.stream().filter(k -> k.name().equals(name)).findFirst().orElseThrow();
  }

  private void choose(Path file) {
    FileChooser chooser = page.waitForFileChooser(() -> w.button("Add footage").click());
    chooser.setFiles(file);
  }

  private void add(Path file) {
    choose(file);
    assertThat(w.handle("strip")).isVisible();
    assertThat(page.getByText("are being made ready")).hasCount(0);
  }

  private JsonObject footage() {
    List<JsonObject> all = w.items("footage");
    return all.get(all.size() - 1);
  }

  /** The number of the frame that the stage shows; the footage covers the frame. */
  private int onStage() {
    return MadeFootage.number(stage());
  }

  private BufferedImage stage() {
    String url =
        (String) page.evaluate("() => document.querySelector('[data-frame] canvas').toDataURL()");
    byte[] png = Base64.getDecoder().decode(url.substring(url.indexOf(',') + 1));
    try {
      return ImageIO.read(new ByteArrayInputStream(png));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private void waitForFrame(int wanted, String where) {
    int seen = -1;
    for (int i = 0; i < 60; i++) {
      seen = onStage();
      if (seen == wanted) {
        return;
      }
      page.waitForTimeout(25);
    }
    assertThat(seen).as(where).isEqualTo(wanted);
  }

  /** Footage over the whole of the frame of 1920 by 1080 at 25 frames a second. */
  private void cover() {
    w.button("Fill").click();
    page.mouse().click(5, 400);
  }

  @Test
  void everyScrubShowsTheFrameOfItsTime() throws IOException {
    add(MadeFootage.make(folder, kind("varying.mp4"), FRAMES, false));
    cover();
    Random random = new Random(11);
    double rate = footage().getDouble("rate", 0);
    for (int i = 0; i < 50; i++) {
      int frame = random.nextInt(100);
      w.scrub(frame);
      waitForFrame(shown(frame / 25.0, rate), "scene frame " + frame);
    }
  }

  /** Of footage whose frames begin at 0, 56 and 99 ms of every 129. */
  private static int shown(double time, double rate) {
    int out = 0;
    while (out + 1 < FRAMES
        && ((out + 1) * 43 + ((out + 1) % 3 == 0 ? 0 : 13)) / 1000.0 <= time + 0.1 / rate) {
      out++;
    }
    return out;
  }

  /** A bar says the time of the scene in the same picture: both go together in every painting. */
  @Test
  void whilePlayingNoOtherFrameIsEverShown() throws IOException {
    Path file = MadeFootage.make(folder, kind("plain.mp4"), FRAMES, true);
    JsonObject kept = Json.parse(text("GET", "/api/scenes/" + w.sceneId, null)).asObject();
    String id = MadeFootage.kept(SERVER, kept.getString("projectId", ""), file).getString("id", "");
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Bar","width":1000,"height":562,"rate":"25",
         "length":4,"background":"#000000","items":[
         {"kind":"footage","id":"sea","image":"%s","pixelWidth":320,"pixelHeight":180,"rate":25,
          "length":4,"x":500,"y":281,"width":1000,"height":562},
         {"kind":"colour-field","id":"bar","area":"rectangle","width":1000,"height":60,"y":532,
          "fill":"#FF00FF","x":{"still":0,"keyframes":[{"time":0,"value":-500,"easing":"linear"},
          {"time":4,"value":500}]}}]}"""
            .formatted(id);
    text(
        "PUT",
        "/api/scenes/" + w.sceneId,
        document,
        "If-Match",
        "\"" + kept.get("revision") + "\"");
    w.reload();
    page.waitForTimeout(500);
    w.button("Play").click();
    int last = 0;
    for (int i = 0; i < 40; i++) {
      BufferedImage seen = stage();
      int bar = 0;
      for (int k = 0; k < seen.getWidth(); k++) {
        int rgb = seen.getRGB(k, seen.getHeight() - 6);
        bar += (rgb & 255) > 200 && (rgb >> 8 & 255) < 60 ? 1 : 0;
      }
      last = (int) Math.round(bar * 100.0 / seen.getWidth());
      assertThat(MadeFootage.number(seen)).as("look %d", i).isEqualTo(last);
    }
    w.button("Pause").click();
    assertThat(last).isPositive();
  }

  private static String text(String method, String path, String body, String... headers) {
    return TestServer.text(SERVER.send(method, path, body, headers));
  }

  @Test
  void footageIsTrimmedByPointerAndKeysAndUndone() throws IOException {
    add(MadeFootage.make(folder, kind("plain.mp4"), FRAMES, false));
    cover();
    w.drag(page.getByLabel("In", new Page.GetByLabelOptions().setExact(true)).first(), 60, 0);
    double in = footage().getDouble("in", 0);
    assertThat(in).isBetween(0.5, 1.6);
    w.scrub(0);
    waitForFrame((int) Math.round(in * 25), "in");
    page.keyboard().press("Control+z");
    assertThat(footage().getDouble("in", 0)).isZero();
    page.locator("[role=slider][aria-label=Out]").focus();
    page.keyboard().press("Shift+ArrowLeft");
    page.keyboard().press("ArrowLeft");
    assertThat(footage().getDouble("out", 0)).isCloseTo(4 - 11 / 25.0, within(1e-9));
    w.scrub(10);
    w.button("In here").click();
    assertThat(footage().getDouble("in", 0)).isCloseTo(0.4, within(1e-9));
    w.type("Speed", "2");
    page.getByRole(AriaRole.RADIO).getByText("Again").click();
    w.scrub(60);
    // From frame 10 to 89 at twice the speed: after 39.5 frames it begins again.
    waitForFrame(10 + 120 % 79, "again");
    w.type("Begins at", "1");
    w.scrub(30);
    waitForFrame(20, "begun at 1 s");
    // Another item of the same footage is trimmed by what it shows itself.
    w.button("Add plain").click();
    w.scrub(50);
    w.button("In here").click();
    assertThat(footage().getDouble("in", 0)).isCloseTo(2, within(1e-9));
  }

  @Test
  void aCueIsSetWhereTheFootageStandsAndKeepsItsFrame() throws IOException {
    add(MadeFootage.make(folder, kind("plain.mp4"), FRAMES, true));
    cover();
    w.scrub(40);
    page.mouse().click(5, 400);
    page.keyboard().press(".");
    page.keyboard().press("q");
    assertThat(w.document().get("cues").asArray().get(0).asObject().getDouble("time", 0))
        .isCloseTo(41 / 25.0, within(1e-9));
    w.tab(4);
    page.getByText("Cues").first().click();
    assertThat(w.handle("cue-still")).isVisible();
    BoundingBox wave = w.handle("wave").boundingBox();
    page.mouse().dblclick(wave.x + wave.width / 2, wave.y + wave.height / 2);
    assertThat(w.document().get("cues").asArray()).hasSize(2);
  }

  @Test
  void anUploadGoesOnAfterALostConnection() throws IOException {
    Path file = MadeFootage.make(folder, kind("steps.gif"), 60, false);
    AtomicInteger lost = new AtomicInteger(2);
    page.route(
        "**/pieces/**",
        r -> {
          if (lost.getAndDecrement() > 0) {
            r.abort();
          } else {
            r.resume(new Route.ResumeOptions());
          }
        });
    choose(file);
    assertThat(page.getByText("waiting for the connection")).isVisible();
    assertThat(w.handle("strip")).isVisible();
    assertThat(lost.get()).isNegative();
  }

  @Test
  void anUploadIsGivenUpAndWhatIsNoFootageIsRefused() throws IOException {
    Path file = MadeFootage.make(folder, kind("plain.mp4"), 20, false);
    page.route("**/pieces/**", Route::abort);
    choose(file);
    assertThat(w.handle("upload")).isVisible();
    w.button("Give plain up").click();
    assertThat(w.handle("upload"))
        .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(8000));
    page.unroute("**/pieces/**");
    Files.writeString(folder.resolve("words.mp4"), "not a video");
    choose(folder.resolve("words.mp4"));
    assertThat(page.getByText("This is no footage that can be used").first()).isVisible();
    assertThat(w.items("footage")).isEmpty();
  }

  @Test
  void footageIsTakenOutOfTheProject() throws IOException {
    add(MadeFootage.make(folder, kind("varying.webm"), 20, false));
    w.waitKept();
    w.button("Take varying out of this project").click();
    assertThat(page.getByText("It is shown in")).isVisible();
    w.button("Take it out").click();
    assertThat(page.getByLabel("Add varying")).hasCount(0);
    assertThat(w.items("footage")).hasSize(1);
  }
}
