package rovingglyph.svgimport;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;

/**
 * Takes an SVG file as filled shapes where it is nothing else: plain colours, no lines, no
 * gradients, nothing faded, clipped or filtered, and all within its own frame. Whatever else it has
 * makes it a picture.
 */
public final class SvgDrawing {
  /**
   * One shape.
   *
   * @param d path data in px from the middle of the file's frame, filled by the non-zero rule
   * @param fill #rrggbb
   */
  public record Part(String d, String fill) {}

  /**
   * The shapes, back to front; none where the file has more than these.
   *
   * @param width of the file's frame, px
   * @param height of the file's frame, px
   */
  public record Result(double width, double height, List<Part> parts) {}

  private static final int MOST_PARTS = 500;
  private static final int MOST_SEGMENTS = 30_000;
  private static final int LONGEST = 200_000;
  private static final int PLACES = 4;

  /** What a shape may reach beyond the frame, px: drawings are rounded by those who save them. */
  private static final double BEYOND = 0.5;

  private static final Set<String> SAYS_NOTHING = Set.of("title", "desc", "metadata", "defs");
  private static final Set<String> NONE = Set.of("", "none");

  /** Properties that have to be as if they were not there, with the words for that. */
  private static final Map<String, Set<String>> PLAIN =
      Map.ofEntries(
          Map.entry("opacity", Set.of("", "1")),
          Map.entry("fill-opacity", Set.of("", "1")),
          Map.entry("fill-rule", Set.of("", "nonzero")),
          Map.entry("stroke", NONE),
          Map.entry("clip-path", NONE),
          Map.entry("mask", NONE),
          Map.entry("filter", NONE),
          Map.entry("class", Set.of("")),
          Map.entry("visibility", Set.of("", "visible")),
          Map.entry("mix-blend-mode", Set.of("", "normal")));

  /** Of these in a style attribute nothing is seen where there is no line and no text. */
  private static final Pattern UNSEEN =
      Pattern.compile(
          "(stroke|font|text|letter|word|line|paint|color|shape|image|marker|-)[-a-z]*|isolation"
              + "|overflow|enable-background");

  private static final Pattern HEX = Pattern.compile("#([0-9a-f]{3}|[0-9a-f]{6})");
  private static final Pattern RGB =
      Pattern.compile("rgb\\(\\s*(\\d{1,3})\\s*,\\s*(\\d{1,3})\\s*,\\s*(\\d{1,3})\\s*\\)");

  /** The sixteen names that HTML 4 has. */
  private static final Map<String, String> NAMED =
      Map.ofEntries(
          Map.entry("black", "#000000"),
          Map.entry("silver", "#c0c0c0"),
          Map.entry("gray", "#808080"),
          Map.entry("white", "#ffffff"),
          Map.entry("maroon", "#800000"),
          Map.entry("red", "#ff0000"),
          Map.entry("purple", "#800080"),
          Map.entry("fuchsia", "#ff00ff"),
          Map.entry("green", "#008000"),
          Map.entry("lime", "#00ff00"),
          Map.entry("olive", "#808000"),
          Map.entry("yellow", "#ffff00"),
          Map.entry("navy", "#000080"),
          Map.entry("blue", "#0000ff"),
          Map.entry("teal", "#008080"),
          Map.entry("aqua", "#00ffff"));

  /** There is something in the file that is no plain shape. */
  private static final class NotPlain extends Exception {}

  private final SvgPaths.View view;
  private final Rect frame;
  private final List<Part> parts = new ArrayList<>();
  private int segments;

  private SvgDrawing(SvgPaths.View view) {
    this.view = view;
    this.frame =
        new Rect(-view.width() / 2, -view.height() / 2, view.width() / 2, view.height() / 2);
  }

  /**
   * Reads a file.
   *
   * @throws rovingglyph.server.RefusedException if it is no SVG, too large or broken
   */
  public static Result read(byte[] file) {
    SvgElement root = SvgDocument.read(file).root;
    SvgPaths.View view = SvgPaths.view(root);
    SvgDrawing drawing = new SvgDrawing(view);
    Affine middle = Affine.translate(-view.width() / 2, -view.height() / 2);
    Affine place = middle.times(SvgPaths.viewport(root, view.width(), view.height()));
    SvgPaths.View inner = SvgPaths.inner(root, view);
    try {
      String fill = drawing.fill(drawing.properties(root), "#000000");
      for (SvgElement child : root.children) {
        drawing.element(child, place, inner, fill);
      }
      return new Result(view.width(), view.height(), drawing.parts);
    } catch (NotPlain e) {
      return new Result(view.width(), view.height(), List.of());
    }
  }

