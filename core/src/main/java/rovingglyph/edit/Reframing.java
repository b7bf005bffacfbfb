package rovingglyph.edit;

import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.document.FieldChanges;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Follow;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Guide;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.TracingImage;
import rovingglyph.scene.Transformed;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Another frame with what was in the old one: scaled about the middle, moved with the middle, or
 * left where it was. What is in a group is scaled by its group, in whose pixels it stays. Gradients
 * that begin and end in the frame stay with what they fill; those of a ground go with the frame.
 */
final class Reframing {
  private enum Contents {
    /** As large as the frame lets what it held be, in its middle. */
    SCALED,
    /** As large as it was, round the middle. */
    CENTRED,
    /** From the upper left corner on, as it was. */
    LEFT
  }

  private static final Field<Values, Integer> WIDTH =
      argument("width", Types.integer(16, 8192, "px"));
  private static final Field<Values, Integer> HEIGHT =
      argument("height", Types.integer(16, 8192, "px"));
  private static final Field<Values, Contents> CONTENTS =
      argument("contents", Types.choice(Contents.values()));

  static final List<Command> ALL =
      List.of(
          Command.of(
              "reframe",
              "Changed the frame",
              List.of(WIDTH, HEIGHT, CONTENTS),
              Reframing::reframed));

  private static final List<Effect.Parameter> ENDS =
      List.of(Effect.FROM_X, Effect.FROM_Y, Effect.TO_X, Effect.TO_Y);

  private final Affine map;
  private final double k;
  private final double width;
  private final double height;

  /** The old frame's sides by the new one's. */
  private final double shareX;

  private final double shareY;

  /** What is in no group: its pixels are those of the frame. */
  private final Set<String> outer;

  /** Copies of paths on which something in a group stays, by the path that it was on. */
  private final Map<String, String> stays = new LinkedHashMap<>();

  private Reframing(Scene scene, Affine map, double width, double height) {
    this.map = map;
    this.k = map.a();
    this.width = width;
    this.height = height;
    this.shareX = scene.width() / width;
    this.shareY = scene.height() / height;
    this.outer = new LinkedHashSet<>(scene.stack());
  }

  private static Scene reframed(Scene scene, Values v) {
    double width = v.get(WIDTH);
    double height = v.get(HEIGHT);
    Contents how = v.get(CONTENTS);
    Scene out =
        FieldChanges.of(
            scene, new JsonObject().add("width", v.get(WIDTH)).add("height", v.get(HEIGHT)));
    double k =
        how == Contents.SCALED ? Math.min(width / scene.width(), height / scene.height()) : 1;
    Affine map =
        how == Contents.LEFT
            ? Affine.IDENTITY
            : new Affine(
                k, 0, 0, k, (width - k * scene.width()) / 2, (height - k * scene.height()) / 2);
    return new Reframing(scene, map, width, height).of(out.showing(scene.shown()));
  }

  private Scene of(Scene scene) {
    Scene out = map.equals(Affine.IDENTITY) ? scene : withPaths(scene);
    for (Item i : scene.items().values()) {
      out = out.withItem(outer.contains(i.id()) ? outer(scene, i) : inner(scene, i));
    }
    return out.withTemplates(scene.templates().stream().map(this::mapped).toList())
        .withGuides(scene.guides().stream().map(this::mapped).toList());
  }

  private Guide mapped(Guide g) {
    return g.movedTo(k * g.at() + (g.upright() ? map.e() : map.f()));
  }

  /** Those that things in groups stay on too are there twice. */
  private Scene withPaths(Scene scene) {
    List<GuidePath> paths = new ArrayList<>();
    for (GuidePath p : scene.paths()) {
      Set<Boolean> places = places(scene, p.id());
      boolean only = places.equals(Set.of(false));
      paths.add(only ? p : mapped(p));
      if (places.size() == 2) {
        String copy = p.id() + "-in-group";
        while (scene.mover(copy) != null) {
          copy += "x";
        }
        stays.put(p.id(), copy);
        paths.add(p.with(p.label().named(copy, p.name() + " (in its group)")));
      }
    }
    return scene.withPaths(paths);
  }

