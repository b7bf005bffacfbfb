package rovingglyph.geometry;

import java.util.List;

/** One subpath of SVG path data; a lone {@code M} gives no segments. */
public record SubPath(List<Segment> segments, boolean closed) {}
