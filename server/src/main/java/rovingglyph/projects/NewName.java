package rovingglyph.projects;

import rovingglyph.server.RefusedException;

/** A name given by the user. */
record NewName(String name) {
  private static final int LONGEST = 200;

  /** The name without outer white space, if it can be kept. */
  String checked() {
    String trimmed = name == null ? "" : name.strip();
    if (trimmed.isEmpty() || trimmed.length() > LONGEST || trimmed.indexOf('\0') >= 0) {
      throw RefusedException.bad("name: a name has 1 to " + LONGEST + " characters");
    }
    return trimmed;
  }
}
