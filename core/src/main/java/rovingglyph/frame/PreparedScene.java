package rovingglyph.frame;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.type.Outline;

/**
 * A scene with its contours measured, its text laid out and its landings solved.
 *
 * @param scene with solved landings
 * @param contours by path id, in the path's own direction
 * @param letterings those whose text has been shaped, by id
 * @param pictures by id
 * @param outlines all that frames name by index
 */
public record PreparedScene(
    Scene scene,
    Map<String, Contour> contours,
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

  /** The visible area in scene pixels. */
  public Rect area() {
    return new Rect(0, 0, scene.width(), scene.height());
  }
}
