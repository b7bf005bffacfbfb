package rovingglyph.frame;

/** What there is beside the letters of a ring, from the far one to the near one. */
public enum RingPart {
  /** What of the band is farther than the core. */
  FAR_BAND,

  CORE,

  /** What of the band is nearer than the core. */
  NEAR_BAND;

  /** Whether it belongs to a half: what letters go behind goes through the middle of a core. */
  boolean isIn(Half half) {
    return half == Half.ALL || (this == FAR_BAND) == (half == Half.FAR);
  }
}
