package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Finish;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Pin;
import rovingglyph.scene.Plane;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Spelling;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Blend mode, effects and clip of an item of any kind, from and to JSON. */
public final class AppearanceCodec {
  /** An effect with its numbers, which the item holds among its values. */
  private record EffectDocument(Effect effect, Map<Channel, AnimatedValue> values) {}

  private record ClipDocument(Clip clip, AnimatedValue softEdge) {}

  private static final Field<EffectDocument, String> EFFECT_ID =
      field("id", Types.id(), (EffectDocument e) -> e.effect.id()).about("unique in its item");
  private static final Field<EffectDocument, Boolean> OFF =
      field("off", Types.flag(), (EffectDocument e) -> e.effect.off())
          .usual(false)
          .about("whether it is left out for now");

  static final Schema.Shared<EffectDocument> EFFECT =
      new Schema.Shared<>("EffectProperties", List.<Field<EffectDocument, ?>>of(EFFECT_ID, OFF));

  private static final Kinds<EffectDocument> EFFECT_KINDS =
      new Kinds<>("Effect", effectKinds(), e -> e.effect.word(), new UnknownEffect());

  private static final Field<ClipDocument, String> PATH =
      field("path", Types.id(), (ClipDocument c) -> c.clip.path()).about("id of the path");
  private static final Field<ClipDocument, Boolean> INVERTED =
      field("inverted", Types.flag(), (ClipDocument c) -> c.clip.inverted())
          .usual(false)
          .about("whether what lies outside is seen instead");
  private static final Field<ClipDocument, AnimatedValue> SOFT_EDGE =
      field(
              Channel.SOFT_EDGE.field(),
              AnimatedType.of(Channel.SOFT_EDGE),
              (ClipDocument c) -> c.softEdge)
          .fallback(new AnimatedValue(0))
          .about("the width of the edge, which is blurred by a quarter of it");

  private static final Schema<ClipDocument> CLIP_SCHEMA =
      Schema.<ClipDocument>named("Clip")
          .with(PATH, INVERTED, SOFT_EDGE)
          .keeping(c -> c.clip.extras())
          .made(
              v ->
                  new ClipDocument(
                      new Clip(v.get(PATH), v.get(INVERTED), v.rest()), v.get(SOFT_EDGE)));

  private static final FieldType<List<EffectDocument>> LIST =
      Lists.list(EFFECT_KINDS, ItemProperties.MOST_EFFECTS);

  /** The effects of an item as its document has them. */
  public static final FieldType<Finish> FINISH =
      Types.like(
          LIST,
          (f, name, fallback) -> finish(f, name, LIST.read(f, name, List.of())),
          (finish, out) -> LIST.write(documents(finish.effects(), finish.values()), out));

  private static final Field<Item, BlendMode> BLEND =
      field("blendMode", Types.choice(BlendMode.values()), (Item i) -> i.properties().blend())
          .usual(BlendMode.NORMAL)
          .about(
              "how its colours meet what is beneath, with the names of CSS Compositing. In a group"
                  + " it meets what is below it in the group only");
  private static final Field<Item, List<EffectDocument>> EFFECTS =
      field("effects", LIST, (Item i) -> documents(i.properties().effects(), i.values()))
          .usual(List.of())
          .about("done in order. A kind that is not known is kept, and nothing is done");
  private static final Field<Item, ClipDocument> CLIP =
      field("clip", Lists.object(CLIP_SCHEMA), AppearanceCodec::clip)
          .optional()
          .about("only what lies within a path is seen");

  private static final Field<Item, Matte> MATTE =
      field("matte", Lists.object(matte()), (Item i) -> i.properties().matte())
          .optional()
          .about("only so much is seen as another item covers");

  private static final Field<Item, RideCodec.Document> RIDE =
      field("ride", Lists.object(RideCodec.SCHEMA), RideCodec::document)
          .optional()
          .about("carried along a path");

  private static final Field<Item, Pin> PIN = PinCodec.pinned((Item i) -> i.properties().pin());

