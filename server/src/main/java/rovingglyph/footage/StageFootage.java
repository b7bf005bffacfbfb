package rovingglyph.footage;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.scene.Footage;
import rovingglyph.server.RefusedException;

/** What the stage shows of footage and lets be heard: its frames as pictures, some in each run. */
@Repository
class StageFootage {
  /**
   * What the stage needs to find frames.
   *
   * @param runs how many are in each
   * @param width of the pictures, px
   */
  record Frames(double[] times, List<Integer> runs, String type, int width, int height) {}

  /** Some frames one after another. */
  record Run(int[] lengths, byte[] bytes) {}

  private final JdbcClient jdbc;
  private final FootageStore store;

  StageFootage(JdbcClient jdbc, FootageStore store) {
    this.jdbc = jdbc;
    this.store = store;
  }

  /** Keeps some frames; false if nobody wants them any more. */
  boolean put(String id, int number, Run run, double done) {
    int wanted =
        jdbc.sql("update footage set done = ? where id = ? and state = 'PREPARING'")
            .params(done, id)
            .update();
    if (wanted == 0) {
      return false;
    }
    jdbc.sql("insert into footage_run (footage_id, number, lengths, bytes) values (?, ?, ?, ?)")
        .params(id, number, run.lengths(), run.bytes())
        .update();
    return true;
  }

  /** The first frame, from the time on that it is kept. */
  byte[] still(String id) {
    return jdbc.sql("select still from footage where id = ?")
        .param(id)
        .query(byte[].class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("footage"));
  }

  /** Empty while it is not ready. */
  Optional<Frames> frames(String id) {
    double[] times = store.times(id).orElse(null);
    if (times == null) {
      return Optional.empty();
    }
    List<Integer> runs =
        jdbc.sql(
                "select cardinality(lengths) from footage_run where footage_id = ?"
                    + " order by number")
            .param(id)
            .query(Integer.class)
            .list();
    FootageFile.Facts facts = store.work(id).orElseThrow().facts();
    int[] size = FootageReading.size(facts);
    String type = facts.opaque() ? "image/jpeg" : "image/webp";
    return Optional.of(new Frames(times, runs, type, size[0], size[1]));
  }

  Optional<Run> run(String id, int number) {
    return jdbc.sql("select lengths, bytes from footage_run where footage_id = ? and number = ?")
        .params(id, number)
        .query(
            (rs, n) -> {
              Integer[] lengths = (Integer[]) rs.getArray(1).getArray();
              int[] out = new int[lengths.length];
              for (int i = 0; i < out.length; i++) {
                out[i] = lengths[i];
              }
              return new Run(out, rs.getBytes(2));
            })
        .optional();
  }

  /** The frame of a moment as the stage has it; the first one while it is not ready. */
  byte[] preview(String id, double moment) {
    Frames frames = frames(id).orElse(null);
    if (frames == null) {
      return store.state(id) == null ? null : still(id);
    }
    int left = Footage.frame(frames.times(), moment);
    int number = 0;
    while (number + 1 < frames.runs().size() && left >= frames.runs().get(number)) {
      left -= frames.runs().get(number++);
    }
    Run run = run(id, number).orElse(null);
    if (run == null || left >= run.lengths().length) {
      return still(id);
    }
    int from = Arrays.stream(run.lengths(), 0, left).sum();
    return Arrays.copyOfRange(run.bytes(), from, from + run.lengths()[left]);
  }

  Optional<byte[]> peaks(String id) {
    return jdbc.sql("select peaks from footage where id = ? and peaks is not null")
        .param(id)
        .query(byte[].class)
        .optional();
  }

  Optional<UUID> sound(String id) {
    return jdbc.sql("select sound_id from footage where id = ? and sound_id is not null")
        .param(id)
        .query(UUID.class)
        .optional();
  }
}
