package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.GroupTransform;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Channel;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Footage;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of pictures and footage. */
final class Pictures {
  /** How a picture is brought to the size of the frame. */
  enum Size {
    /** As large as it can be with all of it in the frame. */
    FIT,

    /** As small as it can be with none of the frame left free. */
    FILL,

    /** A pixel of the picture is a pixel of the scene. */
    NATURAL
  }

  /** An edge that can be dragged inward, as its own upright is. */
  enum Edge {
    LEFT(Channel.CROP_LEFT),
    TOP(Channel.CROP_TOP),
    RIGHT(Channel.CROP_RIGHT),
    BOTTOM(Channel.CROP_BOTTOM);

    private final Channel crop;

    Edge(Channel crop) {
      this.crop = crop;
    }

    /** How much is cut off there if a point of the picture is on the edge, 0 to 1. */
    private double share(Rect whole, Point p) {
      return switch (this) {
        case LEFT -> (p.x() - whole.left()) / whole.width();
        case TOP -> (p.y() - whole.top()) / whole.height();
        case RIGHT -> (whole.right() - p.x()) / whole.width();
        case BOTTOM -> (whole.bottom() - p.y()) / whole.height();
      };
    }

    private Edge opposite() {
      return values()[(ordinal() + 2) % 4];
    }
  }

  /** Percent that dragging an edge leaves of a picture at least. */
  private static final double LEAST_LEFT = 1;

  private static final FieldType<Integer> PIXELS = Types.integer(1, Bitmapped.LONGEST_SIDE, "px");
  private static final Field<Values, String> IMAGE = argument("image", Types.id());
  private static final Field<Values, Integer> WIDTH = argument("pixelWidth", PIXELS);
  private static final Field<Values, Integer> HEIGHT = argument("pixelHeight", PIXELS);
  private static final Field<Values, Double> RATE =
      argument("rate", Types.number(Footage.SLOWEST_RATE, Footage.FASTEST_RATE, "frames/s"));
  private static final Field<Values, Double> LENGTH =
      argument("length", Types.number(0.001, Footage.LONGEST, "s"));
  private static final Field<Values, Double> NEW_X = argument("x", Arguments.ANY).optional();
  private static final Field<Values, Double> NEW_Y = argument("y", Arguments.ANY).optional();
  private static final Field<Values, Size> SIZE = argument("size", Types.choice(Size.values()));

  private static final Field<Values, Edge> EDGE = argument("edge", Types.choice(Edge.values()));

  static final List<Command> ALL =
      List.of(
          Command.of(
              "addPicture",
              "Added a picture",
              List.of(ID, Arguments.NAME, IMAGE, WIDTH, HEIGHT, NEW_X, NEW_Y),
              Pictures::add),
          Command.of(
              "replacePicture",
              "Replaced a picture",
              List.of(ITEM, IMAGE, WIDTH, HEIGHT),
              Pictures::replace),
          Command.of(
              "addFootage",
              "Added footage",
              List.of(ID, Arguments.NAME, IMAGE, WIDTH, HEIGHT, RATE, LENGTH, NEW_X, NEW_Y),
              Pictures::addFootage),
          Command.of(
              "replaceFootage",
              "Replaced footage",
              List.of(ITEM, IMAGE, WIDTH, HEIGHT, RATE, LENGTH),
              Pictures::replaceFootage),
          Command.of(
              "sizePicture", "Changed a size", List.of(ITEM, SIZE, PLAYHEAD), Pictures::size),
          Command.of(
              "crop",
              "Cropped a picture",
              List.of(ITEM, EDGE, Arguments.X, Arguments.Y, PLAYHEAD),
              Pictures::crop));

  private Pictures() {}

  private static <T extends Bitmapped> T chosen(Scene scene, Values v, Class<T> kind) {
    if (kind.isInstance(scene.item(v.get(ITEM)))) {
      return kind.cast(scene.item(v.get(ITEM)));
    }
    throw new IllegalArgumentException("There is no such picture or footage any more");
  }

  /**
   * A new picture {@code id} with its middle at {@code x}, {@code y}, else in that of the frame: of
   * its natural size, or as much smaller as the frame asks. It stands above what lies below all
   * words.
   */
  private static Scene add(Scene scene, Values v) {
    ItemProperties named = named(v, "Picture");
    return withGround(
        scene,
        new Picture(
            named,
            v.get(IMAGE),
            v.get(WIDTH),
            v.get(HEIGHT),
            Point.ORIGIN,
            placed(scene, v),
            UnknownFields.NONE));
  }

  /** The same of footage, which is {@code rate} frames a second and {@code length} long. */
  private static Scene addFootage(Scene scene, Values v) {
    double length = v.get(LENGTH);
    return withGround(
        scene,
        new Footage(
            named(v, "Footage"),
            v.get(IMAGE),
            v.get(WIDTH),
            v.get(HEIGHT),
            v.get(RATE),
            length,
            0,
            length,
            1,
            Footage.AtEnd.HOLD,
            Footage.Sound.PLAIN,
            List.of(),
            Point.ORIGIN,
            placed(scene, v),
            UnknownFields.NONE));
  }

  private static ItemProperties named(Values v, String kind) {
    return new ItemProperties(
        v.get(ID), v.get(Arguments.NAME) == null ? kind : v.get(Arguments.NAME));
  }

