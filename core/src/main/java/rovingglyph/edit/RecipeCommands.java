package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Easing;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.PlaneView;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Sway;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Writes ordinary motion from a few times and choices. A recipe takes the place of what an earlier
 * one of its kind wrote, and of nothing else.
 */
final class RecipeCommands {
  /** How far letters lean that lie on their ring. */
  private static final double LYING = 90;

  private static final FieldType<Double> TIMES = Types.number(0, 3000, "s");

  private static final Field<Values, Recipe.Kind> KIND =
      argument("kind", Types.choice(Recipe.Kind.values())).optional();
  private static final Field<Values, Recipe.Kind> DROP =
      argument("drop", Types.choice(Recipe.Kind.values())).optional();
  private static final Field<Values, Double> START = argument("start", TIMES).optional();
  private static final Field<Values, Double> ENTER = argument("enter", TIMES).optional();
  private static final Field<Values, Double> HOLD = argument("hold", TIMES).optional();
  private static final Field<Values, Double> LEAVE = argument("leave", TIMES).optional();
  private static final Field<Values, Arrival> ARRIVES =
      argument("arrives", Types.choice(Arrival.values())).usual(Arrival.AT_REST);
  private static final Field<Values, Way> LEAVES =
      argument("leaves", Types.choice(Way.values())).usual(Way.ONWARD);
  private static final Field<Values, Double> LAPS =
      argument("laps", Types.number(-1000, 1000, "")).usual(1.0);
  private static final Field<Values, Double> PARTS =
      argument("parts", Types.number(1, 1000, "")).usual(1.0);
  private static final Field<Values, Boolean> EASED = argument("eased", Types.flag()).usual(false);
  private static final Field<Values, Cruise.Pace> PACE =
      argument("pace", Types.choice(Cruise.Pace.values())).usual(Cruise.Pace.PER_SECOND);
  private static final Field<Values, Double> AMOUNT =
      argument("amount", Types.number(-1e6, 1e6, "")).usual(200.0);
  private static final Field<Values, Sway.Shape> SHAPE =
      argument("shape", Types.choice(Sway.Shape.values())).usual(Sway.Shape.SINE);
  private static final Field<Values, Double> PERIOD =
      argument("period", Types.number(0.01, 3600, "s")).usual(2.0);
  private static final Field<Values, Double> AMPLITUDE =
      argument("amplitude", Types.number(-1e6, 1e6, "")).usual(60.0);
  private static final Field<Values, Reveal.By> BY =
      argument("by", Types.choice(Reveal.By.values())).usual(Reveal.By.LETTERS);
  private static final Field<Values, Double> SOFT =
      argument("soft", Types.number(0, 360, "")).optional();
  private static final Field<Values, Boolean> FADE = argument("fade", Types.flag()).usual(true);
  private static final Field<Values, Double> RISE =
      argument("rise", Types.number(-1e4, 1e4, "px")).usual(0.0);
  private static final Field<Values, Double> TURN =
      argument("turn", Types.number(-3600, 3600, "\u00b0")).usual(0.0);
  private static final Field<Values, Double> SCALE =
      argument("scale", Types.number(0, 1000, "%")).usual(100.0);
  private static final Field<Values, Integer> LETTER =
      argument("letter", Types.integer(0, 100_000)).usual(0);
  private static final Field<Values, Boolean> COUNTER =
      argument("counter", Types.flag()).usual(false);

  /**
   * {@code kind} names the recipe, or is left out: then {@code drop} names the one taken away. What
   * else it was written from is kept, be it known or not.
   */
  static final List<Command> ALL =
      List.of(
          Command.open(
              "recipe",
              "Changed a movement",
              List.of(
                  ITEM, KIND, DROP, START, ENTER, HOLD, LEAVE, ARRIVES, LEAVES, LAPS, PARTS, EASED,
                  PACE, AMOUNT, SHAPE, PERIOD, AMPLITUDE, BY, SOFT, FADE, RISE, TURN, SCALE, LETTER,
                  COUNTER),
              RecipeCommands::apply));

  /** Where the words rest between coming and going. */
  private enum Arrival {
    AT_REST,
    CENTRED
  }

  /** Which way they leave, if they do. */
  private enum Way {
    ONWARD,
    BACK,
    STAYS
  }

  private final Command.Target target;
  private final Scene scene;
  private final Values e;

  private RecipeCommands(Command.Target target, Values edit) {
    this.target = target;
    this.scene = target.scene();
    this.e = edit;
  }

