package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Point;

/**
 * An item that shows bitmaps: still ones or, one after another, the frames of footage. Its own
 * origin is the middle of all of it, cropped or not.
 */
public sealed interface Bitmapped extends Transformed permits Picture, Footage {
  /** The longest side of what is kept, px. */
  int LONGEST_SIDE = 16_384;

  /** The values that it has, in the order of a sheet; width and height are those of all of it. */
  List<Channel> VALUES = allValues();

  private static List<Channel> allValues() {
    List<Channel> out = new ArrayList<>(Transformed.CHANNELS);
    out.addAll(
        List.of(
            Channel.WIDTH,
            Channel.HEIGHT,
            Channel.CROP_LEFT,
            Channel.CROP_TOP,
            Channel.CROP_RIGHT,
            Channel.CROP_BOTTOM));
    return List.copyOf(out);
  }

  /** The value of a channel that a document leaves out: nothing is cropped. */
  static double start(Channel c) {
    return c == Channel.WIDTH || c == Channel.HEIGHT ? 400 : Transformed.start(c, Point.ORIGIN);
  }

  /** Id of what is kept. */
  String image();

  /** Of what is kept, upright: its natural size. */
  int pixelWidth();

  /** Of what is kept, upright. */
  int pixelHeight();

  /**
   * Which moment of what is kept is shown at a time.
   *
   * @return seconds of footage; {@link #STILL} of what does not move, NaN where nothing is shown
   */
  double moment(double time);

  /** The moment of what does not move. */
  double STILL = -1;

  @Override
  Bitmapped with(Channel c, AnimatedValue m);
}
