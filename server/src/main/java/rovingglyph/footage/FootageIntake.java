package rovingglyph.footage;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;
import rovingglyph.scene.FrameRate;
import rovingglyph.uploads.StoredFiles;

/** Looks into files that are stored and keeps them with projects as footage. */
@Component
public class FootageIntake {
  /** Of numbered stills where nobody says. */
  static final FrameRate PLAIN_RATE = new FrameRate(25, 1);

  /** Files that are looked into at one time. */
  private final Semaphore turn = new Semaphore(2, true);

  private final FootageStore footage;
  private final StoredFiles files;

  FootageIntake(FootageStore footage, StoredFiles files) {
    this.footage = footage;
    this.files = files;
  }

  /**
   * Keeps a stored file with a project; its frames are still to be made ready. Single pictures are
   * put together and kept as a film.
   *
   * @param rate of numbered stills
   * @return its id
   * @throws FootageFile.Unusable with the reason; nothing is kept then
   * @throws IOException if it could not be looked into
   */
  String keep(UUID project, String name, UUID upload, FrameRate rate)
      throws IOException, InterruptedException, FootageFile.Unusable {
    turn.acquire();
    UUID stored = upload;
    Path file = files.spooled(stored);
    try {
      Path film = Stills.film(file, rate);
      if (film != null) {
        Files.delete(file);
        file = film;
        files.remove(stored);
        try (InputStream in = Files.newInputStream(film)) {
          stored = files.keep(name, in);
        }
      }
      String id = FootageFile.id(file);
      FootageFile.Facts facts = footage.isKnown(id) ? null : FootageFile.read(file);
      byte[] still = facts == null ? null : FootageFile.still(file, facts);
      footage.keep(project, name, id, stored, facts, still);
      return id;
    } catch (FootageFile.Unusable e) {
      files.remove(stored);
      throw e;
    } finally {
      turn.release();
      Files.deleteIfExists(file);
    }
  }

  /** The same with a file that is not stored yet. */
  public String keep(UUID project, String name, InputStream file)
      throws IOException, InterruptedException, FootageFile.Unusable {
    return keep(project, name, files.keep(name, file), PLAIN_RATE);
  }
}
