package rovingglyph.frame;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;
import rovingglyph.seat.SeatValues;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.TypeSource;

/** Makes a scene ready: everything that does not depend on the time is done here, once. */
public final class Preparation {
  private final Scene scene;
  private final TypeSource type;
  private final PreparedScene before;
  private final Map<String, PreparedPath> paths = new LinkedHashMap<>();
  private final List<Outline> outlines = new ArrayList<>();

  private Preparation(Scene scene, TypeSource type, PreparedScene before) {
    this.scene = scene;
    this.type = type;
    this.before = before;
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

  /** What has to be shaped for a lettering. */
  public static RunRequest request(Lettering l) {
    return new RunRequest(l.face(), l.axes(), l.text(), l.tracking() == 0);
  }

  private PreparedScene run() {
    for (GuidePath p : scene.paths()) {
      PreparedPath known = before == null ? null : before.paths().get(p.id());
      paths.put(p.id(), known != null && known.path().equals(p) ? known : new PreparedPath(p));
    }
    Map<String, PreparedLettering> letterings = new LinkedHashMap<>();
    Scene solved = scene;
    for (Lettering l : scene.letterings()) {
      ShapedRun run = type.run(request(l));
      if (run != null) {
        PreparedLettering p = prepare(l, run);
        letterings.put(l.id(), p);
        solved = solved.withItem(p.lettering());
      }
    }
    Map<String, PreparedPicture> pictures = new LinkedHashMap<>();
    for (Picture p : scene.pictures()) {
      pictures.put(p.id(), new PreparedPicture(p, outlines.size()));
      p.parts().forEach(part -> outlines.add(Outline.of(part.data())));
    }
    return new PreparedScene(solved, paths, letterings, pictures, outlines);
  }

  private PreparedLettering prepare(Lettering l, ShapedRun run) {
    Seats seats = new Seats(l, paths.get(l.path()), run);
    PreparedLettering raw = new PreparedLettering(l, run, seats, outlines.size(), List.of());
    outlines.addAll(run.outlines());
    Movable offset = l.movable(Channel.PATH_OFFSET);
    if (offset.keyframes().stream().noneMatch(k -> k.landing() != null)) {
      return raw;
    }
    LandingSolver.Solved s = solver(raw).solve(offset);
    return raw.solved(l.with(Channel.PATH_OFFSET, s.movable()), s.unsolved());
  }

  private LandingSolver solver(PreparedLettering raw) {
    Rect area = new Rect(0, 0, scene.width(), scene.height());
    SeatValues first = raw.values(0);
    double length = raw.seating(first).contour().length();
    double size = first.size();
    double text = raw.seating(first).total() * size;
    double step = Math.max(2, Math.min(size / 4, 40));
    double reach = length + text + 2.0 * (scene.width() + scene.height());
    return new LandingSolver(
        length, step, reach, time -> new FrameProbe(raw, raw.values(time), area));
  }
}
