package rovingglyph.projects;

import com.fasterxml.jackson.annotation.JsonRawValue;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;
import rovingglyph.server.RefusedException;

/** The scenes of a project that others show within them. */
@Component
public class ShownScenes {
  /** A scene that is shown. */
  public record Shown(UUID id, String name, @JsonRawValue String document) {}

  /** The longest that documents shown within one may be together, in characters. */
  private static final long MOST = 40_000_000;

  private final JdbcClient jdbc;

  public ShownScenes(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * The named ones of a project and all that these show; those that are gone are left out.
   *
   * @throws RefusedException if they are too long to be taken along
   */
  public List<Shown> of(UUID project, Collection<String> ids) {
    Map<String, Shown> out = new LinkedHashMap<>();
    Set<String> next = new LinkedHashSet<>(ids);
    while (!next.isEmpty()) {
      List<Shown> found =
          jdbc.sql(
                  """
                  select id, name, document from scene where project_id = :project
                    and deleted_at is null and id::text in (:ids) order by place""")
              .param("project", project)
              .param("ids", next)
              .query(Shown.class)
              .list();
      next = new LinkedHashSet<>();
      for (Shown s : found) {
        out.put(s.id().toString(), s);
        next.addAll(SceneShelf.shownBy(SceneCodec.read(s.document())));
      }
      next.removeAll(out.keySet());
      if (out.values().stream().mapToLong(s -> s.document().length()).sum() > MOST) {
        throw RefusedException.bad(
            "The scenes that are shown have more than "
                + MOST / 1_000_000
                + " million characters together; show fewer, or simpler ones");
      }
    }
    return new ArrayList<>(out.values());
  }

  private Map<String, String> documents(UUID project, Scene scene) {
    Map<String, String> out = new LinkedHashMap<>();
    of(project, SceneShelf.shownBy(scene)).forEach(s -> out.put(s.id().toString(), s.document()));
    return out;
  }

  /** A document with those that it shows, as one text; see {@link SceneBundle}. */
  public String bundle(UUID project, String document) {
    return SceneBundle.write(document, documents(project, SceneCodec.read(document)));
  }

  /** The scene of a document, with those that it shows. */
  public Scene filled(UUID project, String document) {
    return SceneBundle.filled(document, documents(project, SceneCodec.read(document)));
  }

  /**
   * Sees that a scene does not hold itself, and not more insets than can be painted. Saves of a
   * project in which scenes show others wait for each other, so that no two make a circle together.
   *
   * @throws DocumentException if it does, with the names in the circle
   */
  void check(UUID id, UUID project, Scene scene) {
    Set<String> shown = SceneShelf.shownBy(scene);
    if (shown.isEmpty()) {
      return;
    }
    jdbc.sql("select 1 from project where id = ? for update").param(project).query(rs -> {});
    SceneShelf shelf = new SceneShelf();
    Map<String, String> names = new LinkedHashMap<>();
    for (Shown s : of(project, shown)) {
      shelf.put(s.id().toString(), SceneCodec.read(s.document()));
      names.put(s.id().toString(), s.name());
    }
    names.put(id.toString(), scene.name());
    List<String> circle = shelf.circle(id.toString(), scene);
    if (!circle.isEmpty()) {
      String told = String.join(" shows ", circle.stream().map(names::get).toList());
      refuse(scene, circle.get(1), "would show the scene in itself: " + told);
    }
    if (shelf.count(scene) > SceneShelf.MOST_INSETS) {
      refuse(
          scene,
          shown.iterator().next(),
          "with those in the scenes shown, there would be more insets than "
              + SceneShelf.MOST_INSETS);
    }
  }

  private static void refuse(Scene scene, String shown, String reason) {
    List<Item> items = new ArrayList<>(scene.items().values());
    int at = 0;
    while (!(items.get(at) instanceof Inset i && i.scene().equals(shown))) {
      at++;
    }
    throw new DocumentException(
        List.of(new Problem("$.items[" + at + "].scene", reason, "another scene of the project")));
  }

  /** The names of the scenes that show one themselves. */
  List<String> using(UUID project, UUID id) {
    List<Shown> candidates =
        jdbc.sql(
                """
                select id, name, document from scene where project_id = ? and id <> ?
                  and deleted_at is null and position(? in document::text) > 0 order by place""")
            .params(project, id, id.toString())
            .query(Shown.class)
            .list();
    return candidates.stream()
        .filter(s -> SceneShelf.shownBy(SceneCodec.read(s.document())).contains(id.toString()))
        .map(Shown::name)
        .toList();
  }
}
