package rovingglyph.frame;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.type.Outline;

/**
 * A scene with its contours measured, its text laid out and its landings solved.
 *
 * @param scene with solved landings
 * @param paths by id, in their own direction
 * @param letterings those whose text has been shaped, by id
 * @param items the same, and all others that hold no items, by id
 * @param outlines all that frames name by index
 * @param images ids of the kept pictures that frames name by index
 * @param unsolved per item that rides, the indexes of keyframes whose landing has no solution
 */
public record PreparedScene(
    Scene scene,
    Map<String, PreparedPath> paths,
    Map<String, PreparedLettering> letterings,
    Map<String, PreparedItem> items,
    List<Outline> outlines,
    List<String> images,
    Map<String, List<Integer>> unsolved) {
  /** The most samples of a frame; beyond that even fast things are shown well enough. */
  public static final int MOST_SAMPLES = 128;

  /** Between neighbouring samples, px. */
  private static final double MOST_APART = 1.5;

  /** The frame at a time in seconds; any finite time is good. */
  public Frame at(double time) {
    return at(time, 0);
  }

  /** Whether any item is blurred by its motion. */
  public boolean blurs() {
    return scene.blur().angle() > 0
        || scene.letterings().stream().anyMatch(l -> blur(l) > 0 && scene.shows(l));
  }

  /**
   * How many samples a frame blurred by motion needs so that fast things streak instead of standing
   * side by side: at most 1.5 px between neighbouring ones, at least as many as the scene asks for
   * and at most {@link #MOST_SAMPLES}.
   */
  public int samples(double time) {
    double way = 0;
    double[] last = at(time, -0.5).numbers();
    for (int i = 1; i <= 4; i++) {
      double[] next = at(time, i / 4.0 - 0.5).numbers();
      way += FrameShift.most(last, next, outlines);
      last = next;
    }
    double wanted = Math.ceil(way / MOST_APART);
    return (int) Math.min(MOST_SAMPLES, Math.max(scene.blur().samples(), wanted));
  }

  /** The shutter angle of an item in degrees. */
  private double blur(Item item) {
    boolean own = item instanceof Lettering l && l.letterEffects().blur() != null;
    return own ? ((Lettering) item).letterEffects().blur() : scene.blur().angle();
  }

  /**
   * One of the samples of a frame blurred by motion.
   *
   * @param shutter where in the time that the shutter is open, -0.5 to 0.5; each item by its own
   *     shutter angle
   */
  public Frame at(double time, double shutter) {
    Frame frame = new Frame(outlines);
    paint(frame, scene.stack(), Affine.IDENTITY, time, shutter);
    return frame;
  }

  private void paint(Frame frame, List<String> ids, Affine map, double time, double shutter) {
    for (String id : ids) {
      if (!scene.item(id).hidden()) {
        paint(frame, scene.item(id), map, time, shutter);
      }
    }
  }

  private void paint(Frame frame, Item item, Affine map, double time, double shutter) {
    Group group = item instanceof Group g ? g : null;
    PreparedItem prepared = items.get(item.id());
    double at = opened(item, time, shutter);
    boolean there = item.properties().shownAt(time) && (group != null || prepared != null);
    double opacity = !there ? 0 : group == null ? prepared.opacity(at) : Place.alpha(group, at);
    if (opacity <= 0) {
      return;
    }
    List<Affine> rides = rides(item, at);
    // As in CSS, what effects make of an item is faded with it.
    boolean whole =
        group != null || rides.size() > 1 || prepared.overlaps(at) || Appearance.adds(item);
    double alpha = whole ? opacity : 1;
    boolean isolated = group != null && scene.blendsWithin(group);
    new Appearance(item, alpha, isolated, at, map)
        .paint(
            frame,
            clip(item, at),
            () -> measure(frame, item, map, time, shutter),
            round -> {
              for (Affine ride : rides) {
                if (group != null) {
                  contents(frame, group, round.times(ride), at, time, shutter);
                } else {
                  frame.mapped(round.times(ride));
                  prepared.paint(frame, at, whole ? 1 : opacity, Outlines.of(item, at));
                }
              }
            });
  }

  /** The item with the path that carries it; null where none does. */
  public Carriage carriage(Item item) {
    return GroupTransform.carriage(item, paths);
  }

  /** What the path that carries an item does to each of its copies; it alone where none does. */
  List<Affine> rides(Item item, double time) {
    Carriage carriage = carriage(item);
    return carriage == null ? List.of(Affine.IDENTITY) : carriage.maps(time);
  }

  /** What the groups round an item do to it, with the paths that carry them and it. */
  public GroupTransform groupTransform(String id) {
    return GroupTransform.of(scene, id, paths);
  }

  /** The time at which an item is seen while the shutter is open. */
  private double opened(Item item, double time, double shutter) {
    return time + shutter * blur(item) / 360 / scene.rate().perSecond();
  }

  /**
   * Paints what an item is measured by where it stands in the frame, hidden or not. Copies and
   * shadows of a group are all like the group itself: there it stands as it does to that.
   *
   * @param map of the pixels round the item to those of the frame
   */
  private void measure(Frame frame, Item item, Affine map, double time, double shutter) {
    String by = item.properties().matte().item();
    Affine here = round(item.id(), time, shutter);
    Affine there = round(by, time, shutter);
    if (!here.equals(map)) {
      there = map.times(here.inverse()).times(there);
    }
    paint(frame, scene.item(by), there, time, shutter);
  }

  /** What the groups round an item do to it, with the paths that carry them. */
  public Affine round(String id, double time) {
    return round(id, time, 0);
  }

  /** The same, each at the time of its own shutter. */
  private Affine round(String id, double time, double shutter) {
    Affine map = Affine.IDENTITY;
    for (Group g : scene.groupsRound(id)) {
      double at = opened(g, time, shutter);
      Carriage carriage = carriage(g);
      Affine ride = carriage == null ? Affine.IDENTITY : carriage.first(at);
      map = map.times(ride).times(Place.map(g, at));
    }
    return map;
  }

  /** The members of a group with its outlines, which go round each of them. */
  private void contents(
      Frame frame, Group group, Affine round, double at, double time, double shutter) {
    Outlines outlines = Outlines.of(group, at);
    frame.mapped(round);
    outlines.beneath(frame, () -> shapes(group, at), solid(group));
    paint(frame, group.members(), round.times(Place.map(group, at)), time, shutter);
    frame.mapped(round);
    outlines.over(frame, () -> shapes(group, at));
  }

  private List<ItemShape> shapes(Group group, double time) {
    List<ItemShape> out = new ArrayList<>();
    for (String id : group.members()) {
      Item item = scene.item(id);
      PreparedItem prepared = items.get(id);
      if (item.hidden() || !item.properties().shownAt(time)) {
        continue;
      }
      for (Affine ride : rides(item, time)) {
        Affine map = Place.map(group, time).times(ride);
        if (item instanceof Group g) {
          double opacity = Place.alpha(g, time);
          shapes(g, time).forEach(s -> out.add(s.within(map, opacity)));
        } else if (prepared != null) {
          double opacity = prepared.opacity(time);
          prepared.shapes(time).forEach(s -> out.add(s.within(map, opacity)));
        }
      }
    }
    return out;
  }

  /** Whether an item hides what lies beneath its shapes at all times, but for its own opacity. */
  public boolean solid(Item item) {
    if (item instanceof Group g) {
      return g.members().stream().map(scene::item).allMatch(m -> opaque(m) && solid(m));
    }
    return !items.containsKey(item.id()) || items.get(item.id()).solid();
  }

  private static boolean opaque(Item item) {
    AnimatedValue opacity = item.movable(Channel.OPACITY);
    boolean full = opacity == null || (!opacity.moves() && opacity.base() >= 100);
    return full
        && item.properties().blend() == BlendMode.NORMAL
        && item.properties().clip() == null
        && item.properties().matte() == null
        && item.properties().effects().stream().noneMatch(e -> e.kind() == Effect.Kind.BLUR);
  }

  /**
   * The box round what is seen of an item with its outlines, but without other effects, in the
   * pixels round it; empty where nothing is.
   */
  public Rect box(String id, double time) {
    return box(id, time, rides(scene.item(id), time));
  }

  /** The same with an item that rides elsewhere. */
  public Rect box(String id, double time, List<Affine> rides) {
    Frame frame = new Frame(outlines);
    frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    for (Affine ride : rides) {
      if (scene.item(id) instanceof Group g) {
        contents(frame, g, ride, time, time, 0);
      } else if (items.containsKey(id)) {
        frame.mapped(ride);
        items.get(id).paint(frame, time, 1, Outlines.of(scene.item(id), time));
      }
    }
    frame.pop();
    return frame.box();
  }

  /** The path that an item is clipped to; null where it is not. */
  private Contour clip(Item item, double time) {
    Clip clip = item.properties().clip();
    return clip == null ? null : paths.get(clip.path()).at(time);
  }

  /** The id of the topmost visible item within {@code reach} px of a point; empty if none is. */
  public String itemAt(Point p, double time, double reach) {
    Rect spot = new Rect(p.x() - reach, p.y() - reach, p.x() + reach, p.y() + reach);
    return itemAt(scene.stack(), new Window(spot, Affine.IDENTITY), time);
  }

  private String itemAt(List<String> ids, Window spot, double time) {
    for (int i = ids.size() - 1; i >= 0; i--) {
      String id = ids.get(i);
      Item item = scene.item(id);
      if (item.hidden() || !item.properties().shownAt(time)) {
        continue;
      }
      Clip clip = item.properties().clip();
      if (clip != null && !Appearance.shows(clip, clip(item, time), spot)) {
        continue;
      }
      for (Affine ride : rides(item, time)) {
        Affine map = spot.map().times(ride);
        if (item instanceof Group g) {
          map = map.times(Place.map(g, time));
          String found = itemAt(g.members(), new Window(spot.area(), map), time);
          if (!found.isEmpty()) {
            return found;
          }
        } else if (items.containsKey(id)
            && items.get(id).touches(time, new Window(spot.area(), map))) {
          return id;
        }
      }
    }
    return "";
  }

  /** Whether the outlines of an item, which may ride elsewhere, reach into a part of the frame. */
  boolean touches(Item item, double time, Window spot) {
    for (Affine ride : rides(item, time)) {
      Affine map = spot.map().times(ride);
      if (item instanceof Group g) {
        Window within = new Window(spot.area(), map.times(Place.map(g, time)));
        if (g.members().stream().anyMatch(m -> touches(scene.item(m), time, within))) {
          return true;
        }
      } else if (items.containsKey(item.id())
          && items.get(item.id()).touches(time, new Window(spot.area(), map))) {
        return true;
      }
    }
    return false;
  }

  /** With other values of an item that rides. */
  PreparedScene with(Item item) {
    Scene changed = scene.withItem(item);
    Map<String, PreparedLettering> words = new LinkedHashMap<>();
    letterings.forEach(
        (id, l) -> {
          Lettering own = item.id().equals(id) ? (Lettering) item : l.lettering();
          words.put(id, l.standing(own, GroupTransform.of(changed, id, paths)));
        });
    Map<String, PreparedItem> all = new LinkedHashMap<>(items);
    all.putAll(words);
    return new PreparedScene(changed, paths, words, all, outlines, images, unsolved);
  }

  PreparedScene withUnsolved(Map<String, List<Integer>> missing) {
    return new PreparedScene(scene, paths, letterings, items, outlines, images, missing);
  }

  /** The visible area in scene pixels. */
  public Rect area() {
    return new Rect(0, 0, scene.width(), scene.height());
  }
}
