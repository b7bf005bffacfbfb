package rovingglyph.seat;

import rovingglyph.geometry.Point;

/**
 * Where a cluster stands.
 *
 * @param cluster index in the run
 * @param distance of the middle of its advance along the path in reading direction, px
 * @param at the point on the baseline at the middle of its advance, baseline shift included
 * @param angle of its baseline in radians, clockwise on screen
 * @param visible false where it is cut off past an end
 */
public record Placement(int cluster, double distance, Point at, double angle, boolean visible) {}
