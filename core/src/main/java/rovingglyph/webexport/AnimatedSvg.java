package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.CutArea;
import rovingglyph.frame.Half;
import rovingglyph.frame.Outlines;
import rovingglyph.frame.PreparedColourField;
import rovingglyph.frame.PreparedFilledPath;
import rovingglyph.frame.PreparedInset;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.StackOrder;
import rovingglyph.frame.StandingLetters;
import rovingglyph.frame.ThinLetters;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SvgPath;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Footage;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.scene.UnknownItem;

/**
 * Writes a prepared scene as one SVG document that plays by itself and repeats. Where the motion of
 * a lettering can be said in CSS, one registered custom property per moving value drives all of its
 * letters along an {@code offset-path}; otherwise the letters' own motions are written, at stops
 * between which straight lines err by less than a tenth of a px.
 */
public final class AnimatedSvg {
  private final PreparedScene prepared;
  private final Scene scene;
  private final SvgClock clock;
  private final CssMotion motion;
  private final MovingValues values;
  private final String prefix;
  private final StringBuilder style;
  private final StringBuilder body;
  private final SharedMotions motions;
  private final PlacesSvg places;
  private final ShownSvg showing;
  private final BitmapsSvg bitmaps;

  /** Names of the items whose group is faded instead of themselves. */
  private final Set<String> fadedAsWhole = new HashSet<>();

  private int written;

  /** Which letters of a plane are written at present. */
  private Half half = Half.ALL;

  /** What shapes are written in at present, and px of one of those that they stand in. */
  private Ink ink = Ink.PLAIN;

  private DoubleUnaryOperator unit = t -> 1;

  /** Those of the lettering that is written at present. */
  private List<Ink> outlines = List.of();

  private AnimatedSvg(PreparedScene prepared, Bitmaps bitmaps) {
    this.prepared = prepared;
    this.bitmaps = new BitmapsSvg(bitmaps);
    this.scene = prepared.scene();
    this.clock = SvgClock.of(scene);
    this.style = new StringBuilder();
    this.body = new StringBuilder();
    this.motion = new CssMotion(clock);
    this.values = new MovingValues(clock, motion, style);
    // Two exports set into one page must not share names.
    this.prefix = prefix(scene);
    this.motions = new SharedMotions(style, prefix);
    this.places = new PlacesSvg(prepared, clock, values, motions);
    this.showing = new ShownSvg(clock, style);
  }

  /**
   * What is shown within a scene, in the same file.
   *
   * @param name of the inset, which begins all names in it
   */
  private AnimatedSvg(AnimatedSvg round, PreparedInset inset, String name) {
    this.prepared = inset.shown();
    this.bitmaps = round.bitmaps;
    this.scene = prepared.scene();
    this.clock = round.clock.within(inset.inset(), inset.source());
    this.style = round.style;
    this.body = round.body;
    this.motion = new CssMotion(clock);
    this.values = new MovingValues(clock, motion, style);
    this.prefix = name;
    this.motions = round.motions;
    this.places = new PlacesSvg(prepared, clock, values, motions);
    this.showing = new ShownSvg(clock, style);
  }

  /** What all names of a file begin with. */
  static String prefix(Scene scene) {
    return "g" + Integer.toHexString(SceneCodec.write(scene).hashCode() & 0xFFFFFF);
  }

  /** The whole document of a scene; its pictures are left out. */
  public static String write(PreparedScene prepared) {
    return write(prepared, (image, width) -> null);
  }

  /** The whole document. */
  public static String write(PreparedScene prepared, Bitmaps bitmaps) {
    Written w = written(prepared, bitmaps);
    Scene scene = prepared.scene();
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
        + scene.width()
        + " "
        + scene.height()
        + "\">\n<title>"
        + escaped(scene.name())
        + "</title>\n<style><![CDATA[\n"
        + w.style()
        + "]]></style>\n"
        + w.body()
        + "</svg>\n";
  }

  /**
   * What a document is made of.
   *
   * @param prefix of all names
   * @param body its elements, the background first
   */
  record Written(String prefix, String style, String body, BitmapsSvg bitmaps) {
    boolean moves() {
      return style.contains("@keyframes") || body.contains("<animate");
    }
  }

  static Written written(PreparedScene prepared, Bitmaps bitmaps) {
    // Nothing in SVG turns sides with their letters.
    AnimatedSvg out = new AnimatedSvg(ThinLetters.of(prepared), bitmaps);
    out.build();
    return new Written(out.prefix, out.style.toString(), out.body.toString(), out.bitmaps);
  }

