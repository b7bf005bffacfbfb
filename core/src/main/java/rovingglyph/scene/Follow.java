package rovingglyph.scene;

/**
 * A value that follows the same value of another lettering: {@code factor} times what that was
 * {@code delay} seconds ago, plus {@code offset}.
 *
 * @param lettering id of the one that is followed
 * @param source its value; null until the scene is prepared
 */
public record Follow(
    String lettering,
    double factor,
    double delay,
    double offset,
    AnimatedValue source,
    UnknownFields extras) {
  /** The same with what is followed. */
  public Follow from(AnimatedValue found) {
    return new Follow(lettering, factor, delay, offset, found, extras);
  }
}
