package rovingglyph.render;

import java.io.IOException;
import java.util.List;
import rovingglyph.scene.Footage;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/** The bitmaps of pictures, each in halving sizes (level 0 is all of it), and footage. */
public interface Bitmaps {
  /** Of no picture at all. */
  Bitmaps NONE = image -> List.of();

  /**
   * One size of a picture.
   *
   * @param width in px
   * @param height in px
   * @param type image/png or image/jpeg
   */
  record Level(int width, int height, String type, Content content) {
    /** The file itself, opened when it is asked for. */
    public interface Content {
      byte[] bytes();
    }
  }

  /** Something that is there, but cannot be read yet; the message says what. */
  final class NotReady extends IOException {
    public NotReady(String message) {
      super(message);
    }
  }

  /** The sizes of a picture, the largest first; empty for one that is not kept. */
  List<Level> levels(String image);

  /**
   * Footage by its id; null for what is not kept.
   *
   * @throws NotReady while it is being prepared
   * @throws IOException if it cannot be brought to the disk
   */
  default FootageSource footage(String image) throws IOException {
    return null;
  }

  /** A frame of footage as the stage has it, for small pictures; null where there is none. */
  default byte[] preview(String image, double moment) {
    return null;
  }

  /**
   * Sees that no picture, footage or scene which a scene shows is missing.
   *
   * @throws NotReady if none is, but some is not ready yet
   * @throws IOException with the name of one that is
   */
  static void requireAll(Bitmaps bitmaps, Scene scene) throws IOException {
    for (Picture p : scene.paintedPictures()) {
      if (bitmaps.levels(p.image()).isEmpty()) {
        throw new IOException(
            "The picture \"%s\" is not there (%s). Replace it, or take it out of the scene."
                .formatted(p.name(), p.image()));
      }
    }
    for (Footage f : scene.painted(Footage.class)) {
      if (bitmaps.footage(f.image()) == null) {
        throw new IOException(
            "The footage \"%s\" is not there (%s). Replace it, or take it out of the scene."
                .formatted(f.name(), f.image()));
      }
    }
    for (Inset i : scene.insets()) {
      Scene shown = scene.shown().get(i.scene());
      if (shown == null && scene.shows(i)) {
        throw new IOException(
            "The scene that \"%s\" shows is not there (%s). Show another, or take it out."
                .formatted(i.name(), i.scene()));
      }
      if (shown != null) {
        requireAll(bitmaps, shown);
      }
    }
  }

  /**
   * The least of the sizes that still has a pixel for each that it is painted on.
   *
   * @param across px that all of the picture is painted on, from its left to its right
   * @param down the same from its top to its bottom
   */
  static int level(List<Level> levels, double across, double down) {
    int at = 0;
    while (at + 1 < levels.size()
        && levels.get(at + 1).width() >= across
        && levels.get(at + 1).height() >= down) {
      at++;
    }
    return at;
  }
}
