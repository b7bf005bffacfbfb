package rovingglyph.proof;

/**
 * Something worth a look.
 *
 * @param item id of the lettering or picture it is about
 * @param time in seconds at which it shows; -1 where any will do
 */
public record Finding(String message, String item, double time) {}
