package rovingglyph.proof;

/**
 * Something worth a look.
 *
 * @param item id of the lettering or picture it is about
 * @param time in seconds at which it shows; -1 where any will do
 * @param fix what a button that mends it says; empty where there is none
 * @param edit what the button does, as JSON; empty where there is none
 */
public record Finding(String message, String item, double time, String fix, String edit) {}
