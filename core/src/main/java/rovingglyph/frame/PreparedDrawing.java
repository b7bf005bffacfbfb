package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.motion.Place;
import rovingglyph.scene.Drawing;
import rovingglyph.type.Outline;

/**
 * A drawing ready to be evaluated.
 *
 * @param outlineBase index of the outline of its first part among the scene's
 * @param outlines all of the scene's
 */
record PreparedDrawing(Drawing drawing, int outlineBase, List<Outline> outlines)
    implements PreparedItem {

  @Override
  public double opacity(double time) {
    return Place.alpha(drawing, time);
  }

  @Override
  public boolean overlaps(double time) {
    return drawing.parts().size() > 1;
  }

  @Override
  public List<ItemShape> shapes(double time) {
    Affine m = Place.map(drawing, time);
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < drawing.parts().size(); i++) {
      int index = outlineBase + i;
      pieces.add(new Piece(index, outlines.get(index).subPaths(), m));
    }
    return List.of(new ItemShape(pieces, Math.hypot(m.a(), m.b())));
  }

  @Override
  public boolean solid() {
    return true;
  }

  @Override
  public void paint(Frame frame, double time, double alpha, Outlines lines) {
    lines.beneath(frame, () -> shapes(time), solid());
    Affine m = Place.map(drawing, time);
    for (int i = 0; i < drawing.parts().size() && alpha > 0; i++) {
      frame.fill(drawing.parts().get(i).fill(), alpha);
      frame.outline(outlineBase + i, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    }
    lines.over(frame, () -> shapes(time));
  }

  @Override
  public boolean touches(double time, Window spot) {
    Affine map = Place.map(drawing, time);
    for (int i = 0; i < drawing.parts().size(); i++) {
      if (spot.touched(outlines.get(outlineBase + i), map)) {
        return true;
      }
    }
    return false;
  }
}
