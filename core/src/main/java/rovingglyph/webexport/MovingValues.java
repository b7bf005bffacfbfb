package rovingglyph.webexport;

import java.util.List;
import java.util.function.DoubleFunction;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Transformed;

/**
 * Values of items as CSS: plain numbers while they are still, else registered properties and
 * keyframes, whose rules go into one style sheet.
 */
final class MovingValues {
  /** Of a turn, in degrees, and of a scale: at 1,500 px from the middle they are 0.05 px. */
  private static final double TURN = 0.002;

  private static final double SCALE = 3e-5;

  private final SvgClock clock;
  private final CssMotion motion;
  private final StringBuilder style;

  MovingValues(SvgClock clock, CssMotion motion, StringBuilder style) {
    this.clock = clock;
    this.motion = motion;
    this.style = style;
  }

  /** Where it stands: each of its values in a function of its own, so that each can move. */
  String place(String name, Transformed p, List<String> animations) {
    String x = own(name + "-x", p.movable(Channel.X), 0.05, animations);
    String y = own(name + "-y", p.movable(Channel.Y), 0.05, animations);
    String turn = own(name + "-turn", p.movable(Channel.ROTATION), TURN, animations);
    String scale = own(name + "-scale", p.movable(Channel.SCALE), SCALE, animations);
    String all = "transform:translate(calc(" + x + "*1px),calc(" + y + "*1px))";
    all += " rotate(calc(" + turn + "*1deg)) scale(" + scale + ")";
    Point c = p.centre();
    return c.equals(Point.ORIGIN)
        ? all
        : all + " translate(" + Decimal.text(-c.x(), 4) + "px," + Decimal.text(-c.y(), 4) + "px)";
  }

  /** What takes back {@link #place}. */
  String inverse(String name, Transformed p, List<String> animations) {
    String x = own(name + "-x", p.movable(Channel.X), 0.05, animations);
    String y = own(name + "-y", p.movable(Channel.Y), 0.05, animations);
    String turn = own(name + "-turn", p.movable(Channel.ROTATION), TURN, animations);
    String scale = own(name + "-scale", p.movable(Channel.SCALE), SCALE, animations);
    Point c = p.centre();
    return "transform:translate("
        + Decimal.text(c.x(), 4)
        + "px,"
        + Decimal.text(c.y(), 4)
        + "px) scale(calc(1/"
        + scale
        + ")) rotate(calc("
        + turn
        + "*-1deg)) translate(calc("
        + x
        + "*-1px),calc("
        + y
        + "*-1px))";
  }

  /** The number of a still value; a registered property, driven, of one that moves. */
  String own(String name, AnimatedValue m, double tolerance, List<String> animations) {
    if (!m.moves()) {
      return Decimal.text(m.base(), 6);
    }
    style.append("@property --" + name);
    style.append("{syntax:\"<number>\";inherits:true;initial-value:0}\n");
    style.append(motion.keyframes(name, m, tolerance, v -> "--" + name + ":" + Decimal.text(v, 5)));
    animations.add(name);
    return "var(--" + name + ")";
  }

  String turn(String name, AnimatedValue m, Point about, List<String> animations) {
    DoubleFunction<String> declare = v -> "transform:rotate(" + Decimal.text(v, 5) + "deg)";
    String origin =
        "transform-origin:"
            + Decimal.text(about.x(), 4)
            + "px "
            + Decimal.text(about.y(), 4)
            + "px";
    if (!m.moves()) {
      return m.base() == 0 ? "" : origin + ";" + declare.apply(m.base());
    }
    style.append(motion.keyframes(name + "-turn", m, TURN, declare));
    animations.add(name + "-turn");
    return origin;
  }

  String declaredFade(String name, AnimatedValue m, List<String> animations) {
    DoubleFunction<String> declare =
        v -> "opacity:" + Decimal.text(Math.min(Math.max(v / 100, 0), 1), 5);
    if (!m.moves()) {
      return m.base() == 100 ? "" : declare.apply(m.base());
    }
    style.append(motion.keyframes(name + "-fade", m, 0.3, declare));
    animations.add(name + "-fade");
    return "";
  }

  void animate(String name, List<String> animations) {
    if (animations.isEmpty()) {
      return;
    }
    String each = " " + Decimal.text(clock.length(), 6) + "s linear infinite";
    style
        .append('.' + name + "{animation:")
        .append(String.join(each + ",", animations))
        .append(each + "}\n");
  }
}
