package rovingglyph.frame;

import rovingglyph.scene.Lettering;
import rovingglyph.seat.Seating;
import rovingglyph.type.ShapedRun;

/** The seating of a lettering, made once on a still path, else anew for every time. */
public final class Seats {
  private final Lettering lettering;
  private final PreparedPath path;
  private final ShapedRun run;
  private double time;
  private Seating seating;

  Seats(Lettering lettering, PreparedPath path, ShapedRun run) {
    this.lettering = lettering;
    this.path = path;
    this.run = run;
    this.seating = new Seating(lettering, path.at(0), run);
  }

  public PreparedPath path() {
    return path;
  }

  Seating at(double seconds) {
    if (path.moves() && seconds != time) {
      seating = new Seating(lettering, path.at(seconds), run);
      time = seconds;
    }
    return seating;
  }
}
