package rovingglyph.footage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Footage files as they come from outside: what they are, and what is not let in. */
class FootageFileTest {
  @TempDir Path folder;

  private Path ffmpeg(String name, String... arguments) throws IOException {
    Path out = folder.resolve(name);
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of(arguments));
    command.add(out.toString());
    MadeFootage.run(new ProcessBuilder(command).inheritIO().start());
    return out;
  }

  private Path source(String name, String source, String... arguments) throws IOException {
    List<String> all = new ArrayList<>(List.of("-f", "lavfi", "-i", source));
    all.addAll(List.of(arguments));
    return ffmpeg(name, all.toArray(new String[0]));
  }

  private static String refused(Path file) {
    FootageFile.Unusable e =
        catchThrowableOfType(
            FootageFile.Unusable.class,
            () -> {
              FootageFile.Facts facts = FootageFile.read(file);
              FootageFile.still(file, facts);
              new FootageReading(file, facts, p -> {}).frames(f -> true);
            });
    assertThat(e).as("%s is refused", file).isNotNull();
    return e.getMessage();
  }

  private static BufferedImage image(byte[] file) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(file));
  }

  @Test
  void tellsSizeRateLengthAndSound() throws Exception {
    Path file = MadeFootage.make(folder, MadeFootage.KINDS.get(1), 60, true);
    FootageFile.Facts f = FootageFile.read(file);
    assertThat(f.width()).isEqualTo(MadeFootage.WIDTH);
    assertThat(f.height()).isEqualTo(MadeFootage.HEIGHT);
    assertThat(f.rate()).isCloseTo(30000 / 1001.0, within(1e-3));
    assertThat(f.length()).isCloseTo(60 * 1001 / 30000.0, within(0.01));
    assertThat(f.channels()).isEqualTo(1);
    assertThat(f.opaque()).isTrue();
    Path clear = MadeFootage.make(folder, MadeFootage.KINDS.get(4), 10, false);
    assertThat(FootageFile.read(clear).opaque()).as("WebM with alpha").isFalse();
  }

  @Test
  void isUprightAndOfSquarePixels() throws Exception {
    Path plain = source("plain.mp4", "testsrc2=s=160x90:d=0.4", "-pix_fmt", "yuv420p");
    Path turned =
        ffmpeg("turned.mp4", "-i", plain.toString(), "-c", "copy", "-metadata:s:v:0", "rotate=90");
    FootageFile.Facts f = FootageFile.read(turned);
    assertThat(f.width()).isEqualTo(90);
    assertThat(f.height()).isEqualTo(160);
    BufferedImage still = image(FootageFile.still(turned, f));
    assertThat(still.getWidth()).isEqualTo(90);
    Path wide =
        source("wide.mp4", "testsrc2=s=160x90:d=0.4", "-vf", "setsar=2", "-pix_fmt", "yuv420p");
    assertThat(FootageFile.read(wide).width()).isEqualTo(320);
  }

  @Test
  void whatIsNoFootageIsRefusedWithTheReason() throws IOException {
    Path words = Files.writeString(folder.resolve("words.mp4"), "kites over the pier");
    assertThat(refused(words)).contains("MP4, MOV, WebM, GIF");
    Path sound = source("sound.mp4", "sine=d=1");
    assertThat(refused(sound)).isEqualTo("The file has sound, but no picture");
    String key = "76a6c65c5ea762046bd749a2e632ccbb";
    Path locked =
        source(
            "locked.mp4",
            "testsrc2=s=64x64:d=0.5",
            "-encryption_scheme",
            "cenc-aes-ctr",
            "-encryption_key",
            key,
            "-encryption_kid",
            key);
    assertThat(refused(locked)).contains("encrypted");
    Path other = source("other.avi", "testsrc2=s=64x64:d=0.2");
    assertThat(refused(other)).contains("MP4, MOV, WebM, GIF");
  }

  @Test
  void whatIsTooMuchIsRefusedWithItsNumber() throws IOException {
    Path fast =
        source("fast.mp4", "testsrc2=s=16x16:r=10000:d=0.05", "-pix_fmt", "yuv420p", "-r", "10000");
    assertThat(refused(fast)).contains("10000 frames a second; at most 240");
    Path large =
        source(
            "large.mp4", "color=s=8000x6000:d=0.08", "-pix_fmt", "yuv420p", "-preset", "ultrafast");
    assertThat(refused(large)).contains("8000 \u00d7 6000 px; at most 36 million");
    Path slow = source("slow.mp4", "color=s=16x16:r=1/100:d=4000", "-pix_fmt", "yuv420p");
    assertThat(refused(slow)).contains("4000 s long; at most 3600 s");
  }

  @Test
  void aFileThatPointsElsewhereIsNotFollowed() throws IOException {
    Path secret = source("secret.mp4", "testsrc2=s=64x64:d=0.2", "-pix_fmt", "yuv420p");
    Path list = folder.resolve("list.mp4");
    Files.writeString(list, "ffconcat version 1.0\nfile '" + secret + "'\n");
    assertThat(refused(list)).contains("no footage");
    Files.writeString(list, "#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\n" + secret + "\n");
    assertThat(refused(list)).contains("no footage");
  }

  @Test
  void aSizeThatChangesMidwayIsBroughtToTheFirstOne() throws Exception {
    Path small = source("a.webm", "testsrc2=s=64x64:r=10:d=0.5", "-c:v", "libvpx");
    Path large = source("b.webm", "testsrc2=s=128x96:r=10:d=0.5", "-c:v", "libvpx");
    Path list = folder.resolve("list.txt");
    Files.writeString(list, "file '" + small + "'\nfile '" + large + "'\n");
    Path both =
        ffmpeg("both.webm", "-f", "concat", "-safe", "0", "-i", list.toString(), "-c", "copy");
    FootageFile.Facts f = FootageFile.read(both);
    List<Integer> sizes = new ArrayList<>();
    double[] times =
        new FootageReading(both, f, p -> {})
            .frames(
                picture -> {
                  sizes.add(image(picture).getWidth());
                  return true;
                });
    assertThat(times).hasSize(10);
    assertThat(sizes).containsOnly(64);
  }

  /** What is cut off or changed is refused in words or read as far as it goes; nothing hangs. */
  @ParameterizedTest
  @ValueSource(strings = {"mp4", "webm", "gif"})
  void damagedCopiesAreReadOrRefused(String type) throws Exception {
    String[] codec = type.equals("webm") ? new String[] {"-c:v", "libvpx"} : new String[0];
    byte[] good = Files.readAllBytes(source("good." + type, "testsrc2=s=48x32:r=10:d=1", codec));
    Random random = new Random(type.hashCode());
    int count = Integer.getInteger("roving.fuzz.pictures", 12);
    int refused = 0;
    for (int i = 0; i < count; i++) {
      byte[] bad = good.clone();
      for (int k = random.nextInt(12); k >= 0; k--) {
        bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
      }
      int to = random.nextInt(3) == 0 ? random.nextInt(bad.length) : bad.length;
      Path file = Files.write(folder.resolve("bad"), Arrays.copyOf(bad, to));
      try {
        FootageFile.Facts f = FootageFile.read(file);
        assertThat(FootageFile.still(file, f)).isNotEmpty();
        double[] times = new FootageReading(file, f, p -> {}).frames(p -> true);
        assertThat(times).isSorted().isNotEmpty();
      } catch (FootageFile.Unusable e) {
        assertThat(e.getMessage()).as("copy %d", i).matches("[A-Z].*[a-z0-9]");
        refused++;
      }
    }
    assertThat(refused).isPositive().isLessThan(count);
  }

  @Test
  void noiseIsNoFootage() throws IOException {
    Random random = new Random(3);
    for (String head : List.of("\0\0\0\u0018ftypmp42", "\u001aE\u00df\u00a3", "GIF89a")) {
      byte[] noise = new byte[5000];
      random.nextBytes(noise);
      byte[] begin = head.getBytes(StandardCharsets.ISO_8859_1);
      System.arraycopy(begin, 0, noise, 0, begin.length);
      assertThat(refused(Files.write(folder.resolve("noise"), noise))).isNotBlank();
    }
  }
}
