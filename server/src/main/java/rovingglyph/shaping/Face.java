package rovingglyph.shaping;

import java.util.List;
import java.util.Map;

/**
 * A typeface that can be used.
 *
 * @param id its name in documents
 * @param name as shown
 * @param character what sort of face it is, in plain words
 * @param axes of a variable face
 * @param facts what the font file tells of itself
 * @param data the font file, as an OpenType font
 * @param more further files of the same face, with characters that the first lacks
 */
public record Face(
    String id,
    String name,
    String character,
    List<Axis> axes,
    Facts facts,
    byte[] data,
    List<Face> more) {

  /** A variation axis: OpenType tag, range, and the value that new letterings start with. */
  public record Axis(String tag, String name, double least, double greatest, double start) {}

  /** Named values of the axes. */
  public record Instance(String name, Map<String, Double> axes) {}

  /** An OpenType feature that a designer may turn on or off. */
  public record Feature(String tag, String name) {}

  /**
   * The strings are empty where the file has none.
   *
   * @param ownAxes as the file gives them
   */
  public record Facts(
      String family,
      String style,
      String copyright,
      String licence,
      String licenceUrl,
      int glyphs,
      List<Axis> ownAxes,
      List<Instance> instances,
      List<Feature> features) {}
}
