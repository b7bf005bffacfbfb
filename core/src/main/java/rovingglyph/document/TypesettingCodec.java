package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.LetterRule;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Profile;
import rovingglyph.scene.Typesetting;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The fields of a lettering that say what is made of its characters. */
final class TypesettingCodec {
  /** Of a lettering, and of a text to be shaped. */
  static final FieldType<Typesetting.Casing> CASING_TYPE =
      Types.choice(Typesetting.Casing.values());

  static final FieldType<Map<String, Integer>> FEATURES_TYPE =
      Lists.byTag(Types.integer(0, 1000), 0, "a feature", "smcp", 100);

  private static final Typesetting.Phrases PLAIN = Typesetting.Phrases.PLAIN;
  private static final Typesetting.Rows ONE = Typesetting.Rows.ONE;

  private static final Field<Typesetting.Phrases, String> SEPARATOR =
      field("separator", Types.text(100), Typesetting.Phrases::separator)
          .fallback(PLAIN.separator())
          .about("what stands between them");
  private static final Field<Typesetting.Phrases, Double> SPACE =
      field("space", Types.number(0, 20, "em"), Typesetting.Phrases::space)
          .fallback(PLAIN.space())
          .about("on either side of the separator");
  private static final Field<Typesetting.Phrases, Integer> TIMES =
      field("times", Types.integer(0, 1000), Typesetting.Phrases::times)
          .fallback(PLAIN.times())
          .about("all are set so many times; 0: as often as the room holds");

  private static final Schema<Typesetting.Phrases> PHRASES_SCHEMA =
      Schema.<Typesetting.Phrases>named("Phrases")
          .with(SEPARATOR, SPACE, TIMES)
          .keeping(Typesetting.Phrases::extras)
          .made(
              v -> new Typesetting.Phrases(v.get(SEPARATOR), v.get(SPACE), v.get(TIMES), v.rest()));

  private static final Field<LetterRule, LetterRule.By> BY =
      field("by", Types.choice(LetterRule.By.values()), LetterRule::by)
          .fallback(LetterRule.By.WORD)
          .about(
              "`word` looks for `match`; words, phrases, letters and initials are counted: the"
                  + " `from`-th and then `every` n-th");
  private static final Field<LetterRule, String> MATCH =
      field("match", Types.text(200), LetterRule::match)
          .usual("")
          .about("the word, whatever its case");
  private static final Field<LetterRule, Integer> EVERY =
      field("every", Types.integer(1, 10_000), LetterRule::every).usual(1);
  private static final Field<LetterRule, Integer> FROM =
      field("from", Types.integer(1, 10_000), LetterRule::from).usual(1);
  private static final Field<LetterRule, Integer> RULE_FILL =
      field("fill", Types.colour(), LetterRule::fill).optional();
  private static final Field<LetterRule, Map<String, Double>> RULE_AXES =
      field(
              "axes",
              Lists.byTag(
                  Types.number(-32768, 32767, ""),
                  0.0,
                  "an axis",
                  "wght",
                  LetteringCodec.MOST_AXES),
              LetterRule::axes)
          .usual(Map.of())
          .about("of a variable face");
  private static final Field<LetterRule, Double> RULE_SIZE =
      field("size", Types.number(1, 1000, "%"), LetterRule::size)
          .usual(100.0)
          .about("of the lettering's");

  private static final Schema<LetterRule> RULE =
      Schema.<LetterRule>named("LetterRule")
          .with(BY, MATCH, EVERY, FROM, RULE_FILL, RULE_AXES, RULE_SIZE)
          .keeping(LetterRule::extras)
          .made(
              v ->
                  new LetterRule(
                      v.get(BY),
                      v.get(MATCH),
                      v.get(EVERY),
                      v.get(FROM),
                      v.get(RULE_FILL),
                      v.get(RULE_AXES),
                      v.get(RULE_SIZE),
                      v.rest()));

  private static final Field<Typesetting.Rows, Integer> COUNT =
      field("count", Types.integer(1, 100), Typesetting.Rows::count).fallback(ONE.count());
  private static final Field<Typesetting.Rows, Typesetting.Rows.Kind> ROWS_KIND =
      field("kind", Types.choice(Typesetting.Rows.Kind.values()), Typesetting.Rows::kind)
          .fallback(ONE.kind())
          .about("beside the path at a distance, or moved elsewhere");
  private static final Field<Typesetting.Rows, Double> STEP =
      field("step", Types.number(-1e4, 1e4, "px"), Typesetting.Rows::step)
          .fallback(ONE.step())
          .about("from row to row");
  private static final Field<Typesetting.Rows, Double> DIRECTION =
      field("direction", Types.number(-360, 360, "\u00b0"), Typesetting.Rows::direction)
          .fallback(ONE.direction())
          .about("in which moved rows follow each other");
  private static final Field<Typesetting.Rows, Integer> PHRASE =
      field("phrase", Types.integer(-1000, 1000), Typesetting.Rows::phrase)
          .fallback(ONE.phrase())
          .about("by how many phrases each begins later than the one before");
  private static final Field<Typesetting.Rows, Double> ROWS_PHASE =
      field("phase", Types.number(-1e5, 1e5, "px"), Typesetting.Rows::phase)
          .fallback(ONE.phase())
          .about("by how far along the path each is shifted from the one before");

