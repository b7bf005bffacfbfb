package rovingglyph.scene;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A timed frame with its contents.
 *
 * @param width of the frame in px
 * @param height of the frame in px
 * @param length in seconds
 * @param background 0xRRGGBB, or null for none
 * @param cues in order of time
 * @param items all of them by id, in the order of the document
 * @param stack ids of the items that are in no group, back to front
 * @param shown the scenes that its insets show, by id, as far as they are at hand; no part of its
 *     document
 */
public record Scene(
    String name,
    int width,
    int height,
    FrameRate rate,
    double length,
    Integer background,
    List<GuidePath> paths,
    Map<String, Item> items,
    List<TracingImage> templates,
    List<Guide> guides,
    List<Cue> cues,
    Blur blur,
    List<String> stack,
    Map<String, Scene> shown,
    UnknownFields extras) {

  /** At least one frame. */
  public int frameCount() {
    return (int) Math.max(1, rate.frameAt(length));
  }

  /** The time of the scene's frame that is nearest to a time in seconds. */
  public double onFrame(double time) {
    long frame = rate.frameAt(Math.min(Math.max(time, 0), length));
    return rate.timeOf(Math.min(frame, frameCount() - 1L));
  }

  /** The path with this id; null if there is none. */
  public GuidePath path(String id) {
    return paths.stream().filter(p -> p.id().equals(id)).findFirst().orElse(null);
  }

  /** The item with this id; null if there is none. */
  public Item item(String id) {
    return items.get(id);
  }

  /** The letterings, in the order of the document. */
  public List<Lettering> letterings() {
    return all(Lettering.class);
  }

  /** The drawings, in the order of the document. */
  public List<Drawing> drawings() {
    return all(Drawing.class);
  }

  /** The colour fields, in the order of the document. */
  public List<ColourField> colourFields() {
    return all(ColourField.class);
  }

  /** The pictures, in the order of the document. */
  public List<Picture> pictures() {
    return all(Picture.class);
  }

  /** The footage, in the order of the document. */
  public List<Footage> footage() {
    return all(Footage.class);
  }

  /** The pictures and the footage, in the order of the document. */
  public List<Bitmapped> bitmapped() {
    return all(Bitmapped.class);
  }

  /** The filled paths, in the order of the document. */
  public List<FilledPath> filledPaths() {
    return all(FilledPath.class);
  }

  /** The foreground cuts, in the order of the document. */
  public List<ForegroundCut> foregroundCuts() {
    return all(ForegroundCut.class);
  }

  /** The insets, in the order of the document. */
  public List<Inset> insets() {
    return all(Inset.class);
  }

  /** The groups, in the order of the document. */
  public List<Group> groups() {
    return all(Group.class);
  }

  /** All items but the letterings, in the order of the document. */
  public List<Item> others() {
    return items.values().stream().filter(i -> !(i instanceof Lettering)).toList();
  }

  private <T> List<T> all(Class<T> kind) {
    List<T> out = new ArrayList<>();
    for (Item i : items.values()) {
      if (kind.isInstance(i)) {
        out.add(kind.cast(i));
      }
    }
    return out;
  }

  /** The group that an item stands in; null if it stands in the stack. */
  public Group groupOf(String id) {
    for (Group g : groups()) {
      if (g.members().contains(id)) {
        return g;
      }
    }
    return null;
  }

  /** The groups round an item, outermost first. */
  public List<Group> groupsRound(String id) {
    List<Group> out = new ArrayList<>();
    for (Group g = groupOf(id); g != null; g = groupOf(g.id())) {
      out.add(0, g);
    }
    return out;
  }

  /** The footage in which something is followed under an id; null if nothing is. */
  public Footage pinned(String id) {
    return all(Footage.class).stream().filter(f -> f.pin(id) != null).findFirst().orElse(null);
  }

  /** The item or path with this id; null if there is none. */
  public Animatable mover(String id) {
    Item item = item(id);
    return item != null ? item : path(id);
  }

  /** All that has values which can move: the paths and the items. */
  public List<Animatable> animatables() {
    List<Animatable> out = new ArrayList<>(paths);
    out.addAll(items.values());
    return out;
  }

  /** With every sway that loops told how long the scene is. */
  public Scene spanned() {
    Scene out = this;
    for (Animatable mover : animatables()) {
      Animatable changed = mover;
      for (Map.Entry<Channel, AnimatedValue> e : mover.values().entrySet()) {
        Sway s = e.getValue().sway();
        if (s != null && s.loops() && s.span() != length) {
          changed = changed.with(e.getKey(), e.getValue().with(s.over(length)));
        }
      }
      out = changed == mover ? out : out.with(changed);
    }
    return out;
  }

  /** With an item or a path in the place of the one with its id. */
  public Scene with(Animatable changed) {
    return changed instanceof GuidePath p ? withPath(p) : withItem((Item) changed);
  }

  /** Whether an item, and every group round it, is not hidden. */
  public boolean shows(Item item) {
    return !item.hidden() && groupsRound(item.id()).stream().noneMatch(Group::hidden);
  }

  /** The pictures that are painted: see {@link #painted}. */
  public List<Picture> paintedPictures() {
    return painted(Picture.class);
  }

  /** The items of a kind that are not hidden, or that something is measured by. */
  public <T extends Item> List<T> painted(Class<T> kind) {
    Set<String> mattes = new HashSet<>();
    for (Item i : items.values()) {
      if (i.properties().matte() != null) {
        mattes.add(i.properties().matte().item());
      }
    }
    return all(kind).stream().filter(p -> !p.hidden() || mattes.contains(p.id())).toList();
  }

  /** The same, and whether it is there at a time in seconds. */
  public boolean shows(Item item, double time) {
    return shows(item)
        && item.properties().shownAt(time)
        && groupsRound(item.id()).stream().allMatch(g -> g.properties().shownAt(time));
  }

  /**
   * Whether an item in a group is blended. It meets only what is below it in the group then, as in
   * CSS, where whatever is faded, masked or filtered keeps its blending to itself.
   */
  public boolean blendsWithin(Group g) {
    for (String id : g.members()) {
      Item member = item(id);
      if (member.properties().blend() != BlendMode.NORMAL
          || member.properties().effects().stream().anyMatch(Effect::isBlendedGlow)
          || member instanceof Group inner && blendsWithin(inner)) {
        return true;
      }
    }
    return false;
  }

  /** With an item in the place of the one with its id, or behind all others where none has it. */
  public Scene withItem(Item item) {
    Map<String, Item> all = new LinkedHashMap<>(items);
    all.put(item.id(), item);
    return withItems(all);
  }

  /** With every lettering changed by a rule. */
  public Scene withLetterings(UnaryOperator<Lettering> rule) {
    Map<String, Item> all = new LinkedHashMap<>(items);
    letterings().forEach(l -> all.put(l.id(), rule.apply(l)));
    return withItems(all);
  }

  private Scene withItems(Map<String, Item> newItems) {
    return with(paths, newItems, cues, stack);
  }

  /** The scene with other paths in the place of all. */
  public Scene withPaths(List<GuidePath> newPaths) {
    return with(newPaths, items, cues, stack);
  }

  /** The scene with a path in the place of the one with its id. */
  public Scene withPath(GuidePath path) {
    return withPaths(paths.stream().map(p -> p.id().equals(path.id()) ? path : p).toList());
  }

  /** With a path put behind the others. */
  public Scene adding(GuidePath path) {
    List<GuidePath> all = new ArrayList<>(paths);
    all.add(path);
    return withPaths(List.copyOf(all));
  }

  /** The scene with other cues, which have to be sorted by time. */
  public Scene withCues(List<Cue> newCues) {
    return with(paths, items, newCues, stack);
  }

  /** The scene with other pictures to trace over. */
  public Scene withTemplates(List<TracingImage> newTemplates) {
    return with(paths, items, List.copyOf(newTemplates), guides, cues, stack, shown);
  }

  /** The scene with other guides. */
  public Scene withGuides(List<Guide> newGuides) {
    return with(paths, items, templates, List.copyOf(newGuides), cues, stack, shown);
  }

  /** The scene with others at hand that its insets show, by id. */
  public Scene showing(Map<String, Scene> scenes) {
    return with(paths, items, templates, guides, cues, stack, Map.copyOf(scenes));
  }

  /** The cue with this id; null if there is none. */
  public Cue cue(String id) {
    return cues.stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
  }

  /** Without an item; a group goes with all that is in it, and one left empty goes too. */
  public Scene without(String id) {
    Set<String> gone = new HashSet<>();
    collect(id, gone);
    for (Group g = groupOf(id); g != null && gone.containsAll(g.members()); g = groupOf(g.id())) {
      gone.add(g.id());
    }
    Map<String, Item> left = new LinkedHashMap<>();
    for (Item i : items.values()) {
      if (!gone.contains(i.id())) {
        left.put(i.id(), i instanceof Group g ? g.with(without(g.members(), gone)) : i);
      }
    }
    return with(paths, left, cues, without(stack, gone)).withoutLost();
  }

  /** Without mattes by items that are no more, cuts of such, and pins to what is not followed. */
  public Scene withoutLost() {
    Scene out = this;
    for (Item i : items.values()) {
      Matte matte = i.properties().matte();
      if (i instanceof ForegroundCut c && item(c.source()) == null) {
        return without(c.id());
      }
      if (matte != null && item(matte.item()) == null) {
        out = out.withItem(i.with(i.properties().measuredBy(null), i.values()));
      }
    }
    for (Item i : out.items.values()) {
      Plane plane = i.properties().plane();
      if (plane != null && plane.behind() != null && item(plane.behind()) == null) {
        out = out.withItem(i.with(i.properties().turned(plane.behind(null)), i.values()));
      }
    }
    for (Item i : out.items.values()) {
      if (isLost(i.properties().pin())) {
        out = out.withItem(i.with(i.properties().pinned(null), i.values()));
      }
    }
    for (GuidePath p : paths) {
      if (isLost(p.label().pin())) {
        out = out.withPath(p.with(p.label().pinned(null)));
      }
    }
    return out;
  }

  private boolean isLost(Pin pin) {
    return pin != null && pinned(pin.to()) == null;
  }

  private static List<String> without(List<String> ids, Set<String> gone) {
    return ids.stream().filter(id -> !gone.contains(id)).toList();
  }

  /** Without the group itself; its members stay in the scene and are in no row. */
  public Scene dissolved(Group group) {
    Map<String, Item> left = new LinkedHashMap<>(items);
    left.remove(group.id());
    return withItems(left).withoutLost();
  }

  private void collect(String id, Set<String> ids) {
    ids.add(id);
    if (item(id) instanceof Group g) {
      g.members().forEach(m -> collect(m, ids));
    }
  }

  /** With an item put on top of the stack. */
  public Scene stacked(String id) {
    List<String> order = new ArrayList<>(stack);
    order.remove(id);
    order.add(id);
    return withStack(order);
  }

  /** The scene with another order of what is in no group, back to front. */
  public Scene withStack(List<String> newStack) {
    return with(paths, items, cues, List.copyOf(newStack));
  }

  /**
   * On another background.
   *
   * @param colour 0xRRGGBB, or null for none
   */
  public Scene withBackground(Integer colour) {
    return with(colour, blur);
  }

  /** With another motion blur. */
  public Scene withBlur(Blur newBlur) {
    return with(background, newBlur);
  }

  private Scene with(Integer newBackground, Blur newBlur) {
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        newBackground,
        paths,
        items,
        templates,
        guides,
        cues,
        newBlur,
        stack,
        shown,
        extras);
  }

  private Scene with(
      List<GuidePath> newPaths,
      Map<String, Item> newItems,
      List<Cue> newCues,
      List<String> newStack) {
    return with(newPaths, newItems, templates, guides, newCues, newStack, shown);
  }

  private Scene with(
      List<GuidePath> newPaths,
      Map<String, Item> newItems,
      List<TracingImage> newTemplates,
      List<Guide> newGuides,
      List<Cue> newCues,
      List<String> newStack,
      Map<String, Scene> newShown) {
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        background,
        newPaths,
        newItems,
        newTemplates,
        newGuides,
        newCues,
        blur,
        newStack,
        newShown,
        extras);
  }
}
