package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * Items that are placed, turned, scaled and faded as one.
 *
 * @param members ids of items, back to front
 * @param values one for each of {@link Transformed#CHANNELS}
 */
public record Group(
    ItemProperties properties,
    List<String> members,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  @Override
  public Group with(Channel c, AnimatedValue m) {
    return new Group(properties, members, centre, Values.with(values, c, m), extras);
  }

  @Override
  public Group with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Group(p, members, centre, newValues, extras);
  }

  /** The group with other members, back to front. */
  public Group with(List<String> newMembers) {
    return new Group(properties, List.copyOf(newMembers), centre, values, extras);
  }

  @Override
  public Group about(Point newCentre) {
    return new Group(properties, members, newCentre, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.group(this);
  }
}
