package rovingglyph.follow;

/** Follows one spot, frame by frame, from the one in which it was marked. */
final class SpotFollower {
  /** Of the height of a frame: how far round a spot its surroundings go. */
  private static final double REACH = 0.03;

  private static final int LEAST_REACH = 12;
  private static final int MOST_REACH = 48;

  /** As sure as this, 0 to 1, a spot has to be to count as found. */
  private static final double LEAST_SURE = 0.6;

  /** Surer than this it is not looked for elsewhere. */
  private static final double NO_DOUBT = 0.9;

  /** Of how sure it was lately, too. */
  private static final double AS_SURE = 0.87;

  /** The same where it was not seen in the frame before. */
  private static final double AS_SURE_AGAIN = 0.93;

  /** The share by which every frame tells how sure it was lately. */
  private static final double LATELY = 0.15;

  /** By so much its surroundings may turn, grow or lean from one frame to the next. */
  private static final double BENT = 0.2;

  /** By so much it may be lit differently from one frame to the next. */
  private static final double LIT = 1.6;

  /** The share by which every frame tells how things grow and turn. */
  private static final double STEADY = 0.3;

  /** As a share, and in radians: faster than this they do not. */
  private static final double FASTEST = 0.1;

  /** Of the reach: how far round where it is expected it is looked for. */
  private static final double SEARCH = 2;

  /** By so much of the reach the search widens with every frame in which it is not known. */
  private static final double WIDER = 0.5;

  private static final double WIDEST = 6;

  /** So much larger or smaller, by area, its surroundings are taken anew. */
  private static final double GROWN = 1.8;

  /**
   * A spot in a frame.
   *
   * @param sure 0 to 1: how far it looks like what was marked
   */
  record Spot(double x, double y, double sure, Tracker.Known known) {}

  private final int reach;
  private Patch patch;
  private Surroundings wide;
  private Warp warp;

  /** How bright it was lately. */
  private Patch.Fit bright;

  private double speedX;
  private double speedY;

  /** By which its surroundings grow and turn from frame to frame, lately. */
  private double growth = 1;

  private double turn;
  private double usual = 1;

  /** Frames since it was seen. */
  private int unseen;

  /** Frames since it was known where it is. */
  private int lost;

  SpotFollower(GrayImage frame, double x, double y) {
    this.reach =
        (int) Math.min(Math.max(Math.round(frame.height() * REACH), LEAST_REACH), MOST_REACH);
    mark(frame, x, y);
  }

  private void mark(GrayImage frame, double x, double y) {
    patch = new Patch(frame, x, y, reach);
    wide = new Surroundings(frame, x, y, reach);
    warp = Warp.at(x, y);
    bright = Patch.Fit.at(x, y);
  }

  /** Whether its surroundings are all alike, so that it cannot be followed. */
  boolean isFlat() {
    return patch.isFlat();
  }

  /** Where it is in the next frame. */
  Spot next(GrayImage frame) {
    Warp grown = warp.grown(growth, turn);
    Patch.Fit expected = bright.at(grown.to(warp.x() + speedX, warp.y() + speedY));
    double round = reach * Math.min(SEARCH + WIDER * lost, WIDEST);
    Patch.Fit fit = bent(patch.fit(frame, expected));
    if (!isSure(fit) || distance(fit, expected) > reach) {
      Warp alike = patch.search(frame, expected.warp(), round);
      fit = surer(fit, bent(patch.fit(frame, expected.at(alike))));
    }
    Patch.Fit held = null;
    if (unseen > 0 || !isSeen(frame, fit)) {
      held = bent(wide.fit(frame, expected, round));
      fit = held == null ? fit : nearby(held, surer(fit, bent(patch.fit(frame, held))));
    }
    if (isSeen(frame, fit)) {
      unseen = 0;
      usual += LATELY * (fit.sure() - usual);
      moved(fit);
      renew(frame, fit.sure());
      return new Spot(warp.x(), warp.y(), fit.sure(), Tracker.Known.SEEN);
    }
    unseen++;
    double sure = fit == null ? 0 : fit.sure();
    if (held != null) {
      moved(held);
      return new Spot(warp.x(), warp.y(), sure, Tracker.Known.HELD);
    }
    lost++;
    // Nothing tells that it goes on as it went.
    speedX /= 2;
    speedY /= 2;
    warp = expected.warp();
    return new Spot(warp.x(), warp.y(), sure, Tracker.Known.NOT);
  }

  private static boolean isSure(Patch.Fit fit) {
    return fit != null && fit.sure() >= NO_DOUBT;
  }

  private boolean isSeen(GrayImage frame, Patch.Fit fit) {
    double needed = Math.max(LEAST_SURE, usual * (unseen > 0 ? AS_SURE_AGAIN : AS_SURE));
    return fit != null && fit.sure() >= needed && isInside(frame, fit.warp());
  }

  private static Patch.Fit surer(Patch.Fit a, Patch.Fit b) {
    return a == null || b != null && b.sure() > a.sure() ? b : a;
  }

  /** What looks like the spot has to be where its surroundings say that it is. */
  private Patch.Fit nearby(Patch.Fit held, Patch.Fit fit) {
    return fit != null && distance(fit, held) < reach / 3.0 ? fit : null;
  }

  private void moved(Patch.Fit to) {
    double scale = Math.sqrt(to.warp().area() / warp.area());
    double angle = Math.IEEEremainder(to.warp().angle() - warp.angle(), 2 * Math.PI);
    growth += STEADY * (Math.min(Math.max(scale, 1 - FASTEST), 1 + FASTEST) - growth);
    turn += STEADY * (Math.min(Math.max(angle, -FASTEST), FASTEST) - turn);
    lost = 0;
    speedX = to.warp().x() - warp.x();
    speedY = to.warp().y() - warp.y();
    warp = to.warp();
    bright = to;
  }

  /** A fit, if the spot has not changed more than it can have; else null. */
  private Patch.Fit bent(Patch.Fit fit) {
    if (fit == null) {
      return null;
    }
    Warp w = fit.warp();
    double area = warp.area();
    // What is done to the surroundings as they were in the frame before.
    double a = (w.a() * warp.d() - w.c() * warp.b()) / area - 1;
    double b = (w.b() * warp.d() - w.d() * warp.b()) / area;
    double c = (w.c() * warp.a() - w.a() * warp.c()) / area;
    double d = (w.d() * warp.a() - w.b() * warp.c()) / area - 1;
    double most = BENT * Math.min(1 + lost / 4.0, 2);
    double by = Math.max(Math.max(Math.abs(a), Math.abs(b)), Math.max(Math.abs(c), Math.abs(d)));
    double lit = fit.gain() / bright.gain();
    return by <= most && lit < LIT && lit > 1 / LIT ? fit : null;
  }

  private static double distance(Patch.Fit a, Patch.Fit b) {
    return Math.hypot(a.warp().x() - b.warp().x(), a.warp().y() - b.warp().y());
  }

  private static boolean isInside(GrayImage frame, Warp w) {
    return w.x() >= 0 && w.y() >= 0 && w.x() <= frame.width() && w.y() <= frame.height();
  }

  /** Detail that comes with nearness, or goes with distance, is not in what was marked. */
  private void renew(GrayImage frame, double sure) {
    double grown = warp.area();
    if (sure >= 0.85 && (grown > GROWN || grown < 1 / GROWN)) {
      mark(frame, warp.x(), warp.y());
    }
  }
}
