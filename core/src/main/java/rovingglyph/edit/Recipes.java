package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Sway;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Spelling;

/**
 * Writes ordinary motion from a few times and choices. A recipe takes the place of what an earlier
 * one of its kind wrote, and of nothing else.
 */
final class Recipes {
  private final Scene scene;
  private final JsonObject e;

  private Recipes(Scene scene, JsonObject edit) {
    this.scene = scene;
    this.e = edit;
  }

  /** {@code kind} names the recipe, or is left out: then {@code drop} names the one taken away. */
  static Scene apply(Scene scene, JsonObject edit) {
    if (!(scene.item(edit.getString("item", "")) instanceof Lettering l)) {
      throw new IllegalArgumentException("Choose a lettering first");
    }
    String word = edit.getString("kind", edit.getString("drop", ""));
    Recipe.Kind kind = Spelling.find(Recipe.Kind.values(), word);
    if (kind == null) {
      throw new IllegalArgumentException("There is no recipe \"" + word + "\"");
    }
    Recipes r = new Recipes(scene, edit);
    Lettering cleared = r.cleared(l, kind);
    return scene.withItem(edit.get("kind") == null ? cleared : r.written(cleared, kind));
  }

  private Lettering cleared(Lettering l, Recipe.Kind next) {
    Lettering out = l;
    List<Recipe> kept = new ArrayList<>();
    for (Recipe r : l.showing().recipes()) {
      if (r.kind().travels() != next.travels()) {
        kept.add(r);
        continue;
      }
      for (Channel c : r.kind().writes()) {
        out = out.with(c, bare(out.movable(c), c));
      }
      LetterEffects s = out.showing();
      out = r.kind() == Recipe.Kind.LETTER_REVEAL ? out.with(s.with((Reveal) null)) : out;
      out = r.kind() == Recipe.Kind.CLOCK_SWEEP ? out.with(s.with((ClockSweep) null)) : out;
    }
    return out.with(out.showing().with(kept));
  }

  private static AnimatedValue bare(AnimatedValue m, Channel c) {
    return m.with(List.of()).with((Cruise) null).with((Sway) null).with(Lettering.start(c));
  }

  private Lettering written(Lettering l, Recipe.Kind kind) {
    Lettering out =
        switch (kind) {
          case ENTER_HOLD_LEAVE -> enterHoldLeave(l);
          case ENDLESS_LAP -> endlessLap(l);
          case STEADY_CRUISE -> cruise(l);
          case SWAY -> sway(l);
          case LETTER_REVEAL -> reveal(l);
          case CLOCK_SWEEP -> sweep(l);
        };
    Map<String, JsonValue> params = new LinkedHashMap<>();
    for (JsonObject.Member m : e) {
      if (!List.of("op", "item", "kind").contains(m.getName())) {
        params.put(m.getName(), m.getValue());
      }
    }
    List<Recipe> all = new ArrayList<>(out.showing().recipes());
    all.add(new Recipe(kind, new UnknownFields(params)));
    return out.with(out.showing().with(List.copyOf(all)));
  }

  private double seconds(String name, double missing) {
    double v = e.getDouble(name, missing);
    if (!(v >= 0 && v <= 3000)) {
      throw new IllegalArgumentException("The time \"" + name + "\" takes 0 to 3000 s");
    }
    return v;
  }

  private double frame(double time) {
    return scene.rate().timeOf(scene.rate().frameAt(time));
  }

  private Lettering with(Lettering l, Channel c, Keyframe... keys) {
    List<Keyframe> distinct = new ArrayList<>();
    for (Keyframe k : keys) {
      Keyframe on = k.at(frame(k.time()), null);
      if (!distinct.isEmpty() && distinct.get(distinct.size() - 1).time() >= on.time()) {
        throw new IllegalArgumentException("Every part of it takes at least one frame");
      }
      distinct.add(on);
    }
    return l.with(c, bare(l.movable(c), c).with(distinct));
  }

  private static Keyframe land(double time, Landing.Kind kind, Easing easing) {
    return new Keyframe(time, 0, new Landing(kind, 1), easing);
  }

