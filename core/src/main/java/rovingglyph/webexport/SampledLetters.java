package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.Seating;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/**
 * Letters whose place and look are written out for every frame. Outlines that change are animated
 * path data (SMIL, calcMode discrete), all else is CSS.
 */
final class SampledLetters {
  private final PreparedLettering prepared;
  private final Scene scene;
  private final String name;
  private final boolean turned;
  private final boolean faded;
  private final boolean coloured;

  /**
   * @param turned whether the rotation is part of every place
   * @param faded whether the opacity is part of every letter's look
   */
  SampledLetters(
      PreparedLettering prepared, Scene scene, String name, boolean turned, boolean faded) {
    this.prepared = prepared;
    this.scene = scene;
    this.name = name;
    this.turned = turned;
    this.faded = faded;
    this.coloured = prepared.lettering().movable(Channel.FILL).moves();
  }

  /** One letter over all frames. */
  private static final class Track {
    private Letter letter;
    private Placement first;
    private final StringBuilder rule = new StringBuilder();
    private String last = "";
    private final List<String> shapes = new ArrayList<>();
  }

  /** Writes one row. */
  void write(int row, StringBuilder style, StringBuilder letters) {
    int frames = scene.frameCount();
    List<Track> tracks = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      Seating s = prepared.rows(prepared.values(scene.rate().timeOf(f))).get(row);
      List<Placement> places = turned ? prepared.placements(s) : s.place();
      for (int i = 0; i < Math.max(places.size(), tracks.size()); i++) {
        if (i == tracks.size()) {
          tracks.add(new Track());
        }
        put(tracks.get(i), f, s, i < places.size() ? places.get(i) : null);
      }
    }
    for (int i = 0; i < tracks.size(); i++) {
      if (tracks.get(i).letter != null) {
        write(tracks.get(i), name + "-" + i, style, letters);
      }
    }
  }

  private void put(Track t, int f, Seating s, Placement p) {
    boolean own = prepared.reshapes(s);
    String shape = "";
    if (p != null && !s.letters().get(p.letter()).isSpace()) {
      t.letter = s.letters().get(p.letter());
      t.first = t.first == null ? p : t.first;
      shape = own && p.visible() ? prepared.shape(s, p, turned) : "";
    }
    if (own) {
      while (t.shapes.size() < f) {
        t.shapes.add("");
      }
      t.shapes.add(shape);
    }
    String now = p == null ? "visibility:hidden" : declaration(p, own);
    if (!now.equals(t.last)) {
      // A hair early, so that at its own time the frame is there in spite of all rounding.
      double share = Math.max(0, Math.ceil(1e7 * f / scene.frameCount()) - 1) / 1e5;
      t.rule.append(Decimal.text(share, 5)).append("%{").append(now).append('}');
      t.last = now;
    }
  }

  private String declaration(Placement p, boolean own) {
    StringBuilder out = new StringBuilder();
    if (!own) {
      Affine m = Letters.map(p);
      out.append("transform:matrix(");
      for (double v : new double[] {m.a(), m.b(), m.c(), m.d()}) {
        out.append(Decimal.text(v, 5)).append(',');
      }
      out.append(Decimal.text(m.e(), 3)).append(',').append(Decimal.text(m.f(), 3)).append(");");
    }
    if (faded) {
      out.append("opacity:").append(Decimal.text(p.alpha(), 4)).append(';');
    }
    if (coloured) {
      out.append("fill:").append(AnimatedSvg.colour(p.fill())).append(';');
    }
    return out.append(p.visible() ? "visibility:visible" : "visibility:hidden").toString();
  }

  private void write(Track t, String rule, StringBuilder style, StringBuilder out) {
    style.append("@keyframes " + rule + "{" + t.rule + "100%{" + t.last + "}}\n");
    String fill =
        t.letter.fill() == null ? "" : " fill=\"" + AnimatedSvg.colour(t.first.fill()) + "\"";
    out.append("<g" + fill + " style=\"animation:" + rule + " ");
    out.append(Decimal.text(scene.length(), 6)).append("s step-end infinite\">");
    if (!t.shapes.isEmpty()) {
      out.append(SmilShapes.path("<path", t.shapes, scene.length()));
    } else {
      for (Cluster.Glyph g : t.letter.cluster().glyphs()) {
        String d = t.letter.run().outlines().get(g.outline()).data();
        if (!d.isEmpty()) {
          out.append("<path transform=\"translate(");
          out.append(Decimal.text(g.dx() + t.first.back(), 5) + " ");
          out.append(Decimal.text(g.dy(), 5) + ")\" d=\"" + d + "\"/>");
        }
      }
    }
    out.append("</g>\n");
  }
}