  /** Where the bitmaps of pictures come from. */
  public interface Bitmaps {
    /**
     * A bitmap as a {@code data:} address; null for one that is to be left out.
     *
     * @param image id of the kept picture
     * @param width so many pixels across are enough
     */
    String address(String image, double width);
  }

  private void build() {
    if (scene.background() != null) {
      body.append("<rect width=\"100%\" height=\"100%\" fill=\"")
          .append(colour(scene.background()))
          .append("\"/>\n");
    }
    if (hasOutlines(scene)) {
      style.append(Ink.properties());
    }
    body.append(bitmaps.define(scene, prefix));
    items(scene.stack());
  }

  private static boolean hasOutlines(Scene scene) {
    return scene.items().values().stream().anyMatch(i -> !Outlines.effects(i).isEmpty())
        || scene.shown().values().stream().anyMatch(AnimatedSvg::hasOutlines);
  }

  private void items(List<String> ids) {
    new StackOrder(scene, ids)
        .each(
            (id, part) -> {
              half = part;
              item(scene.item(id));
              half = Half.ALL;
            });
  }

  private void item(Item item) {
    if (!prepared.isPainted(item)) {
      return;
    }
    String name = prefix + "-" + written++;
    String shown = showing.attribute(name, item);
    if (!ink.isPlain()) {
      // In a mask or a line there are no effects.
      body.append(shown.isEmpty() ? "" : "<g " + shown + ">");
      body.append(places.carried(item, written(name, item, ink)));
      body.append(shown.isEmpty() ? "" : "</g>\n");
      return;
    }
    List<String> groups = new ArrayList<>();
    if (!shown.isEmpty()) {
      groups.add("<g " + shown + ">");
    }
    if (Appearance.adds(item) || PlacesSvg.copies(item) > 1) {
      groups.add(whole(name, item));
    }
    String contents = contents(name, item);
    AppearanceSvg appearance = new AppearanceSvg(prepared, clock, item, name, values::own);
    body.append(appearance.glows(contents, groups));
    if (!shown.isEmpty()) {
      groups.remove(0);
    }
    String outermost = outermost(shown, item);
    if (!outermost.isEmpty()) {
      groups.add(0, outermost);
    }
    groups.forEach(body::append);
    body.append(appearance.round(contents, measure(name, item), values::animate));
    body.append("</g>\n".repeat(groups.size()));
  }

  /** What an item is measured by, in the pixels round it; null where it is not. */
  private String measure(String name, Item item) {
    Matte matte = item.properties().matte();
    if (matte == null) {
      return null;
    }
    // What is filtered for an inverted one is to stand in the pixels of the frame.
    String between =
        matte.inverted() ? "<g filter=\"url(#" + AppearanceSvg.amount(name) + ")\">\n" : "";
    String by = captured(() -> wholly(scene.item(matte.item())));
    return places.elsewhere(name, item, matte.item(), between, by);
  }

  /** Writes an item for another one of which only a half may be written. */
  private void wholly(Item item) {
    Half outer = half;
    half = Half.ALL;
    item(item);
    half = outer;
  }

  private String captured(Runnable writes) {
    int from = body.length();
    writes.run();
    String out = body.substring(from);
    body.setLength(from);
    return out;
  }

  /** What an item is, with its outlines but without the rest of its appearance. */
  private String contents(String name, Item item) {
    // Lines are measured in the pixels round the item that has them.
    DoubleUnaryOperator round = unit;
    unit = t -> 1;
    String out = places.carried(item, outlined(name, item));
    unit = round;
    return out;
  }

  private String outlined(String name, Item item) {
    List<Effect> effects = Outlines.effects(item);
    List<Ink> inks = new ArrayList<>();
    for (int i = 0; i < effects.size(); i++) {
      Ink pen = new Ink(item, effects.get(i), name + "-o" + i, clock, motions);
      body.append(pen.gradient(new Rect(0, 0, scene.width(), scene.height())));
      inks.add(pen);
    }
    if (isDeep(item)) {
      // Its display lists have its outlines.
      return written(name, item, Ink.PLAIN);
    }
    if (item instanceof Lettering || inks.isEmpty()) {
      outlines = inks;
      String out = written(name, item, Ink.PLAIN);
      outlines = List.of();
      return out;
    }
    StringBuilder out = new StringBuilder();
    for (int i = inks.size() - 1; i >= 0; i--) {
      if (inks.get(i).isBeneath()) {
        out.append(beneath(name + "-o" + i, item, inks.get(i)));
      }
    }
    out.append(written(name, item, Ink.PLAIN));
    for (int i = 0; i < inks.size(); i++) {
      if (!inks.get(i).isBeneath()) {
        out.append(outline(name + "-o" + i, item, inks.get(i)));
      }
    }
    return out.toString();
  }