  private Lettering enterHoldLeave(Lettering l) {
    double start = seconds("start", 0);
    double there = start + seconds("enter", 1.2);
    double off = there + seconds("hold", 2.4);
    double gone = off + seconds("leave", 0.8);
    boolean centred = e.getString("arrives", "at-rest").equals("centred");
    boolean back = e.getString("leaves", "onward").equals("back");
    Landing.Kind rest = centred ? Landing.Kind.CENTRED : Landing.Kind.AT_REST;
    Landing.Kind out = back ? Landing.Kind.OUT_BEFORE : Landing.Kind.OUT_AFTER;
    return with(
        l,
        Channel.PATH_OFFSET,
        land(start, Landing.Kind.OUT_BEFORE, Easing.EASE_OUT),
        land(there, rest, Easing.HOLD),
        land(off, rest, Easing.EASE_IN),
        land(gone, out, Easing.LINEAR));
  }

  private Lettering endlessLap(Lettering l) {
    double laps = e.getDouble("laps", 1);
    double parts = Math.max(1, e.getDouble("parts", 1));
    Easing easing = e.getBoolean("eased", false) ? Easing.EASE_IN_OUT : Easing.LINEAR;
    if (laps == 0 || laps != Math.rint(laps)) {
      throw new IllegalArgumentException("An endless lap takes whole laps: 1, 2, -1 ...");
    }
    Landing whole = new Landing(Landing.Kind.WHOLE_LAPS, laps / parts);
    return with(
        l,
        Channel.PATH_OFFSET,
        land(0, Landing.Kind.AT_REST, easing),
        new Keyframe(scene.length(), 0, whole, Easing.LINEAR));
  }

  private Lettering cruise(Lettering l) {
    String word = e.getString("pace", "per-second");
    Cruise.Pace pace = Spelling.find(Cruise.Pace.values(), word);
    if (pace == null) {
      throw new IllegalArgumentException("There is no pace \"" + word + "\"");
    }
    Cruise c = Cruise.of(pace, e.getDouble("amount", 200), UnknownFields.NONE);
    Channel o = Channel.PATH_OFFSET;
    return l.with(o, bare(l.movable(o), o).with(c));
  }

  private Lettering sway(Lettering l) {
    String word = e.getString("shape", "sine");
    Sway.Shape shape = Spelling.find(Sway.Shape.values(), word);
    double period = e.getDouble("period", 2);
    if (shape == null || !(period >= 0.01 && period <= 3600)) {
      throw new IllegalArgumentException("A sway takes a shape and a period of 0.01 to 3600 s");
    }
    Sway s = new Sway(e.getDouble("amplitude", 60), period, 0, shape, 1, UnknownFields.NONE);
    Channel o = Channel.PATH_OFFSET;
    return l.with(o, bare(l.movable(o), o).with(s));
  }

  private Lettering reveal(Lettering l) {
    Reveal.By by = Spelling.find(Reveal.By.values(), e.getString("by", "letters"));
    Reveal r =
        new Reveal(
            by == null ? Reveal.By.LETTERS : by,
            Math.min(Math.max(e.getDouble("soft", 15), 0), 100),
            e.getBoolean("fade", true),
            e.getDouble("rise", 0),
            e.getDouble("turn", 0),
            Math.min(Math.max(e.getDouble("scale", 100), 0), 1000),
            UnknownFields.NONE);
    return shown(l.with(l.showing().with(r)), Channel.REVEAL_TO, Channel.REVEAL_FROM, 100);
  }

  private Lettering sweep(Lettering l) {
    ClockSweep s =
        new ClockSweep(
            null,
            -90,
            e.getInt("letter", 0),
            e.getBoolean("counter", false),
            Math.min(Math.max(e.getDouble("soft", 30), 0), 360),
            true,
            UnknownFields.NONE);
    return shown(l.with(l.showing().with(s)), Channel.SWEEP_TO, Channel.SWEEP_FROM, 360);
  }

  /** From nothing to all; and, if a leaving time is given, away again from the first on. */
  private Lettering shown(Lettering l, Channel to, Channel from, double all) {
    double start = seconds("start", 0);
    double there = start + seconds("enter", 1.2);
    Lettering out =
        with(
            l,
            to,
            new Keyframe(start, 0, null, Easing.EASE_IN_OUT),
            new Keyframe(there, all, null, Easing.LINEAR));
    double leave = seconds("leave", 0);
    if (leave <= 0) {
      return out;
    }
    double off = there + seconds("hold", 1);
    return with(
        out,
        from,
        new Keyframe(off, 0, null, Easing.EASE_IN_OUT),
        new Keyframe(off + leave, all, null, Easing.LINEAR));
  }
}
