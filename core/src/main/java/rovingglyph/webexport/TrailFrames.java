package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import rovingglyph.document.Spelling;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Trail;
import rovingglyph.seat.SeatValues;

/** The line under a row, its path data written out for every frame. */
final class TrailFrames {
  private final PreparedLettering prepared;
  private final Scene scene;
  private final int row;
  private final boolean turned;

  /**
   * @param turned whether the rotation is part of every place
   */
  TrailFrames(PreparedLettering prepared, Scene scene, int row, boolean turned) {
    this.prepared = prepared;
    this.scene = scene;
    this.row = row;
    this.turned = turned;
  }

  String path() {
    List<String> shapes = new ArrayList<>();
    for (int f = 0; f < scene.frameCount(); f++) {
      SeatValues v = prepared.values(scene.rate().timeOf(f));
      shapes.add(prepared.trail(prepared.rows(v).get(row), turned));
    }
    Trail t = prepared.lettering().showing().trail();
    String dash = t.dash().stream().map(d -> Decimal.text(d, 2)).collect(Collectors.joining(" "));
    String open =
        "<path fill=\"none\" stroke-linejoin=\"round\" stroke=\""
            + AnimatedSvg.colour(t.colour())
            + "\" stroke-width=\""
            + Decimal.text(t.width(), 3)
            + "\" stroke-linecap=\""
            + Spelling.of(t.cap())
            + "\""
            + (dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\"");
    return SmilShapes.path(open, shapes, scene.length());
  }
}
