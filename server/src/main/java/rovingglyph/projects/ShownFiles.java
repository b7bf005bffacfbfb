package rovingglyph.projects;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.server.RefusedException;

/**
 * Files of a kind that projects keep and items of the same kind show: pictures or footage. The kind
 * is also the name of their table.
 *
 * @param kind as documents have it
 */
public record ShownFiles(String kind) {

  /**
   * The condition that a document shows a file: one of a scene, an export or a kept version.
   *
   * @param id in SQL
   */
  public String shows(String id) {
    return ("document::jsonb -> 'items' @> jsonb_build_array(jsonb_build_object("
            + "'kind', '%s', 'image', %s))")
        .formatted(kind, id);
  }

  /**
   * Takes a file out of a project's list.
   *
   * @param even whether it is taken out though scenes show it
   * @throws RefusedException if scenes show it, with their names
   */
  public void takeOut(JdbcClient jdbc, UUID project, String id, boolean even) {
    List<String> scenes =
        jdbc.sql(
                "select name from scene where project_id = ? and deleted_at is null and "
                    + shows("?::text")
                    + " order by place")
            .params(project, id)
            .query(String.class)
            .list();
    if (!scenes.isEmpty() && !even) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The " + kind + " is used",
          "It is shown in " + String.join(", ", scenes),
          Map.of("scenes", scenes));
    }
    int gone =
        jdbc.sql("delete from project_%1$s where project_id = ? and %1$s_id = ?".formatted(kind))
            .params(project, id)
            .update();
    if (gone == 0) {
      throw RefusedException.notFound(kind);
    }
  }

  /** The statement that deletes a file, by its id, if nothing shows it any more. */
  public String deleteUnused() {
    return """
    delete from %1$s where id = ?
      and not exists (select 1 from project_%1$s where %1$s_id = %1$s.id)
      and not exists (select 1 from scene where %2$s)
      and not exists (select 1 from scene_revision where %2$s)
      and not exists (
        select 1 from export
        where state <> 'DONE' and position(%1$s.id in document::text) > 0)"""
        .formatted(kind, shows(kind + ".id"));
  }
}
