package rovingglyph.formats;

import java.util.function.Predicate;
import rovingglyph.frame.ThinLetters;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Pin;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;

/** What is in a scene, or in one that is inset into it, that some formats have no words for. */
final class Unsaid {
  private Unsaid() {}

  private static boolean has(Scene scene, Predicate<Scene> what) {
    return what.test(scene)
        || scene.insets().stream()
            .map(i -> scene.shown().get(i.scene()))
            .anyMatch(s -> s != null && has(s, what));
  }

  private static boolean hasItem(Scene scene, Predicate<Item> what) {
    return has(scene, s -> s.items().values().stream().anyMatch(what));
  }

  /** Pins to four corners, and planes that something lies in as one picture. */
  static boolean hasPerspective(Scene scene) {
    return has(scene, s -> s.items().values().stream().anyMatch(i -> isPinned(s, i) || isLaid(i)));
  }

  private static boolean isPinned(Scene scene, Item item) {
    Pin pin = item.properties().pin();
    return pin != null && isByCorners(scene, pin);
  }

  private static boolean isLaid(Item item) {
    Plane plane = item.properties().plane();
    return plane != null && !(item instanceof Lettering && plane.isDeep());
  }

  /**
   * What is turned in space within something that is turned itself, and what is turned and tells
   * how much of another item is seen.
   */
  static boolean isTurnedTwice(Scene scene) {
    return has(scene, s -> s.items().values().stream().anyMatch(i -> isTurnedTwice(s, i)));
  }

  private static boolean isTurnedTwice(Scene scene, Item item) {
    Matte matte = item.properties().matte();
    if (matte != null && isTurned(scene, scene.item(matte.item()))) {
      return true;
    }
    if (item instanceof ForegroundCut c && isTurned(scene, scene.item(c.source()))) {
      return true;
    }
    if (item instanceof Inset i && isTurned(scene, item)) {
      Scene shown = scene.shown().get(i.scene());
      return shown != null && hasItem(shown, o -> o.properties().plane() != null);
    }
    return item.properties().plane() != null && isWithinTurned(scene, item);
  }

  private static boolean isTurned(Scene scene, Item item) {
    return item != null && (item.properties().plane() != null || isWithinTurned(scene, item));
  }

  private static boolean isWithinTurned(Scene scene, Item item) {
    return scene.groupsRound(item.id()).stream().anyMatch(g -> g.properties().plane() != null);
  }

  private static boolean isByCorners(Scene scene, Pin pin) {
    Footage footage = scene.pinned(pin.to());
    return footage != null && footage.pin(pin.to()).by() == FootagePin.By.CORNERS;
  }

  /** Letters that have thickness. */
  static boolean isThick(Scene scene) {
    return hasItem(scene, ThinLetters::isThick);
  }

  static boolean hasFootage(Scene scene) {
    return has(scene, s -> !s.painted(Footage.class).isEmpty());
  }

  /** Shadows, glows and blurs, and edges that are soft by a blur. */
  static boolean hasEffects(Scene scene) {
    return hasItem(
        scene,
        i ->
            i.properties().effects().stream().anyMatch(Unsaid::isOfPixels)
                || isSoft(i, Channel.SOFT_EDGE)
                || isSoft(i, Channel.CUT_EDGE));
  }

  private static boolean isOfPixels(Effect e) {
    return e.kind() != null && e.kind() != Effect.Kind.OUTLINE && !e.off();
  }

  private static boolean isSoft(Item item, Channel edge) {
    AnimatedValue soft = item.movable(edge);
    return soft != null && (soft.moves() || soft.keyed() || soft.base() > 0);
  }

  static boolean isBlurred(Scene scene) {
    return has(
        scene,
        s ->
            s.blur().angle() > 0
                || s.letterings().stream()
                    .map(Lettering::letterEffects)
                    .anyMatch(e -> e.blur() != null && e.blur() > 0));
  }

  static boolean isBlended(Scene scene) {
    return hasItem(scene, i -> i.properties().blend() != BlendMode.NORMAL);
  }
}
