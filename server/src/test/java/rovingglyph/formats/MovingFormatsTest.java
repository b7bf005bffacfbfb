package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Images;
import rovingglyph.render.Progress;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** Files of frames, taken apart by others' decoders, against the render. */
class MovingFormatsTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  /** All formats of painted frames that one decoder or another here can take apart. */
  private static final List<String> MOVING =
      List.of("mp4", "mp4-av1", "mp4-hevc", "mov-prores", "mov-png", "webm", "webp", "apng", "gif");

  private static final List<String> WITH_ALPHA =
      List.of("mov-prores", "mov-png", "webm", "webp", "apng");

  @TempDir Path folder;

  /** 96 x 64 px, 24 frames of 25 a second: a square with soft sides that goes and turns. */
  private static PreparedScene scene(String ground, String options, ExportFormat f) {
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Kite","width":96,"height":64,
         "rate":"25","length":0.96,"background":%s,"items":[
         {"kind":"colour-field","id":"c","area":"rectangle","filling":"linear","x":30,"y":32,
          "width":40,"height":40,"fromX":-50,"fromY":0,"toX":50,"toY":0,
          "stops":[{"offset":0,"colour":"#FFD23F","opacity":100},
            {"offset":100,"colour":"#C4472D","opacity":0}]},
         {"kind":"drawing","id":"d","y":32,"opacity":100,
          "x":{"keyframes":[{"time":0,"value":54},{"time":0.9,"value":74}]},
          "rotation":20,"parts":[{"d":"M-12-12H12V12H-12Z","fill":"#F4F1DE"}]}]}"""
            .formatted(ground);
    return Preparation.prepare(
        ExportFormats.applied(SceneCodec.read(document), ExportOptions.parse(f, options)), SHAPER);
  }

  private Path written(ExportFormat f, PreparedScene scene, String options) throws IOException {
    Path out = folder.resolve("file." + f.words().extension());
    f.write(scene, Bitmaps.NONE, ExportOptions.parse(f, options), out, new Progress());
    return out;
  }

  /** The frames of a file, each pixel blue, green, red, alpha. */
  private static List<byte[]> frames(String format, Path file, int size) throws IOException {
    byte[] all =
        switch (format) {
          case "webp" -> webp(file);
          case "webm" -> Decoded.pixels(file, List.of("-c:v", "libvpx-vp9"));
          default -> Decoded.pixels(file, List.of());
        };
    List<byte[]> out = new ArrayList<>();
    for (int at = 0; at + size <= all.length; at += size) {
      out.add(Arrays.copyOfRange(all, at, at + size));
    }
    assertThat(all.length % size).isZero();
    return out;
  }

  /** By Skia's codec, as ffmpeg has none. */
  private static byte[] webp(Path file) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (Data data = Data.makeFromBytes(Files.readAllBytes(file));
        Codec codec = Codec.makeFromData(data);
        Bitmap bitmap = new Bitmap()) {
      bitmap.allocPixels(
          codec
              .getImageInfo()
              .withColorType(ColorType.BGRA_8888)
              .withColorAlphaType(ColorAlphaType.UNPREMUL));
      for (int f = 0; f < codec.getFrameCount(); f++) {
        codec.readPixels(bitmap, f);
        out.write(bitmap.readPixels());
      }
    }
    return out.toByteArray();
  }

  /** One channel of a pixel over a grey, 0 to 255. */
  private static double over(int channel, int alpha, int grey) {
    return (channel * alpha + grey * (255 - alpha)) / 255.0;
  }

  /** How a decoded frame differs from the render over a grey: the mean and the greatest. */
  private static double[] difference(byte[] frame, BufferedImage wanted, int grey) {
    double sum = 0;
    double most = 0;
    int w = wanted.getWidth();
    for (int i = 0; i < frame.length / 4; i++) {
      int rgb = wanted.getRGB(i % w, i / w);
      for (int c = 0; c < 3; c++) {
        double is = over(frame[4 * i + c] & 255, frame[4 * i + 3] & 255, grey);
        double d = Math.abs(is - over(rgb >> 8 * c & 255, rgb >>> 24, grey));
        sum += d;
        most = Math.max(most, d);
      }
    }
    return new double[] {sum / (frame.length / 4 * 3), most};
  }

  static List<Arguments> cases() {
    List<Arguments> out = new ArrayList<>();
    for (String f : MOVING) {
      out.add(Arguments.of(f, "\"#24607A\"", 0, 23, 1));
      out.add(Arguments.of(f, "\"#24607A\"", 5, 16, 3));
      out.add(Arguments.of(f, "\"#24607A\"", 7, 7, 1));
    }
    for (String f : WITH_ALPHA) {
      out.add(Arguments.of(f, "null", 3, 14, 1));
    }
    return out;
  }

  /** Mean and greatest difference that the encoder's loss may bring. */
  private static double[] loss(String format) {
    return switch (format) {
      case "mov-png", "apng" -> new double[] {0.01, 1};
      case "mov-prores" -> new double[] {1, 10};
      case "gif" -> new double[] {4, 60};
      // Colours are kept for two by two pixels.
      default -> new double[] {2.5, 90};
    };
  }

  @ParameterizedTest
  @MethodSource("cases")
  void everyFrameIsThatOfTheRender(String format, String ground, int from, int to, int every)
      throws IOException {
    ExportFormat f = ExportFormats.of(format);
    String options =
        "{\"from\":%d,\"to\":%d,\"every\":%d%s}"
            .formatted(from, to, every, format.equals("webp") ? ",\"quality\":\"exact\"" : "");
    PreparedScene scene = scene(ground, options, f);
    int count = (to - from) / every + 1;
    assertThat(f.frames(scene.scene(), ExportOptions.parse(f, options))).isEqualTo(count);
    List<byte[]> frames = frames(format, written(f, scene, options), 96 * 64 * 4);
    assertThat(frames).hasSize(count);
    for (int i = 0; i < count; i++) {
      BufferedImage wanted = Images.of(scene, (from + i * every) / 25.0);
      for (int grey : new int[] {0, 255}) {
        double[] d = difference(frames.get(i), wanted, grey);
        assertThat(d[0]).as("mean of frame " + i).isLessThanOrEqualTo(loss(format)[0]);
        assertThat(d[1]).as("greatest of frame " + i).isLessThanOrEqualTo(loss(format)[1]);
      }
    }
  }

  /** Over white a light square must not come out with darker edges. */
  @ParameterizedTest
  @CsvSource({"mov-prores, 10", "webm, 40", "webp, 40"})
  void straightAlphaHasNoDarkFringe(String format, double darkest) throws IOException {
    ExportFormat f = ExportFormats.of(format);
    PreparedScene scene = scene("null", "{}", f);
    byte[] frame = frames(format, written(f, scene, "{}"), 96 * 64 * 4).get(12);
    BufferedImage wanted = Images.of(scene, 12 / 25.0);
    for (int y = 0; y < 64; y++) {
      // The right side of the square alone: right of it there is nothing.
      for (int x = 68; x < 96; x++) {
        int at = 4 * (y * 96 + x);
        double is = over(frame[at + 2] & 255, frame[at + 3] & 255, 255);
        int rgb = wanted.getRGB(x, y);
        double should = over(rgb >> 16 & 255, rgb >>> 24, 255);
        assertThat(should - is).as(x + ", " + y).isLessThan(darkest);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "mp4, h264, yuv420p, bt709",
    "mp4-av1, av1, yuv420p10le, bt709",
    "mp4-hevc, hevc, yuv420p, bt709",
    "mov-prores, prores, yuva444p12le, bt709",
    "webm, vp9, yuv420p, bt709"
  })
  void playersAreToldTheSizeTheRateAndTheColours(
      String format, String codec, String pixels, String colours) throws IOException {
    ExportFormat f = ExportFormats.of(format);
    PreparedScene scene = scene("\"#24607A\"", "{}", f);
    String said =
        Decoded.probed(
            written(f, scene, "{\"every\":2}"),
            "stream=codec_name,width,height,pix_fmt,color_space,color_transfer,color_primaries,"
                + "r_frame_rate,nb_read_frames");
    String tags = (colours + ",").repeat(3);
    assertThat(said).isEqualTo(codec + ",96,64," + pixels + "," + tags + "25/2,12");
  }

  @Test
  void mp4CanBePlayedBeforeItIsThereAsAWhole() throws IOException {
    ExportFormat f = ExportFormats.of("mp4");
    byte[] bytes = Files.readAllBytes(written(f, scene("\"#24607A\"", "{}", f), "{}"));
    String text = new String(bytes, StandardCharsets.ISO_8859_1);
    assertThat(text.indexOf("moov")).isPositive().isLessThan(text.indexOf("mdat"));
  }

  @ParameterizedTest
  @CsvSource({"25, 1, 4", "30, 1, 3.33", "50, 1, 2", "60, 2, 3.33", "120, 3, 2.5", "12, 1, 8.33"})
  void aGifIsAsLongAsItsSceneAndNoFasterThanBrowsersPlay(int rate, int every, double mean)
      throws IOException {
    ExportFormat f = ExportFormats.of("gif");
    PreparedScene plain = scene("null", "{}", f);
    String document = SceneCodec.write(plain.scene()).replace("\"25\"", "\"" + rate + "\"");
    PreparedScene scene = Preparation.prepare(SceneCodec.read(document), SHAPER);
    int frames = (int) Math.ceil(scene.scene().frameCount() / (double) every);
    assertThat(f.frames(scene.scene(), ExportOptions.of(f))).isEqualTo(frames);
    List<Integer> delays = delays(Files.readAllBytes(written(f, scene, "{\"loops\":1}")));
    assertThat(delays).hasSize(frames).allMatch(d -> d >= 2);
    double all = delays.stream().mapToInt(d -> d).sum();
    assertThat(all / frames).isBetween(mean - 0.3, mean + 0.3);
  }

  /** Of a GIF's frames, in hundredths of a second, from the graphic control extensions. */
  private static List<Integer> delays(byte[] gif) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i + 7 < gif.length; i++) {
      boolean control = gif[i] == 0x21 && (gif[i + 1] & 255) == 0xF9 && gif[i + 2] == 4;
      if (control && gif[i + 7] == 0) {
        out.add(gif[i + 4] & 255 | (gif[i + 5] & 255) << 8);
      }
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "1, -1", "2, 1", "7, 6"})
  void aGifSaysHowOftenItPlays(int plays, int again) throws IOException {
    ExportFormat f = ExportFormats.of("gif");
    byte[] bytes =
        Files.readAllBytes(written(f, scene("null", "{}", f), "{\"loops\":" + plays + "}"));
    String text = new String(bytes, StandardCharsets.ISO_8859_1);
    int block = text.indexOf("NETSCAPE2.0");
    int said = block < 0 ? -1 : bytes[block + 13] & 255 | (bytes[block + 14] & 255) << 8;
    assertThat(said).isEqualTo(again);
  }

  @Test
  void oddSizesAreRefusedOrGetALine() throws IOException {
    ExportFormat f = ExportFormats.of("mp4");
    PreparedScene scene = scene("\"#24607A\"", "{}", f);
    ExportOptions odd = ExportOptions.parse(f, "{\"size\":26}");
    assertThat(f.unsupportedReason(scene.scene(), odd)).contains("25 \u00d7 17", "26 \u00d7 18");
    String padded = "{\"size\":26,\"odd\":\"pad\"}";
    assertThat(f.unsupportedReason(scene.scene(), ExportOptions.parse(f, padded))).isNull();
    Path out = written(f, scene, padded);
    assertThat(Decoded.probed(out, "stream=width,height")).isEqualTo("26,18");
    byte[] frame = frames("mp4", out, 26 * 18 * 4).get(0);
    // The line is of the background.
    int at = 4 * (26 * 18 - 1);
    assertThat(frame[at + 2] & 255).isBetween(0x24 - 12, 0x24 + 12);
    assertThat(frame[at] & 255).isBetween(0x7A - 12, 0x7A + 12);
  }

  @Test
  void theBackgroundIsLeftOutOrChosen() throws IOException {
    ExportFormat apng = ExportFormats.of("apng");
    PreparedScene without = scene("\"#24607A\"", "{\"ground\":\"none\"}", apng);
    assertThat(frames("apng", written(apng, without, "{}"), 96 * 64 * 4).get(0)[3]).isZero();
    ExportFormat mp4 = ExportFormats.of("mp4");
    PreparedScene chosen = scene("null", "{\"ground\":\"#EFEFEF\"}", mp4);
    assertThat(frames("mp4", written(mp4, chosen, "{}"), 96 * 64 * 4).get(0)[0] & 255)
        .isBetween(0xEF - 4, 0xEF + 4);
    assertThat(mp4.note(chosen.scene(), ExportOptions.of(mp4))).isNull();
    assertThat(mp4.note(scene("null", "{}", mp4).scene(), ExportOptions.of(mp4)))
        .contains("black", "Choose a colour");
  }

  @ParameterizedTest
  @CsvSource({"0, 24", "24, 24", "9, 8"})
  void framesThatAreNotThereAreToldInWords(int from, int to) {
    for (String format : MOVING) {
      ExportFormat f = ExportFormats.of(format);
      ExportOptions o = ExportOptions.parse(f, "{\"from\":" + from + ",\"to\":" + to + "}");
      assertThat(f.unsupportedReason(scene("null", "{}", f).scene(), o))
          .as(format)
          .matches("(?s).*(0 to 23|is after the last).*");
    }
  }

  @Test
  void sixteenBitsAreMoreThanEight() throws IOException {
    ExportFormat png = ExportFormats.of("png");
    PreparedScene scene = scene("null", "{}", png);
    BufferedImage deep = ImageIO.read(written(png, scene, "{\"depth\":\"16\"}").toFile());
    assertThat(deep.getColorModel().getComponentSize(0)).isEqualTo(16);
    long between =
        IntStream.range(0, 96)
            .map(x -> deep.getRaster().getSample(x, 32, 3))
            .filter(a -> a % 257 != 0)
            .count();
    assertThat(between).as("opacities between those of eight bits").isGreaterThan(20);
    BufferedImage plain = Images.of(scene, 0);
    for (int x = 0; x < 96; x++) {
      int alpha = deep.getRaster().getSample(x, 32, 3) / 257;
      assertThat(alpha)
          .isBetween((plain.getRGB(x, 32) >>> 24) - 2, (plain.getRGB(x, 32) >>> 24) + 2);
    }
  }

  @ParameterizedTest
  @CsvSource({"jpeg, jpg", "webp-still, webp"})
  void stillsOfEachKindAreTheFrame(String format, String end) throws IOException {
    ExportFormat f = ExportFormats.of(format);
    PreparedScene scene = scene("\"#24607A\"", "{}", f);
    Path out = written(f, scene, "{\"at\":0.4,\"quality\":100}");
    assertThat(out.toString()).endsWith(String.format(Locale.ROOT, ".%s", end));
    byte[] pixels = Decoded.pixels(out, List.of());
    double[] d = difference(pixels, Images.of(scene, 0.4), 0);
    assertThat(d[0]).isLessThan(2.5);
  }
}
