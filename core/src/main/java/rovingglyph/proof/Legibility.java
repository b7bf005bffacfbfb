package rovingglyph.proof;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Rect;
import rovingglyph.seat.Placement;
import rovingglyph.setting.Letter;

/**
 * Whether letters can be read: they are in the frame, at least half opaque, and go no faster than
 * the eye reads along with them.
 *
 * @param frame px
 */
public record Legibility(Rect frame) {
  /** The share of the letters that tells the words. */
  public static final double NEARLY_ALL = 0.9;

  private static final double OPAQUE = 0.5;

  /** How fast letters may go, em per second. */
  private static final double FASTEST = 12;

  /** The letters of a lettering's first row. */
  public static List<Letter> letters(PreparedLettering l) {
    return l.text().row(0, 1, false).letters();
  }

  /** Whether it is a letter or a figure, which words are read by. */
  public static boolean counts(Letter letter) {
    return letter.cluster().text().codePoints().anyMatch(Character::isLetterOrDigit);
  }

  boolean isThere(Placement p) {
    return p.visible() && p.alpha() >= OPAQUE && frame.contains(p.at());
  }

  /**
   * Whether a letter can be read between two moments.
   *
   * @param step between them, s
   */
  public boolean readable(Placement before, Placement now, double step) {
    double far = FASTEST * Math.abs(now.height()) * step;
    return isThere(before) && isThere(now) && before.at().distance(now.at()) <= far;
  }
}
