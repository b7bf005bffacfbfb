package rovingglyph.footage;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Array;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.projects.ShownFiles;
import rovingglyph.render.FootageSource;
import rovingglyph.server.RefusedException;
import rovingglyph.uploads.StoredFiles;

/** The footage that projects keep. The same file is stored once, however many keep it. */
@Repository
public class FootageStore {
  /** Footage that a project keeps at most. */
  static final int MOST = 200;

  /** How far footage has come. */
  enum State {
    /** The stage has a still of it; its frames are being made. */
    PREPARING,
    READY,
    FAILED
  }

  /**
   * Footage of a project.
   *
   * @param done 0 to 1, while it is being prepared
   * @param message why it failed
   */
  record Kept(
      String id,
      String name,
      String type,
      int width,
      int height,
      double rate,
      double length,
      boolean sound,
      long size,
      String state,
      double done,
      String message,
      boolean used) {}

  /** What the work on it needs. */
  record Work(UUID file, FootageFile.Facts facts, int tries) {}

  private static final ShownFiles FILES = new ShownFiles("footage");

  private final JdbcClient jdbc;
  private final StoredFiles files;
  private final TransactionTemplate transaction;

  FootageStore(JdbcClient jdbc, StoredFiles files, TransactionTemplate transaction) {
    this.jdbc = jdbc;
    this.files = files;
    this.transaction = transaction;
  }

  /** The footage of a project, in the order in which it came. */
  List<Kept> of(UUID project) {
    return jdbc.sql(
            """
            select footage.id, p.name, type, width, height, rate, length, channels > 0 as sound, f.size,
                lower(state) as state,
                done, message, exists (select 1 from scene
                  where scene.project_id = p.project_id and deleted_at is null and %s) as used
              from project_footage p join footage on id = footage_id
              join stored_file f on f.id = footage.file_id
              where p.project_id = ? order by place"""
                .formatted(FILES.shows("footage.id")))
        .param(project)
        .query(Kept.class)
        .list();
  }

  Kept of(UUID project, String id) {
    return of(project).stream()
        .filter(k -> k.id().equals(id))
        .findFirst()
        .orElseThrow(() -> RefusedException.notFound("footage"));
  }

