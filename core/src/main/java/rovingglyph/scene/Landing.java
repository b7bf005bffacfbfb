package rovingglyph.scene;

/** A goal for a keyframe's path offset, solved whenever the scene is prepared. */
public record Landing(Kind kind, double laps) {
  /** The goals; {@code WHOLE_LAPS} is {@code laps} times the length of the path. */
  public enum Kind {
    OUT_BEFORE("just out of frame before"),
    OUT_AFTER("just out of frame after"),
    AT_REST("at rest"),
    CENTRED("centred in frame"),
    WHOLE_LAPS("whole laps");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    /** What it is called in the interface. */
    public String word() {
      return word;
    }
  }
}
