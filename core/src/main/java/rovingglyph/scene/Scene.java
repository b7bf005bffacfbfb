package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;

/**
 * A timed frame with its contents.
 *
 * @param width of the frame in px
 * @param height of the frame in px
 * @param length in seconds
 * @param background 0xRRGGBB, or null for none
 * @param cues in order of time
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
    List<Template> templates,
    List<Cue> cues,
    Blur blur,
    List<String> stack,
    Extras extras) {

  /** At least one frame. */
  public int frameCount() {
    return (int) Math.max(1, rate.frameAt(length));
  }

  /** The time of the scene's frame that is nearest to a time in seconds. */
  public double onFrame(double time) {
    long frame = rate.frameAt(Math.min(Math.max(time, 0), length));
    return rate.timeOf(Math.min(frame, frameCount() - 1L));
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

  /** The item or path with this id; null if there is none. */
  public Mover mover(String id) {
    Item item = item(id);
    return item != null ? item : path(id);
  }

  public Scene withItem(Item item) {
    if (item instanceof Lettering l) {
      return withLetterings(letterings.stream().map(o -> o.id().equals(l.id()) ? l : o).toList());
    }
    Picture p = (Picture) item;
    return with(
        paths, letterings, pictures.stream().map(o -> o.id().equals(p.id()) ? p : o).toList());
  }

  public Scene withLetterings(List<Lettering> newLetterings) {
    return with(paths, newLetterings, pictures);
  }

  public Scene withPaths(List<GuidePath> newPaths) {
    return with(newPaths, letterings, pictures);
  }

  public Scene withPath(GuidePath path) {
    return withPaths(paths.stream().map(p -> p.id().equals(path.id()) ? path : p).toList());
  }

  /** With a path put behind the others. */
  public Scene adding(GuidePath path) {
    List<GuidePath> all = new ArrayList<>(paths);
    all.add(path);
    return withPaths(List.copyOf(all));
  }

  public Scene withCues(List<Cue> newCues) {
    return with(paths, letterings, pictures, newCues, stack);
  }

  /** The cue with this id; null if there is none. */
  public Cue cue(String id) {
    return cues.stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
  }

  /** Without the lettering or picture with this id. */
  public Scene without(String id) {
    return with(
        paths,
        letterings.stream().filter(l -> !l.id().equals(id)).toList(),
        pictures.stream().filter(p -> !p.id().equals(id)).toList(),
        cues,
        stack.stream().filter(s -> !s.equals(id)).toList());
  }

  /** With an item put on top of the stack. */
  public Scene stacked(String id) {
    List<String> order = new ArrayList<>(stack);
    order.remove(id);
    order.add(id);
    return with(paths, letterings, pictures, cues, List.copyOf(order));
  }

  private Scene with(
      List<GuidePath> newPaths, List<Lettering> newLetterings, List<Picture> newPictures) {
    return with(newPaths, newLetterings, newPictures, cues, stack);
  }

  private Scene with(
      List<GuidePath> newPaths,
      List<Lettering> newLetterings,
      List<Picture> newPictures,
      List<Cue> newCues,
      List<String> newStack) {
    return new Scene(
        name,
        width,
        height,
        rate,
        length,
        background,
        newPaths,
        newLetterings,
        newPictures,
        templates,
        newCues,
        blur,
        newStack,
        extras);
  }
}
