package rovingglyph.server;

import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import rovingglyph.document.DocumentException;

/** Every failure as RFC 9457 problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(RefusedException e) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
    p.setTitle(e.title());
    e.properties().forEach(p::setProperty);
    return answer(e.status(), p);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> badDocument(DocumentException e) {
    ProblemDetail p =
        ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    p.setTitle("The scene document cannot be used");
    p.setProperty("problems", e.problems());
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, p);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> unexpected(RuntimeException e) {
    logger.error("A request failed", e);
    ProblemDetail p =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.INTERNAL_SERVER_ERROR,
            "Something went wrong on the server; its log says what. Nothing was changed.");
    p.setTitle("Server error");
    return answer(HttpStatus.INTERNAL_SERVER_ERROR, p);
  }

  private static ResponseEntity<ProblemDetail> answer(HttpStatusCode status, ProblemDetail p) {
    return ResponseEntity.status(status).header("Content-Type", "application/problem+json").body(p);
  }
}
