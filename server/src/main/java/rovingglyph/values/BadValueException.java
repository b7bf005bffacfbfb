package rovingglyph.values;

/** A value that cannot be set, with the reason in plain words. */
public final class BadValueException extends RuntimeException {
  public BadValueException(String message) {
    super(message);
  }
}
