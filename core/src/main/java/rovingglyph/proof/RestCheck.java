package rovingglyph.proof;

import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.seat.RowLayout;

/** How a lettering stands where it rests: in its room, upright, in the frame, its letters apart. */
final class RestCheck {
  /** Text all round has half of its letters the other way up: so many of them are too many. */
  private static final double HEADS_DOWN_ROUND = 0.7;

  /** Of the width and height at each edge: EBU R 95, graphics safe area of 16:9 pictures. */
  private static final double UNSAFE = 0.05;

  /** Nobody sees what reaches less far beyond an edge, px. */
  private static final double HAIR = 0.5;

  private static final double VIDEO = 16.0 / 9;

  /** From so much of the way round on a ring is surely to be closed. */
  private static final double NEARLY_ROUND = 0.75;

  /** A seam gapes where it is so many times as wide as a space between words. */
  private static final double GAPING = 2.5;

  /** A space of a face that has none, em. */
  private static final double USUAL_SPACE = 0.3;

  private final PreparedScene prepared;
  private final Scene scene;
  private final PreparedLettering l;
  private final String id;
  private final String name;
  private final Rest rest;
  private final boolean still;
  private final List<Finding> out = new ArrayList<>();

  private RestCheck(PreparedScene prepared, PreparedLettering l) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.l = l;
    this.id = l.lettering().id();
    this.name = Names.of(l.lettering());
    this.rest = Rest.of(l, scene.length());
    this.still = rest.still(l, 1 / scene.rate().perSecond());
  }

  static List<Finding> of(PreparedScene prepared, PreparedLettering l) {
    RestCheck check = new RestCheck(prepared, l);
    double length = check.rest.row().track().length();
    if (length < 1) {
      String path = Names.of(check.scene.path(l.lettering().path()));
      String small = Decimal.text(length, 3);
      check.find(
          "The path "
              + path
              + " is only "
              + small
              + " px long: nothing can sit on it. Draw it larger in Path");
      return check.out;
    }
    boolean overlong = check.room();
    check.upright();
    check.inFrame();
    // A ring that is too long lies over itself, and that is told already.
    boolean round = overlong && check.rest.row().contour().closed();
    // Letters that stand on their path are as far apart as they are on it.
    if (!round && !check.stands()) {
      check.apart();
    }
    check.seam();
    return check.out;
  }

  private boolean stands() {
    Plane plane = l.lettering().properties().plane();
    return plane != null && plane.stance() != Plane.Stance.FLAT;
  }

  private void find(String message) {
    out.add(Finding.of(message, id, rest.time()));
  }

  private void find(String message, String fix, JsonObject edit) {
    out.add(Finding.of(message, id, rest.time()).mendedBy(fix, edit));
  }

  /** Whether the text is longer than its room. */
  private boolean room() {
    RowLayout row = rest.row();
    if (row.curtailed()) {
      find(
          name
              + " is repeated as often as can be, 1,000 times or 20,000 letters; its room would hold"
              + " more. Make the type larger or the room shorter");
    }
    int rows = l.lettering().setting().rows().count();
    if (rest.rows().size() < rows) {
      find("Of the " + rows + " rows of " + name + " only " + rest.rows().size() + " are made");
    }
    double more = row.extent() - row.roomLength();
    if (more <= 0.01 || row.runsThrough()) {
      return false;
    }
    String message = name + " is longer than its room by " + Decimal.text(more, 0) + " px";
    if (l.lettering().seat().overlong() == Seat.Overlong.ON && row.roomLength() > 1) {
      JsonObject shrink = new JsonObject().add("overlong", "shrink");
      find(message, "Shrink it to fit", Mend.seat(id, shrink));
    } else {
      find(message);
    }
    return true;
  }

  private void upright() {
    boolean round = rest.row().contour().closed();
    long over = rest.places().stream().filter(p -> Math.cos(p.angle()) < -1e-9).count();
    double most = rest.places().size() * (round ? HEADS_DOWN_ROUND : 0.5);
    if (over > most && (still || !round)) {
      find(
          name + " stands upside down at rest", "Make it readable", Mend.readable(id, rest.time()));
    }
  }

  private void inFrame() {
    // What is not shown yet is not out of the frame.
    if (!scene.shows(l.lettering(), rest.time()) || !rest.shown()) {
      return;
    }
    Rect frame = prepared.area();
    if (!l.touches(rest.values(), frame)) {
      find(name + " is out of the frame at rest");
      return;
    }
    boolean line = l.lettering().letterEffects().trail() != null;
    Rect seen = line || !still ? Rect.EMPTY : prepared.frameBox(id, rest.time());
    if (seen.isEmpty()) {
      return;
    }
    double shape = (double) Math.max(scene.width(), scene.height());
    shape /= Math.min(scene.width(), scene.height());
    Rect safe =
        new Rect(
            frame.right() * UNSAFE,
            frame.bottom() * UNSAFE,
            frame.right() * (1 - UNSAFE),
            frame.bottom() * (1 - UNSAFE));
    if (!frame.grown(HAIR).contains(seen)) {
      find(name + " reaches " + beyond(frame, seen) + " of the frame at rest");
    } else if (Math.abs(shape / VIDEO - 1) < 0.01 && !safe.grown(HAIR).contains(seen)) {
      find(name + " reaches " + beyond(safe, seen) + " of the safe area at rest");
    }
  }

  /** By how much a box goes beyond which edge of another one, where it does so most. */
  private static String beyond(Rect area, Rect box) {
    double[] by = {
      area.left() - box.left(),
      box.right() - area.right(),
      area.top() - box.top(),
      box.bottom() - area.bottom()
    };
    String[] edges = {"left", "right", "upper", "lower"};
    int most = 0;
    for (int i = 1; i < by.length; i++) {
      most = by[i] > by[most] ? i : most;
    }
    return Decimal.text(by[most], by[most] < 10 ? 1 : 0)
        + " px beyond the "
        + edges[most]
        + " edge";
  }

  private void apart() {
    List<Collisions.Pair> near = Collisions.of(l, rest.rows());
    if (near.isEmpty()) {
      return;
    }
    Collisions.Pair worst =
        near.stream().min((a, b) -> Double.compare(a.gap(), b.gap())).orElseThrow();
    String how =
        worst.gap() <= 0
            ? " touch or cross"
            : " stand only " + Decimal.text(Math.max(worst.gap(), 0.1), 1) + " px apart";
    String letters = Names.letters(worst.first(), worst.second(), near.size() - 1);
    String message = "In " + name + " " + letters + how;
    double wanted = Math.ceil(Math.max(2 * Collisions.NEAR, l.lettering().seat().leastGap()));
    if (comeApart(near, wanted)) {
      find(
          message,
          "Keep them " + Decimal.text(wanted, 0) + " px apart",
          Mend.seat(id, new JsonObject().add("leastGap", wanted)));
    } else {
      find(message + ": give them even spacing in Seat, or bend the path less");
    }
  }

  /** Whether a least gap takes all of them apart. */
  private boolean comeApart(List<Collisions.Pair> near, double gap) {
    Seat seat = l.lettering().seat();
    if (seat.fit() != Seat.Fit.NATURAL
        || seat.method() == Seat.GlyphMethod.BENT
        || rest.rows().size() > 1
        || !near.stream().allMatch(Collisions.Pair::neighbours)) {
      return false;
    }
    Lettering other = l.lettering().with(seat.apart(gap));
    return Collisions.of(l, List.of(l.as(other, rest.time()))).isEmpty();
  }

  /** Whether the ends of a ring of words are far from each other, though they nearly meet. */
  private void seam() {
    RowLayout row = rest.row();
    Seat seat = l.lettering().seat();
    double way = row.track().length();
    double[] run = row.run();
    double gap = way - (run[1] - run[0]);
    boolean closes =
        row.track().round()
            && seat.fit() == Seat.Fit.NATURAL
            && seat.seamGap() == 0
            && way - row.roomLength() < 1e-6
            && run[1] - run[0] > NEARLY_ROUND * way;
    double space = USUAL_SPACE * row.size();
    for (int i = 0; i < row.letters().size(); i++) {
      space = row.letters().get(i).isSpace() ? row.advance(i) : space;
    }
    if (closes && rest.shown() && gap > GAPING * space) {
      find(
          "The ring of "
              + name
              + " gapes: "
              + Decimal.text(gap, 0)
              + " px are left at its seam, where words stand "
              + Decimal.text(space, 0)
              + " px apart",
          "Spread it evenly",
          Mend.seat(id, new JsonObject().add("fit", "spread")));
    }
  }
}
