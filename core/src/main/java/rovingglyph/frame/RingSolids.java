package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Rim;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Core;

/**
 * What a ring of letters has beside them, a core within it and a band behind them, and between
 * which parts of these its letters are painted.
 *
 * <p>The core is convex, so between it and a letter outside it there is a plane. If the eye is on
 * the letter's side of that, no look meets the core first; else none meets the letter first. A band
 * comes in two parts, the one whose inner side is seen before the core, the other after it, and a
 * letter is before or behind what of the band is beside it by the side of it that is seen.
 */
final class RingSolids {
  /** No chord is farther from its circle, px. */
  private static final double NEAR = 0.03;

  /** How far a wall goes on below the circle over it, px as it is seen straight. */
  private static final double UNDER = 6;

  /** Letters whose way up goes away from the plane by less than this share of it lie. */
  private static final double LYING = 0.7;

  /**
   * A path that goes through the middle this near to it, px, has it on the left side: in the
   * browser as on the server, whose numbers differ by less.
   */
  private static final double THROUGH = 1e-6;

  private static final Point3 UP = new Point3(0, 0, -1);

  private final RingLook look;
  private final RingView view;
  private final Point3 centre;
  private final Point3 core;
  private final Wall band;

  /** Whether letters and the band rather lie in the plane than stand on it. */
  private final boolean lies;

  /** Whether letters face the viewer. */
  private final boolean facing;

  private RingSolids(RingLook look, RingView view, Wall band, boolean lies, boolean facing) {
    this.lies = lies;
    this.facing = facing;
    this.look = look;
    this.view = view;
    this.centre = Point3.of(look.centre());
    this.core = centre.plus(UP.times(look.lift()));
    this.band = band;
  }

  /** Tells the way up of letters where the left side of their path is this one. */
  interface Rise {
    Point3 up(Point left);
  }

  /**
   * Those of a ring.
   *
   * @param path in the direction in which it is read
   * @param turn what is done to the path
   * @param facing whether letters face the viewer
   */
  static RingSolids of(
      RingLook look, RingView view, Contour path, Affine turn, Rise rise, boolean facing) {
    Wall band = null;
    if (look.bandHeight() > 0 && !path.segments().isEmpty()) {
      boolean lies = isLying(rise);
      band = new Wall(view, feet(look, view, path, turn, rise), path.closed(), lies, 0, 0);
    }
    return new RingSolids(look, view, band, isLying(rise), facing);
  }

  private static boolean isLying(Rise rise) {
    return Math.abs(rise.up(new Point(0, 1)).z()) < LYING;
  }

  private static List<Wall.Foot> feet(
      RingLook look, RingView view, Contour path, Affine turn, Rise rise) {
    List<Wall.Foot> out = new ArrayList<>();
    double px = view.scale(Point3.of(look.centre()));
    List<Segment> all = path.segments();
    int n = all.size();
    for (int i = 0; i < n; i++) {
      Segment s = all.get(i);
      int parts = Rim.parts(s, Math.max(px, 1), false);
      for (int k = 0; k < parts; k++) {
        double at = (double) k / parts;
        boolean starts = k == 0 && i == 0 && !path.closed();
        Segment last = k > 0 || starts ? s : all.get((i + n - 1) % n);
        Point before = last == s ? s.tangent(at) : last.tangent(1);
        out.add(foot(look, turn.apply(s.point(at)), before, s.tangent(at), turn, rise));
      }
    }
    if (!path.closed()) {
      Segment last = all.get(n - 1);
      out.add(foot(look, turn.apply(last.end()), last.tangent(1), last.tangent(1), turn, rise));
    }
    return out;
  }

  private static Wall.Foot foot(
      RingLook look, Point at, Point before, Point after, Affine turn, Rise rise) {
    Point3 in = behind(along(before, turn), rise);
    Point3 out = behind(along(after, turn), rise);
    Point along = along(before, turn).plus(along(after, turn)).unit();
    Point left = new Point(along.y(), -along.x());
    Point3 up = rise.up(left);
    Point3 foot = Point3.of(at).plus(behind(along, rise).times(look.bandGap()));
    double low = look.bandLift() - look.bandHeight() / 2;
    double side = left.dot(at.minus(look.centre())) < -THROUGH ? -1 : 1;
    return new Wall.Foot(
        foot.plus(up.times(low)),
        foot.plus(up.times(low + look.bandHeight())),
        in,
        out,
        Point3.of(left).times(side));
  }

