package rovingglyph.formats;

/**
 * A number that can be chosen for a file.
 *
 * @param name a word for REST and the command line
 * @param label as a person calls it
 * @param unit such as "%" or "s"; empty for a count
 * @param initial what it is where nothing was chosen
 * @param whole whether only whole numbers are good
 * @param playhead whether the interface takes the time of the playhead in place of {@code initial}
 */
public record ExportOption(
    String name,
    String label,
    String unit,
    double min,
    double max,
    double initial,
    boolean whole,
    boolean playhead) {

  /** The time of a still, s. */
  static final ExportOption AT = new ExportOption("at", "Time", "s", 0, 3600, 0, false, true);

  /** Of the frame's size, %. */
  static final ExportOption SIZE = new ExportOption("size", "Size", "%", 5, 200, 100, false, false);
}
