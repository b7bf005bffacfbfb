package rovingglyph.render;

import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Scene;

/** What painting a scene takes of the heap, estimated before it is begun. */
public final class MemoryNeed {
  /** What the server itself and the scene's outlines take. */
  private static final long OTHERS = 160L << 20;

  /** Images that are painted ahead of a video's encoder at most, and at least. */
  private static final int MOST_AHEAD = 4;

  private static final int LEAST_AHEAD = 2;

  private MemoryNeed() {}

  /** Images that the memory allows to be painted ahead, 2 to 4. */
  static int ahead(Scene scene) {
    long spare = available() - bytes(scene, SceneFiles.Format.MP4);
    return (int) Math.min(MOST_AHEAD, LEAST_AHEAD + Math.max(0, spare / image(scene)));
  }

  /** Null if there is memory enough, else what is in the way and what to do. */
  public static String unsupportedReason(Scene scene, SceneFiles.Format format) {
    long need = bytes(scene, format);
    if (need <= available()) {
      return null;
    }
    return "Painting this scene takes about "
        + (need >> 20)
        + " MB of memory, and this server has "
        + (available() >> 20)
        + " MB for it. Make the frame smaller, fade fewer groups within each other, turn motion blur"
        + " off, or start the server with more memory (ROVING_MEMORY).";
  }

  private static long available() {
    return Math.max(0, Runtime.getRuntime().maxMemory() - OTHERS);
  }

  private static long image(Scene scene) {
    return 4L * scene.width() * scene.height();
  }

  /** The most bytes at one time: images under way, one for each faded group round another, sums. */
  static long bytes(Scene scene, SceneFiles.Format format) {
    if (format == SceneFiles.Format.SVG) {
      return 0;
    }
    int images = format == SceneFiles.Format.MP4 ? LEAST_AHEAD : 1;
    int layers = scene.stack().stream().mapToInt(id -> layers(scene, id)).max().orElse(0);
    int sums = scene.blur().angle() > 0 ? 4 : 0;
    return (images + layers + sums) * image(scene);
  }

  private static int layers(Scene scene, String id) {
    if (!(scene.item(id) instanceof Group g)) {
      return 0;
    }
    AnimatedValue opacity = g.movable(Channel.OPACITY);
    boolean faded = opacity != null && (opacity.moves() || opacity.keyed() || opacity.base() < 100);
    int within = g.members().stream().mapToInt(m -> layers(scene, m)).max().orElse(0);
    return within + (faded ? 1 : 0);
  }
}
