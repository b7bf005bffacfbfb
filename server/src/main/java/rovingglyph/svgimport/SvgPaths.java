package rovingglyph.svgimport;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.paths.PathPicture;

/** Finds every line that an SVG file draws, one subpath each, in px of the file's own viewport. */
public final class SvgPaths {
  /**
   * One subpath.
   *
   * @param d absolute path data with all transforms applied
   * @param picture the same as a small picture, see {@link PathPicture}
   */
  public record Found(String name, String d, boolean closed, double length, String picture) {}

  /**
   * All subpaths.
   *
   * @param notes what was not as it should be, in plain words
   */
  public record Result(double width, double height, List<Found> paths, List<String> notes) {}

  private static final Set<String> NOT_DRAWN =
      Set.of(
          "defs",
          "clipPath",
          "mask",
          "marker",
          "pattern",
          "symbol",
          "linearGradient",
          "radialGradient",
          "filter",
          "metadata",
          "style",
          "script",
          "text",
          "image",
          "foreignObject",
          "animate",
          "desc",
          "title");
  private static final int MOST_PATHS = 500;

  /** Segments of one path: a path of a scene has no more points either. */
  private static final int MOST_SEGMENTS = 5000;

  /** Segments of all paths together; they are what the time and the answer's length grow with. */
  private static final int MOST_SEGMENTS_TOGETHER = 30_000;

  private static final int MOST_VISITS = 100_000;
  private static final int DEEPEST_USE = 20;
  private static final double FARTHEST = 1e6;

  private final SvgDocument document;
  private final List<Found> found = new ArrayList<>();
  private final List<String> notes = new ArrayList<>();
  private int visits;
  private int segments;

  private SvgPaths(SvgDocument document) {
    this.document = document;
  }

  /** The size of the viewport round an element, what 100 % is. */
  record View(double width, double height) {}

  /**
   * Reads a file.
   *
   * @throws rovingglyph.server.RefusedException if it is no SVG, too large, broken, or draws no
   *     path
   */
  public static Result read(byte[] file) {
    SvgPaths p = new SvgPaths(SvgDocument.read(file));
    SvgElement root = p.document.root;
    View view = view(root);
    Affine place = viewport(root, view.width, view.height);
    p.children(root, place, inner(root, view), 0, "");
    if (p.found.isEmpty()) {
      throw SvgDocument.refused(
          p.notes.isEmpty() ? "The file draws no path" : String.join(" ", p.notes));
    }
    return new Result(view.width, view.height, p.found, p.notes);
  }

  /** The size of a file's own frame. */
  static View view(SvgElement root) {
    double[] box = SvgValues.numbers(root.get("viewBox"));
    double w = SvgValues.length(root.get("width"), 100, Double.NaN);
    double h = SvgValues.length(root.get("height"), 100, Double.NaN);
    boolean boxed = box.length == 4 && box[2] > 0 && box[3] > 0;
    // Without a size of its own, or with one in percent, the viewBox is taken as px.
    boolean sized = w > 0 && h > 0 && !(root.get("width") + root.get("height")).contains("%");
    return new View(sized ? w : boxed ? box[2] : 300, sized ? h : boxed ? box[3] : 150);
  }

  static View inner(SvgElement e, View outer) {
    double[] box = SvgValues.numbers(e.get("viewBox"));
    return box.length == 4 && box[2] > 0 && box[3] > 0 ? new View(box[2], box[3]) : outer;
  }

  /** The map of a viewBox onto its viewport (SVG 2, section 8.2). */
  static Affine viewport(SvgElement e, double width, double height) {
    double[] box = SvgValues.numbers(e.get("viewBox"));
    if (box.length != 4 || !(box[2] > 0) || !(box[3] > 0)) {
      return Affine.IDENTITY;
    }
    double sx = width / box[2];
    double sy = height / box[3];
    String rule = e.get("preserveAspectRatio");
    double tx = 0;
    double ty = 0;
    if (!rule.startsWith("none")) {
      double k = rule.contains("slice") ? Math.max(sx, sy) : Math.min(sx, sy);
      sx = k;
      sy = k;
      tx = (width - box[2] * k) * share(rule, "xMin", "xMax");
      ty = (height - box[3] * k) * share(rule, "YMin", "YMax");
    }
    return new Affine(sx, 0, 0, sy, tx - box[0] * sx, ty - box[1] * sy);
  }

  private static double share(String rule, String least, String most) {
    return rule.contains(least) ? 0 : rule.contains(most) ? 1 : 0.5;
  }

  private void children(SvgElement e, Affine map, View view, int uses, String name) {
    for (SvgElement child : e.children) {
      element(child, map, view, uses, name);
    }
  }

