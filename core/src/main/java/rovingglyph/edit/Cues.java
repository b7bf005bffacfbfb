package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import rovingglyph.document.CueFile;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cue;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;

/** Edits of named moments. Keyframes that follow a cue go where it goes. */
final class Cues {
  private Cues() {}

  /** Null for any other edit. */
  static Scene apply(Scene scene, String op, JsonObject e) {
    return switch (op) {
      case "addCue" -> {
        String name = e.getString("name", "Cue " + (scene.cues().size() + 1));
        yield put(
            scene,
            new Cue(
                e.getString("id", ""),
                name,
                frame(scene, e.getDouble("time", 0)),
                UnknownFields.NONE));
      }
      case "cue" -> {
        Cue c = cue(scene, e);
        double time = frame(scene, e.getDouble("time", c.time()));
        yield put(scene, new Cue(c.id(), e.getString("name", c.name()), time, c.extras()));
      }
      case "deleteCue" -> {
        Cue gone = cue(scene, e);
        List<Cue> rest = scene.cues().stream().filter(c -> c != gone).toList();
        yield following(scene.withCues(rest), gone.id(), gone.time(), null);
      }
      case "importCues" -> {
        Scene out = scene;
        int n = 0;
        for (CueFile.Entry c : CueFile.read(e.getString("text", ""))) {
          String id = e.getString("id", "cue") + "-" + n++;
          out = put(out, new Cue(id, c.text(), frame(scene, c.start()), UnknownFields.NONE));
        }
        yield out;
      }
      default -> null;
    };
  }

  private static double frame(Scene scene, double time) {
    return scene.rate().timeOf(scene.rate().frameAt(Math.min(Math.max(time, 0), 3599)));
  }

  private static Cue cue(Scene scene, JsonObject e) {
    Cue c = scene.cue(e.getString("cue", ""));
    if (c == null) {
      throw new IllegalArgumentException("There is no such cue any more");
    }
    return c;
  }

  private static Scene put(Scene scene, Cue cue) {
    List<Cue> all = new ArrayList<>(scene.cues());
    all.removeIf(c -> c.id().equals(cue.id()));
    all.add(cue);
    all.sort(Comparator.comparingDouble(Cue::time));
    return following(scene.withCues(List.copyOf(all)), cue.id(), cue.time(), cue.id());
  }

  /** Keyframes that follow a cue, at its time; with {@code cue} null they follow it no longer. */
  private static Scene following(Scene scene, String id, double time, String cue) {
    Scene out = scene;
    for (Animatable item : scene.animatables()) {
      Animatable changed = item;
      for (Map.Entry<Channel, AnimatedValue> v : item.values().entrySet()) {
        AnimatedValue m = v.getValue();
        if (m.keyframes().stream().anyMatch(k -> id.equals(k.cue()))) {
          changed = changed.with(v.getKey(), moved(m, id, time, cue));
        }
      }
      out = changed == item ? out : out.with(changed);
    }
    return out;
  }

  private static AnimatedValue moved(AnimatedValue m, String id, double time, String cue) {
    List<Keyframe> keys = new ArrayList<>();
    for (Keyframe k : m.keyframes()) {
      boolean follows = id.equals(k.cue());
      // Another keyframe on the cue's frame gives way to the one that follows it.
      if (follows || Math.abs(k.time() - time) > 1e-6) {
        keys.add(follows ? k.at(time, cue) : k);
      }
    }
    return KeyframeEdits.sorted(m, keys);
  }
}
