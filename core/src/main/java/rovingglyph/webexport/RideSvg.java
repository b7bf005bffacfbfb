package rovingglyph.webexport;

import rovingglyph.frame.Carriage;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** An item on the path that carries it, as groups that move and turn. */
final class RideSvg {
  /** Of any point of the item, px. */
  private static final double TOLERANCE = 0.1;

  private final Item item;
  private final Scene scene;
  private final SvgClock clock;
  private final Carriage carriage;
  private final SharedMotions motions;
  private final Point from;

  /** The farthest that anything of the item is from what is on the path, px. */
  private final double reach;

  /**
   * @param item one that a path carries
   */
  RideSvg(PreparedScene prepared, SvgClock clock, Item item, SharedMotions motions) {
    this.item = item;
    this.scene = prepared.scene();
    this.clock = clock;
    this.carriage = prepared.carriage(item);
    this.motions = motions;
    this.from = item.properties().ride().point();
    double farthest = 1;
    for (int i = 0; i < scene.frameCount(); i++) {
      Rect box = prepared.standing(item.id(), scene.rate().timeOf(i));
      if (!box.isEmpty()) {
        double x = Math.max(Math.abs(box.left() - from.x()), Math.abs(box.right() - from.x()));
        double y = Math.max(Math.abs(box.top() - from.y()), Math.abs(box.bottom() - from.y()));
        farthest = Math.max(farthest, Math.hypot(x, y));
      }
    }
    this.reach = farthest;
  }

  /** All copies of what the item is. */
  String write(String contents) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < item.properties().ride().copies(); i++) {
      out.append(begin(i, false)).append(contents).append("</g>\n");
    }
    return out.toString();
  }

  /**
   * Begins the group of one copy.
   *
   * @param back whether what the ride does is undone instead
   */
  String begin(int copy, boolean back) {
    double[] last = {0};
    Track track = clock.samples(t -> state(copy, t, last), this::apart, TOLERANCE);
    String style =
        track.still(TOLERANCE / 100)
            ? declared(track.states()[0], back)
            : "animation:"
                + motions.animation(
                    "ride " + item.id() + back, track, TOLERANCE, s -> declared(s, back));
    return "<g style=\"" + style + "\">\n";
  }

  /** Where a copy is and its turn in degrees; one more number where it is not seen. */
  private double[] state(int copy, double time, double[] last) {
    Carriage.Stop stop = carriage.stops(time).get(copy);
    double degrees = Math.toDegrees(stop.turn());
    // Whole turns are told apart by where it was a moment ago.
    degrees += 360 * Math.rint((last[0] - degrees) / 360);
    last[0] = degrees;
    double x = stop.at().x();
    double y = stop.at().y();
    return stop.seen() ? new double[] {x, y, degrees} : new double[] {x, y, degrees, 0};
  }

  private double apart(double[] a, double[] b) {
    double turn = 2 * Math.abs(Math.sin(Math.toRadians(a[2] - b[2]) / 2)) * reach;
    return Math.hypot(a[0] - b[0], a[1] - b[1]) + turn;
  }

  private String declared(double[] state, boolean back) {
    String to = translate(state[0], state[1], back);
    String turn = "rotate(" + Decimal.text(back ? -state[2] : state[2], 4) + "deg)";
    String own = translate(from.x(), from.y(), !back);
    String moves = back ? own + " " + turn + " " + to : to + " " + turn + " " + own;
    // It goes by its opacity, which every player can step.
    String seen = back || !carriage.cuts() ? "" : ";opacity:" + (state.length > 3 ? 0 : 1);
    return "transform:" + moves + seen;
  }

  private static String translate(double x, double y, boolean back) {
    double k = back ? -1 : 1;
    return "translate(" + Decimal.text(k * x, 3) + "px," + Decimal.text(k * y, 3) + "px)";
  }
}