  private static Map<Channel, AnimatedValue> placed(Scene scene, Values v) {
    int width = v.get(WIDTH);
    int height = v.get(HEIGHT);
    double fitting = Math.min(scene.width() / (double) width, scene.height() / (double) height);
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Bitmapped.VALUES.forEach(c -> values.put(c, new AnimatedValue(Bitmapped.start(c))));
    double x = v.get(NEW_X) == null ? scene.width() / 2.0 : v.get(NEW_X);
    double y = v.get(NEW_Y) == null ? scene.height() / 2.0 : v.get(NEW_Y);
    values.put(Channel.X, still(Channel.X, x));
    values.put(Channel.Y, still(Channel.Y, y));
    values.put(Channel.WIDTH, still(Channel.WIDTH, width));
    values.put(Channel.HEIGHT, still(Channel.HEIGHT, height));
    values.put(Channel.SCALE, still(Channel.SCALE, Math.min(fitting, 1)));
    return values;
  }

  private static AnimatedValue still(Channel c, double value) {
    return new AnimatedValue(c.clamp(value));
  }

  /** With a new item above what lies below all words. */
  static Scene withGround(Scene scene, Item item) {
    List<String> stack = new ArrayList<>(scene.stack());
    stack.add(aboveGrounds(scene), item.id());
    return scene.withItem(item).withStack(stack);
  }

  /** How many things at the bottom of the stack neither are words nor hold any. */
  private static int aboveGrounds(Scene scene) {
    int n = 0;
    for (String id : scene.stack()) {
      Item item = scene.item(id);
      boolean shape = item instanceof FilledPath || item instanceof Transformed;
      if (!shape || item instanceof Group) {
        break;
      }
      n++;
    }
    return n;
  }

  /**
   * Another kept picture in the place of the one of {@code item}. Its width stays; its height
   * follows where the one before was not drawn out of its proportions.
   */
  private static Scene replace(Scene scene, Values v) {
    Picture p = chosen(scene, v, Picture.class);
    Picture out = p.showing(v.get(IMAGE), v.get(WIDTH), v.get(HEIGHT));
    return scene.withItem(proportioned(p, out));
  }

  /** The same of footage, seen from its first frame to its last; nothing is followed in it. */
  private static Scene replaceFootage(Scene scene, Values v) {
    Footage f = chosen(scene, v, Footage.class);
    Footage out = f.showing(v.get(IMAGE), v.get(WIDTH), v.get(HEIGHT), v.get(RATE), v.get(LENGTH));
    return scene.withItem(proportioned(f, out)).withoutLost();
  }

  private static Bitmapped proportioned(Bitmapped before, Bitmapped now) {
    AnimatedValue w = before.movable(Channel.WIDTH);
    AnimatedValue h = before.movable(Channel.HEIGHT);
    double natural = w.base() * before.pixelHeight() / before.pixelWidth();
    if (w.moves() || h.moves() || Math.abs(natural - h.base()) >= 1) {
      return now;
    }
    double height = w.base() * now.pixelHeight() / now.pixelWidth();
    return now.with(Channel.HEIGHT, still(Channel.HEIGHT, height));
  }

  /** Brings the picture {@code item} to a {@code size} at a time, in the middle of the frame. */
  private static Scene size(Scene scene, Values v) {
    Bitmapped p = chosen(scene, v, Bitmapped.class);
    double time = v.get(PLAYHEAD);
    AtTime at = new AtTime(scene, p, time);
    if (v.get(SIZE) == Size.NATURAL) {
      return scene.withItem(
          at.set(
              Map.of(
                  Channel.WIDTH,
                  (double) p.pixelWidth(),
                  Channel.HEIGHT,
                  (double) p.pixelHeight(),
                  Channel.SCALE,
                  1.0)));
    }
    Rect seen = new PreparedPicture(p, 0).cropped(time);
    if (seen.isEmpty()) {
      throw new IllegalArgumentException("Nothing of the picture is left: crop less of it first");
    }
    Rect frame = new Rect(0, 0, scene.width(), scene.height());
    Projection groups = GroupTransform.of(scene, p.id()).map(time);
    Affine round = groups.near(groups.inverse().apply(frame.centre()));
    Affine map = Place.map(p, time);
    double now = Math.hypot(map.a(), map.b());
    Affine whole = round.times(map);
    double k = v.get(SIZE) == Size.FIT ? fit(whole, seen, frame) : fill(whole, seen, frame);
    Point middle = round.inverse().apply(frame.centre());
    Point off = map.apply(seen.centre()).minus(map.apply(p.centre())).times(k);
    Point centre = middle.minus(off);
    return scene.withItem(
        at.set(Map.of(Channel.SCALE, now * k, Channel.X, centre.x(), Channel.Y, centre.y())));
  }

  /** Brings an {@code edge} of the picture {@code item} to a point, in the pixels round it. */
  private static Scene crop(Scene scene, Values v) {
    Bitmapped p = chosen(scene, v, Bitmapped.class);
    double time = v.get(PLAYHEAD);
    PreparedPicture prepared = new PreparedPicture(p, 0);
    Edge edge = v.get(EDGE);
    Point at =
        Place.map(p, time).inverse().apply(new Point(v.get(Arguments.X), v.get(Arguments.Y)));
    double other = Timeline.value(p.movable(edge.opposite().crop), time);
    double most = Math.max(0, 100 - LEAST_LEFT - edge.opposite().crop.clamp(other));
    double wanted = 100 * edge.share(prepared.whole(time), at);
    Map<Channel, Double> cut = Map.of(edge.crop, Math.min(Math.max(wanted, 0), most));
    return scene.withItem(new AtTime(scene, p, time).set(cut));
  }

  /** How many times as large a mapped box has to be so that its own box just fits into a frame. */
  private static double fit(Affine map, Rect box, Rect frame) {
    Rect now = map.apply(box);
    return Math.min(frame.width() / now.width(), frame.height() / now.height());
  }

  /** The same so that it covers the frame: seen from the box, the frame is in a box of its own. */
  private static double fill(Affine map, Rect box, Rect frame) {
    Rect seen = map.inverse().apply(frame);
    return Math.max(seen.width() / box.width(), seen.height() / box.height());
  }
}
