package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** An item that is pinned to footage, as a group that moves as what is followed there does. */
final class PinSvg {
  /** Of any point of the item, px. */
  private static final double TOLERANCE = 0.1;

  private final PreparedScene prepared;
  private final SvgClock clock;
  private final Item item;
  private final SharedMotions motions;

  /** The box round all that is seen of the item at any time, where it stands by itself. */
  private final Rect box;

  /**
   * @param item one that is pinned
   */
  PinSvg(PreparedScene prepared, SvgClock clock, Item item, SharedMotions motions) {
    this.prepared = prepared;
    this.clock = clock;
    this.item = item;
    this.motions = motions;
    Scene scene = prepared.scene();
    Rect all = Rect.EMPTY;
    for (int i = 0; i < scene.frameCount(); i++) {
      all = all.union(prepared.box(item.id(), scene.rate().timeOf(i), List.of(Affine.IDENTITY)));
    }
    this.box = all.isEmpty() ? prepared.area() : all;
  }

  /**
   * Begins the group.
   *
   * @param back whether what the pin does is undone instead
   */
  String begin(boolean back) {
    double[] last = {0};
    Track track = clock.samples(t -> state(t, last), this::apart, TOLERANCE);
    String style =
        track.still(TOLERANCE / 100)
            ? declared(track.states()[0], back)
            : "animation:"
                + motions.animation(
                    "pin " + item.id() + back, track, TOLERANCE, s -> declared(s, back));
    return "<g style=\"" + style + "\">\n";
  }

  /**
   * What the pin does, as a browser goes from one to another: x, y, turn and skew in degrees, and
   * scales across and down.
   */
  private double[] state(double time, double[] last) {
    Affine m = prepared.pinned(item, time);
    double across = Math.hypot(m.a(), m.b());
    double degrees = Math.toDegrees(Math.atan2(m.b(), m.a()));
    degrees += 360 * Math.rint((last[0] - degrees) / 360);
    last[0] = degrees;
    double down = across == 0 ? 0 : (m.a() * m.d() - m.b() * m.c()) / across;
    double along = across == 0 ? 0 : (m.a() * m.c() + m.b() * m.d()) / across;
    double skew = Math.toDegrees(Math.atan2(along, down));
    return new double[] {m.e(), m.f(), degrees, skew, across, down};
  }

  private double apart(double[] a, double[] b) {
    Affine one = map(a);
    Affine other = map(b);
    double most = 0;
    for (double x : new double[] {box.left(), box.right()}) {
      for (double y : new double[] {box.top(), box.bottom()}) {
        Point p = new Point(x, y);
        most = Math.max(most, one.apply(p).distance(other.apply(p)));
      }
    }
    return most;
  }

  private static Affine map(double[] s) {
    double skewed = Math.tan(Math.toRadians(s[3])) * s[5];
    return Affine.translate(s[0], s[1])
        .times(Affine.rotate(Math.toRadians(s[2])))
        .times(new Affine(s[4], 0, skewed, s[5], 0, 0));
  }

  private static String declared(double[] s, boolean back) {
    if (back) {
      return "transform:"
          + ("scale(" + number(1 / s[4]) + "," + number(1 / s[5]) + ")")
          + (" skewX(" + number(-s[3]) + "deg)")
          + (" rotate(" + number(-s[2]) + "deg)")
          + (" translate(" + Decimal.text(-s[0], 3) + "px," + Decimal.text(-s[1], 3) + "px)");
    }
    return "transform:"
        + ("translate(" + Decimal.text(s[0], 3) + "px," + Decimal.text(s[1], 3) + "px)")
        + (" rotate(" + number(s[2]) + "deg)")
        + (" skewX(" + number(s[3]) + "deg)")
        + (" scale(" + number(s[4]) + "," + number(s[5]) + ")");
  }

  private static String number(double n) {
    return Decimal.text(n, 6);
  }
}
