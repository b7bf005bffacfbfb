package rovingglyph.lottie;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;

/**
 * Maps through time as Lottie has them: a place, a turn, a lean and two scales about an anchor.
 * Between keyframes each goes by itself; tolerances are such that nothing within the reach is off
 * by more than about a tenth of a pixel.
 */
final class Transforms {
  /** How far a place may be off, px. */
  private static final double NEAR = 0.02;

  /** Flattened to less than this is not seen. */
  private static final double FLAT = 1e-9;

  private final double perFrame;
  private final int from;
  private final Affine[] maps;
  private final double near;

  /**
   * @param maps of a strand; null where it is not seen
   * @param unit what a pixel is in what they map to
   */
  Transforms(double perFrame, int from, Affine[] maps, double unit) {
    this.perFrame = perFrame;
    this.from = from;
    this.maps = maps;
    this.near = NEAR * unit;
  }

  /**
   * Their properties, without brackets.
   *
   * @param anchor about which they turn
   * @param reach how far what they map is from there, at most
   */
  String json(Point anchor, double reach) {
    int n = maps.length;
    double[][] places = new double[n][];
    double[][] turns = new double[n][];
    double[][] leans = new double[n][];
    double[][] scales = new double[n][];
    double most = 0;
    double[] before = null;
    for (int k = 0; k < n; k++) {
      double[] parts = maps[k] == null ? null : parts(maps[k], before);
      if (parts != null) {
        Point p = maps[k].apply(anchor);
        places[k] = new double[] {p.x(), p.y()};
        most = Math.max(most, Math.max(Math.abs(parts[2]), Math.abs(parts[3])));
      } else {
        // Not seen: as before, or as it will be, and of no size.
        parts = before == null ? first() : before.clone();
        places[k] = k > 0 ? places[k - 1] : firstPlace(anchor);
        parts = new double[] {parts[0], parts[1], 0, 0};
      }
      turns[k] = new double[] {Math.toDegrees(parts[0])};
      leans[k] = new double[] {Math.toDegrees(parts[1])};
      scales[k] = new double[] {100 * parts[2], 100 * parts[3]};
      if (maps[k] != null) {
        before = parts;
      }
    }
    double angle = Math.toDegrees(near / Math.max(near, reach * most));
    double size = 100 * near / Math.max(near, reach);
    String lean = new Property(perFrame, from, leans, angle).number();
    return "\"a\":"
        + Property.still("[" + number(anchor.x()) + "," + number(anchor.y()) + "]")
        + ",\"p\":"
        + new Places(perFrame, from, places, near).json()
        + ",\"s\":"
        + new Property(perFrame, from, scales, size, size).json()
        + ",\"r\":"
        + new Property(perFrame, from, turns, angle).number()
        + (lean.equals(Property.still("0"))
            ? ""
            : ",\"sk\":" + lean + ",\"sa\":" + Property.still("0"));
  }

  private String number(double n) {
    return Decimal.text(n, Property.places(near));
  }

  private double[] first() {
    for (Affine m : maps) {
      if (m != null) {
        return parts(m, null);
      }
    }
    return new double[4];
  }

  private Point firstSeen(Point anchor) {
    for (Affine m : maps) {
      if (m != null) {
        return m.apply(anchor);
      }
    }
    return anchor;
  }

  private double[] firstPlace(Point anchor) {
    Point p = firstSeen(anchor);
    return new double[] {p.x(), p.y()};
  }

  /**
   * Turn and lean in radians and the scales of a map: it scales, leans along x, turns, in this
   * order.
   *
   * @param before those of the sample before, to which the turn is as near as can be; or null
   */
  private static double[] parts(Affine m, double[] before) {
    double across = Math.hypot(m.a(), m.b());
    double turn = across > FLAT ? Math.atan2(m.b(), m.a()) : Math.atan2(-m.c(), m.d());
    double sin = Math.sin(turn);
    double cos = Math.cos(turn);
    double down = m.d() * cos - m.c() * sin;
    double aside = m.c() * cos + m.d() * sin;
    double lean = Math.abs(down) > FLAT ? Math.atan(-aside / down) : 0;
    if (before != null) {
      turn -= 2 * Math.PI * Math.rint((turn - before[0]) / (2 * Math.PI));
      double away = turn - before[0];
      if (Math.abs(away) > Math.PI / 2) {
        // Half a turn, and both scales the other way round, is the same: what flips does not turn.
        return new double[] {turn - Math.copySign(Math.PI, away), lean, -across, -down};
      }
    }
    return new double[] {turn, lean, across, down};
  }
}
