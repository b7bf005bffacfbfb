package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.document.MatteCheck;
import rovingglyph.frame.CutArea;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of foreground cuts. */
final class ForegroundCuts {
  private static final Field<Values, String> ALONG = argument("along", Types.id());

  static final List<Command> ALL =
      List.of(
          Command.of(
              "cutForeground",
              "Brought a part forward",
              List.of(ID, ITEM, ALONG, PLAYHEAD),
              ForegroundCuts::add),
          Command.of(
              "cutAlong",
              "Changed the path of a cut",
              List.of(ITEM, ALONG, PLAYHEAD),
              ForegroundCuts::along));

  private ForegroundCuts() {}

  /**
   * A new cut {@code id} of the {@code item} {@code along} a path, as both stand at the {@code
   * time}: on top of the stack, before all words.
   */
  private static Scene add(Scene scene, Values v) {
    Item source = item(scene, v.get(ITEM));
    GuidePath path = Arguments.path(scene, v.get(ALONG));
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    ForegroundCut.VALUES.forEach(c -> values.put(c, new AnimatedValue(ForegroundCut.start(c))));
    String of = source instanceof Lettering l ? l.text().strip() : source.name();
    ForegroundCut plain =
        new ForegroundCut(
            new ItemProperties(v.get(ID), shortened(of) + " in front"),
            source.id(),
            path.id(),
            Affine.IDENTITY,
            values,
            UnknownFields.NONE);
    ForegroundCut cut = standing(scene, plain, v.get(PLAYHEAD));
    return scene.withItem(cut).stacked(cut.id());
  }

  private static String shortened(String name) {
    String line = name.replace('\n', ' ');
    return line.length() > 40 ? line.substring(0, 39) + "\u2026" : line;
  }

  /** Another path for the cut {@code item}, as it stands at the {@code time}. */
  private static Scene along(Scene scene, Values v) {
    if (!(item(scene, v.get(ITEM)) instanceof ForegroundCut c)) {
      throw new IllegalArgumentException("Choose a foreground cut first");
    }
    GuidePath path = Arguments.path(scene, v.get(ALONG));
    return scene.withItem(standing(scene, c.on(path.id()), v.get(PLAYHEAD)));
  }

  /** With its path where that is now. */
  private static ForegroundCut standing(Scene scene, ForegroundCut c, double time) {
    if (MatteCheck.isCircular(scene.withItem(c), c.id())) {
      throw new IllegalArgumentException("A cut cannot be made of itself, or of what holds it");
    }
    CutArea area = CutArea.of(scene, c.in(Affine.IDENTITY));
    return c.in(area.map(time).inverse().near(area.edge(time).bounds().centre()));
  }
}
