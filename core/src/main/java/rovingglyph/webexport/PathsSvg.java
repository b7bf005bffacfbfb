package rovingglyph.webexport;

import rovingglyph.geometry.SvgPath;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Scene;

/** The paths of a scene as an SVG document of lines: circles and arcs exactly, no approximation. */
public final class PathsSvg {
  private static final int PLACES = 9;

  private PathsSvg() {}

  /** As they are at a time in seconds; hidden paths too. */
  public static String write(Scene scene, double time) {
    StringBuilder out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\"");
    out.append(" viewBox=\"0 0 " + scene.width() + " " + scene.height() + "\"");
    out.append(" width=\"" + scene.width() + "\" height=\"" + scene.height() + "\"");
    out.append(" fill=\"none\" stroke=\"#C4472D\" stroke-width=\"2\">\n");
    for (GuidePath p : scene.paths()) {
      out.append("<path d=\"" + SvgPath.write(GuideContour.of(p, time), PLACES) + "\">");
      out.append("<title>" + AnimatedSvg.escaped(p.name()) + "</title></path>\n");
    }
    return out.append("</svg>\n").toString();
  }
}
