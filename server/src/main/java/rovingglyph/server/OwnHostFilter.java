package rovingglyph.server;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in only requests whose Host and Origin are the server's own, scheme and port included, so
 * that no other page in the user's browser can reach it, not even by a name that resolves to
 * loopback; and only bodies of a told and bearable size.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OwnHostFilter extends OncePerRequestFilter {
  private static final long LARGEST_BODY = 16_000_000;

  /** A font may be larger; the reason for refusing one that is too large is told in full. */
  private static final long LARGEST_FILE = 50_000_000;

  private static final List<String> LOOPBACK = List.of("127.0.0.1", "localhost", "[::1]");

  /** Names from outside, with their ports where they have some. */
  private final Set<String> further = new HashSet<>();

  private final BodyBudget budget;

  OwnHostFilter(@Value("${roving.hosts:}") String hosts, BodyBudget budget) {
    this.budget = budget;
    Arrays.stream(hosts.split(","))
        .map(h -> h.strip().toLowerCase(Locale.ROOT))
        .filter(h -> !h.isEmpty())
        .forEach(further::add);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = lower(request.getHeader("Host"));
    String origin = request.getHeader("Origin");
    int port = request.getLocalPort();
    long length = request.getContentLengthLong();
    if (!isOwn(host, port) || (origin != null && !isOwnOrigin(lower(origin), host, port))) {
      Refusal.write(response, 403, "This server answers only to its own address");
    } else if (length > largest(request)) {
      Refusal.write(response, 413, "The request is larger than " + largest(request) + " bytes");
    } else if (length < 0 && request.getHeader("Transfer-Encoding") != null) {
      Refusal.write(response, 411, "The request must tell its length");
    } else if (length <= 0) {
      chain.doFilter(request, response);
    } else {
      within(budget.cost(request, length), request, response, chain);
    }
  }

  private void within(
      int cost, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!budget.take(cost)) {
      response.setHeader("Retry-After", "2");
      Refusal.write(response, 503, "The server has too many large requests at once; try again");
      return;
    }
    try {
      chain.doFilter(request, response);
    } finally {
      budget.giveBack(cost);
    }
  }

  private static String lower(String header) {
    return header == null ? "" : header.toLowerCase(Locale.ROOT);
  }

  /** The port may be left out where it is that of plain HTTP. */
  private boolean isOwn(String host, int port) {
    return LOOPBACK.stream().anyMatch(name -> isAt(host, name, port)) || isFurther(host, port);
  }

  private static boolean isAt(String host, String name, int port) {
    return host.equals(name + ":" + port) || (port == 80 && host.equals(name));
  }

  /** A name from outside stands for whatever port is in front of this server. */
  private boolean isFurther(String host, int port) {
    return further.contains(host)
        || (host.endsWith(":" + port)
            && further.contains(host.substring(0, host.lastIndexOf(':'))));
  }

  /** The page comes from the very address it asks; in front of a further name may be TLS. */
  private boolean isOwnOrigin(String origin, String host, int port) {
    return origin.equals("http://" + host)
        || (isFurther(host, port) && origin.equals("https://" + host));
  }

  private static long largest(HttpServletRequest request) {
    String to = request.getRequestURI();
    return to.endsWith("/faces") || to.endsWith("/pictures") ? LARGEST_FILE : LARGEST_BODY;
  }
}
