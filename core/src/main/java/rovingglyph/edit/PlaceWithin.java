package rovingglyph.edit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.motion.MovingSums;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Transformed;

/** The place of a member of a group as it is without the group. */
final class PlaceWithin {
  private static final double NEAR = 1e-9;

  private final Group group;
  private final Transformed member;

  private PlaceWithin(Group group, Transformed member) {
    this.group = group;
    this.member = member;
  }

  /** The member with what the group's place does in its own; null where no place does the same. */
  static Transformed of(Group group, Transformed member) {
    return new PlaceWithin(group, member).joined();
  }

  private Transformed joined() {
    boolean still = isStill(group, List.of(Channel.SCALE, Channel.ROTATION));
    return still ? moved() : turned();
  }

  private static boolean isStill(Transformed t, List<Channel> channels) {
    return channels.stream().noneMatch(c -> t.movable(c).moves());
  }

  /** In a group that neither turns nor grows: its own motion is moved, turned and scaled. */
  private Transformed moved() {
    Affine m = Place.map(group.with(Channel.X, still(0)).with(Channel.Y, still(0)), 0);
    AnimatedValue x = member.movable(Channel.X);
    AnimatedValue y = member.movable(Channel.Y);
    AnimatedValue across = mixed(x, m.a(), y, m.c(), m.e());
    AnimatedValue down = mixed(x, m.b(), y, m.d(), m.f());
    if (across == null || down == null) {
      return null;
    }
    return placed(
        member,
        MovingSums.sum(group.movable(Channel.X), across),
        MovingSums.sum(group.movable(Channel.Y), down));
  }

  private static AnimatedValue mixed(
      AnimatedValue x, double a, AnimatedValue y, double b, double more) {
    if (Math.abs(b) < NEAR) {
      return MovingSums.linear(x, a, more);
    }
    if (Math.abs(a) < NEAR) {
      return MovingSums.linear(y, b, more);
    }
    return MovingSums.sum(MovingSums.linear(x, a, more), MovingSums.linear(y, b, 0));
  }

  /** In a group that turns or grows: about the group's centre, as it does. */
  private Transformed turned() {
    if (!isStill(member, List.of(Channel.X, Channel.Y))) {
      return null;
    }
    Transformed about = member;
    Point at = new Point(base(Channel.X), base(Channel.Y));
    if (at.distance(group.centre()) > NEAR) {
      if (!isStill(member, List.of(Channel.SCALE, Channel.ROTATION))) {
        return null;
      }
      about = member.about(Place.map(member, 0).inverse().apply(group.centre()));
    }
    return placed(about, group.movable(Channel.X), group.movable(Channel.Y));
  }

  private Transformed placed(Transformed about, AnimatedValue x, AnimatedValue y) {
    AnimatedValue turn =
        MovingSums.sum(group.movable(Channel.ROTATION), member.movable(Channel.ROTATION));
    AnimatedValue scale =
        MovingSums.product(group.movable(Channel.SCALE), member.movable(Channel.SCALE));
    if (x == null || y == null || turn == null || scale == null) {
      return null;
    }
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(about.values());
    values.put(Channel.X, x);
    values.put(Channel.Y, y);
    values.put(Channel.ROTATION, turn);
    values.put(Channel.SCALE, scale);
    return (Transformed) about.with(about.properties(), values);
  }

  private double base(Channel c) {
    return member.movable(c).base();
  }

  private static AnimatedValue still(double value) {
    return new AnimatedValue(value);
  }
}
