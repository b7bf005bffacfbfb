package rovingglyph.exports;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntFunction;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.server.RefusedException;

/** Exports and their files. The document is a copy from the time of asking. */
@Repository
class ExportStore {
  /** States of an export; the last three are final. */
  enum State {
    WAITING,
    RUNNING,
    DONE,
    FAILED,
    CANCELLED
  }

  /** An export without its document and file. */
  record Export(
      UUID id,
      UUID projectId,
      UUID sceneId,
      String sceneName,
      String fileName,
      String format,
      String options,
      String state,
      int framesDone,
      int framesTotal,
      Instant askedAt,
      Instant startedAt,
      Instant endedAt,
      String message,
      String waitsFor,
      Long size,
      String webhook,
      String webhookResult) {}

  /**
   * What is asked for.
   *
   * @param name of the file without its end; another one of that name in the project gets a number
   * @param frames that are painted
   * @param note what the file will not be as on the stage; null if there is nothing
   * @param series whose rows it is made of; null for a file of the scene as it is
   * @param webhook that is told when it has ended; null for none
   */
  record Asked(
      UUID projectId,
      UUID sceneId,
      String sceneName,
      String format,
      String options,
      String document,
      IntFunction<String> name,
      String extension,
      int frames,
      String note,
      String series,
      String webhook) {}

  private static final String COLUMNS =
      """
      select export.id, scene.project_id, scene_id, scene_name, file_name, format, options, state,
        frames_done, frames_total, asked_at, started_at, ended_at, message, waits_for, size,
        webhook, webhook_result
      from export left join scene on scene.id = scene_id\s""";

