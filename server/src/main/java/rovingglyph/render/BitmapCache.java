package rovingglyph.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * The bitmaps of a scene's pictures as they were decoded last, each with one more pixel round it,
 * as its edge is. For one thread.
 */
final class BitmapCache implements AutoCloseable {
  /** Bytes of decoded bitmaps that are kept; the one that is needed now is kept in any case. */
  static final long MOST = 400L << 20;

  private record Key(String image, int level) {}

  private final Bitmaps bitmaps;
  private final List<String> images;
  private final Map<String, List<Bitmaps.Level>> levels = new HashMap<>();
  private final Map<Key, Image> decoded = new LinkedHashMap<>(16, 0.75f, true);
  private final Map<String, FootageFrames> footage = new HashMap<>();
  private long bytes;

  /**
   * @param images ids that frames name by index
   */
  BitmapCache(Bitmaps bitmaps, List<String> images) {
    this.bitmaps = bitmaps;
    this.images = images;
  }

  /**
   * The bitmap that is right for so many pixels; null for what is not kept.
   *
   * @param moment of footage; less than 0 for a picture
   */
  Image image(int index, double moment, double across, double down) {
    String id = images.get(index);
    if (moment >= 0) {
      FootageFrames frames = footage.computeIfAbsent(id, this::frames);
      Image exact = frames.at(moment, across, down);
      return exact == null ? preview(id, moment) : exact;
    }
    List<Bitmaps.Level> all = levels.computeIfAbsent(id, bitmaps::levels);
    if (all.isEmpty()) {
      return null;
    }
    int level = Bitmaps.level(all, across, down);
    return decoded(new Key(id, level), all.get(level).content()::bytes);
  }

  private Image preview(String id, double moment) {
    byte[] file = bitmaps.preview(id, moment);
    return file == null ? null : decoded(new Key(id + "@" + moment, 0), () -> file);
  }

  private Image decoded(Key key, Supplier<byte[]> file) {
    Image known = decoded.get(key);
    if (known == null) {
      known = decode(file.get());
      decoded.put(key, known);
      bytes += size(known);
      makeRoom();
    }
    return known;
  }

  private FootageFrames frames(String id) {
    try {
      return new FootageFrames(bitmaps.footage(id));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void makeRoom() {
    Iterator<Image> eldest = new ArrayList<>(decoded.values()).iterator();
    while (bytes > MOST && decoded.size() > 1) {
      Image gone = eldest.next();
      decoded.values().remove(gone);
      bytes -= size(gone);
      gone.close();
    }
  }

  private static long size(Image image) {
    return 4L * image.getWidth() * image.getHeight();
  }

  private static Image decode(byte[] file) {
    try (Image image = plain(file)) {
      return framed(image);
    }
  }

  /** A bitmap with its outermost pixels once more round it. */
  private static Image framed(Image image) {
    try (Surface framed =
        Raster.surface(
            image.getImageInfo().withWidthHeight(image.getWidth() + 2, image.getHeight() + 2))) {
      int w = image.getWidth();
      int h = image.getHeight();
      // From, how many, to: the edge before, all of it, the edge behind.
      int[][] columns = {{0, 1, 0}, {0, w, 1}, {w - 1, 1, w + 1}};
      int[][] rows = {{0, 1, 0}, {0, h, 1}, {h - 1, 1, h + 1}};
      for (int[] c : columns) {
        for (int[] r : rows) {
          framed
              .getCanvas()
              .drawImageRect(
                  image,
                  Rect.makeXYWH(c[0], r[0], c[1], r[1]),
                  Rect.makeXYWH(c[2], r[2], c[1], r[1]));
        }
      }
      return framed.makeImageSnapshot();
    }
  }

  private static Image plain(byte[] file) {
    try (Data data = Data.makeFromBytes(file);
        Codec codec = Codec.makeFromData(data);
        Bitmap pixels = new Bitmap()) {
      ImageInfo found = codec.getImageInfo();
      boolean opaque = found.getColorAlphaType() == ColorAlphaType.OPAQUE;
      ColorAlphaType alpha = opaque ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL;
      ColorSpace srgb = ColorSpace.getSRGB();
      boolean room =
          pixels.allocPixels(
              new ImageInfo(found.getWidth(), found.getHeight(), ColorType.BGRA_8888, alpha, srgb));
      if (!room) {
        throw new OutOfMemoryError("No memory is left for a picture");
      }
      codec.readPixels(pixels);
      return Image.makeRasterFromBitmap(pixels.setImmutable());
    }
  }

  @Override
  public void close() {
    decoded.values().forEach(Image::close);
    decoded.clear();
    footage.values().forEach(FootageFrames::close);
    footage.clear();
  }
}