  private static Point along(Point tangent, Affine turn) {
    return turn.apply(tangent).minus(turn.apply(Point.ORIGIN)).unit();
  }

  /** The way from the fronts of letters to their backs. */
  private static Point3 behind(Point along, Rise rise) {
    return rise.up(new Point(along.y(), -along.x())).cross(Point3.of(along));
  }

  private Wall.Shade shade(int rgb) {
    return (normal, eye) -> look.light().on(rgb, normal, eye);
  }

  /** Whether there is a part, if only where nothing is seen of it. */
  boolean has(RingPart part) {
    return part == RingPart.CORE ? look.shape() != null : band != null;
  }

  /** What is seen of a part, in the order in which it is painted. */
  List<LetterBody.Face> faces(RingPart part) {
    if (part == RingPart.CORE) {
      return core();
    }
    return band == null ? List.of() : band.faces(part == RingPart.NEAR_BAND, shade(look.band()));
  }

  private List<LetterBody.Face> core() {
    if (look.shape() == null) {
      return List.of();
    }
    if (look.shape() == Core.Shape.BALL) {
      Point3 light = view.before(look.light().from());
      return new BallFaces(view, core, look.radius(), light).faces(look.core(), look.light());
    }
    List<LetterBody.Face> out = new ArrayList<>();
    double half = look.height() / 2;
    Point3 top = core.plus(UP.times(half));
    Point3 bottom = core.minus(UP.times(half));
    double scale = Math.max(view.scale(top), view.scale(bottom));
    boolean above = view.side(top, UP) > 0;
    boolean below = view.side(bottom, UP.times(-1)) > 0;
    if (half > 0) {
      double under = Math.min(UNDER / Math.max(scale, 1e-6), look.radius() / 2);
      List<Point3> low = circle(bottom, scale);
      List<Point3> high = circle(top, scale);
      List<Wall.Foot> feet = new ArrayList<>();
      for (int i = 0; i < low.size(); i++) {
        Point3 outward = low.get(i).minus(bottom).unit();
        feet.add(new Wall.Foot(low.get(i), high.get(i), outward, outward, outward));
      }
      out.addAll(
          new Wall(view, feet, true, false, below ? under : 0, above ? under : 0)
              .faces(true, shade(look.core())));
    }
    if (above || below) {
      Point3 middle = above ? top : bottom;
      Point3 normal = view.turned(UP.times(above ? 1 : -1));
      int rgb = look.light().on(look.core(), normal, view.turned(view.toEye(middle)));
      List<double[]> cap = view.polygons(circle(middle, scale));
      out.add(new LetterBody.Face(FramePaint.plain(rgb, 1), cap));
    }
    return out;
  }

