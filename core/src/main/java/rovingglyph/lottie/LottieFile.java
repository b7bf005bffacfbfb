package rovingglyph.lottie;

import com.eclipsesource.json.Json;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.LayerEffects;
import rovingglyph.frame.OutlineSteps;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.ThinLetters;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Scene;
import rovingglyph.strand.FrameTree;
import rovingglyph.strand.Node;
import rovingglyph.strand.Strand;

/**
 * Writes a scene as Lottie 1.0 (the specification of the Lottie Animation Community): shape layers
 * for areas and lines, image layers, and compositions with track mattes for layers, clips and what
 * measures. The scene is looked at 60 times a second or more, and what moves has keyframes:
 * outlines under a map are at no sample off by more than 0.1 px. Effects of layers and perspective
 * of pictures cannot be said and are left out.
 */
public final class LottieFile {
  /** Looked at so often in a second at least, and at every frame. */
  private static final double OFTEN = 60;

  /** Version 1.0.0 of the specification. */
  private static final int VERSION = 10_000;

  /** The last sample is the last moment before the end: at the end a loop has begun again. */
  private static final double LAST = 1e-6;

  /** Numbers of outlines that change which are kept at most, over all samples. */
  private static final long MOST = 25_000_000;

  /** The longest part of a file, letters: players take minutes to read longer ones. */
  private static final int LONGEST = 40_000_000;

  /** Its outlines change too much for a file of reasonable size. */
  public static final class TooMuch extends RuntimeException {}

  /** Where pictures come from. */
  public interface Bitmaps {
    /**
     * A picture of the scene; null for one that is to be left out.
     *
     * @param index of the scene's images
     * @param across so many pixels are enough
     * @param down so many pixels are enough
     */
    Bitmap bitmap(int index, double across, double down);
  }

  /**
   * A picture.
   *
   * @param address a {@code data:} address
   */
  public record Bitmap(String address, int width, int height) {}

  private final PreparedScene scene;

  private final Bitmaps bitmaps;
  private final double perFrame;
  private final List<double[]> outlines = new ArrayList<>();
  private final List<String> assets = new ArrayList<>();
  private final Map<String, Integer> images = new LinkedHashMap<>();

  private LottieFile(PreparedScene scene, Bitmaps bitmaps, int perFrame) {
    this.scene = scene;
    this.bitmaps = bitmaps;
    this.perFrame = perFrame;
    scene.outlines().forEach(o -> outlines.add(OutlineSteps.of(o)));
  }

  /**
   * The whole file.
   *
   * @param first frame of the scene
   * @param last frame of the scene, which is seen too
   * @param each called at each sample; may throw to end it
   * @throws TooMuch if it has too many outlines that change
   */
  public static String write(
      PreparedScene prepared, int first, int last, Bitmaps bitmaps, Runnable each) {
    PreparedScene scene = ThinLetters.of(prepared);
    Scene s = scene.scene();
    int perFrame = (int) Math.max(1, Math.ceil(OFTEN / s.rate().perSecond()));
    int frames = last - first + 1;
    Strand.Stack stack = new Strand.Stack();
    long kept = 0;
    for (int k = 0; k <= frames * perFrame; k++) {
      each.run();
      double frame = first + (double) k / perFrame;
      double time = frame / s.rate().perSecond();
      boolean end = k == frames * perFrame;
      double[] numbers = scene.at(end ? time - LAST : time).numbers();
      kept += numbers.length;
      if (kept > MOST) {
        throw new TooMuch();
      }
      stack.add(k, FrameTree.read(numbers));
    }
    return new LottieFile(scene, bitmaps, perFrame).file(stack, frames);
  }

