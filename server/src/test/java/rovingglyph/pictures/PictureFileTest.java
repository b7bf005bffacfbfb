package rovingglyph.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.render.Bitmaps;

class PictureFileTest {
  /** Copies of each kind that are damaged and read; more with {@code -Droving.fuzz.pictures}. */
  private static final int DAMAGED = Integer.getInteger("roving.fuzz.pictures", 6);

  private static BufferedImage image(Bitmaps.Level level) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(level.content().bytes()));
  }

  /** The colours in the middles of the four quarters, by rows, each to the nearest of 16 steps. */
  private static List<String> quarters(BufferedImage image) {
    int w = image.getWidth();
    int h = image.getHeight();
    return Stream.of(new int[] {1, 1}, new int[] {3, 1}, new int[] {1, 3}, new int[] {3, 3})
        .map(p -> image.getRGB(w * p[0] / 4, h * p[1] / 4))
        .map(
            rgb ->
                rgb >>> 24 == 0
                    ? "clear"
                    : "%x%x%x".formatted(step(rgb >> 16), step(rgb >> 8), step(rgb)))
        .toList();
  }

  private static int step(int value) {
    return Math.min(15, Math.round((value & 255) / 17f));
  }

  static Stream<Arguments> kinds() throws IOException, InterruptedException {
    return Stream.of(
        Arguments.of("image/png", MadePictures.png(300, 200)),
        Arguments.of("image/jpeg", MadePictures.jpeg(300, 200, 0)),
        Arguments.of("image/gif", MadePictures.gif(300, 200)),
        Arguments.of("image/webp", MadePictures.webp(300, 200)),
        Arguments.of("image/avif", MadePictures.avif(300, 200)),
        Arguments.of("image/svg+xml", MadePictures.svg(300, 200, "")));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindComesInHalvingSizes(String type, byte[] file) throws Exception {
    PictureFile.Read read = PictureFile.read(file);
    assertThat(read.type()).isEqualTo(type);
    assertThat(List.of(read.width(), read.height())).containsExactly(300, 200);
    Bitmaps.Level before = null;
    for (Bitmaps.Level level : read.levels()) {
      BufferedImage image = image(level);
      assertThat(image.getWidth()).isEqualTo(level.width());
      assertThat(image.getHeight()).isEqualTo(level.height());
      assertThat(quarters(image)).containsExactly("f00", "0f0", "00f", "fff");
      if (before != null) {
        assertThat(level.width()).isEqualTo((before.width() + 1) / 2);
        assertThat(level.height()).isEqualTo((before.height() + 1) / 2);
      }
      before = level;
    }
    assertThat(before.width()).isLessThanOrEqualTo(32);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void aPhotographIsTurnedUprightAsItsCameraSays(int orientation) throws Exception {
    PictureFile.Read read = PictureFile.read(MadePictures.jpeg(80, 40, orientation));
    boolean onItsSide = orientation > 4;
    assertThat(read.width()).isEqualTo(onItsSide ? 40 : 80);
    assertThat(quarters(image(read.levels().get(0))))
        .containsExactly(
            switch (orientation) {
              case 2 -> new String[] {"0f0", "f00", "fff", "00f"};
              case 3 -> new String[] {"fff", "00f", "0f0", "f00"};
              case 4 -> new String[] {"00f", "fff", "f00", "0f0"};
              case 5 -> new String[] {"f00", "00f", "0f0", "fff"};
              case 6 -> new String[] {"00f", "f00", "fff", "0f0"};
              case 7 -> new String[] {"fff", "0f0", "00f", "f00"};
              case 8 -> new String[] {"0f0", "fff", "f00", "00f"};
              default -> new String[] {"f00", "0f0", "00f", "fff"};
            });
  }

  @Test
  void whatIsClearStaysClear() throws Exception {
    PictureFile.Read read = PictureFile.read(MadePictures.clear(40, 40));
    assertThat(quarters(image(read.levels().get(0)))).containsExactly("f00", "0f0", "00f", "clear");
  }

  private static byte[] pngSaying(int width, int height) throws IOException {
    byte[] png = MadePictures.png(8, 8);
    java.nio.ByteBuffer.wrap(png).putInt(16, width).putInt(20, height);
    java.util.zip.CRC32 crc = new java.util.zip.CRC32();
    crc.update(png, 12, 17);
    java.nio.ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
    return png;
  }

  static Stream<Arguments> unusable() throws IOException {
    return Stream.of(
        Arguments.of(new byte[0], "This is no picture"),
        Arguments.of("Kite fair".getBytes(StandardCharsets.UTF_8), "This is no picture"),
        Arguments.of(Arrays.copyOf(MadePictures.png(90, 90), 40), "damaged"),
        Arguments.of(Arrays.copyOf(MadePictures.png(90, 90), 200), "damaged"),
        Arguments.of(pngSaying(50_000, 50_000), "at most 16384 a side"),
        Arguments.of(pngSaying(16_000, 16_000), "64 million in all"),
        Arguments.of("<html/>".getBytes(StandardCharsets.UTF_8), "SVG"),
        Arguments.of(
            "<!DOCTYPE svg [<!ENTITY a 'kite'>]><svg>&a;</svg>".getBytes(StandardCharsets.UTF_8),
            "entities are not followed"),
        Arguments.of(new byte[PictureFile.LARGEST + 1], "40 MB"));
  }

  @ParameterizedTest
  @MethodSource("unusable")
  void whatCannotBeUsedIsRefusedInWords(byte[] file, String why) {
    assertThatThrownBy(() -> PictureFile.read(file))
        .isInstanceOf(PictureFile.Unusable.class)
        .hasMessageContaining(why);
  }

  /** Quarters are as without it: nothing that the file points to is fetched or run. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<script>document.rootElement.remove()</script>",
        "<image href='file:///etc/hostname' width='2' height='2'/>",
        "<image xlink:href='http://127.0.0.1:1/kite.png' width='2' height='2'/>",
        "<use href='http://127.0.0.1:1/kite.svg#a'/>",
        "<style>@import url('http://127.0.0.1:1/kite.css');</style>"
      })
  void anSvgReachesForNothing(String more) throws Exception {
    PictureFile.Read read = PictureFile.read(MadePictures.svg(40, 40, more));
    assertThat(quarters(image(read.levels().get(0)))).containsExactly("f00", "0f0", "00f", "fff");
  }

  @Test
  void anSvgThatWouldTakeForEverIsGivenUp() {
    String hard =
        "<filter id='f' filterRes='4000' width='400%' height='400%'>"
            + "<feTurbulence baseFrequency='0.9' numOctaves='200'/>".repeat(400)
            + "</filter><rect width='2' height='2' filter='url(#f)'/>";
    assertThatThrownBy(() -> PictureFile.read(MadePictures.svg(4000, 4000, hard)))
        .isInstanceOf(PictureFile.Unusable.class)
        .hasMessageContaining("too long");
  }

  private static byte[] useBomb() {
    StringBuilder out = new StringBuilder("<defs><rect id='u0' width='1' height='1'/>");
    for (int i = 1; i < 12; i++) {
      out.append("<g id='u").append(i).append("'>");
      out.append(("<use href='#u" + (i - 1) + "'/>").repeat(10)).append("</g>");
    }
    return MadePictures.svg(40, 40, out.append("</defs><use href='#u11'/>").toString());
  }

  private static byte[] plain(int w, int h) throws IOException {
    java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(w, h, BufferedImage.TYPE_BYTE_BINARY), "png", out);
    return out.toByteArray();
  }

  static Stream<Arguments> bombs() throws IOException {
    return Stream.of(
        Arguments.of("64 million pixels in a few kilobytes", plain(16_000, 4_000)),
        Arguments.of("one row of pixels", plain(16_384, 1)),
        Arguments.of("elements that use elements", useBomb()),
        Arguments.of("an SVG without end", MadePictures.svg(2_000_000_000, 1, "")),
        Arguments.of(
            "an SVG of no size",
            "<svg xmlns='http://www.w3.org/2000/svg' width='1e-300' height='1e400'/>".getBytes()),
        Arguments.of(
            "a pattern of patterns",
            MadePictures.svg(
                40,
                40,
                "<pattern id='p' width='.001' height='.001' patternUnits='userSpaceOnUse'>"
                    + "<rect width='9' height='9' fill='url(#p)'/></pattern>"
                    + "<rect width='2' height='2' fill='url(#p)'/>")));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("bombs")
  void whatIsFarMoreThanItSeemsIsReadOrRefusedInTime(String what, byte[] file) throws IOException {
    assertThat(file.length).isLessThan(100_000);
    long began = System.nanoTime();
    try {
      PictureFile.Read read = PictureFile.read(file);
      assertThat(read.width()).isBetween(1, PictureLevels.LONGEST_SIDE);
      assertThat(read.height()).isBetween(1, PictureLevels.LONGEST_SIDE);
    } catch (PictureFile.Unusable e) {
      assertThat(e.getMessage()).isNotBlank();
    }
    assertThat((System.nanoTime() - began) / 1e9).as("seconds").isLessThan(60);
  }

  /** Whatever a damaged file holds, it is read or refused in words, within the limits. */
  @ParameterizedTest
  @MethodSource("kinds")
  void aDamagedFileIsReadOrRefused(String type, byte[] file) throws IOException {
    Random random = new Random(type.hashCode());
    for (int i = 0; i < DAMAGED; i++) {
      byte[] damaged = file.clone();
      for (int n = 1 + random.nextInt(20); n > 0; n--) {
        damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
      }
      if (random.nextInt(4) == 0) {
        damaged = Arrays.copyOf(damaged, random.nextInt(damaged.length));
      }
      try {
        assertThat(PictureFile.read(damaged).levels()).isNotEmpty();
      } catch (PictureFile.Unusable e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }
}
