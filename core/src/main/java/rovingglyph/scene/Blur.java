package rovingglyph.scene;

/**
 * Motion blur of a scene.
 *
 * @param angle of the shutter in degrees: 360 is the whole time of a frame; 0 is none
 * @param samples that are mixed in linear light
 */
public record Blur(double angle, int samples, UnknownFields extras) {
  public static final Blur NONE = new Blur(0, 8, UnknownFields.NONE);
}
