package rovingglyph.scene;

/**
 * Something holds to what moves in footage: it stands as it does by itself at one time, and is
 * moved from there as what it is pinned to moves.
 *
 * @param to id of the {@link FootagePin}
 * @param at seconds: the time of the scene at which it stands as it does by itself
 */
public record Pin(String to, double at, UnknownFields extras) {}
