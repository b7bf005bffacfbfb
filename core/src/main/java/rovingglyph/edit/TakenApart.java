package rovingglyph.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.motion.MovingSums;
import rovingglyph.motion.Place;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;

/**
 * What a group does, worked into its members so that they look the same without it. Where no member
 * alone does the same, an {@link IllegalArgumentException} says what stands against it.
 */
final class TakenApart {
  private static final double NEAR = 1e-9;

  private final Group group;
  private final boolean single;
  private final boolean still;

  /** At time 0, which is all times where the group's place is still. */
  private final Affine map;

  /** Paths that were moved with members, by those that they were. */
  private final Map<String, String> paths = new HashMap<>();

  private Scene scene;

  private TakenApart(Scene scene, Group group) {
    this.scene = scene;
    this.group = group;
    this.single = group.members().size() == 1;
    this.map = Place.map(group, 0);
    this.still =
        List.of(Channel.X, Channel.Y, Channel.SCALE, Channel.ROTATION).stream()
            .noneMatch(c -> group.movable(c).moves());
  }

  /** The scene with the members as they are without the group, which still holds them. */
  static Scene of(Scene scene, Group group) {
    TakenApart t = new TakenApart(scene, group);
    t.checkGroup();
    for (String id : group.members()) {
      Item member = scene.item(id);
      Item placed = t.isPlain() ? member : t.placed(member);
      t.scene = t.scene.withItem(t.dressed(placed));
    }
    t.cuts();
    return t.scene;
  }

  private static IllegalArgumentException cannot(String why) {
    return new IllegalArgumentException("It cannot look the same without the group: " + why);
  }

  private boolean isPlain() {
    double off = Math.abs(map.e()) + Math.abs(map.f());
    return still && isUnscaled() && isUnturned() && off < NEAR;
  }

  private boolean isUnscaled() {
    AnimatedValue scale = group.movable(Channel.SCALE);
    return !scale.moves() && Math.abs(scale.base() - 1) < NEAR;
  }

  private boolean isUnturned() {
    AnimatedValue turn = group.movable(Channel.ROTATION);
    return !turn.moves() && Math.abs(Math.IEEEremainder(turn.base(), 360)) < NEAR;
  }

  private void checkGroup() {
    ItemProperties p = group.properties();
    AnimatedValue opacity = group.movable(Channel.OPACITY);
    boolean faded = opacity.moves() || opacity.base() < 100;
    if (p.effects().stream().anyMatch(e -> !e.off())) {
      throw cannot("its finish is one of all that is in it");
    }
    if (faded && !single) {
      throw cannot("it fades as one, and its parts would show through each other");
    }
    if (!single && p.blend() != BlendMode.NORMAL) {
      throw cannot("it is blended as one");
    }
    if (scene.blendsWithin(group)) {
      throw cannot("something in it is blended with what is in it only");
    }
    if (p.plane() != null) {
      throw cannot("it is turned in space as one");
    }
    if (p.ride() != null && p.ride().copies() > 1 && !single) {
      throw cannot("its copies lie over each other as a whole");
    }
  }

  /** What the group has beside its place, on a member. */
  private Item dressed(Item member) {
    ItemProperties of = group.properties();
    ItemProperties p = member.properties();
    String name = name(member);
    double from = Math.max(of.shownFrom(), p.shownFrom());
    double to = Math.min(of.shownTo(), p.shownTo());
    if (!(from < to)) {
      throw cannot(name + " is never there at the times of the group");
    }
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(member.values());
    p = p.shown(from, to).flagged(p.hidden() || of.hidden(), p.locked() || of.locked());
    if (of.clip() != null) {
      if (p.clip() != null) {
        throw cannot(name + " has a clip of its own");
      }
      p = p.clipped(of.clip());
      values.put(Channel.SOFT_EDGE, group.movable(Channel.SOFT_EDGE));
    }
    if (of.matte() != null) {
      if (p.matte() != null) {
        throw cannot(name + " is seen through something of its own");
      }
      p = p.measuredBy(of.matte());
    }
    if (of.blend() != BlendMode.NORMAL) {
      if (p.blend() != BlendMode.NORMAL) {
        throw cannot(name + " has a blend mode of its own");
      }
      p = p.blended(of.blend());
    }
    // A cut is where its source is, whatever the groups round it do.
    if (of.ride() != null && !(member instanceof ForegroundCut)) {
      if (p.ride() != null) {
        throw cannot(name + " rides a path of its own");
      }
      p = p.carried(of.ride());
      Channel.RIDE.forEach(c -> values.put(c, group.movable(c)));
    }
    if (of.pin() != null && !(member instanceof ForegroundCut)) {
      if (p.pin() != null) {
        throw cannot(name + " is pinned to footage by itself");
      }
      p = p.pinned(of.pin());
    }
    AnimatedValue opacity = group.movable(Channel.OPACITY);
    if (member.movable(Channel.OPACITY) != null) {
      AnimatedValue own = member.movable(Channel.OPACITY);
      AnimatedValue both = MovingSums.product(own, MovingSums.linear(opacity, 0.01, 0));
      if (both == null || (opacity.moves() && own.stagger() != null)) {
        throw cannot("both the group and " + name + " fade");
      }
      values.put(Channel.OPACITY, both);
    }
    return member.with(p, values);
  }

