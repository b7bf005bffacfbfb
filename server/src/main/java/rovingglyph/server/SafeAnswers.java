package rovingglyph.server;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.apache.catalina.valves.ValveBase;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Every answer carries the headers that keep a browser from running or framing what it should not,
 * also those that Tomcat gives by itself to what is no proper request; and these are problem
 * details too.
 */
@Component
class SafeAnswers implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  /** Nothing inline and nothing from elsewhere runs; pictures may be made by the page itself. */
  private static final String POLICY =
      "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; media-src blob:;"
          + " font-src 'self' data: blob:; connect-src 'self'; worker-src 'self'; object-src 'none';"
          + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    factory.addEngineValves(new Headers());
    factory.addContextCustomizers(c -> c.getParent().getPipeline().addValve(new Reports()));
  }

  private static void addTo(HttpServletResponse response) {
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Content-Security-Policy", POLICY);
  }

  /** First of all, so that no way round it exists. */
  private static final class Headers extends ValveBase {
    Headers() {
      super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
      addTo(response);
      getNext().invoke(request, response);
    }
  }

  /** In the place of Tomcat's own pages. */
  private static final class Reports extends ErrorReportValve {
    @Override
    protected void report(Request request, Response response, Throwable failure) {
      int status = response.getStatus();
      if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
        return;
      }
      try {
        response.reset();
        addTo(response);
        Refusal.write(
            response,
            status,
            status < 500 ? "The request is not understood" : "The server failed; its log says how");
        response.finishResponse();
      } catch (IOException | IllegalStateException e) {
        // Whoever asked has hung up.
        container.getLogger().debug("An answer was not taken", e);
      }
    }
  }
}
