package rovingglyph.frame;

/**
 * What an entry of a display list does. An entry is the op's number here, how many numbers follow,
 * and those; so a reader can step over one that it does not know.
 */
public enum Op {
  /** A paint, then the outlines of one area, filled by the non-zero rule. */
  FILL,

  /**
   * A paint, width, cap, join, count of dashes, those, and outlines that are drawn along, each
   * alone and in its own units: what is given by a map is drawn before it is mapped, the rest in
   * px.
   */
  STROKE,

  /**
   * Begins a layer, a picture of its own: alpha, blend mode, the box of what is in it (left, top,
   * right, bottom in px), how far its effects reach beyond that, their count, and for each its
   * number in {@link LayerEffects.Kind}, how many numbers follow, and those.
   */
  PUSH,

  /**
   * What follows in the layer is not seen itself: it is the measure of how much of what came before
   * it is kept. Two numbers: 0 keeps what it covers, 1 what it leaves; 0 takes how opaque it is, 1
   * how light, as SVG's masks do.
   */
  MATTE,

  /** Ends the layer that was begun last: it is put over what is below. */
  POP,

  /** Outlines of one area, to which what follows is clipped; no layer begins or ends in it. */
  CLIP,

  /** What follows is no longer clipped to the area of the last clip. */
  UNCLIP
}
