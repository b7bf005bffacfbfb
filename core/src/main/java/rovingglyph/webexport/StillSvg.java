package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameReader;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.LineStyle;
import rovingglyph.frame.OutlineSteps;
import rovingglyph.frame.PathStep;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.StepSink;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.BlendMode;
import rovingglyph.schema.Spelling;

/**
 * One frame as an SVG that stands still: the display list in the words of SVG 1.1 and the
 * compositing and masking modules, without styles, fonts and scripts, so that programs for print
 * read it too. Outlines stand in it with a hundredth of a px.
 */
public final class StillSvg implements FrameSink {
  private static final String[] CAPS = {"butt", "round", "square"};
  private static final String[] JOINS = {"round", "miter", "bevel"};
  private static final int PLACES = 2;

  /** Of maps, whose numbers are multiplied by lengths. */
  private static final int MAP_PLACES = 6;

  /** A bitmap in perspective is so many flat pieces along each side. */
  private static final int PIECES = 24;

  /**
   * A bitmap to be shown.
   *
   * @param address a {@code data:} address, or {@code #} and the id of an element that shows it
   * @param width of that element, px; 1 for an address
   * @param height of that element, px; 1 for an address
   */
  public record Bitmap(String address, double width, double height) {
    /** One that is at an address. */
    public static Bitmap at(String address) {
      return new Bitmap(address, 1, 1);
    }

    boolean isElement() {
      return address.startsWith("#");
    }
  }

  /** Where the bitmaps of a frame come from. */
  public interface Bitmaps {
    /**
     * A bitmap; null for one that is to be left out.
     *
     * @param index of the scene's images
     * @param moment of footage; less than 0 for a picture
     * @param across so many pixels are enough
     * @param down so many pixels are enough
     */
    Bitmap bitmap(int index, double moment, double across, double down);
  }

  /** What is written at present: a layer or what measures it. */
  private static final class Level {
    final StringBuilder out = new StringBuilder();
    final Layer layer;
    final boolean inverted;
    final boolean luminance;

    Level(Layer layer, boolean inverted, boolean luminance) {
      this.layer = layer;
      this.inverted = inverted;
      this.luminance = luminance;
    }

    boolean measures() {
      return layer == null;
    }
  }

  private final PreparedScene scene;
  private final Bitmaps bitmaps;
  private final List<double[]> outlines = new ArrayList<>();
  private final List<Level> levels = new ArrayList<>();
  private final StringBuilder definitions = new StringBuilder();
  private final StringBuilder area = new StringBuilder();
  private final String prefix;
  private int names;

  private StillSvg(PreparedScene scene, Bitmaps bitmaps, String prefix) {
    this.scene = scene;
    this.bitmaps = bitmaps;
    this.prefix = prefix;
    scene.outlines().forEach(o -> outlines.add(OutlineSteps.of(o)));
    levels.add(new Level(null, false, false));
  }

  /**
   * The whole document.
   *
   * @param time in seconds
   */
  public static String write(PreparedScene scene, double time, Bitmaps bitmaps) {
    int w = scene.scene().width();
    int h = scene.scene().height();
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\""
        + w
        + "\" height=\""
        + h
        + "\" viewBox=\"0 0 "
        + w
        + " "
        + h
        + "\">\n<title>"
        + AnimatedSvg.escaped(scene.scene().name())
        + "</title>\n"
        + elements(scene, time, bitmaps, AnimatedSvg.prefix(scene.scene()) + "s")
        + "</svg>\n";
  }

  /**
   * All of a frame, to be put into a document in the pixels of the scene.
   *
   * @param prefix begins all names
   */
  static String elements(PreparedScene scene, double time, Bitmaps bitmaps, String prefix) {
    StillSvg out = new StillSvg(scene, bitmaps, prefix);
    FrameReader.read(scene.at(time).numbers(), out);
    Integer ground = scene.scene().background();
    String rect =
        ground == null
            ? ""
            : "<rect width=\"100%\" height=\"100%\" fill=\"" + colour(ground) + "\"/>\n";
    return "<defs>\n" + out.definitions + "</defs>\n" + rect + out.levels.get(0).out;
  }

