package rovingglyph.server;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in only requests whose Host and Origin are the server's own, so that no other page in the
 * user's browser can reach it, not even by a name that resolves to loopback; and only bodies of a
 * told and bearable size.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OwnHostFilter extends OncePerRequestFilter {
  private static final long LARGEST_BODY = 16_000_000;

  /** A font may be larger; the reason for refusing one that is too large is told in full. */
  private static final long LARGEST_FONT = 40_000_000;

  private final Set<String> own = new HashSet<>(Set.of("127.0.0.1", "localhost", "[::1]"));

  OwnHostFilter(@Value("${roving.hosts:}") String further) {
    Arrays.stream(further.split(","))
        .map(h -> h.strip().toLowerCase(Locale.ROOT))
        .filter(h -> !h.isEmpty())
        .forEach(own::add);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = request.getHeader("Host");
    String origin = request.getHeader("Origin");
    int port = request.getLocalPort();
    if (!isOwn(host, port) || (origin != null && !isOwnOrigin(origin, port))) {
      refuse(response, 403, "This server answers only to its own address");
    } else if (request.getContentLengthLong() > largest(request)) {
      refuse(response, 413, "The request is larger than " + largest(request) + " bytes");
    } else if (request.getContentLengthLong() < 0
        && request.getHeader("Transfer-Encoding") != null) {
      refuse(response, 411, "The request must tell its length");
    } else {
      response.setHeader("X-Content-Type-Options", "nosniff");
      response.setHeader("X-Frame-Options", "DENY");
      response.setHeader("Referrer-Policy", "no-referrer");
      chain.doFilter(request, response);
    }
  }

  private boolean isOwn(String host, int port) {
    if (host == null) {
      return false;
    }
    String lower = host.toLowerCase(Locale.ROOT);
    String suffix = ":" + port;
    boolean hasPort = lower.endsWith(suffix);
    return own.contains(lower)
        || (hasPort && own.contains(lower.substring(0, lower.length() - suffix.length())));
  }

  private boolean isOwnOrigin(String origin, int port) {
    try {
      return isOwn(URI.create(origin).getAuthority(), port);
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  private static void refuse(HttpServletResponse response, int status, String detail)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response.setCharacterEncoding("UTF-8");
    response
        .getWriter()
        .write("{\"title\":\"Refused\",\"status\":" + status + ",\"detail\":\"" + detail + "\"}");
  }

  private static long largest(HttpServletRequest request) {
    return request.getRequestURI().endsWith("/faces") ? LARGEST_FONT : LARGEST_BODY;
  }
}
