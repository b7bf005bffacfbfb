package rovingglyph.exports;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.formats.Part;

/** The parts of exports that are made by several nodes, counted from 1. */
@Repository
class ExportParts {
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final ExportStore exports;

  ExportParts(JdbcClient jdbc, TransactionTemplate transaction, ExportStore exports) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.exports = exports;
  }

  /** Cuts an export that waits, once; whoever begins it again finds it cut. */
  void cut(UUID export, List<Part> parts) {
    transaction.executeWithoutResult(
        status -> {
          for (int i = 0; i < parts.size(); i++) {
            jdbc.sql(
                    "insert into export_part (export_id, number, first, count) values (?, ?, ?, ?)")
                .params(export, i + 1, parts.get(i).first(), parts.get(i).count())
                .update();
          }
        });
  }

  /** How many it has; 0 if it is not cut. */
  int count(UUID export) {
    return jdbc.sql("select count(*)::int from export_part where export_id = ?")
        .param(export)
        .query(Integer.class)
        .single();
  }

  /** The numbers of those that are not made yet. */
  List<Integer> undone(UUID export) {
    return jdbc.sql(
            "select number from export_part where export_id = ? and not done order by number")
        .param(export)
        .query(Integer.class)
        .list();
  }

  Part part(UUID export, int number) {
    return jdbc.sql("select first, count from export_part where export_id = ? and number = ?")
        .params(export, number)
        .query(Part.class)
        .single();
  }

  /**
   * Begins one more try.
   *
   * @return how many there were, now included; 0 if it is made, or not to be made any more
   */
  int start(UUID export, int number) {
    return transaction.execute(
        status -> {
          int tries =
              jdbc.sql(
                      """
                      update export_part part set tries = part.tries + 1, frames_done = 0
                      from export where export.id = export_id and export_id = ? and number = ?
                        and not done and state in ('WAITING', 'RUNNING') returning part.tries""")
                  .params(export, number)
                  .query(Integer.class)
                  .optional()
                  .orElse(0);
          if (tries > 0) {
            jdbc.sql(
                    """
                    update export set state = 'RUNNING', waits_for = null,
                      started_at = coalesce(started_at, now())
                    where id = ? and state in ('WAITING', 'RUNNING')""")
                .param(export)
                .update();
          }
          return tries;
        });
  }

  /** See {@link ExportStore#giveBack}. */
  void giveBack(UUID export, int number, String waitsFor) {
    jdbc.sql("update export_part set tries = tries - 1 where export_id = ? and number = ?")
        .params(export, number)
        .update();
    jdbc.sql("update export set waits_for = ? where id = ? and state = 'RUNNING'")
        .params(waitsFor, export)
        .update();
  }

  /** False if it was cancelled meanwhile. */
  boolean progress(UUID export, int number, int framesDone) {
    jdbc.sql("update export_part set frames_done = ? where export_id = ? and number = ?")
        .params(framesDone, export, number)
        .update();
    return jdbc.sql(
                """
                update export set frames_done = least(frames_total,
                  (select sum(frames_done) from export_part where export_id = id))
                where id = ? and state = 'RUNNING'""")
            .param(export)
            .update()
        == 1;
  }

  /**
   * Keeps a part. Where two nodes have made it, since one was taken for dead, the second finds it
   * done.
   *
   * @param file read to its end, and not closed
   */
  void finish(UUID export, int number, InputStream file) throws IOException {
    try {
      transaction.executeWithoutResult(
          status -> {
            boolean first =
                jdbc.sql(
                            "update export_part set done = true"
                                + " where export_id = ? and number = ? and not done")
                        .params(export, number)
                        .update()
                    == 1;
            if (first) {
              keep(export, number, file);
            }
          });
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
  }

  private void keep(UUID export, int number, InputStream file) {
    try {
      exports.keep(export, number, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Takes away what is left of the parts of an export that has ended. */
  void clear(UUID export) {
    jdbc.sql("delete from export_piece where export_id = ? and part > 0").param(export).update();
    jdbc.sql("delete from export_part where export_id = ?").param(export).update();
  }
}
