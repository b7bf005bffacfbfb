package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.Seating;
import rovingglyph.setting.AxisSamples;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;

/** The outlines of one placed letter: as they are, between two samples of an axis, or bent. */
final class Ink {
  private final Seating row;
  private final Placement place;
  private final Affine turn;
  private final boolean bent;
  private final Letter letter;

  /**
   * @param place with the rotation of the lettering applied
   * @param turn that rotation
   */
  Ink(Seating row, Placement place, Affine turn, Seat.GlyphMethod method) {
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
      if (own()) {
        frame.beginOwn();
        for (SubPath p : subPaths(g)) {
          paint(frame, p);
        }
        frame.endOwn();
      } else {
        Cluster.Glyph glyph = glyphs.get(g);
        Affine m = base.times(Affine.translate(place.back() + glyph.dx(), glyph.dy()));
        int index = letter.outlineBase() + glyph.outline();
        frame.outline(index, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
      }
    }
  }

  /** All outlines where they stand, as path data. */
  String data() {
    StringBuilder out = new StringBuilder();
    for (int g = 0; g < letter.cluster().glyphs().size(); g++) {
      out.append(Outline.of(subPaths(g)).data());
    }
    return out.toString();
  }

  private static void paint(Frame frame, SubPath p) {
    Point start = p.segments().get(0).start();
    frame.step(Frame.MOVE, start.x(), start.y());
    p.segments().forEach(frame::segment);
    frame.step(Frame.CLOSE);
  }

  /** The outline of a glyph where it stands, in scene pixels. */
  private List<SubPath> subPaths(int g) {
    Cluster.Glyph glyph = letter.cluster().glyphs().get(g);
    List<SubPath> shape = letter.run().outlines().get(glyph.outline()).subPaths();
    double dx = glyph.dx();
    double dy = glyph.dy();
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
      shape = a == letter.axes().get(0) ? moved : AxisMix.plus(shape, moved, outline(g));
    }
    Point origin = new Point(place.back() + dx, dy);
    if (!bent) {
      Affine map = Letters.map(place).times(Affine.translate(origin.x(), origin.y()));
      return shape.stream().map(p -> mapped(p, map)).toList();
    }
    Bend bend = new Bend(row, place, origin, turn);
    return shape.stream().map(p -> bent(p, bend)).toList();
  }

  private List<SubPath> outline(int g) {
    return letter.run().outlines().get(letter.cluster().glyphs().get(g).outline()).subPaths();
  }

  private static SubPath mapped(SubPath p, Affine map) {
    return new SubPath(p.segments().stream().map(s -> s.mapped(map)).toList(), p.closed());
  }

  /** Points (x, y) go to the track at x, and y along its normal, in steps that keep to 0.1 px. */
  private static SubPath bent(SubPath p, Bend bend) {
    List<Segment> out = new ArrayList<>();
    for (Segment s : p.segments()) {
      int parts = bend.parts(s);
      Point last = bend.apply(s.point(0));
      for (int i = 1; i <= parts; i++) {
        Point next = bend.apply(s.point((double) i / parts));
        out.add(new Line(last, next));
        last = next;
      }
    }
    return new SubPath(out, p.closed());
  }

  boolean touches(Rect area) {
    Affine base = Letters.map(place);
    List<Cluster.Glyph> glyphs = letter.cluster().glyphs();
    for (int g = 0; g < glyphs.size(); g++) {
      Outline o = letter.run().outlines().get(glyphs.get(g).outline());
      if (o.bounds().isEmpty()) {
        continue;
      }
      if (own()) {
        if (AreaTouch.touches(Outline.of(subPaths(g)), Affine.IDENTITY, area)) {
          return true;
        }
      } else {
        Cluster.Glyph glyph = glyphs.get(g);
        Affine map = base.times(Affine.translate(place.back() + glyph.dx(), glyph.dy()));
        if (AreaTouch.touches(o, map, area)) {
          return true;
        }
      }
    }
    return false;
  }

  /** How far the ink reaches from the middle of its advance, px; -1 without ink. */
  static double reach(Seating row, Placement p) {
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
