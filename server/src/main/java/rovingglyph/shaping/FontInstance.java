package rovingglyph.shaping;

import static org.lwjgl.util.harfbuzz.HarfBuzz.*;

import java.nio.ByteBuffer;
import java.nio.IntBuffer;
import java.util.HashMap;
import java.util.Map;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.system.MemoryUtil;
import org.lwjgl.util.harfbuzz.hb_font_extents_t;
import org.lwjgl.util.harfbuzz.hb_variation_t;
import rovingglyph.type.Outline;

/**
 * A face at given axes, held by HarfBuzz until it is closed. HarfBuzz counts in 1/64 font units
 * here, so that the advances of variable faces are not rounded to whole units.
 */
final class FontInstance {
  private static final int FINE = 64;

  private final Face face;
  private final long font;
  private Double xHeight;
  private Double capHeight;
  private final double unit;
  private final Map<Integer, Outline> outlines = new HashMap<>();

  /**
   * @param file from {@link #file}; the instance keeps it alive by itself
   */
  FontInstance(Face face, long file, Map<String, Double> axes) {
    this.face = face;
    int unitsPerEm = hb_face_get_upem(file);
    font = hb_font_create(file);
    hb_font_set_scale(font, unitsPerEm * FINE, unitsPerEm * FINE);
    unit = 1.0 / (unitsPerEm * FINE);
    if (!face.axes().isEmpty()) {
      set(axes);
    }
  }

  /** HarfBuzz's own copy of a font file, to be given back by {@code hb_face_destroy}. */
  static long file(Face face) {
    ByteBuffer bytes = MemoryUtil.memAlloc(face.data().length).put(face.data()).flip();
    try {
      long blob = hb_blob_create(bytes, HB_MEMORY_MODE_DUPLICATE, 0, null);
      long file = hb_face_create(blob, 0);
      hb_blob_destroy(blob);
      return file;
    } finally {
      MemoryUtil.memFree(bytes);
    }
  }

  private void set(Map<String, Double> axes) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_variation_t.Buffer all = hb_variation_t.malloc(face.axes().size(), stack);
      for (int i = 0; i < face.axes().size(); i++) {
        Face.Axis a = face.axes().get(i);
        double value = axes.getOrDefault(a.tag(), a.start());
        double inside = Math.min(Math.max(value, a.least()), a.greatest());
        all.get(i).tag(hb_tag_from_string(stack.ASCII(a.tag()))).value((float) inside);
      }
      hb_font_set_variations(font, all);
    }
  }

  /** Gives its memory back; it must not be used after that. */
  void close() {
    hb_font_destroy(font);
  }

  Face face() {
    return face;
  }

  long font() {
    return font;
  }

  /** Size of HarfBuzz's unit in em. */
  double unit() {
    return unit;
  }

  boolean has(int codePoint) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      IntBuffer glyph = stack.mallocInt(1);
      return hb_font_get_nominal_glyph(font, codePoint, glyph);
    }
  }

  double ascent() {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_font_extents_t e = hb_font_extents_t.malloc(stack);
      return hb_font_get_h_extents(font, e) ? e.ascender() * unit : 0.8;
    }
  }

  double descent() {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_font_extents_t e = hb_font_extents_t.malloc(stack);
      return hb_font_get_h_extents(font, e) ? -e.descender() * unit : 0.2;
    }
  }

  /** Height of a letter x, em; half an em where the face has none. */
  double xHeight() {
    if (xHeight == null) {
      xHeight = height('x', 0.5);
    }
    return xHeight;
  }

  /** Height of an H or a d, whichever is higher, em; 0.7 where the face has none. */
  double capHeight() {
    if (capHeight == null) {
      capHeight = Math.max(height('H', 0.7), height('d', 0));
    }
    return capHeight;
  }

  private double height(char letter, double otherwise) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      IntBuffer glyph = stack.mallocInt(1);
      boolean has = hb_font_get_nominal_glyph(font, letter, glyph);
      double height = has ? -outline(glyph.get(0)).bounds().top() : otherwise;
      return height > 0.05 && height < 2 ? height : otherwise;
    }
  }

  Outline outline(int glyph) {
    return outlines.computeIfAbsent(glyph, g -> Outline.of(GlyphDrawing.data(font, g, unit)));
  }
}
