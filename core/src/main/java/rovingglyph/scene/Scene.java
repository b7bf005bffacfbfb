package rovingglyph.scene;

import java.util.List;

/**
 * A timed frame with its contents.
 *
 * @param width of the frame in px
 * @param height of the frame in px
 * @param length in seconds
 * @param background 0xRRGGBB, or null for none
 * @param stack ids of all items, back to front
 */
public record Scene(
    String name,
    int width,
    int height,
    FrameRate rate,
    double length,
    Integer background,
    List<GuidePath> paths,
    List<Lettering> letterings,
    List<Picture> pictures,
    List<String> stack,
    Extras extras) {

  /** At least one frame. */
  public int frameCount() {
    return (int) Math.max(1, rate.frameAt(length));
  }

  /** The path with this id; null if there is none. */
  public GuidePath path(String id) {
    return paths.stream().filter(p -> p.id().equals(id)).findFirst().orElse(null);
  }

  /** The lettering or picture with this id; null if there is none. */
  public Item item(String id) {
    for (Lettering l : letterings) {
      if (l.id().equals(id)) {
        return l;
      }
    }
    for (Picture p : pictures) {
      if (p.id().equals(id)) {
        return p;
      }
    }
    return null;
  }

  public Scene withItem(Item item) {
    List<Lettering> newLetterings =
        letterings.stream()
            .map(l -> l.id().equals(item.id()) && item instanceof Lettering n ? n : l)
            .toList();
    List<Picture> newPictures =
        pictures.stream()
            .map(p -> p.id().equals(item.id()) && item instanceof Picture n ? n : p)
            .toList();
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        background,
        paths,
        newLetterings,
        newPictures,
        stack,
        extras);
  }

  public Scene withPath(GuidePath path) {
    List<GuidePath> newPaths =
        paths.stream().map(p -> p.id().equals(path.id()) ? path : p).toList();
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        background,
        newPaths,
        letterings,
        pictures,
        stack,
        extras);
  }
}
