package rovingglyph.scene;

/**
 * Something holds to what moves in footage: it stands as it does by itself at one time, and is
 * moved from there as what it is pinned to moves.
 *
 * @param to id of the {@link FootagePin}
 * @param at seconds: the time of the scene at which it stands as it does by itself
 * @param laid whether instead all of the frame is fitted between the corners that are followed, so
 *     that what fills it covers them; only where corners are
 */
public record Pin(String to, double at, boolean laid, UnknownFields extras) {}
