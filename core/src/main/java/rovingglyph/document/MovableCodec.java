package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Movable;

/** Movable values from and to JSON: a number while still, else an object with keyframes. */
final class MovableCodec {
  /** The latest time of a keyframe, in seconds. */
  static final double LATEST = 3600;

  private MovableCodec() {}

  static Movable read(Fields f, Channel channel, double missing) {
    JsonValue v = f.get(channel.field());
    if (v == null || !v.isObject()) {
      return new Movable(f.number(channel.field(), channel.least(), channel.greatest(), missing));
    }
    Fields m = f.object(channel.field());
    List<Keyframe> keyframes =
        new ArrayList<>(m.list("keyframes", 5000, k -> keyframe(k, channel)));
    keyframes.sort(Comparator.comparingDouble(Keyframe::time));
    double still = m.number("still", channel.least(), channel.greatest(), missing);
    return new Movable(still, List.copyOf(keyframes), m.rest());
  }

  private static Keyframe keyframe(Fields f, Channel channel) {
    Landing.Kind kind = f.choice("landing", Landing.Kind.values(), null);
    if (kind != null && channel != Channel.PATH_OFFSET) {
      f.problem("landing", "only a path offset can land", "none");
    }
    double laps = f.number("laps", -1000, 1000, 1);
    return new Keyframe(
        f.number("time", 0, LATEST, 0),
        f.number("value", channel.least(), channel.greatest(), 0),
        kind == null ? null : new Landing(kind, laps),
        easing(f),
        f.rest());
  }

  static Easing easing(Fields f) {
    JsonValue v = f.get("easing");
    if (v == null || v.isString()) {
      return Easing.of(f.choice("easing", Easing.Kind.values(), Easing.Kind.STEADY));
    }
    double[] c = f.numbers("easing", 4, -100, 100);
    if (c == null) {
      return Easing.STEADY;
    }
    if (c[0] < 0 || c[0] > 1 || c[2] < 0 || c[2] > 1) {
      f.problem("easing", "an own curve [x1, y1, x2, y2] has x1 or x2 out of range", "0 to 1");
      return Easing.STEADY;
    }
    return Easing.own(c[0], c[1], c[2], c[3]);
  }

  static String write(Movable m) {
    if (!m.moves() && m.extras().fields().isEmpty()) {
      return Writer.number(m.still());
    }
    return Writer.object()
        .add("still", m.still())
        .list("keyframes", m.keyframes(), MovableCodec::write)
        .rest(m.extras())
        .text();
  }

  private static String write(Keyframe k) {
    Writer w = Writer.object().add("time", k.time()).add("value", k.value());
    if (k.landing() != null) {
      w.add("landing", Spelling.of(k.landing().kind()));
      if (k.landing().kind() == Landing.Kind.WHOLE_LAPS) {
        w.add("laps", k.landing().laps());
      }
    }
    return w.json("easing", write(k.easing())).rest(k.extras()).text();
  }

  static String write(Easing e) {
    return e.kind() == Easing.Kind.OWN
        ? Writer.list(List.of(e.x1(), e.y1(), e.x2(), e.y2()), Writer::number)
        : Json.value(Spelling.of(e.kind())).toString();
  }
}
