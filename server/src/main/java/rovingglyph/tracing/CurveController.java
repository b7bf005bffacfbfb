package rovingglyph.tracing;

import com.fasterxml.jackson.annotation.JsonRawValue;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.PathCodec;
import rovingglyph.projects.ProjectStore;
import rovingglyph.scene.GuidePath;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Curves kept with a project for use again, over HTTP. */
@RestController
@RequestMapping("/api/projects/{project}/curves")
class CurveController {
  /** A kept curve; {@code path} is a path as in a scene document. */
  record Curve(UUID id, String name, @JsonRawValue String path) {}

  private final JdbcClient jdbc;
  private final ProjectStore projects;

  CurveController(JdbcClient jdbc, ProjectStore projects) {
    this.jdbc = jdbc;
    this.projects = projects;
  }

  @Operation(summary = "The curves kept with a project")
  @GetMapping
  List<Curve> list(@PathVariable UUID project) {
    return jdbc.sql("select id, name, path from curve where project_id = ? order by place")
        .param(project)
        .query(Curve.class)
        .list();
  }

  @Operation(summary = "Keeps a path (the body, as in a scene document) with a project")
  @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Curve keep(
      @PathVariable UUID project,
      @Holds(
              example =
                  "{\"id\": \"rope\", \"name\": \"Rope\", \"kind\": \"circle\", \"x\": 960, \"y\": 540, \"radius\": 300}")
          @RequestBody
          JsonBody body) {
    projects.require(project);
    GuidePath path = read(body);
    if (list(project).size() >= KeptCurves.MOST) {
      throw RefusedException.bad(
          "A project keeps at most " + KeptCurves.MOST + " curves; delete some first");
    }
    Curve curve = new Curve(UUID.randomUUID(), path.name(), PathCodec.write(path));
    jdbc.sql("insert into curve (id, project_id, name, path) values (?, ?, ?, ?::json)")
        .params(curve.id(), project, curve.name(), curve.path())
        .update();
    return curve;
  }

  private static GuidePath read(JsonBody body) {
    if (body.text().length() > KeptCurves.LONGEST) {
      throw RefusedException.bad("A curve has at most " + KeptCurves.LONGEST + " characters");
    }
    return PathCodec.read(body.value());
  }

  @Operation(summary = "Takes a kept curve away")
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable UUID project, @PathVariable UUID id) {
    int gone =
        jdbc.sql("delete from curve where id = ? and project_id = ?").params(id, project).update();
    if (gone == 0) {
      throw RefusedException.notFound("curve");
    }
  }
}
