package rovingglyph.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The short form of {@code ./roving soak}. */
class SoakTest {
  @Test
  void whatWasShownAsKeptIsThereAfterAnyKill() throws Exception {
    try (Soak soak = new Soak(20261126)) {
      assertThat(soak.run(4, false)).isEmpty();
    }
  }
}
