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
 * A face at given axes, held by HarfBuzz for the life of the process. HarfBuzz counts in 1/64 font
 * units here, so that the advances of variable faces are not rounded to whole units.
 */
final class FontInstance {
  private static final int FINE = 64;

  private final Face face;
  private final long font;
  private final double unit;
  private final Map<Integer, Outline> outlines = new HashMap<>();

  FontInstance(Face face, Map<String, Double> axes) {
    this.face = face;
    // HarfBuzz reads the bytes as long as the font lives, so they stay outside the Java heap.
    ByteBuffer bytes = MemoryUtil.memAlloc(face.data().length).put(face.data()).flip();
    long blob = hb_blob_create(bytes, HB_MEMORY_MODE_READONLY, 0, null);
    long hbFace = hb_face_create(blob, 0);
    hb_blob_destroy(blob);
    int unitsPerEm = hb_face_get_upem(hbFace);
    font = hb_font_create(hbFace);
    hb_face_destroy(hbFace);
    hb_font_set_scale(font, unitsPerEm * FINE, unitsPerEm * FINE);
    unit = 1.0 / (unitsPerEm * FINE);
    if (!face.axes().isEmpty()) {
      set(axes);
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

  Outline outline(int glyph) {
    return outlines.computeIfAbsent(glyph, g -> Outline.of(GlyphDrawing.data(font, g, unit)));
  }
}
