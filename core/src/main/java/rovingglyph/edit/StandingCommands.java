package rovingglyph.edit;

import static rovingglyph.edit.Arguments.CHANNEL;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Command.argument;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.journey.SideSwitch;
import rovingglyph.proof.LoopCheck;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits that depend on how the text stands, not only on the document. */
final class StandingCommands {
  private static final Field<Values, Seat.Side> SIDE =
      argument("side", Types.choice(Seat.Side.values()));

  static final List<Command> ALL =
      List.of(
          Command.standing(
              "closeLoop", "Closed the loop", List.of(ITEM, CHANNEL), StandingCommands::closed),
          Command.standing(
              "side",
              "Changed the side",
              List.of(ITEM, SIDE, PLAYHEAD),
              (target, v) -> {
                PreparedLettering l = lettering(target, v);
                return target.scene().withItem(SideSwitch.to(l, v.get(SIDE), v.get(PLAYHEAD)));
              }),
          Command.standing(
              "readable",
              "Made it upright",
              List.of(ITEM, PLAYHEAD),
              (target, v) -> {
                PreparedLettering l = lettering(target, v);
                return target.scene().withItem(SideSwitch.readable(l, v.get(PLAYHEAD)));
              }));

  private StandingCommands() {}

  /** The words that an edit names, as they stand. */
  static PreparedLettering lettering(Command.Target target, Values v) {
    PreparedScene prepared = target.prepared();
    PreparedLettering l = prepared == null ? null : prepared.letterings().get(v.get(ITEM));
    if (l == null) {
      throw wordsMissing();
    }
    return l;
  }

  private static IllegalArgumentException wordsMissing() {
    return new IllegalArgumentException("The words are still on their way; try again");
  }

  private static Scene closed(Command.Target target, Values v) {
    PreparedScene prepared = target.prepared();
    if (prepared == null) {
      throw wordsMissing();
    }
    for (LoopCheck.Difference d : LoopCheck.of(prepared)) {
      boolean asked = d.item().id().equals(v.get(ITEM)) && d.channel().equals(v.get(CHANNEL));
      if (asked && LoopCheck.canFix(d)) {
        double lap = lap(prepared, d);
        double length = prepared.scene().length();
        return prepared
            .scene()
            .with(
                d.item()
                    .with(
                        d.channel(),
                        d.sways() ? LoopCheck.looping(d, length) : LoopCheck.fixed(d, lap)));
      }
    }
    throw new IllegalArgumentException("This is closed already, or cannot be closed by itself");
  }

  /** What a value that goes along a path grows by once round; 0 where it goes along none. */
  private static double lap(PreparedScene prepared, LoopCheck.Difference d) {
    if (d.channel() == Channel.RIDE_OFFSET) {
      return prepared.carriage((Item) d.item()).track(0).length();
    }
    PreparedLettering l = prepared.letterings().get(d.item().id());
    return l == null ? 0 : l.seating(l.values(0)).lap();
  }
}
