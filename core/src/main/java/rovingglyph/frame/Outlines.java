package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.Item;
import rovingglyph.scene.UnknownFields;

/**
 * The outlines of an item at a time, lines along the edges of its shapes. Those outside lie beneath
 * all of the item, each one beneath the one before it; the others lie over it, each over the one
 * before.
 */
public final class Outlines {
  /** Of an item without any. */
  static final Outlines NONE = new Outlines(List.of());

  /** Finer dashes than these, px with their gaps, are a whole line. */
  private static final double FINEST = 0.5;

  private final List<Pen> pens;

  private Outlines(List<Pen> pens) {
    this.pens = pens;
  }

  /**
   * What draws one outline.
   *
   * @param width px
   * @param filling what it is painted with, opaque, in the pixels round the item
   * @param opacity 0 to 1
   * @param drawn which number tells how much of the line is there
   * @param share how much is there where not every letter has its own, 0 to 1
   * @param dash px
   * @param gap px; 0 for a whole line
   */
  private record Pen(
      Effect.LineSide side,
      Effect.LineJoin join,
      double width,
      FramePaint filling,
      double opacity,
      Channel drawn,
      double share,
      double dash,
      double gap) {

    double share(ItemShape s) {
      return s.own() == null ? share : s.own().applyAsDouble(drawn) / 100;
    }

    boolean isGraded() {
      return filling.kind() != FramePaint.Kind.PLAIN;
    }

    LineStyle line(double unit) {
      // Half of a line lies on either side of an edge.
      double times = side == Effect.LineSide.CENTRED ? 1 : 2;
      boolean whole = gap <= 0 || dash + gap < FINEST;
      int cap = join == Effect.LineJoin.ROUND ? 1 : 0;
      double[] dashes = whole ? new double[0] : new double[] {dash / unit, gap / unit};
      return new LineStyle(width * times / unit, cap, join.ordinal(), dashes);
    }
  }

  /** The effects of an item that are outlines. */
  public static List<Effect> effects(Item item) {
    return item.properties().effects().stream()
        .filter(e -> !e.off() && e.kind() == Effect.Kind.OUTLINE)
        .toList();
  }

  /**
   * @param frame that gradients go across
   */
  static Outlines of(Item item, double time, Rect frame) {
    List<Pen> pens = new ArrayList<>();
    for (Effect e : effects(item)) {
      Channel drawn = Channel.effect(e.id(), Effect.DRAWN);
      Pen pen =
          new Pen(
              e.choice(Effect.LINE_SIDE),
              e.choice(Effect.LINE_JOIN),
              Appearance.value(item, e, Effect.LINE_WIDTH, time),
              filling(item, e, time, frame),
              Appearance.value(item, e, Effect.OPACITY, time) / 100,
              drawn,
              drawn.clamp(Timeline.value(item.movable(drawn), time)) / 100,
              Appearance.value(item, e, Effect.DASH, time),
              Appearance.value(item, e, Effect.GAP, time));
      if (pen.width > 0 && pen.opacity > 0) {
        pens.add(pen);
      }
    }
    return pens.isEmpty() ? NONE : new Outlines(pens);
  }

  private static FramePaint filling(Item item, Effect e, double time, Rect frame) {
    int near = Appearance.colour(item, e, time);
    if (!e.isGradedLine()) {
      return FramePaint.plain(near, 1);
    }
    int far = Appearance.colour(item, e, Effect.FAR_COLOUR, time);
    List<Point> ends = ends(item, e, time, frame);
    return FramePaint.graded(
        e.choice(Effect.LINE_FILLING) == Gradient.Kind.LINEAR,
        List.of(stop(0, near), stop(100, far)),
        ends.get(0),
        ends.get(1),
        Affine.IDENTITY,
        1);
  }

  private static Gradient.Stop stop(double offset, int colour) {
    return new Gradient.Stop(offset, colour, 100, UnknownFields.NONE);
  }

