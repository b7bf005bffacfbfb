package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.CutArea;
import rovingglyph.frame.GroupTransform;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Projection;
import rovingglyph.motion.Place;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;

/** Groups that bring things where items, and the paths that carry them, bring them. */
final class PlacesSvg {
  private final PreparedScene prepared;
  private final Scene scene;
  private final SvgClock clock;
  private final MovingValues values;
  private final SharedMotions motions;

  PlacesSvg(PreparedScene prepared, SvgClock clock, MovingValues values, SharedMotions motions) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.clock = clock;
    this.values = values;
    this.motions = motions;
  }

  /**
   * What an item is, where what it is pinned to, the path that carries it and its plane bring it.
   */
  String carried(Item item, String contents) {
    String turned = isTurned(item) ? closed(turned(item, false), contents) : contents;
    String out =
        copies(item) == 0 ? turned : new RideSvg(prepared, clock, item, motions).write(turned);
    return isPinned(item) ? closed(pinned(item, false), out) : out;
  }

  private static boolean isPinned(Item item) {
    return item.properties().pin() != null;
  }

  private String pinned(Item item, boolean back) {
    return new PinSvg(prepared, clock, item, motions, "pin", t -> prepared.pinned(item, t))
        .begin(back);
  }

  /** Whether it lies in a plane as one flat picture: letters that stand in it are so already. */
  private static boolean isTurned(Item item) {
    Plane plane = item.properties().plane();
    return plane != null && !(item instanceof Lettering && plane.isDeep());
  }

  private String turned(Item item, boolean back) {
    return new PinSvg(prepared, clock, item, motions, "plane", t -> prepared.plane(item, t))
        .begin(back);
  }

  /** Begins the groups of what moves an item besides its own place, or undoes that. */
  private String carriage(Item item, boolean back) {
    String pin = isPinned(item) ? pinned(item, back) : "";
    String ride =
        copies(item) > 0 ? new RideSvg(prepared, clock, item, motions).begin(0, back) : "";
    String plane = isTurned(item) ? turned(item, back) : "";
    return back ? plane + ride + pin : pin + ride + plane;
  }

  /** How many of it are carried along a path; 0 where none carries it. */
  static int copies(Item item) {
    return item.properties().ride() == null ? 0 : item.properties().ride().copies();
  }

  /**
   * Something in the pixels round another item, where it stands in the frame, in those round an
   * item.
   *
   * @param between begins a group in the pixels of the frame; empty where none is needed
   */
  String elsewhere(String name, Item item, String other, String between, String contents) {
    List<Group> here = scene.groupsRound(item.id());
    List<Group> there = scene.groupsRound(other);
    int both = 0;
    while (between.isEmpty()
        && both < Math.min(here.size(), there.size())
        && here.get(both).id().equals(there.get(both).id())) {
      both++;
    }
    StringBuilder out = new StringBuilder();
    for (int i = here.size() - 1; i >= both; i--) {
      out.append(moved(name + "-out" + i, here.get(i), true));
    }
    out.append(between);
    for (int i = both; i < there.size(); i++) {
      out.append(moved(name + "-in" + i, there.get(i), false));
    }
    return closed(out, contents);
  }

  /** What groups begin with, what is in them, and their ends. */
  private static String closed(CharSequence begun, String contents) {
    StringBuilder ends = new StringBuilder();
    for (String tag : begun.toString().strip().split("<")) {
      if (!tag.isEmpty()) {
        ends.insert(0, "</" + tag.split("[ >]")[0] + ">\n");
      }
    }
    return begun + contents + ends;
  }

  /** Begins groups that stand as one of the scene does, or undoes that. */
  private String moved(String name, Group g, boolean back) {
    List<String> animations = new ArrayList<>();
    String place = back ? values.inverse(name, g, animations) : values.place(name, g, animations);
    values.animate(name, animations);
    String own = "<g class=\"" + name + "\"" + Ink.style(place) + ">\n";
    return back ? own + carriage(g, true) : carriage(g, false) + own;
  }

  /** The area of a cut, in the pixels round the cut. */
  String area(String name, ForegroundCut c, String contents) {
    Item source = scene.item(c.source());
    StringBuilder begun = new StringBuilder();
    begun.append(carriage(source, false));
    if (source instanceof Transformed t) {
      List<String> animations = new ArrayList<>();
      String own = name + "-place";
      String place = values.place(own, t, animations);
      values.animate(own, animations);
      begun.append("<g class=\"" + own + "\"" + Ink.style(place) + ">\n");
    }
    begun.append(new CutSvg(prepared.cutArea(c), clock).inSource());
    return elsewhere(name, c, c.source(), "", closed(begun, contents));
  }

  /** The most px of the frame that one of something's own is in any frame. */
  static double largest(Transformed item, Scene scene) {
    GroupTransform groups = GroupTransform.of(scene, item.id());
    double most = 0;
    for (int i = 0; i < scene.frameCount(); i++) {
      double t = scene.rate().timeOf(i);
      Affine m = groups.map(t).times(Place.map(item, t)).near(item.centre());
      most = Math.max(most, Math.max(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d())));
    }
    return most;
  }

  /** Px round a cut of one of its path's. */
  double unit(ForegroundCut c, double time) {
    CutArea area = prepared.cutArea(c);
    Projection map = prepared.round(c.id(), time).inverse();
    map = map.times(prepared.round(c.source(), time)).times(area.map(time));
    Affine near = map.near(area.edge(time).bounds().centre());
    return Math.hypot(near.a(), near.b());
  }
}
