package rovingglyph.exports;

import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import rovingglyph.server.RefusedException;

/** How projects call their files, and how long they keep them. */
@Repository
public class HandOffStore {
  /** The longest that finished files are kept, unless it is for ever. */
  private static final int MOST_DAYS = 3650;

  /**
   * What holds for a project.
   *
   * @param fileNames see {@link NamePattern}
   * @param keepDays after which finished files go; 0 for ever
   */
  public record Settings(String fileNames, int keepDays) {}

  private final JdbcClient jdbc;
  private final int usualDays;

  HandOffStore(JdbcClient jdbc, @Value("${roving.files.days}") int usualDays) {
    this.jdbc = jdbc;
    this.usualDays = usualDays;
  }

  /** The days of projects that say nothing. */
  int usualDays() {
    return usualDays;
  }

  Settings of(UUID project) {
    return jdbc.sql(
            "select coalesce(file_names, :names) as file_names,"
                + " coalesce(keep_files_days, :days) as keep_days from project where id = :id")
        .param("names", NamePattern.USUAL.text())
        .param("days", usualDays)
        .param("id", project)
        .query(Settings.class)
        .optional()
        .orElseThrow(() -> RefusedException.notFound("project"));
  }

  /**
   * Changes what is not null.
   *
   * @throws RefusedException for a pattern or days that cannot be
   */
  public Settings change(UUID project, String fileNames, Integer keepDays) {
    if (keepDays != null && (keepDays < 0 || keepDays > MOST_DAYS)) {
      throw RefusedException.bad("keepDays: takes 1 to " + MOST_DAYS + ", or 0 for ever");
    }
    String names = fileNames == null ? null : NamePattern.checked(fileNames).text();
    jdbc.sql(
            "update project set file_names = coalesce(?, file_names),"
                + " keep_files_days = coalesce(?, keep_files_days) where id = ?")
        .params(names, keepDays, project)
        .update();
    return of(project);
  }
}
