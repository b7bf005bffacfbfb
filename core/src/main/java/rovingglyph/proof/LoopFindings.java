package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedInset;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Scene;

/** What is not where it began when the scene begins again, where that is surely meant. */
final class LoopFindings {
  /** Numbers of two frames that differ by less are the same to the eye. */
  private static final double SAME = 1e-3;

  private final PreparedScene prepared;
  private final Scene scene;
  private final List<Finding> out = new ArrayList<>();

  private LoopFindings(PreparedScene prepared) {
    this.prepared = prepared;
    this.scene = prepared.scene();
  }

  static List<Finding> of(PreparedScene prepared) {
    LoopFindings f = new LoopFindings(prepared);
    LoopCheck.of(prepared).forEach(f::value);
    prepared.scene().insets().forEach(f::inset);
    return f.out;
  }

  /** Only what goes round: elsewhere nobody says that the scene is to be a loop. */
  private void value(LoopCheck.Difference d) {
    String differ = "Frame 0 and frame " + scene.frameCount() + " differ. ";
    if (d.sways()) {
      String what = d.name() + ": the sway of " + d.channel().label().toLowerCase();
      found(d, differ + what + " does not come round in the scene's time", "Make the sway loop");
    } else if (d.travels() && LoopCheck.canFix(d)) {
      boolean lap = d.channel().isAlongPath();
      found(
          d,
          differ + d.sentence() + (lap ? ", not a whole lap" : ", not a whole turn"),
          lap ? "Make it whole laps" : "Make it whole turns");
    }
  }

  private void found(LoopCheck.Difference d, String message, String fix) {
    String id = d.item().id();
    out.add(Finding.of(message, id, 0).mendedBy(fix, Mend.value("closeLoop", id, d.channel())));
  }

  /** A scene within this one that is not there, or that jumps where this one begins again. */
  private void inset(Inset i) {
    if (!(prepared.items().get(i.id()) instanceof PreparedInset p)) {
      out.add(
          Finding.of(
              Names.of(i) + " shows a scene that is not in this project any more", i.id(), -1));
      return;
    }
    double end = scene.rate().timeOf(scene.frameCount());
    boolean both =
        scene.shows(i, 0) && scene.shows(i, scene.rate().timeOf(scene.frameCount() - 1L));
    if (both && i.atEnd() == Inset.AtEnd.LOOP && !sameFrame(p, 0, end)) {
      double runs = Math.max(1, Math.rint(end * i.speed() / p.source().length()));
      double speed = runs * p.source().length() / end;
      String message =
          Names.of(i)
              + " is not where it began when this scene begins again; at a speed of "
              + Decimal.text(speed, 4)
              + " it is";
      out.add(Mend.atSpeed(Finding.of(message, i.id(), -1), speed));
    }
  }

  private static boolean sameFrame(PreparedInset p, double one, double other) {
    double[] a = p.shown().at(p.within(one)).numbers();
    double[] b = p.shown().at(p.within(other)).numbers();
    boolean same = a.length == b.length;
    for (int k = 0; same && k < a.length; k++) {
      same = Math.abs(a[k] - b[k]) < SAME;
    }
    return same;
  }
}
