package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Footage;
import rovingglyph.scene.Scene;

/** Footage that does not go as evenly as it was taken, or does not close a loop. */
final class FootageCheck {
  /** Of a whole number of frames for one: so near is even. */
  private static final double EVEN = 0.002;

  private final Scene scene;
  private final List<Finding> findings = new ArrayList<>();

  private FootageCheck(Scene scene) {
    this.scene = scene;
  }

  static List<Finding> of(Scene scene) {
    FootageCheck check = new FootageCheck(scene);
    for (Footage f : scene.footage()) {
      if (scene.shows(f)) {
        check.evenness(f);
        check.loop(f);
      }
    }
    return check.findings;
  }

  /** Every frame is to be shown as often as the others, or every second one and so on left out. */
  private void evenness(Footage f) {
    double each = f.rate() * f.speed() / scene.rate().perSecond();
    if (isWhole(each) || isWhole(1 / each)) {
      return;
    }
    double whole = each > 1 ? Math.rint(each) : 1 / Math.rint(1 / each);
    double even = f.speed() * whole / each;
    find(
        f,
        even,
        "does not go evenly: of its "
            + Decimal.text(f.rate(), 3)
            + " frames a second this scene, with "
            + Decimal.text(scene.rate().perSecond(), 3)
            + ", leaves some out or shows some twice; at a speed of "
            + Decimal.text(even, 4)
            + " it goes evenly");
  }

  private static boolean isWhole(double n) {
    return n > 0.5 && Math.abs(n / Math.rint(n) - 1) < EVEN;
  }

  /** What begins again is to be where it began when the scene begins again. */
  private void loop(Footage f) {
    double end = scene.rate().timeOf(scene.frameCount());
    boolean both =
        scene.shows(f, 0) && scene.shows(f, scene.rate().timeOf(scene.frameCount() - 1L));
    if (f.atEnd() != Footage.AtEnd.LOOP || !both) {
      return;
    }
    double away = Math.abs(f.moment(end) - f.moment(0));
    if (away > 0.5 / f.rate()) {
      double runs = Math.max(1, Math.rint(end / f.run()));
      double speed = runs * (f.out() - f.in()) / end;
      find(
          f,
          speed,
          "is not where it began when this scene begins again; at a speed of "
              + Decimal.text(speed, 4)
              + " it is");
    }
  }

  private void find(Footage f, double speed, String message) {
    findings.add(Mend.atSpeed(Finding.of(Names.of(f) + " " + message, f.id(), -1), speed));
  }
}
