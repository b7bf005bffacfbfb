package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.document.AppearanceCodec;
import rovingglyph.document.MatteCheck;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Finish;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Spelling;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of the effects, the blend mode and the clip of items of any kind. */
final class Appearances {
  static final Field<Values, String> EFFECT = argument("effect", Types.id());
  private static final Field<Values, Effect.Kind> KIND =
      argument("kind", Types.choice(Effect.Kind.values()));
  private static final Field<Values, Double> AT =
      argument("at", Types.number(0, 86400, "s"))
          .optional()
          .about("the time at which a ground is laid below the item; 0 where it is left out");
  private static final Field<Values, Boolean> OFF = argument("off", Types.flag()).optional();
  private static final Field<Values, String> OPTION =
      argument("option", Types.text(Types.LONGEST_ID)).about("name of what is chosen");
  private static final Field<Values, String> CHOICE =
      argument("choice", Types.text(Types.LONGEST_ID));
  private static final Field<Values, Finish> FINISH = argument("effects", AppearanceCodec.FINISH);
  private static final Field<Values, Integer> TO = argument("to", Types.integer(-1, 1000));
  private static final Field<Values, BlendMode> MODE =
      argument("mode", Types.choice(BlendMode.values()));
  private static final Field<Values, String> PATH =
      argument("path", Types.orNull(Types.text(Types.LONGEST_ID))).optional();
  private static final Field<Values, String> BY_ITEM =
      argument("matte", Types.orNull(Types.text(Types.LONGEST_ID))).optional();
  private static final Field<Values, Matte.By> BY =
      argument("by", Types.choice(Matte.By.values())).optional();
  private static final Field<Values, Boolean> INVERTED =
      argument("inverted", Types.flag()).optional();

  static final List<Command> ALL =
      List.of(
          ofEach("addEffect", "Added an effect", List.of(KIND, EFFECT, AT), Appearances::added),
          ofEach("useFinish", "Used a finish", List.of(FINISH), Appearances::finished),
          ofOne("removeEffect", "Removed an effect", List.of(), (all, at, v) -> all.remove(at)),
          ofOne("switchEffect", "Switched an effect", List.of(OFF), Appearances::switched),
          ofOne(
              "chooseForEffect", "Changed an effect", List.of(OPTION, CHOICE), Appearances::chosen),
          ofOne("moveEffect", "Moved an effect", List.of(TO), Appearances::moved),
          ofEach(
              "blend",
              "Changed a blend mode",
              List.of(MODE),
              (target, item, v) -> item.with(item.properties().blended(v.get(MODE)))),
          ofEach("clip", "Changed a clip", List.of(PATH, INVERTED), Appearances::clipped),
          ofEach(
              "matte", "Changed a matte", List.of(BY_ITEM, BY, INVERTED), Appearances::measured));

  /** How far down the frame a ground lies where nothing tells. */
  private static final double GROUND_SHARE = 0.8;

  private Appearances() {}

  interface ItemChange {
    Item of(Command.Target target, Item item, Values v);
  }

