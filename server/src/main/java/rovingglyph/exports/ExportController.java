package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.SceneBundle;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.FileNames;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Exports over HTTP. */
@RestController
class ExportController {
  /** Without {@code options} its other fields are read as these. */
  record NewExport(String format, Map<String, Double> options, Double at) {}

  /**
   * What a client sees; {@code secondsLeft} is null while nothing can be said, {@code waitsFor}
   * where it waits for its turn only, or not at all.
   */
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
      String waitsFor,
      Long size) {}

  private final ExportStore exports;
  private final ExportJobs jobs;
  private final SceneStore scenes;
  private final ShownScenes shown;

  ExportController(ExportStore exports, ExportJobs jobs, SceneStore scenes, ShownScenes shown) {
    this.exports = exports;
    this.jobs = jobs;
    this.scenes = scenes;
    this.shown = shown;
  }

  @Operation(
      summary =
          "Begins an export of the scene as it is kept now, in one of the formats of"
              + " /api/export-formats")
  @PostMapping("/api/scenes/{sceneId}/exports")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Status create(@PathVariable UUID sceneId, @Holds(NewExport.class) @RequestBody JsonBody body) {
    Fields f = body.fields();
    String asked = f.text("format", 80, "");
    f.check();
    ExportFormat format = ExportFormats.of(asked.toLowerCase(Locale.ROOT));
    if (format == null) {
      throw RefusedException.bad("format: one of " + FormatController.ids());
    }
    ExportOptions options =
        ExportOptions.read(format, f.get("options") == null ? f : f.object("options"));
    f.check();
    SceneStore.Kept kept = scenes.get(sceneId);
    String document = shown.bundle(kept.projectId(), kept.document());
    Scene scene = ExportFormats.applied(SceneBundle.read(document), options);
    String reason = ExportFormats.unsupportedReason(format, scene, options);
    if (reason != null) {
      throw RefusedException.bad(reason);
    }
    UUID id =
        exports.create(
            sceneId,
            scene.name(),
            format.id(),
            options.text(),
            document,
            format.frames(scene, options),
            format.note(scene, options));
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
  void file(@PathVariable UUID id, HttpServletResponse response) throws IOException {
    ExportStore.Export e = exports.get(id);
    ExportFormat format = ExportFormats.of(e.format());
    if (e.size() == null || format == null) {
      throw RefusedException.notFound("file");
    }
    response.setContentType(format.words().mediaType());
    response.setContentLengthLong(e.size());
    response.setHeader(
        "Content-Disposition",
        ContentDisposition.attachment()
            .filename(fileName(e), StandardCharsets.UTF_8)
            .build()
            .toString());
    // An SVG opened from here is shown, but nothing in it could ever run.
    response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'");
    exports.write(id, response.getOutputStream());
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
        e.state().toLowerCase(Locale.ROOT),
        e.framesDone(),
        e.framesTotal(),
        left,
        e.askedAt(),
        e.message(),
        e.waitsFor(),
        e.size());
  }

  private static String fileName(ExportStore.Export e) {
    ExportFormat format = ExportFormats.of(e.format());
    String when =
        DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss")
            .withZone(ZoneId.systemDefault())
            .format(e.askedAt());
    String twin = e.twins() == 0 ? "" : "-" + (e.twins() + 1);
    String end = format == null ? e.format() : format.words().extension();
    return FileNames.plain(e.sceneName()) + "-" + when + twin + "." + end;
  }
}
