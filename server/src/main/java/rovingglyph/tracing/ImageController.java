package rovingglyph.tracing;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Sha256;

/** Pictures to trace over. The same file kept twice is stored once. */
@RestController
class ImageController {
  record Kept(UUID id, String type, int width, int height) {}

  private record Content(String type, byte[] content) {}

  private final JdbcClient jdbc;

  ImageController(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  @Operation(summary = "Keeps a PNG, JPEG or SVG picture, at most 12 MB")
  @PostMapping(value = "/api/images", consumes = MediaType.ALL_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Kept keep(@RequestBody(required = false) byte[] file) {
    byte[] content = file == null ? new byte[0] : file;
    ImageCheck.Checked c = ImageCheck.check(content);
    byte[] hash = Sha256.of(content);
    jdbc.sql(
            "insert into image (id, sha256, type, width, height, content)"
                + " values (?, ?, ?, ?, ?, ?) on conflict (sha256) do nothing")
        .params(UUID.randomUUID(), hash, c.type(), c.width(), c.height(), content)
        .update();
    return jdbc.sql("select id, type, width, height from image where sha256 = ?")
        .param(hash)
        .query(Kept.class)
        .single();
  }

  @Operation(summary = "A kept picture")
  @GetMapping("/api/images/{id}")
  ResponseEntity<byte[]> get(@PathVariable UUID id) {
    Content image =
        jdbc.sql("select type, content from image where id = ?")
            .param(id)
            .query(Content.class)
            .optional()
            .orElseThrow(() -> RefusedException.notFound("picture"));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(image.type()))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).immutable())
        // An SVG opened by its address must neither run nor fetch anything.
        .header(
            "Content-Security-Policy",
            "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox")
        .body(image.content());
  }
}
