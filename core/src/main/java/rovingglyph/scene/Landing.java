package rovingglyph.scene;

import java.util.List;

/**
 * A goal for a keyframe's path offset, solved whenever the scene is prepared.
 *
 * @param laps of {@code WHOLE_LAPS}: so many times the length of the path
 * @param distance of {@code INSIDE_BEFORE} and {@code INSIDE_AFTER}: px of the frame that are kept
 *     to its edges
 */
public record Landing(Kind kind, double laps, double distance) {
  /** The most px that are kept to an edge. */
  public static final double MOST_DISTANCE = 10_000;

  /** The goals. */
  public enum Kind {
    OUT_BEFORE("just out of frame before"),
    OUT_AFTER("just out of frame after"),
    INSIDE_BEFORE("just inside the frame before"),
    INSIDE_AFTER("just inside the frame after"),
    AT_REST("at rest"),
    CENTRED("centred in frame"),
    FACING_FRONT("facing the front"),
    AT_THE_BACK("hidden at the back"),
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

  /** A goal without a number. */
  public static Landing of(Kind kind) {
    return new Landing(kind, 1, 0);
  }

  /** Whether it is measured from the edges of the frame. */
  public boolean isAtEdge() {
    return List.of(Kind.OUT_BEFORE, Kind.OUT_AFTER).contains(kind) || isInside();
  }

  /** Whether it is a place of a path that reaches into the picture. */
  public boolean isInDepth() {
    return kind == Kind.FACING_FRONT || kind == Kind.AT_THE_BACK;
  }

  /** Whether all is kept in the frame. */
  public boolean isInside() {
    return kind == Kind.INSIDE_BEFORE || kind == Kind.INSIDE_AFTER;
  }

  /** Whether it lies before the resting place: -1, else 1. */
  public int direction() {
    return kind == Kind.OUT_BEFORE || kind == Kind.INSIDE_BEFORE ? -1 : 1;
  }

  /** The same for a picture that is so many times as large. */
  public Landing scaled(double k) {
    return new Landing(kind, laps, Math.min(distance * k, MOST_DISTANCE));
  }
}
