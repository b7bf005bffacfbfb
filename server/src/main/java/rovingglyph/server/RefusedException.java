package rovingglyph.server;

import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request that is refused, with what the client is told. */
public class RefusedException extends RuntimeException {
  private final HttpStatus status;
  private final String title;
  private final transient Map<String, Object> properties;

  public RefusedException(
      HttpStatus status, String title, String detail, Map<String, Object> properties) {
    super(detail);
    this.status = status;
    this.title = title;
    this.properties = properties;
  }

  public static RefusedException notFound(String what) {
    return new RefusedException(
        HttpStatus.NOT_FOUND, "Not found", "There is no such " + what + " any more", Map.of());
  }

  public static RefusedException bad(String detail) {
    return new RefusedException(HttpStatus.BAD_REQUEST, "Bad request", detail, Map.of());
  }

  HttpStatus status() {
    return status;
  }

  String title() {
    return title;
  }

  Map<String, Object> properties() {
    return properties;
  }
}