  private String file(Strand.Stack stack, int frames) {
    Scene s = scene.scene();
    StringBuilder layers = new StringBuilder();
    Layers out = new Layers(frames);
    out.add(stack, layers);
    if (s.background() != null) {
      out.begin(layers, 1, "Background", 0, frames);
      layers.append(",\"sc\":\"").append(hex(s.background()));
      layers.append("\",\"sw\":").append(s.width()).append(",\"sh\":").append(s.height());
      layers.append(",").append(Layers.STANDING).append('}');
    }
    return "{\"ver\":"
        + VERSION
        + ",\"nm\":"
        + Json.value(s.name())
        + ",\"fr\":"
        + Decimal.text(s.rate().perSecond(), 6)
        + ",\"ip\":0,\"op\":"
        + frames
        + ",\"w\":"
        + s.width()
        + ",\"h\":"
        + s.height()
        + ",\"assets\":["
        + String.join(",", assets)
        + "],\"layers\":["
        + layers
        + "]}";
  }

  private static String hex(int rgb) {
    return "#" + Integer.toHexString(0x1000000 | rgb).substring(1);
  }

  /** The layers of one composition. */
  private final class Layers {
    static final String STANDING =
        "\"ks\":{\"a\":{\"a\":0,\"k\":[0,0]},\"p\":{\"a\":0,\"k\":[0,0]},"
            + "\"s\":{\"a\":0,\"k\":[100,100]},\"r\":{\"a\":0,\"k\":0},"
            + "\"o\":{\"a\":0,\"k\":100}}";

    private final int frames;
    private int index;

    Layers(int frames) {
      this.frames = frames;
    }

    /** Writes what is in a stack, the highest first. */
    void add(Strand.Stack stack, StringBuilder out) {
      for (int i = stack.all.size() - 1; i >= 0; i--) {
        if (out.length() > LONGEST) {
          throw new TooMuch();
        }
        Strand strand = stack.all.get(i);
        if (strand.nodes.get(0) instanceof Node.Drawn d) {
          if (d.paint().kind() == FramePaint.Kind.IMAGE) {
            image(strand, out);
          } else {
            shapes(strand, out);
          }
        } else {
          layer(strand, out);
        }
      }
    }

    /** The beginning of a layer, with what all have. */
    void begin(StringBuilder out, int type, String name, double from, double to) {
      out.append(out.length() > 0 ? ",{" : "{").append("\"ty\":").append(type);
      out.append(",\"ind\":").append(++index).append(",\"nm\":").append(Json.value(name));
      out.append(",\"ip\":").append(Decimal.text(from, 4));
      out.append(",\"op\":").append(Decimal.text(to, 4)).append(",\"st\":0");
    }

    private double from(Strand s) {
      return s.from / perFrame;
    }

    /** One that is there at the last sample is so to the end. */
    private double to(Strand s) {
      return Math.min(frames, s.to() / perFrame);
    }

    private void shapes(Strand strand, StringBuilder out) {
      if (from(strand) >= frames) {
        return;
      }
      begin(out, 4, "Shapes", from(strand), to(strand));
      out.append(",").append(STANDING).append(",\"shapes\":[");
      out.append(new ShapeGroup(strand, perFrame, outlines).json()).append("]}");
    }

    /** A picture, measured by its area where that is not all of it. */
    private void image(Strand strand, StringBuilder out) {
      if (from(strand) >= frames) {
        return;
      }
      int n = strand.nodes.size();
      Affine[] maps = new Affine[n];
      double[][] alphas = new double[n][];
      double across = 1;
      double down = 1;
      boolean whole = true;
      for (int k = 0; k < n; k++) {
        Node.Drawn d = (Node.Drawn) strand.nodes.get(k);
        maps[k] = Paints.flat(d.paint().map(), new Point(0.5, 0.5));
        alphas[k] = new double[] {100 * d.paint().alpha()};
        across = Math.max(across, Math.hypot(maps[k].a(), maps[k].b()));
        down = Math.max(down, Math.hypot(maps[k].c(), maps[k].d()));
        whole &= Paints.isUnitSquare(d, maps[k]);
      }
      FramePaint paint = ((Node.Drawn) strand.nodes.get(0)).paint();
      Bitmap bitmap = paint.moment() < 0 ? bitmaps.bitmap(paint.image(), across, down) : null;
      if (bitmap == null) {
        return;
      }
      if (!whole) {
        begin(out, 4, "Area", from(strand), to(strand));
        out.append(",\"td\":1,").append(STANDING).append(",\"shapes\":[");
        out.append(ShapeGroup.areaOf(strand, perFrame, outlines).json()).append("]}");
      }
      begin(out, 2, "Picture", from(strand), to(strand));
      out.append(whole ? "" : ",\"tt\":1,\"tp\":" + (index - 1));
      out.append(",\"refId\":\"").append(asset(paint.image(), bitmap)).append("\",\"ks\":{");
      Affine unit = new Affine(1.0 / bitmap.width(), 0, 0, 1.0 / bitmap.height(), 0, 0);
      for (int k = 0; k < n; k++) {
        maps[k] = maps[k].times(unit);
      }
      Point middle = new Point(bitmap.width() / 2.0, bitmap.height() / 2.0);
      double reach = Math.hypot(middle.x(), middle.y());
      out.append(new Transforms(perFrame, strand.from, maps, 1).json(middle, reach));
      out.append(",\"o\":").append(new Property(perFrame, strand.from, alphas, 0.2).number());
      out.append("}}");
    }

