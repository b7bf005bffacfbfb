package rovingglyph.scene;

import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * Another scene of the project, placed as a whole. Its own origin is the middle of the frame of the
 * scene that it shows.
 *
 * @param scene id of the scene that it shows
 * @param begins seconds of the scene round it at which that is at its start
 * @param speed how many seconds of it go by in one second
 * @param background whether its background is seen
 * @param centre in its own pixels: the point that x and y put somewhere
 * @param values one for each of {@link Transformed#CHANNELS}
 */
public record Inset(
    ItemProperties properties,
    String scene,
    double begins,
    double speed,
    AtEnd atEnd,
    boolean background,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  /** Seconds before or after the start of the scene round it that it may begin. */
  public static final double MOST_BEGINS = 3600;

  /** The slowest speed. */
  public static final double SLOWEST = 0.05;

  /** The fastest speed. */
  public static final double FASTEST = 20;

  /** Of a run: less than this is no part of it. */
  private static final double SAME_RUN = 1e-9;

  /** What comes after the end of the scene that is shown. */
  public enum AtEnd {
    /** It begins again; before it begins, runs of it have gone by. */
    LOOP,

    /** Its last frame stays; before it begins, its first frame stands. */
    HOLD
  }

  /**
   * The time within the scene that is shown.
   *
   * @param time of the scene round it, seconds; any finite one is good
   * @return seconds from 0 on, before its end
   */
  public double within(double time, Scene shown) {
    double local = (time - begins) * speed;
    if (atEnd == AtEnd.HOLD) {
      return Math.min(Math.max(local, 0), lastFrame(shown));
    }
    // At the very end of a run the next one begins, whatever decimals make of that time.
    double runs = Math.floor(local / shown.length() + SAME_RUN);
    return Math.min(Math.max(local - runs * shown.length(), 0), Math.nextDown(shown.length()));
  }

  /** The time of the last frame of the scene that is shown, which is held. */
  public static double lastFrame(Scene shown) {
    return shown.rate().timeOf(shown.frameCount() - 1L);
  }

  /** The inset with another scene in it; all else stays. */
  public Inset showing(String newScene) {
    return new Inset(
        properties, newScene, begins, speed, atEnd, background, centre, values, extras);
  }

  @Override
  public Inset with(Channel c, AnimatedValue m) {
    return with(properties, Values.with(values, c, m));
  }

  @Override
  public Inset with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Inset(p, scene, begins, speed, atEnd, background, centre, newValues, extras);
  }

  @Override
  public Inset about(Point newCentre) {
    return new Inset(
        properties, scene, begins, speed, atEnd, background, newCentre, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.inset(this);
  }
}
