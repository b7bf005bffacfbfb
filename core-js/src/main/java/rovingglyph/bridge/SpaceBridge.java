package rovingglyph.bridge;

import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedPath;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.journey.PlaneMarks;
import rovingglyph.scene.Item;

/** Items that are turned in space, for the stage. */
final class SpaceBridge {
  private SpaceBridge() {}

  /** Whether an item or anything round it is turned. */
  static boolean isTurned(PreparedScene scene, String id) {
    Item item = scene.scene().item(id);
    return item != null
        && (item.properties().plane() != null
            || scene.scene().groupsRound(id).stream()
                .anyMatch(g -> g.properties().plane() != null));
  }

  /** The rotation of words about the centre of their path. */
  private static Affine inner(PreparedScene scene, String id, double time) {
    PreparedLettering l = scene.letterings().get(id);
    return l == null ? Affine.IDENTITY : l.turned(time);
  }

  static double[] map(PreparedScene scene, String id, double time) {
    return isTurned(scene, id)
        ? PlaneMarks.map(scene, id, inner(scene, id, time), time)
        : new double[0];
  }

  static double[] path(PreparedScene scene, String id, int count, double time) {
    PreparedLettering l = scene.letterings().get(id);
    PreparedPath path = l == null ? null : scene.paths().get(l.lettering().path());
    return path == null || !isTurned(scene, id)
        ? new double[0]
        : PlaneMarks.path(scene, id, path, inner(scene, id, time), count, time);
  }
}
