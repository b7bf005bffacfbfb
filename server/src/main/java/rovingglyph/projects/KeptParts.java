package rovingglyph.projects;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.schema.DocumentException;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/**
 * Parts of documents that a project keeps by name.
 *
 * @param table that has them
 * @param field in which the part is, in the table as over HTTP
 * @param longest a part may be, in characters
 * @param most that a project keeps
 * @param check throws a {@link DocumentException} for a part that cannot be used
 */
public record KeptParts(
    JdbcClient jdbc,
    ProjectStore projects,
    String table,
    String field,
    int longest,
    int most,
    Consumer<JsonValue> check) {
  /** What holds for most kinds. */
  public static final int LONGEST = 20_000;

  /** The same. */
  public static final int MOST = 100;

  /** What is kept; {@code part} as JSON. */
  public record Kept(UUID id, String name, String part) {
    JsonObject json(String field) {
      return new JsonObject()
          .add("id", id.toString())
          .add("name", name)
          .add(field, Json.parse(part));
    }
  }

  /** All of a project, in the order in which they came. */
  public List<Kept> of(UUID project) {
    String columns = "id, name, " + field + "::text as part";
    return jdbc.sql("select " + columns + " from " + table + " where project_id = ? order by place")
        .param(project)
        .query(Kept.class)
        .list();
  }

  /** All of a project, as JSON. */
  public String list(UUID project) {
    JsonArray out = new JsonArray();
    of(project).forEach(k -> out.add(k.json(field)));
    return out.toString();
  }

  /** Keeps one of a name and a part; as JSON, with its id. */
  public String keep(UUID project, JsonBody body) {
    projects.require(project);
    JsonValue value;
    try {
      value = body.value();
    } catch (DocumentException e) {
      throw RefusedException.bad(e.getMessage());
    }
    if (!value.isObject()) {
      throw RefusedException.bad("An object with name and " + field + " is needed");
    }
    JsonValue name = value.asObject().get("name");
    if (name == null || !name.isString()) {
      throw RefusedException.bad("name: a text is needed");
    }
    String checked = new NewName(name.asString()).checked();
    Kept k = new Kept(UUID.randomUUID(), checked, part(value.asObject().get(field)));
    insert(project, k);
    return k.json(field).toString();
  }

  /**
   * Keeps a part that came with a project file, unless the project has the same under that name.
   *
   * @throws RefusedException for one that cannot be used
   */
  public void keep(UUID project, String name, JsonValue value) {
    Kept k = new Kept(UUID.randomUUID(), new NewName(name).checked(), part(value));
    boolean known =
        of(project).stream()
            .anyMatch(o -> o.name().equals(k.name()) && Json.parse(o.part()).equals(value));
    if (!known) {
      insert(project, k);
    }
  }

  private void insert(UUID project, Kept k) {
    if (of(project).size() >= most) {
      throw RefusedException.bad("A project keeps at most " + most + ": forget one first");
    }
    jdbc.sql(
            "insert into "
                + table
                + " (id, project_id, name, "
                + field
                + ") values (?, ?, ?, ?::json)")
        .params(k.id(), project, k.name(), k.part())
        .update();
  }

  private String part(JsonValue part) {
    if (part == null) {
      throw RefusedException.bad(field + ": is missing");
    }
    String text = part.toString();
    if (text.length() > longest) {
      throw RefusedException.bad(field + ": has more than " + longest + " characters");
    }
    try {
      check.accept(part);
    } catch (DocumentException e) {
      throw RefusedException.bad(field + ": cannot be used: " + e.getMessage());
    }
    return text;
  }

  public void remove(UUID project, UUID id) {
    jdbc.sql("delete from " + table + " where project_id = ? and id = ?")
        .params(project, id)
        .update();
  }

  /** Gives a copy of a project what another keeps. */
  static void copy(JdbcClient jdbc, String table, String field, UUID from, UUID to) {
    jdbc.sql(
            "insert into "
                + table
                + " (id, project_id, name, "
                + field
                + ") select gen_random_uuid(), ?, name, "
                + field
                + " from "
                + table
                + " where project_id = ? order by place")
        .params(to, from)
        .update();
  }
}
