package rovingglyph.shaping;

import static org.lwjgl.util.harfbuzz.HarfBuzz.*;

import org.lwjgl.util.harfbuzz.hb_draw_close_path_func_t;
import org.lwjgl.util.harfbuzz.hb_draw_cubic_to_func_t;
import org.lwjgl.util.harfbuzz.hb_draw_line_to_func_t;
import org.lwjgl.util.harfbuzz.hb_draw_move_to_func_t;
import org.lwjgl.util.harfbuzz.hb_draw_quadratic_to_func_t;
import rovingglyph.geometry.Decimal;

/** A glyph's outline as SVG path data in em units, y down. Not for two threads at once. */
final class GlyphDrawing {
  /** Finer than a hundredth of a pixel at any size that is allowed. */
  private static final int PLACES = 6;

  private static final StringBuilder OUT = new StringBuilder();
  private static double scale;
  private static final long FUNCTIONS = functions();

  private GlyphDrawing() {}

  static String data(long font, int glyph, double unit) {
    OUT.setLength(0);
    scale = unit;
    hb_font_draw_glyph(font, glyph, FUNCTIONS, 0);
    return OUT.toString();
  }

  private static long functions() {
    long f = hb_draw_funcs_create();
    hb_draw_funcs_set_move_to_func(
        f,
        hb_draw_move_to_func_t.create((funcs, data, state, x, y, user) -> put('M', x, y)),
        0,
        null);
    hb_draw_funcs_set_line_to_func(
        f,
        hb_draw_line_to_func_t.create((funcs, data, state, x, y, user) -> put('L', x, y)),
        0,
        null);
    hb_draw_funcs_set_quadratic_to_func(
        f,
        hb_draw_quadratic_to_func_t.create(
            (funcs, data, state, cx, cy, x, y, user) -> put('Q', cx, cy, x, y)),
        0,
        null);
    hb_draw_funcs_set_cubic_to_func(
        f,
        hb_draw_cubic_to_func_t.create(
            (funcs, data, state, ax, ay, bx, by, x, y, user) -> put('C', ax, ay, bx, by, x, y)),
        0,
        null);
    hb_draw_funcs_set_close_path_func(
        f,
        hb_draw_close_path_func_t.create((funcs, data, state, user) -> OUT.append('Z')),
        0,
        null);
    return f;
  }

  private static void put(char command, float... pairs) {
    OUT.append(command);
    for (int i = 0; i < pairs.length; i++) {
      double value = i % 2 == 0 ? pairs[i] * scale : -pairs[i] * scale;
      OUT.append(i > 0 ? " " : "").append(Decimal.text(value, PLACES));
    }
  }
}
