package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Follow;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Stagger;
import rovingglyph.scene.Sway;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * The object that a value is when it is more than a number: keyframes, and motion added on top.
 * {@link AnimatedType} is the type of its field.
 */
final class AnimatedValueCodec {
  /** The latest time of a keyframe, in seconds. */
  static final double LATEST = 3600;

  static final int MOST_KEYFRAMES = 5000;

  private static final double FAR = 1e6;

  static final FieldType<Double> TIME = Types.number(0, LATEST, "s");

  private static final Field<Cruise, Cruise.Pace> PACE =
      field("pace", Types.choice(Cruise.Pace.values()), Cruise::pace)
          .fallback(Cruise.Pace.PER_SECOND)
          .about(
              "what the amount counts: units of the value a second, or of a path offset laps in one"
                  + " run of the scene, or letters a second");
  private static final Field<Cruise, Double> AMOUNT =
      field("amount", Types.number(-FAR, FAR, ""), Cruise::amount).fallback(0.0).about("how much");

  private static final Schema<Cruise> CRUISE =
      Schema.<Cruise>named("Cruise")
          .with(PACE, AMOUNT)
          .keeping(Cruise::extras)
          .made(v -> Cruise.of(v.get(PACE), v.get(AMOUNT), v.rest()));

  private static final Field<Sway, Double> AMPLITUDE =
      field("amplitude", Types.number(-FAR, FAR, ""), Sway::amplitude)
          .fallback(0.0)
          .about("how far it goes to either side, in the unit of the value");
  private static final Field<Sway, Double> PERIOD =
      field("period", Types.number(0.01, LATEST, "s"), Sway::period)
          .fallback(1.0)
          .about("of one swing");
  private static final Field<Sway, Double> PHASE =
      field("phase", Types.number(-36000, 36000, "\u00b0"), Sway::phase)
          .fallback(0.0)
          .about("where in a swing it begins; a turn of 360\u00b0 is one swing");
  private static final Field<Sway, Sway.Shape> SHAPE =
      field("shape", Types.choice(Sway.Shape.values()), Sway::shape)
          .fallback(Sway.Shape.SINE)
          .about("noise repeats after eight periods");
  private static final Field<Sway, Integer> SWAY_SEED =
      field("seed", Types.integer(0, 1_000_000), Sway::seed)
          .fallback(1)
          .about("another noise for every number");
  private static final Field<Sway, Boolean> LOOPS =
      field("loops", Types.flag(), Sway::loops)
          .usual(false)
          .about(
              "whether the period is the one nearest to `period` of which a whole number fits into"
                  + " the scene, so that the frame after the last is the first again");

  private static final Schema<Sway> SWAY =
      Schema.<Sway>named("Sway")
          .with(AMPLITUDE, PERIOD, PHASE, SHAPE, SWAY_SEED, LOOPS)
          .keeping(Sway::extras)
          .made(
              v ->
                  new Sway(
                      v.get(AMPLITUDE),
                      v.get(PERIOD),
                      v.get(PHASE),
                      v.get(SHAPE),
                      v.get(SWAY_SEED),
                      v.get(LOOPS),
                      0,
                      v.rest()));

  private static final Field<Stagger, Double> LAG =
      field("delay", Types.number(-60, 60, "s"), Stagger::delay)
          .fallback(0.05)
          .about("by which every letter lags the one before");
  private static final Field<Stagger, Stagger.Order> ORDER =
      field("order", Types.choice(Stagger.Order.values()), Stagger::order)
          .fallback(Stagger.Order.FORWARD)
          .about("which letter is first");
  private static final Field<Stagger, Integer> STAGGER_SEED =
      field("seed", Types.integer(0, 1_000_000), Stagger::seed)
          .fallback(1)
          .about("of the random order");

  private static final Schema<Stagger> STAGGER =
      Schema.<Stagger>named("Stagger")
          .with(LAG, ORDER, STAGGER_SEED)
          .keeping(Stagger::extras)
          .made(v -> new Stagger(v.get(LAG), v.get(ORDER), v.get(STAGGER_SEED), v.rest()));

