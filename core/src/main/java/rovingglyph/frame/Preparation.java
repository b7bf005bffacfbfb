package rovingglyph.frame;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.setting.Compositor;
import rovingglyph.setting.SetText;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.TypeSource;

/** Makes a scene ready: everything that does not depend on the time is done here, once. */
public final class Preparation {
  /** Groups smaller than this do not make the look for a landing longer: it must come to an end. */
  private static final double LEAST_SEEN = 0.05;

  private final Scene scene;
  private final TypeSource type;
  private final PreparedScene before;
  private final Map<String, PreparedPath> paths = new LinkedHashMap<>();
  private final Map<String, PreparedLettering> letterings = new LinkedHashMap<>();
  private final List<Outline> outlines = new ArrayList<>();

  private Preparation(Scene scene, TypeSource type, PreparedScene before) {
    this.type = type;
    this.before = before;
    for (GuidePath p : scene.paths()) {
      PreparedPath known = before == null ? null : before.paths().get(p.id());
      boolean same = known != null && (known.path() == p || known.path().equals(p));
      // What is pinned depends on more than itself.
      if (same && p.label().pin() == null) {
        paths.put(p.id(), known);
      }
    }
    scene.paths().forEach(p -> PreparedPath.of(scene, p.id(), paths));
    this.scene = RideLandings.paced(scene.spanned(), paths);
  }

  /** Letterings whose text the source does not have yet are left out. */
  public static PreparedScene prepare(Scene scene, TypeSource type) {
    return prepare(scene, type, null);
  }

  /**
   * The same, with what an edit left as it was taken over.
   *
   * @param before a scene prepared earlier, or null
   */
  public static PreparedScene prepare(Scene scene, TypeSource type, PreparedScene before) {
    return new Preparation(scene, type, before).run();
  }

  /** What has to be shaped for a scene and for those that are shown within it. */
  public static List<RunRequest> requests(Scene scene) {
    List<RunRequest> out = new ArrayList<>();
    scene.letterings().forEach(l -> out.addAll(requests(l)));
    scene.shown().values().forEach(s -> out.addAll(requests(s)));
    return out;
  }

  /** What has to be shaped for a lettering. */
  public static List<RunRequest> requests(Lettering l) {
    return new Compositor(l).requests();
  }

  private PreparedScene run() {
    scene.letterings().forEach(this::lettering);
    Map<String, PreparedLettering> inOrder = new LinkedHashMap<>();
    Scene solved = scene;
    for (Lettering l : scene.letterings()) {
      PreparedLettering p = letterings.get(l.id());
      if (p != null) {
        inOrder.put(l.id(), p);
        solved = solved.withItem(p.lettering());
      }
    }
    Map<String, PreparedItem> items = new LinkedHashMap<>(inOrder);
    for (Drawing d : scene.drawings()) {
      items.put(d.id(), new PreparedDrawing(d, outlines.size(), outlines));
      d.parts().forEach(part -> outlines.add(Outline.of(part.data())));
    }
    for (ColourField c : scene.colourFields()) {
      items.put(c.id(), new PreparedColourField(c, area()));
    }
    for (FilledPath p : scene.filledPaths()) {
      items.put(p.id(), new PreparedFilledPath(p, paths.get(p.path())));
    }
    List<String> images = new ArrayList<>();
    for (Bitmapped p : scene.bitmapped()) {
      if (!images.contains(p.image())) {
        images.add(p.image());
      }
      items.put(p.id(), new PreparedPicture(p, images.indexOf(p.image())));
    }
    for (Inset i : scene.insets()) {
      if (scene.shown().containsKey(i.scene())) {
        items.put(i.id(), inset(i, items, images));
      }
    }
    return RideLandings.solved(
        new PreparedScene(solved, paths, inOrder, items, outlines, List.copyOf(images), Map.of()));
  }

  /** The outlines and pictures of a scene come once, however often it is shown. */
  private PreparedInset inset(Inset i, Map<String, PreparedItem> items, List<String> images) {
    Scene source = scene.shown().get(i.scene());
    for (PreparedItem other : items.values()) {
      if (other instanceof PreparedInset p && p.source() == source) {
        return new PreparedInset(i, source, p.shown(), p.firstOutline(), p.firstImage());
      }
    }
    PreparedScene shown = shownBefore(source);
    PreparedInset out =
        new PreparedInset(
            i,
            source,
            shown == null ? prepare(source, type) : shown,
            outlines.size(),
            images.size());
    outlines.addAll(out.shown().outlines());
    images.addAll(out.shown().images());
    return out;
  }

