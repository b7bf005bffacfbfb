package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.Fields;
import rovingglyph.document.SceneCodec;
import rovingglyph.projects.SceneStore;
import rovingglyph.render.SceneFiles;
import rovingglyph.scene.Scene;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Exports over HTTP. */
@RestController
class ExportController {
  record NewExport(String format, Double at) {}

  /** What a client sees; {@code secondsLeft} is null while nothing can be said. */
  record Status(
      UUID id,
      UUID sceneId,
      String fileName,
      String format,
      String state,
      int framesDone,
      int framesTotal,
      Double secondsLeft,
      Instant askedAt,
      String message,
      Long size) {}

  private final ExportStore exports;
  private final ExportJobs jobs;
  private final SceneStore scenes;

  ExportController(ExportStore exports, ExportJobs jobs, SceneStore scenes) {
    this.exports = exports;
    this.jobs = jobs;
    this.scenes = scenes;
  }

  @Operation(
      summary = "Begins an export of the scene as it is kept now: mp4, png (at seconds) or svg")
  @PostMapping("/api/scenes/{sceneId}/exports")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Status create(@PathVariable UUID sceneId, @Holds(NewExport.class) @RequestBody JsonBody body) {
    Fields f = body.fields();
    String asked = f.text("format", 80, "");
    double at = f.number("at", 0, 3600, 0);
    f.check();
    SceneFiles.Format format = SceneFiles.Format.of(asked);
    if (format == null) {
      throw RefusedException.bad("format: one of mp4, png, svg");
    }
    String document = scenes.get(sceneId).document();
    Scene scene = SceneCodec.read(document);
    String obstacle = SceneFiles.unsupportedReason(scene, format);
    if (obstacle != null) {
      throw RefusedException.bad(obstacle);
    }
    int frames = format == SceneFiles.Format.MP4 ? scene.frameCount() : 1;
    UUID id =
        exports.create(
            sceneId,
            scene.name(),
            format.ending(),
            at,
            document,
            frames,
            SceneFiles.note(scene, format));
    jobs.enqueue(id);
    return status(exports.get(id));
  }

  @Operation(summary = "The latest exports of a scene")
  @GetMapping("/api/scenes/{sceneId}/exports")
  List<Status> list(@PathVariable UUID sceneId) {
    return exports.ofScene(sceneId).stream().map(ExportController::status).toList();
  }

  @Operation(summary = "One export")
  @GetMapping("/api/exports/{id}")
  Status get(@PathVariable UUID id) {
    return status(exports.get(id));
  }

  @Operation(summary = "Cancels an export, or takes a finished one away")
  @DeleteMapping("/api/exports/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    exports.remove(id);
  }

  @Operation(summary = "The finished file")
  @GetMapping("/api/exports/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable UUID id) {
    ExportStore.Export e = exports.get(id);
    SceneFiles.Format format = SceneFiles.Format.of(e.format());
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(format.mediaType()))
        .header(
            "Content-Disposition",
            ContentDisposition.attachment()
                .filename(fileName(e), java.nio.charset.StandardCharsets.UTF_8)
                .build()
                .toString())
        // An SVG opened from here is shown, but nothing in it could ever run.
        .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'")
        .body(exports.file(id));
  }

  private static Status status(ExportStore.Export e) {
    Double left = null;
    if (e.state().equals(ExportStore.State.RUNNING.name()) && e.framesDone() > 0) {
      double gone = Duration.between(e.startedAt(), Instant.now()).toMillis() / 1000.0;
      left = gone / e.framesDone() * (e.framesTotal() - e.framesDone());
    }
    return new Status(
        e.id(),
        e.sceneId(),
        fileName(e),
        e.format(),
        e.state().toLowerCase(java.util.Locale.ROOT),
        e.framesDone(),
        e.framesTotal(),
        left,
        e.askedAt(),
        e.message(),
        e.size());
  }

  private static String fileName(ExportStore.Export e) {
    String plain = e.sceneName().replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    String when =
        DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss")
            .withZone(ZoneId.systemDefault())
            .format(e.askedAt());
    String twin = e.twins() == 0 ? "" : "-" + (e.twins() + 1);
    return (plain.isEmpty() ? "scene" : plain) + "-" + when + twin + "." + e.format();
  }
}