  private static final Field<Follow, String> FOLLOWED =
      field("lettering", Types.id(), Follow::lettering).about("id of the one that is followed");
  private static final Field<Follow, Double> FACTOR =
      field("factor", Types.number(-1000, 1000, ""), Follow::factor)
          .fallback(1.0)
          .about("its value times this");
  private static final Field<Follow, Double> DELAY =
      field("delay", Types.number(-LATEST, LATEST, "s"), Follow::delay)
          .fallback(0.0)
          .about("the value that it had so long ago");
  private static final Field<Follow, Double> OFFSET =
      field("offset", Types.number(-FAR, FAR, ""), Follow::offset)
          .fallback(0.0)
          .about("and this added, in the unit of the value");

  private static final Schema<Follow> FOLLOW =
      Schema.<Follow>named("Follow")
          .with(FOLLOWED, FACTOR, DELAY, OFFSET)
          .keeping(Follow::extras)
          .made(
              v ->
                  new Follow(
                      v.get(FOLLOWED), v.get(FACTOR), v.get(DELAY), v.get(OFFSET), null, v.rest()));

  private static final Field<Keyframe, Double> AT =
      field("time", TIME, Keyframe::time)
          .fallback(0.0)
          .about("at most one keyframe per frame of the scene; it may stand after the end");
  private static final Field<Keyframe, Landing.Kind> LANDING =
      field(
              "landing",
              Types.choice(Landing.Kind.values()),
              (Keyframe k) -> k.landing() == null ? null : k.landing().kind())
          .optional()
          .about(
              "of a path offset only, solved again whenever the scene is prepared: the offset"
                  + " nearest to its neighbour at which no outline touches the frame, to 0.01 px,"
                  + " nor a trail that goes with the text; the last one at which all outlines are"
                  + " in the frame, `distance` px from its edges; 0; the middle of the text nearest"
                  + " to the middle of the frame; the same where the path, turned in space, is"
                  + " nearest to the viewer or farthest away; or `laps` times the length of the"
                  + " path");
  private static final Field<Keyframe, Double> LAPS =
      field("laps", Types.number(-1000, 1000, ""), AnimatedValueCodec::laps)
          .optional()
          .about("of a landing after whole laps; left out, 1");
  private static final Field<Keyframe, Double> DISTANCE =
      field("distance", Types.number(0, Landing.MOST_DISTANCE, "px"), AnimatedValueCodec::distance)
          .optional()
          .about("of a landing inside the frame: how far from its edges; left out, 0");
  private static final Field<Keyframe, String> CUE =
      field("cue", Types.text(Types.LONGEST_ID), Keyframe::cue)
          .optional()
          .about("id of the cue at whose time it is kept by editors; there has to be one");

  private static final Field<Keyframe, Easing> EASING =
      field("easing", EasingCodec.TYPE, Keyframe::easing)
          .fallback(Easing.LINEAR)
          .about(EasingCodec.ABOUT);

  private AnimatedValueCodec() {}

  static Schema<Keyframe> keyframe(Channel c) {
    Field<Keyframe, Double> value =
        field("value", AnimatedType.still(c), Keyframe::value)
            .fallback(c.clamp(0))
            .about(
                "within the range of the value; left out, the one in it nearest to 0. Of a landing"
                    + " it is the one it had when it was last solved");
    return Schema.<Keyframe>named(c.kind() == Channel.Kind.COLOUR ? "ColourKeyframe" : "Keyframe")
        .with(AT, value, LANDING, LAPS, DISTANCE, CUE, EASING)
        .keeping(Keyframe::extras)
        .made(v -> keyframe(v, v.get(value), c));
  }

  private static Double laps(Keyframe k) {
    boolean counts = k.landing() != null && k.landing().kind() == Landing.Kind.WHOLE_LAPS;
    return counts ? (Double) k.landing().laps() : null;
  }

