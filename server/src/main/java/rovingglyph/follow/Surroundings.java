package rovingglyph.follow;

import java.util.ArrayList;
import java.util.List;

/**
 * What lies farther round a spot: it tells where the spot is while something covers that. Pieces of
 * it are looked for each by itself; where most of them agree, all of it is laid.
 */
final class Surroundings {
  /** As sure as this, 0 to 1, it has to be. */
  private static final double SURE = 0.6;

  /** Of the reach of a spot: how far pieces lie from it. */
  private static final double AWAY = 2.5;

  /** Of the reach: how far all of it goes. */
  private static final int WIDE = 4;

  /** Px by which pieces that agree are moved differently at most. */
  private static final double AGREE = 8;

  /** Fewer pieces are not believed. */
  private static final int LEAST = 3;

  private record Piece(Patch patch, double u, double v) {}

  private record Shift(double x, double y) {
    boolean agrees(Shift o) {
      return Math.hypot(x - o.x, y - o.y) <= AGREE;
    }
  }

  private final Patch all;
  private final List<Piece> pieces = new ArrayList<>();

  Surroundings(GrayImage frame, double x, double y, int reach) {
    this.all = new Patch(frame, x, y, WIDE * reach, true);
    double away = AWAY * reach;
    for (int i = 0; i < 9; i++) {
      double u = (i % 3 - 1) * away;
      double v = (i / 3 - 1) * away;
      Patch patch = new Patch(frame, x + u, y + v, reach);
      if (i != 4 && !patch.isFlat()) {
        pieces.add(new Piece(patch, u, v));
      }
    }
  }

  /**
   * Where the spot is; null where that cannot be told.
   *
   * @param from where it is expected
   * @param round px round there in which it may be
   */
  Patch.Fit fit(GrayImage frame, Patch.Fit from, double round) {
    List<Shift> shifts = new ArrayList<>();
    for (Piece p : pieces) {
      Warp at = from.warp().to(from.warp().x(p.u, p.v), from.warp().y(p.u, p.v));
      Warp found = p.patch.search(frame, at, round);
      shifts.add(new Shift(found.x() - at.x(), found.y() - at.y()));
    }
    List<Shift> most = List.of();
    for (Shift s : shifts) {
      List<Shift> alike = shifts.stream().filter(s::agrees).toList();
      most = alike.size() > most.size() ? alike : most;
    }
    if (most.size() < LEAST) {
      return null;
    }
    double x = most.stream().mapToDouble(Shift::x).average().orElse(0);
    double y = most.stream().mapToDouble(Shift::y).average().orElse(0);
    Warp moved = from.warp().to(from.warp().x() + x, from.warp().y() + y);
    Patch.Fit fit = all.fit(frame, from.at(moved));
    return fit != null && fit.sure() >= SURE ? fit : null;
  }
}
