package rovingglyph.webexport;

import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/**
 * The bitmaps of a file: every one once, of the natural size of its picture, however often shown.
 */
final class BitmapsSvg {
  /**
   * What a bitmap has to be.
   *
   * @param width so many pixels across are enough
   * @param picture one that shows it
   */
  private record Need(double width, Picture picture) {}

  private final AnimatedSvg.Bitmaps source;
  private final Map<String, String> ids = new LinkedHashMap<>();
  private final Map<String, Picture> shown = new LinkedHashMap<>();

  BitmapsSvg(AnimatedSvg.Bitmaps source) {
    this.source = source;
  }

  /** The element of a kept picture; null for one that is left out. */
  String id(String image) {
    return ids.get(image);
  }

  /** The element of a kept picture with its size; null for one that is left out. */
  StillSvg.Bitmap element(String image) {
    String id = ids.get(image);
    if (id == null) {
      return null;
    }
    Picture p = shown.get(image);
    return new StillSvg.Bitmap("#" + id, p.pixelWidth(), p.pixelHeight());
  }

  /** The elements of all that a scene shows, in scenes within it too. */
  String define(Scene scene, String prefix) {
    Map<String, Need> needs = new LinkedHashMap<>();
    collect(scene, 1, needs);
    StringBuilder out = new StringBuilder();
    needs.forEach((image, need) -> define(image, need, prefix, out));
    return out.toString();
  }

  /**
   * @param scale px of the file per px of the scene, at most
   */
  private static void collect(Scene scene, double scale, Map<String, Need> needs) {
    for (Picture p : scene.paintedPictures()) {
      double width = PictureSvg.widest(p, scene) * scale;
      needs.merge(p.image(), new Need(width, p), (a, b) -> a.width() >= b.width() ? a : b);
    }
    for (Inset i : scene.insets()) {
      Scene shown = scene.shown().get(i.scene());
      if (shown != null) {
        collect(shown, scale * PlacesSvg.largest(i, scene), needs);
      }
    }
  }

  private void define(String image, Need need, String prefix, StringBuilder out) {
    String address = source.address(image, need.width());
    if (address == null) {
      return;
    }
    String id = prefix + "-b" + ids.size();
    ids.put(image, id);
    shown.put(image, need.picture());
    out.append("<defs><image id=\"" + id + "\" preserveAspectRatio=\"none\" width=\"");
    out.append(need.picture().pixelWidth() + "\" height=\"" + need.picture().pixelHeight());
    out.append("\" href=\"" + address + "\"/></defs>\n");
  }
}
