package rovingglyph.document;

/** How choices are written in documents and edits. */
public final class Spelling {
  private Spelling() {}

  /** Lower case with hyphens. */
  public static String of(Enum<?> choice) {
    return choice.name().toLowerCase().replace('_', '-');
  }

  /** The choice with this spelling; null if there is none. */
  public static <E extends Enum<E>> E find(E[] choices, String spelt) {
    for (E e : choices) {
      if (of(e).equals(spelt)) {
        return e;
      }
    }
    return null;
  }
}
