package rovingglyph.scene;

import java.util.List;

/** A number that is still, or goes through keyframes sorted by time, one per frame. */
public record Movable(double still, List<Keyframe> keyframes, Extras extras) {
  public Movable(double still) {
    this(still, List.of(), Extras.NONE);
  }

  public static Movable through(List<Keyframe> keyframes) {
    return new Movable(keyframes.get(0).value(), List.copyOf(keyframes), Extras.NONE);
  }

  public boolean moves() {
    return !keyframes.isEmpty();
  }
}
