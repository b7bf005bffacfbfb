package rovingglyph.scene;

/**
 * A picture to trace over: shown under the lines on the stage, never painted and never exported.
 *
 * @param image id of the kept image
 * @param x of the upper left corner in px
 * @param y of the upper left corner in px
 * @param width in px
 * @param height in px
 * @param opacity in percent
 */
public record TracingImage(
    String id,
    String name,
    String image,
    double x,
    double y,
    double width,
    double height,
    double opacity,
    boolean hidden,
    UnknownFields extras) {}
