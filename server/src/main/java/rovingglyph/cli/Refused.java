package rovingglyph.cli;

/** Bad use or bad input, told to the user as it is. */
final class Refused extends RuntimeException {
  Refused(String message) {
    super(message);
  }
}
