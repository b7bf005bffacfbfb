package rovingglyph.setting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.LetterRule;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Typesetting;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.TypeSource;

/** Sets a lettering: what has to be shaped for it, and the shaped runs put together. */
public final class Compositor {
  private final Lettering lettering;
  private final Map<String, Double> axes = new TreeMap<>();
  private final Map<String, double[]> ranges;

  /** Sets a lettering once its texts are shaped. */
  public Compositor(Lettering lettering) {
    this.lettering = lettering;
    this.ranges = AxisRange.of(lettering);
    lettering
        .axes()
        .forEach((tag, m) -> axes.put(tag, m.keyed() ? m.keyframes().get(0).value() : m.base()));
    ranges.forEach((tag, values) -> axes.putIfAbsent(tag, values[0]));
  }

  /** The lines of the text; at least one, which may be empty. */
  private List<String> phrases() {
    List<String> out = new ArrayList<>();
    for (String line : lettering.text().split("\n", -1)) {
      if (!line.isBlank()) {
        out.add(line.strip());
      }
    }
    // A single line keeps the spaces at its ends: they are room that was asked for.
    boolean one = lettering.text().indexOf('\n') < 0;
    return one || out.isEmpty() ? List.of(out.isEmpty() ? "" : lettering.text()) : out;
  }

  private RunRequest request(String text, Map<String, Double> at) {
    AnimatedValue tracking = lettering.movable(Channel.TRACKING);
    boolean tight = !tracking.moves() && tracking.base() == 0;
    Typesetting t = lettering.setting();
    return new RunRequest(lettering.face(), at, text, tight, t.casing(), t.features());
  }

  private Map<String, Double> with(Map<String, Double> more) {
    Map<String, Double> out = new TreeMap<>(axes);
    out.putAll(more);
    return out;
  }

  /** Every run that is needed. */
  public List<RunRequest> requests() {
    Map<String, RunRequest> out = new LinkedHashMap<>();
    List<Map<String, Double>> variants = new ArrayList<>(List.of(axes));
    ranges.forEach(
        (tag, values) -> {
          for (double v : values) {
            variants.add(with(Map.of(tag, v)));
          }
        });
    lettering.setting().rules().forEach(r -> variants.add(with(r.axes())));
    List<String> texts = new ArrayList<>(phrases());
    String separator = lettering.setting().phrases().separator();
    if (!separator.isEmpty()) {
      texts.add(separator);
    }
    for (String text : texts) {
      for (Map<String, Double> v : variants) {
        RunRequest r = request(text, v);
        out.put(r.key(), r);
      }
    }
    return List.copyOf(out.values());
  }

  /**
   * The set text; null while a run is missing.
   *
   * @param outlines the scene's, to which those of the runs are added
   * @param before what was set earlier, given back where nothing has changed; or null
   */
  public SetText set(TypeSource type, List<Outline> outlines, SetText before) {
    List<RunRequest> requests = requests();
    List<ShapedRun> shaped = new ArrayList<>();
    for (RunRequest r : requests) {
      ShapedRun run = type.run(r);
      if (run == null) {
        return null;
      }
      shaped.add(run);
    }
    SetText.Source source =
        new SetText.Source(
            lettering.text(), lettering.setting(), requests, shaped, lift(shaped), outlines.size());
    Map<String, ShapedRun> runs = new HashMap<>();
    Map<ShapedRun, Integer> bases = new java.util.IdentityHashMap<>();
    for (int i = 0; i < shaped.size(); i++) {
      ShapedRun run = shaped.get(i);
      runs.put(requests.get(i).key(), run);
      if (!bases.containsKey(run)) {
        bases.put(run, outlines.size());
        outlines.addAll(run.outlines());
      }
    }
    return before != null && before.isOf(source)
        ? before
        : new Work(runs, bases, source.lift()).text(source);
  }

  private double lift(List<ShapedRun> shaped) {
    double height = shaped.get(0).capHeight();
    return switch (lettering.seat().baseline()) {
      case ALPHABETIC -> 0;
      case CENTRAL -> -height / 2;
      case HANGING -> -height;
    };
  }

