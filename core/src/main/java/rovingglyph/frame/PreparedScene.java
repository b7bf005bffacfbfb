package rovingglyph.frame;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.ForegroundCut;
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
    new ScenePainting(this, frame, time, shutter).paint(scene.stack(), Space.FLAT);
    return frame;
  }

  /** The item with the path that carries it; null where none does. */
  public Carriage carriage(Item item) {
    return carried(item).ride();
  }

  private Carried carried(Item item) {
    return Carried.of(scene, item, paths);
  }

  /**
   * What the footage that it is pinned to, the path that carries it and its plane do to each copy
   * of an item that is seen, in the pixels round it.
   */
  List<Space> rides(Item item, double time) {
    return carried(item).maps(time);
  }

  /** What the footage that it is pinned to does to an item, in the pixels round it. */
  public Projection pinned(Item item, double time) {
    return carried(item).pinned(time);
  }

  /** Whether an item of its kind is painted, and all that it takes is there. */
  public boolean isPainted(Item item) {
    if (item instanceof ForegroundCut c) {
      return !scene.item(c.source()).hidden();
    }
    return item instanceof Group || items.containsKey(item.id());
  }

  /**
   * The display list of a lettering alone with its outlines, in the pixels round it: turned in its
   * plane, but not where its path or a pin brings it.
   *
   * @param half which letters, of those that stand in space
   * @param opaque whether it is not faded as a whole
   * @param solids whether what is beside the letters is there too
   */
  public double[] letters(String id, double time, Half half, boolean opaque, boolean solids) {
    PreparedLettering l = letterings.get(id);
    Frame frame = new Frame(outlines);
    frame.mapped(turned(l.lettering(), time));
    frame.halved(half);
    Outlines lines = Outlines.of(l.lettering(), time, area());
    l.paint(frame, time, opaque ? 1 : l.opacity(time), lines, solids);
    return frame.numbers();
  }

  /** The same of one thing beside the letters of one that stand in space. */
  public double[] solid(String id, double time, RingPart part, boolean opaque) {
    PreparedLettering l = letterings.get(id);
    Frame frame = new Frame(outlines);
    frame.mapped(turned(l.lettering(), time));
    l.paintSolid(frame, time, opaque ? 1 : l.opacity(time), part);
    return frame.numbers();
  }

  /** What the plane of an item does to it, in the pixels round it. */
  Space turned(Item item, double time) {
    Turning turning = Turning.of(item);
    return turning == null ? Space.FLAT : turning.within(Space.FLAT, time);
  }

  /** How an item lies in its plane, in the pixels round it. */
  public Projection plane(Item item, double time) {
    return turned(item, time).plane();
  }

  /** The map of the pixels of footage, upright, to those of the frame. */
  public Projection footagePixels(Footage footage, double time) {
    return PinMap.pixels(footage, groupTransform(footage.id()), time);
  }

  /** The area of a cut. */
  public CutArea cutArea(ForegroundCut cut) {
    Item source = scene.item(cut.source());
    return new CutArea(cut, source, carried(source), paths.get(cut.path()));
  }

  /** The map of the pixels of a cut's path to those of the frame, as the cut is seen. */
  public Projection standing(ForegroundCut cut, double time) {
    Projection carried = groupTransform(cut.id()).map(time).times(round(cut.id(), time).inverse());
    return carried.times(round(cut.source(), time)).times(cutArea(cut).map(time));
  }

  /** What the groups round an item do to it, with the paths that carry them and it. */
  public GroupTransform groupTransform(String id) {
    return GroupTransform.of(scene, id, paths);
  }

  /** The time at which an item is seen while the shutter is open. */
  double opened(Item item, double time, double shutter) {
    return time + shutter * blur(item) / 360 / scene.rate().perSecond();
  }

  /** What the groups round an item do to it, with the paths that carry them. */
  public Projection round(String id, double time) {
    return round(id, time, 0).plane();
  }

  /** The same, each at the time of its own shutter. */
  Space round(String id, double time, double shutter) {
    Space map = Space.FLAT;
    for (Group g : scene.groupsRound(id)) {
      double at = opened(g, time, shutter);
      map = map.times(carried(g).first(at)).times(Place.map(g, at));
    }
    return map;
  }

  /** Whether an item hides what lies beneath its shapes at all times, but for its own opacity. */
  public boolean solid(Item item) {
    if (item instanceof Group g) {
      return g.members().stream().map(scene::item).allMatch(m -> opaque(m) && solid(m));
    }
    return !(item instanceof ForegroundCut)
        && (!items.containsKey(item.id()) || items.get(item.id()).solid());
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
  Rect box(String id, double time, List<Space> rides) {
    Item item = scene.item(id);
    if (!isPainted(item)) {
      return Rect.EMPTY;
    }
    Frame frame = new Frame(outlines);
    frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    ScenePainting painting = new ScenePainting(this, frame, time, 0);
    rides.forEach(r -> painting.contents(item, r, time, 1));
    frame.pop();
    return frame.box();
  }

  /** The box round an item that nothing but its own place moves. */
  public Rect standing(String id, double time) {
    return box(id, time, List.of(Space.FLAT));
  }

  /**
   * The same in the pixels of the frame, with what the groups round it and their paths do to it.
   */
  public Rect frameBox(String id, double time) {
    Space round = round(id, time, 0);
    return box(id, time, rides(scene.item(id), time).stream().map(round::times).toList());
  }

  /**
   * The ids of what stands in the stack and is seen wholly within a box of the frame, back to
   * front; what is hidden or locked is left out.
   */
  public List<String> itemsWithin(Rect box, double time) {
    return scene.stack().stream()
        .filter(id -> !scene.item(id).hidden() && !scene.item(id).locked())
        .filter(id -> within(box, frameBox(id, time)))
        .toList();
  }

  private static boolean within(Rect box, Rect seen) {
    return !seen.isEmpty() && box.contains(seen);
  }

  /**
   * A map of the pixels round an item as it is in the middle of the item: in perspective it is
   * another one elsewhere.
   */
  public Affine near(String id, Projection map, double time) {
    if (map.isFlat()) {
      return map.flat();
    }
    Rect box = standing(id, time);
    return map.near((box.isEmpty() ? area() : box).centre());
  }

  /** The id of the topmost visible item within {@code reach} px of a point; empty if none is. */
  public String itemAt(Point p, double time, double reach) {
    Rect spot = new Rect(p.x() - reach, p.y() - reach, p.x() + reach, p.y() + reach);
    return new SceneHits(this, time).topmost(scene.stack(), new Window(spot, Space.FLAT));
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

  /** Whether all texts have been shaped, those of scenes shown within it too. */
  boolean isComplete() {
    return letterings.size() == scene.letterings().size()
        && items.values().stream()
            .allMatch(i -> !(i instanceof PreparedInset inset) || inset.isComplete());
  }

  PreparedScene withUnsolved(Map<String, List<Integer>> missing) {
    return new PreparedScene(scene, paths, letterings, items, outlines, images, missing);
  }

  /** The visible area in scene pixels. */
  public Rect area() {
    return new Rect(0, 0, scene.width(), scene.height());
  }
}
