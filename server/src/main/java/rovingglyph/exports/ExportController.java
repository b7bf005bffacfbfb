package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
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
import rovingglyph.document.SceneBundle;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.projects.ScenePictures;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Exports over HTTP. */
@RestController
class ExportController {
  /** Without {@code options} its other fields are read as these. */
  record NewExport(String format, Map<String, Object> options, Double at) {}

  /**
   * What a client sees; {@code secondsLeft} is null while nothing can be said, {@code waitsFor}
   * where it waits for its turn only, or not at all. {@code choices} is what was chosen for it, in
   * words, {@code webhook} what came of telling the address that it has: null without one, waiting,
   * told, or why it could not be.
   */
  record Status(
      UUID id,
      UUID projectId,
      UUID sceneId,
      String sceneName,
      String fileName,
      String format,
      String choices,
      String state,
      int framesDone,
      int framesTotal,
      Double secondsLeft,
      Instant askedAt,
      String message,
      String waitsFor,
      Long size,
      String webhook) {}

  /** Over all scenes so many files are listed. */
  private static final int MOST_LISTED = 300;

  /** Width and height of a small picture at most, px. */
  private static final double SMALL = 160;

  private final ExportStore exports;
  private final ExportAsking asking;
  private final SeriesAsking series;
  private final ScenePictures pictures;

  ExportController(
      ExportStore exports, ExportAsking asking, SeriesAsking series, ScenePictures pictures) {
    this.exports = exports;
    this.asking = asking;
    this.series = series;
    this.pictures = pictures;
  }

  @Operation(
      summary =
          "Begins an export of the scene as it is kept now, in one of the formats of"
              + " /api/export-formats")
  @PostMapping("/api/scenes/{sceneId}/exports")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Status create(
      @PathVariable UUID sceneId,
      @Holds(
              value = NewExport.class,
              example = "{\"format\": \"gif\", \"options\": {\"size\": 50, \"to\": 24}}")
          @RequestBody
          JsonBody body) {
    return status(exports.get(asking.begin(asking.read(sceneId, body.fields()))));
  }

  @Operation(
      summary = "What an export would be: its frames and size, what is in the way, an estimate",
      description =
          "Takes what beginning one takes. The estimate is made from a few frames; it is missing"
              + " where that would take too long.")
  @PostMapping("/api/scenes/{sceneId}/export-plan")
  ExportAsking.Plan plan(
      @PathVariable UUID sceneId,
      @Holds(
              value = NewExport.class,
              example = "{\"format\": \"gif\", \"options\": {\"size\": 50, \"to\": 24}}")
          @RequestBody
          JsonBody body)
      throws IOException, InterruptedException {
    return asking.plan(asking.read(sceneId, body.fields()));
  }

  @Operation(summary = "The latest exports of a scene")
  @GetMapping("/api/scenes/{sceneId}/exports")
  List<Status> list(@PathVariable UUID sceneId) {
    return exports.ofScene(sceneId).stream().map(ExportController::status).toList();
  }

  @Operation(summary = "The latest exports of all scenes, or of those of one project")
  @GetMapping("/api/exports")
  List<Status> listAll(@RequestParam(required = false) UUID project) {
    return exports.latest(project, MOST_LISTED).stream().map(ExportController::status).toList();
  }

  @Operation(summary = "One export")
  @GetMapping("/api/exports/{id}")
  Status get(@PathVariable UUID id) {
    return status(exports.get(id));
  }

  @Operation(summary = "Begins it again, with the same choices, of its scene as that is kept now")
  @PostMapping("/api/exports/{id}/again")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Status again(@PathVariable UUID id) {
    ExportStore.Export before = exports.get(id);
    return status(
        exports.get(
            before.format().equals(SeriesExport.ID)
                ? series.again(before)
                : asking.begin(asking.again(before))));
  }

  @Operation(summary = "Cancels an export, or takes a finished one away")
  @DeleteMapping("/api/exports/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    exports.remove(id);
  }

  @Operation(summary = "A small picture of what an export was made of, a third into the scene")
  @GetMapping(value = "/api/exports/{id}/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable UUID id) throws IOException, InterruptedException {
    exports.get(id);
    byte[] png = pictures.png(SceneBundle.read(exports.document(id)), SMALL);
    return ResponseEntity.ok()
        // Its document is a copy, which never changes.
        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
        .body(png);
  }

  @Operation(summary = "The finished file")
  @GetMapping("/api/exports/{id}/file")
  void file(@PathVariable UUID id, HttpServletResponse response) throws IOException {
    ExportStore.Export e = exports.get(id);
    ExportFormat format = ExportFormats.of(e.format());
    boolean ofSeries = e.format().equals(SeriesExport.ID);
    if (e.size() == null || (format == null && !ofSeries)) {
      throw RefusedException.notFound("file");
    }
    response.setContentType(ofSeries ? "application/zip" : format.words().mediaType());
    response.setContentLengthLong(e.size());
    response.setHeader(
        "Content-Disposition",
        ContentDisposition.attachment()
            .filename(e.fileName(), StandardCharsets.UTF_8)
            .build()
            .toString());
    // An SVG opened from here is shown, but nothing in it could ever run.
    response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'");
    exports.write(id, response.getOutputStream());
  }

  private static String webhook(ExportStore.Export e) {
    if (e.webhook() == null || e.webhookResult() == null) {
      return e.webhook() == null ? null : "waiting";
    }
    return e.webhookResult().isEmpty() ? "told" : e.webhookResult();
  }

  private static String choices(ExportStore.Export e) {
    if (e.format().equals(SeriesExport.ID)) {
      return SeriesExport.words(e.options());
    }
    ExportFormat format = ExportFormats.of(e.format());
    return format == null ? "" : ExportOptions.parse(format, e.options()).words(format);
  }

  static Status status(ExportStore.Export e) {
    Double left = null;
    if (e.state().equals(ExportStore.State.RUNNING.name()) && e.framesDone() > 0) {
      double gone = Duration.between(e.startedAt(), Instant.now()).toMillis() / 1000.0;
      left = gone / e.framesDone() * (e.framesTotal() - e.framesDone());
    }
    return new Status(
        e.id(),
        e.projectId(),
        e.sceneId(),
        e.sceneName(),
        e.fileName(),
        e.format(),
        choices(e),
        e.state().toLowerCase(Locale.ROOT),
        e.framesDone(),
        e.framesTotal(),
        left,
        e.askedAt(),
        e.message(),
        e.waitsFor(),
        e.size(),
        webhook(e));
  }
}