  private static Scene apply(Command.Target target, Values v) {
    Scene scene = target.scene();
    if (!(scene.item(v.get(ITEM)) instanceof Lettering l)) {
      throw new IllegalArgumentException("Choose a lettering first");
    }
    Recipe.Kind kind = v.get(KIND) == null ? v.get(DROP) : v.get(KIND);
    if (kind == null) {
      throw new IllegalArgumentException("Name the recipe to write, or the one to take away");
    }
    RecipeCommands r = new RecipeCommands(target, v);
    Lettering cleared = r.cleared(l, kind);
    return scene.withItem(v.get(KIND) == null ? cleared : r.written(cleared, kind));
  }

  private Lettering cleared(Lettering l, Recipe.Kind next) {
    Lettering out = l;
    List<Recipe> kept = new ArrayList<>();
    for (Recipe r : l.letterEffects().recipes()) {
      if (r.kind().travels() != next.travels()) {
        kept.add(r);
        continue;
      }
      for (Channel c : r.kind().writes()) {
        out = out.movable(c) == null ? out : out.with(c, bare(out.movable(c), c));
      }
      LetterEffects s = out.letterEffects();
      out = r.kind() == Recipe.Kind.LETTER_REVEAL ? out.with(s.with((Reveal) null)) : out;
      out = r.kind() == Recipe.Kind.CLOCK_SWEEP ? out.with(s.with((ClockSweep) null)) : out;
    }
    return out.with(out.letterEffects().with(kept));
  }

  private static AnimatedValue bare(AnimatedValue m, Channel c) {
    // A plane stays as its movement leaves it.
    boolean stays = Plane.CHANNELS.contains(c) && !m.keyframes().isEmpty();
    double still = stays ? m.keyframes().get(m.keyframes().size() - 1).value() : Lettering.start(c);
    return m.with(List.of()).with((Cruise) null).with((Sway) null).with(still);
  }

  private Lettering written(Lettering l, Recipe.Kind kind) {
    Lettering out =
        switch (kind) {
          case ENTER_HOLD_LEAVE -> enterHoldLeave(l);
          case ENDLESS_LAP -> endlessLap(l);
          case STEADY_CRUISE -> cruise(l);
          case SWAY -> sway(l);
          case CAROUSEL -> carousel(l);
          case STAND_UP -> standUp(l);
          case LETTER_REVEAL -> reveal(l);
          case CLOCK_SWEEP -> sweep(l);
        };
    Map<String, JsonValue> params = new LinkedHashMap<>();
    for (String name : e.fields().names()) {
      if (!List.of(Command.OP, ITEM.name(), KIND.name()).contains(name)) {
        JsonValue param = e.fields().get(name);
        params.put(name, param == null ? Json.NULL : param);
      }
    }
    List<Recipe> all = new ArrayList<>(out.letterEffects().recipes());
    all.add(new Recipe(kind, new UnknownFields(params)));
    return out.with(out.letterEffects().with(List.copyOf(all)));
  }

  private double or(Field<Values, Double> argument, double missing) {
    Double given = e.get(argument);
    return given == null ? missing : given;
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
    return new Keyframe(time, 0, Landing.of(kind), easing);
  }

  private Lettering enterHoldLeave(Lettering l) {
    double start = or(START, 0);
    double there = start + or(ENTER, 1.2);
    double off = there + or(HOLD, 2.4);
    double gone = off + or(LEAVE, 0.8);
    boolean centred = e.get(ARRIVES) == Arrival.CENTRED;
    boolean back = e.get(LEAVES) == Way.BACK;
    Landing.Kind rest = centred ? Landing.Kind.CENTRED : Landing.Kind.AT_REST;
    Landing.Kind out = back ? Landing.Kind.OUT_BEFORE : Landing.Kind.OUT_AFTER;
    if (e.get(LEAVES) == Way.STAYS) {
      return with(
          l,
          Channel.PATH_OFFSET,
          land(start, Landing.Kind.OUT_BEFORE, Easing.EASE_OUT),
          land(there, rest, Easing.LINEAR));
    }
    return with(
        l,
        Channel.PATH_OFFSET,
        land(start, Landing.Kind.OUT_BEFORE, Easing.EASE_OUT),
        land(there, rest, Easing.HOLD),
        land(off, rest, Easing.EASE_IN),
        land(gone, out, Easing.LINEAR));
  }

  private Lettering endlessLap(Lettering l) {
    double laps = whole(e.get(LAPS));
    double parts = e.get(PARTS);
    Easing easing = e.get(EASED) ? Easing.EASE_IN_OUT : Easing.LINEAR;
    Landing whole = new Landing(Landing.Kind.WHOLE_LAPS, laps / parts, 0);
    return with(
        l,
        Channel.PATH_OFFSET,
        land(or(START, 0), Landing.Kind.AT_REST, easing),
        new Keyframe(scene.length(), 0, whole, Easing.LINEAR));
  }

