package rovingglyph.footage;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import rovingglyph.uploads.StoredFiles;

/**
 * Makes what the stage shows of footage: every frame as a picture of its own, so that each can be
 * shown at once. Any node takes the next one; one whose node has died is begun again by another.
 */
@Component
public class FootageJobs implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(FootageJobs.class);

  /** Frames that are kept and fetched together. */
  private static final int RUN = 12;

  /** Footage that ended its node so often is not begun again. */
  private static final int MOST_TRIES = 3;

  private static final long LOOK_MILLIS = 500;

  /** The longest that one frame may take. */
  private static final double QUIET_SECONDS = 60;

  private final FootageStore store;
  private final StageFootage stage;
  private final StoredFiles files;
  private final OneTimeTask<Void> task;
  private final Scheduler scheduler;

  FootageJobs(FootageStore store, StageFootage stage, StoredFiles files, DataSource dataSource) {
    this.store = store;
    this.stage = stage;
    this.files = files;
    this.task =
        Tasks.oneTime("footage")
            // Only a stopping server or an absent database lets a run fail: it is begun again soon.
            .onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(2)))
            .execute((instance, context) -> run(instance.getId()));
    this.scheduler =
        Scheduler.create(dataSource, task)
            .tableName("footage_tasks")
            .threads(1)
            .pollingInterval(Duration.ofMillis(500))
            .heartbeatInterval(Duration.ofSeconds(5))
            .missedHeartbeatsLimit(4)
            .enableImmediateExecution()
            .shutdownMaxWait(Duration.ofSeconds(2))
            .build();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    scheduler.start();
    // What was kept without being asked for here, or by a node that ended at once.
    store.preparing().forEach(this::enqueue);
  }

  @Override
  public void destroy() {
    scheduler.stop();
  }

  /** Has footage made ready for the stage. */
  public void enqueue(String id) {
    scheduler.scheduleIfNotExists(task.instance(id), Instant.now());
  }

  private void run(String id) {
    FootageStore.Work work = store.begin(id).orElse(null);
    if (work == null) {
      return;
    }
    if (work.tries() > MOST_TRIES) {
      store.fail(id, "The server ended each time that it was read");
      return;
    }
    Preparing preparing = new Preparing(id, work);
    try {
      preparing.watch();
    } catch (InterruptedException e) {
      store.giveBack(id);
      Thread.currentThread().interrupt();
      throw new IllegalStateException("The server is stopping", e);
    }
  }

  /** The work on a thread of its own, and a watch over it. */
  private final class Preparing {
    private final String id;
    private final FootageStore.Work work;
    private volatile Process child;
    private volatile boolean ended;
    private volatile long movedAt = System.nanoTime();
    private int runs;
    private int frames;
    private final List<byte[]> waiting = new ArrayList<>();

    Preparing(String id, FootageStore.Work work) {
      this.id = id;
      this.work = work;
    }

    void watch() throws InterruptedException {
      Thread worker = new Thread(this::all, "footage " + id);
      worker.setDaemon(true);
      worker.start();
      try {
        while (worker.isAlive()) {
          worker.join(LOOK_MILLIS);
          if ((System.nanoTime() - movedAt) / 1e9 > QUIET_SECONDS) {
            end();
            store.fail(id, "A frame of it took more than %.0f s".formatted(QUIET_SECONDS));
            return;
          }
          if (store.state(id) != FootageStore.State.PREPARING) {
            end();
          }
        }
      } finally {
        end();
      }
    }

    private synchronized void end() {
      ended = true;
      if (child != null) {
        child.destroyForcibly();
      }
    }

    private synchronized void child(Process p) {
      child = p;
      movedAt = System.nanoTime();
      if (ended) {
        p.destroyForcibly();
      }
    }

    private void all() {
      Path file = null;
      try {
        file = files.spooled(work.file());
        read(file);
      } catch (FootageFile.Unusable e) {
        fail(e.getMessage());
      } catch (Exception | OutOfMemoryError e) {
        LOG.warn("Footage {} could not be prepared", id, e);
        fail("It could not be read: " + e.getMessage());
      } finally {
        delete(file);
      }
    }

    private void fail(String message) {
      if (!ended) {
        store.fail(id, message);
      }
    }

    private void delete(Path file) {
      try {
        if (file != null) {
          Files.deleteIfExists(file);
        }
      } catch (IOException e) {
        LOG.warn("{} is left", file, e);
      }
    }

    private void read(Path file) throws IOException, FootageFile.Unusable {
      FootageReading reading = new FootageReading(file, work.facts(), this::child);
      double[] times = reading.frames(this::frame);
      if (times.length == 0 || !keepRun() || ended) {
        return;
      }
      byte[] peaks = null;
      UUID sound = null;
      if (work.facts().channels() > 0) {
        Path heard = Files.createTempFile("roving-footage", ".ogg");
        try {
          peaks = reading.sound(heard);
          try (InputStream in = Files.newInputStream(heard)) {
            sound = files.keep(id + ".ogg", in);
          }
        } finally {
          delete(heard);
        }
      }
      if (!ended) {
        store.ready(id, times, peaks, sound);
      }
    }

    private boolean frame(byte[] picture) {
      movedAt = System.nanoTime();
      waiting.add(picture);
      frames++;
      return !ended && (waiting.size() < RUN || keepRun());
    }

    private boolean keepRun() {
      if (waiting.isEmpty()) {
        return true;
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      waiting.forEach(bytes::writeBytes);
      int[] lengths = waiting.stream().mapToInt(p -> p.length).toArray();
      waiting.clear();
      double all = Math.max(1, work.facts().length() * work.facts().rate());
      double done = Math.min(0.99, frames / all);
      return stage.put(id, runs++, new StageFootage.Run(lengths, bytes.toByteArray()), done);
    }
  }
}
