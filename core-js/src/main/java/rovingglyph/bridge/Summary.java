package rovingglyph.bridge;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import rovingglyph.frame.Carriage;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedPath;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.SvgPath;
import rovingglyph.journey.Poses;
import rovingglyph.motion.SegmentSpeed;
import rovingglyph.paths.ArcByChord;
import rovingglyph.paths.FreehandCurve;
import rovingglyph.paths.KnotsOf;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Seat;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Spelling;
import rovingglyph.seat.RowLayout;

/** What the interface wants to know of a prepared scene, as JSON. */
final class Summary {
  private Summary() {}

  static JsonObject of(PreparedScene p) {
    JsonObject out = new JsonObject().add("frames", p.scene().frameCount());
    JsonObject paths = new JsonObject();
    p.paths().forEach((id, path) -> paths.add(id, path(path)));
    JsonObject items = new JsonObject();
    for (Animatable m : p.scene().animatables()) {
      items.add(m.id(), item(m, p));
    }
    JsonArray poses = new JsonArray();
    for (Poses.Pose pose : Poses.of(p.scene())) {
      poses.add(new JsonObject().add("time", pose.time()).add("label", pose.label()));
    }
    return out.add("paths", paths).add("items", items).add("poses", poses);
  }

  /** A part of what Proof finds; JSON's null after the last one. */
  static JsonValue findings(PreparedScene p, int part) {
    List<Finding> found = Proof.part(p, part);
    if (found == null) {
      return Json.NULL;
    }
    JsonArray findings = new JsonArray();
    for (Finding f : found) {
      findings.add(
          new JsonObject()
              .add("message", f.message())
              .add("item", f.item())
              .add("time", f.time())
              .add("fix", f.fix())
              .add("edit", f.edit()));
    }
    return findings;
  }

  private static JsonObject path(PreparedPath path) {
    Contour c = path.at(0);
    JsonObject out =
        new JsonObject()
            .add("d", SvgPath.write(c, 3))
            .add("length", c.length())
            .add("closed", c.closed())
            .add("moves", path.moves());
    if (path.path() instanceof FreehandPath f) {
      FreehandCurve.Drawn fitted = FreehandCurve.of(f);
      int points = KnotsOf.cubics(fitted.cubics(), f.closed()).size();
      out.add("points", points).add("error", fitted.error());
    } else if (path.path() instanceof ShapePath s && s.kind() == ShapeKind.ARC) {
      double radius = s.movable(Channel.RADIUS).base();
      double sweep = s.movable(Channel.SWEEP).base();
      out.add("chord", ArcByChord.chord(radius, sweep));
      out.add("height", ArcByChord.height(radius, sweep));
    }
    return out;
  }

  /** The keyframes of every moving value, with the values that landings were solved to. */
  private static JsonObject item(Animatable item, PreparedScene scene) {
    JsonObject channels = new JsonObject();
    JsonArray moving = new JsonArray();
    item.values()
        .forEach(
            (c, m) -> {
              if (m.moves()) {
                moving.add(c.field());
              }
              if (m.keyed()) {
                channels.add(c.field(), keyframes(m.keyframes(), List.of()));
              }
            });
    JsonArray appearance = new JsonArray();
    if (item instanceof Item i) {
      i.appearance(Effect::uses).forEach(c -> appearance.add(c.field()));
    }
    JsonObject out =
        new JsonObject()
            .add("channels", channels)
            .add("moving", moving)
            .add("appearance", appearance);
    Carriage carriage = item instanceof Item i ? scene.carriage(i) : null;
    if (carriage != null) {
      out.add("rideLength", carriage.track(0).length());
    }
    PreparedLettering prepared = scene.letterings().get(item.id());
    if (prepared != null) {
      RowLayout seating = prepared.seating(prepared.values(0));
      out.add("length", seating.contour().length());
      out.add("comesRound", seating.ends() == Seat.EndRule.WRAP);
      out.add("room", seating.roomLength());
      out.add("text", seating.extent());
      out.add("size", seating.size());
      out.add("letters", seating.letters().stream().filter(l -> !l.isSpace()).count());
    }
    return out;
  }

  /**
   * @param before what is already known; keyframes that are equal there are null
   */
  static JsonArray keyframes(List<Keyframe> keyframes, List<Keyframe> before) {
    JsonArray out = new JsonArray();
    for (int i = 0; i < keyframes.size(); i++) {
      boolean known = i < before.size() && keyframes.get(i).equals(before.get(i));
      out.add(known ? Json.NULL : keyframe(keyframes.get(i)));
    }
    return out;
  }

  /**
   * Units per second with which a value leaves a keyframe and arrives at the next; empty where
   * there is none to set.
   */
  static double[] endSpeeds(AnimatedValue m, int index) {
    List<Keyframe> keys = m == null ? List.of() : m.keyframes();
    if (index < 0 || index + 1 >= keys.size()) {
      return new double[0];
    }
    SegmentSpeed s = new SegmentSpeed(keys.get(index), keys.get(index + 1));
    return s.settable() ? new double[] {s.leaving(), s.arriving()} : new double[0];
  }

  private static JsonObject keyframe(Keyframe k) {
    JsonArray curve = new JsonArray();
    curve.add(k.easing().x1()).add(k.easing().y1()).add(k.easing().x2()).add(k.easing().y2());
    JsonArray numbers = new JsonArray();
    k.easing().numbers().forEach(numbers::add);
    JsonObject out =
        new JsonObject()
            .add("time", k.time())
            .add("value", k.value())
            .add("easing", Spelling.of(k.easing().kind()))
            .add("curve", curve)
            .add("numbers", numbers);
    if (k.landing() != null) {
      out.add("landing", Spelling.of(k.landing().kind()))
          .add("laps", k.landing().laps())
          .add("distance", k.landing().distance());
    }
    if (k.cue() != null) {
      out.add("cue", k.cue());
    }
    return out;
  }

  static JsonArray problems(List<Problem> problems) {
    JsonArray out = new JsonArray();
    for (Problem p : problems) {
      out.add(
          new JsonObject()
              .add("path", p.path())
              .add("reason", p.reason())
              .add("allowed", p.allowed()));
    }
    return out;
  }
}
