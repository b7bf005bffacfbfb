package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.lettering;
import static rovingglyph.edit.Arguments.path;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Contour;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Follow;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Typesetting;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of letterings and the paths they sit on. */
final class Letterings {
  private static final FieldType<String> REFERENCE = Types.text(Types.LONGEST_ID);
  private static final Field<Values, String> ON_IF_THERE = argument("on", REFERENCE).usual("");
  private static final Field<Values, String> CIRCLE = argument("circle", REFERENCE).usual("");
  private static final Field<Values, String> TEXT =
      argument("text", Types.text(10_000)).usual("Your words");
  private static final Field<Values, String> ON = argument("on", Types.id());
  private static final Field<Values, Boolean> PINNED = argument("on", Types.flag()).usual(true);
  private static final Field<Values, String> ONE = argument("item", REFERENCE).optional();
  private static final Field<Values, List<String>> SEVERAL =
      argument("items", Types.ids(2200)).optional();
  private static final Field<Values, String> OF = argument("of", Types.id());
  private static final Field<Values, String> TO = argument("to", REFERENCE).usual("");

  static final List<Command> ALL =
      List.of(
          Command.of(
              "addLettering",
              "Added a lettering",
              List.of(ID, ON_IF_THERE, CIRCLE, TEXT),
              Letterings::add),
          Command.of("sit", "Seated on another path", List.of(ITEM, ON), Letterings::sit),
          Command.of("pin", "Pinned or let go", List.of(ITEM, PINNED), Letterings::pin),
          Command.of("deleteItem", "Deleted", List.of(ONE, SEVERAL), Letterings::deleteItem),
          Command.of("deletePath", "Deleted a path", List.of(OF, TO), Letterings::deletePath));

  private Letterings() {}

  /**
   * A new lettering {@code id} on top of the stack, on the path {@code on}, else on the last one if
   * nothing has that yet, else on a new circle {@code circle}: with its middle in the middle of the
   * path where it reads on there. Its size is a tenth of the frame's lesser side.
   */
  static Scene add(Scene scene, Values v) {
    Scene s = scene;
    GuidePath path = s.path(v.get(ON_IF_THERE));
    if (path == null && !s.paths().isEmpty()) {
      GuidePath last = s.paths().get(s.paths().size() - 1);
      path = StartCircles.isUsed(s, last.id()) ? null : last;
    }
    if (path == null) {
      path = StartCircles.next(s, v.get(CIRCLE));
      s = s.adding(path);
    }
    String id = v.get(ID);
    Lettering added =
        new Lettering(
            new ItemProperties(id, ""),
            v.get(TEXT),
            "bricolage-grotesque",
            "",
            Typesetting.PLAIN,
            path.id(),
            Seat.AT_START.aligned(align(GuideContour.of(path))),
            LetterEffects.PLAIN,
            Filling.PLAIN,
            startValues(Math.round(Math.min(s.width(), s.height()) * 0.1)),
            UnknownFields.NONE);
    return s.withItem(added).stacked(id);
  }

  private static Seat.TextAnchor align(Contour c) {
    boolean middle = c.at(c.length() / 2).tangent().x() >= 0;
    return middle || c.at(0).tangent().x() < 0 ? Seat.TextAnchor.MIDDLE : Seat.TextAnchor.START;
  }

  private static Map<Channel, AnimatedValue> startValues(double size) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>();
    Lettering.SEAT.forEach(c -> out.put(c, new AnimatedValue(Lettering.start(c))));
    Lettering.OWN.forEach(c -> out.put(c, new AnimatedValue(Lettering.start(c))));
    out.put(Channel.SIZE, new AnimatedValue(size));
    return out;
  }

  /** The lettering {@code item} on the path {@code on}; offsets keep their share of the length. */
  static Scene sit(Scene scene, Values v) {
    Lettering l = lettering(scene, v.get(ITEM));
    GuidePath to = path(scene, v.get(ON));
    return scene.withItem(Reshaping.onto(l, scene.path(l.path()), to));
  }

  /** Pins the resting point of a lettering to where it is, or {@code on: false} lets it go. */
  static Scene pin(Scene scene, Values v) {
    Lettering l = lettering(scene, v.get(ITEM));
    if (!v.get(PINNED)) {
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
  static Scene deleteItem(Scene scene, Values v) {
    List<String> all =
        v.get(SEVERAL) != null ? v.get(SEVERAL) : List.of(v.get(ONE) == null ? "" : v.get(ONE));
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
   * Takes a path away. Its letterings, and what has its shape, go to the path {@code to}, or each
   * keeps a copy of its own if that is left out.
   */
  static Scene deletePath(Scene scene, Values v) {
    GuidePath gone = path(scene, v.get(OF));
    String to = v.get(TO);
    if (!to.isEmpty()) {
      path(scene, to);
    }
    Scene out = scene;
    int copies = 0;
    for (Lettering l : scene.letterings()) {
      if (!l.path().equals(gone.id())) {
        continue;
      }
      if (!to.isEmpty()) {
        out = out.withItem(Reshaping.onto(l, gone, path(scene, to)));
      } else {
        String id = freeId(out, gone.id() + "-" + ++copies);
        out = out.adding(gone.with(gone.label().named(id, gone.name() + " (kept)")));
        out = out.withItem(l.on(id, l.seat()));
      }
    }
    for (Item i : out.items().values()) {
      if (FilledPaths.shaped(i, gone.id(), to) == i) {
        continue;
      }
      String id = to;
      if (to.isEmpty()) {
        id = freeId(out, gone.id() + "-shape");
        out = out.adding(gone.with(gone.label().named(id, gone.name() + " (kept)")));
      }
      out = out.withItem(FilledPaths.shaped(i, gone.id(), id));
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
