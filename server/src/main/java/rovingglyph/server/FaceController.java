package rovingglyph.server;

import com.eclipsesource.json.JsonArray;
import io.swagger.v3.oas.annotations.Operation;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRunCodec;

/** Typefaces, and text shaped in them. */
@RestController
class FaceController {
  private static final int MOST_RUNS = 200;
  private static final int LONGEST = 20_000;

  record FaceInfo(String id, String name, String character, List<Face.Axis> axes) {}

  record ShapeRequest(String face, Map<String, Double> axes, String text, Boolean ligatures) {}

  private final FaceCatalogue faces;
  private final Shaper shaper;

  FaceController(FaceCatalogue faces, Shaper shaper) {
    this.faces = faces;
    this.shaper = shaper;
  }

  @Operation(summary = "The typefaces that letterings can use")
  @GetMapping("/api/faces")
  List<FaceInfo> faces() {
    return faces.all().stream()
        .map(f -> new FaceInfo(f.id(), f.name(), f.character(), f.axes()))
        .toList();
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
    for (ShapeRequest r : requests) {
      if (r.text() == null || r.face() == null || r.text().length() > LONGEST) {
        throw RefusedException.bad(
            "A text to shape needs face and text, of at most " + LONGEST + " characters");
      }
      Map<String, Double> axes = r.axes() == null ? Map.of() : r.axes();
      boolean ligatures = r.ligatures() == null || r.ligatures();
      out.add(
          ShapedRunCodec.write(shaper.run(new RunRequest(r.face(), axes, r.text(), ligatures))));
    }
    return out.toString();
  }
}
