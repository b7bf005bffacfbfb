package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * An elliptical arc by its centre: radii in px, {@code tilt} of the first axis, start angle and
 * sweep in radians, clockwise positive on screen. A circle is exact.
 */
public record Arc(Point centre, double rx, double ry, double tilt, double start0, double sweep)
    implements Segment {

  @Override
  public Point point(double u) {
    double t = start0 + sweep * u;
    return rotated(rx * Math.cos(t), ry * Math.sin(t)).plus(centre);
  }

  @Override
  public Point derivative(double u) {
    double t = start0 + sweep * u;
    return rotated(-rx * Math.sin(t) * sweep, ry * Math.cos(t) * sweep);
  }

  @Override
  public Point secondDerivative(double u) {
    double t = start0 + sweep * u;
    double k = -sweep * sweep;
    return rotated(rx * Math.cos(t) * k, ry * Math.sin(t) * k);
  }

  @Override
  public double speed(double u) {
    if (rx == ry) {
      return Math.abs(rx * sweep);
    }
    double t = start0 + sweep * u;
    double dx = rx * Math.sin(t);
    double dy = ry * Math.cos(t);
    return Math.abs(sweep) * Math.sqrt(dx * dx + dy * dy);
  }

  @Override
  public Segment[] split(double u) {
    return new Segment[] {
      new Arc(centre, rx, ry, tilt, start0, sweep * u),
      new Arc(centre, rx, ry, tilt, start0 + sweep * u, sweep * (1 - u))
    };
  }

  @Override
  public Arc reversed() {
    return new Arc(centre, rx, ry, tilt, start0 + sweep, -sweep);
  }

  @Override
  public Rect bounds() {
    Rect box = Rect.EMPTY.include(start()).include(end());
    double cos = Math.cos(tilt);
    double sin = Math.sin(tilt);
    double tx = Math.atan2(-ry * sin, rx * cos);
    double ty = Math.atan2(ry * cos, rx * sin);
    for (double t : new double[] {tx, tx + Math.PI, ty, ty + Math.PI}) {
      double turns = Turns.rest((t - start0) * Math.signum(sweep), 2 * Math.PI);
      double along = turns < 0 ? turns + 2 * Math.PI : turns;
      if (along <= Math.abs(sweep)) {
        box = box.include(point(along / Math.abs(sweep)));
      }
    }
    return box;
  }

  /**
   * The axes of the new ellipse are the singular values of the map times the old axes; maps that
   * keep all angles are done without, so that a circle stays one exactly.
   */
  @Override
  public Arc mapped(Affine m) {
    Point c = m.apply(centre);
    double scale = Math.sqrt(Math.abs(m.a() * m.d() - m.b() * m.c()));
    double near = 1e-9 * scale;
    if (Math.abs(m.a() - m.d()) <= near && Math.abs(m.b() + m.c()) <= near) {
      double turn = Math.atan2(m.b(), m.a());
      return new Arc(c, rx * scale, ry * scale, tilt + turn, start0, sweep);
    }
    if (Math.abs(m.a() + m.d()) <= near && Math.abs(m.b() - m.c()) <= near) {
      double turn = Math.atan2(m.b(), m.a());
      return new Arc(c, rx * scale, ry * scale, turn - tilt, -start0, -sweep);
    }
    double cos = Math.cos(tilt);
    double sin = Math.sin(tilt);
    double p = (m.a() * cos + m.c() * sin) * rx;
    double q = (m.b() * cos + m.d() * sin) * rx;
    double r = (-m.a() * sin + m.c() * cos) * ry;
    double s = (-m.b() * sin + m.d() * cos) * ry;
    // Singular values of [p r; q s] as sum and difference of its turning and mirroring parts.
    double e = (p + s) / 2;
    double f = (p - s) / 2;
    double g = (q + r) / 2;
    double h = (q - r) / 2;
    double turning = Math.sqrt(e * e + h * h);
    double mirroring = Math.sqrt(f * f + g * g);
    double a1 = Math.atan2(g, f);
    double a2 = Math.atan2(h, e);
    double shift = (a2 - a1) / 2;
    double second = turning - mirroring;
    double way = second < 0 ? -1 : 1;
    return new Arc(
        c,
        turning + mirroring,
        Math.abs(second),
        (a2 + a1) / 2,
        way * (start0 + shift),
        way * sweep);
  }

  /**
   * The arc as cubics of at most an eighth of a turn each, the usual tangent construction: off by
   * less than 5e-6 of the greater radius.
   */
  public List<Cubic> cubics() {
    int parts = Math.max(1, (int) Math.ceil(Math.abs(sweep) / (Math.PI / 4) - 1e-9));
    double step = sweep / parts;
    // Handle length of 4/3 tan(step/4), as a factor of the derivative by the angle.
    double k = 4.0 / 3 * Math.tan(step / 4) / sweep;
    List<Cubic> out = new ArrayList<>();
    for (int i = 0; i < parts; i++) {
      double u0 = (double) i / parts;
      double u1 = (i + 1.0) / parts;
      Point p0 = point(u0);
      Point p3 = point(u1);
      out.add(
          new Cubic(p0, p0.plus(derivative(u0).times(k)), p3.minus(derivative(u1).times(k)), p3));
    }
    return out;
  }

  private Point rotated(double x, double y) {
    if (tilt == 0) {
      return new Point(x, y);
    }
    double cos = Math.cos(tilt);
    double sin = Math.sin(tilt);
    return new Point(x * cos - y * sin, x * sin + y * cos);
  }

  /**
   * The arc of SVG path data's {@code A} command (SVG 2, appendix B.2.4): radii too small are
   * scaled up, a zero radius gives a line, equal ends give null.
   */
  public static Segment between(
      Point from, double rx0, double ry0, double tiltDegrees, boolean large, boolean cw, Point to) {
    double rx = Math.abs(rx0);
    double ry = Math.abs(ry0);
    if (from.equals(to)) {
      return null;
    }
    if (rx == 0 || ry == 0) {
      return new Line(from, to);
    }
    double tilt = Math.toRadians(tiltDegrees % 360);
    double cos = Math.cos(tilt);
    double sin = Math.sin(tilt);
    double hx = (from.x() - to.x()) / 2;
    double hy = (from.y() - to.y()) / 2;
    double x1 = cos * hx + sin * hy;
    double y1 = -sin * hx + cos * hy;
    double excess = x1 * x1 / (rx * rx) + y1 * y1 / (ry * ry);
    if (excess > 1) {
      rx *= Math.sqrt(excess);
      ry *= Math.sqrt(excess);
    }
    double den = rx * rx * y1 * y1 + ry * ry * x1 * x1;
    double k = Math.sqrt(Math.max(0, (rx * rx * ry * ry - den) / den)) * (large == cw ? -1 : 1);
    double cx1 = k * rx * y1 / ry;
    double cy1 = -k * ry * x1 / rx;
    Point centre =
        new Point(
            cos * cx1 - sin * cy1 + (from.x() + to.x()) / 2,
            sin * cx1 + cos * cy1 + (from.y() + to.y()) / 2);
    double a0 = Math.atan2((y1 - cy1) / ry, (x1 - cx1) / rx);
    double a1 = Math.atan2((-y1 - cy1) / ry, (-x1 - cx1) / rx);
    double sweep = a1 - a0;
    if (cw && sweep < 0) {
      sweep += 2 * Math.PI;
    } else if (!cw && sweep > 0) {
      sweep -= 2 * Math.PI;
    }
    return new Arc(centre, rx, ry, tilt, a0, sweep);
  }
}
