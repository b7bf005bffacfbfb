package rovingglyph.svgimport;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import rovingglyph.geometry.Affine;

/** Lengths, lists of numbers and transforms of SVG attributes. */
final class SvgValues {
  private static final String NUMBER = "[-+]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][-+]?\\d+)?";
  private static final Pattern LENGTH = Pattern.compile("\\s*(" + NUMBER + ")\\s*([a-zA-Z%]*)\\s*");
  private static final Pattern NUMBERS = Pattern.compile(NUMBER);
  private static final Pattern FUNCTION = Pattern.compile("([a-zA-Z]+)\\s*\\(([^)]*)\\)");

  private SvgValues() {}

  /**
   * A length in px (CSS: 96 px to the inch).
   *
   * @param whole what 100 % is
   * @param missing what stands where the text is no length
   */
  static double length(String text, double whole, double missing) {
    Matcher m = LENGTH.matcher(text);
    if (!m.matches()) {
      return missing;
    }
    double v = Double.parseDouble(m.group(1));
    return switch (m.group(2)) {
      case "", "px" -> v;
      case "in" -> v * 96;
      case "cm" -> v * 96 / 2.54;
      case "mm" -> v * 96 / 25.4;
      case "pt" -> v * 96 / 72;
      case "pc" -> v * 16;
      case "em", "rem" -> v * 16;
      case "ex" -> v * 8;
      case "%" -> v / 100 * whole;
      default -> missing;
    };
  }

  static double[] numbers(String text) {
    List<Double> out = new ArrayList<>();
    Matcher m = NUMBERS.matcher(text);
    while (m.find() && out.size() < 1_000_000) {
      out.add(Double.parseDouble(m.group()));
    }
    return out.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** A transform list; functions that are not known or lack numbers change nothing. */
  static Affine transform(String text) {
    Affine out = Affine.IDENTITY;
    Matcher m = FUNCTION.matcher(text);
    while (m.find()) {
      double[] n = numbers(m.group(2));
      out = out.times(n.length == 0 ? Affine.IDENTITY : function(m.group(1), n));
    }
    return out;
  }

  private static Affine function(String name, double[] n) {
    double second = n.length > 1 ? n[1] : 0;
    return switch (name) {
      case "matrix" ->
          n.length < 6 ? Affine.IDENTITY : new Affine(n[0], n[1], n[2], n[3], n[4], n[5]);
      case "translate" -> Affine.translate(n[0], second);
      case "scale" -> new Affine(n[0], 0, 0, n.length > 1 ? n[1] : n[0], 0, 0);
      case "rotate" -> {
        Affine turn = Affine.rotate(Math.toRadians(n[0]));
        yield n.length < 3
            ? turn
            : Affine.translate(n[1], n[2]).times(turn).times(Affine.translate(-n[1], -n[2]));
      }
      case "skewX" -> new Affine(1, 0, Math.tan(Math.toRadians(n[0])), 1, 0, 0);
      case "skewY" -> new Affine(1, Math.tan(Math.toRadians(n[0])), 0, 1, 0, 0);
      default -> Affine.IDENTITY;
    };
  }
}
