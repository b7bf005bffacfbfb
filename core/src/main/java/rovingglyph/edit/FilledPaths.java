package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Trail;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of filled paths, and of what else is shaped by a path. */
final class FilledPaths {
  private static final double LINE = 6;
  private static final Field<Values, String> ON = argument("on", Types.id());

  static final List<Command> ALL =
      List.of(Command.of("fillPath", "Filled a path", List.of(ID, ON), FilledPaths::add));

  private FilledPaths() {}

  /**
   * A new item {@code id} in the shape of the path {@code on}, below all words: filled where the
   * path is closed, a line where it is open.
   */
  private static Scene add(Scene scene, Values v) {
    GuidePath path = Arguments.path(scene, v.get(ON));
    boolean closed = GuideContour.of(path).closed();
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    FilledPath.VALUES.forEach(c -> values.put(c, new AnimatedValue(FilledPath.start(c))));
    if (!closed) {
      values.put(Channel.STROKE_WIDTH, new AnimatedValue(LINE));
    }
    String id = v.get(ID);
    FilledPath item =
        new FilledPath(
            new ItemProperties(id, path.name()),
            path.id(),
            closed,
            Trail.Cap.ROUND,
            values,
            UnknownFields.NONE);
    return Pictures.withGround(scene, item);
  }

  /** An item with one path in the place of another: filled, cut along, ridden, clipped to. */
  static Item shaped(Item item, String from, String to) {
    Item out = item instanceof FilledPath f && f.path().equals(from) ? f.on(to) : item;
    out = out instanceof ForegroundCut c && c.path().equals(from) ? c.on(to) : out;
    Ride ride = out.properties().ride();
    if (ride != null && ride.path().equals(from)) {
      out = out.with(out.properties().carried(ride.on(to)));
    }
    Clip clip = out.properties().clip();
    if (clip == null || !clip.path().equals(from)) {
      return out;
    }
    Clip moved = new Clip(to, clip.inverted(), clip.extras());
    return out.with(out.properties().clipped(moved));
  }
}
