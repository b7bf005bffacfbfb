package rovingglyph.scene;

import java.util.Map;

/** The line a lettering sits on; never part of the output. */
public sealed interface GuidePath extends Animatable
    permits ShapePath, DrawnPath, SmoothPath, FreehandPath {
  /** What every path has. */
  PathLabel label();

  /** The path with another label. */
  GuidePath with(PathLabel label);

  @Override
  default String id() {
    return label().id();
  }

  /** What the path is called. */
  default String name() {
    return label().name();
  }

  /** Only the numbers of a shape can move. */
  @Override
  default Map<Channel, AnimatedValue> values() {
    return Map.of();
  }

  @Override
  default GuidePath with(Channel channel, AnimatedValue value) {
    throw new IllegalArgumentException("This path has no " + channel.label());
  }
}
