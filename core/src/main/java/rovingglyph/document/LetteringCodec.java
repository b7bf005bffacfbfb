package rovingglyph.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;

/** Letterings from and to JSON. */
final class LetteringCodec {
  /** The longest text of a lettering, in UTF-16 units. */
  static final int LONGEST_TEXT = 10_000;

  static final int MOST_AXES = 64;

  private static final List<Channel> ALWAYS =
      List.of(
          Channel.PATH_OFFSET,
          Channel.START_MARGIN,
          Channel.END_MARGIN,
          Channel.BASELINE_SHIFT,
          Channel.SIZE,
          Channel.TRACKING,
          Channel.OPACITY,
          Channel.ROTATION,
          Channel.FILL);

  private LetteringCodec() {}

  static Lettering read(Fields f, ItemProperties properties) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Fields seat = f.object("seat");
    Lettering.SEAT.forEach(
        c -> values.put(c, AnimatedValueCodec.read(seat, c, Lettering.start(c))));
    Lettering.OWN.forEach(c -> values.put(c, AnimatedValueCodec.read(f, c, Lettering.start(c))));
    axes(f.object("axes"), values);
    return new Lettering(
        properties,
        f.text("text", LONGEST_TEXT, ""),
        f.text("face", 80, "fraunces"),
        f.text("faceName", 200, ""),
        TypesettingCodec.read(f),
        f.id("path"),
        seat(seat),
        LetterEffectsCodec.read(f),
        values,
        f.rest());
  }

  private static void axes(Fields f, Map<Channel, AnimatedValue> values) {
    if (f.names().size() > MOST_AXES) {
      f.problem(null, "has " + f.names().size() + " axes", "at most " + MOST_AXES);
      return;
    }
    for (String tag : f.names()) {
      if (!isTag(tag)) {
        f.problem(tag, "is not the tag of an axis", "four characters, such as wght");
      } else {
        Channel axis = Channel.axis(tag);
        values.put(axis, AnimatedValueCodec.read(f, tag, axis, 0));
      }
    }
  }

  /** Where an item's document has a value, as the end of a JSON path. */
  static String place(Channel c) {
    if (c.kind() == Channel.Kind.AXIS) {
      return ".axes." + c.tag();
    }
    return (Lettering.SEAT.contains(c) ? ".seat." : ".") + c.field();
  }

  /** An OpenType tag: four printable ASCII characters. */
  static boolean isTag(String tag) {
    return tag.length() == 4 && tag.chars().allMatch(c -> c >= ' ' && c <= '~');
  }

  private static Seat seat(Fields f) {
    return new Seat(
        f.choice("align", Seat.TextAnchor.values(), Seat.TextAnchor.START),
        f.choice("side", Seat.Side.values(), Seat.Side.LEFT),
        f.choice("orientation", Seat.Orientation.values(), Seat.Orientation.TURN),
        f.choice("method", Seat.GlyphMethod.values(), Seat.GlyphMethod.RIGID),
        f.choice("ends", Seat.EndRule.values(), null),
        f.choice("fit", Seat.Fit.values(), Seat.Fit.NATURAL),
        f.choice("spreadBy", Seat.SpreadBy.values(), Seat.SpreadBy.LETTERS),
        f.choice("overlong", Seat.Overlong.values(), Seat.Overlong.ON),
        f.number("seamGap", 0, PathCodec.FARTHEST, 0),
        f.flag("evenSpacing", false),
        f.number("leastGap", 0, 1e4, 0),
        f.choice("reshape", Seat.Reshape.values(), Seat.Reshape.KEEP_SHARE),
        f.get("pin") == null ? null : f.number("pin", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        f.choice("corners", Seat.Corners.values(), Seat.Corners.BLEND),
        f.rest());
  }

  static String write(Writer w, Lettering l) {
    Writer axes = Writer.object();
    l.axes().forEach((tag, m) -> axes.json(tag, AnimatedValueCodec.write(m, Channel.axis(tag))));
    w.add("text", l.text())
        .add("face", l.face())
        .json("axes", axes.text())
        .add("path", l.path())
        .json("seat", seat(l));
    if (!l.faceName().isEmpty()) {
      w.add("faceName", l.faceName());
    }
    values(w, l, Lettering.OWN);
    TypesettingCodec.write(w, l.setting());
    LetterEffectsCodec.write(w, l.showing());
    return w.rest(l.extras()).text();
  }

  /** Values that most letterings leave alone are written only where they differ. */
  private static void values(Writer w, Lettering l, List<Channel> channels) {
    for (Channel c : channels) {
      String text = AnimatedValueCodec.write(l.movable(c), c);
      if (ALWAYS.contains(c) || !text.equals(Writer.number(Lettering.start(c)))) {
        w.json(c.field(), text);
      }
    }
  }

  private static String seat(Lettering l) {
    Seat s = l.seat();
    Writer w =
        Writer.object()
            .add("align", Spelling.of(s.align()))
            .add("side", Spelling.of(s.side()))
            .add("orientation", Spelling.of(s.orientation()))
            .differing("method", s.method(), Seat.GlyphMethod.RIGID);
    if (s.ends() != null) {
      w.add("ends", Spelling.of(s.ends()));
    }
    w.differing("fit", s.fit(), Seat.Fit.NATURAL)
        .differing("spreadBy", s.spreadBy(), Seat.SpreadBy.LETTERS)
        .differing("overlong", s.overlong(), Seat.Overlong.ON)
        .differing("seamGap", s.seamGap(), 0)
        .flag("evenSpacing", s.evenSpacing())
        .differing("leastGap", s.leastGap(), 0)
        .differing("reshape", s.reshape(), Seat.Reshape.KEEP_SHARE);
    if (s.pin() != null) {
      w.add("pin", s.pin());
    }
    w.differing("corners", s.corners(), Seat.Corners.BLEND);
    values(w, l, Lettering.SEAT);
    return w.rest(s.extras()).text();
  }
}
