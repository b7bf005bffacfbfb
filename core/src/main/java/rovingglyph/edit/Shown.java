package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;

/** The edit of when items are there. */
final class Shown {
  private Shown() {}

  /**
   * Sets when the items {@code items} are there: {@code from} a frame on, up to the frame before
   * {@code to}, in seconds. A time that is left out stays; null, the start or the end of the scene
   * stands for no limit. The times go to frames, and at least one frame is left: the time that was
   * not set gives way.
   */
  static Scene apply(Scene scene, JsonObject edit) {
    List<String> ids = new ArrayList<>();
    JsonValue given = edit.get("items");
    if (given != null && given.isArray()) {
      given.asArray().forEach(v -> ids.add(v.asString()));
    }
    Scene out = scene;
    for (String id : ids) {
      Item item = Groups.item(scene, id);
      out = out.withItem(item.with(shown(scene, item.properties(), edit)));
    }
    return out;
  }

  private static ItemProperties shown(Scene scene, ItemProperties p, JsonObject edit) {
    double from = time(scene, edit.get("from"), p.shownFrom(), Double.NEGATIVE_INFINITY);
    double to = time(scene, edit.get("to"), p.shownTo(), Double.POSITIVE_INFINITY);
    double frame = 1 / scene.rate().perSecond();
    if (to < from + frame / 2) {
      boolean begins = edit.get("from") != null;
      from = begins ? from : onFrame(scene, to - frame);
      to = begins ? onFrame(scene, from + frame) : to;
    }
    // What begins with the scene or ends with it goes on doing so when the scene's length changes.
    boolean first = from < frame / 2;
    boolean last = to > scene.length() - frame / 2;
    return p.shown(first ? Double.NEGATIVE_INFINITY : from, last ? Double.POSITIVE_INFINITY : to);
  }

  private static double time(Scene scene, JsonValue given, double present, double none) {
    if (given == null) {
      return present;
    }
    if (given.isNull()) {
      return none;
    }
    if (!given.isNumber()) {
      throw new IllegalArgumentException("A time is a number of seconds, not " + given);
    }
    double last = scene.rate().timeOf(scene.frameCount() - 1L);
    double least = none < 0 ? 0 : 1 / scene.rate().perSecond();
    double greatest = none < 0 ? last : scene.length();
    return onFrame(scene, Math.min(Math.max(given.asDouble(), least), greatest));
  }

  private static double onFrame(Scene scene, double time) {
    return scene.rate().timeOf(scene.rate().frameAt(Math.max(time, 0)));
  }
}
