package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Inset;
import rovingglyph.scene.ItemProperties;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Footage from and to JSON. */
final class FootageCodec {
  private static final BitmappedCodec<Footage> OF =
      BitmappedCodec.of("footage", "The command line also takes a file that is called so");

  private static final FieldType<Double> SECONDS = Types.number(0, Footage.LONGEST, "s");
  private static final FieldType<Double> FADE = Types.number(0, Footage.Sound.LONGEST_FADE, "s");

  private static final Field<Footage, Double> RATE =
      field(
              "rate",
              Types.number(Footage.SLOWEST_RATE, Footage.FASTEST_RATE, "frames/s"),
              Footage::rate)
          .fallback(25.0)
          .about("of the kept footage, on average where it varies");
  private static final Field<Footage, Double> LENGTH =
      field("length", Types.number(0.001, Footage.LONGEST, "s"), Footage::length)
          .fallback(1.0)
          .about("of the kept footage");
  private static final Field<Footage, Double> IN =
      field("in", SECONDS, Footage::in)
          .usual(0.0)
          .about("the moment of it that is shown when it begins: at `shownFrom`, else at 0 s");
  private static final Field<Footage, Double> OUT =
      field("out", SECONDS, (Footage f) -> f.out() == f.length() ? null : (Double) f.out())
          .optional()
          .about("a later moment, before which it ends; left out, its whole length is shown");
  private static final Field<Footage, Double> SPEED =
      field("speed", Types.number(Inset.SLOWEST, Inset.FASTEST, ""), Footage::speed)
          .usual(1.0)
          .about("seconds of it in one second");
  private static final Field<Footage, Footage.AtEnd> AT_END =
      field("atEnd", Types.choice(Footage.AtEnd.values()), Footage::atEnd)
          .usual(Footage.AtEnd.HOLD)
          .about(
              "`loop`: it begins again at `in`; `hold`: its last frame stays; `end`: nothing is"
                  + " shown any more");
  private static final Field<Footage, Boolean> SOUND =
      field("sound", Types.flag(), (Footage f) -> f.sound().on())
          .usual(true)
          .about("whether its sound is heard, where it has one; files without sound leave it out");
  private static final Field<Footage, Double> LEVEL =
      field(
              "level",
              Types.number(Footage.Sound.SOFTEST, Footage.Sound.LOUDEST, "dB"),
              (Footage f) -> f.sound().level())
          .usual(0.0)
          .about("of its sound; 0 leaves it as it is");
  private static final Field<Footage, Double> FADE_IN =
      field("fadeIn", FADE, (Footage f) -> f.sound().fadeIn())
          .usual(0.0)
          .about("in which its sound comes up, from where it begins");
  private static final Field<Footage, Double> FADE_OUT =
      field("fadeOut", FADE, (Footage f) -> f.sound().fadeOut())
          .usual(0.0)
          .about("in which its sound dies away, before it is gone");

  private static final Field<Footage, List<FootagePin>> PINS =
      field("pins", Lists.list(PinCodec.FOLLOWED, FootagePin.MOST), Footage::pins)
          .usual(List.of())
          .about("what is followed in it");

  static final Schema<Footage> SCHEMA =
      Schema.<Footage>named("Footage")
          .kind("footage")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(OF.image(), OF.pixelWidth(), OF.pixelHeight())
          .with(
              RATE,
              LENGTH,
              IN,
              OUT,
              SPEED,
              AT_END,
              SOUND,
              LEVEL,
              FADE_IN,
              FADE_OUT,
              PINS,
              OF.centre())
          .with(TransformedCodec.PLACE)
          .with(OF.values())
          .keeping(Footage::extras)
          .made(v -> ItemPropertiesCodec.of(v, "Footage", (p, values) -> made(v, p, values)));

  private FootageCodec() {}

  private static Footage made(Values v, ItemProperties p, Map<Channel, AnimatedValue> appearance) {
    double length = v.get(LENGTH);
    double out = v.get(OUT) == null ? length : v.get(OUT);
    if (v.sound() && out <= v.get(IN)) {
      String wrong = v.get(OUT) == null ? IN.name() : OUT.name();
      v.fields()
          .problem(
              wrong,
              v.get(OUT) == null ? "is not before the end of the footage" : "is not after in",
              v.get(OUT) == null ? "a moment before " + length + " s" : "a later moment");
    }
    return new Footage(
        p,
        v.get(OF.image()),
        v.get(OF.pixelWidth()),
        v.get(OF.pixelHeight()),
        v.get(RATE),
        length,
        v.get(IN),
        out,
        v.get(SPEED),
        v.get(AT_END),
        new Footage.Sound(v.get(SOUND), v.get(LEVEL), v.get(FADE_IN), v.get(FADE_OUT)),
        v.get(PINS),
        v.get(OF.centre()),
        OF.values(v, appearance),
        v.rest());
  }
}
