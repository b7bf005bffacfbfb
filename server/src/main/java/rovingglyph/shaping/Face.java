package rovingglyph.shaping;

import java.util.List;

/**
 * A typeface that can be used.
 *
 * @param id its name in documents
 * @param name as shown
 * @param character what sort of face it is, in plain words
 * @param axes of a variable face
 * @param data the font file
 */
public record Face(String id, String name, String character, List<Axis> axes, byte[] data) {
  /** A variation axis: OpenType tag, range, and the value that new letterings start with. */
  public record Axis(String tag, String name, double least, double greatest, double start) {}
}
