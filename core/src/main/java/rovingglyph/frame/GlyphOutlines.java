package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.setting.AxisSamples;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;

/** The outlines of one placed letter: as they are, between two samples of an axis, or bent. */
final class GlyphOutlines {
  private final RowLayout row;
  private final Placement place;
  private final Affine turn;
  private final boolean bent;
  private final Letter letter;

  /**
   * @param place with the rotation of the lettering applied
   * @param turn that rotation
   */
  GlyphOutlines(RowLayout row, Placement place, Affine turn, Seat.GlyphMethod method) {
    this.row = row;
    this.place = place;
    this.turn = turn;
    this.bent = method == Seat.GlyphMethod.BENT;
    this.letter = row.letters().get(place.letter());
  }

  /** Whether its outlines are of this frame alone. */
  boolean own() {
    return bent || !letter.axes().isEmpty();
  }

  void paint(Frame frame) {
    Affine base = Letters.map(place);
    List<Cluster.Glyph> glyphs = letter.cluster().glyphs();
    for (int g = 0; g < glyphs.size(); g++) {
      Outline o = letter.run().outlines().get(glyphs.get(g).outline());
      if (o.subPaths().isEmpty()) {
        continue;
      }
      if (bent) {
        frame.beginInline();
        bent(g).forEach(frame::polygon);
        frame.endInline();
      } else if (own()) {
        frame.beginInline();
        subPaths(g).forEach(frame::subPath);
        frame.endInline();
      } else {
        Cluster.Glyph glyph = glyphs.get(g);
        double dx = place.back() + glyph.dx();
        double dy = glyph.dy();
        frame.outline(
            letter.outlineBase() + glyph.outline(),
            base.a(),
            base.b(),
            base.c(),
            base.d(),
            base.a() * dx + base.c() * dy + base.e(),
            base.b() * dx + base.d() * dy + base.f());
      }
    }
  }

  boolean isBent() {
    return bent;
  }

  /** Its outlines as they are or between two samples of an axis, in em from its middle. */
  List<Piece> inCard() {
    List<Piece> out = new ArrayList<>();
    List<Cluster.Glyph> glyphs = letter.cluster().glyphs();
    for (int g = 0; g < glyphs.size(); g++) {
      Outline still = letter.run().outlines().get(glyphs.get(g).outline());
      if (still.subPaths().isEmpty()) {
        continue;
      }
      Shape s = shape(g);
      Affine at = Affine.translate(s.dx, s.dy);
      int index = letter.axes().isEmpty() ? letter.outlineBase() + glyphs.get(g).outline() : -1;
      out.add(new Piece(index, s.outline.subPaths(), at));
    }
    return out;
  }

