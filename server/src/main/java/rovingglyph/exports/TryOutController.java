package rovingglyph.exports;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.ParseException;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.footage.KeptBitmaps;
import rovingglyph.formats.SnippetFormat;
import rovingglyph.frame.Preparation;
import rovingglyph.schema.Fields;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Turns;
import rovingglyph.shaping.Shaper;

/** The web snippet on a plain page, to be tried before it is copied. */
@RestController
class TryOutController {
  /** Nothing of ours can be reached from the page: it has an origin of its own. */
  private static final String POLICY =
      "sandbox allow-scripts; default-src 'none'; script-src 'unsafe-inline';"
          + " style-src 'unsafe-inline'; img-src data:; frame-ancestors 'self'";

  /** What is to be copied into a page. */
  record Snippet(String code) {}

  private static final int[] WIDTHS = {280, 480, 720};

  private final ExportAsking asking;
  private final Shaper shaper;
  private final KeptBitmaps bitmaps;
  private final Turns turns = new Turns(4);

  TryOutController(ExportAsking asking, Shaper shaper, KeptBitmaps bitmaps) {
    this.asking = asking;
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  @Operation(
      summary = "The web snippet of a scene as it is kept now, on a plain page in three widths",
      description = "options is a JSON object as an export of the format html takes it.")
  @GetMapping(value = "/api/scenes/{sceneId}/try-out", produces = MediaType.TEXT_HTML_VALUE)
  void page(
      @PathVariable UUID sceneId,
      @RequestParam(defaultValue = "{}") String options,
      HttpServletResponse response)
      throws IOException, InterruptedException {
    String snippet = snippet(sceneId, options);
    StringBuilder page =
        new StringBuilder("<!doctype html><html lang=\"en\"><meta charset=\"utf-8\">");
    page.append(
        "<title>Try-out</title><style>body{font:14px/1.5 sans-serif;margin:16px;color:#333;");
    page.append("background:#fff;display:flex;flex-wrap:wrap;gap:24px}p{margin:0 0 6px}</style>");
    for (int width : WIDTHS) {
      page.append("<section><p>" + width + " px wide</p>");
      page.append("<div style=\"width:" + width + "px\">" + snippet + "</div></section>");
    }
    byte[] bytes = page.append("</html>").toString().getBytes(StandardCharsets.UTF_8);
    response.setHeader("Content-Security-Policy", POLICY);
    response.setHeader("X-Frame-Options", "SAMEORIGIN");
    response.setHeader("Cache-Control", "no-store");
    response.setContentType("text/html;charset=UTF-8");
    response.getOutputStream().write(bytes);
  }

  @Operation(summary = "The web snippet of a scene as it is kept now, to be copied")
  @GetMapping("/api/scenes/{sceneId}/snippet")
  Snippet code(@PathVariable UUID sceneId, @RequestParam(defaultValue = "{}") String options)
      throws IOException, InterruptedException {
    return new Snippet(snippet(sceneId, options));
  }

  private String snippet(UUID sceneId, String options) throws IOException, InterruptedException {
    JsonObject asked = new JsonObject().add("format", "html");
    try {
      asked.add("options", Json.parse(options));
    } catch (ParseException e) {
      throw RefusedException.bad("options: is no JSON");
    }
    ExportAsking.Asked a = asking.read(sceneId, Fields.of(asked));
    return turns.take(
        () -> {
          try (KeptBitmaps.Borrowed borrowed = bitmaps.borrow()) {
            return SnippetFormat.snippet(
                Preparation.prepare(a.scene(), shaper), borrowed, a.options());
          }
        });
  }
}
