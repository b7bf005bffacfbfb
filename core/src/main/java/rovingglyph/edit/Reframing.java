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
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Follow;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
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
 * left where it was. What is in a group is scaled by its group, in whose pixels it stays.
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

  private final Affine map;
  private final double k;

  /** What is in no group: its pixels are those of the frame. */
  private final Set<String> outer;

  /** Copies of paths on which something in a group stays, by the path that it was on. */
  private final Map<String, String> stays = new LinkedHashMap<>();

  private Reframing(Scene scene, Affine map) {
    this.map = map;
    this.k = map.a();
    this.outer = new LinkedHashSet<>(scene.stack());
  }

  private static Scene reframed(Scene scene, Values v) {
    double width = v.get(WIDTH);
    double height = v.get(HEIGHT);
    Contents how = v.get(CONTENTS);
    Scene out =
        FieldChanges.of(
            scene, new JsonObject().add("width", v.get(WIDTH)).add("height", v.get(HEIGHT)));
    if (how == Contents.LEFT) {
      return out;
    }
    double k =
        how == Contents.CENTRED ? 1 : Math.min(width / scene.width(), height / scene.height());
    Affine map =
        new Affine(k, 0, 0, k, (width - k * scene.width()) / 2, (height - k * scene.height()) / 2);
    return new Reframing(scene, map).of(out.showing(scene.shown()));
  }

  private Scene of(Scene scene) {
    Scene out = scene;
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
    out = out.withPaths(paths);
    for (Item i : scene.items().values()) {
      out = out.withItem(outer.contains(i.id()) ? outer(scene, i) : inner(scene, i));
    }
    return out.withTemplates(scene.templates().stream().map(this::mapped).toList());
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
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    item.values().forEach((c, m) -> values.put(c, mapped(scene, item, c, m)));
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
    Item out = item;
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
      Lettering on = l.on(stays.getOrDefault(l.path(), l.path()), l.seat());
      Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
      on.values().forEach((c, m) -> values.put(c, following(scene, l, c, m)));
      return on.with(values);
    }
    if (out instanceof FilledPath f) {
      return f.on(stays.getOrDefault(f.path(), f.path()));
    }
    if (out instanceof ForegroundCut c) {
      // Its edge is measured by its path, wherever it stands itself.
      ForegroundCut cut = inSource(scene, c);
      for (Channel channel : List.of(Channel.CUT_EDGE, Channel.GROW)) {
        cut = cut.with(channel, length(channel, cut.movable(channel)));
      }
      return cut;
    }
    return out;
  }

  /** Its path is mapped, and so are the pixels of words and shapes in no group. */
  private ForegroundCut inSource(Scene scene, ForegroundCut c) {
    Item source = scene.item(c.source());
    Affine back = c.inSource().times(map.inverse());
    boolean mapped =
        source != null && outer.contains(source.id()) && !(source instanceof Transformed);
    return c.in(mapped ? map.times(back) : back);
  }

  private AnimatedValue mapped(Scene scene, Item item, Channel c, AnimatedValue m) {
    if (item instanceof Transformed && (c == Channel.X || c == Channel.Y)) {
      return place(c, m);
    }
    if (item instanceof Transformed && !item.appearance().contains(c)) {
      // Its scale does the rest: what else it has is in its own pixels.
      return c == Channel.SCALE ? length(c, m) : m;
    }
    if (!c.unit().equals("px")) {
      return m;
    }
    if (isOf(c, Effect.GROUND_X)) {
      return moved(c, m, map.e());
    }
    if (isOf(c, Effect.GROUND_Y)) {
      return moved(c, m, map.f());
    }
    return following(scene, item, c, length(c, m));
  }

  /** What is followed may be in other pixels than what follows. */
  private AnimatedValue following(Scene scene, Item item, Channel c, AnimatedValue m) {
    Follow f = m.follow();
    if (f == null || !c.unit().equals("px")) {
      return m;
    }
    boolean here = outer.contains(item.id());
    boolean there = scene.item(f.lettering()) == null || outer.contains(f.lettering());
    double factor = here == there ? 1 : here ? k : 1 / k;
    double offset = here ? k : 1;
    return m.with(
        new Follow(
            f.lettering(),
            f.factor() * factor,
            f.delay(),
            f.offset() * offset,
            f.source(),
            f.extras()));
  }

  private static boolean isOf(Channel c, Effect.Parameter p) {
    return c.field().endsWith("-" + p.name());
  }

  private AnimatedValue place(Channel c, AnimatedValue m) {
    return moved(c, m, c == Channel.X ? map.e() : map.f());
  }

  private AnimatedValue length(Channel c, AnimatedValue m) {
    return moved(c, m, 0);
  }

  /** Times the scale, and so much more; never beyond what the value may be. */
  private AnimatedValue moved(Channel c, AnimatedValue m, double more) {
    AnimatedValue out = m.mapped(v -> c.clamp(v * k + more));
    Cruise cruise = m.cruise();
    if (cruise != null && cruise.pace() == Cruise.Pace.PER_SECOND) {
      out = out.with(Cruise.of(cruise.pace(), cruise.amount() * k, cruise.extras()));
    }
    return m.sway() == null ? out : out.with(m.sway().times(k));
  }

  private GuidePath mapped(GuidePath path) {
    if (!(path instanceof ShapePath s)) {
      return PathEdits.mapped(path, map, 0);
    }
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    s.numbers()
        .forEach(
            (c, m) -> {
              boolean at = c == Channel.X || c == Channel.Y;
              numbers.put(c, at ? place(c, m) : c.unit().equals("px") ? length(c, m) : m);
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
