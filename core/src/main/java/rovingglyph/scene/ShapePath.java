package rovingglyph.scene;

import java.util.Map;

/**
 * A path given by numbers.
 *
 * @param numbers one for each of {@link ShapeKind#numbers()}
 * @param flipped mirrored across its own level axis before it is turned
 * @param reversed read the other way; a closed shape keeps its start
 */
public record ShapePath(
    PathLabel label,
    ShapeKind kind,
    Map<Channel, AnimatedValue> numbers,
    boolean flipped,
    boolean reversed)
    implements GuidePath {

  @Override
  public ShapePath with(PathLabel newLabel) {
    return new ShapePath(newLabel, kind, numbers, flipped, reversed);
  }

  @Override
  public Map<Channel, AnimatedValue> values() {
    return numbers;
  }

  @Override
  public ShapePath with(Channel channel, AnimatedValue value) {
    if (!numbers.containsKey(channel)) {
      return (ShapePath) GuidePath.super.with(channel, value);
    }
    return new ShapePath(label, kind, Values.with(numbers, channel, value), flipped, reversed);
  }
}
