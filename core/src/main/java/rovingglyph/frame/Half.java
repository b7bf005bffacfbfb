package rovingglyph.frame;

/** What of the letters of a plane is painted. */
public enum Half {
  ALL,

  /** What is farther away than its centre. */
  FAR,

  /** What is as near as its centre, or nearer. */
  NEAR
}
