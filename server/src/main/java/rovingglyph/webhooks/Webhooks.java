package rovingglyph.webhooks;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Tells addresses that an export has ended: through db-scheduler, so that one which is due is not
 * lost with its node. It is tried three times.
 */
@Component
public class Webhooks implements DisposableBean {
  private static final Duration[] AGAIN = {Duration.ofSeconds(5), Duration.ofSeconds(60)};

  private record Due(String webhook, String result, String told) {}

  private final JdbcClient jdbc;
  private final Set<String> allowed;
  private final CustomTask<Integer> task;
  private final Scheduler scheduler;

  Webhooks(JdbcClient jdbc, DataSource dataSource, @Value("${roving.webhook.hosts}") String hosts) {
    this.jdbc = jdbc;
    this.allowed =
        Arrays.stream(hosts.split(","))
            .map(h -> h.strip().toLowerCase(Locale.ROOT))
            .filter(h -> !h.isEmpty())
            .collect(Collectors.toUnmodifiableSet());
    this.task =
        Tasks.custom("webhook", Integer.class)
            .execute((instance, context) -> run(instance.getId(), instance.getData()));
    this.scheduler =
        Scheduler.create(dataSource, task)
            .tableName("webhook_tasks")
            .threads(2)
            .pollingInterval(Duration.ofSeconds(1))
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

  /**
   * Sees whether an address may be told something.
   *
   * @return what is in the way, after the word for it; null if nothing is
   */
  public String problem(String address) {
    try {
      OutsideAddress.read(address, allowed);
      return null;
    } catch (OutsideAddress.Refused e) {
      return e.getMessage();
    }
  }

  /** Has it told that an export has ended, where it has an address that was not told yet. */
  public void enqueue(UUID export) {
    Due due = due(export.toString());
    if (due != null && due.webhook() != null && due.result() == null) {
      scheduler.scheduleIfNotExists(task.instance(export.toString(), 0), Instant.now());
    }
  }

  private Due due(String export) {
    return jdbc.sql(
            """
            select webhook, webhook_result as result, json_build_object(
                'export', id, 'scene', scene_id, 'format', format, 'state', lower(state),
                'fileName', file_name, 'size', size, 'message', message,
                'file', case when state = 'DONE' then '/api/exports/' || id || '/file' end)::text
              as told from export where id = ?::uuid""")
        .param(export)
        .query(Due.class)
        .optional()
        .orElse(null);
  }

  private CompletionHandler<Integer> run(String export, int tries) {
    Due due = due(export);
    if (due == null || due.webhook() == null || due.result() != null) {
      return new CompletionHandler.OnCompleteRemove<>();
    }
    String problem = call(due);
    if (problem != null && tries < AGAIN.length) {
      Instant then = Instant.now().plus(AGAIN[tries]);
      return (done, tasks) -> tasks.reschedule(done, then, tries + 1);
    }
    jdbc.sql("update export set webhook_result = ? where id = ?::uuid")
        .params(problem == null ? "" : problem, export)
        .update();
    return new CompletionHandler.OnCompleteRemove<>();
  }

  /** Null if it was told. */
  private String call(Due due) {
    try {
      WebhookCall.post(OutsideAddress.read(due.webhook(), allowed), due.told());
      return null;
    } catch (IOException | OutsideAddress.Refused e) {
      return e.getMessage() == null ? e.toString() : e.getMessage();
    }
  }
}
