package rovingglyph.frame;

import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Space;

/** How light falls on the faces of a letter that has thickness, and from where they are seen. */
final class BodyShade {
  private final BodyLook look;
  private final int rgb;
  private final double width;
  private final double height;
  private final Point3 right;
  private final Point3 down;
  private final Point3 behind;

  /** The way to the eye from the middle of the letter. */
  private final Point3 eye;

  /**
   * The eye over the letter, in its px from its origin; where nothing gets smaller with distance
   * the way to it.
   */
  private final double eyeX;

  private final double eyeY;
  private final boolean parallel;

  /**
   * @param rgb the colour of its sides
   */
  BodyShade(Card card, Space space, BodyLook look, int rgb) {
    this.look = look;
    this.rgb = rgb;
    this.width = Math.abs(card.ink().place().width());
    this.height = Math.abs(card.ink().place().height());
    this.right = card.u().unit();
    this.down = card.v().unit();
    this.behind = card.back().length() > 0 ? card.back().unit() : right.cross(down);
    this.parallel = Double.isInfinite(space.distance());
    double unit = width > 0 ? card.u().length() / width : 1;
    Point3 middle = card.at(card.box().centre().x(), card.box().centre().y());
    Point3 there =
        parallel
            ? new Point3(0, 0, -1)
            : new Point3(space.eye().x(), space.eye().y(), -space.distance());
    this.eye = parallel ? there : there.minus(middle).unit();
    Point3 way = parallel ? there : there.minus(card.origin()).times(1 / unit);
    this.eyeX = way.dot(right);
    this.eyeY = way.dot(down);
  }

  /** Px of an em along the baseline. */
  double width() {
    return width;
  }

  /** Px of an em across it. */
  double height() {
    return height;
  }

  /** -1 where faces that are turned to the eye go round the other way on the picture, else 1. */
  double turns() {
    return right.cross(down).dot(behind) < 0 ? -1 : 1;
  }

  /** How far a point of a letter lies on the way of the looks that go over it, px or radians. */
  double across(double x, double y) {
    double px = x * width;
    double py = y * height;
    return parallel ? px * eyeY - py * eyeX : Math.atan2(py - eyeY, px - eyeX);
  }

  /** How late a look that goes over the letter meets a point. */
  double along(double x, double y) {
    double px = x * width;
    double py = y * height;
    return parallel ? -(px * eyeX + py * eyeY) : Math.hypot(px - eyeX, py - eyeY);
  }

  /** Whether {@link #across} is an angle. */
  boolean isRound() {
    return !parallel;
  }

  /** The colour of a face of a ring, where the outline's way out is (x, y). */
  int side(int ring, double x, double y) {
    BodyLook.Level from = look.levels().get(ring);
    BodyLook.Level to = look.levels().get(ring + 1);
    double out = to.depth() - from.depth();
    double back = to.inset() - from.inset();
    double length = Math.hypot(out, back);
    double nx = width > 0 ? x / width : 0;
    double ny = height > 0 ? y / height : 0;
    double level = Math.hypot(nx, ny);
    if (!(length > 0) || !(level > 0)) {
      return rgb;
    }
    double share = out / length / level;
    Point3 normal =
        right.times(nx * share).plus(down.times(ny * share)).plus(behind.times(back / length));
    return look.light().on(rgb, normal, eye);
  }

  /** The colour of the front or the back of a letter. */
  int cap(int own, boolean isBack) {
    return look.light().on(own, isBack ? behind : behind.times(-1), eye);
  }
}
