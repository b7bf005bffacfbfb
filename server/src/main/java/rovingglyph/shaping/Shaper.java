package rovingglyph.shaping;

import static org.lwjgl.util.harfbuzz.HarfBuzz.*;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
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
  /** Shaped texts that are kept, in clusters of all together: some 60 MB of memory. */
  private static final int KEPT_CLUSTERS = 200_000;

  private static final int KEPT_FONTS = 200;
  private static final int KEPT_FILES = 24;

  private final FaceSource faces;
  private final Map<String, Long> files =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Long> eldest) {
          boolean old = size() > KEPT_FILES;
          if (old) {
            hb_face_destroy(eldest.getValue());
          }
          return old;
        }
      };
  private final Map<String, FontInstance> fonts =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, FontInstance> eldest) {
          boolean old = size() > KEPT_FONTS;
          if (old) {
            eldest.getValue().close();
          }
          return old;
        }
      };
  private final Map<String, ShapedRun> runs = new LinkedHashMap<>(16, 0.75f, true);
  private long clusters;

  public Shaper(FaceSource faces) {
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
      clusters += weight(run);
      makeRoom();
    }
    return run;
  }

  private static int weight(ShapedRun run) {
    return run.clusters().size() + 50;
  }

  /** Forgets the texts that were not asked for the longest time. */
  private void makeRoom() {
    Iterator<ShapedRun> eldest = runs.values().iterator();
    while (clusters > KEPT_CLUSTERS && eldest.hasNext()) {
      clusters -= weight(eldest.next());
      eldest.remove();
    }
  }

  private long file(Face face) {
    Long file = files.get(face.id());
    if (file == null) {
      file = FontInstance.file(face);
      files.put(face.id(), file);
    }
    return file;
  }

  private FontInstance font(Face face, Map<String, Double> axes) {
    String key = face.id() + (face.axes().isEmpty() ? "" : new TreeMap<>(axes).toString());
    FontInstance font = fonts.get(key);
    if (font == null) {
      font = new FontInstance(face, file(face), axes);
      fonts.put(key, font);
    }
    return font;
  }

  /** Forgets what was shaped in a face that came or went. */
  public synchronized void forget(String face) {
    runs.keySet().removeIf(key -> key.startsWith(face + "|"));
    clusters = runs.values().stream().mapToLong(Shaper::weight).sum();
  }

  private ShapedRun shape(RunRequest request) {
    Face face = faces.find(request.face());
    FontInstance asked = face == null ? null : font(face, request.axes());
    FontInstance fallback = font(faces.fallback(), Map.of());
    boolean faceMissing = face == null;
    asked = faceMissing ? fallback : asked;
    List<Cluster> clusters = new ArrayList<>();
    Map<String, Integer> indexes = new HashMap<>();
    List<Outline> outlines = new ArrayList<>();
    String text = Cased.of(TextItems.settable(request.text()), request.casing());
    List<String> features = features(request);
    List<FontInstance> own = new ArrayList<>(List.of(asked));
    asked.face().more().forEach(f -> own.add(font(f, request.axes())));
    for (TextItems.Item item : TextItems.of(text, choosing(own, fallback))) {
      boolean is = own.contains(item.font()) && !faceMissing;
      String borrowed = is ? "" : item.font().face().name();
      shape(text, item, borrowed, features, clusters, indexes, outlines);
    }
    return new ShapedRun(
        text,
        List.copyOf(clusters),
        List.copyOf(outlines),
        asked.ascent(),
        asked.descent(),
        asked.xHeight(),
        asked.capHeight(),
        TextItems.rightToLeft(text),
        faceMissing);
  }

  /** A face's own files first, then the fallback for all, then the face for the script. */
  private TextItems.Fonts choosing(List<FontInstance> own, FontInstance fallback) {
    return new TextItems.Fonts() {
      @Override
      public FontInstance covering(String grapheme) {
        for (FontInstance f : own) {
          if (TextItems.covers(f, grapheme)) {
            return f;
          }
        }
        if (TextItems.covers(fallback, grapheme)) {
          return fallback;
        }
        Face script = faces.fallback(Character.UnicodeScript.of(grapheme.codePointAt(0)));
        FontInstance byScript = script == null ? null : font(script, Map.of());
        return byScript != null && TextItems.covers(byScript, grapheme) ? byScript : null;
      }

      @Override
      public FontInstance last() {
        return fallback;
      }
    };
  }

  private void shape(
      String text,
      TextItems.Item item,
      String borrowed,
      List<String> features,
      List<Cluster> clusters,
      Map<String, Integer> indexes,
      List<Outline> outlines) {
    long buffer = hb_buffer_create();
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_buffer_add_utf16(buffer, text, item.start(), item.end() - item.start());
      hb_buffer_set_direction(buffer, item.rightToLeft() ? HB_DIRECTION_RTL : HB_DIRECTION_LTR);
      hb_buffer_guess_segment_properties(buffer);
      hb_shape(item.font().font(), buffer, parsed(features, stack));
      collect(buffer, text, item, borrowed, clusters, indexes, outlines);
    } finally {
      hb_buffer_destroy(buffer);
    }
  }

  /**
   * In the order of the document; ligatures and joined forms are off where tracking tears apart.
   */
  private static List<String> features(RunRequest request) {
    List<String> out = new ArrayList<>();
    request.features().forEach((tag, value) -> out.add(tag + "=" + value));
    if (!request.ligatures()) {
      out.addAll(List.of("liga=0", "clig=0", "dlig=0", "hlig=0", "calt=0"));
    }
    return out;
  }

  private static hb_feature_t.Buffer parsed(List<String> features, MemoryStack stack) {
    if (features.isEmpty()) {
      return null;
    }
    hb_feature_t.Buffer out = hb_feature_t.calloc(features.size(), stack);
    for (int i = 0; i < features.size(); i++) {
      hb_feature_from_string(features.get(i), out.get(i));
    }
    return out;
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
      clusters.add(
          new Cluster(characters, cluster, pen, List.copyOf(glyphs), borrowed, item.missing()));
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
