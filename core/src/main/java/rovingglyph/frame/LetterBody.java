package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rim;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;

/**
 * A letter that has thickness, as the eye sees it: its sides, ring by ring, with the ring that is
 * nearest to the eye last, and over them its front or its back.
 *
 * <p>A ring is what lies between two levels. Seen from before, no face covers one of a ring nearer
 * to the front, because what is looked at beyond the front lies ever deeper. So rings are painted
 * from the far one to the near one, and only within a ring faces are put in order.
 */
final class LetterBody {
  private final Card card;
  private final Space space;
  private final BodyLook look;

  /** Where points of it are, where it is bent; else null. */
  private final Mould mould;

  private final List<BodyLoop> loops = new ArrayList<>();
  private final boolean front;
  private final boolean back;
  private final BodyShade shade;

  /** How it is seen in its middle. */
  private final Affine near;

  /** Where points of its levels are seen, where it is not bent. */
  private final Projection[] maps;

  /** Tells where a point of a bent letter is for the eye. */
  interface Mould {
    /**
     * @param x em from the middle of the advance
     * @param y em down from the baseline
     * @param depth px behind the front
     */
    Point3 at(double x, double y, double depth);
  }

  /**
   * @param glyphs of the letter
   * @param mould where it is bent; else null
   * @param rgb the colour of its sides before light falls on them
   */
  LetterBody(Card card, Space space, BodyLook look, List<GlyphRims> glyphs, Mould mould, int rgb) {
    this.card = card;
    this.space = space;
    this.look = look;
    this.mould = mould;
    Point3 way = card.back().length() > 0 ? card.back() : card.normal();
    this.front = space.side(card.origin(), way) < 0;
    this.back = space.side(card.origin().plus(card.back()), way) > 0;
    this.shade = new BodyShade(card, space, look, rgb);
    this.maps = new Projection[look.levels().size()];
    for (int k = 0; k < maps.length; k++) {
      maps[k] = space.seen(card.origin().plus(behind(depth(k))), card.u(), card.v());
    }
    this.near = card.map(space).near(card.box().centre());
    for (GlyphRims g : glyphs) {
      for (Rim r : g.rims()) {
        loops.add(loop(g, r));
      }
    }
  }

  /** The contours of a glyph, and where it begins in its letter, em. */
  record GlyphRims(List<Rim> rims, double dx, double dy) {}

  private double depth(int level) {
    return look.levels().get(level).depth();
  }

  /** The way from the front to what is so far behind it. */
  private Point3 behind(double depth) {
    return look.thickness() > 0 ? card.back().times(depth / look.thickness()) : Point3.ORIGIN;
  }

  private Point3 at(double x, double y, double depth) {
    return mould != null ? mould.at(x, y, depth) : card.at(x, y).plus(behind(depth));
  }

  private BodyLoop loop(GlyphRims g, Rim rim) {
    int levels = maps.length;
    double[][] em = new double[levels][];
    double[][] seen = new double[levels][];
    boolean tooNear = false;
    double unit = Math.sqrt(shade.width() * shade.height());
    double[] insets = new double[levels];
    for (int k = 0; k < levels; k++) {
      insets[k] = unit > 0 ? look.levels().get(k).inset() / unit : 0;
      double[] at = rim.inset(insets[k], g.rims());
      double[] there = new double[at.length];
      for (int i = 0; i < at.length; i += 2) {
        at[i] += g.dx();
        at[i + 1] += g.dy();
        tooNear |= mould != null ? bent(at, i, k, there) : flat(at, i, maps[k], there);
      }
      em[k] = at;
      seen[k] = there;
    }
    boolean clipped = tooNear || !card.cuts().isEmpty();
    return new BodyLoop(rim, g.rims(), insets, near, em, seen, clipped);
  }

  /** Writes where a point is seen; whether it is too near to be. */
  private static boolean flat(double[] em, int i, Projection map, double[] out) {
    double w = map.g() * em[i] + map.h() * em[i + 1] + map.i();
    double by = 1 / Math.max(w, Projection.NEAREST);
    out[i] = (map.a() * em[i] + map.c() * em[i + 1] + map.e()) * by;
    out[i + 1] = (map.b() * em[i] + map.d() * em[i + 1] + map.f()) * by;
    return w < Projection.NEAREST;
  }

  private boolean bent(double[] em, int i, int level, double[] out) {
    Point3 at = mould.at(em[i], em[i + 1], depth(level));
    Point there = space.looked(at);
    out[i] = there.x();
    out[i + 1] = there.y();
    return space.weight(at) < Projection.NEAREST;
  }

  /** A part of it that has one paint. */
  record Face(FramePaint paint, List<double[]> polygons) {}

