package rovingglyph.render;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Composite;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.Frame;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.type.Outline;

/** Paints the frames of one prepared scene; it decides nothing. One painter per thread. */
public final class FramePainter {
  private final PreparedScene scene;
  private final double scale;
  private final int width;
  private final int height;
  private final List<Path2D> shapes = new ArrayList<>();

  /** Pictures of faded groups, those in each other by depth. */
  private final List<BufferedImage> layers = new ArrayList<>();

  public FramePainter(PreparedScene scene) {
    this(scene, 1);
  }

  /** A painter of smaller or larger pictures: {@code scale} times the frame, at least one pixel. */
  public FramePainter(PreparedScene scene, double scale) {
    this.scene = scene;
    this.scale = scale;
    this.width = scaled(scene.scene().width(), scale);
    this.height = scaled(scene.scene().height(), scale);
    scene.outlines().forEach(o -> shapes.add(shape(o)));
  }

  /** What a length of the frame is in an image of another size: whole px, at least one. */
  static int scaled(int length, double scale) {
    return (int) Math.max(1, Math.round(length * scale));
  }

  /** A new image of the frame at a time; without a background it is transparent. */
  public BufferedImage image(double time) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    paint(image, time);
    return image;
  }

  /** Paints over the whole image; one without an alpha channel begins black. */
  public void paint(BufferedImage image, double time) {
    if (!scene.blurs()) {
      paint(image, scene.at(time).numbers());
      return;
    }
    int samples = scene.samples(time);
    MotionBlur blur = new MotionBlur(image.getWidth(), image.getHeight());
    for (int i = 0; i < samples; i++) {
      paint(image, scene.at(time, (i + 0.5) / samples - 0.5).numbers());
      blur.add(image);
    }
    blur.mix(image);
  }

  private void paint(BufferedImage image, double[] numbers) {
    Integer background = scene.scene().background();
    Graphics2D g = graphics(image, background == null ? new Color(0, true) : new Color(background));
    paint(g, numbers, 0, 0);
    g.dispose();
  }

  /** To paint on an image, filled with a colour first. */
  private Graphics2D graphics(BufferedImage image, Color background) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    g.setBackground(background);
    g.clearRect(0, 0, image.getWidth(), image.getHeight());
    g.scale(scale, scale);
    return g;
  }

  /**
   * Paints up to the end of the list, or to the pop that belongs to the push before.
   *
   * @param deep how many pushes are open
   * @return where the numbers go on
   */
  private int paint(Graphics2D g, double[] n, int from, int deep) {
    for (int i = from; i < n.length; ) {
      Progress.checkThread();
      int rgb = (int) n[i];
      int alpha = (int) Math.round(n[i + 1] * 255);
      int count = (int) n[i + 2];
      i += Frame.HEAD;
      if (count == Frame.POP) {
        return i;
      }
      if (count == Frame.PUSH) {
        i = over(g, n, i, deep, alpha / 255f);
        continue;
      }
      g.setColor(new Color(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255, alpha));
      if (count == Frame.STROKE) {
        i = stroke(g, n, i);
        continue;
      }
      Path2D area = new Path2D.Double(Path2D.WIND_NON_ZERO);
      for (int k = 0; k < count; k++) {
        if (n[i] == Frame.INLINE) {
          int end = i + 2 + (int) n[i + 1];
          own(area, n, i + 2, end);
          i = end;
        } else {
          AffineTransform map =
              new AffineTransform(n[i + 1], n[i + 2], n[i + 3], n[i + 4], n[i + 5], n[i + 6]);
          area.append(shapes.get((int) n[i]).getPathIterator(map), false);
          i += Frame.STRIDE;
        }
      }
      g.fill(area);
    }
    return n.length;
  }

  /** Paints a picture of its own and puts it over what is there. */
  private int over(Graphics2D g, double[] n, int from, int deep, float alpha) {
    if (layers.size() == deep) {
      layers.add(new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB));
    }
    BufferedImage layer = layers.get(deep);
    Graphics2D own = graphics(layer, new Color(0, true));
    int end = paint(own, n, from, deep + 1);
    own.dispose();
    Composite before = g.getComposite();
    g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, alpha));
    AffineTransform map = g.getTransform();
    g.setTransform(new AffineTransform());
    g.drawImage(layer, 0, 0, null);
    g.setTransform(map);
    g.setComposite(before);
    return end;
  }

  /** Draws a line; gives where its numbers end. */
  private static int stroke(Graphics2D g, double[] n, int from) {
    int dashes = (int) n[from + 2];
    float[] dash = new float[dashes];
    for (int i = 0; i < dashes; i++) {
      dash[i] = (float) n[from + 3 + i];
    }
    int steps = from + 3 + dashes;
    int end = steps + 1 + (int) n[steps];
    Path2D line = new Path2D.Double();
    own(line, n, steps + 1, end);
    g.setStroke(
        new BasicStroke(
            (float) n[from],
            (int) n[from + 1],
            BasicStroke.JOIN_ROUND,
            1,
            dashes == 0 ? null : dash,
            0));
    g.draw(line);
    return end;
  }

  /** An outline of this frame alone, from its numbers. */
  private static void own(Path2D area, double[] n, int from, int to) {
    for (int i = from; i < to; ) {
      switch ((int) n[i]) {
        case Frame.MOVE -> area.moveTo(n[i + 1], n[i + 2]);
        case Frame.LINE -> area.lineTo(n[i + 1], n[i + 2]);
        case Frame.QUADRATIC -> area.quadTo(n[i + 1], n[i + 2], n[i + 3], n[i + 4]);
        case Frame.CUBIC ->
            area.curveTo(n[i + 1], n[i + 2], n[i + 3], n[i + 4], n[i + 5], n[i + 6]);
        default -> area.closePath();
      }
      i += 1 + Frame.numbersOf((int) n[i]);
    }
  }

  private static Path2D shape(Outline outline) {
    Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
    for (SubPath sub : outline.subPaths()) {
      Point start = sub.segments().get(0).start();
      path.moveTo(start.x(), start.y());
      sub.segments().forEach(s -> add(path, s));
      path.closePath();
    }
    return path;
  }

  private static void add(Path2D path, Segment s) {
    Point end = s.end();
    if (s instanceof Line) {
      path.lineTo(end.x(), end.y());
    } else if (s instanceof Quadratic q) {
      path.quadTo(q.p1().x(), q.p1().y(), end.x(), end.y());
    } else if (s instanceof Cubic c) {
      path.curveTo(c.p1().x(), c.p1().y(), c.p2().x(), c.p2().y(), end.x(), end.y());
    } else if (s instanceof Arc a) {
      a.cubics().forEach(c -> add(path, c));
    }
  }
}
