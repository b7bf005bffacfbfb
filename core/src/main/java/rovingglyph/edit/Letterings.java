package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Contour;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Follow;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.Typesetting;
import rovingglyph.scene.UnknownFields;

/** Edits of letterings and the paths they sit on. */
final class Letterings {
  private Letterings() {}

  private static Lettering lettering(Scene scene, JsonObject edit) {
    if (scene.item(edit.getString("item", "")) instanceof Lettering l) {
      return l;
    }
    throw new IllegalArgumentException("There is no lettering " + edit.get("item"));
  }

  /**
   * A new lettering {@code id} on top of the stack, on the path {@code on}, else on the last one,
   * else on a new circle {@code circle}. Its size is a tenth of the frame's lesser side.
   */
  static Scene add(Scene scene, JsonObject edit) {
    Scene s = scene;
    String on = edit.getString("on", "");
    if (s.path(on) == null && s.paths().isEmpty()) {
      PathLabel label = new PathLabel(edit.getString("circle", ""), ShapeKind.CIRCLE.word() + " 1");
      s = s.adding(NewPaths.shape(ShapeKind.CIRCLE, label, s.width(), s.height()));
    }
    String path = s.path(on) != null ? on : s.paths().get(s.paths().size() - 1).id();
    String id = edit.getString("id", "");
    Lettering added =
        new Lettering(
            new ItemProperties(id, ""),
            edit.getString("text", "Your words"),
            "bricolage-grotesque",
            "",
            Typesetting.PLAIN,
            path,
            Seat.AT_START,
            LetterEffects.PLAIN,
            startValues(Math.round(Math.min(s.width(), s.height()) * 0.1)),
            UnknownFields.NONE);
    return s.withItem(added).stacked(id);
  }

  private static Map<Channel, AnimatedValue> startValues(double size) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>();
    Lettering.SEAT.forEach(c -> out.put(c, new AnimatedValue(Lettering.start(c))));
    Lettering.OWN.forEach(c -> out.put(c, new AnimatedValue(Lettering.start(c))));
    out.put(Channel.SIZE, new AnimatedValue(size));
    return out;
  }

  /** The lettering {@code item} on the path {@code on}; offsets keep their share of the length. */
  static Scene sit(Scene scene, JsonObject edit) {
    Lettering l = lettering(scene, edit);
    GuidePath to = PathOps.path(scene, edit.getString("on", ""));
    return scene.withItem(Reshaping.onto(l, scene.path(l.path()), to));
  }

  /** Pins the resting point of a lettering to where it is, or {@code on: false} lets it go. */
  static Scene pin(Scene scene, JsonObject edit) {
    Lettering l = lettering(scene, edit);
    if (!edit.getBoolean("on", true)) {
      return scene.withItem(l.with(l.seat().pinned(null)));
    }
    Contour c = GuideContour.of(scene.path(l.path()));
    Seat s = l.seat();
    double from = l.movable(Channel.START_MARGIN).base();
    double room = c.length() - from - l.movable(Channel.END_MARGIN).base();
    double rest =
        switch (s.align()) {
          case START -> from;
          case MIDDLE -> from + room / 2;
          case END -> from + room;
        };
    return scene.withItem(l.with(s.pinned(s.side() == Seat.Side.RIGHT ? c.length() - rest : rest)));
  }

  /**
   * Takes the item {@code item}, or all of {@code items}, away, groups with all in them; values
   * that followed one of them stay where they begin.
   */
  static Scene deleteItem(Scene scene, JsonObject edit) {
    JsonValue several = edit.get("items");
    List<String> all = new ArrayList<>();
    if (several != null && several.isArray()) {
      several.asArray().forEach(v -> all.add(v.asString()));
    } else {
      all.add(edit.getString("item", ""));
    }
    Scene out = scene;
    for (String gone : all) {
      if (scene.item(gone) == null) {
        throw new IllegalArgumentException("There is no such item any more");
      }
      // One that stood in a group that is gone already is gone with it.
      out = out.item(gone) == null ? out : out.without(gone);
    }
    for (Lettering l : out.letterings()) {
      Lettering free = l;
      for (Map.Entry<Channel, AnimatedValue> e : l.values().entrySet()) {
        Follow f = e.getValue().follow();
        if (f != null && out.item(f.lettering()) == null) {
          double value = e.getKey().clamp(Timeline.value(e.getValue(), 0));
          free = free.with(e.getKey(), e.getValue().with((Follow) null).with(value));
        }
      }
      out = out.withItem(free);
    }
    return out;
  }

  /**
   * Takes a path away. Its letterings, and what is clipped to it, go to the path {@code to}, or
   * each keeps a copy of its own if that is left out.
   */
  static Scene deletePath(Scene scene, JsonObject edit) {
    GuidePath gone = PathOps.path(scene, edit.getString("of", ""));
    String to = edit.getString("to", "");
    Scene out = scene;
    int copies = 0;
    for (Lettering l : scene.letterings()) {
      if (!l.path().equals(gone.id())) {
        continue;
      }
      if (!to.isEmpty()) {
        out = out.withItem(Reshaping.onto(l, gone, PathOps.path(scene, to)));
      } else {
        String id = freeId(out, gone.id() + "-" + ++copies);
        out = out.adding(gone.with(gone.label().named(id, gone.name() + " (kept)")));
        out = out.withItem(l.on(id, l.seat()));
      }
    }
    for (Item i : out.items().values()) {
      Clip clip = i.properties().clip();
      if (clip == null || !clip.path().equals(gone.id())) {
        continue;
      }
      String id = to;
      if (to.isEmpty()) {
        id = freeId(out, gone.id() + "-clip");
        out = out.adding(gone.with(gone.label().named(id, gone.name() + " (kept)")));
      }
      Clip moved = new Clip(id, clip.inverted(), clip.extras());
      out = out.withItem(i.with(i.properties().clipped(moved)));
    }
    return out.withPaths(out.paths().stream().filter(p -> !p.id().equals(gone.id())).toList());
  }

  private static String freeId(Scene scene, String wanted) {
    String id = wanted;
    while (scene.mover(id) != null) {
      id += "x";
    }
    return id;
  }
}
