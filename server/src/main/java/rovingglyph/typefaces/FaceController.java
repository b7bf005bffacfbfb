package rovingglyph.typefaces;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.time.Duration;
import java.util.List;
import java.util.Map;
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
import rovingglyph.document.RunRequestCodec;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.ShapedRunCodec;

/** Typefaces, and text shaped in them. */
@RestController
class FaceController {
  /** A typeface as it is told; {@code own}: kept by the project, not shipped. */
  record FaceInfo(
      String id,
      String name,
      String character,
      List<Face.Axis> axes,
      List<Face.Instance> instances,
      List<Face.Feature> features,
      String copyright,
      String licence,
      String licenceUrl,
      boolean own) {}

  /** For the description of the interface. */
  record ShapeRequest(
      String face,
      Map<String, Double> axes,
      String text,
      Boolean ligatures,
      String casing,
      Map<String, Integer> features) {}

  private final FaceStore faces;
  private final Shaper shaper;

  FaceController(FaceStore faces, Shaper shaper) {
    this.faces = faces;
    this.shaper = shaper;
  }

  private FaceInfo info(Face f) {
    return new FaceInfo(
        f.id(),
        f.name(),
        f.character(),
        f.axes(),
        f.facts().instances(),
        f.facts().features(),
        f.facts().copyright(),
        f.facts().licence(),
        f.facts().licenceUrl(),
        !faces.isShipped(f.id()));
  }

  @Operation(summary = "The typefaces that letterings can use: the shipped ones and a project's")
  @GetMapping("/api/faces")
  List<FaceInfo> faces(@RequestParam(required = false) UUID project) {
    return faces.of(project).stream().map(this::info).toList();
  }

  @Operation(summary = "Keeps a TTF, OTF, WOFF or WOFF2 font with a project, at most 30 MB")
  @PostMapping(value = "/api/projects/{project}/faces", consumes = MediaType.ALL_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  FaceInfo keep(@PathVariable UUID project, @RequestBody(required = false) byte[] file) {
    Face face = faces.keep(project, file == null ? new byte[0] : file);
    shaper.forget(face.id());
    return info(face);
  }

  @Operation(summary = "Takes a typeface out of a project")
  @DeleteMapping("/api/projects/{project}/faces/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID project, @PathVariable String id) {
    faces.remove(project, id);
    shaper.forget(id);
  }

  @Operation(summary = "The font file of a typeface")
  @GetMapping("/api/faces/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    Face face = faces.find(id);
    if (face == null) {
      throw RefusedException.notFound("typeface");
    }
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("font/sfnt"))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)))
        .body(face.data());
  }

  @Operation(
      summary = "Shapes texts: clusters, advances and outlines in em units, y down",
      description =
          "At most 200 texts of 20,000 characters each, and 60,000 characters in one request.")
  @PostMapping(value = "/api/shape", produces = MediaType.APPLICATION_JSON_VALUE)
  void shape(
      @Holds(
              value = ShapeRequest.class,
              many = true,
              example =
                  "[{\"face\": \"fraunces\", \"text\": \"the sky is open\", \"axes\": {\"wght\": 650}}]")
          @RequestBody
          JsonBody body,
      HttpServletResponse response)
      throws IOException {
    List<ShapedRun> runs = RunRequestCodec.read(body.value()).stream().map(shaper::run).toList();
    response.setContentType(MediaType.APPLICATION_JSON_VALUE);
    response.setCharacterEncoding("UTF-8");
    // Written run by run: an answer may be far longer than its question.
    Writer out = response.getWriter();
    out.write('[');
    for (int i = 0; i < runs.size(); i++) {
      out.write(i == 0 ? "" : ",");
      ShapedRunCodec.write(runs.get(i)).writeTo(out);
    }
    out.write(']');
    out.flush();
  }
}
