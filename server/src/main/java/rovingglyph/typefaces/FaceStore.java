package rovingglyph.typefaces;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Sha256;
import rovingglyph.server.UnableException;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.FaceSource;
import rovingglyph.shaping.FontFile;

/**
 * The shipped typefaces, and those that projects keep in the database. The same file is stored
 * once, however many projects keep it.
 */
@Component
@Primary
public class FaceStore implements FaceSource {
  /** Typefaces that a project keeps at most. */
  static final int MOST = 100;

  private static final int CACHED = 12;

  private final FaceCatalogue shipped;
  private final JdbcClient jdbc;
  private final Map<String, Face> cache =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Face> eldest) {
          return size() > CACHED;
        }
      };

  FaceStore(FaceCatalogue shipped, JdbcClient jdbc) {
    this.shipped = shipped;
    this.jdbc = jdbc;
  }

  @Override
  public Face fallback() {
    return shipped.fallback();
  }

  @Override
  public Face fallback(Character.UnicodeScript script) {
    return shipped.fallback(script);
  }

  @Override
  public Face find(String id) {
    Face face = shipped.find(id);
    return face != null ? face : kept(id);
  }

  private synchronized Face kept(String id) {
    boolean there =
        jdbc.sql("select exists (select 1 from project_typeface where typeface_id = ?)")
            .param(id)
            .query(Boolean.class)
            .single();
    if (!there) {
      cache.remove(id);
      return null;
    }
    return cache.computeIfAbsent(
        id,
        k ->
            FaceCatalogue.of(
                k,
                jdbc.sql("select content from typeface where id = ?")
                    .param(k)
                    .query(byte[].class)
                    .single()));
  }

  /** Shipped ones first, then those of a project by name. */
  public List<Face> of(UUID project) {
    List<Face> out = new java.util.ArrayList<>(shipped.all());
    if (project != null) {
      jdbc.sql(
              "select typeface_id from project_typeface join typeface on id = typeface_id"
                  + " where project_id = ? order by name, id")
          .param(project)
          .query(String.class)
          .list()
          .forEach(id -> out.add(kept(id)));
    }
    return out;
  }

  boolean isShipped(String id) {
    return shipped.find(id) != null;
  }

  /** Checks a font file and keeps it with a project. */
  @Transactional
  public Face keep(UUID project, byte[] file) {
    byte[] clean;
    try {
      clean = FontFile.read(file);
    } catch (FontFile.Unusable e) {
      throw RefusedException.bad(e.getMessage());
    } catch (IOException e) {
      throw new UnableException("The font could not be checked: " + e.getMessage(), e);
    }
    String id = "font-" + Sha256.hex(file, 20);
    Face face = FaceCatalogue.of(id, clean);
    int now =
        jdbc.sql("select count(*) from project_typeface where project_id = ?")
            .param(project)
            .query(Integer.class)
            .single();
    if (now >= MOST) {
      throw RefusedException.bad("A project keeps at most " + MOST + " typefaces");
    }
    boolean known =
        jdbc.sql("select exists (select 1 from project where id = ? and deleted_at is null)")
            .param(project)
            .query(Boolean.class)
            .single();
    if (!known) {
      throw RefusedException.notFound("project");
    }
    jdbc.sql("insert into typeface (id, name, content) values (?, ?, ?) on conflict do nothing")
        .params(id, face.name(), clean)
        .update();
    jdbc.sql(
            "insert into project_typeface (project_id, typeface_id) values (?, ?)"
                + " on conflict do nothing")
        .params(project, id)
        .update();
    return face;
  }

  /**
   * Keeps a font that came with a project file.
   *
   * @param id that it has there; it has the same here if it is that very font
   * @return the id that it has here
   */
  @Transactional
  public String keep(UUID project, String id, byte[] file) {
    boolean same =
        jdbc.sql("select exists (select 1 from typeface where id = ? and content = ?)")
            .params(id, file)
            .query(Boolean.class)
            .single();
    if (!same) {
      return keep(project, file).id();
    }
    jdbc.sql(
            "insert into project_typeface (project_id, typeface_id) values (?, ?)"
                + " on conflict do nothing")
        .params(project, id)
        .update();
    return id;
  }

  /** Takes a typeface out of a project; one that no project keeps is forgotten. */
  @Transactional
  public void remove(UUID project, String id) {
    int gone =
        jdbc.sql("delete from project_typeface where project_id = ? and typeface_id = ?")
            .params(project, id)
            .update();
    if (gone == 0) {
      throw RefusedException.notFound("typeface");
    }
    jdbc.sql(
            "delete from typeface where id = ? and not exists"
                + " (select 1 from project_typeface where typeface_id = id)")
        .param(id)
        .update();
  }
}
