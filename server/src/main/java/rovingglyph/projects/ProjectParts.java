package rovingglyph.projects;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.document.AppearanceCodec;
import rovingglyph.document.EasingCodec;

/** The parts of documents that projects keep by name. */
@Configuration
class ProjectParts {
  @Bean
  static KeptParts easings(JdbcClient jdbc, ProjectStore projects) {
    return new KeptParts(
        jdbc, projects, "easing", "curve", KeptParts.LONGEST, KeptParts.MOST, EasingCodec::read);
  }

  @Bean
  static KeptParts finishes(JdbcClient jdbc, ProjectStore projects) {
    return new KeptParts(
        jdbc,
        projects,
        "finish",
        "effects",
        KeptParts.LONGEST,
        KeptParts.MOST,
        AppearanceCodec::checkFinish);
  }
}
