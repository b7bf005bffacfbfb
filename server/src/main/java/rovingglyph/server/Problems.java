package rovingglyph.server;

import com.github.kagkarlsson.shaded.jdbc.SQLRuntimeException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import rovingglyph.schema.DocumentException;

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
    HttpStatus status = HttpStatus.UNPROCESSABLE_CONTENT;
    ProblemDetail p = problem(status, "What was sent cannot be used", e.getMessage());
    p.setProperty("problems", e.problems());
    return answer(status, p);
  }

  /** The database does not answer: nothing was changed, and trying again soon is right. */
  @ExceptionHandler({
    CannotGetJdbcConnectionException.class,
    CannotCreateTransactionException.class,
    DataAccessResourceFailureException.class,
    RecoverableDataAccessException.class,
    TransientDataAccessException.class,
    QueryTimeoutException.class,
    TransactionSystemException.class,
    SQLRuntimeException.class
  })
  ResponseEntity<ProblemDetail> databaseAway(RuntimeException e) {
    logger.warn("The database does not answer: " + e.getMessage());
    return later(
        "Away for a moment",
        "The database does not answer; nothing was changed. Try again in a moment.",
        1);
  }

  /** A parameter that PostgreSQL does not take, or one that names what has just gone. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> cannotBeKept(DataIntegrityViolationException e) {
    logger.info("Refused by the database: " + e.getMessage());
    return bad(
        "The request holds a character that cannot be kept, or names something that is gone");
  }

  /** Parameters that cannot be decoded. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> badParameter(InvalidParameterException e) {
    return bad("The address has parameters that are no UTF-8 text");
  }

  /** More memory or depth than there is; what was being done is given up, and nothing else. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> tooMuch(VirtualMachineError e) {
    logger.error("A request needed too much", e);
    return later(
        "Too much at once",
        "The server has not enough memory for this now. Try a smaller one, or again later.",
        5);
  }

  /** Something of this machine is full or missing: told in its own words. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> unable(UnableException e) {
    logger.error("A request could not be served", e);
    return later("The server is not able to", e.getMessage(), 30);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> cutShort(IOException e, HttpServletResponse response) {
    logger.info("A request was cut short: " + e);
    return response.isCommitted() ? null : unexpected(new RuntimeException(e));
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> unexpected(RuntimeException e) {
    logger.error("A request failed", e);
    HttpStatus status = HttpStatus.INTERNAL_SERVER_ERROR;
    return answer(
        status,
        problem(
            status,
            "Server error",
            "Something went wrong on the server; its log says what. Nothing was changed."));
  }

  private static ProblemDetail problem(HttpStatus status, String title, String detail) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(status, detail);
    p.setTitle(title);
    return p;
  }

  private static ResponseEntity<ProblemDetail> bad(String detail) {
    return answer(HttpStatus.BAD_REQUEST, problem(HttpStatus.BAD_REQUEST, "Bad request", detail));
  }

  private static ResponseEntity<ProblemDetail> later(String title, String detail, int seconds) {
    HttpStatus status = HttpStatus.SERVICE_UNAVAILABLE;
    return ResponseEntity.status(status)
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .header(HttpHeaders.RETRY_AFTER, Integer.toString(seconds))
        .body(problem(status, title, detail));
  }

  private static ResponseEntity<ProblemDetail> answer(HttpStatusCode status, ProblemDetail p) {
    return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON).body(p);
  }
}
