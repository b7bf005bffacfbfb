package rovingglyph.document;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * What all items have that show bitmaps, from and to JSON.
 *
 * @param image id of what is kept
 * @param pixelWidth of what is kept, upright
 * @param pixelHeight of what is kept, upright
 * @param values beside those of its place
 */
record BitmappedCodec<T extends Bitmapped>(
    Field<T, String> image,
    Field<T, Integer> pixelWidth,
    Field<T, Integer> pixelHeight,
    Field<T, Point> centre,
    List<Field<T, AnimatedValue>> values) {
  private static final FieldType<Integer> PIXELS = Types.integer(1, Bitmapped.LONGEST_SIDE, "px");

  private static final List<Channel> OWN =
      Bitmapped.VALUES.stream().filter(c -> !Bitmapped.CHANNELS.contains(c)).toList();

  /**
   * The fields for a kind.
   *
   * @param kept what is kept of it, as its ids begin
   * @param taken what the command line makes of the id
   */
  static <T extends Bitmapped> BitmappedCodec<T> of(String kept, String taken) {
    return new BitmappedCodec<>(
        Field.<T, String>field("image", Types.id(), T::image)
            .about(
                "id of the kept "
                    + kept
                    + ", made from its file: `"
                    + kept
                    + "-` and the first 20 hexadecimal digits of its SHA-256. "
                    + taken),
        Field.<T, Integer>field("pixelWidth", PIXELS, T::pixelWidth)
            .fallback(400)
            .about("of the kept " + kept + ", its natural size"),
        Field.<T, Integer>field("pixelHeight", PIXELS, T::pixelHeight).fallback(400),
        TransformedCodec.centre("from its middle"),
        AnimatedType.fields(OWN, T::movable, Bitmapped::start));
  }

  /** All values of an item. */
  Map<Channel, AnimatedValue> values(Values v, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> out = TransformedCodec.place(v, appearance);
    AnimatedType.collect(v, values, out);
    return out;
  }
}
