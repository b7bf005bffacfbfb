package rovingglyph.scene;

import java.util.List;

/**
 * A strip behind the letters of a plane, which goes along their path and stands as they do. How
 * high it is, where, and its colour are its values {@link #CHANNELS}.
 */
public record Band(UnknownFields extras) {
  /** The values of one. */
  public static final List<Channel> CHANNELS =
      List.of(Channel.BAND_HEIGHT, Channel.BAND_LIFT, Channel.BAND_GAP, Channel.BAND_COLOUR);

  public static final Band PLAIN = new Band(UnknownFields.NONE);

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    if (c == Channel.BAND_HEIGHT) {
      return 60;
    }
    return c == Channel.BAND_LIFT ? 20 : c == Channel.BAND_GAP ? 2 : 0xC9C2B0;
  }
}
