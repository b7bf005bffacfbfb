package rovingglyph.exports;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
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
import rovingglyph.render.Bitmaps;
import rovingglyph.webhooks.Webhooks;

/**
 * Runs exports through db-scheduler: any node takes the next one, and one whose node has died is
 * begun again by another once its heartbeats have been missing for a while, three times in all.
 */
@Component
class ExportJobs implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(ExportJobs.class);

  /** An export that ended its node so often is not begun again. */
  static final int MOST_TRIES = 3;

  /**
   * After which one is tried again whose footage is not ready; others have their turn meanwhile.
   */
  private static final Duration WAIT = Duration.ofSeconds(1);

  /** How often finished files that are old are looked for. */
  private static final Duration SWEEP = Duration.ofMinutes(30);

  private final ExportStore exports;
  private final ExportWork work;
  private final Webhooks webhooks;
  private final CustomTask<Void> task;
  private final Scheduler scheduler;

  ExportJobs(
      ExportStore exports,
      ExportWork work,
      Webhooks webhooks,
      HandOffStore handOff,
      DataSource dataSource) {
    this.exports = exports;
    this.work = work;
    this.webhooks = webhooks;
    this.task =
        Tasks.custom("export", Void.class)
            // Only a stopping server or an absent database lets a run fail: it is begun again soon.
            .onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(2)))
            .execute((instance, context) -> ended(UUID.fromString(instance.getId())));
    RecurringTask<Void> sweep =
        Tasks.recurring("remove old files", FixedDelay.of(SWEEP))
            .execute((instance, context) -> exports.removeOld(handOff.usualDays()));
    this.scheduler =
        Scheduler.create(dataSource, task)
            .startTasks(sweep)
            .threads(1)
            .pollingInterval(Duration.ofMillis(500))
            .heartbeatInterval(Duration.ofSeconds(5))
            .missedHeartbeatsLimit(4)
            .enableImmediateExecution()
            .shutdownMaxWait(Duration.ofSeconds(4))
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

  private CompletionHandler<Void> ended(UUID id) {
    if (!run(id)) {
      return (done, tasks) -> tasks.reschedule(done, Instant.now().plus(WAIT));
    }
    // Before the task is gone: a node that ends here begins it again, and finds only this to do.
    webhooks.enqueue(id);
    return new CompletionHandler.OnCompleteRemove<>();
  }

  /** False if it has to be tried again. */
  private boolean run(UUID id) {
    if (!exports.start(id)) {
      return true;
    }
    if (exports.tries(id) > MOST_TRIES) {
      exports.fail(
          id,
          "It was begun "
              + MOST_TRIES
              + " times, and each time the server ended in the middle of it. Make the frame"
              + " smaller, or start the server with more memory (ROVING_MEMORY).");
      return true;
    }
    try {
      new ExportRun(exports, work, id).watch();
    } catch (Bitmaps.NotReady e) {
      exports.giveBack(id, e.getMessage());
      return false;
    } catch (InterruptedException e) {
      // The server is stopping: the task stays, and is begun again by the next node.
      exports.giveBack(id, null);
      Thread.currentThread().interrupt();
      throw new IllegalStateException("The server is stopping", e);
    } catch (ExportRun.Failed e) {
      LOG.error("Export {} failed", id, e.getCause());
      exports.fail(id, e.getMessage());
    }
    return true;
  }
}
