package rovingglyph.shaping;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * What an OpenType font tells of itself, from its tables name, fvar, maxp, GSUB and GPOS (OpenType
 * specification 1.9). A table that is missing or cut short counts as empty.
 */
final class SfntFacts {
  private static final int COPYRIGHT = 0;
  private static final int FAMILY = 1;
  private static final int STYLE = 2;
  private static final int LICENCE = 13;
  private static final int LICENCE_URL = 14;
  private static final int TYPOGRAPHIC_FAMILY = 16;
  private static final int TYPOGRAPHIC_STYLE = 17;
  private static final int LONGEST = 4000;

  private final ByteBuffer font;
  private final Map<String, int[]> tables = new LinkedHashMap<>();
  private final Map<Integer, String> names = new LinkedHashMap<>();

  private SfntFacts(byte[] font) {
    this.font = ByteBuffer.wrap(font);
    int count = u16(4);
    for (int i = 0; i < count && 12 + 16 * i + 16 <= font.length; i++) {
      int at = 12 + 16 * i;
      tables.put(tag(at), new int[] {this.font.getInt(at + 8), this.font.getInt(at + 12)});
    }
  }

  static Face.Facts of(byte[] font) {
    SfntFacts f = new SfntFacts(font);
    f.readNames();
    List<Face.Axis> axes = new ArrayList<>();
    List<Face.Instance> instances = new ArrayList<>();
    try {
      f.readVariations(axes, instances);
    } catch (BufferUnderflowException | IndexOutOfBoundsException e) {
      axes.clear();
      instances.clear();
    }
    return new Face.Facts(
        f.name(TYPOGRAPHIC_FAMILY, f.name(FAMILY, "")),
        f.name(TYPOGRAPHIC_STYLE, f.name(STYLE, "")),
        f.name(COPYRIGHT, ""),
        f.name(LICENCE, ""),
        f.name(LICENCE_URL, ""),
        f.glyphs(),
        List.copyOf(axes),
        List.copyOf(instances),
        f.features());
  }

  private int u16(int at) {
    return font.getShort(at) & 0xFFFF;
  }

  private double fixed(int at) {
    return font.getInt(at) / 65536.0;
  }

  private String tag(int at) {
    byte[] four = new byte[4];
    font.get(at, four);
    return new String(four, StandardCharsets.ISO_8859_1);
  }

  private int glyphs() {
    int[] maxp = tables.get("maxp");
    return maxp == null ? 0 : u16(maxp[0] + 4);
  }

  private String name(int id, String missing) {
    return names.getOrDefault(id, missing);
  }

  /** English names of the Windows and Unicode platforms win over all others. */
  private void readNames() {
    int[] table = tables.get("name");
    if (table == null) {
      return;
    }
    try {
      int count = u16(table[0] + 2);
      int storage = table[0] + u16(table[0] + 4);
      for (int i = 0; i < count; i++) {
        int at = table[0] + 6 + 12 * i;
        int platform = u16(at);
        int language = u16(at + 4);
        int id = u16(at + 6);
        boolean english = platform == 0 || (platform == 3 && (language & 0x3FF) == 9);
        boolean roman = platform == 1 && language == 0;
        if (english || (roman && !names.containsKey(id))) {
          byte[] text = new byte[u16(at + 8)];
          font.get(storage + u16(at + 10), text);
          Charset coding = english ? StandardCharsets.UTF_16BE : StandardCharsets.ISO_8859_1;
          names.put(id, clean(new String(text, coding)));
        }
      }
    } catch (BufferUnderflowException | IndexOutOfBoundsException e) {
      // What was read up to here is good.
    }
  }

  private static String clean(String s) {
    String one = s.replaceAll("\\p{Cntrl}+", " ").strip();
    return one.length() > LONGEST ? one.substring(0, LONGEST) : one;
  }

  private void readVariations(List<Face.Axis> axes, List<Face.Instance> instances) {
    int[] table = tables.get("fvar");
    if (table == null) {
      return;
    }
    int base = table[0];
    int axisCount = u16(base + 8);
    int axisSize = u16(base + 10);
    int instanceCount = u16(base + 12);
    int instanceSize = u16(base + 14);
    int at = base + u16(base + 4);
    for (int i = 0; i < axisCount; i++, at += axisSize) {
      String tag = tag(at);
      boolean hidden = (u16(at + 16) & 1) != 0;
      String name = name(u16(at + 18), tag);
      if (!hidden) {
        axes.add(new Face.Axis(tag, name, fixed(at + 4), fixed(at + 12), fixed(at + 8)));
      }
    }
    int firstAxis = base + u16(base + 4);
    for (int i = 0; i < instanceCount; i++, at += instanceSize) {
      Map<String, Double> values = new LinkedHashMap<>();
      for (int k = 0; k < axisCount; k++) {
        values.put(tag(firstAxis + k * axisSize), fixed(at + 4 + 4 * k));
      }
      instances.add(new Face.Instance(name(u16(at), "Instance " + (i + 1)), values));
    }
  }

  private List<Face.Feature> features() {
    TreeSet<String> tags = new TreeSet<>();
    for (String table : new String[] {"GSUB", "GPOS"}) {
      int[] t = tables.get(table);
      if (t == null) {
        continue;
      }
      try {
        int list = t[0] + u16(t[0] + 6);
        for (int i = 0; i < u16(list); i++) {
          tags.add(tag(list + 2 + 6 * i));
        }
      } catch (BufferUnderflowException | IndexOutOfBoundsException e) {
        // The other table may still be whole.
      }
    }
    return tags.stream()
        .filter(FeatureNames::isChoice)
        .map(t -> new Face.Feature(t, FeatureNames.of(t)))
        .toList();
  }
}
