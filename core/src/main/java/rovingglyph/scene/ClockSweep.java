package rovingglyph.scene;

import rovingglyph.geometry.Point;

/**
 * Letters appearing by angle round a centre: those between the values {@code sweepFrom} and {@code
 * sweepTo}, in degrees from where the sweep begins, are there.
 *
 * @param centre null for that of the path
 * @param startAngle where the sweep begins, degrees clockwise from the right; unused with a letter
 * @param letter index of the letter before which the sweep begins; null for none
 * @param counter whether it goes counterclockwise
 * @param soft width of the edge in degrees
 * @param fade whether letters in the edge are faint
 */
public record ClockSweep(
    Point centre,
    double startAngle,
    Integer letter,
    boolean counter,
    double soft,
    boolean fade,
    UnknownFields extras) {}