  private void element(SvgElement e, Affine outer, View view, int uses, String inherited) {
    if (++visits > MOST_VISITS) {
      throw SvgDocument.refused("The file draws too much by its <use> elements");
    }
    if (NOT_DRAWN.contains(e.name) || e.get("display").equals("none")) {
      return;
    }
    Affine map = outer.times(SvgValues.transform(e.get("transform")));
    String name = !e.title.isEmpty() ? e.title : !e.get("id").isEmpty() ? e.get("id") : inherited;
    switch (e.name) {
      case "svg" -> nested(e, e, map, view, uses, name);
      case "use" -> use(e, map, view, uses, name);
      case "path" -> path(e, map, name);
      default -> {
        List<SubPath> shape = new BasicShapes(e, view.width, view.height).subPaths();
        if (shape != null) {
          add(shape, map, name.isEmpty() ? e.name : name);
        } else {
          children(e, map, view, uses, name);
        }
      }
    }
  }

  /** A nested svg, or a symbol whose size a use gives. */
  private void nested(SvgElement size, SvgElement e, Affine map, View view, int uses, String name) {
    double w = SvgValues.length(size.get("width"), view.width, view.width);
    double h = SvgValues.length(size.get("height"), view.height, view.height);
    double x = SvgValues.length(e.get("x"), view.width, 0);
    double y = SvgValues.length(e.get("y"), view.height, 0);
    Affine place = map.times(Affine.translate(x, y)).times(viewport(e, w, h));
    children(e, place, inner(e, new View(w, h)), uses, name);
  }

  private void use(SvgElement e, Affine map, View view, int uses, String name) {
    String target = e.get("href");
    if (!target.startsWith("#")) {
      note("A <use> points outside the file; it is left out.");
      return;
    }
    SvgElement used = document.byId.get(target.substring(1));
    if (used == null || uses >= DEEPEST_USE) {
      note(
          "A <use> points to \""
              + target
              + "\", which "
              + (used == null ? "is not there." : "uses itself."));
      return;
    }
    double x = SvgValues.length(e.get("x"), view.width, 0);
    double y = SvgValues.length(e.get("y"), view.height, 0);
    Affine place = map.times(Affine.translate(x, y));
    if (used.name.equals("symbol")) {
      nested(e.get("width").isEmpty() ? used : e, used, place, view, uses + 1, name);
    } else {
      element(used, place, view, uses + 1, name);
    }
  }

  private void path(SvgElement e, Affine map, String name) {
    SvgPath.Parsed parsed = SvgPath.parse(e.get("d"));
    String shown = name.isEmpty() ? "path" : name;
    if (parsed.error() != null) {
      note(
          String.format(
              Locale.ROOT,
              "\u201c%s\u201d is broken at character %d: %s. It is drawn up to there.",
              shown,
              parsed.position() + 1,
              parsed.error()));
    }
    add(parsed.subPaths(), map, shown);
  }

  private void add(List<SubPath> subPaths, Affine map, String name) {
    int part = 0;
    for (SubPath s : subPaths) {
      part++;
      if (found.size() >= MOST_PATHS) {
        note(
            "The file draws more than "
                + MOST_PATHS
                + " paths; the first "
                + MOST_PATHS
                + " are listed.");
        return;
      }
      if (s.segments().size() > MOST_SEGMENTS) {
        note(
            "\u201c"
                + name
                + "\u201d has "
                + s.segments().size()
                + " segments, more than the "
                + MOST_SEGMENTS
                + " of a path; it is left out. Simplify it and save the file again.");
        continue;
      }
      segments += s.segments().size();
      if (segments > MOST_SEGMENTS_TOGETHER) {
        throw SvgDocument.refused(
            "The file draws more than "
                + MOST_SEGMENTS_TOGETHER
                + " segments in all; take out what is not needed or simplify its paths");
      }
      List<? extends rovingglyph.geometry.Segment> mapped =
          s.segments().stream().map(g -> g.mapped(map)).toList();
      Rect box = Rect.EMPTY;
      for (var g : mapped) {
        box = box.union(g.bounds());
      }
      if (!new Rect(-FARTHEST, -FARTHEST, FARTHEST, FARTHEST).contains(box)) {
        note("\u201c" + name + "\u201d lies too far away; it is left out.");
        continue;
      }
      Contour c = new Contour(mapped, s.closed());
      if (c.length() > 0) {
        found.add(
            new Found(
                subPaths.size() > 1 ? name + " " + part : name,
                SvgPath.write(c, 9),
                c.closed(),
                c.length(),
                PathPicture.of(c)));
      }
    }
  }

  private void note(String text) {
    if (notes.size() < 20 && !notes.contains(text)) {
      notes.add(text);
    }
  }
}