  /** Changes all of {@code items}. */
  static Command ofEach(String op, String done, List<Field<Values, ?>> more, ItemChange change) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(ITEMS));
    all.addAll(more);
    return Command.standing(
        op,
        done,
        all,
        (target, v) -> {
          if (v.get(ITEMS).isEmpty()) {
            throw new IllegalArgumentException("Choose an item first");
          }
          Scene out = target.scene();
          for (String id : v.get(ITEMS)) {
            out = out.withItem(change.of(target, item(out, id), v));
          }
          return out;
        });
  }

  /**
   * With an effect {@code effect} of a {@code kind} after its others, its numbers at their start.
   */
  private static Item added(Command.Target target, Item item, Values v) {
    List<Effect> all = new ArrayList<>(item.properties().effects());
    if (all.size() >= ItemProperties.MOST_EFFECTS) {
      throw new IllegalArgumentException(
          "An item has at most " + ItemProperties.MOST_EFFECTS + " effects: take one away first");
    }
    String id = v.get(EFFECT);
    if (all.stream().anyMatch(e -> e.id().equals(id))) {
      throw new IllegalArgumentException("The new effect needs an id of its own");
    }
    Effect.Kind kind = v.get(KIND);
    all.add(Effect.of(id, kind, Spelling.of(kind)));
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    for (Effect.Parameter p : kind.parameters()) {
      values.put(Channel.effect(id, p), new AnimatedValue(p.start()));
    }
    if (kind == Effect.Kind.CAST_SHADOW) {
      ground(target, item, v.get(AT) == null ? 0 : v.get(AT))
          .forEach((p, n) -> values.put(Channel.effect(id, p), n));
    }
    return item.with(item.properties().with(all), values);
  }

  /** A ground right below an item as it stands at a time, and a far end as high as the item. */
  private static Map<Effect.Parameter, AnimatedValue> ground(
      Command.Target target, Item item, double time) {
    PreparedScene prepared = target.prepared();
    Rect box = prepared == null ? Rect.EMPTY : prepared.box(item.id(), time);
    Scene s = target.scene();
    boolean seen = !box.isEmpty();
    double x = seen ? (box.left() + box.right()) / 2 : s.width() / 2.0;
    double y = seen ? box.bottom() : s.height() * GROUND_SHARE;
    double height = seen ? Math.max(box.height(), 1) : Effect.FAR_END.start();
    return Map.of(
        Effect.GROUND_X, still(Effect.GROUND_X, x),
        Effect.GROUND_Y, still(Effect.GROUND_Y, y),
        Effect.FAR_END, still(Effect.FAR_END, height));
  }

  private static AnimatedValue still(Effect.Parameter p, double value) {
    double rounded = Math.rint(value * 10) / 10;
    return new AnimatedValue(Math.min(Math.max(rounded, p.min()), p.max()));
  }

  /** With the effects of another item, or of a kept finish, in the place of its own. */
  private static Item finished(Command.Target target, Item item, Values v) {
    Finish finish = v.get(FINISH);
    Item plain = tidied(item.with(item.properties().with(List.of())), item);
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(plain.values());
    values.putAll(finish.values());
    return plain.with(plain.properties().with(finish.effects()), values);
  }

  /** What is done to one effect in the list of all. */
  private interface EffectChange {
    void in(List<Effect> all, int at, Values v);
  }

  private static void switched(List<Effect> all, int at, Values v) {
    Effect e = all.get(at);
    all.set(at, e.switchedOff(v.get(OFF) == null ? !e.off() : v.get(OFF)));
  }

  private static void chosen(List<Effect> all, int at, Values v) {
    Effect e = all.get(at);
    for (Effect.Option<?> o : e.choices().keySet()) {
      if (o.name().equals(v.get(OPTION))) {
        Enum<?> choice = found(o, v.get(CHOICE));
        if (choice == null) {
          throw new IllegalArgumentException(
              "\u201c" + v.get(CHOICE) + "\u201d cannot be chosen: one of " + all(o));
        }
        all.set(at, e.with(o, choice));
        return;
      }
    }
    throw new IllegalArgumentException("This effect has nothing of that name to choose");
  }

  private static <E extends Enum<E>> String all(Effect.Option<E> o) {
    return Spelling.all(o.values());
  }

  private static <E extends Enum<E>> E found(Effect.Option<E> o, String spelt) {
    return Spelling.find(o.values(), spelt);
  }

  private static void moved(List<Effect> all, int at, Values v) {
    Effect moved = all.remove(at);
    all.add(Math.min(Math.max(v.get(TO), 0), all.size()), moved);
  }

  /** Changes the effect {@code effect} of the item {@code item}. */
  private static Command ofOne(
      String op, String done, List<Field<Values, ?>> more, EffectChange change) {
    List<Field<Values, ?>> arguments = new ArrayList<>(List.of(ITEM, EFFECT));
    arguments.addAll(more);
    return Command.of(
        op,
        done,
        arguments,
        (scene, v) -> {
          Item item = item(scene, v.get(ITEM));
          List<Effect> all = new ArrayList<>(item.properties().effects());
          int at = all.stream().map(Effect::id).toList().indexOf(v.get(EFFECT));
          if (at < 0) {
            throw new IllegalArgumentException("There is no such effect any more");
          }
          change.in(all, at, v);
          return scene.withItem(tidied(item.with(item.properties().with(all)), item));
        });
  }

  /** Without the values of what it no longer has. */
  static Item tidied(Item item, Item before) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    before.appearance().stream()
        .filter(c -> !item.appearance().contains(c))
        .forEach(values::remove);
    return item.with(item.properties(), values);
  }

  /**
   * Clipped to the {@code path}, or with null not clipped; {@code inverted} or not. What is left
   * out stays.
   */
  private static Item clipped(Command.Target target, Item item, Values v) {
    Clip before = item.properties().clip();
    String id = v.get(PATH);
    if (id == null && (v.given(PATH) || before == null)) {
      return tidied(item.with(item.properties().clipped(null)), item);
    }
    id = id == null ? before.path() : id;
    if (target.scene().path(id) == null) {
      throw new IllegalArgumentException("There is no such path any more");
    }
    boolean was = before != null && before.inverted();
    boolean inverted = v.get(INVERTED) == null ? was : v.get(INVERTED);
    Clip clip = new Clip(id, inverted, before == null ? UnknownFields.NONE : before.extras());
    Item out = item.with(item.properties().clipped(clip));
    return before == null ? out.with(Channel.SOFT_EDGE, new AnimatedValue(0)) : out;
  }

  /**
   * Measured by the item {@code matte}, or with null by none; {@code by} how opaque or how light it
   * is, {@code inverted} or not. What is left out stays.
   */
  private static Item measured(Command.Target target, Item item, Values v) {
    Matte before = item.properties().matte();
    String id = v.get(BY_ITEM);
    if (id == null && (v.given(BY_ITEM) || before == null)) {
      return item.with(item.properties().measuredBy(null), item.values());
    }
    id = id == null ? before.item() : id;
    if (target.scene().item(id) == null) {
      throw new IllegalArgumentException("There is no such item any more");
    }
    Matte.By was = before == null ? Matte.By.ALPHA : before.by();
    boolean inverted = before != null && before.inverted();
    Matte matte =
        new Matte(
            id,
            v.get(BY) == null ? was : v.get(BY),
            v.get(INVERTED) == null ? inverted : v.get(INVERTED),
            before == null ? UnknownFields.NONE : before.extras());
    Item out = item.with(item.properties().measuredBy(matte), item.values());
    if (MatteCheck.isCircular(target.scene().withItem(out), item.id())) {
      throw new IllegalArgumentException(
          "It would be measured by itself: choose an item that is not in it and does not hold it");
    }
    return out;
  }
}
