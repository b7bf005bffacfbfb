package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import rovingglyph.frame.Half;
import rovingglyph.frame.RingPart;
import rovingglyph.frame.StandingLetters;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.HalfPlane;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/**
 * Letters that stand in space, each moved by numbers of its own: a map without perspective, which
 * goes fast and is short, and what perspective does to its outline, which goes slowly. Letters that
 * come by the same places later share both. Where a letter comes before another one that it was
 * behind, or into the other half, it is an element more, with the same motions.
 */
final class StandingSvg {
  /** Of points, px. */
  private static final double NEAR = 0.1;

  /** Units of path data in an em. */
  private static final double UNITS = 2000;

  /** In em: cuts this far off leave all of any letter. */
  private static final double FAR = 8;

  private final SvgClock clock;
  private final SharedMotions motions;
  private final double[] times;

  /** For each number of a letter what it is at every sample. */
  private final Map<Integer, StandingLetters.Letter[]> letters = new TreeMap<>();

  private double size;

  StandingSvg(SvgClock clock, SharedMotions motions) {
    this.clock = clock;
    this.motions = motions;
    times = SampledTrack.times(clock);
  }

  /** Writes what is beside letters. */
  interface Solids {
    /**
     * The elements.
     *
     * @param n how many were written before
     */
    String write(RingPart part, int n);
  }

  /** An element: a letter, or what is beside letters, while it is at one place of the stack. */
  private static final class Element {
    final int letter;
    final RingPart solid;
    final Map<Integer, HalfPlane> cuts = new HashMap<>();
    final boolean[] there;

    Element(StandingLetters.Part part, int samples) {
      this.letter = part.letter();
      this.solid = part.solid();
      this.there = new boolean[samples];
    }
  }

