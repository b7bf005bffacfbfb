package rovingglyph.document;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Follow;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Stagger;
import rovingglyph.scene.Sway;

/** AnimatedValue values from and to JSON: a number or colour while still, else an object. */
final class AnimatedValueCodec {
  /** The latest time of a keyframe, in seconds. */
  static final double LATEST = 3600;

  private AnimatedValueCodec() {}

  static AnimatedValue read(Fields f, Channel channel, double missing) {
    return read(f, channel.field(), channel, missing);
  }

  /**
   * Reads a movable.
   *
   * @param name of its field
   */
  static AnimatedValue read(Fields f, String name, Channel channel, double missing) {
    JsonValue v = f.get(name);
    if (v == null || !v.isObject()) {
      return new AnimatedValue(value(f, name, channel, missing));
    }
    Fields m = f.object(name);
    List<Keyframe> keyframes =
        new ArrayList<>(m.list("keyframes", 5000, k -> keyframe(k, channel)));
    keyframes.sort(Comparator.comparingDouble(Keyframe::time));
    return new AnimatedValue(
        value(m, "still", channel, missing),
        List.copyOf(keyframes),
        m.get("cruise") == null ? null : cruise(m.object("cruise"), channel),
        m.get("sway") == null ? null : sway(m.object("sway"), channel),
        m.get("stagger") == null ? null : stagger(m.object("stagger")),
        m.get("follow") == null ? null : follow(m.object("follow")),
        m.rest());
  }

  private static double value(Fields f, String name, Channel c, double missing) {
    return c.kind() == Channel.Kind.COLOUR
        ? f.colour(name, (int) missing)
        : f.number(name, c.min(), c.max(), missing);
  }

  /** Keyframes as text, as documents have them. */
  static String keys(java.util.List<Keyframe> keys, Channel c) {
    return Writer.list(keys, k -> write(k, c));
  }

  static Keyframe keyframe(Fields f, Channel channel) {
    Landing.Kind kind = f.choice("landing", Landing.Kind.values(), null);
    if (kind != null && channel != Channel.PATH_OFFSET) {
      f.problem("landing", "only a path offset can land", "none");
    }
    double laps = f.number("laps", -1000, 1000, 1);
    return new Keyframe(
        f.number("time", 0, LATEST, 0),
        value(f, "value", channel, channel.clamp(0)),
        kind == null ? null : new Landing(kind, laps),
        f.text("cue", 80, null),
        EasingCodec.read(f),
        f.rest());
  }

  private static Cruise cruise(Fields f, Channel c) {
    Cruise.Pace pace = f.choice("pace", Cruise.Pace.values(), Cruise.Pace.PER_SECOND);
    if (c.kind() == Channel.Kind.COLOUR) {
      f.problem(null, "a colour cannot cruise", "keyframes");
    } else if (pace != Cruise.Pace.PER_SECOND && c != Channel.PATH_OFFSET) {
      f.problem("pace", "only a path offset counts laps or letters", "per-second");
    }
    return Cruise.of(pace, f.number("amount", -1e6, 1e6, 0), f.rest());
  }

  private static Sway sway(Fields f, Channel c) {
    if (c.kind() == Channel.Kind.COLOUR) {
      f.problem(null, "a colour cannot sway", "keyframes");
    }
    return new Sway(
        f.number("amplitude", -1e6, 1e6, 0),
        f.number("period", 0.01, LATEST, 1),
        f.number("phase", -36000, 36000, 0),
        f.choice("shape", Sway.Shape.values(), Sway.Shape.SINE),
        f.integer("seed", 0, 1_000_000, 1),
        f.flag("loops", false),
        0,
        f.rest());
  }

  private static Stagger stagger(Fields f) {
    return new Stagger(
        f.number("delay", -60, 60, 0.05),
        f.choice("order", Stagger.Order.values(), Stagger.Order.FORWARD),
        f.integer("seed", 0, 1_000_000, 1),
        f.rest());
  }

  private static Follow follow(Fields f) {
    return new Follow(
        f.id("lettering"),
        f.number("factor", -1000, 1000, 1),
        f.number("delay", -LATEST, LATEST, 0),
        f.number("offset", -1e6, 1e6, 0),
        null,
        f.rest());
  }

  static String write(AnimatedValue m, Channel c) {
    boolean plain = !m.keyed() && !m.moves() && m.stagger() == null;
    if (plain && m.extras().fields().isEmpty()) {
      return value(c, m.base());
    }
    Writer w =
        Writer.object()
            .json("still", value(c, m.base()))
            .list("keyframes", m.keyframes(), k -> write(k, c));
    if (m.cruise() != null) {
      w.json("cruise", write(m.cruise()));
    }
    if (m.sway() != null) {
      w.json("sway", write(m.sway()));
    }
    if (m.stagger() != null) {
      w.json("stagger", write(m.stagger()));
    }
    if (m.follow() != null) {
      w.json("follow", write(m.follow()));
    }
    return w.rest(m.extras()).text();
  }

  private static String value(Channel c, double v) {
    return c.kind() == Channel.Kind.COLOUR
        ? "\"" + Writer.colour((int) v) + "\""
        : Writer.number(v);
  }

  private static String write(Cruise c) {
    return Writer.object()
        .add("pace", Spelling.of(c.pace()))
        .add("amount", c.amount())
        .rest(c.extras())
        .text();
  }

  private static String write(Sway s) {
    return Writer.object()
        .add("amplitude", s.amplitude())
        .add("period", s.period())
        .add("phase", s.phase())
        .add("shape", Spelling.of(s.shape()))
        .add("seed", s.seed())
        .flag("loops", s.loops())
        .rest(s.extras())
        .text();
  }

  private static String write(Stagger s) {
    return Writer.object()
        .add("delay", s.delay())
        .add("order", Spelling.of(s.order()))
        .add("seed", s.seed())
        .rest(s.extras())
        .text();
  }

  private static String write(Follow f) {
    return Writer.object()
        .add("lettering", f.lettering())
        .add("factor", f.factor())
        .add("delay", f.delay())
        .add("offset", f.offset())
        .rest(f.extras())
        .text();
  }

  private static String write(Keyframe k, Channel c) {
    Writer w = Writer.object().add("time", k.time()).json("value", value(c, k.value()));
    if (k.landing() != null) {
      w.add("landing", Spelling.of(k.landing().kind()));
      if (k.landing().kind() == Landing.Kind.WHOLE_LAPS) {
        w.add("laps", k.landing().laps());
      }
    }
    if (k.cue() != null) {
      w.add("cue", k.cue());
    }
    return w.json("easing", EasingCodec.write(k.easing())).rest(k.extras()).text();
  }
}