  private static final Field<Item, Valued<Plane>> PLANE =
      field("plane", Lists.object(PlaneCodec.SCHEMA), PlaneCodec::document)
          .optional()
          .about("turned in space");

  static final List<Field<Item, ?>> FIELDS = List.of(BLEND, EFFECTS, CLIP, MATTE, RIDE, PIN, PLANE);

  private AppearanceCodec() {}

  private static Schema<Matte> matte() {
    Field<Matte, String> of =
        field("item", Types.id(), Matte::item)
            .about("id of the other item, which may be hidden, and is measured where it stands");
    Field<Matte, Matte.By> by =
        field("by", Types.choice(Matte.By.values()), Matte::by)
            .usual(Matte.By.ALPHA)
            .about("how opaque it is, or how light");
    Field<Matte, Boolean> inverted =
        field("inverted", Types.flag(), Matte::inverted)
            .usual(false)
            .about("whether what it leaves is seen instead");
    return Schema.<Matte>named("Matte")
        .with(of, by, inverted)
        .keeping(Matte::extras)
        .made(v -> new Matte(v.get(of), v.get(by), v.get(inverted), v.rest()));
  }

  private static List<Schema<? extends EffectDocument>> effectKinds() {
    List<Schema<? extends EffectDocument>> out = new ArrayList<>();
    for (Effect.Kind kind : Effect.Kind.values()) {
      out.add(effect(kind));
    }
    return out;
  }

  private static Schema<EffectDocument> effect(Effect.Kind kind) {
    List<Field<EffectDocument, AnimatedValue>> numbers = new ArrayList<>();
    for (Effect.Parameter p : kind.parameters()) {
      numbers.add(
          field(
                  p.name(),
                  AnimatedType.of(Channel.effect("", p)),
                  (EffectDocument e) -> e.values.get(Channel.effect(e.effect.id(), p)))
              .fallback(new AnimatedValue(p.start()))
              .about(p.about()));
    }
    String word = Spelling.of(kind);
    List<OptionField<?>> options = new ArrayList<>();
    kind.options().forEach(o -> options.add(new OptionField<>(o)));
    return Schema.<EffectDocument>named(typeName(word))
        .kind(word)
        .sharing(EFFECT)
        .with(options.stream().map(o -> o.field).toList())
        .with(numbers)
        .keeping(e -> e.effect.extras())
        .made(
            v -> {
              String id = v.get(EFFECT_ID);
              Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
              for (int i = 0; i < numbers.size(); i++) {
                values.put(Channel.effect(id, kind.parameters().get(i)), v.get(numbers.get(i)));
              }
              Map<Effect.Option<?>, Enum<?>> choices = new LinkedHashMap<>();
              options.forEach(o -> choices.put(o.option, v.get(o.field)));
              return new EffectDocument(
                  new Effect(id, kind, word, v.get(OFF), choices, v.rest()), values);
            });
  }

  /** {@code drop-shadow} is a {@code DropShadowEffect}. */
  private static String typeName(String word) {
    StringBuilder out = new StringBuilder();
    for (String part : word.split("-")) {
      out.append(Character.toUpperCase(part.charAt(0))).append(part.substring(1));
    }
    return out.append("Effect").toString();
  }

  /** An option of an effect and its field. */
  private static final class OptionField<E extends Enum<E>> {
    private final Effect.Option<E> option;
    private final Field<EffectDocument, E> field;

    OptionField(Effect.Option<E> option) {
      this.option = option;
      this.field =
          field(
                  option.name(),
                  Types.choice(option.values()),
                  (EffectDocument e) -> e.effect.choice(option))
              .usual(option.start())
              .about(option.about());
    }
  }

  /** One of a kind that is not known: it is kept as it is. */
  private static final class UnknownEffect implements Kinds.Unknown<EffectDocument> {
    private static Schema<EffectDocument> schema(String word) {
      return Schema.<EffectDocument>named("UnknownEffect")
          .kind(word)
          .sharing(EFFECT)
          .keeping(e -> e.effect.extras())
          .made(
              v -> {
                Effect e = new Effect(v.get(EFFECT_ID), null, word, v.get(OFF), Map.of(), v.rest());
                return new EffectDocument(e, Map.of());
              });
    }

