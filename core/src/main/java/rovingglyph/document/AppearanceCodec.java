package rovingglyph.document;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;

/** Blend mode, effects and clip of an item of any kind, from and to JSON. */
final class AppearanceCodec {
  private static final String BLEND = "blendMode";
  private static final String EFFECTS = "effects";
  private static final String CLIP = "clip";

  private AppearanceCodec() {}

  /**
   * @param values to which the numbers of effects and of the clip are added
   */
  static ItemProperties read(Fields f, ItemProperties p, Map<Channel, AnimatedValue> values) {
    Set<String> ids = new HashSet<>();
    List<Effect> effects =
        f.list(EFFECTS, ItemProperties.MOST_EFFECTS, e -> effect(e, ids, values));
    Clip clip = f.get(CLIP) == null ? null : clip(f.object(CLIP), values);
    return p.blended(f.choice(BLEND, BlendMode.values(), BlendMode.NORMAL))
        .with(effects)
        .clipped(clip);
  }

  private static Effect effect(Fields f, Set<String> ids, Map<Channel, AnimatedValue> values) {
    String id = f.id("id");
    if (!ids.add(id)) {
      f.problem("id", "\"" + id + "\" is used twice", "an id of its own");
    }
    String word = f.text(ItemList.KIND, 80, "");
    if (word.isEmpty()) {
      f.problem(ItemList.KIND, "is missing", Spelling.all(Effect.Kind.values()));
    }
    Effect.Kind kind = Spelling.find(Effect.Kind.values(), word);
    boolean off = f.flag("off", false);
    if (kind != null) {
      for (Effect.Parameter p : kind.parameters()) {
        Channel c = Channel.effect(id, p);
        values.put(c, AnimatedValueCodec.read(f, p.name(), c, p.start()));
      }
    }
    return new Effect(id, kind, word, off, f.rest());
  }

  private static Clip clip(Fields f, Map<Channel, AnimatedValue> values) {
    values.put(Channel.SOFT_EDGE, AnimatedValueCodec.read(f, Channel.SOFT_EDGE, 0));
    return new Clip(f.id("path"), f.flag("inverted", false), f.rest());
  }

  static void write(Writer w, Item item) {
    ItemProperties p = item.properties();
    w.differing(BLEND, p.blend(), BlendMode.NORMAL);
    if (!p.effects().isEmpty()) {
      w.list(EFFECTS, p.effects(), e -> write(e, item));
    }
    if (p.clip() != null) {
      w.json(CLIP, write(p.clip(), item));
    }
  }

  private static String write(Effect e, Item item) {
    Writer w = Writer.object().add("id", e.id()).add(ItemList.KIND, e.word()).flag("off", e.off());
    if (e.kind() != null) {
      for (Effect.Parameter p : e.kind().parameters()) {
        Channel c = Channel.effect(e.id(), p);
        w.json(p.name(), AnimatedValueCodec.write(item.movable(c), c));
      }
    }
    return w.rest(e.extras()).text();
  }

  private static String write(Clip c, Item item) {
    AnimatedValue soft = item.movable(Channel.SOFT_EDGE);
    return Writer.object()
        .add("path", c.path())
        .flag("inverted", c.inverted())
        .json(Channel.SOFT_EDGE.field(), AnimatedValueCodec.write(soft, Channel.SOFT_EDGE))
        .rest(c.extras())
        .text();
  }

  /** Where an item's document has one of these values, as the end of a JSON path; else null. */
  static String place(Item item, Channel channel) {
    if (channel == Channel.SOFT_EDGE) {
      return "." + CLIP + "." + channel.field();
    }
    List<Effect> effects = item.properties().effects();
    for (int i = 0; i < effects.size(); i++) {
      Effect e = effects.get(i);
      for (Effect.Parameter p :
          e.kind() == null ? List.<Effect.Parameter>of() : e.kind().parameters()) {
        if (Channel.effect(e.id(), p).equals(channel)) {
          return "." + EFFECTS + "[" + i + "]." + p.name();
        }
      }
    }
    return null;
  }
}
