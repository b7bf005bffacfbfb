package rovingglyph.render;

import io.github.humbleui.skija.Image;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.Iterator;
import java.util.List;

/**
 * Frames of footage for painting, decoded from the file as it was uploaded, in halving sizes as
 * pictures are. For one thread.
 */
final class FootageFrames implements AutoCloseable {
  /** Images of its size that it holds at one time at most: kept ones, and one on its way. */
  static final int IMAGES = 6;

  private static final int KEPT = 4;

  /** Decoders that run side by side: footage may be seen at several times at once. */
  private static final int MOST_DECODERS = 3;

  /** A decoder goes on through so many frames rather than to begin another elsewhere. */
  private static final int PATIENCE = 48;

  private record Kept(int frame, int level, Image image) {}

  private final FootageSource source;
  private final Deque<Kept> kept = new ArrayDeque<>();
  private final List<FootageDecoder> decoders = new ArrayList<>();

  /**
   * @param source null for footage that is not kept
   */
  FootageFrames(FootageSource source) {
    this.source = source;
  }

  /**
   * The frame of a moment, with its outermost pixels once more round it; null of none.
   *
   * @param across px that all of it is painted on, from its left to its right
   * @param down the same from its top to its bottom
   */
  Image at(double moment, double across, double down) {
    if (source == null) {
      return null;
    }
    int frame = source.frame(moment);
    int level = level(across, down);
    for (Kept k : kept) {
      if (k.frame == frame && k.level == level) {
        return k.image;
      }
    }
    Image image = decoder(frame, level).frame(frame);
    kept.addLast(new Kept(frame, level, image));
    if (kept.size() > KEPT) {
      kept.removeFirst().image.close();
    }
    return image;
  }

  /** The least of the sizes that still has a pixel for each; see {@link Bitmaps#level}. */
  private int level(double across, double down) {
    int at = 0;
    while (FootageDecoder.halved(source.width(), at + 1) >= Math.max(across, 1)
        && FootageDecoder.halved(source.height(), at + 1) >= Math.max(down, 1)) {
      at++;
    }
    return at;
  }

  /** One that comes to the frame soon, else another. */
  private FootageDecoder decoder(int frame, int level) {
    Iterator<FootageDecoder> all = decoders.iterator();
    while (all.hasNext()) {
      FootageDecoder d = all.next();
      if (d.level() == level && d.next() <= frame && frame - d.next() <= PATIENCE) {
        // The one that was used last is at the end.
        all.remove();
        decoders.add(d);
        return d;
      }
    }
    if (decoders.size() == MOST_DECODERS) {
      decoders.remove(0).close();
    }
    FootageDecoder d = new FootageDecoder(source, level, frame);
    decoders.add(d);
    return d;
  }

  @Override
  public void close() {
    decoders.forEach(FootageDecoder::close);
    decoders.clear();
    kept.forEach(k -> k.image.close());
    kept.clear();
  }
}
