package rovingglyph.scene;

/**
 * Constant motion without keyframes, from time 0 on.
 *
 * @param perSecond the change per second in the channel's unit: the amount, or what laps and
 *     letters were solved to when the scene was prepared
 */
public record Cruise(Pace pace, double amount, double perSecond, UnknownFields extras) {
  /** What the amount counts: per second, or whole laps of the path in one run of the scene. */
  public enum Pace {
    PER_SECOND("per second"),
    LAPS("laps per loop"),
    LETTERS("letters per second");

    private final String word;

    Pace(String word) {
      this.word = word;
    }

    /** What it is called in the interface. */
    public String word() {
      return word;
    }
  }

  /** Constant motion; laps and letters stand still until the scene is prepared. */
  public static Cruise of(Pace pace, double amount, UnknownFields extras) {
    return new Cruise(pace, amount, pace == Pace.PER_SECOND ? amount : 0, extras);
  }

  /**
   * With laps and letters as a change per second.
   *
   * @param lap length of the path in px
   * @param seconds length of the scene
   * @param letter mean advance of a letter in px
   */
  public Cruise solved(double lap, double seconds, double letter) {
    double speed =
        switch (pace) {
          case PER_SECOND -> amount;
          case LAPS -> amount * lap / seconds;
          case LETTERS -> amount * letter;
        };
    return new Cruise(pace, amount, speed, extras);
  }
}
