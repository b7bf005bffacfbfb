package rovingglyph.scene;

import java.util.List;
import java.util.stream.Stream;

/**
 * An item lies in a plane that is turned in space. How it is turned, about which point, and from
 * how far it is looked at are its values {@link #CHANNELS}.
 *
 * @param stance how letters stand on it; anything else lies in it
 * @param parallel whether things far away are as large as near ones, whatever the viewing distance
 * @param backs what is seen of letters from behind
 * @param body the thickness of letters; null where they have none
 * @param core a round thing within the ring of letters; null where there is none
 * @param band a strip behind letters; null where there is none
 * @param behind id of the item that letters go behind: those farther away than the centre of the
 *     plane are painted right before it, the nearer ones right after it; null where all are painted
 *     in their own place
 */
public record Plane(
    Stance stance,
    boolean parallel,
    Backs backs,
    Body body,
    Core core,
    Band band,
    String behind,
    UnknownFields extras) {

  /** How letters stand on their path. */
  public enum Stance {
    /** In the plane. */
    FLAT,

    /**
     * Square to it, as on a band round a drum: read from the right of the path. Their lean lays
     * them down to the left.
     */
    STANDING,

    /** Upright to the viewer, larger or smaller as they are near or far. */
    FACING
  }

  /** What is seen of letters from behind. */
  public enum Backs {
    /** As they are, the wrong way round. */
    SHOWN,

    /** The same in the colour of {@link Channel#BACK_COLOUR}. */
    COLOURED,

    /** Nothing. */
    HIDDEN
  }

  /** The values of an item that has a plane. */
  public static final List<Channel> CHANNELS =
      List.of(
          Channel.TILT,
          Channel.SWING,
          Channel.VIEWING_DISTANCE,
          Channel.PLANE_X,
          Channel.PLANE_Y,
          Channel.LEAN,
          Channel.BACK_COLOUR);

  /** Letters lie in it, seen in perspective, from behind as from before. */
  public static final Plane PLAIN =
      new Plane(Stance.FLAT, false, Backs.SHOWN, null, null, null, null, UnknownFields.NONE);

  /** Whether its letters are more than one flat picture. */
  public boolean isDeep() {
    return stance != Stance.FLAT
        || backs != Backs.SHOWN
        || behind != null
        || body != null
        || hasSolids();
  }

  /** Whether there is more than letters. */
  public boolean hasSolids() {
    return core != null || band != null;
  }

  /** The same with letters that stand otherwise. */
  public Plane standing(Stance other) {
    return new Plane(other, parallel, backs, body, core, band, behind, extras);
  }

  /** The same before and after another item, or with null in one. */
  public Plane behind(String item) {
    return new Plane(stance, parallel, backs, body, core, band, item, extras);
  }

  /** The values that are there: those of the plane, and of what of this it has. */
  public List<Channel> channels() {
    Stream<Channel> out = CHANNELS.stream();
    out = body == null ? out : Stream.concat(out, Body.CHANNELS.stream());
    out = core == null ? out : Stream.concat(out, Core.CHANNELS.stream());
    return (band == null ? out : Stream.concat(out, Band.CHANNELS.stream())).toList();
  }

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    return c == Channel.VIEWING_DISTANCE ? 1500 : c == Channel.BACK_COLOUR ? 0x625F57 : 0;
  }
}
