package rovingglyph.seat;

import rovingglyph.geometry.Affine;

/** From a placement to where the outlines of its letter are drawn. */
public final class Letters {
  private Letters() {}

  /** The map of em units, with the middle of the advance on the baseline as origin, to px. */
  public static Affine map(Placement p) {
    double cos = Math.cos(p.angle());
    double sin = Math.sin(p.angle());
    return new Affine(
        cos * p.width(),
        sin * p.width(),
        -sin * p.height(),
        cos * p.height(),
        p.at().x(),
        p.at().y());
  }
}