  /** Whether it is kept already, and did not fail. */
  boolean isKnown(String id) {
    return jdbc.sql("select exists (select 1 from footage where id = ? and state <> 'FAILED')")
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** Puts footage with a project; the file is the one of an upload, unless it is known already. */
  void keep(
      UUID project, String name, String id, UUID file, FootageFile.Facts facts, byte[] still) {
    transaction.executeWithoutResult(
        t -> {
          int fresh =
              facts == null
                  ? 0
                  : jdbc.sql(
                          """
                          insert into footage (id, file_id, type, width, height, rate, length,
                              opaque, channels, matrix, still, state)
                            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 'PREPARING')
                            on conflict (id) do update set file_id = excluded.file_id,
                                still = excluded.still, state = 'PREPARING', tries = 0,
                                message = null
                              where footage.state = 'FAILED'""")
                      .params(
                          id,
                          file,
                          facts.type(),
                          facts.width(),
                          facts.height(),
                          facts.rate(),
                          facts.length(),
                          facts.opaque(),
                          facts.channels(),
                          facts.matrix(),
                          still)
                      .update();
          jdbc.sql(
                  "insert into project_footage (project_id, footage_id, name) values (?, ?, ?)"
                      + " on conflict do nothing")
              .params(project, id, name)
              .update();
          if (fresh > 0) {
            files.ended(file);
          } else {
            files.remove(file);
          }
        });
  }

  /**
   * Takes footage out of a project. The file goes with the last that shows it, so that kept
   * versions and exports stay whole.
   *
   * @param even whether it is taken out though scenes show it
   * @throws RefusedException if scenes show it, with their names
   */
  void remove(UUID project, String id, boolean even) {
    FILES.takeOut(jdbc, project, id, even);
    transaction.executeWithoutResult(
        t ->
            jdbc.sql(FILES.deleteUnused() + " returning file_id, sound_id")
                .param(id)
                .query(
                    (rs, n) -> {
                      files.remove(rs.getObject(1, UUID.class));
                      if (rs.getObject(2) != null) {
                        files.remove(rs.getObject(2, UUID.class));
                      }
                      return n;
                    })
                .list());
  }

  /** Begins one more try at preparing it; empty if that is not wanted. */
  Optional<Work> begin(String id) {
    int begun =
        jdbc.sql(
                "update footage set tries = tries + 1, done = 0"
                    + " where id = ? and state = 'PREPARING'")
            .param(id)
            .update();
    if (begun == 0) {
      return Optional.empty();
    }
    jdbc.sql("delete from footage_run where footage_id = ?").param(id).update();
    return work(id);
  }

  /** What there is to know of it. */
  Optional<Work> work(String id) {
    return jdbc.sql(
            """
            select file_id, tries, type, width, height, rate, length, opaque, channels, matrix
              from footage where id = ?""")
        .param(id)
        .query(
            (rs, n) ->
                new Work(
                    rs.getObject("file_id", UUID.class),
                    new FootageFile.Facts(
                        rs.getString("type"),
                        rs.getInt("width"),
                        rs.getInt("height"),
                        rs.getDouble("rate"),
                        rs.getDouble("length"),
                        rs.getBoolean("opaque"),
                        rs.getInt("channels"),
                        rs.getString("matrix")),
                    rs.getInt("tries")))
        .optional();
  }

  /** Gives a try back that was ended only because its server was stopped in good order. */
  void giveBack(String id) {
    jdbc.sql("update footage set tries = tries - 1 where id = ? and state = 'PREPARING'")
        .param(id)
        .update();
  }

  /** It is ready, with what its frames turned out to be. */
  void ready(String id, double[] times, byte[] peaks, UUID sound) {
    int done =
        jdbc.sql(
                """
                update footage set state = 'READY', done = 1, times = ?, peaks = ?, sound_id = ?
                  where id = ? and state = 'PREPARING'""")
            .params(times, peaks, sound, id)
            .update();
    if (done == 0 && sound != null) {
      files.remove(sound);
    }
  }

  void fail(String id, String message) {
    jdbc.sql(
            "update footage set state = 'FAILED', message = ? where id = ? and state = 'PREPARING'")
        .params(message, id)
        .update();
    jdbc.sql("delete from footage_run where footage_id = ?").param(id).update();
    // What it was is told still; the file is of no more use.
    jdbc.sql(
            "delete from stored_piece where file_id ="
                + " (select file_id from footage where id = ? and state = 'FAILED')")
        .param(id)
        .update();
  }

  /** The times of its frames, seconds; empty while it is not ready. */
  Optional<double[]> times(String id) {
    return jdbc.sql("select times from footage where id = ? and state = 'READY'")
        .param(id)
        .query((rs, n) -> numbers(rs.getArray(1)))
        .optional();
  }

  private static double[] numbers(Array array) throws SQLException {
    Double[] all = (Double[]) array.getArray();
    double[] out = new double[all.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = all[i];
    }
    return out;
  }

  /** In which state it is; null for footage that is not kept. */
  State state(String id) {
    return jdbc.sql("select state from footage where id = ?")
        .param(id)
        .query(String.class)
        .optional()
        .map(State::valueOf)
        .orElse(null);
  }

  /** Ids of all that is still being prepared. */
  List<String> preparing() {
    return jdbc.sql("select id from footage where state = 'PREPARING'").query(String.class).list();
  }

  /** The footage as painters take it, its file on the disk; null for what is not ready. */
  FootageSource source(String id) throws IOException {
    Optional<double[]> times = times(id);
    Optional<Work> work = work(id);
    if (times.isEmpty() || work.isEmpty()) {
      return null;
    }
    Path file = files.spooled(work.get().file());
    FootageFile.Facts f = work.get().facts();
    return new FootageSource(
        file, times.get(), f.width(), f.height(), f.opaque(), f.channels(), f.matrix());
  }
}