  private String outline(String name, Item item, Ink pen) {
    fadedAsWhole.add(name);
    return pen.coloured("<g" + pen.attributes() + ">\n" + written(name, item, pen) + "</g>\n", "");
  }

  /** An outline beneath an item, cut out where the item does not hide it. */
  private String beneath(String name, Item item, Ink pen) {
    String line = outline(name, item, pen);
    if (prepared.solid(item)) {
      return line;
    }
    String rest = name + "-rest";
    fadedAsWhole.add(rest);
    Ink area = Ink.area();
    return "<mask id=\""
        + rest
        + "\" maskUnits=\"userSpaceOnUse\" "
        + AppearanceSvg.EVERYWHERE
        + "><rect "
        + AppearanceSvg.EVERYWHERE
        + " fill=\"#fff\"/><g"
        + area.attributes()
        + ">\n"
        + written(rest, item, area)
        + "</g></mask>\n<g mask=\"url(#"
        + rest
        + ")\">"
        + line
        + "</g>\n";
  }

  /** The shapes of an item in an ink. */
  private String written(String name, Item item, Ink in) {
    Ink round = ink;
    ink = in;
    int from = body.length();
    item.accept(new Writing(name));
    String out = body.substring(from);
    body.setLength(from);
    ink = round;
    return out;
  }

  /** Begins a group that is faded as the item is, where that is not to be faded itself. */
  private String whole(String name, Item item) {
    if (item instanceof Lettering l
        && prepared.letterings().containsKey(l.id())
        && prepared.letterings().get(l.id()).fadesByLetter()) {
      return "<g>";
    }
    fadedAsWhole.add(name);
    List<String> animations = new ArrayList<>();
    String own = name + "-whole";
    String fade = values.declaredFade(own, item.movable(Channel.OPACITY), animations);
    values.animate(own, animations);
    return "<g class=\"" + own + "\"" + style("", fade) + ">\n";
  }

  /** Writes an item of any kind into the body. */
  private final class Writing implements Item.Visitor<Void> {
    private final String name;

    Writing(String name) {
      this.name = name;
    }

    @Override
    public Void lettering(Lettering l) {
      if (prepared.letterings().containsKey(l.id())) {
        AnimatedSvg.this.lettering(name, prepared.letterings().get(l.id()));
      }
      return null;
    }

    @Override
    public Void drawing(Drawing d) {
      placed(
          name,
          d,
          () -> measured(t -> scale(d, t), () -> d.parts().forEach(AnimatedSvg.this::part)));
      return null;
    }

    @Override
    public Void group(Group g) {
      DoubleUnaryOperator round = unit;
      unit = t -> round.applyAsDouble(t) * scale(g, t);
      placed(name, g, () -> items(g.members()));
      unit = round;
      return null;
    }

    @Override
    public Void colourField(ColourField c) {
      Rect frame = new Rect(0, 0, scene.width(), scene.height());
      PreparedColourField field = new PreparedColourField(c, frame);
      Runnable rect =
          ink.isPlain()
              ? () -> body.append(new ColourFieldSvg(field, clock).write(name + "-g"))
              : () -> rectangle(field::box);
      if (c.area() == ColourField.Area.FRAME) {
        faded(name, c, () -> measured(t -> 1, rect));
      } else {
        placed(name, c, () -> measured(t -> scale(c, t), rect));
      }
      return null;
    }

    @Override
    public Void picture(Picture p) {
      String bitmap = bitmaps.id(p.image());
      PreparedPicture seen = new PreparedPicture(p, 0);
      if (!ink.isPlain()) {
        placed(name, p, () -> measured(t -> scale(p, t), () -> rectangle(seen::seen)));
      } else if (bitmap != null) {
        PictureSvg picture = new PictureSvg(p, clock);
        String own = name + "-p";
        placed(
            name, p, () -> body.append(picture.write(bitmap, own, values::own, values::animate)));
      }
      return null;
    }

    /** A file of this kind cannot hold footage: it is left out, as the sheet says before. */
    @Override
    public Void footage(Footage f) {
      return null;
    }

