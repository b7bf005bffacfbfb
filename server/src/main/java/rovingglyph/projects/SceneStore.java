package rovingglyph.projects;

import com.fasterxml.jackson.annotation.JsonRawValue;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import rovingglyph.document.DocumentException;
import rovingglyph.document.Problem;
import rovingglyph.document.SceneCodec;
import rovingglyph.server.RefusedException;

/** Scenes: the present document with its revision number, and all revisions behind it. */
@Repository
public class SceneStore {
  /** A scene as kept. */
  public record Kept(
      UUID id, UUID projectId, long revision, Instant savedAt, @JsonRawValue String document) {}

  /** A scene in a list. */
  public record Entry(
      UUID id, UUID projectId, String name, long revision, Instant savedAt, boolean deleted) {}

  private final JdbcClient jdbc;

  public SceneStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  public List<Entry> list() {
    return jdbc.sql(
            """
            select id, project_id, name, revision, saved_at, deleted_at is not null as deleted
            from scene order by place""")
        .query(Entry.class)
        .list();
  }

  public Kept get(UUID id) {
    return find(id).orElseThrow(() -> RefusedException.notFound("scene"));
  }

  private Optional<Kept> find(UUID id) {
    return jdbc.sql("select id, project_id, revision, saved_at, document from scene where id = ?")
        .param(id)
        .query(Kept.class)
        .optional();
  }

  /**
   * Keeps a new scene.
   *
   * @throws DocumentException if the document cannot be used
   */
  @Transactional
  public Kept create(UUID projectId, String document) {
    String name = SceneCodec.read(document).name();
    UUID id = UUID.randomUUID();
    storing(
        () ->
            jdbc.sql(
                    "insert into scene (id, project_id, name, document, revision)"
                        + " values (?, ?, ?, ?::jsonb, 1)")
                .params(id, projectId, name, document)
                .update());
    remember(id);
    return get(id);
  }

  /**
   * Keeps a document as the next revision, if {@code base} is the present one.
   *
   * @throws DocumentException if the document cannot be used; nothing is changed then
   * @throws RefusedException 412 with the present revision if somebody else was faster
   */
  @Transactional
  public long save(UUID id, long base, String document) {
    String name = SceneCodec.read(document).name();
    int changed =
        storing(
            () ->
                jdbc.sql(
                        """
                        update scene set document = ?::jsonb, name = ?, revision = revision + 1,
                          saved_at = now() where id = ? and revision = ?""")
                    .params(document, name, id, base)
                    .update());
    if (changed == 0) {
      Kept now = get(id);
      throw new RefusedException(
          HttpStatus.PRECONDITION_FAILED,
          "The scene has changed",
          "This scene was changed elsewhere since revision "
              + base
              + ". Choose whose version stands.",
          Map.of("revision", now.revision(), "savedAt", now.savedAt().toString()));
    }
    remember(id);
    return base + 1;
  }

  @Transactional
  public Kept rename(UUID id, String name) {
    int changed =
        jdbc.sql(
                """
                update scene set name = :name, revision = revision + 1, saved_at = now(),
                  document = jsonb_set(document, '{name}', to_jsonb(:name::text)) where id = :id""")
            .param("name", name)
            .param("id", id)
            .update();
    if (changed == 0) {
      throw RefusedException.notFound("scene");
    }
    remember(id);
    return get(id);
  }

  /** A copy in the same or another project. */
  @Transactional
  public Kept duplicate(UUID id, UUID projectId, String name) {
    return rename(create(projectId, get(id).document()).id(), name);
  }

  public void setDeleted(UUID id, boolean deleted) {
    int changed =
        jdbc.sql("update scene set deleted_at = case when ? then now() end where id = ?")
            .params(deleted, id)
            .update();
    if (changed == 0) {
      throw RefusedException.notFound("scene");
    }
  }

  private void remember(UUID id) {
    jdbc.sql(
            """
            insert into scene_revision (scene_id, revision, document)
            select id, revision, document from scene where id = ?""")
        .param(id)
        .update();
  }

  /** PostgreSQL holds no U+0000 and no half of a surrogate pair in jsonb. */
  private static int storing(java.util.function.IntSupplier statement) {
    try {
      return statement.getAsInt();
    } catch (DataIntegrityViolationException e) {
      throw new DocumentException(
          List.of(
              new Problem(
                  "$", "holds a character that cannot be kept (U+0000 or half a pair)", "")));
    }
  }
}
