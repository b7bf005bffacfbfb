package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;

/**
 * A part of another item, painted once more where the cut is in the stack: that which lies within a
 * path. The cut is as the other item is at any time, and its path goes with that item's place.
 *
 * @param source id of the other item; where that is not there or hidden, the cut is not either
 * @param path id of the path, whose area is that of its fill by the non-zero rule
 * @param inSource the map of the path's pixels to the source's own, as it was when the cut was
 *     made: that item's pixels before its place, and before the path that carries it
 * @param values one for each of {@link #VALUES}; the edge is soft, and the area grown, by pixels of
 *     the path
 */
public record ForegroundCut(
    ItemProperties properties,
    String source,
    String path,
    Affine inSource,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Item {

  /** The values of a cut, in the order of a sheet. */
  public static final List<Channel> VALUES =
      List.of(Channel.OPACITY, Channel.CUT_EDGE, Channel.GROW);

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    return c == Channel.OPACITY ? 100 : 0;
  }

  @Override
  public ForegroundCut with(Channel c, AnimatedValue m) {
    return new ForegroundCut(properties, source, path, inSource, Values.with(values, c, m), extras);
  }

  @Override
  public ForegroundCut with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new ForegroundCut(p, source, path, inSource, newValues, extras);
  }

  /** The same with its path elsewhere in the item that is cut. */
  public ForegroundCut in(Affine map) {
    return new ForegroundCut(properties, source, path, map, values, extras);
  }

  /** The same along another path. */
  public ForegroundCut on(String newPath) {
    return new ForegroundCut(properties, source, newPath, inSource, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.foregroundCut(this);
  }
}