    @Override
    public Void filledPath(FilledPath p) {
      PreparedFilledPath path = new PreparedFilledPath(p, prepared.paths().get(p.path()));
      SmilAttribute none = new SmilAttribute(clock);
      Runnable shape =
          ink.isPlain()
              ? () -> body.append(new FilledPathSvg(path, clock).write())
              : () ->
                  body.append(
                      ink.shape(
                          "", 1, 1, (a, style) -> none.path(path.path(), a + Ink.style(style))));
      faded(name, p, () -> measured(t -> 1, shape));
      return null;
    }

    @Override
    public Void foregroundCut(ForegroundCut c) {
      faded(
          name,
          c,
          ink.isPlain() ? () -> part(c) : () -> measured(t -> places.unit(c, t), () -> ink(c)));
      return null;
    }

    private void part(ForegroundCut c) {
      String mask = name + "-cut";
      String shape =
          new CutSvg(prepared.cutArea(c), clock).mask(mask, values::own, values::animate);
      body.append("<mask id=\"" + mask + "\" maskUnits=\"userSpaceOnUse\" ");
      body.append(AppearanceSvg.EVERYWHERE + ">")
          .append(places.area(mask, c, shape))
          .append("</mask>\n");
      String source = captured(() -> wholly(scene.item(c.source())));
      body.append("<g mask=\"url(#" + mask + ")\">\n");
      body.append(places.elsewhere(name + "-source", c, c.source(), "", source)).append("</g>\n");
    }

    private void ink(ForegroundCut c) {
      SmilAttribute none = new SmilAttribute(clock);
      CutArea area = prepared.cutArea(c);
      String shape =
          ink.shape(
              "",
              1,
              1,
              (a, style) -> none.contour(area.path().moves(), area::edge, a + Ink.style(style)));
      body.append(places.area(name + "-ink", c, shape));
    }

    @Override
    public Void inset(Inset i) {
      PreparedInset inset = (PreparedInset) prepared.items().get(i.id());
      Rect frame = PreparedInset.frame(inset.source());
      placed(
          name,
          i,
          ink.isPlain()
              ? () -> shown(name, inset)
              : () -> measured(t -> scale(i, t), () -> rectangle(t -> frame)));
      return null;
    }

    @Override
    public Void unknown(UnknownItem u) {
      return null;
    }
  }

  /** A scene that is shown in this one, by itself and within its frame. */
  private void shown(String name, PreparedInset inset) {
    Scene source = inset.source();
    String frame = name + "-frame";
    String rect = "<rect width=\"" + source.width() + "\" height=\"" + source.height() + "\"";
    body.append("<clipPath id=\"" + frame + "\">" + rect + "/></clipPath>\n");
    body.append("<g transform=\"translate(" + Decimal.text(-source.width() / 2.0, 1) + " ");
    body.append(Decimal.text(-source.height() / 2.0, 1) + ")\" style=\"isolation:isolate\"");
    body.append(" clip-path=\"url(#" + frame + ")\">\n");
    if (inset.solid()) {
      body.append(rect + " fill=\"" + colour(source.background()) + "\"/>\n");
    }
    new AnimatedSvg(this, inset, name).items(inset.shown().scene().stack());
    body.append("</g>\n");
  }

  /** Begins the group that is blended and comes and goes; empty for an item that needs none. */
  private String outermost(String shown, Item item) {
    List<String> attributes = new ArrayList<>();
    if (!shown.isEmpty()) {
      attributes.add(shown);
    }
    String style = blends(item) ? "isolation:isolate" : "";
    String blending = AppearanceSvg.blending(item);
    style += (style.isEmpty() || blending.isEmpty() ? "" : ";") + blending;
    if (!style.isEmpty()) {
      attributes.add("style=\"" + style + "\"");
    }
    return attributes.isEmpty() ? "" : "<g " + String.join(" ", attributes) + ">\n";
  }

  /** Whether something in a group is blended with what is below it there. */
  private boolean blends(Item item) {
    return item instanceof Group g && scene.blendsWithin(g);
  }

  private boolean isDeep(Item item) {
    PreparedLettering l = prepared.letterings().get(item.id());
    return l != null && l.isDeep();
  }

