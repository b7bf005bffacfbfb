package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Effect;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownItem;

/** Goes through a prepared scene and says what deserves a look. */
public final class Proof {
  /** One of the things that are looked at. */
  private interface Check extends Supplier<List<Finding>> {}

  private final PreparedScene prepared;
  private final Scene scene;
  private final List<Check> checks = new ArrayList<>();

  private Proof(PreparedScene prepared) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    scene.letterings().forEach(this::lettering);
    prepared
        .unsolved()
        .forEach(
            (id, missing) ->
                checks.add(() -> LandingCheck.of(scene.item(id), Channel.RIDE_OFFSET, missing)));
    checks.add(() -> LoopFindings.of(prepared));
    checks.add(this::paths);
    scene.others().forEach(this::keyframes);
    scene.paths().forEach(this::keyframes);
    scene.items().values().forEach(i -> checks.add(() -> isThere(i)));
    checks.add(() -> FootageCheck.of(scene));
  }

  /** What a careful eye would find, in the order of the items. */
  public static List<Finding> of(PreparedScene prepared) {
    List<Finding> out = new ArrayList<>();
    for (Check check : new Proof(prepared).checks) {
      out.addAll(check.get());
    }
    return out;
  }

  /**
   * The same a part at a time, so that whoever looks on is not kept waiting: the findings of one
   * check, or null after the last one.
   *
   * @param index from 0 on
   */
  public static List<Finding> part(PreparedScene prepared, int index) {
    List<Check> checks = new Proof(prepared).checks;
    return index < checks.size() ? checks.get(index).get() : null;
  }

  private static Finding found(String message, Item item) {
    return Finding.of(message, item.id(), -1);
  }

  private void keyframes(Animatable thing) {
    checks.add(() -> KeyframeUse.of(scene, thing));
  }

  private void lettering(Lettering l) {
    keyframes(l);
    PreparedLettering p = prepared.letterings().get(l.id());
    if (l.text().isBlank()) {
      checks.add(() -> List.of(found("This lettering has no words yet: type them in Words", l)));
    } else if (p != null && scene.shows(l)) {
      checks.add(() -> TypeCheck.of(p));
      checks.add(() -> LandingCheck.of(p.lettering(), Channel.PATH_OFFSET, p.unsolved()));
      checks.add(() -> RestCheck.of(prepared, p));
      checks.add(() -> DepthCheck.of(prepared, p));
      checks.add(() -> Reading.of(scene, p, prepared.area()));
      checks.add(() -> Travel.of(scene, p, prepared.area()));
    }
  }

  private List<Finding> paths() {
    List<Finding> out = new ArrayList<>();
    for (GuidePath p : scene.paths()) {
      if (p instanceof DrawnPath d && d.shapes().size() > 1) {
        String on =
            scene.letterings().stream()
                .filter(l -> l.path().equals(p.id()))
                .map(Lettering::id)
                .findFirst()
                .orElse("");
        out.add(Finding.of("The path " + Names.of(p) + " changes shape over time", on, -1));
      }
    }
    return out;
  }

  private List<Finding> isThere(Item item) {
    if (item instanceof UnknownItem u) {
      return List.of(
          found(
              "An item of the kind "
                  + Names.quoted(u.kind())
                  + " is not known to this version: it is kept, and not shown",
              u));
    }
    List<Finding> out = new ArrayList<>();
    for (Effect e : item.properties().effects()) {
      if (e.kind() == null) {
        out.add(
            found(
                "An effect of the kind "
                    + Names.quoted(e.word())
                    + " is not known to this version: it is kept, and not shown",
                item));
      }
    }
    if (item.properties().shownFrom() >= scene.length()) {
      out.add(found(Names.of(item) + " is shown only after the end of the scene", item));
    }
    return out;
  }
}