  /**
   * The elements; null where letters cut each other, or are not the same at all times.
   *
   * @param faded whether their own opacity counts
   */
  String write(StandingLetters source, Half half, boolean faded, Solids solids) {
    List<Element> stack = new ArrayList<>();
    List<Element> last = List.of();
    for (int k = 0; k < times.length; k++) {
      double t = clock.local(times[k]);
      for (StandingLetters.Letter l : source.letters(t)) {
        letters.computeIfAbsent(l.number(), n -> new StandingLetters.Letter[times.length])[k] = l;
      }
      List<StandingLetters.Part> parts = source.parts(t, half);
      if (parts == null) {
        return null;
      }
      last = stacked(stack, last, parts, k);
    }
    for (StandingLetters.Letter[] all : letters.values()) {
      for (StandingLetters.Letter l : all) {
        if (l == null) {
          return null;
        }
        Affine m = l.map().near(Point.ORIGIN);
        size = Math.max(size, Math.max(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d())));
      }
    }
    properties();
    Map<Integer, String> moving = new HashMap<>();
    StringBuilder out = new StringBuilder();
    int written = 0;
    for (Element e : stack) {
      if (e.solid != null) {
        out.append(
            "<g style='" + joined("|", shown(e, k -> true, "opacity:1", "opacity:0")) + "'>\n");
        out.append(solids.write(e.solid, written++)).append("</g>\n");
        continue;
      }
      String own = moving.computeIfAbsent(e.letter, n -> motion(letters.get(n), faded));
      StandingLetters.Letter[] states = letters.get(e.letter);
      String seen =
          added(
              shown(e, k -> states[k].seen(), "visibility:visible", "visibility:hidden"),
              clipped(e, states));
      // Of both there is a declaration and, where it moves, an animation.
      String all = joined(own, seen);
      out.append("<path class=\"" + motions.prefix() + "-k\" style='" + all + "'/>\n");
    }
    return out.toString();
  }

  /** The stack with what is painted at the next sample. */
  private List<Element> stacked(
      List<Element> stack, List<Element> last, List<StandingLetters.Part> parts, int k) {
    int[] before = new int[parts.size()];
    Map<Integer, Integer> places = new HashMap<>();
    for (int i = 0; i < last.size(); i++) {
      places.put(last.get(i).letter, i);
    }
    for (int i = 0; i < before.length; i++) {
      before[i] = places.getOrDefault(parts.get(i).letter(), -1);
    }
    boolean[] stays = rising(before);
    List<Element> now = new ArrayList<>();
    int at = 0;
    for (int i = 0; i < before.length; i++) {
      StandingLetters.Part part = parts.get(i);
      Element e = stays[i] ? last.get(before[i]) : null;
      if (e == null) {
        e = free(stack, at, part.letter(), now, last, stays, before);
      }
      if (e == null) {
        e = new Element(part, times.length);
        stack.add(at, e);
      }
      at = stack.indexOf(e) + 1;
      e.there[k] = true;
      if (part.cut() != null) {
        e.cuts.put(k, part.cut());
      }
      now.add(e);
    }
    return now;
  }

  /** An element of a letter that was at this place of the stack before; null if none was. */
  private static Element free(
      List<Element> stack,
      int from,
      int letter,
      List<Element> now,
      List<Element> last,
      boolean[] stays,
      int[] before) {
    int to = stack.size();
    for (int i = now.size(); i < before.length; i++) {
      if (stays[i]) {
        to = Math.min(to, stack.indexOf(last.get(before[i])));
        break;
      }
    }
    for (int i = from; i < to; i++) {
      if (stack.get(i).letter == letter) {
        return stack.get(i);
      }
    }
    return null;
  }

  /** Which of some numbers are a longest row of rising ones; less than 0 is none. */
  private static boolean[] rising(int[] n) {
    int[] longest = new int[n.length];
    int[] from = new int[n.length];
    int best = -1;
    for (int i = 0; i < n.length; i++) {
      from[i] = -1;
      longest[i] = n[i] < 0 ? 0 : 1;
      for (int j = 0; j < i && n[i] >= 0; j++) {
        if (n[j] >= 0 && n[j] < n[i] && longest[j] + 1 > longest[i]) {
          longest[i] = longest[j] + 1;
          from[i] = j;
        }
      }
      best = n[i] >= 0 && (best < 0 || longest[i] > longest[best]) ? i : best;
    }
    boolean[] out = new boolean[n.length];
    for (int i = best; i >= 0; i = from[i]) {
      out[i] = true;
    }
    return out;
  }

  /** The numbers that maps are made of. */
  private void properties() {
    StringBuilder rules = new StringBuilder();
    for (char c = 'a'; c <= 'f'; c++) {
      rules.append("@property ").append(property(c));
      rules.append("{syntax:\"<number>\";inherits:false;initial-value:0}\n");
    }
    rules.append('.').append(motions.prefix()).append("-k{transform:matrix(");
    for (char c = 'a'; c <= 'f'; c++) {
      rules.append(c == 'a' ? "" : ",").append("var(").append(property(c)).append(')');
    }
    motions.rules(rules.append(")}\n").toString());
  }

  private String property(char of) {
    return "--" + motions.prefix() + "-" + of;
  }

  private String motion(StandingLetters.Letter[] all, boolean faded) {
    List<String> animations = new ArrayList<>();
    List<String> declared = new ArrayList<>();
    Track maps = track(k -> numbers(all[k].map()), this::mapsApart);
    put(declared, animations, "map", maps, NEAR, this::mapWords);
    Track shapes = track(k -> shape(all[k]), LetterShapes::distance);
    put(declared, animations, "shape", shapes, NEAR / size, StandingSvg::shapeWords);
    Track colours = track(k -> colour(all[k].rgb()), StandingSvg::most);
    put(declared, animations, "fill", colours, 1.5, StandingSvg::colourWords);
    if (faded) {
      Track alphas = track(k -> new double[] {all[k].alpha()}, StandingSvg::most);
      put(declared, animations, "alpha", alphas, 0.004, v -> "opacity:" + Decimal.text(v[0], 4));
    }
    return String.join(";", declared) + "|" + String.join(",", animations);
  }

  /** What is declared of both, and what animates both. */
  private static String added(String a, String b) {
    String[] x = a.split("\\|", -1);
    String[] y = b.split("\\|", -1);
    String declared = x[0] + (x[0].isEmpty() || y[0].isEmpty() ? "" : ";") + y[0];
    return declared + "|" + x[1] + (x[1].isEmpty() || y[1].isEmpty() ? "" : ",") + y[1];
  }

  private static String joined(String a, String b) {
    String[] all = added(a, b).split("\\|", -1);
    String animation = all[1].isEmpty() ? "" : "animation:" + all[1];
    return all[0] + (all[0].isEmpty() || animation.isEmpty() ? "" : ";") + animation;
  }

  /** Writes the words of a state. */
  private interface Words {
    String of(double[] state);
  }

  private void put(
      List<String> declared,
      List<String> animations,
      String family,
      Track track,
      double tolerance,
      Words words) {
    if (track.still(tolerance / 10)) {
      declared.add(words.of(track.states()[0]));
    } else {
      animations.add(motions.animation("standing " + family, track, tolerance, words::of));
    }
  }

  private static double[] numbers(Projection p) {
    Affine m = p.near(Point.ORIGIN);
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()};
  }

  /** The farthest that a point within an em of the origin is from itself, px. */
  private double mapsApart(double[] a, double[] b) {
    double across = Math.hypot(a[0] - b[0], a[1] - b[1]);
    double down = Math.hypot(a[2] - b[2], a[3] - b[3]);
    return across * 0.7 + down + Math.hypot(a[4] - b[4], a[5] - b[5]);
  }

  private String mapWords(double[] m) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < 6; i++) {
      out.append(i > 0 ? ";" : "").append(property((char) ('a' + i)));
      out.append(':').append(Decimal.text(i < 4 ? m[i] / UNITS : m[i], i < 4 ? 6 : 2));
    }
    return out.toString();
  }

  /** How an outline is seen, after what the map does is taken back: what is near is larger. */
  private static double[] shape(StandingLetters.Letter l) {
    Projection m = l.map();
    double w = Math.max(m.i(), Projection.NEAREST);
    Projection rest = new Projection(1, 0, 0, 1, 0, 0, m.g() / w, m.h() / w, 1);
    List<SubPath> out = new ArrayList<>();
    for (SubPath p : l.outline()) {
      List<Segment> seen = new ArrayList<>();
      p.segments().forEach(s -> seen.add(seen(s, rest)));
      out.add(new SubPath(seen, p.closed()));
    }
    return LetterShapes.numbers(out);
  }

  /**
   * A segment in perspective as one of the same degree: its ends and its directions there are
   * right. Within a letter things are hardly nearer than others, and this is as good as right.
   */
  private static Segment seen(Segment s, Projection m) {
    Point from = m.apply(s.start());
    Point to = m.apply(s.end());
    if (s instanceof Line || m.isFlat() && !(s instanceof Quadratic)) {
      return s instanceof Cubic c ? c : new Line(from, to);
    }
    Cubic c = s instanceof Quadratic q ? q.raised() : (Cubic) s;
    return new Cubic(from, bent(c.p0(), c.p1(), from, m), bent(c.p3(), c.p2(), to, m), to);
  }

  private static Point bent(Point end, Point by, Point mapped, Projection m) {
    double k = Math.max(m.weight(by), Projection.NEAREST);
    k /= Math.max(m.weight(end), Projection.NEAREST);
    return mapped.plus(m.apply(by).minus(mapped).times(k));
  }

  private static String shapeWords(double[] n) {
    return "d:path(\"" + LetterShapes.data(n, UNITS) + "\")";
  }

  private static double[] colour(int rgb) {
    return new double[] {rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255};
  }

  private static String colourWords(double[] c) {
    int red = (int) Math.round(c[0]);
    int green = (int) Math.round(c[1]);
    return "fill:" + AnimatedSvg.colour(red << 16 | green << 8 | (int) Math.round(c[2]));
  }

  /**
   * When an element is there, if what it is is seen then at all.
   *
   * @param there what is declared then, and of others what is not
   */
  private String shown(Element e, IntPredicate seen, String there, String away) {
    List<String> animations = new ArrayList<>();
    List<String> declared = new ArrayList<>();
    Track shown = track(k -> new double[] {e.there[k] && seen.test(k) ? 1 : 0}, StandingSvg::most);
    if (!shown.still(0) || shown.states()[0][0] == 0) {
      put(declared, animations, "seen", shown, 0.5, v -> v[0] > 0.5 ? there : away);
    }
    return String.join(";", declared) + "|" + String.join(",", animations);
  }

  /** How much of a letter is seen: a quadrilateral that it is clipped to. */
  private String clipped(Element e, StandingLetters.Letter[] all) {
    List<String> animations = new ArrayList<>();
    List<String> declared = new ArrayList<>();
    if (!e.cuts.isEmpty()) {
      Track clips = track(k -> clip(e.cuts.get(k), all[k].map()), StandingSvg::most);
      put(declared, animations, "clip", clips, NEAR / size, StandingSvg::clipWords);
    }
    return String.join(";", declared) + "|" + String.join(",", animations);
  }

  /** The corners of what is left in front of a cut, as far as a letter may reach. */
  private static double[] clip(HalfPlane cut, Projection m) {
    if (cut == null) {
      return new double[] {-FAR, -FAR, FAR, -FAR, FAR, FAR, -FAR, FAR};
    }
    double w = Math.max(m.i(), Projection.NEAREST);
    // The line as it lies after perspective: what takes points there takes lines by its inverse.
    double a = cut.a() - cut.c() * m.g() / w;
    double b = cut.b() - cut.c() * m.h() / w;
    double length = Math.hypot(a, b);
    double nx = a / length;
    double ny = b / length;
    double off = -cut.c() / length;
    double x = nx * off;
    double y = ny * off;
    return new double[] {
      x - ny * FAR,
      y + nx * FAR,
      x + ny * FAR,
      y - nx * FAR,
      x + ny * FAR + nx * FAR,
      y - nx * FAR + ny * FAR,
      x - ny * FAR + nx * FAR,
      y + nx * FAR + ny * FAR
    };
  }

  private static String clipWords(double[] n) {
    StringBuilder out = new StringBuilder("clip-path:polygon(");
    for (int i = 0; i < n.length; i += 2) {
      out.append(i > 0 ? "," : "").append(Decimal.text(n[i] * UNITS, 0)).append("px ");
      out.append(Decimal.text(n[i + 1] * UNITS, 0)).append("px");
    }
    return out.append(") view-box").toString();
  }

  private static double most(double[] a, double[] b) {
    double most = 0;
    for (int i = 0; i < a.length; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most;
  }

  /** Tells a state by the index of its sample. */
  private interface States {
    double[] at(int k);
  }

  private Track track(States states, Track.Gap gap) {
    return SampledTrack.of(times, states::at, gap, clock.length());
  }
}
