package rovingglyph.tracing;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures to trace over, over HTTP. */
@RestController
class ImageController {
  private final ImageStore images;

  ImageController(ImageStore images) {
    this.images = images;
  }

  @Operation(summary = "Keeps a PNG, JPEG or SVG picture, at most 12 MB")
  @PostMapping(value = "/api/images", consumes = MediaType.ALL_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  ImageStore.Kept keep(@RequestBody(required = false) byte[] file) {
    return images.keep(file == null ? new byte[0] : file);
  }

  @Operation(summary = "A kept picture")
  @GetMapping("/api/images/{id}")
  ResponseEntity<byte[]> get(@PathVariable UUID id) {
    ImageStore.Content image = images.file(id);
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
