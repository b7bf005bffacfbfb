package rovingglyph.scene;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A timed frame with its contents.
 *
 * @param width of the frame in px
 * @param height of the frame in px
 * @param length in seconds
 * @param background 0xRRGGBB, or null for none
 * @param cues in order of time
 * @param stack ids of the items that are in no group, back to front
 */
public record Scene(
    String name,
    int width,
    int height,
    FrameRate rate,
    double length,
    Integer background,
    List<GuidePath> paths,
    List<Lettering> letterings,
    List<Picture> pictures,
    List<Group> groups,
    List<Template> templates,
    List<Cue> cues,
    Blur blur,
    List<String> stack,
    Extras extras) {

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
    for (Lettering l : letterings) {
      if (l.id().equals(id)) {
        return l;
      }
    }
    for (Picture p : pictures) {
      if (p.id().equals(id)) {
        return p;
      }
    }
    for (Group g : groups) {
      if (g.id().equals(id)) {
        return g;
      }
    }
    return null;
  }

  /** The pictures and the groups. */
  public List<Placed> placed() {
    List<Placed> out = new ArrayList<>(pictures);
    out.addAll(groups);
    return out;
  }

  /** The group that an item stands in; null if it stands in the stack. */
  public Group groupOf(String id) {
    for (Group g : groups) {
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

  /** The item or path with this id; null if there is none. */
  public Mover mover(String id) {
    Item item = item(id);
    return item != null ? item : path(id);
  }

  /** All that has values which can move: paths, letterings, pictures and groups. */
  public List<Mover> animatables() {
    List<Mover> out = new ArrayList<>(paths);
    out.addAll(letterings);
    out.addAll(pictures);
    out.addAll(groups);
    return out;
  }

  /** With every sway that loops told how long the scene is. */
  public Scene spanned() {
    Scene out = this;
    for (Mover mover : animatables()) {
      Mover changed = mover;
      for (Map.Entry<Channel, Movable> e : mover.values().entrySet()) {
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
  public Scene with(Mover changed) {
    return changed instanceof GuidePath p ? withPath(p) : withItem((Item) changed);
  }

  /** Whether an item, and every group round it, is not hidden. */
  public boolean shows(Item item) {
    return !item.hidden() && groupsRound(item.id()).stream().noneMatch(Group::hidden);
  }

  public Scene withItem(Item item) {
    if (item instanceof Lettering l) {
      return withLetterings(letterings.stream().map(o -> o.id().equals(l.id()) ? l : o).toList());
    }
    if (item instanceof Group g) {
      return withGroups(groups.stream().map(o -> o.id().equals(g.id()) ? g : o).toList());
    }
    Picture p = (Picture) item;
    return with(
        paths,
        letterings,
        pictures.stream().map(o -> o.id().equals(p.id()) ? p : o).toList(),
        groups,
        cues,
        stack);
  }

  public Scene withLetterings(List<Lettering> newLetterings) {
    return with(paths, newLetterings, pictures, groups, cues, stack);
  }

  public Scene withGroups(List<Group> newGroups) {
    return with(paths, letterings, pictures, newGroups, cues, stack);
  }

  public Scene withPaths(List<GuidePath> newPaths) {
    return with(newPaths, letterings, pictures, groups, cues, stack);
  }

  public Scene withPath(GuidePath path) {
    return withPaths(paths.stream().map(p -> p.id().equals(path.id()) ? path : p).toList());
  }

  /** With a path put behind the others. */
  public Scene adding(GuidePath path) {
    List<GuidePath> all = new ArrayList<>(paths);
    all.add(path);
    return withPaths(List.copyOf(all));
  }

  public Scene withCues(List<Cue> newCues) {
    return with(paths, letterings, pictures, groups, newCues, stack);
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
    return with(
        paths,
        letterings.stream().filter(l -> !gone.contains(l.id())).toList(),
        pictures.stream().filter(p -> !gone.contains(p.id())).toList(),
        groups.stream()
            .filter(g -> !gone.contains(g.id()))
            .map(g -> g.with(g.members().stream().filter(m -> !gone.contains(m)).toList()))
            .toList(),
        cues,
        stack.stream().filter(s -> !gone.contains(s)).toList());
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

  public Scene withStack(List<String> newStack) {
    return with(paths, letterings, pictures, groups, cues, List.copyOf(newStack));
  }

  private Scene with(
      List<GuidePath> newPaths,
      List<Lettering> newLetterings,
      List<Picture> newPictures,
      List<Group> newGroups,
      List<Cue> newCues,
      List<String> newStack) {
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        background,
        newPaths,
        newLetterings,
        newPictures,
        newGroups,
        templates,
        newCues,
        blur,
        newStack,
        extras);
  }
}
