package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Trail;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The fields of a lettering that say how its letters come and go. */
final class LetterEffectsCodec {
  private static final Field<Reveal, Reveal.By> BY =
      field("by", Types.choice(Reveal.By.values()), Reveal::by)
          .fallback(Reveal.By.LETTERS)
          .about("what is counted");
  private static final Field<Reveal, Double> SOFT =
      field("soft", Types.number(0, 100, "%"), Reveal::soft)
          .fallback(0.0)
          .about("width of the edge, of the run");
  private static final Field<Reveal, Boolean> FADE =
      field("fade", Types.flag(), Reveal::fade)
          .fallback(true)
          .about("whether letters in the edge are faint");
  private static final Field<Reveal, Double> RISE =
      field("rise", Types.number(-1e4, 1e4, "px"), Reveal::rise)
          .fallback(0.0)
          .about("how far below its place a letter that is not there yet stands");
  private static final Field<Reveal, Double> TURN =
      field("turn", Types.number(-3600, 3600, "\u00b0"), Reveal::turn)
          .fallback(0.0)
          .about("by how much it is turned");
  private static final Field<Reveal, Double> SCALE =
      field("scale", Types.number(0, 1000, "%"), Reveal::scale).fallback(100.0).about("its size");

  private static final Schema<Reveal> REVEAL_SCHEMA =
      Schema.<Reveal>named("Reveal")
          .with(BY, SOFT, FADE, RISE, TURN, SCALE)
          .keeping(Reveal::extras)
          .made(
              v ->
                  new Reveal(
                      v.get(BY),
                      v.get(SOFT),
                      v.get(FADE),
                      v.get(RISE),
                      v.get(TURN),
                      v.get(SCALE),
                      v.rest()));

  private static final Field<ClockSweep, Point> CENTRE =
      field("centre", Types.pair(PathCodec.FARTHEST), ClockSweep::centre)
          .optional()
          .about("that of the path where it is left out");
  private static final Field<ClockSweep, Double> START_ANGLE =
      field("startAngle", Types.number(-36000, 36000, "\u00b0"), ClockSweep::startAngle)
          .fallback(-90.0)
          .about("where it begins, clockwise from the right");
  private static final Field<ClockSweep, Integer> LETTER =
      field("letter", Types.integer(0, 100_000), ClockSweep::letter)
          .optional()
          .about("index of the letter before which it begins instead");
  private static final Field<ClockSweep, Boolean> COUNTER =
      field("counter", Types.flag(), ClockSweep::counter).fallback(false).about("counterclockwise");
  private static final Field<ClockSweep, Double> SWEEP_SOFT =
      field("soft", Types.number(0, 360, "\u00b0"), ClockSweep::soft)
          .fallback(0.0)
          .about("width of the edge");
  private static final Field<ClockSweep, Boolean> SWEEP_FADE =
      field("fade", Types.flag(), ClockSweep::fade)
          .fallback(true)
          .about("whether letters in the edge are faint");

  private static final Schema<ClockSweep> SWEEP_SCHEMA =
      Schema.<ClockSweep>named("ClockSweep")
          .with(CENTRE, START_ANGLE, LETTER, COUNTER, SWEEP_SOFT, SWEEP_FADE)
          .keeping(ClockSweep::extras)
          .made(
              v ->
                  new ClockSweep(
                      v.get(CENTRE),
                      v.get(START_ANGLE),
                      v.get(LETTER),
                      v.get(COUNTER),
                      v.get(SWEEP_SOFT),
                      v.get(SWEEP_FADE),
                      v.rest()));

