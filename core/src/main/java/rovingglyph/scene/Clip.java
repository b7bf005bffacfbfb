package rovingglyph.scene;

/**
 * Of an item only what lies within a path is seen. How soft the edge is, is the item's value {@link
 * Channel#SOFT_EDGE}.
 *
 * @param path id of the path, whose area is that of its fill by the non-zero rule
 * @param inverted whether what lies outside is seen instead
 */
public record Clip(String path, boolean inverted, UnknownFields extras) {}