  /** In whose pixels a path is used: true for those of the frame, false for those of a group. */
  private Set<Boolean> places(Scene scene, String path) {
    Set<Boolean> out = new LinkedHashSet<>();
    for (Item i : scene.items().values()) {
      Clip clip = i.properties().clip();
      Ride ride = i.properties().ride();
      boolean on =
          (i instanceof Lettering l && l.path().equals(path))
              || (i instanceof FilledPath f && f.path().equals(path))
              || (clip != null && clip.path().equals(path))
              || (ride != null && ride.path().equals(path));
      if (on) {
        out.add(outer.contains(i.id()));
      }
      // A cut brings its own map from there.
      if (i instanceof ForegroundCut c && c.path().equals(path)) {
        out.add(true);
      }
    }
    return out;
  }

  private Item outer(Scene scene, Item item) {
    Map<Channel, AnimatedValue> values = values(scene, item);
    ItemProperties p = item.properties();
    if (p.ride() != null) {
      Ride r = p.ride();
      p =
          p.carried(
              new Ride(
                  r.path(),
                  map.apply(r.point()),
                  r.turns(),
                  r.ends(),
                  r.copies(),
                  r.spacing(),
                  r.extras()));
    }
    Item out = item.with(p, values);
    if (out instanceof Lettering l) {
      return scaled(l);
    }
    return out instanceof ForegroundCut c ? inSource(scene, c) : out;
  }

