package rovingglyph.webexport;

import rovingglyph.frame.PreparedFilledPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.FilledPath;
import rovingglyph.schema.Spelling;

/** A filled path as a path of SVG's own. */
final class FilledPathSvg {
  /** Of the width of its line, px. */
  private static final double TOLERANCE = 0.05;

  private final PreparedFilledPath prepared;
  private final SvgClock clock;

  FilledPathSvg(PreparedFilledPath prepared, SvgClock clock) {
    this.prepared = prepared;
    this.clock = clock;
  }

  String write() {
    FilledPath item = prepared.item();
    SmilAttribute out = new SmilAttribute(clock);
    if (item.filled()) {
      out.colour("fill", t -> prepared.colour(Channel.FILL, t));
    } else {
      out.fixed("fill", "none");
    }
    if (item.movable(Channel.STROKE_WIDTH).moves() || prepared.width(0) > 0) {
      out.colour("stroke", t -> prepared.colour(Channel.STROKE, t))
          .number("stroke-width", TOLERANCE, prepared::width)
          .fixed("stroke-linejoin", "round")
          .fixed("stroke-linecap", Spelling.of(item.cap()));
    }
    return out.path(prepared.path(), "");
  }
}
