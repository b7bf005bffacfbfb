package rovingglyph.frame;

import java.util.function.DoubleUnaryOperator;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Space;
import rovingglyph.scene.Landing;

/** Places of a path that words can be brought to. */
public final class PathPlace {
  private static final int LOOKS = 512;

  /** So many times the part of a path in which a place is looked for is halved. */
  private static final int HALVINGS = 48;

  /** A path whose depth changes by less than this, px, is as near everywhere. */
  private static final double LEAST = 1e-3;

  /** Depths that differ by less, px, are one. */
  private static final double ALIKE = 1e-9;

  /** Of two offsets that are equally near, for as much of a lap, the one farther on is taken. */
  private static final double ONWARD = 0.01;

  private PathPlace() {}

  /**
   * The place of a goal: its distance along the path, px; NaN where it has none.
   *
   * @param turn what is done to the path in its plane
   * @param window of the frame, as the path sees it
   */
  static double of(Landing.Kind kind, Contour path, Affine turn, Window window) {
    return kind == Landing.Kind.CENTRED
        ? path.nearest(turn.inverse().apply(window.centre())).distance()
        : nearest(path, turn, window.space(), kind == Landing.Kind.AT_THE_BACK);
  }

  /** Whole laps more or less: of the offsets that are the same place the one nearest to another. */
  static double lapped(double offset, double lap, double near) {
    return lap > 0 ? offset + lap * Math.ceil((near - offset) / lap - 0.5 + ONWARD) : offset;
  }

  /**
   * How far along a path the place lies that is nearest to the viewer, straight into the picture:
   * its distance from the beginning, px, to 1e-6 px. What is narrower than a 512th of the path may
   * be overlooked.
   *
   * @param turn what is done to the path in its plane
   * @param space how things in its plane are seen
   * @param far whether it is the place that is farthest away
   * @return NaN where no place is nearer than another
   */
  public static double nearest(Contour path, Affine turn, Space space, boolean far) {
    double sign = far ? -1 : 1;
    DoubleUnaryOperator depth = d -> sign * depth(path.at(d).point(), turn, space);
    DoubleUnaryOperator rise =
        d -> {
          Contour.Station at = path.at(d);
          return sign
              * (depth(at.point().plus(at.tangent()), turn, space)
                  - depth(at.point(), turn, space));
        };
    double step = path.length() / LOOKS;
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    int best = 0;
    for (int i = 0; i <= LOOKS; i++) {
      double z = depth.applyAsDouble(i * step);
      most = Math.max(most, z);
      // Of places that are as near the first one is taken, whatever the last digit says.
      if (z < least - ALIKE) {
        least = z;
        best = i;
      }
    }
    if (!(most - least > LEAST)) {
      return Double.NaN;
    }
    double from = (best - 1) * step;
    double to = (best + 1) * step;
    return path.closed()
        ? round(turning(rise, from, to), path.length())
        : turning(rise, Math.max(from, 0), Math.min(to, path.length()));
  }

  private static double depth(Point p, Affine turn, Space space) {
    return space.before(Point3.of(turn.apply(p))).z();
  }

  private static double round(double d, double length) {
    return d - length * Math.floor(d / length);
  }

  /**
   * Where a slope that was negative gets positive: found by that, and not by the values of what
   * falls and rises, which are almost alike round about the place.
   */
  private static double turning(DoubleUnaryOperator slope, double from, double to) {
    double a = from;
    double b = to;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (a + b) / 2;
      if (slope.applyAsDouble(middle) < 0) {
        a = middle;
      } else {
        b = middle;
      }
    }
    return (a + b) / 2;
  }
}