  /** Its sides, the far ones first. */
  List<Face> sides(double alpha) {
    List<Face> out = new ArrayList<>();
    int rings = look.levels().size() - 1;
    if (!(look.thickness() > 0) || loops.isEmpty()) {
      return out;
    }
    boolean fromBack = back && !front;
    for (BodyLoop l : loops) {
      l.look(rings, shade.turns());
    }
    for (int n = 0; n < rings; n++) {
      int ring = fromBack ? n : rings - 1 - n;
      boolean outermost = n == rings - 1;
      boolean covered = !outermost || front || back;
      List<BodyStrip> strips = new ArrayList<>();
      for (BodyLoop l : loops) {
        strips.addAll(l.strips(ring));
      }
      for (BodyStrip s : BodyStrip.ordered(strips, shade)) {
        FramePaint paint = s.paint(shade, alpha);
        List<double[]> polygons = new ArrayList<>();
        if (s.loop().clipped()) {
          polygons.addAll(clipped(s));
        } else {
          polygons.add(s.polygon(fromBack, covered, outermost));
          polygons.addAll(s.ends(fromBack));
        }
        add(out, new Face(paint, polygons));
      }
    }
    return out;
  }

  /** Faces of one colour that follow each other are one: there is no joint between them. */
  private static void add(List<Face> all, Face next) {
    Face last = all.isEmpty() ? null : all.get(all.size() - 1);
    boolean same =
        last != null
            && last.paint.kind() == FramePaint.Kind.PLAIN
            && next.paint.kind() == FramePaint.Kind.PLAIN
            && last.paint.rgb() == next.paint.rgb();
    if (same) {
      List<double[]> both = new ArrayList<>(last.polygons);
      both.addAll(next.polygons);
      all.set(all.size() - 1, new Face(last.paint, both));
    } else {
      all.add(next);
    }
  }

  /** Its faces one by one, without what is too near or cut off. */
  private List<double[]> clipped(BodyStrip s) {
    List<double[]> out = new ArrayList<>();
    double from = depth(s.ring());
    double to = depth(s.ring() + 1);
    double[] a = s.loop().em(s.ring());
    double[] b = s.loop().em(s.ring() + 1);
    for (int j = 0; j < s.edges(); j++) {
      int p = 2 * s.corner(j);
      int q = 2 * s.corner(j + 1);
      List<Point3> face =
          List.of(
              at(a[p], a[p + 1], from),
              at(b[p], b[p + 1], to),
              at(b[q], b[q + 1], to),
              at(a[q], a[q + 1], from));
      for (List<Point> left : SpacePolygons.left(List.of(face), card.cuts(), space)) {
        double[] flat = new double[2 * left.size()];
        for (int i = 0; i < left.size(); i++) {
          flat[2 * i] = left.get(i).x();
          flat[2 * i + 1] = left.get(i).y();
        }
        out.add(flat);
      }
    }
    return out;
  }

  /** Whether its front or its back is seen, and not only its sides. */
  boolean hasCap() {
    return front || back;
  }

  boolean isBackSeen() {
    return back && !front;
  }

  /** Its front, or its back where that is seen, as a letter without thickness. */
  Card cap() {
    int level = isBackSeen() ? look.levels().size() - 1 : 0;
    Point3 behind = behind(depth(level));
    if (level == 0 && !look.isBevelled()) {
      return card.with(card.origin(), card.pieces());
    }
    if (mould == null && !look.isBevelled()) {
      return card.with(card.origin().plus(behind), card.pieces());
    }
    List<Card.Part> parts = new ArrayList<>();
    if (mould == null) {
      List<SubPath> lines = loops.stream().map(l -> lines(l.em(level))).toList();
      parts.add(new Card.Part(Piece.own(lines, Affine.IDENTITY), null));
    } else {
      parts.add(new Card.Part(null, loops.stream().map(l -> inSpace(l.em(level), level)).toList()));
    }
    return card.with(card.origin().plus(behind), parts);
  }

  private List<Point3> inSpace(double[] em, int level) {
    List<Point3> out = new ArrayList<>();
    for (int i = 0; i < em.length; i += 2) {
      out.add(mould.at(em[i], em[i + 1], depth(level)));
    }
    return out;
  }

  private static SubPath lines(double[] em) {
    List<Segment> out = new ArrayList<>();
    for (int i = 0; i < em.length; i += 2) {
      int next = (i + 2) % em.length;
      out.add(new Line(new Point(em[i], em[i + 1]), new Point(em[next], em[next + 1])));
    }
    return new SubPath(out, true);
  }

  /** The colour of its front or back in the light. */
  int lit(int rgb) {
    return shade.cap(rgb, isBackSeen());
  }
}
