package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Arguments.NAME;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.frame.PreparedColourField;
import rovingglyph.frame.PreparedInset;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Footage;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownFields;
import rovingglyph.scene.UnknownItem;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;
import rovingglyph.type.Outline;

/** Edits of the order of items, and of the groups they stand in. */
final class Groups {
  private static final Field<Values, Double> NEW_X = argument("x", Arguments.ANY).optional();
  private static final Field<Values, Double> NEW_Y = argument("y", Arguments.ANY).optional();
  private static final Field<Values, String> INTO =
      argument("into", Types.text(Types.LONGEST_ID)).usual("");
  private static final Field<Values, Integer> TO =
      argument("to", Types.integer(0, 100_000)).optional();

  private static final Field<Values, Boolean> PLAIN = argument("plain", Types.flag()).usual(false);

  static final List<Command> ALL =
      List.of(
          Command.of("group", "Grouped", List.of(ID, ITEMS, NAME), Groups::group),
          Command.of("ungroup", "Ungrouped", List.of(ITEM, PLAIN), Groups::ungroup),
          Command.of("restack", "Changed the order", List.of(ITEM, INTO, TO), Groups::restack),
          Command.of(
              "centre", "Moved a centre", List.of(ITEM, NEW_X, NEW_Y, PLAYHEAD), Groups::centre));

  private Groups() {}

  /**
   * A new group {@code id} of the {@code items}, in the place of the topmost, about the middle of
   * what is in it; nothing moves by that.
   */
  private static Scene group(Scene scene, Values v) {
    Set<String> chosen = new TreeSet<>();
    v.get(ITEMS).forEach(id -> chosen.add(item(scene, id).id()));
    // What is in a chosen group comes along with that.
    chosen.removeIf(id -> scene.groupsRound(id).stream().anyMatch(g -> chosen.contains(g.id())));
    if (chosen.isEmpty()) {
      throw new IllegalArgumentException("Choose what is to be in the group first");
    }
    List<String> members = inOrder(scene, scene.stack(), chosen);
    Group into = scene.groupOf(members.get(members.size() - 1));
    List<String> row = new ArrayList<>(row(scene, into));
    int at = row.indexOf(members.get(members.size() - 1));
    at -= (int) row.subList(0, at).stream().filter(chosen::contains).count();
    Scene out = scene;
    for (String id : members) {
      out = taken(out, id);
    }
    Point centre = middle(scene, members);
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Transformed.CHANNELS.forEach(
        c -> values.put(c, new AnimatedValue(Transformed.start(c, centre))));
    String id = v.get(ID);
    String name = v.get(NAME) == null ? freeName(scene) : v.get(NAME);
    Scene with =
        out.withItem(
            new Group(new ItemProperties(id, name), members, centre, values, UnknownFields.NONE));
    return withoutEmpty(put(with, id, into == null ? "" : into.id(), at));
  }

  private static String freeName(Scene scene) {
    List<String> taken = scene.groups().stream().map(Group::name).toList();
    int n = 1;
    while (taken.contains("Group " + n)) {
      n++;
    }
    return "Group " + n;
  }

  /** The middle of the box round some items, on whole pixels; that of the frame if it is empty. */
  private static Point middle(Scene scene, List<String> items) {
    Rect box = Rect.EMPTY;
    for (String id : items) {
      box = box.union(box(scene, scene.item(id)));
    }
    Point p = box.isEmpty() ? new Point(scene.width() / 2.0, scene.height() / 2.0) : box.centre();
    return new Point(Math.rint(p.x()), Math.rint(p.y()));
  }

  /** Round the path of a lettering, or what is placed as it is at the start of the scene. */
  private static Rect box(Scene scene, Item item) {
    return item.accept(
        new Item.Visitor<>() {
          @Override
          public Rect lettering(Lettering l) {
            return GuideContour.of(scene.path(l.path())).bounds();
          }

          @Override
          public Rect drawing(Drawing d) {
            Rect box = Rect.EMPTY;
            for (Drawing.Part part : d.parts()) {
              box = box.union(Outline.of(part.data()).bounds());
            }
            return Place.map(d, 0).apply(box);
          }

          @Override
          public Rect group(Group g) {
            Rect box = Rect.EMPTY;
            for (String id : g.members()) {
              box = box.union(box(scene, scene.item(id)));
            }
            return Place.map(g, 0).apply(box);
          }

          @Override
          public Rect colourField(ColourField c) {
            Rect frame = new Rect(0, 0, scene.width(), scene.height());
            PreparedColourField p = new PreparedColourField(c, frame);
            return p.map(0).apply(p.box(0));
          }

          @Override
          public Rect picture(Picture p) {
            return shown(p);
          }

          @Override
          public Rect footage(Footage f) {
            return shown(f);
          }

          private Rect shown(Bitmapped b) {
            return Place.map(b, 0).apply(new PreparedPicture(b, 0).cropped(0));
          }

          @Override
          public Rect filledPath(FilledPath p) {
            return GuideContour.of(scene.path(p.path())).bounds();
          }

          @Override
          public Rect foregroundCut(ForegroundCut c) {
            return GuideContour.of(scene.path(c.path())).bounds();
          }

          @Override
          public Rect inset(Inset i) {
            Scene shown = scene.shown().get(i.scene());
            return shown == null ? Rect.EMPTY : Place.map(i, 0).apply(PreparedInset.frame(shown));
          }

          @Override
          public Rect unknown(UnknownItem u) {
            return Rect.EMPTY;
          }
        });
  }

