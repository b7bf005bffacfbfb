package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import rovingglyph.geometry.Decimal;

/**
 * The keyframe rules of one file. What does the same as something before it shares its rule, also
 * where it does so later: then by a delay.
 */
final class SharedMotions {
  /** Tracks that one is compared with before it gets a rule of its own. */
  private static final int MOST_COMPARED = 60;

  /** A rule that others may share. */
  private record Rule(String name, Track track) {}

  private final StringBuilder style;
  private final String prefix;
  private final Map<String, List<Rule>> families = new HashMap<>();
  private final Set<String> written = new HashSet<>();
  private int count;

  SharedMotions(StringBuilder style, String prefix) {
    this.style = style;
    this.prefix = prefix;
  }

  /** What names of the file begin with. */
  String prefix() {
    return prefix;
  }

  /** Adds rules to the style sheet unless they are there. */
  void rules(String rules) {
    if (written.add(rules)) {
      style.append(rules);
    }
  }

  /**
   * The value of the {@code animation} property that plays a track.
   *
   * @param family only within one are tracks compared: they are written alike
   * @param tolerance of straight lines between stops and of sharing together
   * @param declare writes the declarations of a state
   */
  String animation(
      String family, Track track, double tolerance, Function<double[], String> declare) {
    List<Rule> others =
        families.computeIfAbsent(family + " " + track.length(), k -> new ArrayList<>());
    for (int i = 0; i < Math.min(others.size(), MOST_COMPARED); i++) {
      double behind = track.behind(others.get(i).track, tolerance * 0.6);
      if (!Double.isNaN(behind)) {
        return play(others.get(i).name, behind, track.length());
      }
    }
    String name = prefix + "-m" + count++;
    others.add(new Rule(name, track));
    style.append("@keyframes ").append(name).append('{');
    String last = "";
    for (int i : track.stops(tolerance * 0.4)) {
      String now = declare.apply(track.states()[i]);
      style.append(percent(track.times()[i] / track.length())).append('{').append(now).append('}');
      last = now;
    }
    if (!last.isEmpty() && track.times()[track.times().length - 1] < track.length()) {
      style.append("100%{").append(last).append('}');
    }
    style.append("}\n");
    return play(name, 0, track.length());
  }

  private static String percent(double share) {
    return Decimal.text(Math.min(Math.max(share, 0), 1) * 100, 4) + "%";
  }

  /** An animation that is behind by a time is one that began so much of its run earlier. */
  private static String play(String name, double behind, double length) {
    double delay = behind < 1e-5 || length - behind < 1e-5 ? 0 : behind - length;
    return name
        + " "
        + Decimal.text(length, 6)
        + "s "
        + (delay == 0 ? "" : Decimal.text(delay, 5) + "s ")
        + "linear infinite";
  }
}
