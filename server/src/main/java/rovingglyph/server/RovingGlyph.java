package rovingglyph.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.FaceSource;
import rovingglyph.shaping.Shaper;

/** Starts the server. */
@SpringBootApplication(scanBasePackages = "rovingglyph")
public class RovingGlyph {
  public static void main(String[] args) {
    PrivateFolder.use();
    SpringApplication.run(RovingGlyph.class, args);
  }

  @Bean
  FaceCatalogue faces() {
    return FaceCatalogue.shipped();
  }

  @Bean
  Shaper shaper(FaceSource faces) {
    return new Shaper(faces);
  }
}
