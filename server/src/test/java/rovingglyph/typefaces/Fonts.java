package rovingglyph.typefaces;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;

/** Font files for tests, made from shipped ones. */
public final class Fonts {
  private Fonts() {}

  public static byte[] resource(String path) {
    try (InputStream in = Fonts.class.getResourceAsStream(path)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  static Map<String, byte[]> tables(byte[] font) {
    ByteBuffer b = ByteBuffer.wrap(font);
    Map<String, byte[]> out = new TreeMap<>();
    for (int i = 0; i < b.getShort(4); i++) {
      int at = 12 + 16 * i;
      String tag = new String(font, at, 4, StandardCharsets.ISO_8859_1);
      byte[] table = new byte[b.getInt(at + 12)];
      b.get(b.getInt(at + 8), table);
      out.put(tag, table);
    }
    return out;
  }

  private static int padded(int length) {
    return (length + 3) / 4 * 4;
  }

  private static int sum(byte[] table) {
    ByteBuffer b = ByteBuffer.wrap(java.util.Arrays.copyOf(table, padded(table.length)));
    int sum = 0;
    while (b.hasRemaining()) {
      sum += b.getInt();
    }
    return sum;
  }

  static byte[] sfnt(Map<String, byte[]> tables) {
    int n = tables.size();
    int at = 12 + 16 * n;
    ByteBuffer head = ByteBuffer.allocate(at);
    head.putInt(0x00010000).putShort((short) n);
    int range = Integer.highestOneBit(n) * 16;
    head.putShort((short) range);
    head.putShort((short) (31 - Integer.numberOfLeadingZeros(Integer.highestOneBit(n))));
    head.putShort((short) (n * 16 - range));
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    for (Map.Entry<String, byte[]> t : tables.entrySet()) {
      head.put(t.getKey().getBytes(StandardCharsets.ISO_8859_1));
      head.putInt(sum(t.getValue())).putInt(at + body.size()).putInt(t.getValue().length);
      body.writeBytes(java.util.Arrays.copyOf(t.getValue(), padded(t.getValue().length)));
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(head.array());
    out.writeBytes(body.toByteArray());
    return out.toByteArray();
  }

  /** WOFF 1.0 with tables that are stored as they are. */
  public static byte[] woff(byte[] font) {
    Map<String, byte[]> tables = tables(font);
    int n = tables.size();
    int at = 44 + 20 * n;
    ByteBuffer directory = ByteBuffer.allocate(20 * n);
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    int plain = 12 + 16 * n;
    for (Map.Entry<String, byte[]> t : tables.entrySet()) {
      int length = t.getValue().length;
      directory.put(t.getKey().getBytes(StandardCharsets.ISO_8859_1));
      directory.putInt(at + body.size()).putInt(length).putInt(length).putInt(sum(t.getValue()));
      body.writeBytes(java.util.Arrays.copyOf(t.getValue(), padded(length)));
      plain += padded(length);
    }
    ByteBuffer head = ByteBuffer.allocate(44);
    head.putInt(0x774F4646).putInt(ByteBuffer.wrap(font).getInt(0));
    head.putInt(at + body.size()).putShort((short) n).putShort((short) 0).putInt(plain);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(head.array());
    out.writeBytes(directory.array());
    out.writeBytes(body.toByteArray());
    return out.toByteArray();
  }

  /** The font with empty glyphs added until it has this many. */
  static byte[] withGlyphs(byte[] font, int count) {
    Map<String, byte[]> t = tables(font);
    t.keySet()
        .retainAll(
            java.util.Set.of(
                "head", "hhea", "maxp", "hmtx", "loca", "glyf", "cmap", "name", "OS/2"));
    ByteBuffer maxp = ByteBuffer.wrap(t.get("maxp"));
    int glyphs = maxp.getShort(4) & 0xFFFF;
    boolean wide = ByteBuffer.wrap(t.get("head")).getShort(50) == 1;
    ByteBuffer old = ByteBuffer.wrap(t.get("loca"));
    ByteBuffer loca = ByteBuffer.allocate(4 * (count + 1));
    for (int i = 0; i <= count; i++) {
      int k = Math.min(i, glyphs);
      loca.putInt(wide ? old.getInt(4 * k) : 2 * (old.getShort(2 * k) & 0xFFFF));
    }
    ByteBuffer.wrap(t.get("head")).putShort(50, (short) 1);
    maxp.putShort(4, (short) count);
    t.put("loca", loca.array());
    t.put(
        "hmtx",
        java.util.Arrays.copyOf(t.get("hmtx"), t.get("hmtx").length + 2 * (count - glyphs)));
    t.put("post", ByteBuffer.allocate(32).putInt(0x00030000).array());
    return sfnt(t);
  }
}