  private Map<Channel, AnimatedValue> values(Scene scene, Item item) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>();
    item.values().forEach((c, m) -> out.put(c, mapped(scene, item, c, m)));
    return out;
  }

  private Lettering scaled(Lettering l) {
    return new Lettering(
        l.properties(),
        l.text(),
        l.face(),
        l.faceName(),
        l.setting().scaled(k),
        l.path(),
        l.seat().scaled(k),
        l.letterEffects().scaled(k),
        l.filling(),
        l.values(),
        l.extras());
  }

  /** What is in a group keeps its pixels; only a path that is used outside too is another one. */
  private Item inner(Scene scene, Item item) {
    Item out = item.with(item.properties(), values(scene, item));
    Clip clip = item.properties().clip();
    Ride ride = item.properties().ride();
    if (clip != null && stays.containsKey(clip.path())) {
      Clip on = new Clip(stays.get(clip.path()), clip.inverted(), clip.extras());
      out = out.with(out.properties().clipped(on), out.values());
    }
    if (ride != null && stays.containsKey(ride.path())) {
      out = out.with(out.properties().carried(ride.on(stays.get(ride.path()))), out.values());
    }
    if (out instanceof Lettering l) {
      return l.on(stays.getOrDefault(l.path(), l.path()), l.seat());
    }
    if (out instanceof FilledPath f) {
      return f.on(stays.getOrDefault(f.path(), f.path()));
    }
    return out instanceof ForegroundCut c ? inSource(scene, c) : out;
  }

  /** Its path is mapped, and so are the pixels of words and shapes in no group. */
  private ForegroundCut inSource(Scene scene, ForegroundCut c) {
    Item source = scene.item(c.source());
    Affine back = c.inSource().times(map.inverse());
    boolean mapped =
        source != null && outer.contains(source.id()) && !(source instanceof Transformed);
    return c.in(mapped ? map.times(back) : back);
  }

  /** How a value of an item becomes another number: so many times it, and so much more. */
  private record Rule(double factor, double more) {
    static final Rule STAYS = new Rule(1, 0);
  }

  private Rule rule(Item item, Channel c) {
    boolean here = outer.contains(item.id());
    if (isOfFrame(item, c)) {
      boolean across = across(c);
      double share = across ? shareX : shareY;
      double more = across ? map.e() / width : map.f() / height;
      return here ? new Rule(k * share, 100 * more) : new Rule(share, 0);
    }
    // The edge of a cut is measured by its path, wherever the cut itself stands.
    if (c == Channel.CUT_EDGE || c == Channel.GROW) {
      return new Rule(k, 0);
    }
    if (!here) {
      return Rule.STAYS;
    }
    if (item instanceof Transformed && (c == Channel.X || c == Channel.Y)) {
      return new Rule(k, c == Channel.X ? map.e() : map.f());
    }
    if (item instanceof Transformed && !item.appearance().contains(c)) {
      // Its scale does the rest: what else it has is in its own pixels.
      return c == Channel.SCALE ? new Rule(k, 0) : Rule.STAYS;
    }
    if (!c.unit().equals("px")) {
      return Rule.STAYS;
    }
    return new Rule(k, isAcross(c) ? map.e() : isDown(c) ? map.f() : 0);
  }

  private static boolean isAcross(Channel c) {
    return isOf(c, Effect.GROUND_X) || c == Channel.PLANE_X;
  }

  private static boolean isDown(Channel c) {
    return isOf(c, Effect.GROUND_Y) || c == Channel.PLANE_Y;
  }

  /** Whether a value is a share of the frame, which is another one now. */
  private boolean isOfFrame(Item item, Channel c) {
    if (ENDS.stream().anyMatch(p -> isOf(c, p))) {
      return true;
    }
    if (!Fillings.ENDS.contains(c)) {
      return false;
    }
    if (item instanceof ColourField f) {
      // In no group it is a ground, which goes with the frame.
      return f.area() == ColourField.Area.FRAME && !outer.contains(f.id());
    }
    return item instanceof Lettering l && l.filling().across() == Filling.Across.FRAME;
  }

  private static boolean across(Channel c) {
    return c == Channel.FROM_X
        || c == Channel.TO_X
        || isOf(c, Effect.FROM_X)
        || isOf(c, Effect.TO_X);
  }

  private static boolean isOf(Channel c, Effect.Parameter p) {
    return c.field().endsWith("-" + p.name());
  }

  private AnimatedValue mapped(Scene scene, Item item, Channel c, AnimatedValue m) {
    Rule rule = rule(item, c);
    AnimatedValue out = rule.equals(Rule.STAYS) ? m : mapped(c, m, rule);
    // Distances to the edges are in the pixels of the frame, in groups too.
    List<Keyframe> landing =
        out.keyframes().stream()
            .map(key -> key.landing() == null ? key : key.with(key.landing().scaled(k)))
            .toList();
    out = out.with(landing);
    Follow f = m.follow();
    if (f == null) {
      return out;
    }
    // What is followed may become other numbers than what follows.
    Item followed = scene.item(f.lettering());
    Rule there = followed == null ? rule : rule(followed, c);
    double factor = f.factor() * rule.factor() / there.factor();
    double offset = rule.factor() * f.offset() + rule.more() - factor * there.more();
    return out.with(new Follow(f.lettering(), factor, f.delay(), offset, f.source(), f.extras()));
  }

  /** By a rule, but never beyond what the value may be. */
  private static AnimatedValue mapped(Channel c, AnimatedValue m, Rule rule) {
    double factor = rule.factor();
    AnimatedValue out = m.mapped(v -> c.clamp(v * factor + rule.more()));
    Cruise cruise = m.cruise();
    if (cruise != null && cruise.pace() == Cruise.Pace.PER_SECOND) {
      out = out.with(Cruise.of(cruise.pace(), cruise.amount() * factor, cruise.extras()));
    }
    return m.sway() == null ? out : out.with(m.sway().times(factor));
  }

  private GuidePath mapped(GuidePath path) {
    if (!(path instanceof ShapePath s)) {
      return PathEdits.mapped(path, map, 0);
    }
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    s.numbers()
        .forEach(
            (c, m) -> {
              double more = c == Channel.X ? map.e() : c == Channel.Y ? map.f() : 0;
              numbers.put(c, c.unit().equals("px") ? mapped(c, m, new Rule(k, more)) : m);
            });
    return new ShapePath(s.label(), s.kind(), numbers, s.flipped(), s.reversed());
  }

  private TracingImage mapped(TracingImage t) {
    Point corner = map.apply(new Point(t.x(), t.y()));
    return new TracingImage(
        t.id(),
        t.name(),
        t.image(),
        corner.x(),
        corner.y(),
        t.width() * k,
        t.height() * k,
        t.opacity(),
        t.hidden(),
        t.extras());
  }
}
