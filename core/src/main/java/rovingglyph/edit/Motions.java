package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import rovingglyph.document.MotionCodec;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.schema.DocumentException;

/** Cruise, sway, stagger and what is followed, as an edit names them. */
final class Motions {
  private Motions() {}

  /** Fields that the edit names are set, those it names as null are taken away. */
  static AnimatedValue apply(AnimatedValue m, Channel channel, JsonObject edit) {
    try {
      return MotionCodec.changed(m, channel, edit);
    } catch (DocumentException e) {
      throw new IllegalArgumentException(e.problems().get(0).sentence());
    }
  }

  /** Copied keyframes, as a document has them. */
  static List<Keyframe> keys(JsonValue json, Channel channel) {
    try {
      return MotionCodec.keys(json, channel);
    } catch (DocumentException e) {
      throw new IllegalArgumentException(
          "What was copied does not fit "
              + channel.label().toLowerCase()
              + ": "
              + e.problems().get(0).sentence());
    }
  }
}
