package rovingglyph.projects;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.fasterxml.jackson.annotation.JsonRawValue;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;
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

  /** Scenes of one project at most, deleted ones aside. */
  private static final int MOST = 500;

  private final JdbcClient jdbc;
  private final ShownScenes shown;

  public SceneStore(JdbcClient jdbc, ShownScenes shown) {
    this.jdbc = jdbc;
    this.shown = shown;
  }

  public List<Entry> list() {
    return jdbc.sql(
            """
            select id, project_id, name, revision, saved_at, deleted_at is not null as deleted
            from scene order by place""")
        .query(Entry.class)
        .list();
  }

  /** The scenes of one project, in order. */
  List<Entry> ofProject(UUID project) {
    return jdbc.sql(
            """
            select id, project_id, name, revision, saved_at, deleted_at is not null as deleted
            from scene where project_id = ? order by place""")
        .param(project)
        .query(Entry.class)
        .list();
  }

  /** Copies the scenes of one project that are not deleted into another, without their history. */
  void copyAll(UUID from, UUID to) {
    List<Kept> all =
        jdbc.sql(
                """
                select id, project_id, revision, saved_at, document from scene
                where project_id = ? and deleted_at is null order by place""")
            .param(from)
            .query(Kept.class)
            .list();
    Map<String, String> ids = new LinkedHashMap<>();
    all.forEach(k -> ids.put(k.id().toString(), UUID.randomUUID().toString()));
    for (Kept k : all) {
      // Insets of the copies show copies. Nothing else in a document looks like such an id.
      String document = k.document();
      for (String shownId : SceneShelf.shownBy(SceneCodec.read(document))) {
        document = document.replace(shownId, ids.getOrDefault(shownId, shownId));
      }
      UUID copy = UUID.fromString(ids.get(k.id().toString()));
      insert(copy, to, document);
      copySeries(k.id(), copy);
    }
  }

  /**
   * Keeps a scene under an id that was chosen for it, before those are kept that it shows.
   *
   * @throws DocumentException if the document cannot be used
   */
  public void insert(UUID id, UUID project, String document) {
    jdbc.sql(
            "insert into scene (id, project_id, name, document, revision)"
                + " values (?, ?, ?, ?::json, 1)")
        .params(id, project, SceneCodec.read(document).name(), document)
        .update();
    remember(id, null, "Begun");
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
    Scene scene = SceneCodec.read(document);
    requireRoom(projectId, 1);
    UUID id = UUID.randomUUID();
    shown.check(id, projectId, scene);
    insert(id, projectId, document);
    return get(id);
  }

  /** Refuses more scenes than a project holds. */
  public void requireRoom(UUID project, int more) {
    long now =
        jdbc.sql("select count(*) from scene where project_id = ? and deleted_at is null")
            .param(project)
            .query(Long.class)
            .single();
    if (now + more > MOST) {
      throw RefusedException.bad(
          "A project holds at most " + MOST + " scenes; delete some, or make another project");
    }
  }

  /**
   * Keeps a document as the next revision, if {@code base} is the present one.
   *
   * @param key made by the client for this save; one that was kept already is not kept again, since
   *     its first answer may have been lost. Null for none
   * @param done what was done since then, in a few words; null where that is not said
   * @return the revision that it is kept as
   * @throws DocumentException if the document cannot be used; nothing is changed then
   * @throws RefusedException 412 if somebody else was faster, with the present revision and the
   *     keys of all saves since {@code base}
   */
  @Transactional
  public long save(UUID id, long base, String document, String key, String done) {
    Scene scene = SceneCodec.read(document);
    if (!scene.insets().isEmpty()) {
      shown.check(id, get(id).projectId(), scene);
    }
    int changed =
        jdbc.sql(
                """
                update scene set document = ?::json, name = ?, revision = revision + 1,
                  saved_at = now() where id = ? and revision = ?""")
            .params(document, scene.name(), id, base)
            .update();
    if (changed == 0) {
      return keptBefore(id, base, key);
    }
    remember(id, key, done);
    return base + 1;
  }

  private long keptBefore(UUID id, long base, String key) {
    Kept now = get(id);
    Optional<Long> again =
        jdbc.sql("select revision from scene_revision where scene_id = ? and edit_key = ?")
            .params(id, key)
            .query(Long.class)
            .optional();
    if (again.isPresent()) {
      return again.get();
    }
    List<String> since =
        jdbc.sql(
                """
                select coalesce(edit_key, '') from scene_revision
                where scene_id = ? and revision > ? order by revision limit 1000""")
            .params(id, base)
            .query(String.class)
            .list();
    throw new RefusedException(
        HttpStatus.PRECONDITION_FAILED,
        "The scene has changed",
        "This scene was changed elsewhere since revision "
            + base
            + ". Choose whose version stands.",
        Map.of(
            "revision", now.revision(), "savedAt", now.savedAt().toString(), "keysSince", since));
  }

  /** The document under another name, as the next revision. */
  @Transactional
  public Kept rename(UUID id, String name) {
    String document =
        jdbc.sql("select document from scene where id = ? for update")
            .param(id)
            .query(String.class)
            .optional()
            .orElseThrow(() -> RefusedException.notFound("scene"));
    jdbc.sql(
            """
            update scene set name = ?, document = ?::json, revision = revision + 1,
              saved_at = now() where id = ?""")
        .params(name, named(document, name), id)
        .update();
    remember(id, null, "Renamed");
    return get(id);
  }

  private static String named(String document, String name) {
    JsonObject o = Json.parse(document).asObject();
    o.set("name", name);
    return o.toString();
  }

  /** A copy in the same or another project. */
  @Transactional
  public Kept duplicate(UUID id, UUID projectId, String name) {
    Kept copy = create(projectId, named(get(id).document(), name));
    copySeries(id, copy.id());
    return copy;
  }

  /** A copy has the table that its scene has. */
  private void copySeries(UUID from, UUID to) {
    jdbc.sql(
            "insert into series (scene_id, series, revision)"
                + " select ?, series, 1 from series where scene_id = ?")
        .params(to, from)
        .update();
  }

  /**
   * Marks a scene as deleted, so that it can be brought back.
   *
   * @param even whether it is deleted though others show it
   * @throws RefusedException 409 if others do, with their names
   */
  void delete(UUID id, boolean even) {
    List<String> others = even ? List.of() : shown.using(get(id).projectId(), id);
    if (!others.isEmpty()) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The scene is used",
          "It is shown in " + String.join(", ", others),
          Map.of("scenes", others));
    }
    setDeleted(id, true);
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

  private void remember(UUID id, String key, String done) {
    jdbc.sql(
            """
            insert into scene_revision (scene_id, revision, document, edit_key, done)
            select id, revision, document, ?, ? from scene where id = ?""")
        .params(key, done, id)
        .update();
  }
}
