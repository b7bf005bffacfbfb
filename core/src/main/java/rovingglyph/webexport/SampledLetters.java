package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Placement;
import rovingglyph.seat.SeatValues;
import rovingglyph.type.Cluster;

/** Letters whose place is written out for every frame. */
final class SampledLetters {
  private final PreparedLettering prepared;
  private final Scene scene;
  private final String name;

  SampledLetters(PreparedLettering prepared, Scene scene, String name) {
    this.prepared = prepared;
    this.scene = scene;
    this.name = name;
  }

  void write(StringBuilder style, StringBuilder letters) {
    int frames = scene.frameCount();
    int clusters = prepared.run().clusters().size();
    StringBuilder[] rules = new StringBuilder[clusters];
    String[] last = new String[clusters];
    for (int f = 0; f < frames; f++) {
      SeatValues v = prepared.values(scene.rate().timeOf(f));
      // About a centre that moves, the turn is part of every place.
      List<Placement> places =
          prepared.seats().path().moves() ? prepared.placements(v) : prepared.seating(v).place(v);
      for (int i = 0; i < clusters; i++) {
        String now = declaration(places.get(i), v.size());
        if (!now.equals(last[i])) {
          rules[i] = rules[i] == null ? new StringBuilder() : rules[i];
          rules[i].append(Decimal.text(100.0 * f / frames, 5)).append("%{").append(now).append('}');
          last[i] = now;
        }
      }
    }
    for (int i = 0; i < clusters; i++) {
      String rule = name + "-" + i;
      style.append("@keyframes " + rule + "{" + rules[i] + "100%{" + last[i] + "}}\n");
      letter(letters, i, rule);
    }
  }

  private void letter(StringBuilder out, int i, String rule) {
    out.append("<g style=\"animation:" + rule + " ");
    out.append(Decimal.text(scene.length(), 6)).append("s step-end infinite\">");
    for (Cluster.Glyph g : prepared.run().clusters().get(i).glyphs()) {
      String d = prepared.run().outlines().get(g.outline()).data();
      if (!d.isEmpty()) {
        double x = g.dx() - prepared.seating(prepared.values(0)).advance(i) / 2;
        out.append("<path transform=\"translate(" + Decimal.text(x, 5) + " ");
        out.append(Decimal.text(g.dy(), 5) + ")\" d=\"" + d + "\"/>");
      }
    }
    out.append("</g>\n");
  }

  private static String declaration(Placement p, double size) {
    String cos = Decimal.text(Math.cos(p.angle()) * size, 5);
    double sin = Math.sin(p.angle()) * size;
    return "transform:matrix("
        + String.join(
            ",",
            cos,
            Decimal.text(sin, 5),
            Decimal.text(-sin, 5),
            cos,
            Decimal.text(p.at().x(), 3),
            Decimal.text(p.at().y(), 3))
        + (p.visible() ? ");visibility:visible" : ");visibility:hidden");
  }
}