  private static final Field<Trail, Integer> COLOUR =
      field("colour", Types.colour(), Trail::colour).fallback(0x1F2B37);
  private static final Field<Trail, Double> WIDTH =
      field("width", Types.number(0.1, 1000, "px"), Trail::width).fallback(4.0);
  private static final Field<Trail, List<Double>> DASH =
      field("dash", Types.numbers(20, 0, 1e5), Trail::dash)
          .fallback(List.of())
          .about(
              "lengths of dashes and gaps in turn, px, together 0.5 or more; none for a whole line");
  private static final Field<Trail, Trail.Cap> CAP =
      field("cap", Types.choice(Trail.Cap.values()), Trail::cap)
          .fallback(Trail.Cap.ROUND)
          .about("how the line ends, as in SVG");
  private static final Field<Trail, Boolean> WITH =
      field("with", Types.flag(), Trail::with)
          .fallback(false)
          .about("whether it begins and ends with the lettering");
  private static final Field<Trail, Double> LEAD =
      field("lead", Types.number(-1e5, 1e5, "px"), Trail::lead)
          .fallback(0.0)
          .about("how far it runs ahead of the head then");
  private static final Field<Trail, Double> LAG =
      field("lag", Types.number(-1e5, 1e5, "px"), Trail::lag)
          .fallback(0.0)
          .about("how far it reaches back behind the tail then");

  private static final Schema<Trail> TRAIL_SCHEMA =
      Schema.<Trail>named("Trail")
          .with(COLOUR, WIDTH, DASH, CAP, WITH, LEAD, LAG)
          .keeping(Trail::extras)
          .made(LetterEffectsCodec::trail);

  private static final Field<Recipe, Recipe.Kind> KIND =
      field("kind", Types.choice(Recipe.Kind.values()), Recipe::kind);

  /** The numbers and choices that it was written from are kept as its further fields. */
  private static final Schema<Recipe> RECIPE =
      Schema.<Recipe>named("Recipe")
          .with(KIND)
          .keeping(Recipe::params)
          .made(LetterEffectsCodec::recipe);

  private static final Field<Lettering, Reveal> REVEAL =
      field("reveal", Lists.object(REVEAL_SCHEMA), (Lettering l) -> l.letterEffects().reveal())
          .optional()
          .about("letters appear along the run between `revealFrom` and `revealTo`");
  private static final Field<Lettering, ClockSweep> SWEEP =
      field("sweep", Lists.object(SWEEP_SCHEMA), (Lettering l) -> l.letterEffects().sweep())
          .optional()
          .about("letters appear by angle round a centre between `sweepFrom` and `sweepTo`");
  private static final Field<Lettering, Trail> TRAIL =
      field("trail", Lists.object(TRAIL_SCHEMA), (Lettering l) -> l.letterEffects().trail())
          .optional()
          .about("the path's line under the letters, between `trailFrom` and `trailTo`");
  private static final Field<Lettering, List<Recipe>> RECIPES =
      field("recipes", Lists.list(RECIPE, 2), (Lettering l) -> l.letterEffects().recipes())
          .usual(List.of())
          .about("what wrote some of the motion, with its parameters; for editors");
  private static final Field<Lettering, Double> BLUR =
      field("blur", Types.number(0, 720, "\u00b0"), (Lettering l) -> l.letterEffects().blur())
          .optional()
          .about("shutter angle of its own");

  static final List<Field<Lettering, ?>> FIELDS = List.of(REVEAL, SWEEP, TRAIL, RECIPES, BLUR);

  private LetterEffectsCodec() {}

  static LetterEffects of(Values v) {
    List<Recipe> recipes = v.get(RECIPES);
    if (recipes.size() == 2 && recipes.get(0).kind().travels() == recipes.get(1).kind().travels()) {
      v.fields().problem("recipes", "both are of one sort", "one that travels and one that shows");
    }
    return new LetterEffects(v.get(REVEAL), v.get(SWEEP), v.get(TRAIL), recipes, v.get(BLUR));
  }

  private static Recipe recipe(Values v) {
    return v.get(KIND) == null ? null : new Recipe(v.get(KIND), v.rest());
  }

  private static Trail trail(Values v) {
    List<Double> dash = v.get(DASH);
    double together = dash.stream().mapToDouble(d -> d).sum();
    if (!dash.isEmpty() && together < 0.5) {
      v.fields().problem("dash", "its lengths are too short together", "0.5 px and more");
    }
    return new Trail(
        v.get(COLOUR),
        v.get(WIDTH),
        dash,
        v.get(CAP),
        v.get(WITH),
        v.get(LEAD),
        v.get(LAG),
        v.rest());
  }
}
