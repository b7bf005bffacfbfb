package rovingglyph.frame;

import java.util.List;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;

/**
 * In which order items that are beside each other are painted: letters that go behind one of them
 * come in two halves, the far one right before it and the near one right after it.
 */
public final class StackOrder {
  private final Scene scene;
  private final List<String> ids;

  /** Whether any of them goes behind another one. */
  private final boolean halves;

  /** Takes what is painted. */
  public interface Painted {
    /** Takes an item or half of its letters. */
    void take(String id, Half half);
  }

  /**
   * @param ids back to front
   */
  public StackOrder(Scene scene, List<String> ids) {
    this.scene = scene;
    this.ids = ids;
    this.halves = ids.stream().anyMatch(id -> behind(id) != null);
  }

  /** All that are not hidden, back to front. */
  public void each(Painted painted) {
    for (String id : ids) {
      if (!scene.item(id).hidden() && (!halves || first(id) == null)) {
        take(id, Half.ALL, painted);
      }
    }
  }

  private void take(String id, Half half, Painted painted) {
    List<String> round =
        halves
            ? ids.stream().filter(l -> !scene.item(l).hidden() && id.equals(first(l))).toList()
            : List.of();
    if (half != Half.NEAR) {
      round.forEach(l -> take(l, Half.FAR, painted));
    }
    painted.take(id, half);
    if (half != Half.FAR) {
      round.forEach(l -> take(l, Half.NEAR, painted));
    }
  }

  /**
   * What a lettering goes behind; null where it is painted in its own place: when that is not
   * beside it or not seen, or goes behind it in turn.
   */
  private String first(String id) {
    String first = behind(id);
    String at = first;
    for (int i = 0; at != null && i <= ids.size(); i++) {
      if (at.equals(id)) {
        return null;
      }
      at = behind(at);
    }
    return at == null ? first : null;
  }

  private String behind(String id) {
    Plane plane = scene.item(id).properties().plane();
    boolean can = plane != null && plane.behind() != null && scene.item(id) instanceof Lettering;
    return can && ids.contains(plane.behind()) && !scene.item(plane.behind()).hidden()
        ? plane.behind()
        : null;
  }
}
