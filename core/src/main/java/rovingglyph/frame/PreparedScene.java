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
    Frame frame = new Frame();
    for (String id : scene.stack()) {
      Item item = scene.item(id);
      if (item.hidden()) {
        continue;
      }
      if (item instanceof Lettering) {
        PreparedLettering l = letterings.get(id);
        if (l != null) {
          l.paint(frame, time);
        }
      } else {
        pictures.get(id).paint(frame, time);
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