  /** A scene that was shown earlier, if it is the same still; else null. */
  private PreparedScene shownBefore(Scene source) {
    if (before != null) {
      for (PreparedItem i : before.items().values()) {
        if (i instanceof PreparedInset p && p.source() == source && p.isComplete()) {
          return p.shown();
        }
      }
    }
    return null;
  }

  /** Prepares a lettering once, those that it follows before it. */
  private void lettering(Lettering l) {
    if (letterings.containsKey(l.id())) {
      return;
    }
    l.values().values().stream()
        .filter(m -> m.follow() != null)
        .map(m -> scene.item(m.follow().lettering()))
        .forEach(f -> lettering((Lettering) f));
    PreparedLettering earlier = before == null ? null : before.letterings().get(l.id());
    SetText text = new Compositor(l).set(type, outlines, earlier == null ? null : earlier.text());
    if (text == null) {
      return;
    }
    Lettering following = following(l);
    Seats seats = new Seats(l, paths.get(l.path()), text);
    GroupTransform groupTransform = GroupTransform.of(scene, l.id(), paths);
    Lettering paced =
        paced(
            new PreparedLettering(following, text, seats, groupTransform, area(), List.of(), null));
    PreparedLettering raw =
        new PreparedLettering(paced, text, seats, groupTransform, area(), List.of(), null);
    AnimatedValue offset = paced.movable(Channel.PATH_OFFSET);
    if (offset.keyframes().stream().noneMatch(k -> k.landing() != null)) {
      letterings.put(l.id(), raw);
      return;
    }
    KnownLandings known = new KnownLandings(raw, area(), earlier == null ? null : earlier.known());
    LandingSolver.Solved s = solver(raw, known).solve(offset);
    PreparedLettering solved =
        raw.solved(paced.with(Channel.PATH_OFFSET, s.movable()), s.unsolved());
    letterings.put(l.id(), solved.with(known));
  }

  /** With what it follows put in. */
  private Lettering following(Lettering l) {
    Lettering out = l;
    for (Map.Entry<Channel, AnimatedValue> e : l.values().entrySet()) {
      AnimatedValue m = e.getValue();
      if (m.follow() != null) {
        PreparedLettering source = letterings.get(m.follow().lettering());
        AnimatedValue found = source == null ? null : source.lettering().movable(e.getKey());
        out = out.with(e.getKey(), m.with(m.follow().from(found)));
      }
    }
    return out;
  }

  /** With the cruise of its path offset in px per second. */
  private Lettering paced(PreparedLettering raw) {
    Lettering l = raw.lettering();
    AnimatedValue offset = l.movable(Channel.PATH_OFFSET);
    Cruise c = offset.cruise();
    if (c == null || c.pace() == Cruise.Pace.PER_SECOND) {
      return l;
    }
    RowLayout first = raw.seating(raw.values(0));
    double letters = first.letters().stream().filter(x -> !x.isSpace()).count();
    double letter = letters > 0 ? first.extent() / letters : 0;
    Cruise solved = c.solved(first.lap(), scene.length(), letter);
    return l.with(Channel.PATH_OFFSET, offset.with(solved));
  }

  private Rect area() {
    return new Rect(0, 0, scene.width(), scene.height());
  }

  private LandingSolver solver(PreparedLettering raw, KnownLandings known) {
    Rect area = area();
    RowLayout first = raw.seating(raw.values(0));
    double length = first.track().length();
    double step = Math.max(2, Math.min(first.size() / 4, 40));
    double seen = Math.max(raw.window(raw.values(0), area).scale(), LEAST_SEEN);
    double frame = (scene.width() + scene.height()) / seen;
    double reach = length + first.extent() + 2 * frame;
    return new LandingSolver(
        first.lap(),
        step,
        reach,
        known,
        (time, kind, near) -> placed(raw, raw.values(time), kind, near));
  }

  /** The offset at which the middle of the text is where a goal has it. */
  private double placed(PreparedLettering raw, SeatValues v, Landing.Kind kind, double near) {
    RowLayout s = raw.seating(v.with(Channel.PATH_OFFSET, 0));
    Affine turn = raw.turn(v);
    Window window = raw.window(v, area());
    double wanted = PathPlace.of(kind, s.contour(), turn, window);
    if (Double.isNaN(wanted)) {
      return wanted;
    }
    double offset = s.travel((s.tail() + s.head()) / 2, wanted);
    return s.track().round() ? PathPlace.lapped(offset, s.lap(), near) : offset;
  }
}
