package rovingglyph.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import rovingglyph.server.TestServer;

/** Remakes the pictures of docs/screenshots from the demo project, on a database of its own. */
public final class Shots {
  private Shots() {}

  public static void main(String[] args) throws Exception {
    try {
      shootAll(Path.of(args[0]));
    } catch (RuntimeException e) {
      // The browser's and the server's threads would go on.
      e.printStackTrace();
      System.exit(1);
    }
    System.exit(0);
  }

  private static void shootAll(Path folder) throws Exception {
    Files.createDirectories(folder);
    TestServer server = TestServer.shared();
    Page page = Browser.page();
    // What is told but once would be in every picture.
    page.context().addInitScript("localStorage.setItem('roving-puck-told', 'yes')");
    Workbench w = Workbench.open(server, page, Workbench.demoScene(server, "Kite-string entrance"));
    page.waitForTimeout(1200);
    shoot(page, folder, "move");
    w.tab(2);
    w.handle("point-1").click();
    page.waitForTimeout(300);
    shoot(page, folder, "path");
    page.keyboard().press("Escape");
    w.button("New path").click();
    page.waitForTimeout(400);
    shoot(page, folder, "gallery");
    page.keyboard().press("Escape");
    w.tab(4);
    w.handle("chip-2").click();
    page.getByText("Gentle start").last().click();
    page.waitForTimeout(300);
    shoot(page, folder, "journey");
    page.getByTestId("switcher").click();
    page.waitForTimeout(300);
    shoot(page, folder, "projects");

    Workbench wall = demo(server, "Wall of wind", 1);
    shoot(wall.page, folder, "words");
    wall.tab(2);
    wall.page.waitForTimeout(400);
    shoot(wall.page, folder, "shape");
    Workbench line = demo(server, "Pennant line", 3);
    shoot(line.page, folder, "seat");
    line.tab(1);
    line.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Face:")).click();
    line.page.waitForTimeout(600);
    shoot(line.page, folder, "faces");
    Workbench stamp = demo(server, "Opening stamp", 4);
    stamp.button("Show the speed beside it").click();
    stamp.handle("ring-0").click();
    stamp.page.waitForTimeout(400);
    shoot(stamp.page, folder, "recipe");
    Workbench hoop = demo(server, "Lighthouse carousel", 5);
    hoop.unfold("Tilt and depth");
    hoop.page.waitForTimeout(600);
    shoot(hoop.page, folder, "depth");

    Workbench ring =
        Workbench.open(server, Browser.page(), Workbench.demoScene(server, "Wind rose badge"));
    ring.tab(6);
    ring.button("Make the SVG").click();
    ring.button("Make the video").click();
    ring.page.waitForTimeout(3000);
    shoot(ring.page, folder, "export");
    Workbench past = demo(server, "Opening stamp", 1);
    for (String size : new String[] {"96", "84", "72"}) {
      past.type("Size", size);
      past.waitKept();
    }
    past.button("History").click();
    past.page.waitForTimeout(2500);
    past.page.getByLabel("Kept versions").getByRole(AriaRole.BUTTON).nth(3).click();
    past.page.waitForTimeout(1200);
    shoot(past.page, folder, "history");
    Workbench ribbon =
        Workbench.open(server, Browser.page(), Workbench.demoScene(server, "Dune ribbon"));
    ribbon.page.evaluate("() => { document.documentElement.dataset.theme = 'dusk'; }");
    ribbon.page.waitForTimeout(900);
    shoot(ribbon.page, folder, "dusk");
    dress(server, folder);
    footage(server, folder);
  }

  /** Footage with the marks of a sign that is followed in it. */
  private static void footage(TestServer server, Path folder) {
    Workbench w = demo(server, "Harbour morning", 5);
    w.page.getByLabel("Stack, back to front").getByRole(AriaRole.BUTTON).first().click();
    w.page.getByLabel("Marks of Sign on the stage").click();
    w.handle("pin-card").first().scrollIntoViewIfNeeded();
    w.page.waitForTimeout(1500);
    shoot(w.page, folder, "footage");
  }

  /** An evening sky, and the far dune out of focus. */
  private static void dress(TestServer server, Path folder) {
    Workbench w = demo(server, "Kite-string entrance", 5);
    w.button("Colour field").last().click();
    w.page
        .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Linear").setExact(true))
        .click();
    w.page.getByLabel("Colour: six hexadecimal digits").first().fill("#E58A5B");
    w.page.keyboard().press("Enter");
    w.button("Far dune").click();
    w.button("Add blur").click();
    w.page.waitForTimeout(600);
    shoot(w.page, folder, "dress");
    w.button("the sky is open").click();
    w.button("Add glow").click();
    w.button("Add cast shadow").click();
    w.page.waitForTimeout(600);
    shoot(w.page, folder, "finish");
    Workbench pier = demo(server, "Pier screens", 5);
    pier.button("Pennant line").click();
    pier.page.waitForTimeout(900);
    shoot(pier.page, folder, "inset");
    Workbench dune = demo(server, "Over the dune", 5);
    dune.button("Dune in front").click();
    dune.page.getByText("Show the cut", new Page.GetByTextOptions().setExact(true)).click();
    dune.page.waitForTimeout(600);
    shoot(dune.page, folder, "cut");
  }

  private static Workbench demo(TestServer server, String scene, int tab) {
    Workbench w = Workbench.open(server, Browser.page(), Workbench.demoScene(server, scene));
    w.page.waitForTimeout(2500);
    w.tab(tab);
    w.page.waitForTimeout(400);
    return w;
  }

  private static void shoot(Page page, Path folder, String name) {
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    System.out.println(folder.resolve(name + ".png"));
  }
}
