package rovingglyph.proof;

import com.eclipsesource.json.Json;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.frame.PreparedInset;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Effect;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownItem;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** Goes through a prepared scene and says what deserves a look. */
public final class Proof {
  private final PreparedScene prepared;
  private final Scene scene;
  private final List<Finding> findings = new ArrayList<>();

  private Proof(PreparedScene prepared) {
    this.prepared = prepared;
    this.scene = prepared.scene();
  }

  /** What a careful eye would find, in the order of the items. */
  public static List<Finding> of(PreparedScene prepared) {
    Proof proof = new Proof(prepared);
    for (Lettering l : prepared.scene().letterings()) {
      proof.late(l, quoted(l));
      if (l.text().isBlank()) {
        proof.find("This lettering has no words yet: type them in Words", l.id(), -1);
      } else if (prepared.letterings().containsKey(l.id()) && prepared.scene().shows(l)) {
        proof.letters(prepared.letterings().get(l.id()));
        proof.landings(prepared.letterings().get(l.id()));
        proof.atRest(prepared.letterings().get(l.id()));
      }
    }
    prepared
        .unsolved()
        .forEach((id, missing) -> proof.rideLandings(prepared.scene().item(id), missing));
    LoopCheck.of(prepared).forEach(proof::loop);
    prepared.scene().paths().forEach(proof::changesShape);
    prepared.scene().others().forEach(p -> proof.late(p, named(p.name())));
    prepared.scene().paths().forEach(p -> proof.late(p, named(p.name())));
    prepared.scene().items().values().forEach(proof::isThere);
    prepared.scene().insets().forEach(proof::inset);
    proof.findings.addAll(FootageCheck.of(prepared.scene()));
    return proof.findings;
  }

  private void find(String message, String item, double time) {
    findings.add(new Finding(message, item, time, "", ""));
  }

  /** A scene within this one that is not there, or that jumps where this one begins again. */
  private void inset(Inset i) {
    if (!(prepared.items().get(i.id()) instanceof PreparedInset p)) {
      find(named(i.name()) + " shows a scene that is not in this project any more", i.id(), -1);
      return;
    }
    double end = scene.rate().timeOf(scene.frameCount());
    boolean both =
        scene.shows(i, 0) && scene.shows(i, scene.rate().timeOf(scene.frameCount() - 1L));
    if (both && i.atEnd() == Inset.AtEnd.LOOP && !sameFrame(p, 0, end)) {
      double runs = Math.max(1, Math.rint(end * i.speed() / p.source().length()));
      find(
          named(i.name())
              + " is not where it began when this scene begins again; at a speed of "
              + Decimal.text(runs * p.source().length() / end, 4)
              + " it is",
          i.id(),
          -1);
    }
  }

  private static boolean sameFrame(PreparedInset p, double one, double other) {
    double[] a = p.shown().at(p.within(one)).numbers();
    double[] b = p.shown().at(p.within(other)).numbers();
    boolean same = a.length == b.length;
    for (int k = 0; same && k < a.length; k++) {
      same = Math.abs(a[k] - b[k]) < 1e-3;
    }
    return same;
  }

  /** The lettering's words in quotes, shortened. */
  private static String quoted(Lettering l) {
    String t = l.text().strip();
    return "\u201c" + (t.length() > 24 ? t.substring(0, 23) + "\u2026" : t) + "\u201d";
  }

  /** Only what goes round: elsewhere nobody says that the scene is to be a loop. */
  private void loop(LoopCheck.Difference d) {
    if (d.sways()) {
      findings.add(
          new Finding(
              "Frame 0 and frame "
                  + scene.frameCount()
                  + " differ. "
                  + d.name()
                  + ": the sway of "
                  + d.channel().label().toLowerCase()
                  + " does not come round in the scene's time",
              d.item().id(),
              0,
              "Make the sway loop",
              closing(d)));
    } else if (d.travels() && LoopCheck.canFix(d)) {
      boolean lap = d.channel().isAlongPath();
      findings.add(
          new Finding(
              "Frame 0 and frame "
                  + scene.frameCount()
                  + " differ. "
                  + d.sentence()
                  + (lap ? ", not a whole lap" : ", not a whole turn"),
              d.item().id(),
              0,
              lap ? "Make it whole laps" : "Make it whole turns",
              closing(d)));
    }
  }

  private static String closing(LoopCheck.Difference d) {
    return "{\"op\":\"closeLoop\",\"item\":"
        + Json.value(d.item().id())
        + ",\"channel\":\""
        + d.channel().field()
        + "\"}";
  }

  private void changesShape(GuidePath p) {
    if (p instanceof DrawnPath d && d.shapes().size() > 1) {
      String on =
          scene.letterings().stream()
              .filter(l -> l.path().equals(p.id()))
              .map(Lettering::id)
              .findFirst()
              .orElse("");
      find("The path \u201c" + p.name() + "\u201d changes shape over time", on, -1);
    }
  }

  private void isThere(Item item) {
    if (item instanceof UnknownItem u) {
      find(
          "An item of the kind \u201c"
              + u.kind()
              + "\u201d is not known to this version: it is kept, and not shown",
          u.id(),
          -1);
      return;
    }
    for (Effect e : item.properties().effects()) {
      if (e.kind() == null) {
        find(
            "An effect of the kind \u201c"
                + e.word()
                + "\u201d is not known to this version: it is kept, and not shown",
            item.id(),
            -1);
      }
    }
    if (item.properties().shownFrom() >= scene.length()) {
      String name = item instanceof Lettering l ? quoted(l) : named(item.name());
      find(name + " is shown only after the end of the scene", item.id(), -1);
    }
  }