  /** Bytes of a file that are in memory at one time. */
  private static final int PIECE = 1 << 20;

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  ExportStore(JdbcClient jdbc, TransactionTemplate transaction) {
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  /** Keeps what is asked for, under a name that no other file of the project has. */
  UUID create(Asked a) {
    return createAll(List.of(a)).get(0);
  }

  /** The same of several: all of them or none. */
  List<UUID> createAll(List<Asked> all) {
    return transaction.execute(status -> all.stream().map(this::createNamed).toList());
  }

  private UUID createNamed(Asked a) {
    UUID id = UUID.randomUUID();
    String end = "." + a.extension();
    String name =
        a.projectId() == null
            ? a.name().apply(1) + "-" + id.toString().substring(0, 8) + end
            : free(a.projectId(), a.name().apply(number(a.projectId())), end);
    jdbc.sql(
            """
            insert into export (id, scene_id, scene_name, file_name, format, options, document,
              state, frames_total, message, webhook)
            values (?, ?, ?, ?, ?, ?::json, ?::json, ?, ?, ?, ?)""")
        .params(
            id,
            a.sceneId(),
            a.sceneName(),
            name,
            a.format(),
            a.options(),
            a.document(),
            State.WAITING.name(),
            a.frames(),
            a.note(),
            a.webhook())
        .update();
    if (a.series() != null) {
      jdbc.sql("insert into export_series (export_id, series) values (?, ?::json)")
          .params(id, a.series())
          .update();
    }
    return id;
  }

  /**
   * How many files the project has asked for, this one included. Others of the project wait here
   * until this one has its name.
   */
  private int number(UUID project) {
    return jdbc.sql(
            "update project set files_made = files_made + 1 where id = ? returning files_made")
        .param(project)
        .query(Integer.class)
        .single();
  }

  private String free(UUID project, String name, String end) {
    String free = name + end;
    for (int n = 2; isTaken(project, free); n++) {
      free = name + "-" + n + end;
    }
    return free;
  }

  private boolean isTaken(UUID project, String fileName) {
    return jdbc.sql(
            """
            select exists (select 1 from export join scene on scene.id = scene_id
              where project_id = ? and lower(file_name) = lower(?))""")
        .params(project, fileName)
        .query(Boolean.class)
        .single();
  }

  List<Export> ofScene(UUID sceneId) {
    return jdbc.sql(COLUMNS + "where scene_id = ? order by asked_at desc limit 50")
        .param(sceneId)
        .query(Export.class)
        .list();
  }

  /**
   * The latest of all scenes.
   *
   * @param project whose they are; null for those of all
   */
  List<Export> latest(UUID project, int most) {
    return jdbc.sql(
            COLUMNS
                + "where (?::uuid is null or project_id = ?::uuid) order by asked_at desc limit ?")
        .params(project, project, most)
        .query(Export.class)
        .list();
  }

  /**
   * Takes away what has been finished for longer than its project keeps it.
   *
   * @param days of projects that say nothing, and of files of no scene; 0 for ever
   */
  int removeOld(int days) {
    int ofNone =
        jdbc.sql(
                """
                delete from export where scene_id is null and :days > 0
                  and ended_at < now() - make_interval(days => :days)""")
            .param("days", days)
            .update();
    return ofNone
        + jdbc.sql(
                """
            delete from export using scene, project
            where scene.id = scene_id and project.id = project_id
              and coalesce(keep_files_days, :days) > 0
              and ended_at < now() - make_interval(days => coalesce(keep_files_days, :days))""")
            .param("days", days)
            .update();
  }

  Export get(UUID id) {
    return find(id).orElseThrow(() -> RefusedException.notFound("export"));
  }

  Optional<Export> find(UUID id) {
    return jdbc.sql(COLUMNS + "where export.id = ?").param(id).query(Export.class).optional();
  }

  String document(UUID id) {
    return jdbc.sql("select document from export where id = ?")
        .param(id)
        .query(String.class)
        .single();
  }

  /** The series that an export is made of. */
  String series(UUID id) {
    return jdbc.sql("select series from export_series where export_id = ?")
        .param(id)
        .query(String.class)
        .single();
  }

  /** Begins one more try; false if it is not to be made any more. */
  boolean start(UUID id) {
    return jdbc.sql(
                """
                update export set state = 'RUNNING', started_at = now(), frames_done = 0,
                  tries = tries + 1, waits_for = null
                where id = ? and state in ('WAITING', 'RUNNING')""")
            .param(id)
            .update()
        == 1;
  }

  /** Begins to join the parts of one; false if it is not to be made any more. */
  boolean startJoining(UUID id) {
    return jdbc.sql(
                """
                update export set state = 'RUNNING', tries = tries + 1, waits_for = null
                where id = ? and state in ('WAITING', 'RUNNING')""")
            .param(id)
            .update()
        == 1;
  }

  /** How often an export was begun, now included. */
  int tries(UUID id) {
    return jdbc.sql("select tries from export where id = ?")
        .param(id)
        .query(Integer.class)
        .single();
  }

  /**
   * Gives a try back that was ended only because something is not ready, or its server was stopped
   * in good order.
   *
   * @param waitsFor the former in words, or null
   */
  void giveBack(UUID id, String waitsFor) {
    jdbc.sql(
            "update export set state = 'WAITING', tries = tries - 1, waits_for = ?"
                + " where id = ? and state = 'RUNNING'")
        .params(waitsFor, id)
        .update();
  }

  /** Whether it is still wanted: false once it was cancelled. */
  boolean isWanted(UUID id) {
    return jdbc.sql("select exists (select 1 from export where id = ? and state = 'RUNNING')")
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** Whether it waits or is being made. */
  boolean isUnended(UUID id) {
    return jdbc.sql(
            "select exists (select 1 from export where id = ? and state in ('WAITING', 'RUNNING'))")
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** False if it was cancelled meanwhile. */
  boolean progress(UUID id, int framesDone) {
    return jdbc.sql("update export set frames_done = ? where id = ? and state = 'RUNNING'")
            .params(framesDone, id)
            .update()
        == 1;
  }

  /**
   * Keeps the finished file, piece by piece; whatever a try before left of one is gone.
   *
   * @param file read to its end, and not closed
   */
  void finish(UUID id, InputStream file) throws IOException {
    jdbc.sql("delete from export_piece where export_id = ? and part = 0").param(id).update();
    long size = keep(id, 0, file);
    int done =
        jdbc.sql(
                """
                update export set state = 'DONE', ended_at = now(), size = ?,
                  frames_done = frames_total where id = ? and state = 'RUNNING'""")
            .params(size, id)
            .update();
    if (done == 0) {
      jdbc.sql("delete from export_piece where export_id = ?").param(id).update();
    }
  }

  /**
   * Keeps a file piece by piece.
   *
   * @param part which one of its export, or 0 for the finished file
   * @return its size
   */
  long keep(UUID id, int part, InputStream file) throws IOException {
    long size = 0;
    byte[] piece = file.readNBytes(PIECE);
    for (int n = 0; piece.length > 0; n++) {
      jdbc.sql("insert into export_piece (export_id, part, number, bytes) values (?, ?, ?, ?)")
          .params(id, part, n, piece)
          .update();
      size += piece.length;
      piece = file.readNBytes(PIECE);
    }
    return size;
  }

  void fail(UUID id, String message) {
    jdbc.sql(
            "update export set state = 'FAILED', ended_at = now(), message = ?"
                + " where id = ? and state in ('WAITING', 'RUNNING')")
        .params(message, id)
        .update();
  }

  /** Cancels one that is not done yet, and takes away one that is. */
  void remove(UUID id) {
    int cancelled =
        jdbc.sql(
                """
                update export set state = 'CANCELLED', ended_at = now()
                where id = ? and state in ('WAITING', 'RUNNING')""")
            .param(id)
            .update();
    if (cancelled == 0 && jdbc.sql("delete from export where id = ?").param(id).update() == 0) {
      throw RefusedException.notFound("export");
    }
  }

  /** Gives a finished file out. */
  void write(UUID id, OutputStream out) throws IOException {
    write(id, 0, out);
  }

  /** The same of one of its parts. */
  void write(UUID id, int part, OutputStream out) throws IOException {
    for (int n = 0; ; n++) {
      Optional<byte[]> piece =
          jdbc.sql("select bytes from export_piece where export_id = ? and part = ? and number = ?")
              .params(id, part, n)
              .query(byte[].class)
              .optional();
      if (piece.isEmpty()) {
        return;
      }
      out.write(piece.get());
    }
  }
}
