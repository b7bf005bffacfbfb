package rovingglyph.webexport;

import java.util.function.DoubleFunction;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/**
 * An item that is pinned to footage or turned in space, as a group that moves as that does. SVG has
 * no perspective, but CSS has for what stands in a page: so what is seen in perspective stands in
 * an {@code <svg>} within a {@code <foreignObject>}.
 */
final class PinSvg {
  /** Of any point of the item, px. */
  private static final double TOLERANCE = 0.1;

  private final PreparedScene prepared;
  private final SvgClock clock;
  private final Item item;
  private final SharedMotions motions;

  /** The box round all that is seen of the item at any time, where it stands by itself. */
  private final Rect box;

  /** Whether it is seen in perspective at any time. */
  private final boolean deep;

  private final String what;
  private final DoubleFunction<Projection> map;

  /**
   * @param what tells this of other maps of the item
   * @param map what moves the item, at a time of the scene
   */
  PinSvg(
      PreparedScene prepared,
      SvgClock clock,
      Item item,
      SharedMotions motions,
      String what,
      DoubleFunction<Projection> map) {
    this.what = what;
    this.map = map;
    this.prepared = prepared;
    this.clock = clock;
    this.item = item;
    this.motions = motions;
    Scene scene = prepared.scene();
    Rect all = Rect.EMPTY;
    boolean perspective = false;
    for (int i = 0; i < scene.frameCount(); i++) {
      double t = scene.rate().timeOf(i);
      all = all.union(prepared.standing(item.id(), t));
      perspective |= !map.apply(t).isFlat();
    }
    this.deep = perspective;
    this.box = all.isEmpty() ? prepared.area() : all;
  }

  /**
   * Begins the group.
   *
   * @param back whether what the pin does is undone instead
   */
  String begin(boolean back) {
    double[] last = {0};
    Samples.Source source = deep ? this::numbers : t -> state(t, last);
    Track track = clock.samples(source, this::apart, TOLERANCE);
    String style =
        track.still(TOLERANCE / 100)
            ? declared(track.states()[0], back)
            : "animation:"
                + motions.animation(
                    what + " " + item.id() + back, track, TOLERANCE, s -> declared(s, back));
    return deep ? seen(style) : "<g style=\"" + style + "\">\n";
  }

  /** Begins what stands in a page, in the same pixels as what is round it. */
  private String seen(String style) {
    Scene scene = prepared.scene();
    String size = " width=\"" + scene.width() + "\" height=\"" + scene.height() + "\"";
    // Said here, so that no style of a page that it is set into reaches it.
    String plain =
        "display:block;position:static;overflow:visible;max-width:none;max-height:none;margin:0;"
            + "padding:0;border:0;background:none;transform-origin:0 0;"
            + ("width:" + scene.width() + "px;height:" + scene.height() + "px;");
    return "<foreignObject"
        + size
        + " style=\"overflow:visible\"><svg xmlns=\"http://www.w3.org/2000/svg\""
        + size
        + " style=\""
        + plain
        + style
        + "\">\n";
  }

  /**
   * What the pin does, as a browser goes from one to another: x, y, turn and skew in degrees, and
   * scales across and down.
   */
  private double[] state(double time, double[] last) {
    Affine m = map.apply(time).flat();
    double across = Math.hypot(m.a(), m.b());
    double degrees = Math.toDegrees(Math.atan2(m.b(), m.a()));
    degrees += 360 * Math.rint((last[0] - degrees) / 360);
    last[0] = degrees;
    double down = across == 0 ? 0 : (m.a() * m.d() - m.b() * m.c()) / across;
    double along = across == 0 ? 0 : (m.a() * m.c() + m.b() * m.d()) / across;
    double skew = Math.toDegrees(Math.atan2(along, down));
    return new double[] {m.e(), m.f(), degrees, skew, across, down};
  }

  /** What it does in perspective: the numbers of a {@link Projection}. */
  private double[] numbers(double time) {
    Projection m = map.apply(time);
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i()};
  }

  private static Projection projection(double[] n) {
    return new Projection(n[0], n[1], n[2], n[3], n[4], n[5], n[6], n[7], n[8]);
  }

  private double apart(double[] a, double[] b) {
    Projection one = deep ? projection(a) : Projection.of(map(a));
    Projection other = deep ? projection(b) : Projection.of(map(b));
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

  private static String inPerspective(Projection m) {
    String[] n = new String[9];
    double[] all = {m.a(), m.b(), m.g(), m.c(), m.d(), m.h(), m.e(), m.f(), m.i()};
    for (int i = 0; i < 9; i++) {
      n[i] = Decimal.text(all[i], 9);
    }
    return "transform:matrix3d("
        + (n[0] + "," + n[1] + ",0," + n[2] + ",")
        + (n[3] + "," + n[4] + ",0," + n[5] + ",0,0,1,0,")
        + (n[6] + "," + n[7] + ",0," + n[8] + ")");
  }

  private String declared(double[] s, boolean back) {
    if (deep) {
      Projection m = projection(s);
      return inPerspective(back ? m.inverse() : m);
    }
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
