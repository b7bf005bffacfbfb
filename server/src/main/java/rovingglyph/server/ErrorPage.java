package rovingglyph.server;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What no controller could answer, as problem details; asked for by itself it is not there. */
@Controller
@Hidden
class ErrorPage implements ErrorController {
  @RequestMapping("/error")
  void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
    boolean failed =
        request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer status
            && status >= 400;
    int status = failed ? (Integer) request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) : 404;
    String detail =
        status == 404
            ? "There is nothing at this address"
            : status < 500
                ? "The request cannot be answered as it is"
                : "Something went wrong on the server; its log says what. Nothing was changed.";
    Refusal.write(response, status, detail);
  }
}