  /** The rim of a circle about the axis, in so many chords that none is seen to be straight. */
  private List<Point3> circle(Point3 middle, double scale) {
    double px = Math.max(look.radius() * scale, 1);
    int n = (int) Math.min(Math.max(Math.ceil(Math.PI / Math.sqrt(2 * NEAR / px)), 24), 720);
    List<Point3> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * i / n;
      out.add(middle.plus(new Point3(Math.cos(a), Math.sin(a), 0).times(look.radius())));
    }
    return out;
  }

  /**
   * Between which parts a letter is painted: so many of them are before it.
   *
   * @param left the left side of its path where it stands
   */
  int slot(Card c, Point3 left) {
    List<Point3> corners = c.corners().stream().map(view::local).toList();
    Point3 middle = corners.get(0);
    for (int i = 1; i < corners.size(); i++) {
      middle = middle.plus(corners.get(i));
    }
    middle = middle.times(1.0 / corners.size());
    boolean near = look.shape() == null || isNear(corners, middle);
    if (band == null) {
      return near ? 3 : 0;
    }
    boolean before = isBefore(c, left);
    double outward = left.dot(view.local(c.origin()).minus(centre));
    if (!lies) {
      // The left side of a path is where the backs of letters are.
      return outward > -THROUGH ? near ? 2 : 1 : before ? 3 : 0;
    }
    int beside = 0;
    for (Point3 p : corners) {
      Point3 level = p.minus(centre);
      beside += view.side(p, new Point3(level.x(), level.y(), 0)) > 0 ? 1 : 0;
    }
    if (beside == 0 && before || beside == corners.size() && !before) {
      return near ? 2 : 1;
    }
    return before ? 3 : 0;
  }

  /** Whether the eye sees that side of the band on which a letter is. */
  private boolean isBefore(Card c, Point3 left) {
    Point3 origin = view.local(c.origin());
    Point3 along = view.local(c.origin().plus(c.u())).minus(origin);
    Point3 down = view.local(c.origin().plus(c.v())).minus(origin);
    Point3 behind = along.cross(down);
    // One that faces the viewer, or is mirrored, has its path behind it all the same.
    boolean mirrored = c.ink().place().width() * c.ink().place().height() < 0;
    Point3 way = facing ? left : behind.times(mirrored ? -1 : 1);
    return view.side(origin, way) < 0;
  }

  /** Whether a letter is on the eye's side of a plane between it and the core. */
  private boolean isNear(List<Point3> corners, Point3 middle) {
    Point3 level = middle.minus(centre);
    Point3 outward = new Point3(level.x(), level.y(), 0).unit();
    Point3 square = corners.get(1).minus(corners.get(0));
    Point3 normal = square.cross(corners.get(3).minus(corners.get(0))).unit();
    List<Point3> ways =
        List.of(outward, middle.minus(core).unit(), UP, UP.times(-1), normal, normal.times(-1));
    double most = Double.NEGATIVE_INFINITY;
    boolean out = true;
    for (Point3 way : ways) {
      double reach = reach(way);
      double gap = Double.POSITIVE_INFINITY;
      for (Point3 p : corners) {
        gap = Math.min(gap, way.dot(p.minus(core)) - reach);
      }
      if (way.length() > 0 && gap > most) {
        most = gap;
        out = view.side(core.plus(way.times(reach + gap / 2)), way) > 0;
      }
    }
    return out;
  }

  /** How far the core reaches from its middle along a way of length 1. */
  private double reach(Point3 way) {
    return look.shape() == Core.Shape.BALL
        ? look.radius()
        : look.radius() * Math.hypot(way.x(), way.y()) + look.height() / 2 * Math.abs(way.z());
  }

  /**
   * How large a radius the core may have for a letter not to go into it, px; more than it has where
   * the letter does not.
   *
   * @param outlines of the letter, where the eye sees them
   */
  double room(List<List<Point3>> outlines) {
    if (look.shape() == null) {
      return Double.POSITIVE_INFINITY;
    }
    double half = look.shape() == Core.Shape.BALL ? look.radius() : look.height() / 2;
    double out = Double.POSITIVE_INFINITY;
    for (List<Point3> outline : outlines) {
      List<Point3> there = outline.stream().map(p -> view.local(p).minus(core)).toList();
      for (int i = 0; i < there.size(); i++) {
        out = Math.min(out, room(there.get(i), there.get((i + 1) % there.size()), half));
      }
    }
    return out;
  }

  /** The same of the part of an edge that is as high as the core; from its middle. */
  private double room(Point3 a, Point3 b, double half) {
    if (look.shape() == Core.Shape.BALL) {
      return Math.min(a.length(), b.length());
    }
    double out = Double.POSITIVE_INFINITY;
    for (double z : new double[] {a.z(), b.z(), -half, half}) {
      double share = b.z() == a.z() ? 0 : (z - a.z()) / (b.z() - a.z());
      Point3 p = a.plus(b.minus(a).times(share));
      if (share >= 0 && share <= 1 && Math.abs(p.z()) <= half + 1e-9) {
        out = Math.min(out, Math.hypot(p.x(), p.y()));
      }
    }
    return out;
  }

  double radius() {
    return look.radius();
  }
}
