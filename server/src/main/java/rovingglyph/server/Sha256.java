package rovingglyph.server;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What a file is known by: two files with one digest are the same. */
public final class Sha256 {
  private Sha256() {}

  /** The 32 bytes of the digest. */
  public static byte[] of(byte[] content) {
    try {
      return MessageDigest.getInstance("SHA-256").digest(content);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The first hexadecimal digits of the digest, at most 64. */
  public static String hex(byte[] content, int digits) {
    return HexFormat.of().formatHex(of(content)).substring(0, digits);
  }
}