  /** One composition. */
  private final class Work {
    private final Map<String, ShapedRun> runs;
    private final Map<ShapedRun, Integer> bases;
    private final double lift;
    private final Rules rules = new Rules(lettering.setting().rules());

    Work(Map<String, ShapedRun> runs, Map<ShapedRun, Integer> bases, double lift) {
      this.lift = lift;
      this.runs = runs;
      this.bases = bases;
    }

    private ShapedRun run(String text, Map<String, Double> at) {
      return runs.get(request(text, at).key());
    }

    SetText text(SetText.Source source) {
      List<List<Letter>> phrases = new ArrayList<>();
      for (String p : phrases()) {
        List<List<LetterRule>> taken = rules.next(run(p, axes));
        phrases.add(letters(p, taken));
      }
      ShapedRun first = run(phrases().get(0), axes);
      return new SetText(phrases, separator(first), first, source);
    }

    private List<Letter> separator(ShapedRun first) {
      Typesetting.Phrases p = lettering.setting().phrases();
      List<Letter> out = new ArrayList<>();
      if (p.space() > 0) {
        out.add(Letter.gap(p.space(), first));
      }
      if (!p.separator().isEmpty()) {
        int n = run(p.separator(), axes).clusters().size();
        List<LetterRule> taken =
            lettering.setting().rules().stream()
                .filter(r -> r.by() == LetterRule.By.SEPARATORS)
                .toList();
        out.addAll(letters(p.separator(), java.util.Collections.nCopies(n, taken)));
      }
      if (p.space() > 0) {
        out.add(Letter.gap(p.space(), first));
      }
      return out;
    }

    private List<Letter> letters(String text, List<List<LetterRule>> taken) {
      ShapedRun plain = run(text, axes);
      Map<String, List<ShapedRun>> sampled = new LinkedHashMap<>();
      ranges.forEach((tag, values) -> sampled.put(tag, sampled(text, tag, values)));
      List<Letter> out = new ArrayList<>();
      for (int i = 0; i < plain.clusters().size(); i++) {
        Integer fill = null;
        double scale = 1;
        Map<String, Double> own = Map.of();
        for (LetterRule r : taken.get(i)) {
          fill = r.fill() != null ? r.fill() : fill;
          scale = r.size() / 100;
          own = r.axes().isEmpty() ? own : r.axes();
        }
        ShapedRun run = own.isEmpty() ? plain : run(text, with(own));
        // Other axes may join letters otherwise: then the letter stays as its neighbours are.
        if (run == null || run.clusters().size() != plain.clusters().size()) {
          run = plain;
        }
        Cluster c = run.clusters().get(i);
        List<AxisSamples> moving = samples(sampled, i, c, own);
        out.add(new Letter(c.lifted(lift), run, bases.get(run), fill, scale, moving));
      }
      return out;
    }

    private List<ShapedRun> sampled(String text, String tag, double[] values) {
      List<ShapedRun> out = new ArrayList<>();
      for (double v : values) {
        out.add(run(text, with(Map.of(tag, v))));
      }
      return out;
    }

    /** An axis that a rule sets does not move for that letter. */
    private List<AxisSamples> samples(
        Map<String, List<ShapedRun>> sampled, int i, Cluster c, Map<String, Double> own) {
      List<AxisSamples> out = new ArrayList<>();
      sampled.forEach(
          (tag, runs) -> {
            List<Cluster> clusters = new ArrayList<>();
            for (ShapedRun run : runs) {
              if (run.clusters().size() > i && alike(run.clusters().get(i), c)) {
                clusters.add(run.clusters().get(i).lifted(lift));
              }
            }
            if (!own.containsKey(tag) && clusters.size() == runs.size()) {
              out.add(new AxisSamples(tag, ranges.get(tag), clusters, runs));
            }
          });
      return out;
    }

    private boolean alike(Cluster a, Cluster b) {
      return a.text().equals(b.text()) && a.glyphs().size() == b.glyphs().size();
    }
  }
}
