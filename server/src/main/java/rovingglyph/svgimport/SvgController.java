package rovingglyph.svgimport;

import io.swagger.v3.oas.annotations.Operation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** SVG files over HTTP. Nothing is kept. */
@RestController
class SvgController {

  @Operation(
      summary = "An SVG file as filled shapes; none where it is more than these",
      description =
          "Plain colours only: whatever has lines, gradients, text or effects, or is cut off by its"
              + " frame, has no shapes here and is to be kept as a picture.")
  @PostMapping(value = "/api/svg-drawing", consumes = MediaType.ALL_VALUE)
  SvgDrawing.Result drawing(@RequestBody(required = false) byte[] file) {
    return SvgDrawing.read(file == null ? new byte[0] : file);
  }

  @Operation(
      summary = "The paths that an SVG file draws, one subpath each",
      description =
          "Basic shapes, transforms, viewBox, units and use included; no entity, script or "
              + "outside reference is followed. 422 says why a file cannot be used.")
  @PostMapping(value = "/api/svg-paths", consumes = MediaType.ALL_VALUE)
  SvgPaths.Result paths(@RequestBody(required = false) byte[] file) {
    return SvgPaths.read(file == null ? new byte[0] : file);
  }
}