  private static final Schema<Typesetting.Rows> ROWS_SCHEMA =
      Schema.<Typesetting.Rows>named("Rows")
          .with(COUNT, ROWS_KIND, STEP, DIRECTION, PHRASE, ROWS_PHASE)
          .keeping(Typesetting.Rows::extras)
          .made(
              v ->
                  new Typesetting.Rows(
                      v.get(COUNT),
                      v.get(ROWS_KIND),
                      v.get(STEP),
                      v.get(DIRECTION),
                      v.get(PHRASE),
                      v.get(ROWS_PHASE),
                      v.rest()));

  private static final Field<Profile, Profile.Of> OF =
      field("of", Types.choice(Profile.Of.values()), Profile::of)
          .fallback(Profile.Of.SIZE)
          .about("size in %, turn in \u00b0, shift in px, tracking in em, or the value of `axis`");
  private static final Field<Profile, String> AXIS =
      field("axis", Types.text(4), Profile::axis).usual("wght").about("its OpenType tag");
  private static final Field<Profile, Profile.Along> ALONG =
      field("along", Types.choice(Profile.Along.values()), Profile::along)
          .fallback(Profile.Along.RUN);
  private static final Field<Profile, List<Point>> POINTS =
      field("points", Types.pairs(50, -1e5, 1e5), Profile::points)
          .fallback(List.of())
          .about("the first number from 0 to 1 and rising, the second the value there");

  private static final Schema<Profile> PROFILE =
      Schema.<Profile>named("Profile")
          .with(OF, AXIS, ALONG, POINTS)
          .keeping(Profile::extras)
          .made(TypesettingCodec::profile);

  private static final Field<Lettering, Typesetting.Casing> CASING =
      field("casing", CASING_TYPE, (Lettering l) -> l.setting().casing())
          .usual(Typesetting.Casing.AS_TYPED)
          .about("by the rules of Unicode");
  private static final Field<Lettering, Map<String, Integer>> FEATURES =
      field("features", FEATURES_TYPE, (Lettering l) -> l.setting().features())
          .usual(Map.of())
          .about(
              "OpenType features: 0 off, 1 on, more for alternates. Left out, those are on that the"
                  + " face has on by itself");
  private static final Field<Lettering, Typesetting.Phrases> PHRASES =
      field("phrases", Lists.object(PHRASES_SCHEMA), (Lettering l) -> l.setting().phrases())
          .usual(PLAIN)
          .about("every line of the text is a phrase");
  private static final Field<Lettering, List<LetterRule>> RULES =
      field("rules", Lists.list(RULE, 100), (Lettering l) -> l.setting().rules())
          .usual(List.of())
          .about("for some of the letters; later ones win");
  private static final Field<Lettering, Typesetting.Rows> ROWS =
      field("rows", Lists.object(ROWS_SCHEMA), (Lettering l) -> l.setting().rows())
          .usual(ONE)
          .about("the same several times over");
  private static final Field<Lettering, List<Profile>> PROFILES =
      field("profiles", Lists.list(PROFILE, 20), (Lettering l) -> l.setting().profiles())
          .usual(List.of())
          .about("small curves along the run or the path");
  private static final Field<Lettering, Typesetting.ColourMix> MIX =
      field("mix", Types.choice(Typesetting.ColourMix.values()), (Lettering l) -> l.setting().mix())
          .usual(Typesetting.ColourMix.OKLCH)
          .about("how a moving colour goes from one to the next (CSS Color 4)");

  static final List<Field<Lettering, ?>> FIELDS =
      List.of(CASING, FEATURES, PHRASES, RULES, ROWS, PROFILES, MIX);

  private TypesettingCodec() {}

  static Typesetting of(Values v) {
    return new Typesetting(
        v.get(CASING),
        v.get(FEATURES),
        v.get(PHRASES),
        v.get(RULES),
        v.get(ROWS),
        v.get(PROFILES),
        v.get(MIX));
  }

  private static Profile profile(Values v) {
    Profile.Of of = v.get(OF);
    List<Point> points = v.get(POINTS);
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      boolean rises = i == 0 || p.x() > points.get(i - 1).x();
      if (p.x() < 0 || p.x() > 1 || !rises) {
        v.fields()
            .problem("points[" + i + "]", "its first number is out of order", "0 to 1, rising");
      }
      if (of == Profile.Of.SIZE && (p.y() < 1 || p.y() > 1000)) {
        v.fields()
            .problem("points[" + i + "]", "its second number is out of range", "1 to 1000 percent");
      }
    }
    return new Profile(of, v.get(AXIS), v.get(ALONG), points, v.rest());
  }
}
