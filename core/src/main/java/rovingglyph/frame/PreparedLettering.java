package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Lettering;
import rovingglyph.seat.Placement;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Seating;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.ShapedRun;

/**
 * A lettering ready to be evaluated.
 *
 * @param lettering with its landings solved
 * @param outlineBase index of the run's first outline among the scene's
 * @param unsolved indexes of path offset keyframes whose landing has no solution
 */
public record PreparedLettering(
    Lettering lettering, ShapedRun run, Seats seats, int outlineBase, List<Integer> unsolved) {

  PreparedLettering solved(Lettering l, List<Integer> missing) {
    return new PreparedLettering(l, run, seats, outlineBase, missing);
  }

  public SeatValues values(double time) {
    return SeatValues.at(lettering, time);
  }

  /** The lettering on its path as that is at the values' time. */
  public Seating seating(SeatValues v) {
    return seats.at(v.time());
  }

  /** What its rotation turns about. */
  public Point centre(SeatValues v) {
    return seats.path().centre(v.time());
  }

  /** The placements with the rotation about the centre applied. */
  public List<Placement> placements(SeatValues v) {
    List<Placement> seated = seating(v).place(v);
    if (v.rotation() == 0) {
      return seated;
    }
    return seated.stream().map(p -> turned(p, v)).toList();
  }

  private Placement turned(Placement p, SeatValues v) {
    double turn = Math.toRadians(v.rotation());
    Point at = Affine.rotate(turn, centre(v)).apply(p.at());
    return new Placement(p.cluster(), p.distance(), at, p.angle() + turn, p.visible());
  }

  void paint(Frame frame, double time) {
    SeatValues v = values(time);
    if (v.opacity() <= 0) {
      return;
    }
    List<Placement> placements = placements(v);
    frame.shape(lettering.fill(), v.opacity() / 100, glyphCount(placements));
    for (Placement p : placements) {
      if (p.visible()) {
        paint(frame, p, v);
      }
    }
  }

  private int glyphCount(List<Placement> placements) {
    int count = 0;
    for (Placement p : placements) {
      count += p.visible() ? run.clusters().get(p.cluster()).glyphs().size() : 0;
    }
    return count;
  }

  private void paint(Frame frame, Placement p, SeatValues v) {
    Cluster cluster = run.clusters().get(p.cluster());
    double cos = Math.cos(p.angle()) * v.size();
    double sin = Math.sin(p.angle()) * v.size();
    double back = -seating(v).advance(p.cluster()) / 2;
    for (Cluster.Glyph g : cluster.glyphs()) {
      double x = back + g.dx();
      double y = g.dy();
      frame.outline(
          outlineBase + g.outline(),
          cos,
          sin,
          -sin,
          cos,
          p.at().x() + cos * x - sin * y,
          p.at().y() + sin * x + cos * y);
    }
  }

  /** Whether any outline touches the rectangle, by the outlines themselves and not their boxes. */
  public boolean touches(SeatValues v, Rect area) {
    for (Placement p : placements(v)) {
      if (p.visible() && touches(p, v, area)) {
        return true;
      }
    }
    return false;
  }

  /** Whether one cluster's outlines touch the rectangle. */
  boolean touches(int cluster, SeatValues v, Rect area) {
    Placement p = turned(seating(v).place(cluster, v), v);
    return p.visible() && touches(p, v, area);
  }

  private boolean touches(Placement p, SeatValues v, Rect area) {
    double back = -seating(v).advance(p.cluster()) / 2;
    Affine base =
        Affine.translate(p.at().x(), p.at().y())
            .times(Affine.rotate(p.angle()))
            .times(Affine.scale(v.size()));
    for (Cluster.Glyph g : run.clusters().get(p.cluster()).glyphs()) {
      Outline outline = run.outlines().get(g.outline());
      Affine map = base.times(Affine.translate(back + g.dx(), g.dy()));
      if (AreaTouch.touches(outline, map, area)) {
        return true;
      }
    }
    return false;
  }
}
