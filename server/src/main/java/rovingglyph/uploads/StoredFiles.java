package rovingglyph.uploads;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.server.RefusedException;

/** Large files in pieces of 1 MiB: of none more than a piece is ever in memory. */
@Repository
public class StoredFiles {
  /** Bytes of every piece but the last. */
  public static final int PIECE = 1 << 20;

  /** In the place of a project: uploads that belong to none. */
  public static final UUID NO_PROJECT = new UUID(0, 0);

  /** Uploads that a project may have under way. */
  private static final int MOST_UPLOADS = 20;

  /**
   * A file that is being uploaded.
   *
   * @param received pieces that are there, from the first on without a gap
   */
  public record Upload(UUID id, UUID projectId, String name, long size, int received) {
    public int pieces() {
      return (int) ((size + PIECE - 1) / PIECE);
    }

    /** How long a piece of it is. */
    int length(int number) {
      return (int) Math.min(PIECE, size - (long) number * PIECE);
    }
  }

  private final JdbcClient jdbc;

  public StoredFiles(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Begins a file; what was begun a day ago and never ended is taken away. */
  public Upload begin(UUID project, String name, long size) {
    jdbc.sql(
            "delete from stored_file where project_id is not null"
                + " and begun_at < now() - interval '1 day'")
        .update();
    int open =
        jdbc.sql("select count(*) from stored_file where project_id = ?")
            .param(project)
            .query(Integer.class)
            .single();
    if (open >= MOST_UPLOADS) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "Too many uploads",
          "At most " + MOST_UPLOADS + " files are taken in at one time; let some of them end first",
          Map.of());
    }
    UUID id = UUID.randomUUID();
    jdbc.sql("insert into stored_file (id, project_id, name, size) values (?, ?, ?, ?)")
        .params(id, project, name, size)
        .update();
    return upload(id);
  }

  /** An upload that has not ended. */
  public Upload upload(UUID id) {
    return jdbc.sql(
            """
            select id, project_id, name, size, coalesce((
                select min(n.number) from (select 0 as number
                  union all select number + 1 from stored_piece where file_id = f.id) n
                where not exists (select 1 from stored_piece p
                  where p.file_id = f.id and p.number = n.number)), 0)::int as received
              from stored_file f where id = ? and project_id is not null""")
        .param(id)
        .query(Upload.class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("upload"));
  }

  /**
   * An upload of which every piece is there.
   *
   * @throws RefusedException 409 while pieces are missing
   */
  public Upload whole(UUID id) {
    Upload upload = upload(id);
    if (upload.received() < upload.pieces()) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The upload is not whole",
          "Piece " + upload.received() + " is missing",
          Map.of("received", upload.received()));
    }
    return upload;
  }

  /** Keeps a piece; one that comes again takes the place of the one before. */
  public void put(Upload upload, int number, byte[] bytes) {
    if (number < 0 || number >= upload.pieces() || bytes.length != upload.length(number)) {
      throw new RefusedException(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "No such piece",
          "Pieces go from 0 to %d; this one has to be of %d bytes and has %d"
              .formatted(
                  upload.pieces() - 1,
                  number < 0 || number >= upload.pieces() ? PIECE : upload.length(number),
                  bytes.length),
          Map.of());
    }
    jdbc.sql(
            "insert into stored_piece (file_id, number, bytes) values (?, ?, ?)"
                + " on conflict (file_id, number) do update set bytes = excluded.bytes")
        .params(upload.id(), number, bytes)
        .update();
  }

  /** Takes a file that nothing needs away. */
  public void remove(UUID id) {
    jdbc.sql("delete from stored_file where id = ?").param(id).update();
  }

  /** An upload is one no longer: it stays for good, until it is removed. */
  public void ended(UUID id) {
    jdbc.sql("update stored_file set project_id = null where id = ?").param(id).update();
  }

  /** Keeps a whole file, read to its end. */
  public UUID keep(String name, InputStream in) throws IOException {
    UUID id = UUID.randomUUID();
    jdbc.sql("insert into stored_file (id, name, size) values (?, ?, 0)").params(id, name).update();
    long size = 0;
    byte[] piece = in.readNBytes(PIECE);
    for (int n = 0; piece.length > 0; n++) {
      jdbc.sql("insert into stored_piece (file_id, number, bytes) values (?, ?, ?)")
          .params(id, n, piece)
          .update();
      size += piece.length;
      piece = in.readNBytes(PIECE);
    }
    jdbc.sql("update stored_file set size = ? where id = ?").params(size, id).update();
    return id;
  }

  /** Gives a file out, piece by piece. */
  public void write(UUID id, OutputStream out) throws IOException {
    for (int n = 0; ; n++) {
      Optional<byte[]> piece =
          jdbc.sql("select bytes from stored_piece where file_id = ? and number = ?")
              .params(id, n)
              .query(byte[].class)
              .optional();
      if (piece.isEmpty()) {
        return;
      }
      out.write(piece.get());
    }
  }

  /** A file on the disk, for programs; whoever asks for it deletes it. */
  public Path spooled(UUID id) throws IOException {
    Path out = Files.createTempFile("roving-stored", ".in");
    try (OutputStream to = Files.newOutputStream(out)) {
      write(id, to);
      return out;
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(out);
      throw e;
    }
  }
}
