package rovingglyph.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.footage.FootageFile;
import rovingglyph.footage.FootageIntake;
import rovingglyph.pictures.PictureStore;
import rovingglyph.projects.ProjectStore;
import rovingglyph.projects.SceneStore;
import rovingglyph.server.RefusedException;
import rovingglyph.server.UnableException;

/** Puts the demo project into an empty database, before the first request is answered. */
@Component
class DemoProject implements SmartInitializingSingleton {
  /** Kite-string entrance comes first: it is what a new user sees. */
  private static final List<String> SCENES =
      List.of(
          "kite-string-entrance",
          "wind-rose-badge",
          "dune-ribbon",
          "wall-of-wind",
          "opening-stamp",
          "pennant-line",
          "night-market-sign",
          "over-the-dune",
          "harbour-morning",
          "windsock-hoop",
          "lighthouse-carousel");

  /** Scenes that show others, which they name by their files here. */
  private static final List<String> SHOWING = List.of("pier-screens");

  /** With the name that each has; scenes name them by the ids made from their files. */
  private static final Map<String, String> PICTURES = Map.of("lantern-lane.svg", "Lantern lane");

  /** The same of its footage; scripts/demo-footage.sh makes the files. */
  private static final Map<String, String> FOOTAGE =
      Map.of(
          "pier-at-dusk.mp4",
          "Pier at dusk",
          "dunes-at-dusk.mp4",
          "Dunes at dusk",
          "harbour-at-dawn.mp4",
          "Harbour at dawn");

  private static final Logger LOG = LoggerFactory.getLogger(DemoProject.class);
  private static final long LOCK = 0x524F56494E47L;

  private final ProjectStore projects;
  private final SceneStore scenes;
  private final PictureStore pictures;
  private final FootageIntake footage;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  DemoProject(
      ProjectStore projects,
      SceneStore scenes,
      PictureStore pictures,
      FootageIntake footage,
      JdbcClient jdbc,
      TransactionTemplate transaction) {
    this.projects = projects;
    this.scenes = scenes;
    this.pictures = pictures;
    this.footage = footage;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  /** Without its pictures the project is of use all the same. */
  private void keep(UUID project, String name, String file) {
    try {
      pictures.keep(project, name, picture(file));
    } catch (UnableException | RefusedException e) {
      LOG.warn("The demo project is without the picture {}: {}", name, e.getMessage());
    }
  }

  private void keepFootage(UUID project, String name, String file) {
    try (InputStream in = new ClassPathResource("demo/footage/" + file).getInputStream()) {
      footage.keep(project, name, in);
    } catch (IOException | FootageFile.Unusable e) {
      LOG.warn("The demo project is without the footage {}: {}", name, e.getMessage());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static byte[] picture(String file) {
    try {
      return new ClassPathResource("demo/pictures/" + file).getContentAsByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A document that names kept scenes. */
  private static String showing(String document, ProjectStore.Project project) {
    String out = document;
    for (int i = 0; i < SCENES.size(); i++) {
      String id = project.scenes().get(i).id().toString();
      out = out.replace("\"scene\": \"" + SCENES.get(i) + "\"", "\"scene\": \"" + id + "\"");
    }
    return out;
  }

  private static String document(String scene) {
    try {
      return new ClassPathResource("demo/" + scene + ".json")
          .getContentAsString(StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void afterSingletonsInstantiated() {
    transaction.executeWithoutResult(
        t -> {
          // Several nodes may start on one empty database at once.
          jdbc.sql("select pg_advisory_xact_lock(?)").param(LOCK).query(rs -> {});
          if (projects.isEmpty()) {
            List<String> documents = SCENES.stream().map(DemoProject::document).toList();
            ProjectStore.Project project = projects.create("Saltmarsh Kite Fair", documents);
            SHOWING.forEach(s -> scenes.create(project.id(), showing(document(s), project)));
            PICTURES.forEach((file, name) -> keep(project.id(), name, file));
            FOOTAGE.forEach((file, name) -> keepFootage(project.id(), name, file));
          }
        });
  }
}
