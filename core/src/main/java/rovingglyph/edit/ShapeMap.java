package rovingglyph.edit;

import java.util.EnumMap;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Turns;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Movable;
import rovingglyph.scene.ShapePath;

/** A shape given by numbers under an affine map. */
final class ShapeMap {
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

    Map<Channel, Movable> numbers = new EnumMap<>(Channel.class);
    s.numbers()
        .forEach(
            (c, m) ->
                numbers.put(
                    c,
                    switch (c) {
                      case X -> shifted(c, m, centre.x() - at(s, c, time));
                      case Y -> shifted(c, m, centre.y() - at(s, c, time));
                      case TURN -> m.mapped(v -> tidy(mirrored ? turnBy - v : turnBy + v));
                      case WIDTH, LENGTH, GRAIN, FLOW -> scaled(c, m, across ? sx : mean);
                      case HEIGHT, AMPLITUDE -> scaled(c, m, across ? sy : mean);
                      default -> c.unit().equals("px") ? scaled(c, m, mean) : m;
                    }));
    return new ShapePath(s.label(), s.kind(), numbers, s.flipped() != mirrored, s.reversed());
  }

  private static double at(ShapePath s, Channel c, double time) {
    return Timeline.value(s.movable(c), time);
  }

  private static Movable shifted(Channel c, Movable m, double by) {
    return m.mapped(v -> c.clamp(v + by));
  }

  private static Movable scaled(Channel c, Movable m, double by) {
    return m.mapped(v -> c.clamp(v * by));
  }

  /** Half a turn and a whole one, which mirroring gives, without the last digits' noise. */
  private static double tidy(double degrees) {
    double near = Math.rint(degrees * 1e9) / 1e9;
    return near == 360 || near == -360 ? 0 : near;
  }
}
