package rovingglyph.server;

import com.eclipsesource.json.JsonValue;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.JsonText;
import rovingglyph.schema.Problem;

/**
 * The JSON body of a request: the only way by which a controller takes one, so that whatever a
 * client sends becomes a value within its range or a problem with its field, never a failure.
 */
public record JsonBody(String text) {
  /** The longest value that is read, in characters; scene documents have a limit of their own. */
  private static final int LONGEST = 2_000_000;

  /**
   * Reads what was sent.
   *
   * @throws DocumentException if it is not UTF-8
   */
  static JsonBody of(byte[] bytes) {
    try {
      return new JsonBody(
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString());
    } catch (CharacterCodingException e) {
      throw new DocumentException(
          List.of(new Problem("$", "is not UTF-8 text", "JSON in UTF-8, as in RFC 8259")));
    }
  }

  /**
   * The value.
   *
   * @throws DocumentException if it is no JSON, or holds what cannot be kept
   */
  public JsonValue value() {
    return JsonText.read(text, LONGEST);
  }

  /** The fields of an object; {@link Fields#check} after the last one tells what is wrong. */
  public Fields fields() {
    return Fields.of(value());
  }
}
