package rovingglyph.scene;

/** A ready way to turn the plane of an item, to go on from. */
public enum PlaneView {
  /** Words stand up on a ring that lies almost flat, read from outside. */
  CAROUSEL(Plane.Stance.STANDING, Boolean.TRUE, 76, 0, 3),

  /** Words lie on a ring that floats level. */
  HALO(Plane.Stance.FLAT, null, 68, 0, 3),

  /** Words stand on a ring that is stood up, read from outside. */
  HOOP(Plane.Stance.STANDING, Boolean.TRUE, 12, 62, 3),

  /** Words lie on a ground that goes away from the viewer. */
  RAMP(Plane.Stance.FLAT, null, 52, 0, 1.6),

  /** Words stand on the inside of a tube that the viewer looks into. */
  TUNNEL(Plane.Stance.STANDING, Boolean.FALSE, 0, 0, 1.6),

  /** Words hang on a wall that goes away to the right. */
  FLAG(Plane.Stance.FLAT, null, 0, 42, 2);

  private final Plane.Stance stance;
  private final Boolean outward;
  private final double tilt;
  private final double swing;
  private final double far;

  PlaneView(Plane.Stance stance, Boolean outward, double tilt, double swing, double far) {
    this.stance = stance;
    this.outward = outward;
    this.tilt = tilt;
    this.swing = swing;
    this.far = far;
  }

  /** How letters stand. */
  public Plane.Stance stance() {
    return stance;
  }

  /** Whether words on a ring are read from outside; null where that stays as it is. */
  public Boolean outward() {
    return outward;
  }

  /** Degrees. */
  public double tilt() {
    return tilt;
  }

  /** Degrees. */
  public double swing() {
    return swing;
  }

  /** The viewing distance in widths of what is turned. */
  public double far() {
    return far;
  }
}
