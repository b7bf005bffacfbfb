package rovingglyph.bridge;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import rovingglyph.document.Spelling;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.journey.SideSwitch;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;

/** Edits that depend on how the text stands, not only on the document. */
final class SideEdits {
  private SideEdits() {}

  /** The changed lettering; null where the edit is another one. */
  static Lettering apply(PreparedScene prepared, boolean opened, String edit) {
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
