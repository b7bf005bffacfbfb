package rovingglyph.document;

import java.util.Map;
import java.util.TreeMap;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Template;

/** Letterings and pictures from and to JSON. */
final class ItemCodec {
  /** The longest text of a lettering, in UTF-16 units. */
  static final int LONGEST_TEXT = 10_000;

  private ItemCodec() {}

  static Lettering readLettering(Fields f) {
    return new Lettering(
        f.id("id"),
        f.text("text", LONGEST_TEXT, ""),
        f.text("face", 80, "fraunces"),
        axes(f.object("axes")),
        f.number("tracking", -1, 10, 0),
        f.colour("fill", 0x1F2B37),
        f.id("path"),
        seat(f.object("seat")),
        movable(f, Channel.SIZE, 100),
        movable(f, Channel.OPACITY, 100),
        movable(f, Channel.ROTATION, 0),
        f.flag("hidden", false),
        f.flag("locked", false),
        f.rest());
  }

  private static Map<String, Double> axes(Fields f) {
    Map<String, Double> axes = new TreeMap<>();
    for (String tag : f.names()) {
      if (tag.length() != 4) {
        f.problem(tag, "is not the tag of an axis", "four characters, such as wght");
      } else {
        axes.put(tag, f.number(tag, -32768, 32767, 0));
      }
    }
    return axes;
  }

  private static Seat seat(Fields f) {
    return new Seat(
        f.choice("align", Seat.TextAnchor.values(), Seat.TextAnchor.START),
        f.choice("side", Seat.Side.values(), Seat.Side.LEFT),
        f.choice("orientation", Seat.Orientation.values(), Seat.Orientation.TURN),
        f.choice("ends", Seat.EndRule.values(), null),
        f.choice("reshape", Seat.Reshape.values(), Seat.Reshape.KEEP_SHARE),
        f.get("pin") == null ? null : f.number("pin", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        movable(f, Channel.PATH_OFFSET, 0),
        movable(f, Channel.START_MARGIN, 0),
        movable(f, Channel.END_MARGIN, 0),
        movable(f, Channel.BASELINE_SHIFT, 0),
        f.rest());
  }

  static Picture readPicture(Fields f) {
    return new Picture(
        f.id("id"),
        f.text("name", 200, "Picture"),
        f.list("parts", 500, ItemCodec::part),
        f.number("x", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        f.number("y", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        f.number("scale", 0.001, 1000, 1),
        movable(f, Channel.OPACITY, 100),
        movable(f, Channel.ROTATION, 0),
        f.flag("hidden", false),
        f.flag("locked", false),
        f.rest());
  }

  private static Picture.Part part(Fields f) {
    String data = f.text("d", 200_000, "");
    SvgPath.Parsed parsed = SvgPath.parse(data);
    if (parsed.error() != null) {
      f.problem("d", parsed.error() + " at character " + (parsed.position() + 1), "SVG path data");
    }
    return new Picture.Part(data, f.colour("fill", 0), f.rest());
  }

  static Template readTemplate(Fields f) {
    return new Template(
        f.id("id"),
        f.text("name", 200, "Template"),
        f.id("image"),
        f.number("x", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        f.number("y", -PathCodec.FARTHEST, PathCodec.FARTHEST, 0),
        f.number("width", 1, 1e5, 100),
        f.number("height", 1, 1e5, 100),
        f.number("opacity", 0, 100, 40),
        f.flag("hidden", false),
        f.rest());
  }

  static String write(Template t) {
    return Writer.object()
        .add("id", t.id())
        .add("name", t.name())
        .add("image", t.image())
        .add("x", t.x())
        .add("y", t.y())
        .add("width", t.width())
        .add("height", t.height())
        .add("opacity", t.opacity())
        .flag("hidden", t.hidden())
        .rest(t.extras())
        .text();
  }

  private static Movable movable(Fields f, Channel channel, double missing) {
    return MovableCodec.read(f, channel, missing);
  }

  static String write(Lettering l) {
    Writer axes = Writer.object();
    l.axes().forEach(axes::add);
    return Writer.object()
        .add("id", l.id())
        .add("text", l.text())
        .add("face", l.face())
        .json("axes", axes.text())
        .add("tracking", l.tracking())
        .colour("fill", l.fill())
        .add("path", l.path())
        .json("seat", write(l.seat()))
        .json("size", MovableCodec.write(l.size()))
        .json("opacity", MovableCodec.write(l.opacity()))
        .json("rotation", MovableCodec.write(l.rotation()))
        .add("hidden", l.hidden())
        .add("locked", l.locked())
        .rest(l.extras())
        .text();
  }

  private static String write(Seat s) {
    Writer w =
        Writer.object()
            .add("align", Spelling.of(s.align()))
            .add("side", Spelling.of(s.side()))
            .add("orientation", Spelling.of(s.orientation()));
    if (s.ends() != null) {
      w.add("ends", Spelling.of(s.ends()));
    }
    if (s.reshape() != Seat.Reshape.KEEP_SHARE) {
      w.add("reshape", Spelling.of(s.reshape()));
    }
    if (s.pin() != null) {
      w.add("pin", s.pin());
    }
    return w.json("pathOffset", MovableCodec.write(s.pathOffset()))
        .json("startMargin", MovableCodec.write(s.startMargin()))
        .json("endMargin", MovableCodec.write(s.endMargin()))
        .json("baselineShift", MovableCodec.write(s.baselineShift()))
        .rest(s.extras())
        .text();
  }

  static String write(Picture p) {
    return Writer.object()
        .add("id", p.id())
        .add("name", p.name())
        .list("parts", p.parts(), ItemCodec::write)
        .add("x", p.x())
        .add("y", p.y())
        .add("scale", p.scale())
        .json("opacity", MovableCodec.write(p.opacity()))
        .json("rotation", MovableCodec.write(p.rotation()))
        .add("hidden", p.hidden())
        .add("locked", p.locked())
        .rest(p.extras())
        .text();
  }

  private static String write(Picture.Part p) {
    return Writer.object().add("d", p.data()).colour("fill", p.fill()).rest(p.extras()).text();
  }
}