    private String asset(int image, Bitmap bitmap) {
      String id = "image " + image + " " + bitmap.width();
      if (images.putIfAbsent(id, image) == null) {
        assets.add(
            "{\"id\":\""
                + id
                + "\",\"w\":"
                + bitmap.width()
                + ",\"h\":"
                + bitmap.height()
                + ",\"u\":\"\",\"p\":\""
                + bitmap.address()
                + "\",\"e\":1}");
      }
      return id;
    }

    private void layer(Strand strand, StringBuilder out) {
      Node.Layered first = (Node.Layered) strand.nodes.get(0);
      if (from(strand) >= frames || isShadowAlone(first)) {
        return;
      }
      double[][] alphas = new double[strand.nodes.size()][];
      for (int k = 0; k < alphas.length; k++) {
        alphas[k] = new double[] {100 * ((Node.Layered) strand.nodes.get(k)).layer().alpha()};
      }
      String opacity = new Property(perFrame, strand.from, alphas, 0.2).number();
      String standing = STANDING.replace("{\"a\":0,\"k\":100}}", opacity + "}");
      // In the order of CSS, which is that of Lottie's numbers.
      int blend = first.layer().blend().ordinal();
      String mixed = blend == 0 ? "" : ",\"bm\":" + blend;
      StringBuilder content = new StringBuilder();
      Layers inner = new Layers(frames);
      if (first.measure() == null) {
        inner.add(strand.content, content);
      } else {
        inner.measured(strand, first.measure(), content);
      }
      composition(content, "Layer", strand, mixed, standing, out);
    }

    /** What is in a layer and what measures it, as two layers. */
    private void measured(Strand strand, Node.Measure measure, StringBuilder out) {
      StringBuilder measuring = new StringBuilder();
      new Layers(frames).add(strand.measure, measuring);
      composition(measuring, "Measure", strand, ",\"td\":1", STANDING, out);
      int way = (measure.luminance() ? 3 : 1) + (measure.inverted() ? 1 : 0);
      String matte = ",\"tt\":" + way + ",\"tp\":" + index;
      StringBuilder content = new StringBuilder();
      new Layers(frames).add(strand.content, content);
      composition(content, "Content", strand, matte, STANDING, out);
    }

    /** Without its effect it would be the thing itself once more. */
    private static boolean isShadowAlone(Node.Layered layer) {
      return layer.layer().effects().stream().anyMatch(LayerEffects::isShadowAlone);
    }

    private void composition(
        StringBuilder layers,
        String name,
        Strand strand,
        String own,
        String standing,
        StringBuilder out) {
      String id = "composition " + assets.size();
      assets.add("{\"id\":\"" + id + "\",\"layers\":[" + layers + "]}");
      begin(out, 0, name, from(strand), to(strand));
      out.append(own).append(",\"refId\":\"").append(id).append("\",\"w\":");
      out.append(scene.scene().width()).append(",\"h\":").append(scene.scene().height());
      out.append(",").append(standing).append('}');
    }
  }
}
