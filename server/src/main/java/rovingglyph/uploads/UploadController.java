package rovingglyph.uploads;

import io.swagger.v3.oas.annotations.Operation;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Uploads under way over HTTP; what they are for begins and ends them. */
@RestController
@RequestMapping("/api/uploads/{id}")
class UploadController {
  private final StoredFiles files;

  UploadController(StoredFiles files) {
    this.files = files;
  }

  @Operation(summary = "How many pieces of an upload are there, from the first on")
  @GetMapping
  StoredFiles.Upload upload(@PathVariable UUID id) {
    return files.upload(id);
  }

  @Operation(summary = "A piece of an upload: 1 MiB, the last one what is left")
  @PutMapping(value = "/pieces/{number}", consumes = MediaType.ALL_VALUE)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void piece(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestBody(required = false) byte[] bytes) {
    files.put(files.upload(id), number, bytes == null ? new byte[0] : bytes);
  }

  @Operation(summary = "Gives an upload up")
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void giveUp(@PathVariable UUID id) {
    files.remove(files.upload(id).id());
  }
}
