package rovingglyph.projects;

import rovingglyph.schema.Fields;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** A name given by the user. */
record NewName(String name) {
  private static final int LONGEST = 200;

  /** The field {@code name} of a body; more is told by {@link #checked}. */
  static NewName of(JsonBody body) {
    Fields f = body.fields();
    String name = f.text("name", Integer.MAX_VALUE, "");
    f.check();
    return new NewName(name);
  }

  /** The name without outer white space, if it can be kept. */
  String checked() {
    String trimmed = name == null ? "" : name.strip();
    if (trimmed.isEmpty() || trimmed.length() > LONGEST || trimmed.indexOf('\0') >= 0) {
      throw RefusedException.bad("name: a name has 1 to " + LONGEST + " characters");
    }
    return trimmed;
  }

  /** A name with a word after it, shortened to what a name may have. */
  static String copyOf(String name) {
    String word = " copy";
    String kept = name.substring(0, Math.min(name.length(), LONGEST - word.length()));
    // Half a character at the cut would not be kept.
    boolean torn = !kept.isEmpty() && Character.isHighSurrogate(kept.charAt(kept.length() - 1));
    return (torn ? kept.substring(0, kept.length() - 1) : kept) + word;
  }
}
