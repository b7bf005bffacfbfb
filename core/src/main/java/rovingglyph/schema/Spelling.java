package rovingglyph.schema;

/** How choices are written in documents and edits. */
public final class Spelling {
  private Spelling() {}

  /** Lower case with hyphens. */
  public static String of(Enum<?> choice) {
    return choice.name().toLowerCase().replace('_', '-');
  }

  /** All of them, as problems tell what is allowed. */
  public static String all(Enum<?>[] choices) {
    StringBuilder out = new StringBuilder();
    for (Enum<?> e : choices) {
      out.append(out.length() > 0 ? ", " : "").append(of(e));
    }
    return out.toString();
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
