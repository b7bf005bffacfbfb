package rovingglyph.server;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The libraries and typefaces of others that the application holds, with their licences. */
@RestController
final class NoticesController {
  private static final String HEADING = "%n%n======== %s ========%n%n";

  private final PathMatchingResourcePatternResolver resources =
      new PathMatchingResourcePatternResolver();

  @Operation(summary = "What the application is built of, with the licences")
  @GetMapping(value = "/api/notices", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
  String notices() throws IOException {
    StringBuilder out = new StringBuilder("Roving Glyph holds work of others, named here.");
    add(out, "Libraries of the server", "classpath*:notices/java.txt");
    add(out, "Libraries of the interface", "classpath*:static/licences.md");
    for (Resource licence : resources.getResources("classpath*:faces/licences/*")) {
      add(out, "Typeface: " + licence.getFilename(), licence);
    }
    return out.toString();
  }

  private void add(StringBuilder out, String heading, String pattern) throws IOException {
    for (Resource r : resources.getResources(pattern)) {
      add(out, heading, r);
    }
  }

  private static void add(StringBuilder out, String heading, Resource r) throws IOException {
    out.append(HEADING.formatted(heading)).append(r.getContentAsString(StandardCharsets.UTF_8));
  }
}
