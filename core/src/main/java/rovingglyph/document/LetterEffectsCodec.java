package rovingglyph.document;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Trail;

/** The fields of a lettering that say how its letters come and go. */
final class LetterEffectsCodec {
  private LetterEffectsCodec() {}

  static LetterEffects read(Fields f) {
    return new LetterEffects(
        f.get("reveal") == null ? null : reveal(f.object("reveal")),
        f.get("sweep") == null ? null : sweep(f.object("sweep")),
        f.get("trail") == null ? null : trail(f.object("trail")),
        recipes(f),
        f.get("blur") == null ? null : f.number("blur", 0, 720, 180));
  }

  private static List<Recipe> recipes(Fields f) {
    List<Recipe> all =
        f.list(
            "recipes",
            2,
            r -> {
              Recipe.Kind kind = r.choice("kind", Recipe.Kind.values(), null);
              return kind == null ? null : new Recipe(kind, r.rest());
            });
    if (all.size() == 2 && all.get(0).kind().travels() == all.get(1).kind().travels()) {
      f.problem("recipes", "both are of one sort", "one that travels and one that shows");
    }
    return all;
  }

  private static Reveal reveal(Fields f) {
    return new Reveal(
        f.choice("by", Reveal.By.values(), Reveal.By.LETTERS),
        f.number("soft", 0, 100, 0),
        f.flag("fade", true),
        f.number("rise", -1e4, 1e4, 0),
        f.number("turn", -3600, 3600, 0),
        f.number("scale", 0, 1000, 100),
        f.rest());
  }

  private static ClockSweep sweep(Fields f) {
    return new ClockSweep(
        f.point("centre", PathCodec.FARTHEST, null),
        f.number("startAngle", -36000, 36000, -90),
        f.get("letter") == null ? null : f.integer("letter", 0, 100_000, 0),
        f.flag("counter", false),
        f.number("soft", 0, 360, 0),
        f.flag("fade", true),
        f.rest());
  }

  private static Trail trail(Fields f) {
    return new Trail(
        f.colour("colour", 0x1F2B37),
        f.number("width", 0.1, 1000, 4),
        dash(f),
        f.choice("cap", Trail.Cap.values(), Trail.Cap.ROUND),
        f.flag("with", false),
        f.number("lead", -1e5, 1e5, 0),
        f.number("lag", -1e5, 1e5, 0),
        f.rest());
  }

  private static List<Double> dash(Fields f) {
    JsonValue v = f.get("dash");
    List<Double> out = new ArrayList<>();
    if (v == null) {
      return out;
    }
    int n = v.isArray() ? Math.min(v.asArray().size(), 20) : 2;
    double[] numbers = f.numbers("dash", n, 0, 1e5);
    double sum = 0;
    for (int i = 0; numbers != null && i < n; i++) {
      out.add(numbers[i]);
      sum += numbers[i];
    }
    if (!out.isEmpty() && sum < 0.5) {
      f.problem("dash", "its lengths are too short together", "0.5 px and more");
    }
    return List.copyOf(out);
  }

  static void write(Writer w, LetterEffects s) {
    if (s.reveal() != null) {
      Reveal r = s.reveal();
      w.json(
          "reveal",
          Writer.object()
              .add("by", Spelling.of(r.by()))
              .add("soft", r.soft())
              .add("fade", r.fade())
              .add("rise", r.rise())
              .add("turn", r.turn())
              .add("scale", r.scale())
              .rest(r.extras())
              .text());
    }
    if (s.sweep() != null) {
      w.json("sweep", write(s.sweep()));
    }
    if (s.trail() != null) {
      w.json("trail", write(s.trail()));
    }
    if (!s.recipes().isEmpty()) {
      w.list(
          "recipes",
          s.recipes(),
          r -> Writer.object().add("kind", Spelling.of(r.kind())).rest(r.params()).text());
    }
    if (s.blur() != null) {
      w.add("blur", s.blur());
    }
  }

  private static String write(ClockSweep s) {
    Writer w = Writer.object();
    if (s.centre() != null) {
      w.point("centre", s.centre());
    }
    w.add("startAngle", s.startAngle());
    if (s.letter() != null) {
      w.add("letter", s.letter());
    }
    return w.add("counter", s.counter())
        .add("soft", s.soft())
        .add("fade", s.fade())
        .rest(s.extras())
        .text();
  }

  private static String write(Trail t) {
    return Writer.object()
        .colour("colour", t.colour())
        .add("width", t.width())
        .list("dash", t.dash(), Writer::number)
        .add("cap", Spelling.of(t.cap()))
        .add("with", t.with())
        .add("lead", t.lead())
        .add("lag", t.lag())
        .rest(t.extras())
        .text();
  }
}
