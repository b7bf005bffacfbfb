package rovingglyph.scene;

import java.util.List;

/**
 * A round thing within the ring that letters of a plane stand on, about the middle of their path.
 * Its size, place and colour are its values {@link #CHANNELS}.
 */
public record Core(Shape shape, UnknownFields extras) {

  /** Its form. The axis of all is square to the plane. */
  public enum Shape {
    /** A cylinder, as high as {@link Channel#CORE_HEIGHT}. */
    DRUM,

    /** A sphere. */
    BALL,

    /** A circle without height, in parallel with the plane. */
    DISC
  }

  /** The values of one. */
  public static final List<Channel> CHANNELS =
      List.of(Channel.CORE_RADIUS, Channel.CORE_HEIGHT, Channel.CORE_LIFT, Channel.CORE_COLOUR);

  public static final Core PLAIN = new Core(Shape.DRUM, UnknownFields.NONE);

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    return c == Channel.CORE_LIFT ? 0 : c == Channel.CORE_COLOUR ? 0x8A8577 : 100;
  }
}
