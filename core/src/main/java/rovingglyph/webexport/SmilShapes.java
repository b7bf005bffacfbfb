package rovingglyph.webexport;

import java.util.List;
import rovingglyph.geometry.Decimal;

/** A path whose data is another one in every frame (SMIL, calcMode discrete). */
final class SmilShapes {
  private SmilShapes() {}

  /** The same without further animations. */
  static String path(String open, List<String> shapes, double seconds) {
    return path(open, shapes, "", seconds);
  }

  /**
   * A path.
   *
   * @param open the element's beginning, without its data
   * @param shapes one per frame; empty for nothing
   * @param animations of its other attributes
   * @param seconds that all of them take
   */
  static String path(String open, List<String> shapes, String animations, double seconds) {
    String first = data(shapes.get(0));
    if (shapes.stream().allMatch(shapes.get(0)::equals)) {
      String end = animations.isEmpty() ? "/>\n" : ">" + animations + "</path>\n";
      return open + " d=\"" + first + "\"" + end;
    }
    StringBuilder out = new StringBuilder(open);
    out.append(" d=\"").append(first).append("\">").append(animations);
    out.append("<animate attributeName=\"d\"");
    out.append(" calcMode=\"discrete\" repeatCount=\"indefinite\" dur=\"");
    out.append(Decimal.text(seconds, 6)).append("s\" values=\"");
    for (int i = 0; i < shapes.size(); i++) {
      out.append(i > 0 ? ";" : "").append(data(shapes.get(i)));
    }
    return out.append("\"/></path>\n").toString();
  }

  /** Nothing has no data that could be animated: a move outside draws as little. */
  private static String data(String shape) {
    return shape.isEmpty() ? "M-9 -9" : shape;
  }
}
