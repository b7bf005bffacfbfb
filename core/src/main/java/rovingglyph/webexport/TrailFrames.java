package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Trail;
import rovingglyph.schema.Spelling;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/**
 * The line under a row. On a still path it is the whole track with one dash that moves and grows; a
 * dashed one, and one on a path that moves, is path data for every frame.
 */
final class TrailFrames {
  private final PreparedLettering prepared;
  private final SvgClock clock;
  private final SharedMotions motions;
  private final int row;
  private final boolean turned;
  private final Trail trail;

  /**
   * @param turned whether the rotation is part of every place
   */
  TrailFrames(
      PreparedLettering prepared, SvgClock clock, SharedMotions motions, int row, boolean turned) {
    this.prepared = prepared;
    this.clock = clock;
    this.motions = motions;
    this.row = row;
    this.turned = turned;
    this.trail = prepared.lettering().letterEffects().trail();
  }

  String path() {
    return trail.dash().isEmpty() && !prepared.seats().path().moves() && !turned
        ? oneDash()
        : SmilShapes.path(open(), frames(), clock.length());
  }

  private RowLayout seating(double time) {
    return prepared.rows(prepared.values(time)).get(row);
  }

  private String oneDash() {
    Track track =
        clock.samples(t -> dash(seating(t)), TrailFrames::apart, SampledLetters.TOLERANCE);
    double whole = seating(0).contour().length();
    boolean round = seating(0).track().round();
    String d = SvgPath.write(seating(0).contour(), 3);
    StringBuilder out = new StringBuilder(open()).append(" d=\"").append(d).append("\" style=\"");
    if (track.still(1e-6)) {
      out.append(declared(track.states()[0], whole, round));
    } else {
      String play =
          motions.animation(
              "trail " + row, track, SampledLetters.TOLERANCE, s -> declared(s, whole, round));
      out.append("animation:").append(play);
    }
    return out.append("\"/>\n").toString();
  }

  private static double apart(double[] a, double[] b) {
    double ends = Math.max(Math.abs(a[0] - b[0]), Math.abs(a[0] + a[1] - b[0] - b[1]));
    return Math.max(ends, a[2] == b[2] ? 0 : 1);
  }

  /** Where the dash begins, how long it is, and 1 where it is seen. */
  private double[] dash(RowLayout s) {
    double whole = s.contour().length();
    double[] span = prepared.trailSpan(s);
    boolean round = s.track().round();
    double from = round ? span[0] : Math.max(span[0], 0);
    double to = round ? span[1] : Math.min(span[1], whole);
    double length = Math.min(Math.max(to - from, 0), whole);
    return new double[] {from, length, length > 1e-6 ? 1 : 0};
  }

  private static String declared(double[] s, double whole, boolean round) {
    // A round track takes the dash over its join; on an open one nothing comes after it.
    double gap = round ? Math.max(whole - s[1], 0) : 2 * whole + 1;
    return "stroke-dasharray:"
        + Decimal.text(s[1], 2)
        + "px "
        + Decimal.text(gap, 2)
        + "px;stroke-dashoffset:"
        + Decimal.text(-s[0], 2)
        + "px;opacity:"
        + (s[2] >= 0.5 ? "1" : "0");
  }

  private List<String> frames() {
    List<String> shapes = new ArrayList<>();
    for (int f = 0; f < clock.frames(); f++) {
      SeatValues v = prepared.values(clock.frame(f));
      List<RowLayout> rows = prepared.rows(v);
      shapes.add(row < rows.size() ? prepared.trail(rows.get(row), turned) : "");
    }
    return shapes;
  }

  private String open() {
    String dash =
        trail.dash().stream().map(d -> Decimal.text(d, 2)).collect(Collectors.joining(" "));
    return "<path fill=\"none\" stroke-linejoin=\"round\" stroke=\""
        + AnimatedSvg.colour(trail.colour())
        + "\" stroke-width=\""
        + Decimal.text(trail.width(), 3)
        + "\" stroke-linecap=\""
        + Spelling.of(trail.cap())
        + "\""
        + (dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\"");
  }
}
