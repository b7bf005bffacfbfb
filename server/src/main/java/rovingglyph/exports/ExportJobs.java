package rovingglyph.exports;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.SceneFiles;
import rovingglyph.render.VideoWriter;
import rovingglyph.shaping.Shaper;

/**
 * Runs exports through db-scheduler: any node takes the next one, and one whose node has died is
 * begun again by another once its heartbeats have been missing for a while.
 */
@Component
class ExportJobs implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(ExportJobs.class);
  private static final long REPORT_MILLIS = 250;

  private final ExportStore exports;
  private final Shaper shaper;
  private final OneTimeTask<Void> task;
  private final Scheduler scheduler;

  ExportJobs(ExportStore exports, Shaper shaper, DataSource dataSource) {
    this.exports = exports;
    this.shaper = shaper;
    this.task =
        Tasks.oneTime("export")
            // Only a stopping server lets a run fail; what it left is begun again soon.
            .onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(2)))
            .execute((instance, context) -> run(UUID.fromString(instance.getId())));
    this.scheduler =
        Scheduler.create(dataSource, task)
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
  }

  @Override
  public void destroy() {
    scheduler.stop();
  }

  void enqueue(UUID id) {
    scheduler.scheduleIfNotExists(task.instance(id.toString()), Instant.now());
  }

  private void run(UUID id) {
    if (!exports.start(id)) {
      return;
    }
    try {
      write(id);
    } catch (VideoWriter.Cancelled e) {
      if (Thread.currentThread().isInterrupted()) {
        // The server is stopping: the task stays, and is begun again by the next node.
        throw e;
      }
    } catch (IOException | RuntimeException e) {
      LOG.error("Export {} failed", id, e);
      exports.fail(id, e.getMessage() == null ? e.toString() : e.getMessage());
    }
  }

  private void write(UUID id) throws IOException {
    ExportStore.Export export = exports.get(id);
    SceneFiles.Format format = SceneFiles.Format.of(export.format());
    PreparedScene scene = Preparation.prepare(SceneCodec.read(exports.document(id)), shaper);
    Path file = Files.createTempFile("roving-export", "." + format.ending());
    try {
      long[] reported = {0};
      SceneFiles.write(
          scene,
          format,
          export.atSeconds(),
          file,
          frames -> {
            long now = System.currentTimeMillis();
            if (now - reported[0] < REPORT_MILLIS) {
              return true;
            }
            reported[0] = now;
            return exports.progress(id, frames);
          });
      exports.finish(id, Files.readAllBytes(file));
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
