package rovingglyph.captions;

/**
 * Words and when they can be read.
 *
 * @param from s
 * @param to s, after {@code from}
 * @param text in one line
 */
public record Caption(double from, double to, String text) {}
