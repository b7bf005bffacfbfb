package rovingglyph.projects;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Puts the demo project into an empty database. */
@Component
class DemoProject implements ApplicationRunner {
  /** Kite-string entrance comes first: it is what a new user sees. */
  private static final List<String> SCENES =
      List.of(
          "kite-string-entrance",
          "wind-rose-badge",
          "dune-ribbon",
          "wall-of-wind",
          "opening-stamp",
          "pennant-line");

  private static final long LOCK = 0x524F56494E47L;

  private final ProjectStore projects;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  DemoProject(ProjectStore projects, JdbcClient jdbc, TransactionTemplate transaction) {
    this.projects = projects;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  @Override
  public void run(ApplicationArguments args) throws IOException {
    List<String> documents = new ArrayList<>();
    for (String name : SCENES) {
      documents.add(
          new ClassPathResource("demo/" + name + ".json")
              .getContentAsString(StandardCharsets.UTF_8));
    }
    transaction.executeWithoutResult(
        t -> {
          // Several nodes may start on one empty database at once.
          jdbc.sql("select pg_advisory_xact_lock(?)").param(LOCK).query(rs -> {});
          if (projects.isEmpty()) {
            projects.create("Saltmarsh Kite Fair", documents);
          }
        });
  }
}