  private Lettering cruise(Lettering l) {
    Cruise c = Cruise.of(e.get(PACE), e.get(AMOUNT), UnknownFields.NONE);
    Channel o = Channel.PATH_OFFSET;
    return l.with(o, bare(l.movable(o), o).with(c));
  }

  private Lettering sway(Lettering l) {
    Sway s = new Sway(e.get(AMPLITUDE), e.get(PERIOD), 0, e.get(SHAPE), 1, UnknownFields.NONE);
    Channel o = Channel.PATH_OFFSET;
    return l.with(o, bare(l.movable(o), o).with(s));
  }

  /**
   * On a ring in space; whole turns within the scene, so that its loop closes. Its front goes the
   * way that has the first letters lead.
   */
  private Lettering carousel(Lettering l) {
    double turns = Math.max(Math.rint(scene.length() / e.get(PERIOD)), 1);
    Lettering ring = ring(l, or(START, 0));
    Cruise c = Cruise.of(Cruise.Pace.LAPS, e.get(COUNTER) ? turns : -turns, UnknownFields.NONE);
    Channel o = Channel.PATH_OFFSET;
    return ring.with(o, bare(ring.movable(o), o).with(c));
  }

  /**
   * A ring that is seen flat on tips back while its letters rise, then turns, first letters first.
   */
  private Lettering standUp(Lettering l) {
    double start = or(START, 0);
    double there = start + or(ENTER, 1.2);
    double laps = whole(e.get(LAPS));
    Lettering ring = ring(l, start);
    ItemProperties p = ring.properties();
    ring = ring.with(p.turned(p.plane().standing(Plane.Stance.STANDING)), ring.values());
    double tilt = Timeline.value(ring.movable(Channel.TILT), there);
    double lean = Timeline.value(ring.movable(Channel.LEAN), there);
    Lettering tipped = rising(ring, Channel.TILT, start, 0, there, tilt);
    Lettering risen = rising(tipped, Channel.LEAN, start, LYING, there, lean);
    return with(
        risen,
        Channel.PATH_OFFSET,
        land(there, Landing.Kind.AT_REST, Easing.EASE_IN_OUT),
        new Keyframe(
            scene.length(), 0, new Landing(Landing.Kind.WHOLE_LAPS, -laps, 0), Easing.LINEAR));
  }

  private Lettering rising(
      Lettering l, Channel c, double start, double from, double there, double to) {
    return with(
        l,
        c,
        new Keyframe(start, from, null, Easing.EASE_IN_OUT),
        new Keyframe(there, to, null, Easing.LINEAR));
  }

  private Lettering ring(Lettering l, double time) {
    if (!GuideContour.of(scene.path(l.path()), time).closed()) {
      throw new IllegalArgumentException(
          "A ring in space takes a closed path: choose a circle, or close this path");
    }
    return Planes.viewed(target, l, PlaneView.CAROUSEL, time);
  }

  private static double whole(double laps) {
    if (laps == 0 || laps != Math.rint(laps)) {
      throw new IllegalArgumentException("This movement takes whole laps: 1, 2, -1 ...");
    }
    return laps;
  }

  private Lettering reveal(Lettering l) {
    Reveal r =
        new Reveal(
            e.get(BY),
            Math.min(or(SOFT, 15), 100),
            e.get(FADE),
            e.get(RISE),
            e.get(TURN),
            e.get(SCALE),
            UnknownFields.NONE);
    return shown(l.with(l.letterEffects().with(r)), Channel.REVEAL_TO, Channel.REVEAL_FROM, 100);
  }

  private Lettering sweep(Lettering l) {
    ClockSweep s =
        new ClockSweep(
            null, -90, e.get(LETTER), e.get(COUNTER), or(SOFT, 30), true, UnknownFields.NONE);
    return shown(l.with(l.letterEffects().with(s)), Channel.SWEEP_TO, Channel.SWEEP_FROM, 360);
  }

  /** From nothing to all; and, if a leaving time is given, away again from the first on. */
  private Lettering shown(Lettering l, Channel to, Channel from, double all) {
    double start = or(START, 0);
    double there = start + or(ENTER, 1.2);
    Lettering out =
        with(
            l,
            to,
            new Keyframe(start, 0, null, Easing.EASE_IN_OUT),
            new Keyframe(there, all, null, Easing.LINEAR));
    double leave = or(LEAVE, 0);
    if (leave <= 0) {
      return out;
    }
    double off = there + or(HOLD, 1);
    return with(
        out,
        from,
        new Keyframe(off, 0, null, Easing.EASE_IN_OUT),
        new Keyframe(off + leave, all, null, Easing.LINEAR));
  }
}
