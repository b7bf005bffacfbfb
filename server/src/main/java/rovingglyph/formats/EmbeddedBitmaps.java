package rovingglyph.formats;

import java.util.Base64;
import java.util.List;
import rovingglyph.render.Bitmaps;
import rovingglyph.webexport.AnimatedSvg;

/**
 * The pictures of an SVG as they are written into it: of each the least size that is wide enough.
 */
public record EmbeddedBitmaps(Bitmaps bitmaps) implements AnimatedSvg.Bitmaps {
  @Override
  public String address(String image, double width) {
    List<Bitmaps.Level> levels = bitmaps.levels(image);
    if (levels.isEmpty()) {
      return null;
    }
    Bitmaps.Level level = levels.get(Bitmaps.level(levels, width, 0));
    byte[] bytes = level.content().bytes();
    return "data:" + level.type() + ";base64," + Base64.getEncoder().encodeToString(bytes);
  }
}
