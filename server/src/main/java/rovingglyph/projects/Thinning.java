package rovingglyph.projects;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Thins out the history once an hour, on one of the nodes. */
@Component
class Thinning implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Thinning.class);

  private final Scheduler scheduler;

  Thinning(HistoryStore history, DataSource dataSource) {
    RecurringTask<Void> task =
        Tasks.recurring("thin-history", FixedDelay.of(Duration.ofHours(1)))
            .execute(
                (instance, context) -> {
                  int gone = history.thin();
                  if (gone > 0) {
                    LOG.info("{} old revisions were thinned out", gone);
                  }
                });
    this.scheduler =
        Scheduler.create(dataSource)
            .startTasks(task)
            .threads(1)
            .pollingInterval(Duration.ofMinutes(1))
            .shutdownMaxWait(Duration.ofSeconds(1))
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
}
