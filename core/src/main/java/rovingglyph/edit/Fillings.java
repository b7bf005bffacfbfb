package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.lettering;
import static rovingglyph.edit.Command.argument;

import java.util.List;
import java.util.stream.Stream;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of what letters are filled with. */
final class Fillings {
  private static final Field<Values, Filling.Kind> FILLING =
      argument("filling", Types.choice(Filling.Kind.values())).optional();
  private static final Field<Values, Filling.Across> ACROSS =
      argument("across", Types.choice(Filling.Across.values())).optional();

  static final List<Command> ALL =
      List.of(
          Command.of(
              "fillLetters", "Changed a filling", List.of(ITEM, FILLING, ACROSS), Fillings::fill));

  /** Where a gradient begins and ends. */
  static final List<Channel> ENDS =
      List.of(Channel.FROM_X, Channel.FROM_Y, Channel.TO_X, Channel.TO_Y);

  /** A colour that goes with the first one of a new gradient. */
  private static final int SECOND = 0xE07A3F;

  private Fillings() {}

  /**
   * Another kind of filling of the lettering {@code item}, or across something else. A gradient
   * that has no stops yet goes from its colour to another; one whose ends nobody has moved goes
   * across the whole of what it is across.
   */
  private static Scene fill(Scene scene, Values v) {
    Lettering l = lettering(scene, v.get(ITEM));
    Filling before = l.filling();
    Filling.Kind kind = v.get(FILLING) == null ? before.kind() : v.get(FILLING);
    Filling.Across across = v.get(ACROSS) == null ? before.across() : v.get(ACROSS);
    List<Gradient.Stop> stops = before.stops();
    if (stops.size() < 2) {
      int colour = (int) l.movable(Channel.FILL).base();
      stops =
          List.of(
              new Gradient.Stop(0, colour, 100, UnknownFields.NONE),
              new Gradient.Stop(100, SECOND, 100, UnknownFields.NONE));
    }
    Lettering out = l.with(new Filling(kind, across, stops));
    if (areUntouched(l)) {
      double[] ends = wholeOf(kind, across);
      for (int i = 0; i < ends.length; i++) {
        out = out.with(ENDS.get(i), new AnimatedValue(ends[i]));
      }
    }
    return scene.withItem(out);
  }

  /** From the top to the bottom, or along; what radiates does so from the middle. */
  private static double[] wholeOf(Filling.Kind kind, Filling.Across across) {
    boolean along = across == Filling.Across.RUN || across == Filling.Across.PATH;
    if (kind == Filling.Kind.RADIAL) {
      return new double[] {50, along ? 0 : 50, 100, along ? 0 : 50};
    }
    return along ? new double[] {0, 0, 100, 0} : new double[] {0, 0, 0, 100};
  }

  private static boolean areUntouched(Lettering l) {
    boolean still = ENDS.stream().noneMatch(c -> l.movable(c).moves() || l.movable(c).keyed());
    return still
        && Stream.of(Filling.Kind.LINEAR, Filling.Kind.RADIAL)
            .flatMap(k -> Stream.of(Filling.Across.values()).map(a -> wholeOf(k, a)))
            .anyMatch(w -> isAt(l, w));
  }

  private static boolean isAt(Lettering l, double[] ends) {
    for (int i = 0; i < ends.length; i++) {
      if (l.movable(ENDS.get(i)).base() != ends[i]) {
        return false;
      }
    }
    return true;
  }
}
