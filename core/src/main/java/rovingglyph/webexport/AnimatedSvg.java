package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/**
 * Writes a prepared scene as one SVG document that plays by itself and repeats. Where the motion of
 * a lettering can be said in CSS, one registered custom property per moving value drives all of its
 * letters along an {@code offset-path}; otherwise every letter is sampled per frame.
 */
public final class AnimatedSvg {
  private final PreparedScene prepared;
  private final Scene scene;
  private final CssMotion motion;
  private final String prefix;
  private final StringBuilder style = new StringBuilder();
  private final StringBuilder body = new StringBuilder();

  private AnimatedSvg(PreparedScene prepared) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.motion = new CssMotion(scene);
    // Two exports set into one page must not share names.
    this.prefix = "g" + Integer.toHexString(SceneCodec.write(scene).hashCode() & 0xFFFFFF);
  }

  public static String write(PreparedScene prepared) {
    return new AnimatedSvg(prepared).document();
  }

  private String document() {
    if (scene.background() != null) {
      body.append("<rect width=\"100%\" height=\"100%\" fill=\"")
          .append(colour(scene.background()))
          .append("\"/>\n");
    }
    int n = 0;
    for (String id : scene.stack()) {
      if (scene.item(id).hidden()) {
        continue;
      }
      String name = prefix + "-" + n++;
      PreparedLettering l = prepared.letterings().get(id);
      PreparedPicture p = prepared.pictures().get(id);
      if (l != null) {
        lettering(name, l);
      } else if (p != null) {
        picture(name, p.picture());
      }
    }
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
        + scene.width()
        + " "
        + scene.height()
        + "\" width=\""
        + scene.width()
        + "\" height=\""
        + scene.height()
        + "\">\n<title>"
        + escaped(scene.name())
        + "</title>\n<style><![CDATA[\n"
        + style
        + "]]></style>\n"
        + body
        + "</svg>\n";
  }

  private void lettering(String name, PreparedLettering l) {
    List<String> animations = new ArrayList<>();
    String turn =
        l.seats().path().moves()
            ? ""
            : turn(name, l.lettering().rotation(), l.centre(l.values(0)), animations);
    String fade = fade(name, l.lettering().opacity(), animations);
    String open =
        "<g class=\""
            + name
            + "\" fill=\""
            + colour(l.lettering().fill())
            + "\""
            + style(turn, fade);
    StringBuilder letters = new StringBuilder();
    if (DrivenLetters.canSay(l)) {
      new DrivenLetters(l, scene, motion, name).write(style, letters, animations);
    } else {
      new SampledLetters(l, scene, name).write(style, letters);
    }
    animate(name, animations);
    body.append(open).append('>').append("\n").append(letters).append("</g>\n");
  }

  private void picture(String name, Picture p) {
    List<String> animations = new ArrayList<>();
    String turn = turn(name, p.rotation(), Point.ORIGIN, animations);
    String fade = fade(name, p.opacity(), animations);
    body.append("<g transform=\"translate(")
        .append(Decimal.text(p.x(), 4) + " " + Decimal.text(p.y(), 4))
        .append(")\"><g class=\"" + name + "\"" + style(turn, fade))
        .append("><g transform=\"scale(" + Decimal.text(p.scale(), 6) + ")\">\n");
    for (Picture.Part part : p.parts()) {
      body.append("<path fill=\"" + colour(part.fill()) + "\" d=\"" + part.data() + "\"/>\n");
    }
    body.append("</g></g></g>\n");
    animate(name, animations);
  }

  private String turn(String name, Movable m, Point about, List<String> animations) {
    DoubleFunction<String> declare = v -> "transform:rotate(" + Decimal.text(v, 5) + "deg)";
    String origin =
        "transform-origin:"
            + Decimal.text(about.x(), 4)
            + "px "
            + Decimal.text(about.y(), 4)
            + "px";
    if (!m.moves()) {
      return m.still() == 0 ? "" : origin + ";" + declare.apply(m.still());
    }
    style.append(motion.keyframes(name + "-turn", m, declare));
    animations.add(name + "-turn");
    return origin;
  }

  private String fade(String name, Movable m, List<String> animations) {
    DoubleFunction<String> declare =
        v -> "opacity:" + Decimal.text(Math.min(Math.max(v / 100, 0), 1), 5);
    if (!m.moves()) {
      return m.still() == 100 ? "" : declare.apply(m.still());
    }
    style.append(motion.keyframes(name + "-fade", m, declare));
    animations.add(name + "-fade");
    return "";
  }

  private void animate(String name, List<String> animations) {
    if (animations.isEmpty()) {
      return;
    }
    String each = " " + Decimal.text(scene.length(), 6) + "s linear infinite";
    style
        .append('.' + name + "{animation:")
        .append(String.join(each + ",", animations))
        .append(each + "}\n");
  }

  private static String style(String turn, String fade) {
    String both = turn + (turn.isEmpty() || fade.isEmpty() ? "" : ";") + fade;
    return both.isEmpty() ? "" : " style=\"" + both + "\"";
  }

  static String colour(int rgb) {
    return "#" + Integer.toHexString(rgb | 0x1000000).substring(1);
  }

  static String escaped(String s) {
    return s.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }
}
