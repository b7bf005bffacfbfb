package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.NAME;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Command.argument;

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
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of named moments. Keyframes that follow a cue go where it goes. */
final class Cues {
  private static final Field<Values, String> CUE = argument("cue", Types.id());
  private static final Field<Values, Double> NEW_TIME = argument("time", Arguments.ANY).optional();
  private static final Field<Values, String> TEXT = argument("text", Types.text(4_000_000));

  static final List<Command> ALL =
      List.of(
          Command.of("addCue", "Added a cue", List.of(ID, NAME, PLAYHEAD), Cues::add),
          Command.of("cue", "Changed a cue", List.of(CUE, NAME, NEW_TIME), Cues::change),
          Command.of("deleteCue", "Deleted a cue", List.of(CUE), Cues::delete),
          Command.of("importCues", "Brought in cues", List.of(ID, TEXT), Cues::imported));

  private Cues() {}

  private static Scene add(Scene scene, Values v) {
    String name = v.get(NAME) == null ? "Cue " + (scene.cues().size() + 1) : v.get(NAME);
    double time = frame(scene, v.get(PLAYHEAD));
    return put(scene, new Cue(v.get(ID), name, time, UnknownFields.NONE));
  }

  private static Scene change(Scene scene, Values v) {
    Cue c = cue(scene, v);
    double time = frame(scene, v.get(NEW_TIME) == null ? c.time() : v.get(NEW_TIME));
    String name = v.get(NAME) == null ? c.name() : v.get(NAME);
    return put(scene, new Cue(c.id(), name, time, c.extras()));
  }

  private static Scene delete(Scene scene, Values v) {
    Cue gone = cue(scene, v);
    List<Cue> rest = scene.cues().stream().filter(c -> c != gone).toList();
    return following(scene.withCues(rest), gone.id(), gone.time(), null);
  }

  private static Scene imported(Scene scene, Values v) {
    Scene out = scene;
    int n = 0;
    for (CueFile.Entry c : CueFile.read(v.get(TEXT))) {
      String id = v.get(ID) + "-" + n++;
      out = put(out, new Cue(id, c.text(), frame(scene, c.start()), UnknownFields.NONE));
    }
    return out;
  }

  private static double frame(Scene scene, double time) {
    return scene.rate().timeOf(scene.rate().frameAt(Math.min(Math.max(time, 0), 3599)));
  }

  private static Cue cue(Scene scene, Values v) {
    Cue c = scene.cue(v.get(CUE));
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
