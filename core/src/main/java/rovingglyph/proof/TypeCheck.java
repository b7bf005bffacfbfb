package rovingglyph.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.Lettering;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** Characters that are not drawn in the typeface that was asked for. */
final class TypeCheck {
  private static final int MOST_LISTED = 12;

  private TypeCheck() {}

  static List<Finding> of(PreparedLettering l) {
    Lettering own = l.lettering();
    List<Finding> out = new ArrayList<>();
    if (l.text().faceMissing()) {
      String face = own.faceName().isEmpty() ? own.face() : own.faceName();
      out.add(
          found(
              own,
              "The typeface "
                  + Names.quoted(face)
                  + " is not there: "
                  + Names.of(own)
                  + " is shown in the fallback until it is back"));
      return out;
    }
    Set<String> borrowed = new LinkedHashSet<>();
    Set<String> missing = new LinkedHashSet<>();
    String fallback = "";
    for (Letter letter : l.text().row(0, 1, true).letters()) {
      Cluster c = letter.cluster();
      if (c.missing()) {
        missing.add(c.text());
      } else if (!c.borrowed().isEmpty()) {
        borrowed.add(c.text());
        fallback = c.borrowed();
      }
    }
    if (!borrowed.isEmpty()) {
      out.add(
          found(
              own,
              "The typeface lacks " + listed(borrowed) + ": drawn in " + fallback + " instead"));
    }
    if (!missing.isEmpty()) {
      out.add(found(own, "No shipped typeface has " + listed(missing) + ": a box stands there"));
    }
    return out;
  }

  private static Finding found(Lettering l, String message) {
    return Finding.of(message, l.id(), -1);
  }

  private static String listed(Set<String> characters) {
    List<String> shown = characters.stream().limit(MOST_LISTED).toList();
    int more = characters.size() - MOST_LISTED;
    return String.join(" ", shown) + (more > 0 ? " and " + more + " more" : "");
  }
}