  private void element(SvgElement e, Affine outer, SvgPaths.View inner, String inherited)
      throws NotPlain {
    if (SAYS_NOTHING.contains(e.name)) {
      return;
    }
    Map<String, String> properties = properties(e);
    if (properties.getOrDefault("display", "").equals("none")) {
      return;
    }
    String fill = fill(properties, inherited);
    Affine map = outer.times(SvgValues.transform(e.get("transform")));
    if (e.name.equals("g")) {
      for (SvgElement child : e.children) {
        element(child, map, inner, fill);
      }
      return;
    }
    List<SubPath> shape = shape(e, inner);
    boolean titled = e.children.stream().allMatch(c -> SAYS_NOTHING.contains(c.name));
    if (shape == null || !titled) {
      throw new NotPlain();
    }
    if (!fill.equals("none")) {
      add(shape, map, fill);
    }
  }

  private static List<SubPath> shape(SvgElement e, SvgPaths.View inner) throws NotPlain {
    if (!e.name.equals("path")) {
      return new BasicShapes(e, inner.width(), inner.height()).subPaths();
    }
    SvgPath.Parsed parsed = SvgPath.parse(e.get("d"));
    if (parsed.error() != null) {
      throw new NotPlain();
    }
    return parsed.subPaths();
  }

  private void add(List<SubPath> shape, Affine map, String fill) throws NotPlain {
    List<Contour> contours = new ArrayList<>();
    Rect box = Rect.EMPTY;
    for (SubPath s : shape) {
      Contour c = new Contour(s.segments().stream().map(g -> g.mapped(map)).toList(), true);
      segments += s.segments().size();
      box = box.union(c.bounds());
      contours.add(c);
    }
    if (box.isEmpty()) {
      return;
    }
    String d = SvgPath.write(contours, PLACES);
    Rect allowed =
        new Rect(
            frame.left() - BEYOND,
            frame.top() - BEYOND,
            frame.right() + BEYOND,
            frame.bottom() + BEYOND);
    boolean tooMuch =
        parts.size() >= MOST_PARTS || segments > MOST_SEGMENTS || d.length() > LONGEST;
    if (tooMuch || !allowed.contains(box)) {
      throw new NotPlain();
    }
    parts.add(new Part(d, fill));
  }

  /** Attributes, and over them what the style attribute says. */
  private Map<String, String> properties(SvgElement e) throws NotPlain {
    Map<String, String> out = new HashMap<>(e.attributes);
    for (String declaration : e.get("style").split(";")) {
      int colon = declaration.indexOf(':');
      if (colon < 0) {
        continue;
      }
      String name = declaration.substring(0, colon).strip().toLowerCase(Locale.ROOT);
      boolean known = PLAIN.containsKey(name) || name.equals("fill") || name.equals("display");
      if (!known && !UNSEEN.matcher(name).matches()) {
        throw new NotPlain();
      }
      out.put(name, declaration.substring(colon + 1).strip());
    }
    for (Map.Entry<String, Set<String>> p : PLAIN.entrySet()) {
      if (!p.getValue().contains(out.getOrDefault(p.getKey(), "").strip())) {
        throw new NotPlain();
      }
    }
    return out;
  }

  /** The colour of a shape: "none" or #rrggbb. */
  private String fill(Map<String, String> properties, String inherited) throws NotPlain {
    String fill = properties.getOrDefault("fill", "").strip().toLowerCase(Locale.ROOT);
    if (fill.isEmpty() || fill.equals("inherit")) {
      return inherited;
    }
    if (fill.equals("none")) {
      return fill;
    }
    Matcher rgb = RGB.matcher(fill);
    if (rgb.matches()) {
      StringBuilder out = new StringBuilder("#");
      for (int i = 1; i <= 3; i++) {
        out.append("%02x".formatted(Math.min(255, Integer.parseInt(rgb.group(i)))));
      }
      return out.toString();
    }
    if (HEX.matcher(fill).matches()) {
      return fill.length() == 7 ? fill : fill.replaceAll("([0-9a-f])", "$1$1");
    }
    String named = NAMED.get(fill);
    if (named == null) {
      throw new NotPlain();
    }
    return named;
  }
}
