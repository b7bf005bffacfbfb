package rovingglyph.frame;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.type.Outline;

/**
 * A scene with its contours measured, its text laid out and its landings solved.
 *
 * @param scene with solved landings
 * @param paths by id, in their own direction
 * @param letterings those whose text has been shaped, by id
 * @param pictures by id
 * @param outlines all that frames name by index
 */
public record PreparedScene(
    Scene scene,
    Map<String, PreparedPath> paths,
    Map<String, PreparedLettering> letterings,
    Map<String, PreparedPicture> pictures,
    List<Outline> outlines) {

  /** The frame at a time in seconds; any finite time is good. */
  public Frame at(double time) {
    return at(time, 0);
  }

  /** Whether any item is blurred by its motion. */
  public boolean blurs() {
    return scene.blur().angle() > 0
        || scene.letterings().stream().anyMatch(l -> blur(l) > 0 && !l.hidden());
  }

  /** The shutter angle of an item in degrees. */
  private double blur(Item item) {
    boolean own = item instanceof Lettering l && l.showing().blur() != null;
    return own ? ((Lettering) item).showing().blur() : scene.blur().angle();
  }

  /**
   * One of the samples of a frame blurred by motion.
   *
   * @param shutter where in the time that the shutter is open, -0.5 to 0.5; each item by its own
   *     shutter angle
   */
  public Frame at(double time, double shutter) {
    Frame frame = new Frame();
    for (String id : scene.stack()) {
      Item item = scene.item(id);
      if (item.hidden()) {
        continue;
      }
      double open = shutter * blur(item) / 360 / scene.rate().perSecond();
      if (item instanceof Lettering) {
        PreparedLettering l = letterings.get(id);
        if (l != null) {
          l.paint(frame, time + open);
        }
      } else {
        pictures.get(id).paint(frame, time + open);
      }
    }
    return frame;
  }

  /** The id of the topmost visible item within {@code reach} px of a point; empty if none is. */
  public String itemAt(Point p, double time, double reach) {
    Rect spot = new Rect(p.x() - reach, p.y() - reach, p.x() + reach, p.y() + reach);
    for (int i = scene.stack().size() - 1; i >= 0; i--) {
      String id = scene.stack().get(i);
      PreparedLettering l = letterings.get(id);
      boolean hit =
          l != null
              ? l.touches(l.values(time), spot)
              : pictures.containsKey(id) && touches(pictures.get(id), time, spot);
      if (hit && !scene.item(id).hidden()) {
        return id;
      }
    }
    return "";
  }

  private boolean touches(PreparedPicture p, double time, Rect spot) {
    for (int i = 0; i < p.picture().parts().size(); i++) {
      if (AreaTouch.touches(outlines.get(p.outlineBase() + i), p.place(time), spot)) {
        return true;
      }
    }
    return false;
  }

  /** The visible area in scene pixels. */
  public Rect area() {
    return new Rect(0, 0, scene.width(), scene.height());
  }
}
