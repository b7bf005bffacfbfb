package rovingglyph.shaping;

import static org.lwjgl.util.harfbuzz.HarfBuzz.*;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.util.harfbuzz.hb_feature_t;
import org.lwjgl.util.harfbuzz.hb_glyph_info_t;
import org.lwjgl.util.harfbuzz.hb_glyph_position_t;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.TypeSource;

/** Shapes text with HarfBuzz. Safe for many threads; one shapes at a time. */
public final class Shaper implements TypeSource {
  private static final int KEPT_RUNS = 500;

  private final FaceCatalogue faces;
  private final Map<String, FontInstance> fonts = new HashMap<>();
  private final Map<String, ShapedRun> runs =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, ShapedRun> eldest) {
          return size() > KEPT_RUNS;
        }
      };

  public Shaper(FaceCatalogue faces) {
    this.faces = faces;
  }

  /** Never null. A face that is not there is stood in for by the fallback. */
  @Override
  public synchronized ShapedRun run(RunRequest request) {
    String key = request.key();
    ShapedRun run = runs.get(key);
    if (run == null) {
      run = shape(request);
      runs.put(key, run);
    }
    return run;
  }

  private FontInstance font(Face face, Map<String, Double> axes) {
    String key = face.id() + (face.axes().isEmpty() ? "" : new TreeMap<>(axes).toString());
    return fonts.computeIfAbsent(key, k -> new FontInstance(face, axes));
  }

  private ShapedRun shape(RunRequest request) {
    FontInstance fallback = font(faces.fallback(), Map.of());
    Face face = faces.find(request.face());
    FontInstance asked = face == null ? fallback : font(face, request.axes());
    boolean faceMissing = face == null;
    List<Cluster> clusters = new ArrayList<>();
    Map<String, Integer> indexes = new HashMap<>();
    List<Outline> outlines = new ArrayList<>();
    String text = TextItems.settable(request.text());
    for (TextItems.Item item : TextItems.of(text, asked, fallback)) {
      String borrowed = item.font() != asked || faceMissing ? faces.fallback().name() : "";
      shape(text, item, borrowed, request.ligatures(), clusters, indexes, outlines);
    }
    return new ShapedRun(
        List.copyOf(clusters), List.copyOf(outlines), asked.ascent(), asked.descent());
  }

  private void shape(
      String text,
      TextItems.Item item,
      String borrowed,
      boolean ligatures,
      List<Cluster> clusters,
      Map<String, Integer> indexes,
      List<Outline> outlines) {
    long buffer = hb_buffer_create();
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_buffer_add_utf16(buffer, text, item.start(), item.end() - item.start());
      hb_buffer_set_direction(buffer, item.rightToLeft() ? HB_DIRECTION_RTL : HB_DIRECTION_LTR);
      hb_buffer_guess_segment_properties(buffer);
      hb_shape(item.font().font(), buffer, ligatures ? null : noLigatures(stack));
      collect(buffer, text, item, borrowed, clusters, indexes, outlines);
    } finally {
      hb_buffer_destroy(buffer);
    }
  }

  private static hb_feature_t.Buffer noLigatures(MemoryStack stack) {
    hb_feature_t.Buffer off = hb_feature_t.malloc(2, stack);
    hb_feature_from_string("-liga", off.get(0));
    hb_feature_from_string("-clig", off.get(1));
    return off;
  }

  private void collect(
      long buffer,
      String text,
      TextItems.Item item,
      String borrowed,
      List<Cluster> clusters,
      Map<String, Integer> indexes,
      List<Outline> outlines) {
    hb_glyph_info_t.Buffer infos = hb_buffer_get_glyph_infos(buffer);
    hb_glyph_position_t.Buffer positions = hb_buffer_get_glyph_positions(buffer);
    int n = infos == null ? 0 : infos.remaining();
    TreeSet<Integer> starts = new TreeSet<>();
    for (int i = 0; i < n; i++) {
      starts.add(infos.get(i).cluster());
    }
    double unit = item.font().unit();
    for (int i = 0; i < n; ) {
      int cluster = infos.get(i).cluster();
      double pen = 0;
      List<Cluster.Glyph> glyphs = new ArrayList<>();
      for (; i < n && infos.get(i).cluster() == cluster; i++) {
        int index = index(item.font(), infos.get(i).codepoint(), indexes, outlines);
        hb_glyph_position_t p = positions.get(i);
        glyphs.add(new Cluster.Glyph(index, pen + p.x_offset() * unit, -p.y_offset() * unit));
        pen += p.x_advance() * unit;
      }
      Integer next = starts.higher(cluster);
      String characters = text.substring(cluster, next == null ? item.end() : next);
      clusters.add(new Cluster(characters, pen, List.copyOf(glyphs), borrowed, item.missing()));
    }
  }

  private static int index(
      FontInstance font, int glyph, Map<String, Integer> indexes, List<Outline> outlines) {
    return indexes.computeIfAbsent(
        font.face().id() + '/' + glyph,
        k -> {
          outlines.add(font.outline(glyph));
          return outlines.size() - 1;
        });
  }
}
