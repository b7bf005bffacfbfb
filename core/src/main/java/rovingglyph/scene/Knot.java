package rovingglyph.scene;

import rovingglyph.geometry.Point;

/**
 * A point of a drawn path.
 *
 * @param in handle towards the point before, relative to the point
 * @param out handle towards the point after, relative to the point
 */
public record Knot(Point at, Point in, Point out, Kind kind, UnknownFields extras) {
  /** How an editor keeps the two handles: apart, in line, in line and of one length. */
  public enum Kind {
    CORNER,
    SMOOTH,
    SYMMETRIC
  }

  /** A point all of whose fields are known. */
  public Knot(Point at, Point in, Point out, Kind kind) {
    this(at, in, out, kind, UnknownFields.NONE);
  }

  /** A corner without handles. */
  public static Knot corner(Point at) {
    return new Knot(at, Point.ORIGIN, Point.ORIGIN, Kind.CORNER);
  }

  /** The point elsewhere, with its handles. */
  public Knot at(Point p) {
    return new Knot(p, in, out, kind, extras);
  }

  /** The point with other handles, each from the point. */
  public Knot with(Point newIn, Point newOut) {
    return new Knot(at, newIn, newOut, kind, extras);
  }

  /** The point with another rule for its handles. */
  public Knot with(Kind newKind) {
    return new Knot(at, in, out, newKind, extras);
  }

  /** The point as it is read the other way. */
  public Knot reversed() {
    return new Knot(at, out, in, kind, extras);
  }
}