  /**
   * Its outlines bent with the path in space.
   *
   * @param up the way up of a letter whose path has its left side there
   * @param turned where the eye sees a point
   */
  List<List<Point3>> inSpace(Function<Point, Point3> up, UnaryOperator<Point3> turned) {
    List<List<Point3>> out = new ArrayList<>();
    Bend bend = bend();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      Shape s = shape(g);
      for (List<Point3> polygon : bend.inSpace(s.outline, s.dx, s.dy, up)) {
        out.add(polygon.stream().map(turned).toList());
      }
    }
    return out;
  }

  Bend bend() {
    return new Bend(row, place, turn);
  }

  /**
   * Its contours with the ways out of it.
   *
   * @param px how large an em is seen
   */
  List<LetterBody.GlyphRims> rims(double px, boolean bending) {
    List<LetterBody.GlyphRims> out = new ArrayList<>();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      Shape s = shape(g);
      out.add(new LetterBody.GlyphRims(s.outline.rims(px, bending), s.dx, s.dy));
    }
    return out;
  }

  /** What of it is outlined: in em, or bent in the pixels of its path. */
  List<Piece> pieces() {
    if (!bent) {
      Projection map = Projection.of(Letters.map(place));
      return inCard().stream().map(p -> p.mapped(map)).toList();
    }
    List<Piece> out = new ArrayList<>();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      List<SubPath> shape = subPaths(g);
      if (!shape.isEmpty()) {
        out.add(Piece.own(shape, Affine.IDENTITY));
      }
    }
    return out;
  }

  /** All outlines in em, from the cluster's origin. */
  List<SubPath> inEm() {
    List<SubPath> out = new ArrayList<>();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      Shape s = shape(g);
      Affine map = Affine.translate(s.dx - place.back(), s.dy);
      s.outline.subPaths().forEach(p -> out.add(mapped(p, map)));
    }
    return out;
  }

  /** All outlines of a bent letter where it stands. */
  List<double[]> polygons() {
    List<double[]> out = new ArrayList<>();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      out.addAll(bent(g));
    }
    return out;
  }

  /** The outline of a glyph where it stands, in scene pixels. */
  private List<SubPath> subPaths(int g) {
    if (bent) {
      return bent(g).stream().map(GlyphOutlines::lines).toList();
    }
    Shape s = shape(g);
    Affine map = Letters.map(place).times(Affine.translate(s.dx, s.dy));
    return s.outline.subPaths().stream().map(p -> mapped(p, map)).toList();
  }

  private List<double[]> bent(int g) {
    Shape s = shape(g);
    return bend().polygons(s.outline, s.dx, s.dy);
  }

  /** The outline of a glyph in em, and where it begins from the middle of the letter's advance. */
  private record Shape(Outline outline, double dx, double dy) {}

  private Shape shape(int g) {
    Cluster.Glyph glyph = letter.cluster().glyphs().get(g);
    Outline still = letter.run().outlines().get(glyph.outline());
    double dx = glyph.dx();
    double dy = glyph.dy();
    List<SubPath> shape = still.subPaths();
    for (AxisSamples a : letter.axes()) {
      AxisSamples.Place at = a.place(row.axis(a.tag(), place.letter()));
      Cluster.Glyph low = a.clusters().get(at.index()).glyphs().get(g);
      Cluster.Glyph high = a.clusters().get(at.index() + 1).glyphs().get(g);
      List<SubPath> from = a.runs().get(at.index()).outlines().get(low.outline()).subPaths();
      List<SubPath> to = a.runs().get(at.index() + 1).outlines().get(high.outline()).subPaths();
      List<SubPath> moved = AxisMix.between(from, to, at.share());
      dx += low.dx() + (high.dx() - low.dx()) * at.share() - glyph.dx();
      dy += low.dy() + (high.dy() - low.dy()) * at.share() - glyph.dy();
      // The first axis gives the shape; a further one adds what it changes.
      shape = a == letter.axes().get(0) ? moved : AxisMix.plus(shape, moved, still.subPaths());
    }
    Outline outline = letter.axes().isEmpty() ? still : Outline.of(shape);
    return new Shape(outline, place.back() + dx, dy);
  }

  private static SubPath mapped(SubPath p, Affine map) {
    return new SubPath(p.segments().stream().map(s -> s.mapped(map)).toList(), p.closed());
  }

  /** A closed polygon as a subpath. */
  static SubPath lines(double[] polygon) {
    List<Segment> out = new ArrayList<>();
    Point last = new Point(polygon[0], polygon[1]);
    for (int i = 2; i < polygon.length; i += 2) {
      Point next = new Point(polygon[i], polygon[i + 1]);
      out.add(new Line(last, next));
      last = next;
    }
    return new SubPath(out, true);
  }

  boolean touches(Window window) {
    Affine base = Letters.map(place);
    List<Cluster.Glyph> glyphs = letter.cluster().glyphs();
    for (int g = 0; g < glyphs.size(); g++) {
      Outline o = letter.run().outlines().get(glyphs.get(g).outline());
      if (o.bounds().isEmpty()) {
        continue;
      }
      if (own()) {
        if (window.touched(Outline.of(subPaths(g)), Affine.IDENTITY)) {
          return true;
        }
      } else {
        Cluster.Glyph glyph = glyphs.get(g);
        Affine map = base.times(Affine.translate(place.back() + glyph.dx(), glyph.dy()));
        if (window.touched(o, map)) {
          return true;
        }
      }
    }
    return false;
  }

  /** How far the ink reaches from the middle of its advance, px; -1 without ink. */
  static double reach(RowLayout row, Placement p) {
    Letter letter = row.letters().get(p.letter());
    double ems = -1;
    for (Cluster.Glyph g : letter.cluster().glyphs()) {
      Rect b = letter.run().outlines().get(g.outline()).bounds();
      if (!b.isEmpty()) {
        double x = g.dx() + p.back();
        double across = Math.max(Math.abs(b.left() + x), Math.abs(b.right() + x));
        double up = Math.max(Math.abs(b.top() + g.dy()), Math.abs(b.bottom() + g.dy()));
        ems = Math.max(ems, across + up);
      }
    }
    // An axis that moves may make it wider than it is drawn here.
    double more = letter.axes().isEmpty() ? 1 : 1.6;
    double shift = Math.abs(row.values().get(Channel.BASELINE_SHIFT));
    return ems < 0 ? -1 : ems * more * Math.max(p.width(), p.height()) + shift;
  }
}
