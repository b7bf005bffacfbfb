package rovingglyph.scene;

import java.util.List;

/** The points of a drawn path at a time in seconds, and the way to the next. */
public record ShapeKeyframe(double time, List<Knot> points, Easing easing, UnknownFields extras) {}
