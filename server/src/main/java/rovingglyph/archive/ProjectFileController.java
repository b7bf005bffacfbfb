package rovingglyph.archive;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.formats.FileNames;
import rovingglyph.projects.ProjectStore;
import rovingglyph.schema.Fields;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;
import rovingglyph.uploads.StoredFiles;

/** Project files over HTTP. */
@RestController
class ProjectFileController {
  /** For the description of the interface. */
  record NewFile(String name, Long size) {}

  /** For the description of the interface. */
  record Opening(String name, UUID project) {}

  private static final int LONGEST_NAME = 200;

  private final ProjectStore projects;
  private final ProjectFileWriter writer;
  private final ProjectIntake intake;
  private final StoredFiles stored;

  ProjectFileController(
      ProjectStore projects, ProjectFileWriter writer, ProjectIntake intake, StoredFiles stored) {
    this.projects = projects;
    this.writer = writer;
    this.intake = intake;
    this.stored = stored;
  }

  @Operation(
      summary = "A project as a file: its scenes and all that they need",
      description = "A ZIP; docs/project-file.md describes it")
  @GetMapping("/api/projects/{project}/file")
  void file(@PathVariable UUID project, HttpServletResponse response) throws IOException {
    String name = projects.get(project).name();
    writer.check(project);
    response.setContentType("application/zip");
    response.setHeader(
        "Content-Disposition",
        ContentDisposition.attachment()
            .filename(
                FileNames.plain(name) + "-" + LocalDate.now() + ".zip", StandardCharsets.UTF_8)
            .build()
            .toString());
    writer.write(project, name, response.getOutputStream());
  }

  @Operation(
      summary = "Begins the upload of a project file, at most 4 GB, in pieces of 1 MiB",
      description = "Its pieces go to /api/uploads/{id}/pieces/{number}")
  @PostMapping("/api/project-files")
  @ResponseStatus(HttpStatus.CREATED)
  StoredFiles.Upload begin(
      @Holds(value = NewFile.class, example = "{\"name\": \"fair.zip\", \"size\": 1048576}")
          @RequestBody
          JsonBody body) {
    Fields f = body.fields();
    String name = f.text("name", LONGEST_NAME, "Project");
    double size = f.number("size", 1, ProjectFile.LARGEST, 0);
    if (size == 0) {
      f.problem("size", "is missing", "the bytes of the file");
    }
    f.check();
    return stored.begin(StoredFiles.NO_PROJECT, name, (long) size);
  }

  @Operation(
      summary = "What is in an uploaded project file, and what of it is new here",
      description = "422 with the reason where it cannot be used, 409 while pieces are missing")
  @GetMapping("/api/project-files/{upload}")
  ProjectIntake.Look look(@PathVariable UUID upload) throws IOException, InterruptedException {
    return intake.look(upload);
  }

  @Operation(
      summary = "Opens an uploaded project file as a new project, or into one that is there",
      description = "All of it or, where something of it cannot be used, nothing")
  @PostMapping("/api/project-files/{upload}/open")
  @ResponseStatus(HttpStatus.CREATED)
  ProjectStore.Project open(
      @PathVariable UUID upload,
      @Holds(value = Opening.class, example = "{\"name\": \"Fair, second year\"}") @RequestBody
          JsonBody body)
      throws IOException, InterruptedException {
    Fields f = body.fields();
    String name = f.text("name", LONGEST_NAME, "").strip();
    String project = f.text("project", 40, null);
    f.check();
    return intake.open(upload, name.isEmpty() ? null : name, id(project));
  }

  private static UUID id(String text) {
    try {
      return text == null ? null : UUID.fromString(text);
    } catch (IllegalArgumentException e) {
      throw RefusedException.notFound("project");
    }
  }
}
