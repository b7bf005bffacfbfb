package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.SnippetFormat;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Images;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** The web snippet on pages: when it plays, and that it shows what the render shows. */
class SnippetTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());
  private static final ExportFormat HTML = ExportFormats.of("html");

  /** Two seconds: words that move along a line, and a path that bends, which is SMIL. */
  private static final String SHORT =
      """
      {"format":"roving-glyph-scene","version":2,"name":"Short","width":400,"height":200,
       "rate":"25","length":2,"background":"#F3E9D2",
       "paths":[{"id":"p","name":"Rope","kind":"wave","x":200,"y":110,
         "amplitude":{"keyframes":[{"time":0,"value":5},{"time":2,"value":40}]}}],
       "items":[{"kind":"lettering","id":"l","text":"kites up","face":"league-spartan",
        "path":"p","seat":{"pathOffset":{"keyframes":[{"time":0,"value":0},
          {"time":2,"value":120}]}},"size":40,"fill":"#1F2B37"}]}""";

  private Page page;

  @AfterEach
  void close() {
    page.context().close();
  }

  private static PreparedScene scene(String document) {
    return Preparation.prepare(TestShelf.filled(document), SHAPER);
  }

  private void open(PreparedScene scene, String options, String before) {
    page = Browser.context(scene.scene().width(), scene.scene().height()).newPage();
    show(scene, options, before);
  }

  private void show(PreparedScene scene, String options, String before) {
    String snippet =
        SnippetFormat.snippet(scene, KeptPictures.bitmaps(), ExportOptions.parse(HTML, options));
    page.setContent("<!doctype html><body style='margin:0'>" + before + snippet);
    page.waitForTimeout(150);
  }

  private double number(String expression) {
    Object n =
        page.evaluate(
            "() => { const r = document.querySelector('roving-glyph'); return "
                + expression
                + "; }");
    return n instanceof Boolean b ? (b ? 1 : 0) : ((Number) n).doubleValue();
  }

  private boolean plays() {
    double before = number("r.time");
    page.waitForTimeout(200);
    return number("r.time") != before;
  }

  @ParameterizedTest
  @ValueSource(strings = {"kite-string-entrance", "wind-rose-badge", "dune-ribbon"})
  void itShowsWhatTheRenderShowsAtAnyTime(String name) throws IOException {
    PreparedScene scene = scene(Files.readString(Path.of("../demo/" + name + ".json")));
    open(scene, "{\"plays\":\"press\"}", "");
    page.evaluate(
        "() => Promise.all([...document.querySelectorAll('image')].map(i => i.decode()))");
    for (double share : new double[] {0.013, 0.36, 0.81}) {
      double t = share * scene.scene().length();
      page.evaluate("t => document.querySelector('roving-glyph').seek(t)", t);
      BufferedImage rendered = Images.of(scene, KeptPictures.bitmaps(), 1, t);
      PictureTest.Difference d =
          SvgPage.compared(
              page,
              shot -> PictureTest.Difference.of(rendered, shot),
              found -> found.share() < 0.001);
      assertThat(d.share()).as(name + " at " + t + ": " + d).isLessThan(0.001);
    }
  }

  @Test
  void itPlaysAtOnceAndStopsByItsButton() {
    open(scene(SHORT), "{\"plays\":\"load\"}", "");
    assertThat(plays()).isTrue();
    page.getByLabel("Pause").click();
    assertThat(plays()).isFalse();
    assertThat(number("r.motions().every(a => a.playState === 'paused')")).isEqualTo(1);
    page.getByLabel("Play").click();
    assertThat(plays()).isTrue();
  }

  @Test
  void aShortOneThatPlaysOnceHasNoButtonAndKeepsItsLastFrame() {
    open(scene(SHORT), "{\"plays\":\"load\",\"times\":1}", "");
    assertThat(page.locator("button").count()).isZero();
    page.waitForTimeout(2400);
    assertThat(plays()).isFalse();
    assertThat(number("r.svg.getCurrentTime()")).isBetween(1.95, 1.97);
    assertThat(number("r.motions()[0].currentTime")).isBetween(1959.0, 1961.0);
  }

  @Test
  void itPlaysWhileItIsSeen() {
    open(scene(SHORT), "{}", "<div style='height:1500px'></div>");
    assertThat(plays()).isFalse();
    page.evaluate("() => scrollTo(0, 1500)");
    page.waitForTimeout(300);
    assertThat(plays()).isTrue();
    page.evaluate("() => scrollTo(0, 0)");
    page.waitForTimeout(300);
    assertThat(plays()).isFalse();
  }

  @Test
  void itPlaysUnderThePointerAndWithTheKeys() {
    open(scene(SHORT), "{\"plays\":\"hover\"}", "<div style='height:20px'></div>");
    page.mouse().move(5, 5);
    assertThat(plays()).isFalse();
    page.mouse().move(200, 100);
    assertThat(plays()).isTrue();
    page.mouse().move(5, 5);
    assertThat(plays()).isFalse();
    page.keyboard().press("Tab");
    assertThat(plays()).isTrue();
  }

  @Test
  void itPlaysWhenItIsPressed() {
    open(scene(SHORT), "{\"plays\":\"press\"}", "");
    assertThat(plays()).isFalse();
    page.mouse().click(200, 100);
    assertThat(plays()).isTrue();
    page.keyboard().press("Space");
    assertThat(plays()).isFalse();
    page.keyboard().press("Enter");
    assertThat(plays()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "300, 0.75", "400, 1", "900, 1"})
  void itFollowsTheScrolling(int scrolled, double share) {
    // 200 px high in a window of as many: it comes in at once, and is gone after 400 px.
    open(scene(SHORT), "{\"plays\":\"scroll\"}", "<div style='height:200px'></div>");
    page.evaluate(
        "() => document.body.append(Object.assign(document.createElement('p'), {style: 'height:3000px'}))");
    page.evaluate("y => scrollTo(0, y)", scrolled);
    page.waitForTimeout(200);
    assertThat(number("r.time")).isBetween(share * 1.96 - 0.001, share * 1.96 + 0.001);
    assertThat(plays()).isFalse();
  }

  @Test
  void pagesSetItsSpeed() {
    open(scene(SHORT), "{\"plays\":\"load\",\"speed\":300}", "");
    // On the clock of its animations, which stands between frames: a busy machine has few.
    double before = number("r.time / 3 - document.timeline.currentTime / 1000");
    page.waitForTimeout(600);
    assertThat(number("r.time / 3 - document.timeline.currentTime / 1000"))
        .isBetween(before - 0.2, before + 0.2);
    assertThat(number("r.time")).isGreaterThan(1.2);
    double css = number("r.motions()[0].currentTime / 1000");
    assertThat(number("r.svg.getCurrentTime()")).isBetween(css - 0.2, css + 0.2);
  }

  @ParameterizedTest
  @ValueSource(strings = {"load", "seen", "hover", "press", "scroll"})
  void whereLessMotionIsAskedForItStandsStill(String plays) {
    PreparedScene scene = scene(SHORT);
    page = Browser.context(400, 200).newPage();
    page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
    show(scene, "{\"plays\":\"" + plays + "\"}", "");
    page.mouse().click(200, 100);
    byte[] before = page.screenshot();
    page.waitForTimeout(400);
    assertThat(page.screenshot()).isEqualTo(before);
    assertThat(page.locator("button").count()).isZero();
  }

  @Test
  void severalOnOnePagePlayEachForItself() {
    ExportOptions press = ExportOptions.parse(HTML, "{\"plays\":\"press\"}");
    String first = SnippetFormat.snippet(scene(SHORT), KeptPictures.bitmaps(), press);
    open(scene(SHORT), "{\"plays\":\"press\"}", first);
    page.mouse().click(200, 100);
    page.waitForTimeout(200);
    assertThat(
            number("[...document.querySelectorAll('roving-glyph')].filter(g => g.playing).length"))
        .isEqualTo(1);
  }
}
