package rovingglyph.webhooks;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;

/**
 * One POST to an address (HTTP/1.1, RFC 9112), over a socket to the very address that was looked
 * at: clients of libraries look a name up by themselves, and could be sent inside between the two.
 * Of the answer the first line alone is read; it is not followed anywhere.
 */
final class WebhookCall {
  private static final long MOST_MILLIS = 8000;
  private static final int LONGEST_LINE = 1000;

  private WebhookCall() {}

  /**
   * Sends JSON.
   *
   * @throws IOException if it was not taken, with the reason
   * @throws OutsideAddress.Refused if the address is inside
   */
  static void post(OutsideAddress to, String json) throws IOException, OutsideAddress.Refused {
    InetAddress address = to.found();
    long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(MOST_MILLIS);
    try (Socket plain = new Socket()) {
      plain.connect(new InetSocketAddress(address, to.port()), left(end));
      plain.setSoTimeout(left(end));
      try (Socket socket = to.isSecret() ? secret(plain, to) : plain) {
        send(socket.getOutputStream(), to, json);
        check(firstLine(socket, end));
      }
    }
  }

  private static int left(long end) throws SocketTimeoutException {
    long millis = TimeUnit.NANOSECONDS.toMillis(end - System.nanoTime());
    if (millis <= 0) {
      throw new SocketTimeoutException("No answer within " + MOST_MILLIS / 1000 + " seconds");
    }
    return (int) millis;
  }

  private static Socket secret(Socket plain, OutsideAddress to) throws IOException {
    SSLSocketFactory factory = (SSLSocketFactory) SSLSocketFactory.getDefault();
    SSLSocket out = (SSLSocket) factory.createSocket(plain, to.host(), to.port(), true);
    SSLParameters p = out.getSSLParameters();
    p.setEndpointIdentificationAlgorithm("HTTPS");
    out.setSSLParameters(p);
    out.startHandshake();
    return out;
  }

  private static void send(OutputStream out, OutsideAddress to, String json) throws IOException {
    String path = to.uri().getRawPath();
    String query = to.uri().getRawQuery();
    byte[] body = json.getBytes(StandardCharsets.UTF_8);
    String head =
        "POST "
            + (path == null || path.isEmpty() ? "/" : path)
            + (query == null ? "" : "?" + query)
            + " HTTP/1.1\r\nHost: "
            + to.uri().getRawAuthority()
            + "\r\nContent-Type: application/json\r\nUser-Agent: Roving-Glyph\r\nContent-Length: "
            + body.length
            + "\r\nConnection: close\r\n\r\n";
    out.write(head.getBytes(StandardCharsets.US_ASCII));
    out.write(body);
    out.flush();
  }

  private static String firstLine(Socket socket, long end) throws IOException {
    InputStream in = socket.getInputStream();
    StringBuilder line = new StringBuilder();
    while (line.length() < LONGEST_LINE) {
      // An answer that drips in must not hold the thread either.
      socket.setSoTimeout(left(end));
      int c = in.read();
      if (c < 0 || c == '\n') {
        break;
      }
      line.append((char) c);
    }
    return line.toString().strip();
  }

  private static void check(String line) throws IOException {
    if (!line.matches("HTTP/1\\.[01] 2\\d\\d.*")) {
      String shown = line.replaceAll("[^ -~]", "?");
      throw new IOException(
          "It answered “" + shown.substring(0, Math.min(80, shown.length())) + "”, not with 2xx");
    }
  }
}
