package rovingglyph.pictures;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.projects.ProjectStore;
import rovingglyph.projects.ShownFiles;
import rovingglyph.render.Bitmaps;
import rovingglyph.server.RefusedException;
import rovingglyph.server.UnableException;

/** The pictures that projects keep. The same file is stored once, however many keep it. */
@Component
public class PictureStore {
  /** Pictures that a project keeps at most. */
  static final int MOST = 500;

  /** A picture of a project; {@code width} and {@code height} are its natural size. */
  public record Kept(String id, String name, String type, int width, int height, boolean used) {}

  /** A file with its media type. */
  record Content(String type, byte[] bytes) {}

  private record Size(int number, String type, int width, int height) {}

  private static final ShownFiles FILES = new ShownFiles("picture");

  private final JdbcClient jdbc;
  private final ProjectStore projects;
  private final TransactionTemplate transaction;

  PictureStore(JdbcClient jdbc, ProjectStore projects, TransactionTemplate transaction) {
    this.jdbc = jdbc;
    this.projects = projects;
    this.transaction = transaction;
  }

  /**
   * Checks a file and keeps it with a project.
   *
   * @throws RefusedException if it cannot be used; nothing is kept then
   */
  public Kept keep(UUID project, String name, byte[] file) {
    projects.require(project);
    if (of(project).size() >= MOST) {
      throw refused("A project keeps at most " + MOST + " pictures; remove some first");
    }
    String id = PictureFile.id(file);
    boolean known =
        jdbc.sql("select exists (select 1 from picture where id = ?)")
            .param(id)
            .query(Boolean.class)
            .single();
    PictureFile.Read read = known ? null : read(file);
    transaction.executeWithoutResult(
        t -> {
          if (read != null) {
            insert(id, read, file);
          }
          jdbc.sql(
                  "insert into project_picture (project_id, picture_id, name) values (?, ?, ?)"
                      + " on conflict do nothing")
              .params(project, id, name)
              .update();
        });
    return of(project).stream().filter(k -> k.id().equals(id)).findFirst().orElseThrow();
  }

  private static PictureFile.Read read(byte[] file) {
    try {
      return PictureFile.read(file);
    } catch (PictureFile.Unusable e) {
      throw refused(e.getMessage());
    } catch (IOException e) {
      throw new UnableException("The picture could not be checked: " + e.getMessage(), e);
    }
  }

  private static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "The picture cannot be used", detail, Map.of());
  }

  private void insert(String id, PictureFile.Read read, byte[] file) {
    int fresh =
        jdbc.sql(
                "insert into picture (id, type, width, height, content) values (?, ?, ?, ?, ?)"
                    + " on conflict do nothing")
            .params(id, read.type(), read.width(), read.height(), file)
            .update();
    for (int n = 0; n < read.levels().size() && fresh > 0; n++) {
      Bitmaps.Level l = read.levels().get(n);
      jdbc.sql(
              "insert into picture_level (picture_id, number, type, width, height, content)"
                  + " values (?, ?, ?, ?, ?, ?)")
          .params(id, n, l.type(), l.width(), l.height(), l.content().bytes())
          .update();
    }
  }

  /** The pictures of a project, in the order in which they came. */
  public List<Kept> of(UUID project) {
    return jdbc.sql(
            """
            select id, name, type, width, height, exists (select 1 from scene
                where scene.project_id = p.project_id and deleted_at is null and %s) as used
              from project_picture p join picture on id = picture_id
              where p.project_id = ? order by place"""
                .formatted(FILES.shows("picture.id")))
        .param(project)
        .query(Kept.class)
        .list();
  }

  /**
   * Takes a picture out of a project. The file goes with the last that shows it, so that kept
   * versions and exports stay whole.
   *
   * @param even whether it is taken out though scenes show it
   * @throws RefusedException if scenes show it, with their names
   */
  void remove(UUID project, String id, boolean even) {
    FILES.takeOut(jdbc, project, id, even);
    jdbc.sql(FILES.deleteUnused()).param(id).update();
  }

  /** The file as it was uploaded. */
  Content file(String id) {
    return jdbc.sql("select type, content as bytes from picture where id = ?")
        .param(id)
        .query(Content.class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("picture"));
  }

  /** The sizes of a picture, the largest first; empty for one that is not kept. */
  public List<Bitmaps.Level> levels(String image) {
    return jdbc
        .sql(
            "select number, type, width, height from picture_level where picture_id = ?"
                + " order by number")
        .param(image)
        .query(Size.class)
        .list()
        .stream()
        .map(
            s -> new Bitmaps.Level(s.width(), s.height(), s.type(), () -> level(image, s.number())))
        .toList();
  }

  private byte[] level(String id, int number) {
    return jdbc.sql("select content from picture_level where picture_id = ? and number = ?")
        .params(id, number)
        .query(byte[].class)
        .single();
  }
}
