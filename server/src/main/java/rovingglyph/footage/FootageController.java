package rovingglyph.footage;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
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
import rovingglyph.projects.ProjectStore;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FrameRate;
import rovingglyph.server.RefusedException;
import rovingglyph.server.UnableException;
import rovingglyph.uploads.StoredFiles;

/** Footage over HTTP. */
@RestController
class FootageController {
  /** What is going to be uploaded. */
  @Schema(example = "{\"name\": \"Pier at dusk\", \"size\": 1048576}")
  record NewUpload(String name, long size) {}

  private static final int LONGEST_NAME = 200;

  private final FootageStore footage;
  private final StageFootage stage;
  private final StoredFiles files;
  private final FootageIntake intake;
  private final FootageJobs jobs;
  private final ProjectStore projects;

  FootageController(
      FootageStore footage,
      StageFootage stage,
      StoredFiles files,
      FootageIntake intake,
      FootageJobs jobs,
      ProjectStore projects) {
    this.footage = footage;
    this.stage = stage;
    this.files = files;
    this.intake = intake;
    this.jobs = jobs;
    this.projects = projects;
  }

  @Operation(summary = "The footage of a project, how far it is, and whether a scene shows it")
  @GetMapping("/api/projects/{project}/footage")
  List<FootageStore.Kept> list(@PathVariable UUID project) {
    return footage.of(project);
  }

  @Operation(
      summary =
          "Begins the upload of an MP4, MOV, WebM, GIF or animated WebP file or of a ZIP of numbered"
              + " stills, at most 2 GiB, in pieces of 1 MiB")
  @PostMapping("/api/projects/{project}/uploads")
  @ResponseStatus(HttpStatus.CREATED)
  StoredFiles.Upload begin(@PathVariable UUID project, @RequestBody NewUpload upload) {
    projects.require(project);
    if (upload.size() < 1 || upload.size() > FootageFile.LARGEST) {
      throw refused(
          upload.size() < 1
              ? "The file is empty"
              : "The file has more than 2 GiB; make it smaller, or cut it");
    }
    if (footage.of(project).size() >= FootageStore.MOST) {
      throw refused("A project keeps at most " + FootageStore.MOST + "; remove some first");
    }
    String given = upload.name() == null ? "" : upload.name().strip();
    String name = given.isEmpty() ? "Footage" : given;
    return files.begin(
        project, name.substring(0, Math.min(name.length(), LONGEST_NAME)), upload.size());
  }

  @Operation(
      summary =
          "Ends an upload: its file is looked into and kept with the project, or refused with the"
              + " reason; 409 while pieces are missing. Numbered stills have the rate given, or 25")
  @PostMapping("/api/uploads/{id}/end")
  FootageStore.Kept end(@PathVariable UUID id, @RequestParam(required = false) String rate)
      throws InterruptedException {
    FrameRate ofStills = rate(rate);
    StoredFiles.Upload upload = files.whole(id);
    projects.require(upload.projectId());
    try {
      String kept = intake.keep(upload.projectId(), upload.name(), id, ofStills);
      jobs.enqueue(kept);
      return footage.of(upload.projectId(), kept);
    } catch (FootageFile.Unusable e) {
      throw refused(e.getMessage());
    } catch (IOException e) {
      throw new UnableException("The footage could not be checked: " + e.getMessage(), e);
    }
  }

  private static FrameRate rate(String text) {
    try {
      FrameRate rate = text == null ? FootageIntake.PLAIN_RATE : FrameRate.parse(text);
      if (rate.perSecond() <= Footage.FASTEST_RATE) {
        return rate;
      }
    } catch (IllegalArgumentException e) {
      // Told like one that is too fast.
    }
    throw refused("Write the rate of stills like 25 or 30000/1001, up to 240 frames a second");
  }

  private static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "The footage cannot be used", detail, Map.of());
  }

  @Operation(
      summary =
          "Takes footage out of a project, being prepared or not; 409 with the names of the scenes"
              + " that show it, unless used is true")
  @DeleteMapping("/api/projects/{project}/footage/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @PathVariable UUID project,
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean used) {
    footage.remove(project, id, used);
  }

  @Operation(summary = "The first frame of footage, as soon as it is kept")
  @GetMapping("/api/footage/{id}/still")
  ResponseEntity<byte[]> still(@PathVariable String id) {
    byte[] still = stage.still(id);
    boolean png = still.length > 0 && still[0] == (byte) 0x89;
    return forGood().contentType(png ? MediaType.IMAGE_PNG : MediaType.IMAGE_JPEG).body(still);
  }

  @Operation(
      summary =
          "The times of the frames in seconds, how many are in each run, and their media type; 404"
              + " where it is not kept, 409 while it is being prepared")
  @GetMapping("/api/footage/{id}/frames")
  ResponseEntity<StageFootage.Frames> frames(@PathVariable String id) {
    FootageStore.State state = footage.state(id);
    if (state == null || state == FootageStore.State.FAILED) {
      throw RefusedException.notFound("footage");
    }
    return forGood()
        .body(
            stage
                .frames(id)
                .orElseThrow(
                    () ->
                        new RefusedException(
                            HttpStatus.CONFLICT,
                            "The footage is not ready",
                            "Its frames are still being made",
                            Map.of())));
  }

  @Operation(
      summary =
          "A run of frames as the stage shows them: how many, the length of each in bytes (both as"
              + " 32-bit numbers, the highest byte first), and the pictures one after another")
  @GetMapping("/api/footage/{id}/runs/{number}")
  ResponseEntity<byte[]> run(@PathVariable String id, @PathVariable int number) {
    StageFootage.Run run =
        stage.run(id, number).orElseThrow(() -> RefusedException.notFound("run of frames"));
    ByteBuffer out = ByteBuffer.allocate(4 + 4 * run.lengths().length + run.bytes().length);
    out.putInt(run.lengths().length);
    for (int length : run.lengths()) {
      out.putInt(length);
    }
    out.put(run.bytes());
    return forGood().contentType(MediaType.APPLICATION_OCTET_STREAM).body(out.array());
  }

  @Operation(summary = "The loudest of every fiftieth of a second, a byte each")
  @GetMapping("/api/footage/{id}/peaks")
  ResponseEntity<byte[]> peaks(@PathVariable String id) {
    return forGood()
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .body(stage.peaks(id).orElseThrow(() -> RefusedException.notFound("sound")));
  }

  @Operation(summary = "The sound of footage (Opus)")
  @GetMapping("/api/footage/{id}/sound")
  void sound(@PathVariable String id, HttpServletResponse answer) throws IOException {
    UUID file = stage.sound(id).orElseThrow(() -> RefusedException.notFound("sound"));
    answer.setContentType("audio/ogg");
    answer.setHeader("Cache-Control", "max-age=31536000, immutable");
    files.write(file, answer.getOutputStream());
  }

  /** An id is made from the file: what it names never changes. */
  private static ResponseEntity.BodyBuilder forGood() {
    return ResponseEntity.ok().cacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
  }
}
