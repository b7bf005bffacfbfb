package rovingglyph.render;

import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.Base64;
import rovingglyph.frame.PreparedScene;
import rovingglyph.webexport.StillSvg;

/** The pictures and frames of footage that a still has, as they are written into its file. */
public final class EmbeddedImages implements StillSvg.Bitmaps, AutoCloseable {
  private static final int JPEG_QUALITY = 92;

  private final BitmapCache cache;

  public EmbeddedImages(PreparedScene scene, Bitmaps bitmaps) {
    this.cache = new BitmapCache(bitmaps, scene.images());
  }

  /**
   * A file.
   *
   * @param address a {@code data:} address
   */
  public record Encoded(String address, int width, int height) {}

  @Override
  public StillSvg.Bitmap bitmap(int index, double moment, double across, double down) {
    Encoded file = encoded(index, moment, across, down);
    return file == null ? null : StillSvg.Bitmap.at(file.address);
  }

  /** The same with its own size; null for one that is to be left out. */
  public Encoded encoded(int index, double moment, double across, double down) {
    Progress.checkThread();
    // Printers, and screens that are looked at closely, show twice as much as the frame has.
    Image image = cache.image(index, moment, 2 * across, 2 * down);
    if (image == null) {
      return null;
    }
    int width = image.getWidth() - 2;
    int height = image.getHeight() - 2;
    // Without the pixel that is round it.
    try (Surface bare = Raster.surface(image.getImageInfo().withWidthHeight(width, height))) {
      bare.getCanvas().drawImage(image, -1, -1);
      try (Image copy = bare.makeImageSnapshot()) {
        String address = copy.getImageInfo().isOpaque() ? jpeg(copy) : png(copy);
        return new Encoded(address, width, height);
      }
    }
  }

  private static String jpeg(Image image) {
    EncodeJPEGOptions options = EncodeJPEGOptions.DEFAULT.withQuality(JPEG_QUALITY);
    try (Data data = EncoderJPEG.encode(image, options)) {
      return "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(data.getBytes());
    }
  }

  private static String png(Image image) {
    try (Data data = EncoderPNG.encode(image, EncodePNGOptions.DEFAULT)) {
      return "data:image/png;base64," + Base64.getEncoder().encodeToString(data.getBytes());
    }
  }

  @Override
  public void close() {
    cache.close();
  }
}
