package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Pin;
import rovingglyph.scene.Scene;

/**
 * How what is pinned moves with what is followed in footage. It moves in steps, from frame to frame
 * of the footage, so that it holds to the frame that is seen.
 */
public final class PinMap {
  /** Spots nearer to each other, in px, tell no turn. */
  private static final double NEAREST = 1e-6;

  /** Beyond so many standard deviations a Gaussian counts for nothing. */
  private static final double REACH = 3;

  /** Seconds within which two spans are as long as each other. */
  private static final double SAME = 1e-9;

  private final Pin pin;
  private final Footage footage;
  private final FootagePin followed;
  private final GroupTransform round;

  /** The corners of the scene's frame. */
  private final List<Point> frame;

  private PinMap(Scene scene, Pin pin, Footage footage, GroupTransform round) {
    this.frame = new Rect(0, 0, scene.width(), scene.height()).corners();
    this.pin = pin;
    this.footage = footage;
    this.followed = footage.pin(pin.to());
    this.round = round;
  }

  /**
   * That of a pin of a scene.
   *
   * @param paths that are prepared already; others are added as they are needed
   * @return null without a pin
   */
  static PinMap of(Scene scene, Pin pin, Map<String, PreparedPath> paths) {
    Footage footage = pin == null ? null : scene.pinned(pin.to());
    return footage == null
        ? null
        : new PinMap(scene, pin, footage, GroupTransform.of(scene, footage.id(), paths));
  }

  /** The map from where what is pinned stands by itself to where it is, in pixels of the frame. */
  public Projection map(double time) {
    return isLaid()
        ? place(time).times(laid(time))
        : place(time).times(moved(time)).times(place(pin.at()).inverse());
  }

  /** The same in footage that stays where it is when it is pinned. */
  Projection within(double time) {
    Projection stands = place(pin.at());
    return isLaid() ? stands.times(laid(time)) : stands.times(moved(time)).times(stands.inverse());
  }

  private boolean isLaid() {
    return pin.laid() && followed.by() == FootagePin.By.CORNERS;
  }

  /** All of the frame between the corners that are followed, in pixels of the footage. */
  private Projection laid(double time) {
    Projection between = Projection.of(frame, points(time));
    return between == null ? Projection.IDENTITY : between;
  }

  /** Whether the pin holds to this footage. */
  boolean holdsTo(String item) {
    return footage.id().equals(item);
  }

  /** What was followed, from when it was pinned to a time, in pixels of the footage. */
  private Projection moved(double time) {
    List<Point> from = points(pin.at());
    List<Point> to = points(time);
    return switch (followed.by()) {
      case SPOT -> Projection.of(shifted(from, to));
      case TWO_SPOTS -> Projection.of(turned(from, to));
      case CORNERS -> {
        Projection seen = Projection.of(from, to);
        yield seen == null ? Projection.of(shifted(from, to)) : seen;
      }
    };
  }

  /** By as much as what is marked moves on the whole. */
  private static Affine shifted(List<Point> from, List<Point> to) {
    Point by = Point.ORIGIN;
    for (int i = 0; i < from.size(); i++) {
      by = by.plus(to.get(i).minus(from.get(i)).times(1.0 / from.size()));
    }
    return Affine.translate(by.x(), by.y());
  }

  /** As the line between two points moves. */
  private static Affine turned(List<Point> from, List<Point> to) {
    Point a = from.get(0);
    Point b = to.get(0);
    Point u = from.get(1).minus(a);
    Point v = to.get(1).minus(b);
    double square = u.x() * u.x() + u.y() * u.y();
    if (square < NEAREST * NEAREST) {
      return Affine.translate(b.x() - a.x(), b.y() - a.y());
    }
    double c = (u.x() * v.x() + u.y() * v.y()) / square;
    double s = (u.x() * v.y() - u.y() * v.x()) / square;
    return Affine.translate(b.x(), b.y())
        .times(new Affine(c, s, -s, c, 0, 0))
        .times(Affine.translate(-a.x(), -a.y()));
  }

  /**
   * The marked points in the frame that is seen at a time, past the end in the last: the Gaussian
   * mean over frames near it, see {@link FootagePin#smoothing}. Near the ends only what is as near
   * on both sides counts, so that a steady motion stays as it is.
   */
  private List<Point> points(double time) {
    double moment = footage.moment(time);
    List<FootagePin.Frame> frames = followed.frames();
    int at = followed.frame(Double.isNaN(moment) ? footage.out() : moment);
    double deviation = followed.smoothing();
    double own = frames.get(at).time();
    double toEnd = Math.min(own - frames.get(0).time(), followed.last().time() - own);
    double reach = Math.min(REACH * deviation, toEnd) + SAME;
    int from = at;
    while (from > 0 && own - frames.get(from - 1).time() <= reach) {
      from--;
    }
    double[] sums = new double[2 * followed.by().marks()];
    double all = 0;
    for (int i = from; i < frames.size() && frames.get(i).time() - own <= reach; i++) {
      double off = i == at ? 0 : (frames.get(i).time() - own) / deviation;
      double weight = Math.exp(-off * off / 2);
      all += weight;
      for (int n = 0; n < sums.length / 2; n++) {
        Point p = frames.get(i).points().get(n);
        sums[2 * n] += weight * p.x();
        sums[2 * n + 1] += weight * p.y();
      }
    }
    List<Point> out = new ArrayList<>();
    for (int n = 0; n < sums.length; n += 2) {
      out.add(new Point(sums[n] / all, sums[n + 1] / all));
    }
    return out;
  }

  private Projection place(double time) {
    return pixels(footage, round, time);
  }

  /**
   * The map of pixels of footage to those of the frame.
   *
   * @param round what the groups round it do, and what moves it besides its own place
   */
  static Projection pixels(Footage footage, GroupTransform round, double time) {
    Affine pixels = new Affine(1.0 / footage.pixelWidth(), 0, 0, 1.0 / footage.pixelHeight(), 0, 0);
    return round.map(time).times(new PreparedPicture(footage, 0).square(time)).times(pixels);
  }
}