  private StringBuilder out() {
    return levels.get(levels.size() - 1).out;
  }

  private String name() {
    return prefix + names++;
  }

  private static String colour(int rgb) {
    return "#" + Integer.toHexString(0x1000000 | rgb).substring(1);
  }

  private static String number(double n) {
    return Decimal.text(n, PLACES);
  }

  private static String matrix(Affine m) {
    return "matrix("
        + Decimal.text(m.a(), MAP_PLACES)
        + " "
        + Decimal.text(m.b(), MAP_PLACES)
        + " "
        + Decimal.text(m.c(), MAP_PLACES)
        + " "
        + Decimal.text(m.d(), MAP_PLACES)
        + " "
        + Decimal.text(m.e(), MAP_PLACES)
        + " "
        + Decimal.text(m.f(), MAP_PLACES)
        + ")";
  }

  @Override
  public void outline(int index, double[] n, int at) {
    Affine map = new Affine(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]);
    StepSink mapped = (step, numbers, from) -> step(step, numbers, from, map);
    FrameReader.steps(outlines.get(index), mapped);
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    step(step, n, at, Affine.IDENTITY);
  }

  private void step(PathStep step, double[] n, int at, Affine map) {
    area.append("MLQCZ".charAt(step.ordinal()));
    for (int i = 0; i < step.numbers(); i += 2) {
      Point p = map.apply(new Point(n[at + i], n[at + i + 1]));
      String y = number(p.y());
      area.append(i > 0 ? " " : "").append(number(p.x()));
      area.append(y.startsWith("-") ? "" : " ").append(y);
    }
  }

  /** The path of the steps so far, which are forgotten. */
  private String path() {
    String d = area.toString();
    area.setLength(0);
    return "<path d=\"" + d + "\"";
  }

  @Override
  public void fill(FramePaint paint) {
    String path = path();
    if (paint.kind() == FramePaint.Kind.IMAGE) {
      image(path, paint);
    } else {
      out().append(path).append(painted("fill", paint, Affine.IDENTITY)).append("/>\n");
    }
  }

  @Override
  public void stroke(FramePaint paint, LineStyle line, Affine map) {
    out().append(path()).append(" fill=\"none\"").append(painted("stroke", paint, map));
    out().append(" stroke-width=\"" + Decimal.text(line.width(), MAP_PLACES) + "\"");
    out().append(" stroke-linecap=\"" + CAPS[line.cap()] + "\"");
    out().append(" stroke-linejoin=\"" + JOINS[line.join()] + "\"");
    if (line.dash().length > 0) {
      out().append(" stroke-dasharray=\"");
      for (double d : line.dash()) {
        out().append(Decimal.text(d, MAP_PLACES)).append(' ');
      }
      out().append('"');
    }
    if (!map.equals(Affine.IDENTITY)) {
      out().append(" transform=\"" + matrix(map) + "\"");
    }
    out().append("/>\n");
  }

  /**
   * The attributes of a paint that is no image.
   *
   * @param map under which it stands
   */
  private String painted(String what, FramePaint paint, Affine map) {
    String opacity =
        paint.alpha() >= 1
            ? ""
            : " " + what + "-opacity=\"" + Decimal.text(paint.alpha(), MAP_PLACES) + "\"";
    String value =
        paint.kind() == FramePaint.Kind.PLAIN
            ? colour(paint.rgb())
            : "url(#" + gradient(paint, map) + ")";
    return " " + what + "=\"" + value + "\"" + opacity;
  }

  private String gradient(FramePaint paint, Affine map) {
    boolean linear = paint.kind() == FramePaint.Kind.LINEAR;
    String name = name();
    Projection m = paint.map();
    Affine flat = m.isFlat() ? m.flat() : m.near(new Point(linear ? 0.5 : 0, 0));
    definitions.append(linear ? "<linearGradient" : "<radialGradient cx=\"0\" cy=\"0\" r=\"1\"");
    definitions.append(" id=\"" + name + "\" gradientUnits=\"userSpaceOnUse\"");
    definitions.append(linear ? " x1=\"0\" y1=\"0\" x2=\"1\" y2=\"0\"" : "");
    definitions.append(" gradientTransform=\"" + matrix(map.inverse().times(flat)) + "\">");
    for (int i = 0; i < paint.offsets().length; i++) {
      definitions.append("<stop offset=\"" + Decimal.text(paint.offsets()[i], 4) + "\"");
      definitions.append(" stop-color=\"" + colour(paint.colours()[i]) + "\"");
      definitions.append(" stop-opacity=\"" + Decimal.text(paint.opacities()[i], 4) + "\"/>");
    }
    definitions.append(linear ? "</linearGradient>\n" : "</radialGradient>\n");
    return name;
  }

  private void image(String path, FramePaint paint) {
    Projection m = paint.map();
    Affine middle = m.isFlat() ? m.flat() : m.near(new Point(0.5, 0.5));
    double across = Math.hypot(middle.a(), middle.b());
    double down = Math.hypot(middle.c(), middle.d());
    Bitmap bitmap = bitmaps.bitmap(paint.image(), paint.moment(), across, down);
    if (bitmap == null) {
      return;
    }
    String image = element(bitmap);
    Affine unit = new Affine(1 / bitmap.width(), 0, 0, 1 / bitmap.height(), 0, 0);
    String clip = clipPath(path);
    out().append("<g clip-path=\"url(#" + clip + ")\"");
    out().append(" opacity=\"" + Decimal.text(paint.alpha(), MAP_PLACES) + "\">\n");
    if (m.isFlat()) {
      String map = matrix(m.flat().times(unit));
      out().append("<use href=\"" + image + "\" transform=\"" + map + "\"/>\n");
    } else {
      pieces(image, m, unit);
    }
    out().append("</g>\n");
  }

  /** A reference to the element of a bitmap. */
  private String element(Bitmap bitmap) {
    if (bitmap.isElement()) {
      return bitmap.address();
    }
    String name = name();
    definitions.append("<image id=\"" + name + "\" width=\"1\" height=\"1\"");
    definitions.append(" preserveAspectRatio=\"none\" href=\"" + bitmap.address() + "\"/>\n");
    return "#" + name;
  }

  /** A bitmap in perspective, which SVG has no words for: flat pieces that overlap a little. */
  private void pieces(String image, Projection m, Affine unit) {
    double side = 1.0 / PIECES;
    double more = side / 20;
    for (int i = 0; i < PIECES * PIECES; i++) {
      double x = i % PIECES * side;
      double y = i / PIECES * side;
      Affine flat = m.near(new Point(x + side / 2, y + side / 2));
      String clip =
          clipPath(
              "<path d=\"M"
                  + Decimal.text(x, 4)
                  + " "
                  + Decimal.text(y, 4)
                  + "h"
                  + Decimal.text(side + more, 4)
                  + "v"
                  + Decimal.text(side + more, 4)
                  + "h-"
                  + Decimal.text(side + more, 4)
                  + "Z\"");
      out().append("<g transform=\"" + matrix(flat) + "\" clip-path=\"url(#" + clip + ")\">");
      out().append("<use href=\"" + image + "\" transform=\"" + matrix(unit) + "\"/></g>\n");
    }
  }

  private String clipPath(String path) {
    String name = name();
    definitions.append("<clipPath id=\"" + name + "\">" + path + "/></clipPath>\n");
    return name;
  }

  @Override
  public void clip() {
    out().append("<g clip-path=\"url(#" + clipPath(path()) + ")\">\n");
  }

  @Override
  public void unclip() {
    out().append("</g>\n");
  }

  @Override
  public void push(Layer layer) {
    levels.add(new Level(layer, false, false));
  }

  @Override
  public void matte(boolean inverted, boolean luminance) {
    levels.add(new Level(null, inverted, luminance));
  }

  @Override
  public void pop() {
    Level done = levels.remove(levels.size() - 1);
    String mask = "";
    if (done.measures()) {
      // A layer ends with what measures it.
      mask = " mask=\"url(#" + mask(done) + ")\"";
      done = levels.remove(levels.size() - 1);
    }
    Layer layer = done.layer;
    StringBuilder style = new StringBuilder("isolation:isolate");
    if (layer.blend() != BlendMode.NORMAL) {
      style.append(";mix-blend-mode:").append(Spelling.of(layer.blend()));
    }
    out().append("<g style=\"" + style + "\"");
    if (layer.alpha() < 1) {
      out().append(" opacity=\"" + Decimal.text(layer.alpha(), MAP_PLACES) + "\"");
    }
    if (!layer.effects().isEmpty()) {
      out().append(" filter=\"url(#" + filter(layer) + ")\"");
    }
    // What measures the layer does so before its effects.
    boolean measured = !mask.isEmpty();
    out().append(measured ? "><g" + mask + ">\n" : ">\n").append(done.out);
    out().append(measured ? "</g></g>\n" : "</g>\n");
  }

  /** The whole frame and what lies round it. */
  private String everywhere() {
    int w = scene.scene().width();
    int h = scene.scene().height();
    return " x=\"" + -w + "\" y=\"" + -h + "\" width=\"" + 3 * w + "\" height=\"" + 3 * h + "\"";
  }

  private String mask(Level measure) {
    String name = name();
    String type = measure.luminance ? "luminance" : "alpha";
    definitions.append("<mask id=\"" + name + "\" maskUnits=\"userSpaceOnUse\"" + everywhere());
    definitions.append(" style=\"mask-type:" + type + "\">");
    if (measure.inverted) {
      // How opaque or light it is, turned round, as the opacity of white.
      String row = measure.luminance ? "-0.2126 -0.7152 -0.0722 0 1" : "0 0 0 -1 1";
      String inverse = name();
      definitions.append("<g filter=\"url(#" + inverse + ")\">" + measure.out + "</g></mask>\n");
      definitions.append("<filter id=\"" + inverse + "\" filterUnits=\"userSpaceOnUse\"");
      definitions.append(everywhere() + " color-interpolation-filters=\"sRGB\">");
      if (measure.luminance) {
        // Of what is half there half its light counts: it is laid on black first.
        definitions.append("<feFlood flood-color=\"#000\"/><feComposite in=\"SourceGraphic\"/>");
      }
      definitions.append("<feColorMatrix values=\"0 0 0 0 1 0 0 0 0 1 0 0 0 0 1 " + row);
      definitions.append("\"/></filter>\n");
    } else {
      definitions.append(measure.out).append("</mask>\n");
    }
    return name;
  }

  private String filter(Layer layer) {
    String name = name();
    double more = layer.reach() + 2;
    boolean empty = layer.left() > layer.right();
    double left = empty ? 0 : Math.max(layer.left(), -scene.scene().width()) - more;
    double top = empty ? 0 : Math.max(layer.top(), -scene.scene().height()) - more;
    double right = empty ? 1 : Math.min(layer.right(), 2 * scene.scene().width()) + more;
    double bottom = empty ? 1 : Math.min(layer.bottom(), 2 * scene.scene().height()) + more;
    definitions.append("<filter id=\"" + name + "\" filterUnits=\"userSpaceOnUse\" x=\"");
    definitions.append(number(left) + "\" y=\"" + number(top) + "\" width=\"");
    definitions.append(number(Math.max(right - left, 1)) + "\" height=\"");
    definitions.append(number(Math.max(bottom - top, 1)) + "\"");
    definitions.append(" color-interpolation-filters=\"sRGB\">");
    definitions.append(StillFilter.of(layer.effects())).append("</filter>\n");
    return name;
  }
}
