package rovingglyph.proof;

import com.eclipsesource.json.JsonObject;

/**
 * Something worth a look.
 *
 * @param item id of the item or path it is about; empty where it is the scene
 * @param time in seconds at which it shows; -1 where any will do
 * @param fix what a button that mends it says; empty where there is none
 * @param edit what the button does, as JSON; empty where there is none
 */
public record Finding(String message, String item, double time, String fix, String edit) {
  /** What nothing mends by itself. */
  static Finding of(String message, String item, double time) {
    return new Finding(message, item, time, "", "");
  }

  /** With a button that mends it. */
  Finding mendedBy(String button, JsonObject does) {
    return new Finding(message, item, time, button, does.toString());
  }
}
