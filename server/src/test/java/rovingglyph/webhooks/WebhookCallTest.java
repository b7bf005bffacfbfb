package rovingglyph.webhooks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Calls to addresses that behave badly. */
class WebhookCallTest {
  /** Answers with bytes that never end, or with none. */
  private static ServerSocket listener(boolean drips) throws IOException {
    ServerSocket out = new ServerSocket(0, 10, InetAddress.getLoopbackAddress());
    Thread t =
        new Thread(
            () -> {
              try (Socket s = out.accept()) {
                while (true) {
                  Thread.sleep(300);
                  if (drips) {
                    s.getOutputStream().write('x');
                  }
                }
              } catch (IOException | InterruptedException e) {
                // It has hung up.
              }
            });
    t.setDaemon(true);
    t.start();
    return out;
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void oneThatHangsIsLeftWithinTenSeconds(boolean drips) throws Exception {
    try (ServerSocket listener = listener(drips)) {
      String host = "127.0.0.1:" + listener.getLocalPort();
      OutsideAddress to = OutsideAddress.read("http://" + host + "/", Set.of(host));
      long begun = System.nanoTime();
      assertThatThrownBy(() -> WebhookCall.post(to, "{}")).isInstanceOf(IOException.class);
      assertThat((System.nanoTime() - begun) / 1e9).isLessThan(10);
    }
  }

  @Test
  void aNameThatLeadsInsideIsRefusedWhenItIsCalled() throws Exception {
    // As a name that was outside when it was asked for, and is not when it is called.
    OutsideAddress to = new OutsideAddress(new java.net.URI("http://localhost:9/"), false);
    assertThatThrownBy(to::found).isInstanceOf(OutsideAddress.Refused.class);
  }
}
