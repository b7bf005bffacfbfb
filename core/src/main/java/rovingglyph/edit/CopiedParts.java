package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Follow;
import rovingglyph.scene.Item;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Typesetting;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * How copied items move or how they look, put onto items that are there. The first copy goes to the
 * first item, and so on, from the first copy again where there are fewer.
 */
final class CopiedParts {
  /** What of a copy is used. */
  enum Part {
    /** All values that move and that the item has too, with how letters come and go. */
    MOTION,
    /**
     * Effects and blend mode, colours and opacity; from lettering to lettering the typeface with
     * all that is set of it but the words. Of a colour that moves it is what it begins with.
     */
    LOOK
  }

  private static final Field<Values, Part> PART = argument("part", Types.choice(Part.values()));

  static final List<Command> ALL =
      List.of(
          Command.of(
              "pasteOnto",
              "Pasted motion or look",
              List.of(ITEMS, Copies.COPIED, Copies.SAME, PART),
              CopiedParts::onto));

  private static final Set<Channel> LOOKS =
      Set.of(
          Channel.FILL,
          Channel.STROKE,
          Channel.STROKE_WIDTH,
          Channel.OPACITY,
          Channel.SIZE,
          Channel.TRACKING,
          Channel.WORD_SPACING,
          Channel.FROM_X,
          Channel.FROM_Y,
          Channel.TO_X,
          Channel.TO_Y);

  private CopiedParts() {}

  private static Scene onto(Scene scene, Values v) {
    // As if it were pasted: what it holds to is then found or let go of.
    Scene pasted = Copies.paste(scene, v.get(Copies.COPIED), "onto", v.get(Copies.SAME));
    List<String> copies = pasted.stack().subList(scene.stack().size(), pasted.stack().size());
    List<String> targets = v.get(ITEMS);
    if (targets.isEmpty() || copies.isEmpty()) {
      throw new IllegalArgumentException("Choose the items that it is to be pasted onto first");
    }
    boolean motion = v.get(PART) == Part.MOTION;
    Scene out = scene;
    boolean any = false;
    for (int i = 0; i < targets.size(); i++) {
      Item from = pasted.item(copies.get(i % copies.size()));
      Item to = item(scene, targets.get(i));
      Item changed = motion ? moved(from, to) : dressed(from, to);
      any |= !changed.equals(to);
      out = out.withItem(changed);
    }
    if (!any) {
      throw new IllegalArgumentException(
          motion
              ? "Nothing of what was copied moves that could move here, or it moves so already"
              : "It looks like what was copied already");
    }
    return out;
  }

  private static Item moved(Item from, Item to) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(to.values());
    from.values()
        .forEach(
            (channel, m) -> {
              boolean own = m.follow() != null && m.follow().lettering().equals(to.id());
              AnimatedValue motion = own ? m.with((Follow) null) : m;
              if (motion.moves() && values.containsKey(channel)) {
                values.put(channel, motion);
              }
            });
    Item out = to.with(to.properties(), values);
    return from instanceof Lettering f && out instanceof Lettering l ? comingAsIn(f, l) : out;
  }

  /** With the reveal, sweep and trail of another lettering, where it has them, and its recipes. */
  private static Lettering comingAsIn(Lettering from, Lettering to) {
    LetterEffects f = from.letterEffects();
    LetterEffects t = to.letterEffects();
    List<Recipe> recipes = from.moves() ? f.recipes() : t.recipes();
    return to.with(
        new LetterEffects(
            f.reveal() == null ? t.reveal() : f.reveal(),
            f.sweep() == null ? t.sweep() : f.sweep(),
            f.trail() == null ? t.trail() : f.trail(),
            recipes,
            f.blur() == null ? t.blur() : f.blur()));
  }

  private static Item dressed(Item from, Item to) {
    Item out = to;
    if (from instanceof Lettering f && to instanceof Lettering t) {
      out = typeset(f, t);
    } else if (from instanceof FilledPath f && to instanceof FilledPath t) {
      out = new FilledPath(t.properties(), t.path(), f.filled(), f.cap(), t.values(), t.extras());
    }
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(out.values());
    from.values()
        .forEach(
            (channel, m) -> {
              if (LOOKS.contains(channel) && values.containsKey(channel)) {
                values.put(channel, beginning(m));
              }
            });
    Item plain = Appearances.tidied(to.with(to.properties().with(List.of()), to.values()), to);
    to.values().keySet().stream().filter(c -> plain.movable(c) == null).forEach(values::remove);
    for (Effect e : from.properties().effects()) {
      // What a later version wrote has no numbers that are known here.
      List<Effect.Parameter> parameters = e.kind() == null ? List.of() : e.kind().parameters();
      for (Effect.Parameter p : parameters) {
        Channel c = Channel.effect(e.id(), p);
        values.put(c, from.movable(c));
      }
    }
    return out.with(
        out.properties().with(from.properties().effects()).blended(from.properties().blend()),
        values);
  }

  /** In the typeface of another lettering, as it is set there; words, rows and phrases stay. */
  private static Lettering typeset(Lettering from, Lettering to) {
    Typesetting f = from.setting();
    Typesetting t = to.setting();
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(to.values());
    values.keySet().removeIf(c -> c.kind() == Channel.Kind.AXIS);
    from.axes().forEach((tag, m) -> values.put(Channel.axis(tag), beginning(m)));
    return new Lettering(
        to.properties(),
        to.text(),
        from.face(),
        from.faceName(),
        new Typesetting(
            f.casing(), f.features(), t.phrases(), f.rules(), t.rows(), f.profiles(), f.mix()),
        to.path(),
        to.seat(),
        to.letterEffects(),
        from.filling(),
        values,
        to.extras());
  }

  private static AnimatedValue beginning(AnimatedValue m) {
    return new AnimatedValue(m.keyed() ? m.keyframes().get(0).value() : m.base());
  }
}