  /** A member with the place of the group in its own. */
  private Item placed(Item member) {
    String name = name(member);
    checkLengths(member, name);
    if (member.properties().ride() != null) {
      throw cannot(name + " rides a path within the group");
    }
    if (member.properties().plane() != null) {
      throw cannot(name + " is turned in space within the group");
    }
    if (member instanceof ForegroundCut) {
      return member;
    }
    Item out = clipped(member, name);
    if (out instanceof ColourField c && c.area() == ColourField.Area.FRAME) {
      throw cannot(name + " covers all of the frame");
    }
    if (out instanceof Transformed t) {
      Transformed joined = PlaceWithin.of(group, t);
      if (joined == null) {
        throw cannot("both the group and " + name + " move in ways that no single motion does");
      }
      return joined;
    }
    if (!still) {
      throw cannot(name + " is on a path, and the group moves");
    }
    if (out instanceof Lettering l) {
      if (!isUnscaled()) {
        throw cannot("the words " + name + " are scaled by it");
      }
      return l.on(moved(l.path(), name), l.seat());
    }
    if (out instanceof FilledPath f) {
      double k = group.movable(Channel.SCALE).base();
      FilledPath on = f.on(moved(f.path(), name));
      return on.with(
          Channel.STROKE_WIDTH, MovingSums.linear(f.movable(Channel.STROKE_WIDTH), k, 0));
    }
    throw cannot(name + " is of a kind that is not known");
  }

  /** Effects are measured in the pixels round the item: those of the group, before. */
  private void checkLengths(Item member, String name) {
    for (Effect e : member.properties().effects()) {
      if (!e.off() && !isUnscaled()) {
        throw cannot("the finish of " + name + " is scaled by it");
      }
      boolean falls = e.kind() == Effect.Kind.DROP_SHADOW || e.kind() == Effect.Kind.CAST_SHADOW;
      if (!e.off() && falls && (!isUnturned() || e.kind() == Effect.Kind.CAST_SHADOW)) {
        throw cannot("it moves the shadow of " + name);
      }
    }
  }

  private Item clipped(Item member, String name) {
    Clip clip = member.properties().clip();
    if (clip == null) {
      return member;
    }
    if (!still) {
      throw cannot("it moves the clip of " + name);
    }
    Clip moved = new Clip(moved(clip.path(), name), clip.inverted(), clip.extras());
    Item out = member.with(member.properties().clipped(moved));
    double k = group.movable(Channel.SCALE).base();
    return out.with(Channel.SOFT_EDGE, MovingSums.linear(out.movable(Channel.SOFT_EDGE), k, 0));
  }

  /** The id of a path where the group brings it: itself, if nothing else is on it, else a copy. */
  private String moved(String id, String name) {
    if (paths.containsKey(id)) {
      return paths.get(id);
    }
    GuidePath path = scene.path(id);
    if (GuideContour.moves(path) || path.label().pin() != null) {
      throw cannot("the path of " + name + " moves within it");
    }
    GuidePath there = PathEdits.mapped(path, map, 0);
    if (group.members().containsAll(users(id))) {
      scene = scene.withPath(there);
      paths.put(id, id);
      return id;
    }
    String free = id + "-apart";
    while (scene.mover(free) != null) {
      free += "x";
    }
    scene = scene.adding(there.with(there.label().named(free, path.name() + " (moved)")));
    paths.put(id, free);
    return free;
  }

  private List<String> users(String path) {
    List<String> out = new ArrayList<>();
    for (Item i : scene.items().values()) {
      Ride ride = i.properties().ride();
      Clip clip = i.properties().clip();
      boolean on =
          (i instanceof Lettering l && l.path().equals(path))
              || (i instanceof FilledPath f && f.path().equals(path))
              || (clip != null && clip.path().equals(path));
      boolean elsewhere =
          (ride != null && ride.path().equals(path))
              || (i instanceof ForegroundCut c && c.path().equals(path));
      if (elsewhere) {
        // It lies in other pixels there, and is not to be moved.
        out.add("");
      } else if (on) {
        out.add(i.id());
      }
    }
    return out;
  }

  /** Cuts of members that have no place of their own go with their paths. */
  private void cuts() {
    for (ForegroundCut c : scene.foregroundCuts()) {
      boolean of = group.members().contains(c.source());
      if (of && !isPlain() && !(scene.item(c.source()) instanceof Transformed)) {
        scene = scene.withItem(c.in(map.times(c.inSource())));
      }
    }
  }

  private static String name(Item item) {
    String name = item instanceof Lettering l && l.name().isEmpty() ? l.text() : item.name();
    return "\u201c" + name.strip() + "\u201d";
  }
}
