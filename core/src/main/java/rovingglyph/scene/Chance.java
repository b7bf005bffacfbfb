package rovingglyph.scene;

/** Numbers that look random and are always the same for the same seed, in every build. */
public final class Chance {
  private Chance() {}

  /** A number from -1 to 1 for a seed and an index, by the integer hash of Wellons (lowbias32). */
  public static double value(int seed, int index) {
    int x = seed * 0x9E3779B9 + index;
    x ^= x >>> 16;
    x *= 0x7FEB352D;
    x ^= x >>> 15;
    x *= 0x846CA68B;
    x ^= x >>> 16;
    return x / 2147483648.0;
  }
}
