package rovingglyph.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** Files that were made in parts and joined are as those that were made at once. */
class FormatsInPartsTest {
  private static final Shaper SHAPER = new Shaper(FaceCatalogue.shipped());

  /** The least that all encoders take, px. */
  private static final int SIZE = 64;

  @TempDir Path folder;

  /** A square with soft sides that goes round, over nothing where the format has transparency. */
  private static PreparedScene scene(String rate, int frames, String ground) {
    Scene unpaced =
        SceneCodec.read(
            """
            {"format":"roving-glyph-scene","version":2,"name":"Kite","width":64,"height":64,
             "rate":"%s","length":600,"background":%s,"items":[
             {"kind":"drawing","id":"d","x":30,"y":32,"opacity":80,
              "rotation":{"keyframes":[{"time":0,"value":0},{"time":20,"value":3600}]},
              "parts":[{"d":"M-12-12H12V12H-12Z","fill":"#C4472D"}]}]}"""
                .formatted(rate, ground));
    double length = unpaced.rate().timeOf(frames);
    String document = SceneCodec.write(unpaced).replace("\"length\":600", "\"length\":" + length);
    Scene scene = SceneCodec.read(document);
    assertThat(scene.frameCount()).isEqualTo(frames);
    return Preparation.prepare(scene, SHAPER);
  }

  private static final List<String> RATES =
      List.of("25", "24000/1001", "59", "24", "30000/1001", "25/2");

