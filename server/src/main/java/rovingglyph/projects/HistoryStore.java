package rovingglyph.projects;

import com.fasterxml.jackson.annotation.JsonRawValue;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.server.RefusedException;

/** What was kept of scenes before, thinned out with age by one rule. */
@Repository
public class HistoryStore {
  /**
   * A revision in a list.
   *
   * @param name null unless one was given
   * @param done what was done since the one before; null where that was not said
   */
  public record Entry(long revision, Instant savedAt, String name, String done) {}

  /** A revision with its document. */
  public record Revision(
      long revision, Instant savedAt, String name, @JsonRawValue String document) {}

  private static final int MOST_LISTED = 2000;

  private final JdbcClient jdbc;

  HistoryStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** The latest first. */
  List<Entry> list(UUID scene) {
    return jdbc.sql(
            """
            select revision, saved_at, name, done from scene_revision where scene_id = ?
            order by revision desc limit ?""")
        .params(scene, MOST_LISTED)
        .query(Entry.class)
        .list();
  }

  Revision get(UUID scene, long revision) {
    return jdbc.sql(
            """
            select revision, saved_at, name, document from scene_revision
            where scene_id = ? and revision = ?""")
        .params(scene, revision)
        .query(Revision.class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("version"));
  }

  /** Names a revision, which is never thinned out then; null takes its name away. */
  void name(UUID scene, long revision, String name) {
    int changed =
        jdbc.sql("update scene_revision set name = ? where scene_id = ? and revision = ?")
            .params(name, scene, revision)
            .update();
    if (changed == 0) {
      throw RefusedException.notFound("version");
    }
  }

  /**
   * Thins out: all revisions of the last day stay, of the last thirty days the last one of each
   * hour, of older ones the last one of each day; the present one and those with a name always.
   *
   * @return how many were taken away
   */
  public int thin() {
    return jdbc.sql(
            """
            delete from scene_revision r using scene s
            where r.scene_id = s.id and r.name is null and r.revision <> s.revision
              and r.saved_at < now() - interval '1 day'
              and exists (
                select 1 from scene_revision later
                where later.scene_id = r.scene_id and later.revision > r.revision
                  and date_trunc(
                    case when r.saved_at < now() - interval '30 days' then 'day' else 'hour' end,
                    later.saved_at, 'UTC')
                  = date_trunc(
                    case when r.saved_at < now() - interval '30 days' then 'day' else 'hour' end,
                    r.saved_at, 'UTC'))""")
        .update();
  }
}
