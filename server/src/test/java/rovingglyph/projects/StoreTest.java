package rovingglyph.projects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import rovingglyph.schema.DocumentException;
import rovingglyph.server.RefusedException;
import rovingglyph.server.TestServer;

/** The stores on a real PostgreSQL. */
class StoreTest {
  private final SceneStore scenes = TestServer.shared().bean(SceneStore.class);
  private final ProjectStore projects = TestServer.shared().bean(ProjectStore.class);

  private SceneStore.Kept newScene() {
    ProjectStore.Project p = projects.create("Stores", List.of(EmptyScene.document("One")));
    return scenes.get(p.scenes().get(0).id());
  }

  @Test
  void ofManyWhoSaveAtOnceExactlyOneWins() throws Exception {
    SceneStore.Kept kept = newScene();
    AtomicInteger won = new AtomicInteger();
    AtomicInteger told = new AtomicInteger();
    ExecutorService pool = Executors.newFixedThreadPool(8);
    List<Future<?>> all = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      String mine = EmptyScene.document("Version " + i);
      all.add(
          pool.submit(
              () -> {
                try {
                  scenes.save(kept.id(), 1, mine, null, null);
                  won.incrementAndGet();
                } catch (RefusedException e) {
                  told.incrementAndGet();
                }
              }));
    }
    for (Future<?> f : all) {
      f.get();
    }
    pool.shutdown();
    assertThat(won.get()).isEqualTo(1);
    assertThat(told.get()).isEqualTo(7);
    assertThat(scenes.get(kept.id()).revision()).isEqualTo(2);
  }

  @Test
  void aProjectIsKeptWholeOrNotAtAll() {
    int before = projects.list().size();
    List<String> documents = List.of(EmptyScene.document("Good"), "{\"format\":\"bad\"}");
    assertThatThrownBy(() -> projects.create("Half", documents))
        .isInstanceOf(DocumentException.class);
    assertThat(projects.list()).hasSize(before);
  }

  @Test
  void scenesKeepTheirOrderAndNamesFollowTheDocument() {
    ProjectStore.Project p =
        projects.create("Order", List.of(EmptyScene.document("A"), EmptyScene.document("B")));
    scenes.save(p.scenes().get(0).id(), 1, EmptyScene.document("Renamed inside"), null, null);
    scenes.create(p.id(), EmptyScene.document("C"));
    assertThat(projects.get(p.id()).scenes())
        .extracting(SceneStore.Entry::name)
        .containsExactly("Renamed inside", "B", "C");
  }

  @Test
  void whatIsNotThereIsToldSo() {
    UUID nobody = UUID.randomUUID();
    assertThatThrownBy(() -> scenes.get(nobody)).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> scenes.rename(nobody, "x")).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> scenes.setDeleted(nobody, true)).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> projects.rename(nobody, "x")).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> scenes.save(nobody, 1, EmptyScene.document("x"), null, null))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void namesAreTrimmedAndCannotBeEmptyOrEndless() {
    assertThat(new NewName("  kite  ").checked()).isEqualTo("kite");
    for (String bad : new String[] {null, "", "   ", "x".repeat(201), "a\0b"}) {
      assertThatThrownBy(() -> new NewName(bad).checked()).hasMessageContaining("1 to 200");
    }
  }
}
