package rovingglyph.webexport;

import java.util.function.DoubleUnaryOperator;
import rovingglyph.frame.Appearance;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.schema.Spelling;

/**
 * The effects of an item as one SVG filter: what frames have for them, in primitives of the
 * standard. Numbers that move are animated.
 */
final class FilterSvg {
  /** Of lengths, px. */
  private static final double LENGTH = 0.05;

  /** Of standard deviations, px. */
  private static final double DEVIATION = 0.03;

  private static final double SHARE = 0.003;

  private final Item item;
  private final SvgClock clock;
  private final StringBuilder out = new StringBuilder();
  private String last = "SourceGraphic";
  private int results;

  FilterSvg(Item item, SvgClock clock) {
    this.item = item;
    this.clock = clock;
  }

  /** The primitives, whose result is the last of them. */
  String primitives() {
    return out.toString();
  }

  /** Adds what an effect does to what those before it have made. */
  void add(Effect e) {
    switch (e.kind()) {
      case BLUR -> last = blur(last, e);
      case DROP_SHADOW -> {
        String shade = offset(coloured(blur(spread(e), e), e), e);
        last = over(last, shade);
      }
      case GLOW -> {
        if (e.choice(Effect.GLOW_SIDE) == Effect.GlowSide.INNER) {
          last = innerGlow(e);
        } else {
          last = over(last, coloured(stronger(blur(last, e), e), e));
        }
      }
      case CAST_SHADOW -> {
        // It lies beneath all of the item.
      }
    }
  }

  /** A glow alone, without what it goes round. */
  void glowAlone(Effect e) {
    last = coloured(stronger(blur(last, e), e), e);
  }

  /** The shape alone in one colour, blurred by a share of the effect's own blur. */
  void shadeAlone(Effect e, double share) {
    DoubleUnaryOperator deviation = t -> value(e, Effect.DEVIATION, t) * share;
    last = share == 0 ? last : blur(last, deviation);
    String flood = named("feFlood", new SmilAttribute(clock).colour("flood-color", colour(e)), "");
    last = composite(flood, last, "in");
  }

  private double value(Effect e, Effect.Parameter p, double time) {
    return Appearance.value(item, e, p, time);
  }

  private DoubleUnaryOperator colour(Effect e) {
    return t -> Appearance.colour(item, e, t);
  }

  private String named(String element, SmilAttribute attributes, String contents) {
    String result = "r" + results++;
    out.append(attributes.fixed("result", result).element(element, contents));
    return result;
  }

  private SmilAttribute in(String name) {
    return new SmilAttribute(clock).fixed("in", name);
  }

  private String blur(String of, Effect e) {
    return blur(of, t -> value(e, Effect.DEVIATION, t));
  }

  private String blur(String of, DoubleUnaryOperator deviation) {
    return named("feGaussianBlur", in(of).number("stdDeviation", DEVIATION, deviation), "");
  }

  private String stronger(String of, Effect e) {
    SmilAttribute slope =
        new SmilAttribute(clock)
            .fixed("type", "linear")
            .number("slope", SHARE, t -> value(e, Effect.STRENGTH, t) / 100);
    return named("feComponentTransfer", in(of), slope.element("feFuncA", ""));
  }

  /** The shape of something in the colour and opacity of an effect. */
  private String coloured(String shape, Effect e) {
    SmilAttribute flood =
        new SmilAttribute(clock)
            .colour("flood-color", colour(e))
            .number("flood-opacity", SHARE, t -> value(e, Effect.OPACITY, t) / 100);
    return composite(named("feFlood", flood, ""), shape, "in");
  }

  private String composite(String a, String b, String operator) {
    return named("feComposite", in(a).fixed("in2", b).fixed("operator", operator), "");
  }

  private String over(String above, String below) {
    return composite(above, below, "over");
  }

  private String offset(String of, Effect e) {
    SmilAttribute by =
        in(of)
            .number("dx", LENGTH, t -> value(e, Effect.DX, t))
            .number("dy", LENGTH, t -> value(e, Effect.DY, t));
    return named("feOffset", by, "");
  }

  private String spread(Effect e) {
    AnimatedValue m = item.movable(Channel.effect(e.id(), Effect.SPREAD));
    if (!m.moves() && m.base() == 0) {
      return last;
    }
    SmilAttribute by =
        in(last)
            .fixed("operator", "dilate")
            .number("radius", LENGTH, t -> value(e, Effect.SPREAD, t));
    return named("feMorphology", by, "");
  }

  private String innerGlow(Effect e) {
    String inverted =
        named("feComponentTransfer", in(last), "<feFuncA type=\"table\" tableValues=\"1 0\"/>");
    String light = coloured(stronger(blur(inverted, e), e), e);
    String inside = composite(light, last, "in");
    BlendMode blend = e.choice(Effect.GLOW_BLEND);
    if (blend == BlendMode.PLUS_LIGHTER) {
      SmilAttribute sum =
          in(inside).fixed("in2", last).fixed("operator", "arithmetic").fixed("k2", "1");
      return named("feComposite", sum.fixed("k3", "1"), "");
    }
    SmilAttribute mixed = in(inside).fixed("in2", last).fixed("mode", Spelling.of(blend));
    return named("feBlend", mixed, "");
  }
}
