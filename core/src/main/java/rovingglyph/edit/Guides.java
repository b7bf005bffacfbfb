package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.Guide;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of the lines across the stage. */
final class Guides {
  private static final Field<Values, String> GUIDE = argument("guide", Types.id());
  private static final Field<Values, Boolean> UPRIGHT = argument("upright", Types.flag());
  private static final Field<Values, Double> AT = argument("at", Types.number(-1e6, 1e6, "px"));

  static final List<Command> ALL =
      List.of(
          Command.of("addGuide", "Added a guide", List.of(ID, UPRIGHT, AT), Guides::add),
          Command.of("moveGuide", "Moved a guide", List.of(GUIDE, AT), Guides::move),
          Command.of("deleteGuide", "Removed a guide", List.of(GUIDE), Guides::delete));

  private Guides() {}

  private static Scene add(Scene scene, Values v) {
    List<Guide> all = new ArrayList<>(scene.guides());
    all.add(new Guide(v.get(ID), v.get(UPRIGHT), v.get(AT), UnknownFields.NONE));
    return scene.withGuides(all);
  }

  private static Scene move(Scene scene, Values v) {
    Guide moved = guide(scene, v);
    return scene.withGuides(
        scene.guides().stream().map(g -> g == moved ? g.movedTo(v.get(AT)) : g).toList());
  }

  private static Scene delete(Scene scene, Values v) {
    Guide gone = guide(scene, v);
    return scene.withGuides(scene.guides().stream().filter(g -> g != gone).toList());
  }

  private static Guide guide(Scene scene, Values v) {
    return scene.guides().stream()
        .filter(g -> g.id().equals(v.get(GUIDE)))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("There is no such guide any more"));
  }
}