  private static Double distance(Keyframe k) {
    boolean kept = k.landing() != null && k.landing().isInside() && k.landing().distance() > 0;
    return kept ? (Double) k.landing().distance() : null;
  }

  private static Landing landing(Values v, Landing.Kind kind) {
    double laps = v.get(LAPS) == null ? 1 : v.get(LAPS);
    return new Landing(kind, laps, v.get(DISTANCE) == null ? 0 : v.get(DISTANCE));
  }

  private static Keyframe keyframe(Values v, double value, Channel c) {
    Landing.Kind kind = v.get(LANDING);
    if (kind != null && !c.isAlongPath()) {
      v.fields().problem("landing", "only a path offset can land", "none");
    }
    return new Keyframe(
        v.get(AT),
        value,
        kind == null ? null : landing(v, kind),
        v.get(CUE),
        v.get(EASING),
        v.rest());
  }

  /**
   * The object.
   *
   * @param fallback what it is while still, where that is left out
   */
  static Schema<AnimatedValue> of(Channel c, double fallback) {
    Field<AnimatedValue, Double> still =
        field("still", AnimatedType.still(c), AnimatedValue::base)
            .fallback(fallback)
            .about("what it is without keyframes");
    Field<AnimatedValue, List<Keyframe>> keyframes =
        field("keyframes", Lists.list(keyframe(c), MOST_KEYFRAMES), AnimatedValue::keyframes)
            .fallback(List.of())
            .about("in any order; before the first and after the last the value holds");
    Field<AnimatedValue, Cruise> cruise =
        field("cruise", Lists.object(CRUISE), AnimatedValue::cruise)
            .optional()
            .about("constant motion, added on top; not of a colour");
    Field<AnimatedValue, Sway> sway =
        field("sway", Lists.object(SWAY), AnimatedValue::sway)
            .optional()
            .about("motion to and fro, added on top; not of a colour");
    Field<AnimatedValue, Stagger> stagger =
        field("stagger", Lists.object(STAGGER), AnimatedValue::stagger)
            .optional()
            .about("of letterings only: letters one after another");
    Field<AnimatedValue, Follow> follow =
        field("follow", Lists.object(FOLLOW), AnimatedValue::follow)
            .optional()
            .about(
                "of letterings only: the same value of another lettering in place of the"
                    + " keyframes");
    return Schema.<AnimatedValue>named(AnimatedType.name(c))
        .with(still, keyframes, cruise, sway, stagger, follow)
        .keeping(AnimatedValue::extras)
        .made(
            v -> {
              check(v, v.get(cruise), v.get(sway), c);
              return new AnimatedValue(
                  v.get(still),
                  sorted(v.get(keyframes)),
                  v.get(cruise),
                  v.get(sway),
                  v.get(stagger),
                  v.get(follow),
                  v.rest());
            });
  }

  private static void check(Values v, Cruise cruise, Sway sway, Channel c) {
    boolean colour = c.kind() == Channel.Kind.COLOUR;
    if (colour && cruise != null) {
      v.fields().problem("cruise", "a colour cannot cruise", "keyframes");
    } else if (cruise != null && cruise.pace() != Cruise.Pace.PER_SECOND && !c.isAlongPath()) {
      v.fields().problem("cruise.pace", "only a path offset counts laps or letters", "per-second");
    } else if (cruise != null && cruise.pace() == Cruise.Pace.LETTERS && c != Channel.PATH_OFFSET) {
      v.fields().problem("cruise.pace", "only words count letters", "per-second or laps");
    }
    if (colour && sway != null) {
      v.fields().problem("sway", "a colour cannot sway", "keyframes");
    }
  }

  private static List<Keyframe> sorted(List<Keyframe> keyframes) {
    List<Keyframe> out = new ArrayList<>(keyframes);
    out.sort(Comparator.comparingDouble(Keyframe::time));
    return List.copyOf(out);
  }
}
