package rovingglyph.svgimport;

/** The size of an SVG picture. */
public final class SvgSize {
  private SvgSize() {}

  /**
   * Width and height in px; of a file that tells none, SVG's own 300 x 150.
   *
   * @throws rovingglyph.server.RefusedException if it is no SVG
   */
  public static double[] of(byte[] file) {
    SvgElement root = SvgDocument.read(file).root;
    double[] box = SvgValues.numbers(root.get("viewBox"));
    boolean boxed = box.length == 4 && box[2] > 0 && box[3] > 0;
    double w = SvgValues.length(root.get("width"), 0, 0);
    double h = SvgValues.length(root.get("height"), 0, 0);
    return w > 0 && h > 0
        ? new double[] {w, h}
        : boxed ? new double[] {box[2], box[3]} : new double[] {300, 150};
  }
}
