package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Place;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Scene;

/**
 * Another scene, ready to be shown in one: it is painted by itself, at the time that it is at, and
 * what lies outside its frame is not seen.
 *
 * @param source the scene that was prepared
 * @param shown the same, prepared
 * @param firstOutline index of its first outline among those of the scene round it
 * @param firstImage index of its first picture among those of the scene round it
 */
public record PreparedInset(
    Inset inset, Scene source, PreparedScene shown, int firstOutline, int firstImage)
    implements PreparedItem {

  PreparedInset showing(PreparedScene other) {
    return new PreparedInset(inset, source, other, firstOutline, firstImage);
  }

  @Override
  public double opacity(double time) {
    return Place.alpha(inset, time);
  }

  @Override
  public boolean overlaps(double time) {
    return true;
  }

  /** The frame of a scene in the pixels of an inset that shows it. */
  public static Rect frame(Scene shown) {
    double x = shown.width() / 2.0;
    double y = shown.height() / 2.0;
    return new Rect(-x, -y, x, y);
  }

  /** The time within the scene that is shown. */
  public double within(double time) {
    return inset.within(time, source);
  }

  /** The map of the pixels of the scene that is shown to those round the inset. */
  public Affine map(double time) {
    Affine middle = new Affine(1, 0, 0, 1, -source.width() / 2.0, -source.height() / 2.0);
    return Place.map(inset, time).times(middle);
  }

  private PlacedRect placed(double time) {
    return new PlacedRect(frame(source), Place.map(inset, time));
  }

  @Override
  public List<ItemShape> shapes(double time) {
    return placed(time).shapes();
  }

  private boolean hasBackground() {
    return inset.background() && source.background() != null;
  }

  @Override
  public boolean solid() {
    return hasBackground();
  }

  @Override
  public void paint(Frame list, double time, double alpha, Outlines outlines) {
    outlines.beneath(list, () -> shapes(time), solid());
    Space round = list.space();
    Space there = round.times(map(time));
    PlacedRect frame = new PlacedRect(shown.area(), Affine.IDENTITY);
    // A layer of its own: nothing in it is blended with what is round it.
    list.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    list.mapped(there);
    list.clip();
    frame.add(list);
    list.beginInset(firstOutline, firstImage);
    if (hasBackground()) {
      frame.fill(list, FramePaint.plain(source.background(), 1));
    }
    new ScenePainting(shown, list, within(time), 0).paint(shown.scene().stack(), there);
    list.endInset(firstOutline, firstImage);
    list.mapped(there);
    list.unclip(shown.area());
    list.pop();
    list.mapped(round);
    outlines.over(list, () -> shapes(time));
  }

  @Override
  public boolean touches(double time, Window spot) {
    if (!placed(time).touches(spot)) {
      return false;
    }
    SceneHits hits = new SceneHits(shown, within(time));
    return hasBackground()
        || !hits.topmost(shown.scene().stack(), spot.within(Space.FLAT.times(map(time)))).isEmpty();
  }

  /** Whether all of its texts have been shaped. */
  boolean isComplete() {
    return shown.isComplete();
  }
}
