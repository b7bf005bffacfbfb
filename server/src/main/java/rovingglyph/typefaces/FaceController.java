package rovingglyph.typefaces;

import com.eclipsesource.json.JsonArray;
import io.swagger.v3.oas.annotations.Operation;
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
import rovingglyph.document.Spelling;
import rovingglyph.scene.Typesetting;
import rovingglyph.server.RefusedException;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRunCodec;

/** Typefaces, and text shaped in them. */
@RestController
class FaceController {
  private static final int MOST_RUNS = 200;
  private static final int LONGEST = 20_000;
  private static final int MOST_FEATURES = 100;

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

  record ShapeRequest(
      String face,
      Map<String, Double> axes,
      String text,
      Boolean ligatures,
      String casing,
      Map<String, Integer> features) {

    RunRequest run() {
      boolean whole = text != null && face != null && text.length() <= LONGEST;
      if (!whole || (features != null && features.size() > MOST_FEATURES)) {
        throw RefusedException.bad(
            "A text to shape needs face and text, of at most "
                + LONGEST
                + " characters, with at most "
                + MOST_FEATURES
                + " features");
      }
      Typesetting.Casing c =
          casing == null
              ? Typesetting.Casing.AS_TYPED
              : Spelling.find(Typesetting.Casing.values(), casing);
      if (c == null) {
        throw RefusedException.bad("There is no casing \"" + casing + "\"");
      }
      return new RunRequest(
          face,
          axes == null ? Map.of() : axes,
          text,
          ligatures == null || ligatures,
          c,
          features == null ? Map.of() : features);
    }
  }

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

  @Operation(summary = "Shapes texts: clusters, advances and outlines in em units, y down")
  @PostMapping(value = "/api/shape", produces = MediaType.APPLICATION_JSON_VALUE)
  String shape(@RequestBody List<ShapeRequest> requests) {
    if (requests.size() > MOST_RUNS) {
      throw RefusedException.bad("At most " + MOST_RUNS + " texts are shaped at once");
    }
    JsonArray out = new JsonArray();
    requests.forEach(r -> out.add(ShapedRunCodec.write(shaper.run(r.run()))));
    return out.toString();
  }
}
