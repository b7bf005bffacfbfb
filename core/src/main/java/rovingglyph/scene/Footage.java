package rovingglyph.scene;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A run of kept frames with their own times and, perhaps, sound.
 *
 * <p>At a time {@code t} it shows the last frame whose own time is not after {@code in + (t - from)
 * * speed}, where {@code from} is when the item is there from, or 0; a tenth of a frame is allowed
 * for, so that no rounding shows the frame before.
 *
 * @param image id of the kept footage
 * @param pixelWidth of its frames, upright
 * @param pixelHeight of its frames, upright
 * @param rate its frames in one second, on average
 * @param length how long all of it is, seconds
 * @param in the moment of it that is shown first, seconds
 * @param out the moment before which it ends, seconds; later than {@code in}
 * @param speed how many seconds of it go by in one second
 * @param sound of what is shown
 * @param pins what is followed in it
 * @param centre in its own pixels: the point that x and y put somewhere
 * @param values one for each of {@link Bitmapped#VALUES}
 */
public record Footage(
    ItemProperties properties,
    String image,
    int pixelWidth,
    int pixelHeight,
    double rate,
    double length,
    double in,
    double out,
    double speed,
    AtEnd atEnd,
    Sound sound,
    List<FootagePin> pins,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Bitmapped {

  /** The longest footage, seconds. */
  public static final double LONGEST = 3600;

  /** The most frames in one second. */
  public static final double FASTEST_RATE = 240;

  /** The fewest frames in one second. */
  public static final double SLOWEST_RATE = 0.05;

  /** The part of a frame by which a time may miss the frame that it is meant for. */
  private static final double SHARE = 0.1;

  /** What comes after {@link Footage#out}. */
  public enum AtEnd {
    /** It begins again at {@link Footage#in}. */
    LOOP,

    /** Its last frame stays. */
    HOLD,

    /** Nothing is shown any more. */
    END
  }

  /**
   * The sound of footage.
   *
   * @param on whether it is heard
   * @param level dB; 0 leaves it as it is
   * @param fadeIn seconds from where the footage begins in which it comes up
   * @param fadeOut seconds before the footage is gone in which it dies away
   */
  public record Sound(boolean on, double level, double fadeIn, double fadeOut) {
    /** As it was recorded. */
    public static final Sound PLAIN = new Sound(true, 0, 0, 0);

    /** The lowest level, dB. */
    public static final double SOFTEST = -60;

    /** The highest level, dB. */
    public static final double LOUDEST = 12;

    /** The longest fade, seconds. */
    public static final double LONGEST_FADE = 60;
  }

  /** When the item begins, seconds: at 0 where nothing is said. */
  public double begins() {
    return Math.max(properties.shownFrom(), 0);
  }

  /** How long one run of it is, in seconds of the scene. */
  public double run() {
    return (out - in) / speed;
  }

  @Override
  public double moment(double time) {
    double near = SHARE / rate;
    double span = out - in;
    double gone = Math.max((time - begins()) * speed, 0);
    if (gone + near < span) {
      return in + gone + near;
    }
    return switch (atEnd) {
      case LOOP -> in + Math.max(gone - Math.floor((gone + near) / span) * span, 0) + near;
      // Of the frames before the end the last.
      case HOLD -> Math.max(out - near, in + near);
      case END -> Double.NaN;
    };
  }

  /**
   * When a frame of it is seen first, in seconds of the scene; of one that is cut off, when the one
   * nearest to it is.
   *
   * @param moment when the frame begins in the footage, seconds
   */
  public double firstSeen(double moment) {
    double within = moment < out ? Math.max(moment, in) : end();
    return begins() + (within - in) / speed;
  }

  /** A moment within the last frame that is shown. */
  private double end() {
    return out - 0.5 / rate;
  }

  /**
   * The moment up to which a pin is followed from another: a frame that was set by hand, or where
   * what is shown ends.
   *
   * @param on whether onward or back
   */
  public double followedUntil(FootagePin pin, double moment, boolean on) {
    double end = on ? end() : in;
    return pin.nextSet(moment, on)
        .map(set -> on ? Math.min(end, set) : Math.max(end, set))
        .orElse(end);
  }

  /**
   * The number of the last frame whose time is not after a moment; the first one before all.
   *
   * @param times of the frames, ascending, seconds
   */
  public static int frame(double[] times, double moment) {
    int at = Arrays.binarySearch(times, moment);
    return Math.max(0, at >= 0 ? at : -at - 2);
  }

  /** What is followed in it with an id; null if nothing is. */
  public FootagePin pin(String id) {
    return pins.stream().filter(p -> p.id().equals(id)).findFirst().orElse(null);
  }

  /** The same with other things followed in it. */
  public Footage with(List<FootagePin> others) {
    return copy(properties, List.copyOf(others), centre, values);
  }

  /**
   * The footage with other kept one in its place: all of it, at the speed as before. Nothing is
   * followed in that yet.
   */
  public Footage showing(String id, int width, int height, double newRate, double newLength) {
    return new Footage(
        properties,
        id,
        width,
        height,
        newRate,
        newLength,
        0,
        newLength,
        speed,
        atEnd,
        sound,
        List.of(),
        centre,
        values,
        extras);
  }

  @Override
  public Footage with(Channel c, AnimatedValue m) {
    return with(properties, Values.with(values, c, m));
  }

  @Override
  public Footage with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return copy(p, pins, centre, newValues);
  }

  @Override
  public Footage about(Point newCentre) {
    return copy(properties, pins, newCentre, values);
  }

  private Footage copy(
      ItemProperties p,
      List<FootagePin> newPins,
      Point newCentre,
      Map<Channel, AnimatedValue> newValues) {
    return new Footage(
        p,
        image,
        pixelWidth,
        pixelHeight,
        rate,
        length,
        in,
        out,
        speed,
        atEnd,
        sound,
        newPins,
        newCentre,
        newValues,
        extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.footage(this);
  }
}
