package rovingglyph.projects;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import rovingglyph.server.RefusedException;

/** Projects. Deleting only marks them, so that it can be undone. */
@Repository
public class ProjectStore {
  /** A project with its scenes, deleted ones included and marked. */
  public record Project(
      UUID id, String name, Instant createdAt, boolean deleted, List<SceneStore.Entry> scenes) {}

  private record Row(UUID id, String name, Instant createdAt, boolean deleted) {}

  private final JdbcClient jdbc;
  private final SceneStore scenes;

  public ProjectStore(JdbcClient jdbc, SceneStore scenes) {
    this.jdbc = jdbc;
    this.scenes = scenes;
  }

  public List<Project> list() {
    List<SceneStore.Entry> all = scenes.list();
    return jdbc
        .sql(
            "select id, name, created_at, deleted_at is not null as deleted"
                + " from project order by created_at, id")
        .query(Row.class)
        .list()
        .stream()
        .map(
            p ->
                new Project(
                    p.id(),
                    p.name(),
                    p.createdAt(),
                    p.deleted(),
                    all.stream().filter(s -> s.projectId().equals(p.id())).toList()))
        .toList();
  }

  public Project get(UUID id) {
    Row p =
        jdbc.sql(
                "select id, name, created_at, deleted_at is not null as deleted"
                    + " from project where id = ?")
            .param(id)
            .query(Row.class)
            .optional()
            .orElseThrow(() -> RefusedException.notFound("project"));
    return new Project(p.id(), p.name(), p.createdAt(), p.deleted(), scenes.ofProject(id));
  }

  /** Refuses what would be done to a project that is not there. */
  public void require(UUID id) {
    boolean there =
        jdbc.sql("select exists (select 1 from project where id = ?)")
            .param(id)
            .query(Boolean.class)
            .single();
    if (!there) {
      throw RefusedException.notFound("project");
    }
  }

  /** A project with these scenes, in order. */
  @Transactional
  public Project create(String name, List<String> documents) {
    UUID id = UUID.randomUUID();
    jdbc.sql("insert into project (id, name) values (?, ?)").params(id, name).update();
    documents.forEach(d -> scenes.create(id, d));
    return get(id);
  }

  public Project rename(UUID id, String name) {
    jdbc.sql("update project set name = ? where id = ?").params(name, id).update();
    return get(id);
  }

  @Transactional
  public Project duplicate(UUID id) {
    Project copy = create(NewName.copyOf(get(id).name()), List.of());
    scenes.copyAll(id, copy.id());
    KeptParts.copy(jdbc, "curve", "path", id, copy.id());
    KeptParts.copy(jdbc, "easing", "curve", id, copy.id());
    KeptParts.copy(jdbc, "finish", "effects", id, copy.id());
    KeptParts.copy(jdbc, "file_set", "files", id, copy.id());
    jdbc.sql(
            "update project set (file_names, keep_files_days) ="
                + " (select file_names, keep_files_days from project where id = ?) where id = ?")
        .params(id, copy.id())
        .update();
    jdbc.sql(
            "insert into project_picture (project_id, picture_id, name)"
                + " select ?, picture_id, name from project_picture where project_id = ?"
                + " order by place")
        .params(copy.id(), id)
        .update();
    jdbc.sql(
            "insert into project_footage (project_id, footage_id, name)"
                + " select ?, footage_id, name from project_footage where project_id = ?"
                + " order by place")
        .params(copy.id(), id)
        .update();
    jdbc.sql(
            "insert into project_typeface (project_id, typeface_id)"
                + " select ?, typeface_id from project_typeface where project_id = ?")
        .params(copy.id(), id)
        .update();
    return get(copy.id());
  }

  public Project setDeleted(UUID id, boolean deleted) {
    jdbc.sql("update project set deleted_at = case when ? then now() end where id = ?")
        .params(deleted, id)
        .update();
    return get(id);
  }

  public boolean isEmpty() {
    return jdbc.sql("select count(*) from project").query(Long.class).single() == 0;
  }
}
