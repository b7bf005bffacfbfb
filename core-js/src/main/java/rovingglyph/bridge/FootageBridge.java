package rovingglyph.bridge;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.FootageMoments;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Footage;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Soundtrack;

/** What the interface wants to know of footage. */
final class FootageBridge {
  private static final Map<String, double[]> TIMES = new HashMap<>();

  private FootageBridge() {}

  static void times(String id, double[] times) {
    TIMES.put(id, times);
  }

  /** The number of the frame of a moment; -1 while its times are not known. */
  static int frame(String id, double moment) {
    double[] times = TIMES.get(id);
    return times == null ? -1 : Footage.frame(times, moment);
  }

  /** When a frame begins, seconds; NaN of one that there is not, or while that is not known. */
  static double time(String id, int frame) {
    double[] times = TIMES.get(id);
    return times == null || frame < 0 || frame >= times.length ? Double.NaN : times[frame];
  }

  /**
   * The moment that an item shows at a time, seconds; NaN where it shows none, or is no footage.
   */
  static double moment(PreparedScene scene, String item, double time) {
    boolean there = scene.scene().item(item) instanceof Footage f && f.properties().shownAt(time);
    return there ? ((Footage) scene.scene().item(item)).moment(time) : Double.NaN;
  }

  /** See {@link Footage#firstSeen}; the start of the scene where the item is no footage. */
  static double firstSeen(Scene scene, String item, double moment) {
    return scene.item(item) instanceof Footage f ? f.firstSeen(moment) : 0;
  }

  /** Index and moment of all footage that is shown at a time, by turns. */
  static double[] shown(PreparedScene scene, double time) {
    List<FootageMoments.Shown> all = FootageMoments.at(scene, time);
    double[] out = new double[2 * all.size()];
    for (int i = 0; i < all.size(); i++) {
      out[2 * i] = all.get(i).image();
      out[2 * i + 1] = all.get(i).moment();
    }
    return out;
  }

  /** What is heard: of every piece its footage, when it begins and how long it is, and so on. */
  static JsonArray sounds(PreparedScene scene) {
    JsonArray out = new JsonArray();
    for (Soundtrack.Piece p : Soundtrack.of(scene.scene())) {
      out.add(
          new JsonObject()
              .add("image", p.image())
              .add("at", p.at())
              .add("seconds", p.seconds())
              .add("from", p.from())
              .add("speed", p.speed()));
    }
    return out;
  }

  /** How loud a piece is at a time, as a factor; nothing of one that is gone. */
  static double gain(PreparedScene scene, int piece, double time) {
    List<Soundtrack.Piece> all = Soundtrack.of(scene.scene());
    return piece < all.size() ? all.get(piece).gain(time) : 0;
  }
}
