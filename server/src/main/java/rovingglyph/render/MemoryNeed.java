package rovingglyph.render;

import java.util.HashMap;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Footage;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;

/** What painting a scene takes of the heap, estimated before it is begun. */
public final class MemoryNeed {
  /** What the server itself and the scene's outlines take. */
  private static final long OTHERS = 160L << 20;

  /** Images that are painted ahead of a video's encoder at most. */
  private static final int MOST_AHEAD = 4;

  private MemoryNeed() {}

  /** Images that the memory allows to be painted ahead, 2 to 4. */
  static int ahead(Scene scene, double scale) {
    int least = VideoWriter.LEAST_AHEAD;
    long spare = available() - bytes(scene, scale, least);
    return (int) Math.min(MOST_AHEAD, least + Math.max(0, spare / image(scene, scale)));
  }

  /**
   * Null if there is memory enough, else what is in the way and what to do.
   *
   * @param scale of the images by the frame
   * @param images under way at one time; 0 where none is painted
   */
  public static String unsupportedReason(Scene scene, double scale, int images) {
    long need = bytes(scene, scale, images);
    if (need <= available()) {
      return null;
    }
    return "Painting this scene takes about "
        + (need >> 20)
        + " MB of memory, and this server has "
        + (available() >> 20)
        + " MB for it. Make the frame smaller, fade, blur or clip fewer groups within each other,"
        + " take smaller pictures or footage, turn motion blur off, or start the server with more"
        + " memory (ROVING_MEMORY).";
  }

  private static long available() {
    return Math.max(0, Runtime.getRuntime().maxMemory() - OTHERS);
  }

  private static long image(Scene scene, double scale) {
    return (long) Math.ceil(4L * scene.width() * scene.height() * scale * scale);
  }

  /** The most bytes at one time: images under way, one for each faded group round another, sums. */
  static long bytes(Scene scene, double scale, int images) {
    if (images == 0) {
      return 0;
    }
    int layers = layers(scene);
    int sums = scene.blur().angle() > 0 ? 4 : 0;
    return (images + layers + sums) * image(scene, scale) + pictures(scene);
  }

  /** Bitmaps of the scene's pictures, each once, as long as they are kept decoded. */
  private static long pictures(Scene scene) {
    Map<String, Long> each = new HashMap<>();
    pictures(scene, each);
    long all = each.values().stream().mapToLong(Long::longValue).sum();
    return Math.min(all, BitmapCache.MOST);
  }

  private static void pictures(Scene scene, Map<String, Long> each) {
    for (Bitmapped b : scene.bitmapped()) {
      int images = b instanceof Footage ? FootageFrames.IMAGES : 1;
      each.put(b.image(), 4L * images * b.pixelWidth() * b.pixelHeight());
    }
    scene.shown().values().forEach(s -> pictures(s, each));
  }

  /** Layers that are open at one time at most while a scene is painted. */
  private static int layers(Scene scene) {
    return scene.stack().stream().mapToInt(id -> layers(scene, id)).max().orElse(0);
  }

  /** Layers that are open at one time at most: an item's own, and those of what is in it. */
  private static int layers(Scene scene, String id) {
    Item item = scene.item(id);
    ItemProperties p = item.properties();
    boolean whole =
        p.blend() != BlendMode.NORMAL
            || p.clip() != null
            || p.matte() != null
            || isFaded(item)
            || item instanceof Group g && scene.blendsWithin(g);
    int within = 0;
    if (item instanceof Group g) {
      within = g.members().stream().mapToInt(m -> layers(scene, m)).max().orElse(0);
    }
    if (item instanceof ForegroundCut c) {
      // Its own layer, the one that measures it, that of the soft edge, and that of a shrunk area.
      within = 5 + layers(scene, c.source());
    }
    if (item instanceof Inset i && scene.shown().containsKey(i.scene())) {
      within = 1 + layers(scene.shown().get(i.scene()));
    }
    // A filter has its result beside its layer, a shadow its shape and its colour too, one that is
    // cast lies in layers of its own; a clip is measured in two layers, the soft one's too.
    int filtered = p.effects().isEmpty() ? 0 : 6;
    int measured = p.matte() == null ? 0 : 2 + layers(scene, p.matte().item());
    return Math.max(within, measured) + (whole ? 1 : 0) + filtered + (p.clip() == null ? 0 : 3);
  }

  private static boolean isFaded(Item item) {
    AnimatedValue opacity = item.movable(Channel.OPACITY);
    return opacity != null && (opacity.moves() || opacity.keyed() || opacity.base() < 100);
  }
}
