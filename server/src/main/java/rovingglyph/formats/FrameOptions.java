package rovingglyph.formats;

import java.util.List;
import rovingglyph.render.FrameRange;
import rovingglyph.scene.Blur;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/** What can be chosen for files of painted frames: which, how large, how fine, on which ground. */
final class FrameOptions {
  /** The most frames that a scene can have: an hour at 120 a second. */
  private static final int MOST = 3600 * 120;

  /** The time of a still, s. */
  static final NumberOption AT = new NumberOption("at", "Time", "s", 0, 3600, 0.0, false, true);

  /** Of the frame's size, %. */
  static final NumberOption SIZE =
      new NumberOption("size", "Size", "%", 5, 400, 100.0, false, false);

  static final NumberOption FROM = NumberOption.whole("from", "First frame", 0, MOST, 0);

  /** That of the scene where none is chosen. */
  static final NumberOption TO = NumberOption.whole("to", "Last frame", 0, MOST, null);

  static final NumberOption EVERY = NumberOption.whole("every", "One frame of", 1, 1000, 1);

  /** Those of the scene where none are chosen. */
  static final NumberOption SAMPLES =
      NumberOption.whole("samples", "Shutter samples", 2, 128, null);

  private static final String NONE = "none";

  /** Of formats with transparency. */
  static final ChoiceOption GROUND =
      ChoiceOption.of("ground", "Background", "scene", "As in the scene", NONE, "Left out");

  /** Of formats without: what is seen where the scene has none. */
  static final ColourOption GROUND_COLOUR = new ColourOption("ground", "Background");

  /** Of encoders that take even sizes only. */
  static final ChoiceOption ODD =
      ChoiceOption.of("odd", "Odd sizes", "refuse", "Refuse", "pad", "Add a line");

  /** How often something plays. */
  static final NumberOption LOOPS =
      new NumberOption("loops", "Plays", "times, 0 for ever", 0, 1000, 0.0, true, false);

  static final List<ExportOption> RANGE = List.of(FROM, TO, EVERY);

  private FrameOptions() {}

  /** The scene as it is painted for a file: on its ground, with its shutter samples. */
  static Scene applied(Scene scene, ExportOptions options) {
    Scene out = scene;
    String ground = options.values().get(GROUND.name()) == null ? null : ground(options);
    if (NONE.equals(ground)) {
      out = out.withBackground(null);
    } else if (ground != null && ground.startsWith("#") && scene.background() == null) {
      out = out.withBackground(options.colour(GROUND_COLOUR));
    }
    int samples = (int) options.number(SAMPLES, 0);
    Blur blur = out.blur();
    return samples == 0 ? out : out.withBlur(new Blur(blur.angle(), samples, blur.extras()));
  }

  private static String ground(ExportOptions options) {
    return options.values().get(GROUND.name()).isString()
        ? options.values().getString(GROUND.name(), NONE)
        : null;
  }

  /** The size of the images by that of the frame; 1 where it cannot be chosen. */
  static double scale(ExportOptions options) {
    return options.number(SIZE) / 100;
  }

  /** Which frames are made; they may reach beyond the scene's end. */
  static FrameRange range(Scene scene, ExportOptions options) {
    int from = (int) options.number(FROM);
    int to = (int) options.number(TO, scene.frameCount() - 1);
    return new FrameRange(scene.rate(), from, Math.max(from, to), (int) options.number(EVERY));
  }

  /** Null if the scene has these frames, else what is wrong and what to do. */
  static String outOfRange(Scene scene, ExportOptions options) {
    int last = scene.frameCount() - 1;
    int from = (int) options.number(FROM);
    int to = (int) options.number(TO, last);
    if (from > last || to > last) {
      return "The scene has the frames 0 to "
          + last
          + ": choose the first and the last among them, not "
          + Math.max(from, to)
          + ".";
    }
    return from > to
        ? "The first frame, " + from + ", is after the last, " + to + ": choose one before it."
        : null;
  }

  /** Whether choosing it makes a difference for this scene. */
  static boolean matters(ExportOption o, Scene scene) {
    if (o == GROUND) {
      return scene.background() != null;
    }
    if (o == GROUND_COLOUR) {
      return scene.background() == null;
    }
    return o != SAMPLES || blurs(scene);
  }

  private static boolean blurs(Scene scene) {
    return scene.blur().angle() > 0
        || scene.items().values().stream().anyMatch(FrameOptions::blurs);
  }

  private static boolean blurs(Item item) {
    return item instanceof Lettering l
        && l.letterEffects().blur() != null
        && l.letterEffects().blur() > 0;
  }
}