    @Override
    public EffectDocument read(Fields f, String word, String known) {
      if (word.isEmpty()) {
        f.problem(Schema.KIND, "is missing", known);
      }
      return schema(word).read(f);
    }

    @Override
    public void write(EffectDocument e, StringBuilder out) {
      schema(e.effect.word()).write(e, out);
    }

    @Override
    public boolean allowed() {
      return true;
    }
  }

  private static List<EffectDocument> documents(
      List<Effect> effects, Map<Channel, AnimatedValue> values) {
    return effects.stream().map(e -> new EffectDocument(e, values)).toList();
  }

  /**
   * Effects that belong together.
   *
   * @param name of the field that they are in
   */
  private static Finish finish(Fields f, String name, List<EffectDocument> all) {
    Set<String> ids = new HashSet<>();
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    for (int i = 0; i < all.size(); i++) {
      String id = all.get(i).effect.id();
      if (!ids.add(id)) {
        f.problem(name + "[" + i + "].id", "\"" + id + "\" is used twice", "an id of its own");
      }
      values.putAll(all.get(i).values);
    }
    return new Finish(all.stream().map(e -> e.effect).toList(), values);
  }

  /**
   * Whether effects can be used.
   *
   * @throws DocumentException with what is wrong
   */
  public static void checkFinish(JsonValue effects) {
    Fields f = Fields.of(Json.object().add(EFFECTS.name(), effects));
    FINISH.read(f, EFFECTS.name(), null);
    f.check();
  }

  private static ClipDocument clip(Item item) {
    Clip clip = item.properties().clip();
    return clip == null ? null : new ClipDocument(clip, item.movable(Channel.SOFT_EDGE));
  }

  /**
   * The properties with what was read.
   *
   * @param values to which the numbers of effects, the clip, the ride and the plane are added
   */
  static ItemProperties of(Values v, ItemProperties p, Map<Channel, AnimatedValue> values) {
    Finish finish = finish(v.fields(), EFFECTS.name(), v.get(EFFECTS));
    values.putAll(finish.values());
    ClipDocument clip = v.get(CLIP);
    if (clip != null) {
      values.put(Channel.SOFT_EDGE, clip.softEdge);
    }
    RideCodec.Document ride = v.get(RIDE);
    if (ride != null) {
      values.putAll(ride.values());
    }
    Valued<Plane> plane = v.get(PLANE);
    if (plane != null) {
      values.putAll(plane.values());
    }
    return p.blended(v.get(BLEND))
        .with(finish.effects())
        .clipped(clip == null ? null : clip.clip)
        .measuredBy(v.get(MATTE))
        .carried(ride == null ? null : ride.ride())
        .pinned(v.get(PIN))
        .turned(plane == null ? null : plane.part());
  }

  /** Where an item's document has one of these values, as the end of a JSON path; else null. */
  static String place(Item item, Channel channel) {
    if (channel == Channel.SOFT_EDGE) {
      return "." + CLIP.name() + "." + channel.field();
    }
    if (Channel.RIDE.contains(channel)) {
      return "." + RIDE.name() + "." + RideCodec.name(channel);
    }
    String inPlane = PlaneCodec.place(channel);
    if (inPlane != null) {
      return "." + PLANE.name() + "." + inPlane;
    }
    List<Effect> effects = item.properties().effects();
    for (int i = 0; i < effects.size(); i++) {
      Effect e = effects.get(i);
      for (Effect.Parameter p :
          e.kind() == null ? List.<Effect.Parameter>of() : e.kind().parameters()) {
        if (Channel.effect(e.id(), p).equals(channel)) {
          return "." + EFFECTS.name() + "[" + i + "]." + p.name();
        }
      }
    }
    return null;
  }
}
