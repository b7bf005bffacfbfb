package rovingglyph.tracing;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Sha256;

/** Pictures to trace over. The same file kept twice is stored once. */
@Repository
public class ImageStore {
  /** A picture; the size is in px. */
  public record Kept(UUID id, String type, int width, int height) {}

  /** A file with its media type. */
  record Content(String type, byte[] content) {}

  private final JdbcClient jdbc;

  ImageStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Checks a file and keeps it.
   *
   * @throws RefusedException if it cannot be used
   */
  public Kept keep(byte[] file) {
    ImageCheck.Checked c = ImageCheck.check(file);
    byte[] hash = Sha256.of(file);
    jdbc.sql(
            "insert into image (id, sha256, type, width, height, content)"
                + " values (?, ?, ?, ?, ?, ?) on conflict (sha256) do nothing")
        .params(UUID.randomUUID(), hash, c.type(), c.width(), c.height(), file)
        .update();
    return jdbc.sql("select id, type, width, height from image where sha256 = ?")
        .param(hash)
        .query(Kept.class)
        .single();
  }

  /** The file as it came. */
  Content file(UUID id) {
    return jdbc.sql("select type, content from image where id = ?")
        .param(id)
        .query(Content.class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("picture"));
  }
}
