package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.LayerEffects;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.BlendMode;
import rovingglyph.schema.Spelling;

/** The effects of a layer in the primitives of SVG filters, at one moment. */
final class StillFilter {
  private static final LayerEffects.Kind[] KINDS = LayerEffects.Kind.values();
  private static final BlendMode[] BLENDS = BlendMode.values();

  private final StringBuilder out = new StringBuilder();
  private String last = "SourceGraphic";
  private int results;

  private StillFilter() {}

  /** The primitives, whose result is the last of them. */
  static String of(List<double[]> effects) {
    StillFilter f = new StillFilter();
    for (double[] n : effects) {
      f.last =
          switch (KINDS[(int) n[0]]) {
            case BLUR -> f.blurred(f.last, n[1]);
            case SHADOW -> f.shadow(n);
            case INNER_GLOW -> f.innerGlow(n);
          };
    }
    return f.out.toString();
  }

  private String shadow(double[] n) {
    String shape = last;
    if (n[3] > 0) {
      shape = add("feMorphology", in(shape) + " operator=\"dilate\" radius=\"" + text(n[3]) + "\"");
    }
    shape = stronger(blurred(shape, n[4]), n[5]);
    shape = add("feOffset", in(shape) + " dx=\"" + text(n[1]) + "\" dy=\"" + text(n[2]) + "\"");
    String shade = coloured(shape, (int) n[6], n[7]);
    return n[8] != 0 ? shade : composite(last, shade, "over");
  }

  private String innerGlow(double[] n) {
    String inverted =
        add("feComponentTransfer", in(last), "<feFuncA type=\"table\" tableValues=\"1 0\"/>");
    String light = coloured(stronger(blurred(inverted, n[1]), n[2]), (int) n[3], n[4]);
    String inside = composite(light, last, "in");
    BlendMode blend = BLENDS[(int) n[5]];
    return blend == BlendMode.PLUS_LIGHTER
        ? add(
            "feComposite",
            in(inside) + " in2=\"" + last + "\" operator=\"arithmetic\" k2=\"1\" k3=\"1\"")
        : add("feBlend", in(inside) + " in2=\"" + last + "\" mode=\"" + Spelling.of(blend) + "\"");
  }

  private String blurred(String of, double deviation) {
    return deviation <= 0
        ? of
        : add("feGaussianBlur", in(of) + " stdDeviation=\"" + text(deviation) + "\"");
  }

  private String stronger(String of, double strength) {
    String slope = "<feFuncA type=\"linear\" slope=\"" + text(strength) + "\"/>";
    return strength == 1 ? of : add("feComponentTransfer", in(of), slope);
  }

  private String coloured(String shape, int rgb, double opacity) {
    String colour = Integer.toHexString(0x1000000 | rgb).substring(1);
    String flood =
        add("feFlood", " flood-color=\"#" + colour + "\" flood-opacity=\"" + text(opacity) + "\"");
    return composite(flood, shape, "in");
  }

  private String composite(String a, String b, String operator) {
    return add("feComposite", in(a) + " in2=\"" + b + "\" operator=\"" + operator + "\"");
  }

  private static String in(String name) {
    return " in=\"" + name + "\"";
  }

  private String add(String element, String attributes) {
    return add(element, attributes, "");
  }

  private String add(String element, String attributes, String contents) {
    String result = "r" + results++;
    out.append("<" + element + attributes + " result=\"" + result + "\"");
    out.append(contents.isEmpty() ? "/>" : ">" + contents + "</" + element + ">");
    return result;
  }

  private static String text(double n) {
    return Decimal.text(n, 4);
  }
}
