package rovingglyph.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

class RenderTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  @TempDir Path folder;

  private static PreparedScene scene(String more) {
    return Preparation.prepare(
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":1,"width":200,"height":100,"rate":"25","length":2,
             "paths":[{"id":"p","kind":"drawn","points":[{"x":10,"y":70},{"x":190,"y":70}]}],%s}"""
                .formatted(more)),
        SHAPER);
  }

  private static String square(String colour, String more) {
    return "\"pictures\":[{\"id\":\"k\",\"x\":100,\"y\":50,\"parts\":[{\"d\":\"M-20-20H20V20H-20Z\",\"fill\":\"%s\"}]%s}]"
        .formatted(colour, more);
  }

  private static int at(BufferedImage image, int x, int y) {
    return image.getRGB(x, y);
  }

  @Test
  void shapesAreFilledInTheirPlaceOnTheBackground() {
    PreparedScene s = scene("\"background\":\"#204060\"," + square("#FF8000", ""));
    BufferedImage image = Images.of(s, 0);
    assertThat(at(image, 100, 50)).isEqualTo(0xFFFF8000);
    assertThat(at(image, 81, 31)).isEqualTo(0xFFFF8000);
    assertThat(at(image, 78, 50)).isEqualTo(0xFF204060);
  }

  @Test
  void opacityIsMixedWithWhatLiesBelow() {
    PreparedScene s = scene("\"background\":\"#000000\"," + square("#FFFFFF", ",\"opacity\":50"));
    int grey = at(Images.of(s, 0), 100, 50) & 255;
    assertThat(grey).isBetween(127, 128);
  }

  @Test
  void aPictureTurnsAboutItsOriginAndScales() {
    String turning =
        ",\"scale\":1.5,\"rotation\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":2,\"value\":90}]}";
    PreparedScene turned = scene(square("#FF0000", turning));
    assertThat(at(Images.of(turned, 0), 100, 78)).isEqualTo(0xFFFF0000);
    assertThat(at(Images.of(turned, 0), 100, 88)).as("its corner is not there yet").isZero();
    assertThat(at(Images.of(turned, 1), 100, 88))
        .as("turned by 45 degrees it is")
        .isEqualTo(0xFFFF0000);
  }

  @Test
  void overlappingLettersDoNotShowThroughEachOther() {
    String words =
        """
        "background":"#FFFFFF","letterings":[{"id":"l","text":"oooo","path":"p","face":"comfortaa","size":60,
          "tracking":-0.4,"fill":"#000000","opacity":50,"seat":{"startMargin":40}}]""";
    BufferedImage image = Images.of(scene(words), 0);
    int darkest = 255;
    for (int y = 0; y < 100; y++) {
      for (int x = 0; x < 200; x++) {
        darkest = Math.min(darkest, at(image, x, y) & 255);
      }
    }
    assertThat(darkest).isBetween(126, 129);
  }

  private static void video(Path out, IntPredicate progress) throws IOException {
    Take take = Take.whole(scene(square("#FF8000", "")), Bitmaps.NONE);
    VideoWriter.write(take, Encoding.h264(16), out, new Progress(progress));
  }

  @Test
  void everyFrameIsAnnouncedAndTheFileIsWritten() throws IOException {
    Path out = folder.resolve("v.mp4");
    List<Integer> told = new ArrayList<>();
    video(out, told::add);
    assertThat(told).hasSize(51).startsWith(0, 1, 2).endsWith(50);
    assertThat(Files.size(out)).isGreaterThan(500);
  }

  @Test
  void aCancelledVideoLeavesNoFile() {
    Path out = folder.resolve("v.mp4");
    assertThatThrownBy(() -> video(out, n -> n < 10)).isInstanceOf(Progress.Cancelled.class);
    assertThat(out).doesNotExist();
  }

  @Test
  void whatFfmpegSaysIsToldWhenItFails() {
    Path nowhere = folder.resolve("missing/v.mp4");
    assertThatThrownBy(() -> video(nowhere, n -> true))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("No such file");
  }

  @ParameterizedTest
  @ValueSource(strings = {"wind-rose-badge", "wall-of-wind", "pennant-line"})
  void theFrameAfterTheLastOfALoopIsItsFirstInEveryPixel(String name) throws Exception {
    String json =
        new String(
            RenderTest.class.getResourceAsStream("/demo/" + name + ".json").readAllBytes(),
            java.nio.charset.StandardCharsets.UTF_8);
    PreparedScene scene = Preparation.prepare(SceneCodec.read(json), SHAPER);
    BufferedImage first = Images.of(scene, 0);
    BufferedImage again = Images.of(scene, scene.scene().rate().timeOf(scene.scene().frameCount()));
    int w = first.getWidth();
    int h = first.getHeight();
    assertThat(again.getRGB(0, 0, w, h, null, 0, w))
        .isEqualTo(first.getRGB(0, 0, w, h, null, 0, w));
    assertThat(rovingglyph.proof.LoopCheck.of(scene)).isEmpty();
  }

  private static PreparedScene blurred(String blur, String offset) {
    return Preparation.prepare(
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":1,"width":400,"height":100,"rate":"25","length":2,"background":"#FFFFFF",
             "paths":[{"id":"p","kind":"line","x":200,"y":70,"length":400}],"blur":{"angle":%s,"samples":16},
             "letterings":[{"id":"l","text":"I","path":"p","face":"league-spartan","size":80,"fill":"#000000",
               "seat":{"pathOffset":%s}}]}"""
                .formatted(blur, offset)),
        SHAPER);
  }

  private static int inked(BufferedImage image) {
    int columns = 0;
    for (int x = 0; x < image.getWidth(); x++) {
      // The end of a smear is one sample of many: hardly darker than white.
      columns += (image.getRGB(x, 50) & 255) < 254 ? 1 : 0;
    }
    return columns;
  }

  @Test
  void motionBlurSmearsWhatMovesAndNothingElse() {
    String still = "100";
    assertThat(inked(Images.of(blurred("360", still), 1)))
        .isEqualTo(inked(Images.of(blurred("0", still), 1)));
    // 1000 px a second are 40 px a frame; half of them with a shutter of 180 degrees.
    String quick = "{\"still\":-800,\"cruise\":{\"amount\":1000}}";
    int sharp = inked(Images.of(blurred("0", quick), 1));
    assertThat(inked(Images.of(blurred("180", quick), 1)) - sharp).isBetween(17, 21);
    assertThat(inked(Images.of(blurred("360", quick), 1)) - sharp).isBetween(36, 41);
  }

  @Test
  void samplesAreMixedInLinearLight() {
    try (Raster raster = new Raster(1, 1, Raster.Pixels.OPAQUE);
        MotionBlur blur = new MotionBlur(1, 1, 2)) {
      raster.canvas().clear(0xFF000000);
      blur.add(raster);
      raster.canvas().clear(0xFFFFFFFF);
      blur.add(raster);
      blur.mix(raster);
      // Half the light of white is 188 of 255 in sRGB.
      assertThat(raster.bytes().get(0) & 255).isEqualTo(188);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 7, 60, 128, 200, 254, 255})
  void whatStandsStillKeepsItsColourHoweverManySamples(int grey) {
    for (int samples : new int[] {2, 3, 8, 31, 128}) {
      try (Raster raster = new Raster(1, 1, Raster.Pixels.OPAQUE);
          MotionBlur blur = new MotionBlur(1, 1, samples)) {
        raster.canvas().clear(0xFF000000 | grey * 0x010101);
        for (int i = 0; i < samples; i++) {
          blur.add(raster);
        }
        blur.mix(raster);
        assertThat(raster.bytes().get(0) & 255).as(samples + " samples").isEqualTo(grey);
      }
    }
  }

  @Test
  void fastLettersStreakInsteadOfStandingSideBySide() {
    // 3000 px a second are 60 px in the open half of a frame: with 8 samples there were eight
    // ghosts.
    String quick = "{\"still\":-2800,\"cruise\":{\"amount\":3000}}";
    PreparedScene scene = blurred("180", quick);
    assertThat(scene.samples(1)).isBetween(40, 128);
    BufferedImage image = Images.of(scene, 1);
    // Steps back of more than a few levels are the gaps between ghosts.
    int turns = 0;
    int extreme = image.getRGB(0, 50) & 255;
    boolean darker = true;
    for (int x = 1; x < image.getWidth(); x++) {
      int now = image.getRGB(x, 50) & 255;
      if (darker ? now > extreme + 6 : now < extreme - 6) {
        turns++;
        darker = !darker;
        extreme = now;
      } else {
        extreme = darker ? Math.min(extreme, now) : Math.max(extreme, now);
      }
    }
    // Darker, then lighter again: one streak.
    assertThat(turns).isEqualTo(1);
  }

  @Test
  void picturesCountOnceForMemoryHoweverOftenTheyAreShown() {
    String item =
        "{\"kind\":\"picture\",\"id\":\"%s\",\"image\":\"%s\",\"pixelWidth\":1000,\"pixelHeight\":500}";
    String document =
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"width\":100,\"height\":100,\"items\":[%s]}";
    String twice = item.formatted("a", "kites") + "," + item.formatted("b", "kites");
    Scene none = SceneCodec.read(document.formatted(""));
    Scene same = SceneCodec.read(document.formatted(twice));
    Scene other = SceneCodec.read(document.formatted(twice + "," + item.formatted("c", "dunes")));
    long plain = MemoryNeed.bytes(none, 1, 1);
    assertThat(MemoryNeed.bytes(same, 1, 1) - plain).isEqualTo(2_000_000);
    assertThat(MemoryNeed.bytes(other, 1, 1) - plain).isEqualTo(4_000_000);
  }
}
