package rovingglyph.server;

/** Something of the machine that the server runs on is full or missing; the message says what. */
public class UnableException extends RuntimeException {
  public UnableException(String message, Throwable cause) {
    super(message, cause);
  }
}
