package rovingglyph.archive;

/** A project file that cannot be used, with the reason in plain words. */
public final class UnusableFileException extends Exception {
  UnusableFileException(String message) {
    super(message);
  }
}
