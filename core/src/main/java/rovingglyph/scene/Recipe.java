package rovingglyph.scene;

import java.util.List;

/**
 * What wrote some of a lettering's motion: the motion itself is ordinary and can be edited on.
 *
 * @param params the numbers and choices it was written from, as in its edit
 */
public record Recipe(Kind kind, UnknownFields params) {
  /** The recipes, with the values that each one writes. */
  public enum Kind {
    ENTER_HOLD_LEAVE(true, Channel.PATH_OFFSET),
    ENDLESS_LAP(true, Channel.PATH_OFFSET),
    STEADY_CRUISE(true, Channel.PATH_OFFSET),
    SWAY(true, Channel.PATH_OFFSET),
    CAROUSEL(true, Channel.PATH_OFFSET),
    STAND_UP(true, Channel.PATH_OFFSET, Channel.TILT, Channel.LEAN),
    LETTER_REVEAL(false, Channel.REVEAL_FROM, Channel.REVEAL_TO),
    CLOCK_SWEEP(false, Channel.SWEEP_FROM, Channel.SWEEP_TO);

    private final boolean travels;
    private final List<Channel> writes;

    Kind(boolean travels, Channel... writes) {
      this.travels = travels;
      this.writes = List.of(writes);
    }

    /** Of those that travel a lettering has one, and one of those that show it. */
    public boolean travels() {
      return travels;
    }

    /** The values that it writes. */
    public List<Channel> writes() {
      return writes;
    }
  }
}
