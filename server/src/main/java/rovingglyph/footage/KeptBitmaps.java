package rovingglyph.footage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import rovingglyph.pictures.PictureStore;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FootageSource;

/**
 * What the server keeps for scenes to show: pictures and footage. For small pictures it is taken as
 * it is; of footage they have the frames that the stage has.
 */
@Component
public class KeptBitmaps implements Bitmaps {
  private final PictureStore pictures;
  private final FootageStore footage;
  private final StageFootage stage;

  KeptBitmaps(PictureStore pictures, FootageStore footage, StageFootage stage) {
    this.pictures = pictures;
    this.footage = footage;
    this.stage = stage;
  }

  @Override
  public List<Level> levels(String image) {
    return pictures.levels(image);
  }

  @Override
  public byte[] preview(String image, double moment) {
    return stage.preview(image, moment);
  }

  /** For one piece of work: the files of footage lie on the disk until it is closed. */
  public Borrowed borrow() {
    return new Borrowed();
  }

  /** What is kept, for one piece of work. */
  public final class Borrowed implements Bitmaps, AutoCloseable {
    private final Map<String, FootageSource> files = new HashMap<>();

    private Borrowed() {}

    @Override
    public List<Level> levels(String image) {
      return pictures.levels(image);
    }

    @Override
    public synchronized FootageSource footage(String image) throws IOException {
      FootageSource known = files.get(image);
      if (known != null) {
        return known;
      }
      if (footage.state(image) == FootageStore.State.PREPARING) {
        throw new NotReady("Its footage is still being prepared");
      }
      FootageSource source = footage.source(image);
      if (source != null) {
        files.put(image, source);
      }
      return source;
    }

    @Override
    public synchronized void close() {
      try {
        for (FootageSource s : files.values()) {
          Files.deleteIfExists(s.file());
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      } finally {
        files.clear();
      }
    }
  }
}
