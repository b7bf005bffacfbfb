package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * A piece of text on a path.
 *
 * @param text one phrase per line
 * @param faceName what the face was called when it was chosen; empty if that was not noted
 * @param path id of its path
 * @param values one for each of {@link #CHANNELS}, and one for each axis that is set
 */
public record Lettering(
    ItemProperties properties,
    String text,
    String face,
    String faceName,
    Typesetting setting,
    String path,
    Seat seat,
    LetterEffects letterEffects,
    Filling filling,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Item {

  /** The values of its seat. */
  public static final List<Channel> SEAT =
      List.of(
          Channel.PATH_OFFSET,
          Channel.START_MARGIN,
          Channel.END_MARGIN,
          Channel.BASELINE_SHIFT,
          Channel.LETTER_TURN,
          Channel.FIXED_ANGLE);

  /** The values that every lettering has beside those of its seat. */
  public static final List<Channel> OWN =
      List.of(
          Channel.SIZE,
          Channel.TRACKING,
          Channel.WORD_SPACING,
          Channel.OPACITY,
          Channel.ROTATION,
          Channel.FILL,
          Channel.REVEAL_FROM,
          Channel.REVEAL_TO,
          Channel.SWEEP_FROM,
          Channel.SWEEP_TO,
          Channel.TRAIL_FROM,
          Channel.TRAIL_TO,
          Channel.FROM_X,
          Channel.FROM_Y,
          Channel.TO_X,
          Channel.TO_Y);

  private static final Set<Channel> HUNDRED =
      Set.of(Channel.SIZE, Channel.OPACITY, Channel.REVEAL_TO, Channel.TRAIL_TO, Channel.TO_X);

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    if (HUNDRED.contains(c)) {
      return 100;
    }
    if (c == Channel.SWEEP_TO) {
      return 360;
    }
    return c == Channel.FILL ? 0x1F2B37 : 0;
  }

  @Override
  public Lettering with(Channel c, AnimatedValue m) {
    return with(Values.with(values, c, m));
  }

  @Override
  public Lettering with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Lettering(
        p, text, face, faceName, setting, path, seat, letterEffects, filling, newValues, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lettering(this);
  }

  /** The lettering with other values. */
  public Lettering with(Map<Channel, AnimatedValue> newValues) {
    return new Lettering(
        properties,
        text,
        face,
        faceName,
        setting,
        path,
        seat,
        letterEffects,
        filling,
        newValues,
        extras);
  }

  /** The lettering with another seat. */
  public Lettering with(Seat newSeat) {
    return on(path, newSeat);
  }

  /** The lettering with other ways to come and go. */
  public Lettering with(LetterEffects s) {
    return new Lettering(
        properties, text, face, faceName, setting, path, seat, s, filling, values, extras);
  }

  /** The lettering with another filling. */
  public Lettering with(Filling f) {
    return new Lettering(
        properties, text, face, faceName, setting, path, seat, letterEffects, f, values, extras);
  }

  /** The lettering on another path. */
  public Lettering on(String newPath, Seat newSeat) {
    return new Lettering(
        properties,
        text,
        face,
        faceName,
        setting,
        newPath,
        newSeat,
        letterEffects,
        filling,
        values,
        extras);
  }

  /** The axes that are set, by tag. */
  public Map<String, AnimatedValue> axes() {
    Map<String, AnimatedValue> out = new TreeMap<>();
    values.forEach(
        (c, m) -> {
          if (c.kind() == Channel.Kind.AXIS) {
            out.put(c.tag(), m);
          }
        });
    return out;
  }
}
