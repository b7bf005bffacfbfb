package rovingglyph.bridge;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.journey.SideSwitch;
import rovingglyph.proof.LoopCheck;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.schema.Spelling;

/** Edits that depend on how the text stands, not only on the document. */
final class StandingEdits {
  private StandingEdits() {}

  /** The edited scene; null where the edit is another one. */
  static Scene apply(PreparedScene prepared, boolean opened, String edit) {
    JsonObject e = Json.parse(edit).asObject();
    if (e.getString("op", "").equals("closeLoop")) {
      return closed(prepared, e);
    }
    Lettering changed = switched(prepared, opened, edit);
    return changed == null ? null : prepared.scene().withItem(changed);
  }

  private static Scene closed(PreparedScene prepared, JsonObject e) {
    for (LoopCheck.Difference d : LoopCheck.of(prepared)) {
      boolean asked =
          d.item().id().equals(e.getString("item", ""))
              && d.channel().field().equals(e.getString("channel", ""));
      if (asked && LoopCheck.canFix(d)) {
        PreparedLettering l = prepared.letterings().get(d.item().id());
        double lap = l == null ? 0 : l.seating(l.values(0)).track().length();
        return prepared
            .scene()
            .with(
                d.item()
                    .with(
                        d.channel(),
                        d.sways()
                            ? LoopCheck.looping(d, prepared.scene().length())
                            : LoopCheck.fixed(d, lap)));
      }
    }
    throw new IllegalArgumentException("This is closed already, or cannot be closed by itself");
  }

  private static Lettering switched(PreparedScene prepared, boolean opened, String edit) {
    JsonObject e = Json.parse(edit).asObject();
    String op = e.getString("op", "");
    if (!op.equals("side") && !op.equals("readable")) {
      return null;
    }
    PreparedLettering l = opened ? prepared.letterings().get(e.getString("item", "")) : null;
    if (l == null) {
      throw new IllegalArgumentException("The words are still on their way; try again");
    }
    double time = e.getDouble("time", 0);
    if (op.equals("readable")) {
      return SideSwitch.readable(l, time);
    }
    Seat.Side side = Spelling.find(Seat.Side.values(), e.getString("side", ""));
    if (side == null) {
      throw new IllegalArgumentException("There is no side " + e.get("side"));
    }
    return SideSwitch.to(l, side, time);
  }
}
