package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Bitmapped;

/**
 * A sphere in the light of a {@link Light}: what is of one colour is what lies between two circles
 * about the way to the light. Each such belt goes on a little below the next, lighter one, so that
 * nothing shows between, and at the outline every place is painted once.
 */
final class BallFaces {
  /** Colours of belts differ by no more than this in each channel. */
  private static final int STEP = 1;

  /** So many brightnesses are looked at. */
  private static final int LOOKS = 256;

  /** So far, px, a belt reaches below the next one: far enough where the frame is shown small. */
  private static final double UNDER = 6;

  /** The same at the outline, where what is painted twice would be seen. */
  private static final double UNDER_EDGE = 1;

  /** No chord is farther from its circle, px. */
  private static final double NEAR = 0.03;

  /** The cosine of the angle to the light at which edge light is measured. */
  private static final double MIDDLE = 0.5;

  private static final double[] RIM = {0, 0.5, 0.7, 0.83, 0.92, 0.97, 1};

  private final RingView view;
  private final Point3 centre;
  private final double radius;
  private final double px;

  /** The way to the eye, and to the light; square to both {@link #across}. */
  private final Point3 eye;

  private final Point3 light;
  private final Point3 across;

  /** The cosine and sine of the angle between these two. */
  private final double cos;

  private final double sin;

  /** Of the outline, as an angle at the centre from the way to the eye. */
  private final double edgeCos;

  private final double edgeSin;

  /**
   * @param centre in the units of the plane
   * @param light the way to the light, in the same units
   */
  BallFaces(RingView view, Point3 centre, double radius, Point3 light) {
    this.view = view;
    this.centre = centre;
    this.radius = radius;
    this.px = radius * view.scale(centre);
    this.eye = view.toEye(centre);
    this.light = light;
    this.cos = Math.min(Math.max(light.dot(eye), -1), 1);
    Point3 square = eye.cross(light);
    this.sin = square.length();
    this.across = sin > 1e-9 ? square.unit() : anySquare(eye);
    this.edgeCos = Math.min(radius / view.distance(centre), 1);
    this.edgeSin = Math.sqrt(1 - edgeCos * edgeCos);
  }

  private static Point3 anySquare(Point3 way) {
    Point3 other = Math.abs(way.x()) < 0.7 ? new Point3(1, 0, 0) : new Point3(0, 1, 0);
    return way.cross(other).unit();
  }

  /** What is seen of it, in the order in which it is painted; nothing from within. */
  List<LetterBody.Face> faces(int rgb, Light lamp) {
    List<LetterBody.Face> out = new ArrayList<>();
    if (edgeSin < 1e-6) {
      return out;
    }
    List<double[]> belts = belts(rgb, lamp);
    for (int i = 0; i < belts.size(); i++) {
      double from = belts.get(i)[0];
      double to = i + 1 < belts.size() ? belts.get(i + 1)[0] : 2;
      List<Point3> around = belt(from, to);
      if (around.size() > 2) {
        FramePaint paint = FramePaint.plain((int) belts.get(i)[1], 1);
        out.add(new LetterBody.Face(paint, view.polygons(around)));
      }
    }
    if (lamp.edge() > 0) {
      out.add(rim(rgb, lamp));
    }
    return out;
  }

  /** From which cosine of the angle to the light on there is which colour; from the dark on. */
  private static List<double[]> belts(int rgb, Light lamp) {
    List<double[]> out = new ArrayList<>();
    int last = -1;
    for (int i = 0; i <= LOOKS; i++) {
      double c = (double) i / LOOKS;
      int colour = lamp.at(rgb, c, 0);
      if (last < 0 || differ(colour, last)) {
        out.add(new double[] {last < 0 ? -2 : c, colour});
        last = colour;
      }
    }
    return out;
  }

  private static boolean differ(int a, int b) {
    for (int shift = 16; shift >= 0; shift -= 8) {
      if (Math.abs((a >> shift & 255) - (b >> shift & 255)) > STEP) {
        return true;
      }
    }
    return false;
  }

  /** Where a circle about the way to the light meets the outline: half of the arcs within. */
  private record Meeting(double outline, double circle) {}

  /**
   * That of all places whose cosine is at least so much.
   *
   * @return of the outline, half of the arc that is in it: 0 none, pi all. Of the circle round it,
   *     half of the arc that is seen
   */
  private Meeting meeting(double cosine) {
    if (cosine <= -1 || cosine > 1) {
      return new Meeting(cosine > 1 ? 0 : Math.PI, 0);
    }
    double s = Math.sqrt(Math.max(1 - cosine * cosine, 0));
    return new Meeting(
        half(cosine - edgeCos * cos, edgeSin * sin), half(edgeCos - cosine * cos, s * sin));
  }

