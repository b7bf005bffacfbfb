package rovingglyph.edit;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Turns;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ShapePath;

/** A shape given by numbers under an affine map. */
final class ShapeMap {
  /** Lengths along the shape's own level axis, and those across it. */
  private static final Set<Channel> LEVEL =
      Set.of(Channel.WIDTH, Channel.LENGTH, Channel.GRAIN, Channel.FLOW);

  private static final Set<Channel> UPRIGHT = Set.of(Channel.HEIGHT, Channel.AMPLITUDE);

  private ShapeMap() {}

  static ShapePath apply(ShapePath s, Affine map, double time) {
    double det = map.a() * map.d() - map.b() * map.c();
    double sx = Math.sqrt(map.a() * map.a() + map.b() * map.b());
    double sy = Math.sqrt(map.c() * map.c() + map.d() * map.d());
    double mean = Math.sqrt(Math.abs(det));
    boolean mirrored = det < 0;
    double turnBy = Math.toDegrees(Math.atan2(map.b(), map.a()));
    double turn = at(s, Channel.TURN, time);
    Point centre = map.apply(new Point(at(s, Channel.X, time), at(s, Channel.Y, time)));
    boolean level = Math.abs(Turns.rest(turn, 180)) < 1e-9;
    boolean across = level && Math.abs(map.b()) + Math.abs(map.c()) < 1e-12;

    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    s.numbers()
        .forEach(
            (c, m) -> {
              if (c == Channel.X || c == Channel.Y) {
                double to = c == Channel.X ? centre.x() : centre.y();
                numbers.put(c, shifted(c, m, to - at(s, c, time)));
              } else if (c == Channel.TURN) {
                numbers.put(c, m.mapped(v -> tidy(mirrored ? turnBy - v : turnBy + v)));
              } else if (c.unit().equals("px")) {
                double by = LEVEL.contains(c) ? sx : UPRIGHT.contains(c) ? sy : mean;
                numbers.put(c, scaled(c, m, across ? by : mean));
              } else {
                numbers.put(c, m);
              }
            });
    return new ShapePath(s.label(), s.kind(), numbers, s.flipped() != mirrored, s.reversed());
  }

  private static double at(ShapePath s, Channel c, double time) {
    return Timeline.value(s.movable(c), time);
  }

  private static AnimatedValue shifted(Channel c, AnimatedValue m, double by) {
    return m.mapped(v -> c.clamp(v + by));
  }

  private static AnimatedValue scaled(Channel c, AnimatedValue m, double by) {
    return m.mapped(v -> c.clamp(v * by));
  }

  /** Half a turn and a whole one, which mirroring gives, without the last digits' noise. */
  private static double tidy(double degrees) {
    double near = Math.rint(degrees * 1e9) / 1e9;
    return near == 360 || near == -360 ? 0 : near;
  }
}
