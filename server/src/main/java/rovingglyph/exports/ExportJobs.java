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
import rovingglyph.formats.Part;
import rovingglyph.render.Bitmaps;
import rovingglyph.webhooks.Webhooks;

/**
 * Runs exports through db-scheduler: any node takes the next one, and one whose node has died is
 * begun again by another once its heartbeats have been missing for a while, three times in all. A
 * long one is cut by the node that takes it; its parts are taken as exports are, and whoever makes
 * the last has it joined.
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

  private static final Duration SOON = Duration.ofSeconds(2);

  /** How often finished files that are old are looked for. */
  private static final Duration SWEEP = Duration.ofMinutes(30);

  /** What comes of a run: the task is done, or it is tried again after a while. */
  private enum Outcome {
    OVER,
    AGAIN
  }

  private final ExportStore exports;
  private final ExportParts parts;
  private final ExportWork work;
  private final Webhooks webhooks;
  private final CustomTask<Void> task;
  private final CustomTask<Integer> partTask;
  private final Scheduler scheduler;

  ExportJobs(
      ExportStore exports,
      ExportParts parts,
      ExportWork work,
      Webhooks webhooks,
      HandOffStore handOff,
      DataSource dataSource) {
    this.exports = exports;
    this.parts = parts;
    this.work = work;
    this.webhooks = webhooks;
    // Only a stopping server or an absent database lets a run fail: it is begun again soon.
    this.task =
        Tasks.custom("export", Void.class)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(SOON))
            .execute((instance, context) -> ended(run(UUID.fromString(instance.getId()))));
    this.partTask =
        Tasks.custom("export part", Integer.class)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(SOON))
            .execute(
                (instance, context) -> {
                  String name = instance.getId();
                  UUID id = UUID.fromString(name.substring(0, name.indexOf('/')));
                  return ended(runPart(id, instance.getData()));
                });
    RecurringTask<Void> sweep =
        Tasks.recurring("remove old files", FixedDelay.of(SWEEP))
            .execute((instance, context) -> exports.removeOld(handOff.usualDays()));
    this.scheduler =
        Scheduler.create(dataSource, task, partTask)
            .startTasks(sweep)
            .threads(1)
            .pollingInterval(Duration.ofMillis(500))
            .heartbeatInterval(Duration.ofSeconds(5))
            .missedHeartbeatsLimit(4)
            .enablePriority()
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

  /**
   * Those of one export have their turn after the first ones of all others: a long export does not
   * keep short ones waiting.
   */
  private void enqueuePart(UUID id, int number) {
    scheduler.scheduleIfNotExists(
        partTask.instanceBuilder(id + "/" + number).data(number).priority(1 - number).build(),
        Instant.now());
  }

  private static <T> CompletionHandler<T> ended(Outcome outcome) {
    return outcome == Outcome.OVER
        ? new CompletionHandler.OnCompleteRemove<>()
        : (done, tasks) -> tasks.reschedule(done, Instant.now().plus(WAIT));
  }

  private Outcome run(UUID id) {
    int cut = parts.count(id);
    List<Integer> undone = parts.undone(id);
    if (!undone.isEmpty() && exports.isUnended(id)) {
      // Its node ended after it was cut, perhaps before all of its parts were known to the others.
      undone.forEach(number -> enqueuePart(id, number));
      return Outcome.OVER;
    }
    if (!(cut == 0 ? exports.start(id) : exports.startJoining(id))) {
      return over(id);
    }
    if (exports.tries(id) > MOST_TRIES) {
      exports.fail(id, endedItsNode("It"));
      return over(id);
    }
    try {
      if (cut > 0) {
        watch(id, progress -> work.join(id, progress));
        return over(id);
      }
      List<Part> all = new ArrayList<>();
      watch(id, progress -> all.addAll(work.parts(id)));
      if (all.size() > 1) {
        exports.giveBack(id, null);
        parts.cut(id, all);
        parts.undone(id).forEach(number -> enqueuePart(id, number));
        return Outcome.OVER;
      }
      watch(id, progress -> work.write(id, progress));
    } catch (Bitmaps.NotReady e) {
      exports.giveBack(id, e.getMessage());
      return Outcome.AGAIN;
    } catch (InterruptedException e) {
      exports.giveBack(id, null);
      throw stopping(e);
    } catch (ExportRun.Failed e) {
      LOG.error("Export {} failed", id, e.getCause());
      exports.fail(id, e.getMessage());
    }
    return over(id);
  }

  private void watch(UUID id, ExportRun.Work doing)
      throws ExportRun.Failed, InterruptedException, Bitmaps.NotReady {
    new ExportRun(
            "Export " + id,
            doing,
            () -> exports.isWanted(id),
            frames -> exports.progress(id, frames))
        .watch();
  }

  private Outcome runPart(UUID id, int number) {
    int tries = parts.start(id, number);
    if (tries == 0) {
      return partOver(id);
    }
    if (tries > MOST_TRIES) {
      exports.fail(id, endedItsNode("Part " + number + " of it"));
      return partOver(id);
    }
    try {
      new ExportRun(
              "Part " + number + " of export " + id,
              progress -> work.writePart(id, number, progress),
              () -> exports.isWanted(id),
              frames -> parts.progress(id, number, frames))
          .watch();
    } catch (Bitmaps.NotReady e) {
      parts.giveBack(id, number, e.getMessage());
      return Outcome.AGAIN;
    } catch (InterruptedException e) {
      parts.giveBack(id, number, null);
      throw stopping(e);
    } catch (ExportRun.Failed e) {
      LOG.error("Part {} of export {} failed", number, id, e.getCause());
      if (tries < MOST_TRIES) {
        return Outcome.AGAIN;
      }
      exports.fail(id, e.getMessage());
    }
    return partOver(id);
  }

  /** After a part that is made, or that nobody wants: the last one has all of them joined. */
  private Outcome partOver(UUID id) {
    if (!exports.isUnended(id)) {
      return over(id);
    }
    if (parts.undone(id).isEmpty()) {
      enqueue(id);
    }
    return Outcome.OVER;
  }

  /**
   * After an export that has ended. The task goes after this: a node that ends here begins it
   * again, and finds only this to do.
   */
  private Outcome over(UUID id) {
    parts.clear(id);
    webhooks.enqueue(id);
    return Outcome.OVER;
  }

  /** The task stays, and is begun again by the next node. */
  private static IllegalStateException stopping(InterruptedException e) {
    Thread.currentThread().interrupt();
    return new IllegalStateException("The server is stopping", e);
  }

  private static String endedItsNode(String what) {
    return what
        + " was begun "
        + MOST_TRIES
        + " times, and each time the server ended in the middle of it. Make the frame smaller, or"
        + " start the server with more memory (ROVING_MEMORY).";
  }
}