  /** The angle up to which its cosine times something is at least so much. */
  private static double half(double least, double times) {
    if (times < 1e-12) {
      return least <= 0 ? Math.PI : 0;
    }
    return Math.acos(Math.min(Math.max(least / times, -1), 1));
  }

  /** What is between two circles, and seen: the outer one first, then what the inner leaves out. */
  private List<Point3> belt(double from, double to) {
    List<Point3> out = new ArrayList<>();
    Meeting outer = meeting(from);
    Meeting in = meeting(within(to, UNDER_EDGE));
    double inner = within(to, UNDER);
    if (in.outline >= Math.PI || outer.outline <= 0 && outer.circle <= 0) {
      return out;
    }
    boolean crossed = in.outline > 0;
    if (outer.outline >= Math.PI) {
      outline(in.outline, 2 * Math.PI - in.outline, out);
    } else if (outer.outline <= 0) {
      circle(from, -outer.circle, outer.circle, out);
      return out;
    } else {
      circle(from, -outer.circle, outer.circle, out);
      outline(-outer.outline, crossed ? -in.outline : outer.outline, out);
    }
    if (crossed) {
      // Along the outline angles go the other way round than along the circles.
      double half = meeting(inner).circle;
      if (half < Math.PI) {
        circle(inner, half, -half, out);
      }
      if (outer.outline < Math.PI) {
        outline(in.outline, outer.outline, out);
      }
    }
    return out;
  }

  /** The cosine of what is so many px nearer to the light; more than 1 where nothing is. */
  private double within(double cosine, double by) {
    double angle = cosine > 1 ? -1 : Math.acos(cosine) - by / Math.max(px, by);
    return angle > 0 ? Math.cos(angle) : 2;
  }

  private void outline(double from, double to, List<Point3> out) {
    Point3 toLight = across.cross(eye);
    arc(eye.times(edgeCos), toLight.times(edgeSin), across.times(edgeSin), from, to, out);
  }

  private void circle(double cosine, double from, double to, List<Point3> out) {
    double s = Math.sqrt(Math.max(1 - cosine * cosine, 0));
    Point3 toEye = light.cross(across);
    arc(light.times(cosine), toEye.times(s), across.times(-s), from, to, out);
  }

  private void arc(Point3 middle, Point3 x, Point3 y, double from, double to, List<Point3> out) {
    double far = Math.max(x.length() * px, 1);
    double step = Math.sqrt(8 * NEAR / far);
    int parts = Math.min(Math.max((int) Math.ceil(Math.abs(to - from) / step), 1), 360);
    for (int i = 0; i <= parts; i++) {
      double a = from + (to - from) * i / parts;
      Point3 at = middle.plus(x.times(Math.cos(a))).plus(y.times(Math.sin(a)));
      out.add(centre.plus(at.times(radius)));
    }
  }

  /** Edge light over all of it, by how flat its places are seen; as on places half in the light. */
  private LetterBody.Face rim(int rgb, Light lamp) {
    Projection map =
        view.on(
            centre.plus(eye.times(radius * edgeCos)),
            across.times(radius * edgeSin),
            across.cross(eye).times(radius * edgeSin));
    int[] colours = new int[RIM.length];
    double[] opacities = new double[RIM.length];
    double before = lamp.at(rgb, MIDDLE, 0) >> 8 & 255;
    for (int i = 0; i < RIM.length; i++) {
      double flat = 1 - Math.sqrt(1 - RIM[i] * RIM[i]);
      double more = (lamp.at(rgb, MIDDLE, flat) >> 8 & 255) - before;
      colours[i] = 0xFFFFFF;
      opacities[i] = before < 255 ? Math.rint(more / (255 - before) * 255) / 255 : 0;
    }
    List<Point3> around = new ArrayList<>();
    outline(0, 2 * Math.PI, around);
    Affine near = map.near(Point.ORIGIN);
    FramePaint paint =
        new FramePaint(
            FramePaint.Kind.RADIAL,
            1,
            0,
            -1,
            Bitmapped.STILL,
            Projection.of(near),
            RIM,
            colours,
            opacities);
    return new LetterBody.Face(paint, view.polygons(around));
  }
}
