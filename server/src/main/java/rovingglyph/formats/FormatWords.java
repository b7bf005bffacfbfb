package rovingglyph.formats;

/**
 * How a format is called.
 *
 * @param id a word for REST and the command line
 * @param group what such files are made for
 * @param label as a person calls it
 * @param noun what one such file is, as in "Make the video"; every format has another
 * @param use what it is good for, in one sentence
 * @param extension the end of its file names, without the dot
 */
public record FormatWords(
    String id,
    Group group,
    String label,
    String noun,
    String use,
    String extension,
    String mediaType) {

  /** What files are made for, in the order in which they are offered. */
  public enum Group {
    VIDEO("Video"),
    EDITING("Editing, with transparency"),
    WEB("The web"),
    FRAMES("Frames"),
    STILLS("Stills"),
    WORDS("Words and sound");

    private final String label;

    Group(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
