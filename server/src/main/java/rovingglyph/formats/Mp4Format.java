package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.render.VideoWriter;
import rovingglyph.scene.Scene;

/** H.264 video, with the sound of its footage. */
final class Mp4Format implements ExportFormat {
  @Override
  public String id() {
    return "mp4";
  }

  @Override
  public String label() {
    return "MP4 video";
  }

  @Override
  public String noun() {
    return "video";
  }

  @Override
  public String use() {
    return "H.264 for any player or edit";
  }

  @Override
  public String extension() {
    return "mp4";
  }

  @Override
  public String mediaType() {
    return "video/mp4";
  }

  @Override
  public int images() {
    return VideoWriter.LEAST_AHEAD;
  }

  @Override
  public String unsupportedReason(Scene scene) {
    return VideoWriter.unsupportedReason(scene);
  }

  @Override
  public String note(Scene scene) {
    return scene.background() == null
        ? "This scene has no background, and MP4 has no transparency: the video is on black."
            + " Set a background in the scene's settings, or choose a format with transparency."
        : null;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    VideoWriter.write(scene, bitmaps, out, progress);
  }
}