  /** Where the gradient of an outline begins and ends, in the pixels round the item. */
  public static List<Point> ends(Item item, Effect e, double time, Rect frame) {
    double width = frame.width() / 100;
    double height = frame.height() / 100;
    return List.of(
        new Point(
            Appearance.value(item, e, Effect.FROM_X, time) * width,
            Appearance.value(item, e, Effect.FROM_Y, time) * height),
        new Point(
            Appearance.value(item, e, Effect.TO_X, time) * width,
            Appearance.value(item, e, Effect.TO_Y, time) * height));
  }

  boolean isEmpty() {
    return pens.isEmpty();
  }

  /**
   * Adds those that lie beneath the item, in the pixels that are mapped.
   *
   * @param solid whether what comes over them hides what lies within the shapes; else it is cut out
   */
  void beneath(Frame frame, Supplier<List<ItemShape>> shapes, boolean solid) {
    List<Pen> all =
        new ArrayList<>(pens.stream().filter(p -> p.side == Effect.LineSide.OUTSIDE).toList());
    Collections.reverse(all);
    draw(frame, all, shapes, !solid);
  }

  /** Adds those that lie over the item. */
  void over(Frame frame, Supplier<List<ItemShape>> shapes) {
    draw(
        frame,
        pens.stream().filter(p -> p.side != Effect.LineSide.OUTSIDE).toList(),
        shapes,
        false);
  }

  private static void draw(
      Frame frame, List<Pen> pens, Supplier<List<ItemShape>> shapes, boolean cutOut) {
    List<ItemShape> all = pens.isEmpty() ? List.of() : shapes.get();
    for (Pen pen : pens) {
      boolean layer = cutOut || pen.opacity < 1 || pen.isGraded();
      if (layer) {
        frame.push(pen.opacity, BlendMode.NORMAL, LayerEffects.NONE);
      }
      if (pen.isGraded()) {
        graded(frame, pen, all, cutOut);
      } else {
        faded(frame, all, s -> draw(frame, pen, s));
      }
      if (cutOut) {
        frame.matte(true);
        faded(frame, all, s -> area(frame, s));
      }
      if (layer) {
        frame.pop();
      }
    }
  }

  /**
   * A gradient where the line of it would be: the units of a line may be others than those round
   * the item.
   */
  private static void graded(Frame frame, Pen pen, List<ItemShape> all, boolean inLayer) {
    if (inLayer) {
      frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    }
    Rect box = Rect.EMPTY;
    for (ItemShape s : all) {
      double reach = pen.line(s.unit()).reach();
      for (Piece p : s.pieces()) {
        Affine m = p.near();
        double most = Math.hypot(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
        box = box.union(p.bounds().grown(reach * most));
      }
    }
    if (!box.isEmpty()) {
      new PlacedRect(box, Affine.IDENTITY).fill(frame, pen.filling);
    }
    frame.matte(false);
    faded(frame, all, s -> draw(frame, pen, s));
    if (inLayer) {
      frame.pop();
    }
  }

  /** Paints shapes, those of one opacity that follow each other as one. */
  private static void faded(Frame frame, List<ItemShape> shapes, Consumer<ItemShape> each) {
    double alpha = 1;
    for (ItemShape s : shapes) {
      if (s.alpha() != alpha) {
        if (alpha < 1) {
          frame.pop();
        }
        alpha = s.alpha();
        if (alpha < 1) {
          frame.push(alpha, BlendMode.NORMAL, LayerEffects.NONE);
        }
      }
      if (alpha > 0) {
        each.accept(s);
      }
    }
    if (alpha < 1) {
      frame.pop();
    }
  }

  private static void draw(Frame frame, Pen pen, ItemShape s) {
    double share = pen.share(s);
    if (share <= 0 || s.unit() <= 0) {
      return;
    }
    for (Piece p : s.pieces()) {
      boolean within = pen.side == Effect.LineSide.INSIDE;
      if (within) {
        frame.clip();
        frame.area(p);
      }
      frame.stroke(pen.filling.rgb(), pen.line(s.unit()), p, Math.min(share, 1));
      if (within) {
        frame.unclip();
      }
    }
  }

  private static void area(Frame frame, ItemShape s) {
    // Pieces that run round in opposite ways would cancel where they overlap.
    for (Piece p : s.pieces()) {
      frame.fill(0, 1);
      frame.area(p);
    }
  }
}
