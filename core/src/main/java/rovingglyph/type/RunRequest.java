package rovingglyph.type;

import java.util.Map;
import rovingglyph.geometry.Decimal;

/**
 * What has to be shaped: the text in a face.
 *
 * @param axes of a variable face, by OpenType tag; others keep the face's own default
 * @param ligatures off where tracking would tear them apart
 */
public record RunRequest(String face, Map<String, Double> axes, String text, boolean ligatures) {
  /** The same for equal requests and different for others. */
  public String key() {
    StringBuilder key = new StringBuilder(face).append('|');
    axes.keySet().stream()
        .sorted()
        .forEach(
            tag -> key.append(tag).append('=').append(Decimal.text(axes.get(tag), 4)).append(','));
    return key.append(ligatures ? "|l|" : "|-|").append(text).toString();
  }
}
