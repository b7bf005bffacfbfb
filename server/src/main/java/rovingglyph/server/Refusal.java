package rovingglyph.server;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;

/** Problem details of what is refused before it reaches a controller. */
final class Refusal {
  private Refusal() {}

  /**
   * Writes the answer.
   *
   * @param detail without characters that JSON escapes
   */
  static void write(HttpServletResponse response, int status, String detail) throws IOException {
    HttpStatus known = HttpStatus.resolve(status);
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response.setCharacterEncoding("UTF-8");
    response
        .getWriter()
        .write(
            "{\"title\":\""
                + (known == null ? "Refused" : known.getReasonPhrase())
                + "\",\"status\":"
                + status
                + ",\"detail\":\""
                + detail
                + "\"}");
  }
}