  /** Letters that stand in space, and what is beside them. */
  private void deep(String name, PreparedLettering l) {
    boolean together = !fadedAsWhole.contains(name) && l.overlaps(0);
    body.append(together ? whole(name, l.lettering()) : "");
    boolean opaque = fadedAsWhole.contains(name);
    Half part = half;
    String id = l.lettering().id();
    String letters =
        ink.isPlain() && StandingLetters.areRigid(l)
            ? new StandingSvg(clock, motions)
                .write(
                    new StandingLetters(prepared, id),
                    part,
                    !opaque,
                    (solid, n) ->
                        new StrandSvg(
                                prepared, clock, motions, name + "-s" + solid.ordinal() + "-" + n)
                            .write(t -> prepared.solid(id, t, solid, opaque)))
            : null;
    if (letters == null) {
      boolean all = ink.isPlain();
      letters =
          new StrandSvg(prepared, clock, motions, name)
              .write(t -> prepared.letters(id, t, part, opaque, all));
    }
    String line = ink.isPlain() ? "" : ink.attributes() + ink.measured(unit);
    body.append("<g class=\"" + name + "\"" + line + ">\n").append(letters).append("</g>\n");
    body.append(together ? "</g>\n" : "");
  }

  private void lettering(String name, PreparedLettering l) {
    if (l.isDeep()) {
      deep(name, l);
      return;
    }
    List<String> animations = new ArrayList<>();
    AnimatedValue rotation = l.lettering().movable(Channel.ROTATION);
    AnimatedValue opacity = l.lettering().movable(Channel.OPACITY);
    boolean graded = outlines.stream().anyMatch(Ink::isGraded);
    boolean turned = graded || l.seats().path().moves() || rotation.stagger() != null;
    String turn = turned ? "" : values.turn(name, rotation, l.centre(l.values(0)), animations);
    String fade = l.fadesByLetter() ? "" : fade(name, opacity, animations);
    LetteringSvg svg = new LetteringSvg(l, clock, motion, motions, name, turned, style, animations);
    String letters = ink.isPlain() ? svg.write(outlines) : svg.write(ink, unit);
    values.animate(name, animations);
    String fill = colour((int) l.values(0).get(Channel.FILL));
    body.append("<g class=\"" + name + "\"" + (ink.isPlain() ? " fill=\"" + fill + "\"" : ""));
    body.append(style(turn, fade) + ">\n").append(letters).append("</g>\n");
  }

  /** How many px round an item one of its own is. */
  private static double scale(Transformed item, double time) {
    Affine map = Place.map(item, time);
    return Math.hypot(map.a(), map.b());
  }

  /** Has lines on what is written be of the width that they have round it. */
  private void measured(DoubleUnaryOperator own, Runnable contents) {
    DoubleUnaryOperator round = unit;
    String measure = ink.measured(t -> round.applyAsDouble(t) * own.applyAsDouble(t));
    body.append(measure.isEmpty() ? "" : "<g" + measure + ">\n");
    contents.run();
    body.append(measure.isEmpty() ? "" : "</g>\n");
  }

  private void rectangle(DoubleFunction<Rect> box) {
    DoubleFunction<Rect> there = t -> box.apply(t).isEmpty() ? new Rect(0, 0, 0, 0) : box.apply(t);
    SmilAttribute rect = SmilAttribute.rectangle(clock, 0.05, there);
    body.append(ink.shape("", 1, 1, (a, style) -> rect.element("rect", a + Ink.style(style), "")));
  }

  private void placed(String name, Transformed p, Runnable contents) {
    List<String> animations = new ArrayList<>();
    String fade = fade(name, p.movable(Channel.OPACITY), animations);
    group(name, values.place(name, p, animations), fade, animations, contents);
  }

  private void faded(String name, Item p, Runnable contents) {
    List<String> animations = new ArrayList<>();
    group(name, "", fade(name, p.movable(Channel.OPACITY), animations), animations, contents);
  }

  private void group(
      String name, String place, String fade, List<String> animations, Runnable contents) {
    body.append("<g class=\"" + name + "\"" + style(place, fade) + ">\n");
    contents.run();
    body.append("</g>\n");
    values.animate(name, animations);
  }

  private void part(Drawing.Part part) {
    String fill = ink.isPlain() ? " fill=\"" + colour(part.fill()) + "\"" : "";
    double ratio = SampledLetters.ratio(ink, SvgPath.parse(part.data()).subPaths());
    body.append(
        ink.shape(
            "",
            1,
            ratio,
            (a, more) -> "<path" + fill + a + Ink.style(more) + " d=\"" + part.data() + "\"/>\n"));
  }

  private String fade(String name, AnimatedValue m, List<String> animations) {
    return fadedAsWhole.contains(name) ? "" : values.declaredFade(name, m, animations);
  }

  private static String style(String turn, String fade) {
    return Ink.style(turn + (turn.isEmpty() || fade.isEmpty() ? "" : ";") + fade);
  }

  static String colour(int rgb) {
    return "#" + Integer.toHexString(rgb | 0x1000000).substring(1);
  }

  static String escaped(String s) {
    return s.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }
}
