package rovingglyph.webexport;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/**
 * The animated SVG as it is handed off to web pages: it takes the size of its place, tells its
 * words to those who cannot see them, and stands still where less motion is asked for.
 */
public final class WebSvg {
  private WebSvg() {}

  /**
   * The whole document.
   *
   * @param fit how it sits in a place of another shape: a value of SVG's {@code
   *     preserveAspectRatio}
   */
  public static String write(PreparedScene prepared, AnimatedSvg.Bitmaps bitmaps, String fit) {
    Scene scene = prepared.scene();
    AnimatedSvg.Written w = AnimatedSvg.written(prepared, bitmaps);
    String still = w.moves() ? still(prepared, w) : "";
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
        + scene.width()
        + " "
        + scene.height()
        + "\" preserveAspectRatio=\""
        + fit
        + "\" role=\"img\">\n<title>"
        + AnimatedSvg.escaped(scene.name())
        + "</title>\n"
        + description(scene)
        + "<style><![CDATA[\n"
        + w.style()
        + (still.isEmpty() ? "" : choice(w.prefix()))
        + "]]></style>\n"
        + (still.isEmpty() ? w.body() : "<g class=\"" + w.prefix() + "-moves\">\n" + w.body())
        + (still.isEmpty() ? "" : "</g>\n" + still)
        + "</svg>\n";
  }

  /** The moving picture, or the one that stands still. */
  private static String choice(String prefix) {
    return "."
        + prefix
        + "-still{display:none}\n@media (prefers-reduced-motion:reduce){."
        + prefix
        + "-still{display:inline}."
        + prefix
        + "-moves{display:none}}\n";
  }

  /** A third into the scene, as on its small pictures; bitmaps are those of the moving one. */
  private static String still(PreparedScene prepared, AnimatedSvg.Written w) {
    Scene scene = prepared.scene();
    String elements =
        StillSvg.elements(
            prepared,
            scene.onFrame(scene.length() / 3),
            (index, moment, across, down) ->
                moment < 0 ? w.bitmaps().element(prepared.images().get(index)) : null,
            w.prefix() + "s");
    return "<g class=\"" + w.prefix() + "-still\">\n" + elements + "</g>\n";
  }

  /** The words, each once. */
  private static String description(Scene scene) {
    Set<String> words =
        scene.letterings().stream()
            .filter(scene::shows)
            .map(Lettering::text)
            .map(t -> t.strip().replaceAll("\\s+", " "))
            .filter(t -> !t.isEmpty())
            .collect(Collectors.toCollection(LinkedHashSet::new));
    return words.isEmpty()
        ? ""
        : "<desc>" + AnimatedSvg.escaped(String.join(". ", words)) + "</desc>\n";
  }
}
