package rovingglyph.document;

import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Template;

/** Pictures and templates from and to JSON. */
final class ItemCodec {
  private ItemCodec() {}

  static Picture readPicture(Fields f) {
    Map<Channel, Movable> values = new LinkedHashMap<>();
    Picture.CHANNELS.forEach(c -> values.put(c, MovableCodec.read(f, c, Picture.start(c))));
    return new Picture(
        f.id("id"),
        f.text("name", 200, "Picture"),
        f.list("parts", 500, ItemCodec::part),
        values,
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

  static String write(Picture p) {
    Writer w =
        Writer.object()
            .add("id", p.id())
            .add("name", p.name())
            .list("parts", p.parts(), ItemCodec::write);
    Picture.CHANNELS.forEach(c -> w.json(c.field(), MovableCodec.write(p.movable(c), c)));
    return w.add("hidden", p.hidden()).add("locked", p.locked()).rest(p.extras()).text();
  }

  private static String write(Picture.Part p) {
    return Writer.object().add("d", p.data()).colour("fill", p.fill()).rest(p.extras()).text();
  }
}
