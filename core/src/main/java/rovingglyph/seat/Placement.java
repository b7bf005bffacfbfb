package rovingglyph.seat;

import rovingglyph.geometry.Point;

/**
 * Where a letter stands and how it looks there.
 *
 * @param letter index in the row
 * @param distance of the middle of its advance along the path in reading direction, px
 * @param at the point on the baseline at the middle of its advance, baseline shift included
 * @param angle of its baseline in radians, clockwise on screen
 * @param width px per em along its baseline
 * @param height px per em across it
 * @param advance in px, tracking included
 * @param back from the middle of the advance to the cluster's origin, em along the baseline
 * @param fill 0xRRGGBB
 * @param alpha 0 to 1
 * @param visible false where it is cut off
 */
public record Placement(
    int letter,
    double distance,
    Point at,
    double angle,
    double width,
    double height,
    double advance,
    double back,
    int fill,
    double alpha,
    boolean visible) {

  /** The letter elsewhere, turned by so many degrees more. */
  public Placement turned(Point newAt, double turn) {
    return new Placement(
        letter, distance, newAt, angle + turn, width, height, advance, back, fill, alpha, visible);
  }

  /** The letter not seen. */
  public Placement gone() {
    return new Placement(
        letter, distance, at, angle, width, height, advance, back, fill, alpha, false);
  }

  /** Looked at larger; the distance stays the path's own. */
  public Placement scaled(double k) {
    return new Placement(
        letter,
        distance,
        at,
        angle,
        width * k,
        height * k,
        advance * k,
        back,
        fill,
        alpha,
        visible);
  }
}
