package rovingglyph.formats;

/** Names of files that any system takes. */
public final class FileNames {
  private FileNames() {}

  /** Letters and digits of any script with hyphens between them; "scene" where there are none. */
  public static String plain(String name) {
    String plain = name.replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    return plain.isEmpty() ? "scene" : plain;
  }
}
