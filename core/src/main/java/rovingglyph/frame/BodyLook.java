package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;

/**
 * The thickness of the letters of a lettering at one time.
 *
 * @param thickness px
 * @param sides the colour of sides, 0xRRGGBB; -1 for that of their letter
 * @param levels from the front to the back
 */
record BodyLook(double thickness, int sides, Light light, List<Level> levels) {
  /** A quarter of a circle has so many slopes. */
  private static final int ROUND_STEPS = 3;

  /** Smaller than this, px, a bevel is none. */
  private static final double LEAST_BEVEL = 0.01;

  /**
   * A plane through letters, side by side with their fronts.
   *
   * @param inset how far the outline there is within that of the letter, px
   * @param depth how far it is behind the front, px
   */
  record Level(double inset, double depth) {}

  /** That of a lettering; null where it has none. */
  static BodyLook of(Lettering l, double time) {
    Body body = l.properties().plane() == null ? null : l.properties().plane().body();
    if (body == null) {
      return null;
    }
    double thickness = value(l, Channel.THICKNESS, time);
    double bevel = Math.min(value(l, Channel.BEVEL, time), thickness / 2);
    int sides =
        body.sides() == Body.Sides.SAME
            ? -1
            : Timeline.colour(l.movable(Channel.SIDE_COLOUR), time, l.setting().mix());
    return new BodyLook(thickness, sides, light(l, time), levels(body.bevel(), bevel, thickness));
  }

  /**
   * The light on what is in a plane: where letters have no thickness that of a document's start.
   */
  static Light light(Lettering l, double time) {
    return new Light(
        Math.toRadians(value(l, Channel.LIGHT_FROM, time)),
        Math.toRadians(value(l, Channel.LIGHT_HEIGHT, time)),
        value(l, Channel.AMBIENT, time) / 100,
        value(l, Channel.WARMTH, time) / 100,
        value(l, Channel.EDGE_LIGHT, time) / 100);
  }

  private static double value(Lettering l, Channel c, double time) {
    boolean there = l.properties().plane().channels().contains(c);
    return c.clamp(there ? Timeline.value(l.movable(c), time) : Body.start(c));
  }

  private static List<Level> levels(Body.Bevel profile, double bevel, double thickness) {
    List<Level> front = new ArrayList<>();
    int steps = bevel < LEAST_BEVEL ? 0 : profile == Body.Bevel.ROUND ? ROUND_STEPS : 1;
    for (int i = 0; i < steps; i++) {
      double angle = Math.PI / 2 * i / steps;
      front.add(new Level(bevel * (1 - Math.sin(angle)), bevel * (1 - Math.cos(angle))));
    }
    front.add(new Level(0, steps == 0 ? 0 : bevel));
    List<Level> out = new ArrayList<>(front);
    for (int i = front.size() - 1; i >= 0; i--) {
      Level l = front.get(i);
      out.add(new Level(l.inset, thickness - l.depth));
    }
    return out;
  }

  boolean isBevelled() {
    return levels.size() > 2;
  }
}