  /**
   * Another {@code x}, {@code y} for an item to turn about, in the pixels of what it holds; at
   * {@code time} nothing moves by it.
   */
  private static Scene centre(Scene scene, Values v) {
    if (!(item(scene, v.get(ITEM)) instanceof Transformed g)) {
      throw new IllegalArgumentException("This has no centre of its own");
    }
    double x = v.get(NEW_X) == null ? g.centre().x() : v.get(NEW_X);
    double y = v.get(NEW_Y) == null ? g.centre().y() : v.get(NEW_Y);
    Affine map = Place.map(g, v.get(PLAYHEAD));
    Point by = map.apply(new Point(x, y)).minus(map.apply(g.centre()));
    AnimatedValue across =
        new KeyframeEdits(Channel.X, scene.rate()).shift(g.movable(Channel.X), by.x());
    AnimatedValue down =
        new KeyframeEdits(Channel.Y, scene.rate()).shift(g.movable(Channel.Y), by.y());
    return scene.withItem(g.about(new Point(x, y)).with(Channel.X, across).with(Channel.Y, down));
  }

  /** Those of a set that stand in a row or in the groups of it, back to front. */
  private static List<String> inOrder(Scene scene, List<String> row, Set<String> of) {
    List<String> out = new ArrayList<>();
    for (String id : row) {
      if (of.contains(id)) {
        out.add(id);
      } else if (scene.item(id) instanceof Group g) {
        out.addAll(inOrder(scene, g.members(), of));
      }
    }
    return out;
  }

  private static List<String> row(Scene scene, Group group) {
    return group == null ? scene.stack() : group.members();
  }

  /**
   * Puts what is in the group {@code item} in its place, as it looked there; or {@code plain},
   * where what the group did to it is gone.
   */
  private static Scene ungroup(Scene scene, Values v) {
    if (!(item(scene, v.get(ITEM)) instanceof Group g)) {
      throw new IllegalArgumentException("This is not a group");
    }
    Group round = scene.groupOf(g.id());
    List<String> row = new ArrayList<>(row(scene, round));
    row.addAll(row.indexOf(g.id()), g.members());
    row.remove(g.id());
    Scene out = (v.get(PLAIN) ? scene : TakenApart.of(scene, g)).dissolved(g);
    return round == null ? out.withStack(row) : out.withItem(round.with(row));
  }

  /**
   * Puts {@code item} at the place {@code to}, else on top, of the group {@code into}, or of the
   * stack if that is left out. A group that is left empty goes.
   */
  private static Scene restack(Scene scene, Values v) {
    String id = item(scene, v.get(ITEM)).id();
    String into = v.get(INTO);
    boolean inItself =
        into.equals(id) || scene.groupsRound(into).stream().anyMatch(g -> g.id().equals(id));
    if (inItself) {
      throw new IllegalArgumentException("A group cannot be put into itself");
    }
    if (!into.isEmpty() && !(scene.item(into) instanceof Group)) {
      throw new IllegalArgumentException("There is no such group any more");
    }
    return withoutEmpty(
        put(taken(scene, id), id, into, v.get(TO) == null ? Integer.MAX_VALUE : v.get(TO)));
  }

  /** With an item directly above another one, in the row in which that stands. */
  static Scene above(Scene scene, String id, String other) {
    Scene out = taken(scene, id);
    Group into = out.groupOf(other);
    return put(out, id, into == null ? "" : into.id(), row(out, into).indexOf(other) + 1);
  }

  private static Scene withoutEmpty(Scene scene) {
    Scene out = scene;
    for (Group g : scene.groups()) {
      out = g.members().isEmpty() && out.item(g.id()) != null ? out.without(g.id()) : out;
    }
    return out;
  }

  /** Without an item in its row; it is still in the scene. */
  private static Scene taken(Scene scene, String id) {
    Group from = scene.groupOf(id);
    List<String> row = new ArrayList<>(row(scene, from));
    row.remove(id);
    return from == null ? scene.withStack(row) : scene.withItem(from.with(row));
  }

  private static Scene put(Scene scene, String id, String into, int to) {
    Group group = into.isEmpty() ? null : (Group) scene.item(into);
    List<String> row = new ArrayList<>(row(scene, group));
    row.add(Math.min(Math.max(to, 0), row.size()), id);
    return group == null ? scene.withStack(row) : scene.withItem(group.with(row));
  }
}
