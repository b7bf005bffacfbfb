package rovingglyph.projects;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.EasingCodec;
import rovingglyph.schema.DocumentException;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Easings of their own that a project keeps. */
@RestController
class EasingController {
  private static final int MOST = 100;
  private static final int LONGEST = 20_000;

  /** For the description of the interface. */
  record NewEasing(String name, Object curve) {}

  private record Kept(UUID id, String name, String curve) {
    JsonObject json() {
      return new JsonObject()
          .add("id", id.toString())
          .add("name", name)
          .add("curve", Json.parse(curve));
    }
  }

  private final JdbcClient jdbc;
  private final ProjectStore projects;

  EasingController(JdbcClient jdbc, ProjectStore projects) {
    this.jdbc = jdbc;
    this.projects = projects;
  }

  private List<Kept> kept(UUID project) {
    return jdbc.sql(
            "select id, name, curve::text as curve from easing where project_id = ? order by place")
        .param(project)
        .query(Kept.class)
        .list();
  }

  @Operation(summary = "The easings that a project keeps")
  @GetMapping(
      value = "/api/projects/{project}/easings",
      produces = MediaType.APPLICATION_JSON_VALUE)
  String list(@PathVariable UUID project) {
    JsonArray out = new JsonArray();
    kept(project).forEach(k -> out.add(k.json()));
    return out.toString();
  }

  @Operation(summary = "Keeps an easing: its name, and its curve as in a scene document")
  @PostMapping(
      value = "/api/projects/{project}/easings",
      produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  String keep(@PathVariable UUID project, @Holds(NewEasing.class) @RequestBody JsonBody body) {
    projects.require(project);
    JsonValue value;
    try {
      value = body.value();
    } catch (DocumentException e) {
      throw RefusedException.bad(e.getMessage());
    }
    if (!value.isObject()) {
      throw RefusedException.bad("An easing is an object with name and curve");
    }
    JsonValue name = value.asObject().get("name");
    if (name == null || !name.isString()) {
      throw RefusedException.bad("name: a text is needed");
    }
    String checked = new NewName(name.asString()).checked();
    JsonValue curve = value.asObject().get("curve");
    if (curve == null || kept(project).size() >= MOST) {
      throw RefusedException.bad(
          curve == null ? "The curve is missing" : "A project keeps at most " + MOST + " easings");
    }
    String text = curve.toString();
    if (text.length() > LONGEST) {
      throw RefusedException.bad("The curve has more than " + LONGEST + " characters");
    }
    try {
      EasingCodec.read(curve);
    } catch (DocumentException e) {
      throw RefusedException.bad("The curve cannot be used: " + e.getMessage());
    }
    Kept k = new Kept(UUID.randomUUID(), checked, text);
    jdbc.sql("insert into easing (id, project_id, name, curve) values (?, ?, ?, ?::json)")
        .params(k.id(), project, k.name(), k.curve())
        .update();
    return k.json().toString();
  }

  @Operation(summary = "Forgets an easing")
  @DeleteMapping("/api/projects/{project}/easings/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID project, @PathVariable UUID id) {
    jdbc.sql("delete from easing where project_id = ? and id = ?").params(project, id).update();
  }
}
