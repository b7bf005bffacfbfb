package rovingglyph.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Every kind of edit. */
public final class Commands {
  private static final Map<String, Command> BY_OP = byOp();

  private Commands() {}

  private static Map<String, Command> byOp() {
    Map<String, Command> out = new LinkedHashMap<>();
    List.of(
            ValueCommands.ALL,
            KeyframeCommands.ALL,
            RecipeCommands.ALL,
            Cues.ALL,
            Guides.ALL,
            Followers.ALL,
            Letterings.ALL,
            ReadyPieces.ALL,
            Fillings.ALL,
            Shown.ALL,
            Groups.ALL,
            Appearances.ALL,
            Rides.ALL,
            Planes.ALL,
            CastShadows.ALL,
            ColourFields.ALL,
            Pictures.ALL,
            Drawings.ALL,
            FilledPaths.ALL,
            ForegroundCuts.ALL,
            Insets.ALL,
            Pins.ALL,
            Changes.ALL,
            Reframing.ALL,
            CopiedParts.ALL,
            Copies.ALL,
            NewPaths.ALL,
            PathCommands.ALL,
            PointCommands.ALL,
            StandingCommands.ALL)
        .forEach(
            list ->
                list.forEach(
                    c -> {
                      if (out.put(c.op(), c) != null) {
                        throw new IllegalStateException("Two edits are called " + c.op());
                      }
                    }));
    return out;
  }

  /** Every kind of edit, in the order of the registry. */
  public static List<Command> all() {
    return new ArrayList<>(BY_OP.values());
  }

  /** Null if there is none of that word. */
  static Command of(String op) {
    return BY_OP.get(op);
  }
}
