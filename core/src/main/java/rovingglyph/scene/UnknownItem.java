package rovingglyph.scene;

import java.util.Map;

/**
 * An item of a kind that is not known here. It keeps its place in the stack and all that its
 * document says, and is not painted.
 *
 * @param kind the word in the document
 */
public record UnknownItem(ItemProperties properties, String kind, UnknownFields extras)
    implements Item {

  @Override
  public Map<Channel, AnimatedValue> values() {
    return Map.of();
  }

  @Override
  public UnknownItem with(Channel channel, AnimatedValue value) {
    throw new IllegalArgumentException("A \"" + kind + "\" has no value " + channel + " here");
  }

  @Override
  public UnknownItem with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new UnknownItem(p, kind, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.unknown(this);
  }
}
