package rovingglyph.document;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import rovingglyph.geometry.Point;
import rovingglyph.scene.LetterRule;
import rovingglyph.scene.Profile;
import rovingglyph.scene.Typesetting;

/** The fields of a lettering that say what is made of its characters. */
final class TypesettingCodec {
  private TypesettingCodec() {}

  static Typesetting read(Fields f) {
    return new Typesetting(
        f.choice("casing", Typesetting.Casing.values(), Typesetting.Casing.AS_TYPED),
        RunRequestCodec.features(f.object("features")),
        phrases(f.object("phrases")),
        f.list("rules", 100, TypesettingCodec::rule),
        rows(f.object("rows")),
        f.list("profiles", 20, TypesettingCodec::profile),
        f.choice("mix", Typesetting.ColourMix.values(), Typesetting.ColourMix.OKLCH));
  }

  private static Typesetting.Phrases phrases(Fields f) {
    Typesetting.Phrases plain = Typesetting.Phrases.PLAIN;
    return new Typesetting.Phrases(
        f.text("separator", 100, plain.separator()),
        f.number("space", 0, 20, plain.space()),
        f.integer("times", 0, 1000, plain.times()),
        f.rest());
  }

  private static LetterRule rule(Fields f) {
    Map<String, Double> axes = new TreeMap<>();
    Fields a = f.object("axes");
    for (String tag : a.names()) {
      if (LetteringCodec.isTag(tag)) {
        axes.put(tag, a.number(tag, -32768, 32767, 0));
      } else {
        a.problem(tag, "is not the tag of an axis", "four characters, such as wght");
      }
    }
    return new LetterRule(
        f.choice("by", LetterRule.By.values(), LetterRule.By.WORD),
        f.text("match", 200, ""),
        f.integer("every", 1, 10_000, 1),
        f.integer("from", 1, 10_000, 1),
        f.colour("fill", null),
        axes,
        f.number("size", 1, 1000, 100),
        f.rest());
  }

  private static Typesetting.Rows rows(Fields f) {
    Typesetting.Rows one = Typesetting.Rows.ONE;
    return new Typesetting.Rows(
        f.integer("count", 1, 100, one.count()),
        f.choice("kind", Typesetting.Rows.Kind.values(), one.kind()),
        f.number("step", -1e4, 1e4, one.step()),
        f.number("direction", -360, 360, one.direction()),
        f.integer("phrase", -1000, 1000, one.phrase()),
        f.number("phase", -1e5, 1e5, one.phase()),
        f.rest());
  }

  private static Profile profile(Fields f) {
    Profile.Of of = f.choice("of", Profile.Of.values(), Profile.Of.SIZE);
    String axis = f.text("axis", 4, "wght");
    Profile.Along along = f.choice("along", Profile.Along.values(), Profile.Along.RUN);
    double[] flat = f.pairs("points", 50, -1e5, 1e5);
    Point[] points = new Point[flat.length / 2];
    for (int i = 0; i < points.length; i++) {
      points[i] = new Point(flat[2 * i], flat[2 * i + 1]);
      boolean rises = i == 0 || points[i].x() > points[i - 1].x();
      if (points[i].x() < 0 || points[i].x() > 1 || !rises) {
        f.problem("points[" + i + "]", "its first number is out of order", "0 to 1, rising");
      }
      boolean size = of == Profile.Of.SIZE;
      if (size && (points[i].y() < 1 || points[i].y() > 1000)) {
        f.problem("points[" + i + "]", "its second number is out of range", "1 to 1000 percent");
      }
    }
    return new Profile(of, axis, along, List.of(points), f.rest());
  }

  static void write(Writer w, Typesetting t) {
    w.differing("casing", t.casing(), Typesetting.Casing.AS_TYPED);
    if (!t.features().isEmpty()) {
      Writer features = Writer.object();
      t.features().forEach((tag, n) -> features.add(tag, n));
      w.json("features", features.text());
    }
    Typesetting.Phrases p = t.phrases();
    if (!p.equals(Typesetting.Phrases.PLAIN)) {
      w.json(
          "phrases",
          Writer.object()
              .add("separator", p.separator())
              .add("space", p.space())
              .add("times", p.times())
              .rest(p.extras())
              .text());
    }
    if (!t.rules().isEmpty()) {
      w.list("rules", t.rules(), TypesettingCodec::write);
    }
    if (!t.rows().equals(Typesetting.Rows.ONE)) {
      w.json("rows", write(t.rows()));
    }
    if (!t.profiles().isEmpty()) {
      w.list("profiles", t.profiles(), TypesettingCodec::write);
    }
    w.differing("mix", t.mix(), Typesetting.ColourMix.OKLCH);
  }

  private static String write(LetterRule r) {
    Writer w = Writer.object().add("by", Spelling.of(r.by()));
    if (!r.match().isEmpty()) {
      w.add("match", r.match());
    }
    w.differing("every", r.every(), 1).differing("from", r.from(), 1);
    if (r.fill() != null) {
      w.colour("fill", r.fill());
    }
    if (!r.axes().isEmpty()) {
      Writer axes = Writer.object();
      r.axes().forEach(axes::add);
      w.json("axes", axes.text());
    }
    return w.differing("size", r.size(), 100).rest(r.extras()).text();
  }

  private static String write(Typesetting.Rows r) {
    return Writer.object()
        .add("count", r.count())
        .add("kind", Spelling.of(r.kind()))
        .add("step", r.step())
        .add("direction", r.direction())
        .add("phrase", r.phrase())
        .add("phase", r.phase())
        .rest(r.extras())
        .text();
  }

  private static String write(Profile p) {
    Writer w = Writer.object().add("of", Spelling.of(p.of()));
    if (p.of() == Profile.Of.AXIS) {
      w.add("axis", p.axis());
    }
    return w.add("along", Spelling.of(p.along()))
        .list("points", p.points(), Writer::pair)
        .rest(p.extras())
        .text();
  }
}