  private static String named(String name) {
    return "\u201c" + name + "\u201d";
  }

  private void late(Animatable item, String name) {
    for (Map.Entry<Channel, AnimatedValue> e : item.values().entrySet()) {
      Channel c = e.getKey();
      long late =
          e.getValue().keyframes().stream()
              .filter(k -> scene.rate().frameAt(k.time()) > scene.frameCount())
              .count();
      if (late > 0) {
        find(
            (late == 1 ? "A keyframe" : late + " keyframes")
                + " of "
                + c.label().toLowerCase()
                + " in "
                + name
                + (late == 1 ? " stands" : " stand")
                + " after the end of the scene",
            item.id(),
            -1);
      }
    }
  }

  private void letters(PreparedLettering l) {
    if (l.text().faceMissing()) {
      Lettering own = l.lettering();
      String name = own.faceName().isEmpty() ? own.face() : own.faceName();
      find(
          "The typeface \u201c"
              + name
              + "\u201d is not there: "
              + quoted(own)
              + " is shown in the fallback until it is back",
          own.id(),
          -1);
      return;
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
    String id = l.lettering().id();
    if (!borrowed.isEmpty()) {
      find(
          "The typeface lacks " + listed(borrowed) + ": drawn in " + fallback + " instead", id, -1);
    }
    if (!missing.isEmpty()) {
      find("No shipped typeface has " + listed(missing) + ": a box stands there", id, -1);
    }
  }

  private static String listed(Set<String> characters) {
    List<String> shown = characters.stream().limit(12).toList();
    String more = characters.size() > 12 ? " and " + (characters.size() - 12) + " more" : "";
    return String.join(" ", shown) + more;
  }

  private void landings(PreparedLettering l) {
    unsolved(l.lettering(), quoted(l.lettering()), Channel.PATH_OFFSET, l.unsolved());
  }

  private void rideLandings(Item item, List<Integer> missing) {
    String name = item instanceof Lettering l ? quoted(l) : named(item.name());
    unsolved(item, name, Channel.RIDE_OFFSET, missing);
  }

  private void unsolved(Item item, String name, Channel c, List<Integer> missing) {
    List<Keyframe> keys = item.movable(c).keyframes();
    for (int i : missing) {
      Landing landing = keys.get(i).landing();
      find(
          name
              + (landing.isInside()
                  ? " is nowhere wholly so far inside the frame on this path"
                  : " never gets out of the frame on this path")
              + ": \u201c"
              + landing.kind().word()
              + "\u201d keeps its last value",
          item.id(),
          keys.get(i).time());
    }
  }

  private void atRest(PreparedLettering l) {
    double t = restTime(l.lettering(), scene.length());
    SeatValues v = l.values(t);
    List<RowLayout> all = l.rows(v);
    RowLayout seating = all.get(0);
    List<Placement> places = l.inFrame(seating);
    String name = quoted(l.lettering());
    String id = l.lettering().id();
    double length = seating.track().length();
    if (length < 1) {
      String path = scene.path(l.lettering().path()).name();
      find(
          "The path "
              + named(path)
              + " is only "
              + Decimal.text(length, 3)
              + " px long: nothing can sit on it. Draw it larger in Path",
          id,
          t);
      return;
    }
    if (seating.curtailed()) {
      find(
          name
              + " is repeated as often as can be, 1,000 times or 20,000 letters; its room would hold"
              + " more. Make the type larger or the room shorter",
          id,
          t);
    }
    int rows = l.lettering().setting().rows().count();
    if (all.size() < rows) {
      find("Of the " + rows + " rows of " + name + " only " + all.size() + " are made", id, t);
    }
    double more = seating.extent() - seating.roomLength();
    if (more > 0.01) {
      find(name + " is longer than its room by " + Decimal.text(more, 0) + " px", id, t);
    }
    boolean round = seating.contour().closed();
    long over = places.stream().filter(p -> Math.cos(p.angle()) < -1e-9).count();
    if (!round && over * 2 > places.size()) {
      find(name + " stands upside down at rest", id, t);
    }
    // What is not shown yet is not out of the frame.
    boolean shown = places.stream().anyMatch(p -> p.visible() && p.alpha() > 0);
    if (scene.shows(l.lettering(), t)
        && shown
        && v.opacity() > 0
        && !l.touches(v, prepared.area())) {
      find(name + " is out of the frame at rest", id, t);
    }
    // A ring that is too long lies over itself, and that is told already.
    List<String> crossing = more > 0.01 && round ? List.of() : Collisions.of(l, all);
    if (!crossing.isEmpty()) {
      String others = crossing.size() > 1 ? " and " + (crossing.size() - 1) + " more pairs" : "";
      find(
          "In "
              + name
              + " the letters "
              + crossing.get(0)
              + others
              + " touch or cross: give them a least gap or even spacing in Seat, or bend the path less",
          id,
          t);
    }
  }

  /**
   * When a lettering rests: where a hold begins, at an "at rest" landing, else half way through its
   * keyframes, or through the scene where it has none.
   */
  static double restTime(Lettering l, double length) {
    List<Keyframe> keys = l.movable(Channel.PATH_OFFSET).keyframes();
    for (int i = 0; i < keys.size(); i++) {
      Landing landing = keys.get(i).landing();
      boolean holds = i + 1 < keys.size() && keys.get(i).value() == keys.get(i + 1).value();
      if (holds || (landing != null && landing.kind() == Landing.Kind.AT_REST)) {
        return keys.get(i).time();
      }
    }
    return keys.isEmpty()
        ? length / 2
        : (keys.get(0).time() + keys.get(keys.size() - 1).time()) / 2;
  }
}
