package rovingglyph.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Group;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.TracingImage;
import rovingglyph.scene.Transformed;

/** Drawings, groups and templates from and to JSON. */
final class TransformedCodec {
  private TransformedCodec() {}

  static Drawing readDrawing(Fields f, ItemProperties p) {
    return new Drawing(
        p, f.list("parts", 500, TransformedCodec::part), values(f, Point.ORIGIN), f.rest());
  }

  static Group readGroup(Fields f, ItemProperties p) {
    Point centre = f.point("centre", PathCodec.FARTHEST, Point.ORIGIN);
    return new Group(p, List.copyOf(f.texts("members", 2000)), centre, values(f, centre), f.rest());
  }

  private static Map<Channel, AnimatedValue> values(Fields f, Point centre) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>();
    Transformed.CHANNELS.forEach(
        c -> out.put(c, AnimatedValueCodec.read(f, c, Transformed.start(c, centre))));
    return out;
  }

  private static Drawing.Part part(Fields f) {
    String data = f.text("d", 200_000, "");
    SvgPath.Parsed parsed = SvgPath.parse(data);
    if (parsed.error() != null) {
      f.problem("d", parsed.error() + " at character " + (parsed.position() + 1), "SVG path data");
    }
    return new Drawing.Part(data, f.colour("fill", 0), f.rest());
  }

  static TracingImage readTemplate(Fields f) {
    return new TracingImage(
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

  static String write(TracingImage t) {
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

  static String write(Writer w, Drawing d) {
    return values(w.list("parts", d.parts(), TransformedCodec::write), d).rest(d.extras()).text();
  }

  static String write(Writer w, Group g) {
    w.texts("members", g.members()).point("centre", g.centre());
    return values(w, g).rest(g.extras()).text();
  }

  private static Writer values(Writer w, Transformed p) {
    Transformed.CHANNELS.forEach(c -> w.json(c.field(), AnimatedValueCodec.write(p.movable(c), c)));
    return w;
  }

  private static String write(Drawing.Part p) {
    return Writer.object().add("d", p.data()).colour("fill", p.fill()).rest(p.extras()).text();
  }
}
