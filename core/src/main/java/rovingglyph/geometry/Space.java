package rovingglyph.geometry;

/**
 * How things in space are seen: they are turned and moved, then looked at from a point before them,
 * and the picture of that is mapped once more. What is flat has z 0.
 *
 * @param picture what is done to the picture
 * @param distance of the eye from the plane in which things keep their size, px; infinite where
 *     things far away are as large as near ones
 * @param eye the point of that plane that it is straight before
 * @param solid how things are turned; null as long as all is flat
 */
public record Space(Projection picture, double distance, Point eye, Solid solid) {
  /** All is flat, and as it is. */
  public static final Space FLAT = of(Projection.IDENTITY);

  /** All is flat, and seen under a map. */
  public static Space of(Projection picture) {
    return new Space(picture, Double.POSITIVE_INFINITY, Point.ORIGIN, null);
  }

  /** Whether nothing is turned in it. */
  public boolean isFlat() {
    return solid == null;
  }

  /** With a map done to what is in it, before everything else. */
  public Space times(Affine inner) {
    if (inner.equals(Affine.IDENTITY)) {
      return this;
    }
    return isFlat()
        ? of(picture.times(inner))
        : new Space(picture, distance, eye, solid.times(Solid.of(inner)));
  }

  /** The same with a map that may have perspective: that one is of a picture, so all gets flat. */
  public Space times(Projection inner) {
    return inner.isFlat() ? times(inner.flat()) : of(plane().times(inner));
  }

  /** This after {@code inner}, whose eye counts only where nothing round it is turned. */
  public Space times(Space inner) {
    if (inner.isFlat()) {
      return times(inner.picture);
    }
    if (isFlat() || !inner.picture.isFlat()) {
      return new Space(plane().times(inner.picture), inner.distance, inner.eye, inner.solid);
    }
    Space there = times(inner.picture.flat());
    return new Space(picture, distance, eye, there.solid.times(inner.solid));
  }

  /**
   * With what is in it turned about a point, see {@link Solid#turned}.
   *
   * @param tilt radians
   * @param swing radians
   * @param far of the eye, px, greater than 0; it counts only where nothing round it is turned,
   *     because there is one eye
   */
  public Space turned(double tilt, double swing, Point centre, double far) {
    Solid turn = Solid.turned(tilt, swing, centre);
    return isFlat()
        ? new Space(picture, far, centre, turn)
        : new Space(picture, distance, eye, solid.times(turn));
  }

  /** How its flat things are seen. */
  public Projection plane() {
    return isFlat() ? picture : on(Point3.ORIGIN, new Point3(1, 0, 0), new Point3(0, 1, 0));
  }

  /**
   * How things on a plane in it are seen.
   *
   * @param origin of the plane
   * @param u along its first axis, by one of its units
   * @param v along its second axis, by one of its units
   */
  public Projection on(Point3 origin, Point3 u, Point3 v) {
    Solid there = isFlat() ? Solid.IDENTITY : solid;
    return seen(there.apply(origin), there.way(u), there.way(v));
  }

  /**
   * How a plane is seen that is given where the eye sees it.
   *
   * @param o its origin, after {@link #solid}
   * @param u along its first axis, after {@link #solid}
   * @param v along its second axis, after {@link #solid}
   */
  public Projection seen(Point3 o, Point3 u, Point3 v) {
    double k = 1 / distance;
    double x = eye.x() * k;
    double y = eye.y() * k;
    return picture.times(
        new Projection(
            u.x() + x * u.z(),
            u.y() + y * u.z(),
            v.x() + x * v.z(),
            v.y() + y * v.z(),
            o.x() + x * o.z(),
            o.y() + y * o.z(),
            u.z() * k,
            v.z() * k,
            1 + o.z() * k));
  }

  /** Where a point is for the eye: turned, but not looked at yet. */
  public Point3 before(Point3 p) {
    return isFlat() ? p : solid.apply(p);
  }

  /** Of a point that is turned already: how far it is, in shares of what keeps its size. */
  public double weight(Point3 turned) {
    return 1 + turned.z() / distance;
  }

  /** Where a point is seen. */
  public Point apply(Point3 p) {
    return looked(before(p));
  }

  /** Where a point is seen that is turned already; one too near as if it were as near as can be. */
  public Point looked(Point3 turned) {
    double w = Math.max(weight(turned), Projection.NEAREST);
    return picture.apply(
        new Point(eye.x() + (turned.x() - eye.x()) / w, eye.y() + (turned.y() - eye.y()) / w));
  }

  /**
   * On which side of a plane the eye is.
   *
   * @param on a point of the plane, turned already
   * @param normal of it, turned already
   * @return positive where it is on the side that the normal points to; by how much counts for
   *     nothing
   */
  public double side(Point3 on, Point3 normal) {
    return Double.isInfinite(distance)
        ? -normal.z()
        : normal.dot(new Point3(eye.x(), eye.y(), -distance).minus(on));
  }
}
