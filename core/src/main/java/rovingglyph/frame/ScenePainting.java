package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Place;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Clip;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** Puts the items of a scene into a frame at one time, in one sample of its shutter. */
final class ScenePainting {
  private final PreparedScene prepared;
  private final Scene scene;
  private final Frame frame;
  private final double time;
  private final double shutter;

  /**
   * @param shutter where in the time that the shutter is open, -0.5 to 0.5; each item by its own
   *     shutter angle
   */
  ScenePainting(PreparedScene prepared, Frame frame, double time, double shutter) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.frame = frame;
    this.time = time;
    this.shutter = shutter;
  }

  /**
   * Items and what is in them, but for hidden ones.
   *
   * @param map of the pixels round them to those of the frame
   */
  void paint(List<String> ids, Space map) {
    new StackOrder(scene, ids)
        .each(
            (id, half) -> {
              Half outer = frame.half();
              frame.halved(half);
              paint(scene.item(id), map);
              frame.halved(outer);
            });
  }

  /** Paints an item for another one of which only a half may be painted. */
  private void wholly(Item item, Space map) {
    Half outer = frame.half();
    frame.halved(Half.ALL);
    paint(item, map);
    frame.halved(outer);
  }

  private void paint(Item item, Space map) {
    double at = prepared.opened(item, time, shutter);
    boolean there = item.properties().shownAt(time) && prepared.isPainted(item);
    double opacity = there ? opacity(item, at) : 0;
    if (opacity <= 0) {
      return;
    }
    List<Space> rides = prepared.rides(item, at);
    // As in CSS, what effects make of an item is faded with it.
    boolean whole = rides.size() > 1 || overlaps(item, at) || Appearance.adds(item);
    double alpha = whole ? opacity : 1;
    boolean isolated = item instanceof Group g && scene.blendsWithin(g);
    new Appearance(item, alpha, isolated, at, map, near(item, map, at))
        .paint(
            frame,
            clip(item, at),
            () -> {
              Item by = scene.item(item.properties().matte().item());
              wholly(by, elsewhere(item, by, map));
            },
            round -> {
              for (Space ride : rides) {
                contents(item, round.times(ride), at, whole ? 1 : opacity);
              }
            });
  }

  /** What lengths of an item's finish go by; in perspective it takes as long as the item itself. */
  private Affine near(Item item, Space map, double at) {
    Projection plane = map.plane();
    boolean asked = Appearance.hasLengths(item) && !plane.isFlat();
    return asked ? prepared.near(item.id(), plane, at) : plane.flat();
  }

  private double opacity(Item item, double at) {
    if (item instanceof Group g) {
      return Place.alpha(g, at);
    }
    return item instanceof ForegroundCut c
        ? prepared.cutArea(c).opacity(at)
        : prepared.items().get(item.id()).opacity(at);
  }

  private boolean overlaps(Item item, double at) {
    return item instanceof Group
        || item instanceof ForegroundCut
        || prepared.items().get(item.id()).overlaps(at);
  }

  /**
   * One copy of an item, without its appearance but for its outlines.
   *
   * @param map of the item's pixels to those of the frame
   * @param opacity what it is painted with, if it is not faded as a whole
   */
  void contents(Item item, Space map, double at, double opacity) {
    frame.mapped(map);
    if (item instanceof Group g) {
      outlined(g, map, at, () -> paint(g.members(), map.times(Place.map(g, at))));
    } else if (item instanceof ForegroundCut c) {
      outlined(c, map, at, () -> cut(c, map, at));
    } else {
      prepared.items().get(item.id()).paint(frame, at, opacity, outlines(item, at));
    }
  }

  private Outlines outlines(Item item, double at) {
    return Outlines.of(item, at, new Rect(0, 0, scene.width(), scene.height()));
  }

  /** Something with its outlines: of a group they go round each of its members. */
  private void outlined(Item item, Space map, double at, Runnable contents) {
    Outlines outlines = outlines(item, at);
    outlines.beneath(frame, () -> shapes(item, map, at), prepared.solid(item));
    contents.run();
    frame.mapped(map);
    outlines.over(frame, () -> shapes(item, map, at));
  }

  /** The item that is cut, once more, and as much of it as lies in the path. */
  private void cut(ForegroundCut c, Space map, double at) {
    Item source = scene.item(c.source());
    Space there = elsewhere(c, source, map);
    frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    wholly(source, there);
    frame.matte(false);
    prepared.cutArea(c).paint(frame, there, at);
    frame.pop();
  }

  /**
   * Where another item stands that is painted for one: in the frame, whatever groups either is in.
   * Copies and shadows of a group are all like the group itself: there the other stands as it does
   * to that.
   *
   * @param map of the pixels round the item, or one copy of it, to those of the frame
   */
  private Space elsewhere(Item item, Item other, Space map) {
    Space here = prepared.round(item.id(), time, shutter);
    Space there = prepared.round(other.id(), time, shutter);
    return here.equals(map)
        ? there
        : Space.of(map.plane().times(here.plane().inverse())).times(there);
  }

  /** What of a group or a cut is outlined, in the pixels of the item. */
  private List<ItemShape> shapes(Item item, Space map, double at) {
    if (item instanceof ForegroundCut c) {
      Space source = elsewhere(c, scene.item(c.source()), map);
      Projection back = map.plane().inverse().times(source.plane());
      return prepared.cutArea(c).shapes(at).stream().map(s -> s.within(back, 1)).toList();
    }
    List<ItemShape> out = new ArrayList<>();
    Group group = (Group) item;
    Affine placed = Place.map(group, at);
    for (String id : group.members()) {
      Item member = scene.item(id);
      boolean there = member.properties().shownAt(at) && prepared.isPainted(member);
      if (member.hidden() || !there) {
        continue;
      }
      double opacity = opacity(member, at);
      for (Space ride : prepared.rides(member, at)) {
        Space inner = Space.FLAT.times(placed).times(ride);
        out.addAll(shapesOf(member, inner, map.times(inner), opacity, at));
      }
    }
    return out;
  }

  /**
   * What of an item is outlined, in the pixels round something that it is in.
   *
   * @param inner how things in the item are seen there
   * @param map the same in the frame
   * @param opacity of it there
   */
  List<ItemShape> shapesOf(Item item, Space inner, Space map, double opacity, double at) {
    PreparedItem plain = prepared.items().get(item.id());
    List<ItemShape> own = plain == null ? shapes(item, map, at) : plain.shapes(at, inner);
    Projection rest = plain != null && plain.isDeep() ? Projection.IDENTITY : inner.plane();
    return own.stream().map(s -> s.within(rest, opacity)).toList();
  }

  /** The path that an item is clipped to; null where it is not. */
  private Contour clip(Item item, double at) {
    Clip clip = item.properties().clip();
    return clip == null ? null : prepared.paths().get(clip.path()).at(at);
  }
}
