package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.Footage;

/** Which frames of footage a scene shows at a time, told without painting it. */
public final class FootageMoments {
  /**
   * A frame.
   *
   * @param image index of its footage among the scene's images
   * @param moment of the footage, seconds
   */
  public record Shown(int image, double moment) {}

  private FootageMoments() {}

  /** What is shown, in scenes within it too; what is in hidden groups may be among it. */
  public static List<Shown> at(PreparedScene scene, double time) {
    List<Shown> out = new ArrayList<>();
    collect(scene, time, 0, out);
    return out;
  }

  private static void collect(PreparedScene scene, double time, int from, List<Shown> out) {
    List<Footage> painted = scene.scene().painted(Footage.class);
    for (PreparedItem item : scene.items().values()) {
      if (item instanceof PreparedPicture p && p.picture() instanceof Footage f) {
        double moment = f.moment(time);
        if (painted.contains(f) && !Double.isNaN(moment) && f.properties().shownAt(time)) {
          out.add(new Shown(from + p.image(), moment));
        }
      } else if (item instanceof PreparedInset i
          && !i.inset().hidden()
          && i.inset().properties().shownAt(time)) {
        collect(i.shown(), i.within(time), from + i.firstImage(), out);
      }
    }
  }
}
