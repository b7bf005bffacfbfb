package rovingglyph.schema;

/**
 * What is wrong in a document.
 *
 * @param path JSON path of the field, such as {@code $.letterings[0].size}
 * @param reason in plain words
 * @param allowed the allowed range or values; empty where that says nothing more
 */
public record Problem(String path, String reason, String allowed) {
  /** The problem as one line: path, reason, what is allowed. */
  public String sentence() {
    return path + ": " + reason + (allowed.isEmpty() ? "" : " (allowed: " + allowed + ")");
  }
}
