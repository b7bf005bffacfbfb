package rovingglyph.journey;

import java.util.List;
import rovingglyph.frame.Outlines;
import rovingglyph.frame.PreparedColourField;
import rovingglyph.frame.PreparedItem;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.Item;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/**
 * Where the gradient that an item is filled with begins and ends, and what dragging an end means.
 * Of a gradient along a text or its path these are places on the first row's path; one across each
 * letter has no one place.
 */
public final class GradientHandles {
  private static final double[] NONE = {};

  private final PreparedItem item;
  private final double time;
  private final Rect frame;

  /** Of an item of a scene at a time in seconds. */
  public GradientHandles(PreparedScene prepared, String id, double time) {
    this.item = prepared.items().get(id);
    this.time = time;
    this.frame = prepared.area();
  }

  /** x and y of the beginning and of the end, in the pixels round the item; empty without one. */
  public double[] ends() {
    Point from = end(Channel.FROM_X, Channel.FROM_Y);
    Point to = end(Channel.TO_X, Channel.TO_Y);
    return from == null ? NONE : new double[] {from.x(), from.y(), to.x(), to.y()};
  }

  /**
   * The two values, or where it goes along a path the one, that bring an end to a point: percent.
   */
  public double[] to(Point p) {
    if (item instanceof PreparedColourField f) {
      return shares(f.box(time), f.map(time).inverse().apply(p));
    }
    PreparedLettering l = (PreparedLettering) item;
    if (l.lettering().filling().across() == Filling.Across.FRAME) {
      return shares(frame, p);
    }
    SeatValues v = l.values(time);
    RowLayout row = l.seating(v);
    Point standing = l.turn(v).inverse().apply(p);
    double d = Handles.distanceAt(row.contour(), standing);
    double[] span = span(l, row);
    double lap = row.track().length();
    if (row.track().round() && lap > 0) {
      double middle = (span[0] + span[1]) / 2;
      d += lap * Math.rint((middle - d) / lap);
    }
    return new double[] {100 * (d - span[0]) / (span[1] - span[0])};
  }

  /** The ends of the gradient of an outline, by turns as {@link #ends}. */
  public static double[] ofLine(Item item, Effect effect, double time, Rect frame) {
    List<Point> ends = Outlines.ends(item, effect, time, frame);
    Point from = ends.get(0);
    Point to = ends.get(1);
    return new double[] {from.x(), from.y(), to.x(), to.y()};
  }

  /** A point in percent of the width and the height of a box. */
  public static double[] shares(Rect box, Point p) {
    return new double[] {
      100 * (p.x() - box.left()) / box.width(), 100 * (p.y() - box.top()) / box.height()
    };
  }

  private Point end(Channel across, Channel down) {
    if (item instanceof PreparedColourField f) {
      boolean plain = f.field().fill().kind() == Gradient.Kind.PLAIN || f.box(time).isEmpty();
      return plain ? null : f.map(time).apply(f.ends(across, down, time));
    }
    if (!(item instanceof PreparedLettering l) || !l.lettering().filling().isGraded()) {
      return null;
    }
    SeatValues v = l.values(time);
    double x = v.get(across) / 100;
    return switch (l.lettering().filling().across()) {
      case LETTER -> null;
      case FRAME -> new Point(frame.width() * x, frame.height() * v.get(down) / 100);
      case RUN, PATH -> {
        RowLayout row = l.seating(v);
        double[] span = span(l, row);
        double d = span[0] + (span[1] - span[0]) * x;
        yield span[0] == span[1] ? null : l.turn(v).apply(row.track().at(d).point());
      }
    };
  }

  /** From where to where along the path 0 to 100 % go, px. */
  private static double[] span(PreparedLettering l, RowLayout row) {
    return l.lettering().filling().across() == Filling.Across.RUN
        ? row.run()
        : new double[] {0, row.track().length()};
  }
}
