package rovingglyph.tracing;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.document.PathCodec;
import rovingglyph.projects.KeptParts;
import rovingglyph.projects.ProjectStore;

/** Curves that projects keep, paths as in a scene document. */
@Configuration
class KeptCurves {
  static final int LONGEST = 1_000_000;
  static final int MOST = 500;

  @Bean
  static KeptParts curves(JdbcClient jdbc, ProjectStore projects) {
    return new KeptParts(jdbc, projects, "curve", "path", LONGEST, MOST, PathCodec::read);
  }
}
