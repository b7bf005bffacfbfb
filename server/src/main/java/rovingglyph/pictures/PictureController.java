package rovingglyph.pictures;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.render.Bitmaps;
import rovingglyph.server.RefusedException;

/** Pictures over HTTP. */
@RestController
class PictureController {
  /** One of the sizes in which a picture is painted. */
  record Size(int width, int height) {}

  private static final int LONGEST_NAME = 200;

  private final PictureStore pictures;

  PictureController(PictureStore pictures) {
    this.pictures = pictures;
  }

  @Operation(summary = "The pictures of a project, and whether a scene of it shows them")
  @GetMapping("/api/projects/{project}/pictures")
  List<PictureStore.Kept> list(@PathVariable UUID project) {
    return pictures.of(project);
  }

  @Operation(
      summary =
          "Keeps a PNG, JPEG, WebP, AVIF, GIF (its first frame) or SVG picture with a project, at"
              + " most 40 MB")
  @PostMapping(value = "/api/projects/{project}/pictures", consumes = MediaType.ALL_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  PictureStore.Kept keep(
      @PathVariable UUID project,
      @RequestParam(defaultValue = "Picture") String name,
      @RequestBody(required = false) byte[] file) {
    String given = name.strip();
    String called = given.substring(0, Math.min(given.length(), LONGEST_NAME));
    return pictures.keep(
        project, called.isEmpty() ? "Picture" : called, file == null ? new byte[0] : file);
  }

  @Operation(
      summary =
          "Takes a picture out of a project; 409 with the names of the scenes that show it, unless"
              + " used is true")
  @DeleteMapping("/api/projects/{project}/pictures/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @PathVariable UUID project,
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean used) {
    pictures.remove(project, id, used);
  }

  @Operation(summary = "The sizes in which a picture is kept for painting, the largest first")
  @GetMapping("/api/pictures/{id}/levels")
  ResponseEntity<List<Size>> levels(@PathVariable String id) {
    List<Size> sizes =
        pictures.levels(id).stream().map(l -> new Size(l.width(), l.height())).toList();
    if (sizes.isEmpty()) {
      throw RefusedException.notFound("picture");
    }
    return forGood().body(sizes);
  }

  @Operation(summary = "One of these sizes, upright and in sRGB")
  @GetMapping("/api/pictures/{id}/levels/{number}")
  ResponseEntity<byte[]> level(@PathVariable String id, @PathVariable int number) {
    List<Bitmaps.Level> levels = pictures.levels(id);
    if (number < 0 || number >= levels.size()) {
      throw RefusedException.notFound("picture");
    }
    Bitmaps.Level level = levels.get(number);
    return forGood()
        .contentType(MediaType.parseMediaType(level.type()))
        .body(level.content().bytes());
  }

  @Operation(summary = "A picture as it was uploaded")
  @GetMapping("/api/pictures/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    PictureStore.Content c = pictures.file(id);
    return forGood()
        .contentType(MediaType.parseMediaType(c.type()))
        // An SVG opened by its address must neither run nor fetch anything.
        .header(
            "Content-Security-Policy",
            "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox")
        .body(c.bytes());
  }

  /** An id is made from the file: what it names never changes. */
  private static ResponseEntity.BodyBuilder forGood() {
    return ResponseEntity.ok().cacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
  }
}
