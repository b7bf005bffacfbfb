package rovingglyph.exports;

import com.eclipsesource.json.Json;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.series.Series;
import rovingglyph.server.RefusedException;

/** The series of scenes: one each at most. */
@Repository
public class SeriesStore {
  /**
   * What is kept.
   *
   * @param revision counts its changes
   */
  public record Kept(long revision, Series series) {}

  private final JdbcClient jdbc;

  SeriesStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Empty where the scene has none. */
  public Optional<Kept> find(UUID scene) {
    return jdbc.sql("select revision, series from series where scene_id = ?")
        .param(scene)
        .query((rs, n) -> new Kept(rs.getLong(1), Series.parse(Json.parse(rs.getString(2)))))
        .optional();
  }

  Kept get(UUID scene) {
    return find(scene).orElseThrow(() -> RefusedException.notFound("series"));
  }

  /** Keeps a series in the place of the one before. */
  public void put(UUID scene, Series series) {
    jdbc.sql(
            """
            insert into series (scene_id, series, revision) values (?, ?::json, 1)
            on conflict (scene_id) do update set series = excluded.series,
              revision = series.revision + 1, kept_at = now()""")
        .params(scene, series.text())
        .update();
  }

  /**
   * The same if nobody else has changed it since.
   *
   * @return false if somebody has
   */
  boolean change(UUID scene, long revision, Series series) {
    return jdbc.sql(
                """
                update series set series = ?::json, revision = revision + 1, kept_at = now()
                where scene_id = ? and revision = ?""")
            .params(series.text(), scene, revision)
            .update()
        == 1;
  }

  void remove(UUID scene) {
    jdbc.sql("delete from series where scene_id = ?").param(scene).update();
  }
}
