package rovingglyph.type;

import java.util.Map;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Typesetting;

/**
 * What has to be shaped: the text in a face.
 *
 * @param axes of a variable face, by OpenType tag; others keep the face's own default
 * @param ligatures off where tracking would tear them apart
 * @param casing what is made of the letters' case before shaping
 * @param features OpenType features by tag, beside those that the face has on by itself
 */
public record RunRequest(
    String face,
    Map<String, Double> axes,
    String text,
    boolean ligatures,
    Typesetting.Casing casing,
    Map<String, Integer> features) {
  /** Text as typed, with the features that the face has on by itself. */
  public static RunRequest plain(
      String face, Map<String, Double> axes, String text, boolean ligatures) {
    return new RunRequest(face, axes, text, ligatures, Typesetting.Casing.AS_TYPED, Map.of());
  }

  /** The same for equal requests and different for others. */
  public String key() {
    StringBuilder key = new StringBuilder(face).append('|');
    axes.keySet().stream()
        .sorted()
        .forEach(
            tag -> key.append(tag).append('=').append(Decimal.text(axes.get(tag), 4)).append(','));
    key.append(ligatures ? "|l|" : "|-|").append(casing.ordinal()).append('|');
    features.keySet().stream()
        .sorted()
        .forEach(tag -> key.append(tag).append('=').append(features.get(tag)).append(','));
    return key.append('|').append(text).toString();
  }
}