  /** Every format at two rates, and every rate in two formats. */
  static Stream<Arguments> cases() {
    List<String> formats =
        ExportFormats.ALL.stream()
            .filter(f -> f instanceof FormatInParts && !(f instanceof PngSequenceFormat))
            .map(FormatInParts.class::cast)
            .filter(f -> f.parts(scene("25", 500, "null").scene(), ExportOptions.of(f)).size() > 1)
            .map(ExportFormat::id)
            .toList();
    return IntStream.range(0, 2 * formats.size())
        .mapToObj(
            i -> Arguments.of(formats.get(i / 2), RATES.get((i / 2 + i % 2 * 3) % RATES.size())));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void joinedVideosPlayAsThoseMadeAtOnce(String id, String rate) throws IOException {
    FormatInParts format = (FormatInParts) ExportFormats.of(id);
    boolean opaque = id.startsWith("mp4");
    PreparedScene scene = scene(rate, 411, opaque ? "\"#24607A\"" : "null");
    ExportOptions options = ExportOptions.parse(format, "{\"from\": 3, \"to\": 402}");
    Path whole = folder.resolve("whole." + format.words().extension());
    format.write(scene, Bitmaps.NONE, options, whole, new Progress());
    List<Part> parts = format.parts(scene.scene(), options);
    assertThat(parts).hasSizeGreaterThan(1);
    Path joined = joined(format, scene, options, parts);

    String entries =
        "stream=codec_name,codec_tag_string,width,height,pix_fmt,color_space,color_transfer,"
            + "color_primaries,color_range,r_frame_rate,avg_frame_rate,time_base,nb_read_frames"
            + ":stream_tags=alpha_mode";
    assertThat(Decoded.probed(joined, entries)).isEqualTo(Decoded.probed(whole, entries));
    List<Double> times = times(joined);
    List<Double> wanted = times(whole);
    assertThat(times).hasSameSizeAs(wanted).isSorted();
    for (int i = 0; i < times.size(); i++) {
      assertThat(times.get(i)).as("frame " + i).isCloseTo(wanted.get(i), within(0.001001));
    }
    compare(id, scene, FrameOptions.range(scene.scene(), options), joined, whole);
  }

  private Path joined(
      FormatInParts format, PreparedScene scene, ExportOptions options, List<Part> parts)
      throws IOException {
    List<Path> files = new ArrayList<>();
    for (Part part : parts) {
      Path file = folder.resolve("it's part " + part.first() + "." + format.words().extension());
      format.writePart(scene, Bitmaps.NONE, options, part, file, new Progress());
      files.add(file);
    }
    Path out = folder.resolve("joined." + format.words().extension());
    format.join(scene.scene(), Bitmaps.NONE, options, files, out, new Progress());
    return out;
  }

  private static List<Double> times(Path file) throws IOException {
    return Arrays.stream(Decoded.probed(file, "frame=pts_time").split("[\\s,]+"))
        .filter(s -> !s.isEmpty())
        .map(Double::valueOf)
        .toList();
  }

  /**
   * Every frame is as near to the render as in the file that was made at once: no joint is seen.
   */
  private static void compare(
      String id, PreparedScene scene, FrameRange range, Path joined, Path whole)
      throws IOException {
    List<String> before = id.equals("webm") ? List.of("-c:v", "libvpx-vp9") : List.of();
    byte[] is = Decoded.pixels(joined, before);
    byte[] atOnce = Decoded.pixels(whole, before);
    int frame = SIZE * SIZE * 4;
    assertThat(is.length).isEqualTo(atOnce.length).isEqualTo(range.count() * frame);
    double most = 0;
    double mostAtOnce = 0;
    try (FramePainter painter = new FramePainter(scene, Bitmaps.NONE, 1)) {
      for (int f = 0; f < range.count(); f++) {
        BufferedImage wanted = ImageIO.read(new ByteArrayInputStream(painter.png(range.time(f))));
        most = Math.max(most, difference(is, f * frame, wanted));
        mostAtOnce = Math.max(mostAtOnce, difference(atOnce, f * frame, wanted));
      }
    }
    assertThat(most).isLessThan(1.25 * mostAtOnce + 0.1);
  }

  /** The mean over all colours as they are on black, 0 to 255. */
  private static double difference(byte[] all, int at, BufferedImage wanted) {
    double sum = 0;
    for (int i = 0; i < SIZE * SIZE; i++) {
      int rgb = wanted.getRGB(i % SIZE, i / SIZE);
      int p = at + 4 * i;
      for (int c = 0; c < 3; c++) {
        double is = (all[p + c] & 255) * (all[p + 3] & 255) / 255.0;
        sum += Math.abs(is - (rgb >> 8 * c & 255) * (rgb >>> 24) / 255.0);
      }
    }
    return sum / (SIZE * SIZE * 3);
  }

  @Test
  void joinedSequencesAreTheSameFile() throws IOException {
    PngSequenceFormat format = new PngSequenceFormat();
    PreparedScene scene = scene("25", 400, "null");
    ExportOptions options = ExportOptions.parse(format, "{\"first\": 9700}");
    List<Part> parts = format.parts(scene.scene(), options);
    assertThat(parts).hasSizeGreaterThan(1);
    Path whole = folder.resolve("whole.zip");
    format.write(scene, Bitmaps.NONE, options, whole, new Progress());
    assertThat(Decoded.entries(joined(format, scene, options, parts)))
        .isEqualTo(Decoded.entries(whole))
        .hasSize(400)
        .containsKey("Kite-10099.png");
  }

  @Test
  void partsCoverAllFramesOnceAndSuitTwoMachines() {
    Random random = new Random(20261201);
    for (int i = 0; i < 2000; i++) {
      int frames = 1 + random.nextInt(i % 2 == 0 ? 2000 : 432_000);
      int step = 1 + random.nextInt(100);
      List<Part> parts = Part.cut(frames, step);
      int at = 0;
      for (Part p : parts) {
        assertThat(p.first()).isEqualTo(at);
        at += p.count();
        boolean last = at == frames;
        assertThat(last || p.count() >= 35).isTrue();
        assertThat(last || p.count() % step == 0 || p.count() < step).isTrue();
      }
      assertThat(at).isEqualTo(frames);
      assertThat(parts).hasSizeLessThanOrEqualTo(404);
      assertThat(parts.size() == 1).isEqualTo(frames < 360);
      int[] machines = new int[2];
      for (Part p : parts) {
        machines[machines[0] <= machines[1] ? 0 : 1] += p.count();
      }
      if (frames >= 500 && frames < 3000 && step <= 30) {
        assertThat(Math.max(machines[0], machines[1])).isLessThan((int) (0.6 * frames));
      }
    }
  }

  @Test
  void rowsAreMadeTogetherUntilTheyAreAboutAsManyFrames() {
    assertThat(Part.cutRows(1000, 1)).hasSize(5);
    assertThat(Part.cutRows(1000, 150)).hasSize(334);
    assertThat(Part.cutRows(20_000, 1000)).hasSize(400);
  }
}
