package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * Items that are placed, turned, scaled and faded as one.
 *
 * @param members ids of items, back to front
 * @param values one for each of {@link Placed#CHANNELS}
 */
public record Group(
    String id,
    String name,
    List<String> members,
    Point centre,
    Map<Channel, Movable> values,
    boolean hidden,
    boolean locked,
    Extras extras)
    implements Placed {

  @Override
  public Group with(Channel c, Movable m) {
    return new Group(id, name, members, centre, Values.with(values, c, m), hidden, locked, extras);
  }

  public Group with(List<String> newMembers) {
    return new Group(id, name, List.copyOf(newMembers), centre, values, hidden, locked, extras);
  }

  public Group about(Point newCentre) {
    return new Group(id, name, members, newCentre, values, hidden, locked, extras);
  }
}
