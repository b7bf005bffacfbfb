package rovingglyph.footage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.scene.FrameRate;

class StillsTest {
  private static final FrameRate RATE = FrameRate.parse("30000/1001");

  @TempDir Path folder;

  private byte[] still(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(16, 9, BufferedImage.TYPE_INT_RGB);
    image.setRGB(3, 3, rgb);
    Path file = folder.resolve("still.png");
    ImageIO.write(image, "png", file.toFile());
    return Files.readAllBytes(file);
  }

  private Path zip(Map<String, byte[]> files) throws IOException {
    Path out = folder.resolve("stills.zip");
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(out))) {
      for (var f : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(f.getKey()));
        zip.write(f.getValue());
      }
    }
    return out;
  }

  private Path film(Path file) throws Exception {
    return Stills.film(file, RATE);
  }

  private static FootageFile.Facts facts(Path film) throws Exception {
    return FootageFile.read(film);
  }

  /** A number that is left out is the still before it, so that all others keep their time. */
  @Test
  void stillsAreTakenByTheirNumbers() throws Exception {
    Map<String, byte[]> files = new LinkedHashMap<>();
    for (int n : List.of(12, 9, 10, 100, 13)) {
      files.put("day 2/kite_v3." + n + ".png", still(n));
    }
    files.put("day 2/.hidden", new byte[3]);
    files.put("__MACOSX/x", new byte[3]);
    Path film = film(zip(files));
    FootageFile.Facts f = facts(film);
    assertThat(f.rate()).isCloseTo(30000 / 1001.0, org.assertj.core.api.Assertions.within(0.02));
    double[] times = new FootageReading(film, f, p -> {}).times();
    assertThat(times).hasSize(100 - 9 + 1);
    assertThat(times[91])
        .isCloseTo(91 * 1001 / 30000.0, org.assertj.core.api.Assertions.within(1e-3));
    assertThat(f.width()).isEqualTo(16);
    assertThat(f.opaque()).isTrue();
    assertThat(FootageFile.id(film)).isEqualTo(FootageFile.id(film(zip(files))));
    Files.delete(film);
  }

  @Test
  void whatCannotBeUsedIsToldInWords() throws Exception {
    byte[] png = still(1);
    byte[] text = "no picture".getBytes(StandardCharsets.UTF_8);
    Map<Map<String, byte[]>, String> wrong = new LinkedHashMap<>();
    wrong.put(Map.of(), "no pictures");
    wrong.put(Map.of("a.png", png), "no number");
    wrong.put(Map.of("a1.png", png, "b1.png", png), "two stills with the number 1");
    wrong.put(Map.of("a1.png", png, "a2.jpg", png), "several kinds");
    wrong.put(Map.of("a1.png", png, "a2.exe", text), "a2.exe");
    wrong.put(Map.of("a1.png", text), "one is damaged");
    wrong.put(Map.of("a1.png", png, "a2.png", text), "one is damaged");
    wrong.put(Map.of("a1.png", png, "a900000000.png", png), "numbered from 1 to 900000000");
    wrong.put(Map.of("../../a1.jpg", "<svg/>".getBytes(StandardCharsets.UTF_8)), "one is damaged");
    for (var w : wrong.entrySet()) {
      Path file = zip(w.getKey());
      assertThatThrownBy(() -> film(file))
          .as(w.getValue())
          .isInstanceOf(FootageFile.Unusable.class)
          .hasMessageContaining(w.getValue());
    }
  }

  /** A list that says it is longer than memory is not read. */
  @Test
  void aListOfFilesThatIsTooLongIsNotRead() throws Exception {
    Path file = zip(Map.of("a1.png", still(1)));
    byte[] bytes = Files.readAllBytes(file);
    bytes[bytes.length - 22 + 15] = 0x7f;
    Files.write(file, bytes);
    assertThatThrownBy(() -> film(file)).hasMessageContaining("too many files");
    Files.write(file, Arrays.copyOf(bytes, bytes.length - 30));
    assertThatThrownBy(() -> film(file)).hasMessageContaining("its end is missing");
  }

  @Test
  void damagedFilesAreRefusedOrShownAndNothingElse() throws Exception {
    Random random = new Random(5);
    for (int kind = 6; kind <= 7; kind++) {
      byte[] whole =
          Files.readAllBytes(MadeFootage.make(folder, MadeFootage.KINDS.get(kind), 5, false));
      for (int i = 0; i < 12; i++) {
        byte[] bad = Arrays.copyOf(whole, i % 3 == 0 ? random.nextInt(whole.length) : whole.length);
        for (int k = 0; k < 6; k++) {
          if (bad.length > 0 && i % 3 > 0) {
            bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
          }
        }
        Path file = Files.write(folder.resolve("bad"), bad);
        try {
          Path film = film(file);
          if (film != null) {
            assertThat(facts(film).width()).isPositive();
            Files.delete(film);
          }
        } catch (FootageFile.Unusable e) {
          assertThat(e.getMessage()).isNotBlank();
        }
      }
    }
  }
}
