package rovingglyph.render;

import java.util.ArrayList;
import java.util.List;

/**
 * What ffmpeg is told of the file to write.
 *
 * @param inputs that it needs beside the frames
 * @param filters done to the frames one after another
 * @param encoder of the frames, with its settings
 * @param container that they are put into
 * @param sound of the encoder for what is heard; empty for moving pictures, which have no sound
 */
public record Encoding(
    List<String> inputs,
    List<String> filters,
    List<String> encoder,
    List<String> container,
    List<String> sound) {
  /** To the colours of television and the web, which players take a video's to be in. */
  private static final String BT709 =
      "scale=in_range=pc:out_range=tv:out_color_matrix=bt709:flags=accurate_rnd,"
          // Some encoders write what the frames say of themselves.
          + "setparams=color_primaries=bt709:color_trc=bt709:colorspace=bt709";

  private static final List<String> TAGS =
      List.of("-colorspace", "bt709", "-color_primaries", "bt709", "-color_trc", "bt709");

  private static final List<String> AAC = List.of("-c:a", "aac", "-b:a", "192k");
  private static final List<String> PCM = List.of("-c:a", "pcm_s16le");
  private static final List<String> OPUS = List.of("-c:a", "libopus", "-b:a", "160k");

  /**
   * H.264 for any player.
   *
   * @param crf 0 to 51, lower is better
   */
  public static Encoding h264(int crf) {
    return mp4("libx264", "yuv420p", "-preset", "medium", "-crf", "" + crf);
  }

  /** HEVC, which some players of later years want. */
  public static Encoding hevc(int crf) {
    Encoding plain =
        mp4(
            "libx265",
            "yuv420p",
            "-preset",
            "medium",
            "-crf",
            "" + crf,
            "-x265-params",
            "log-level=error");
    List<String> container = new ArrayList<>(List.of("-tag:v", "hvc1"));
    container.addAll(plain.container);
    return new Encoding(plain.inputs, plain.filters, plain.encoder, container, plain.sound);
  }

  /** AV1 with ten bits, so that soft gradients show no steps. */
  public static Encoding av1(int crf) {
    return mp4("libsvtav1", "yuv420p10le", "-preset", "8", "-crf", "" + crf);
  }

  private static Encoding mp4(String encoder, String pixels, String... settings) {
    List<String> all = new ArrayList<>(List.of("-c:v", encoder));
    all.addAll(List.of(settings));
    all.addAll(List.of("-pix_fmt", pixels));
    all.addAll(TAGS);
    List<String> container = List.of("-movflags", "+faststart", "-f", "mp4");
    return new Encoding(List.of(), List.of(BT709), all, container, AAC);
  }

  /** ProRes 4444: ten bits of colour, sixteen of alpha. */
  public static Encoding proRes() {
    List<String> all = new ArrayList<>(List.of("-c:v", "prores_ks", "-profile:v", "4444"));
    all.addAll(List.of("-alpha_bits", "16", "-pix_fmt", "yuva444p10le"));
    all.addAll(TAGS);
    List<String> container = List.of("-movflags", "+write_colr", "-f", "mov");
    return new Encoding(List.of(), List.of(BT709), all, container, PCM);
  }

  /** MOV with a PNG for each frame. */
  public static Encoding movOfPngs() {
    return new Encoding(
        List.of(),
        List.of(),
        List.of("-c:v", "png", "-pred", "mixed", "-pix_fmt", "rgba"),
        List.of("-f", "mov"),
        PCM);
  }

  /** MOV with runs of like pixels, which the oldest tools read. */
  public static Encoding movOfRuns() {
    return new Encoding(
        List.of(),
        List.of(),
        List.of("-c:v", "qtrle", "-pix_fmt", "argb"),
        List.of("-f", "mov"),
        PCM);
  }

  /** VP9 with transparency. */
  public static Encoding vp9(int crf) {
    List<String> all = new ArrayList<>(List.of("-c:v", "libvpx-vp9", "-crf", "" + crf));
    all.addAll(List.of("-b:v", "0", "-deadline", "good", "-cpu-used", "4", "-row-mt", "1"));
    all.addAll(List.of("-auto-alt-ref", "0", "-pix_fmt", "yuva420p"));
    all.addAll(TAGS);
    return new Encoding(List.of(), List.of(BT709), all, List.of("-f", "webm"), OPUS);
  }

  /**
   * Animated PNG.
   *
   * @param plays how often; 0 for ever
   */
  public static Encoding apng(int plays) {
    return new Encoding(
        List.of(),
        List.of(),
        List.of("-c:v", "apng", "-pred", "mixed"),
        List.of("-plays", "" + plays, "-f", "apng"),
        List.of());
  }

  /**
   * Animated WebP.
   *
   * @param quality 0 to 100; of a lossless file how hard it is packed
   * @param plays how often; 0 for ever
   */
  public static Encoding webp(boolean lossless, int quality, int plays) {
    List<String> all = new ArrayList<>(List.of("-c:v", "libwebp_anim"));
    all.addAll(List.of("-lossless", lossless ? "1" : "0", "-q:v", "" + quality));
    all.addAll(List.of("-pix_fmt", lossless ? "bgra" : "yuva420p"));
    List<String> container = List.of("-loop", "" + plays, "-f", "webp");
    return new Encoding(List.of(), List.of(), all, container, List.of());
  }

  /**
   * GIF, in the colours of an image.
   *
   * @param sample the file of an image whose colours stand for those of all frames
   * @param colours 2 to 256
   * @param dither a word of ffmpeg's filter {@code paletteuse}
   * @param plays how often; 0 for ever
   */
  public static Encoding gif(String sample, int colours, String dither, int plays) {
    String palette =
        "[1:v]palettegen=max_colors="
            + colours
            + ":reserve_transparent=1[p];[0:v][p]paletteuse="
            + dither
            + ":alpha_threshold=128:diff_mode=rectangle";
    // ffmpeg counts what comes after the first time, and has -1 for none.
    int again = plays == 0 ? 0 : plays == 1 ? -1 : plays - 1;
    return new Encoding(
        List.of("-i", sample),
        List.of(),
        List.of("-lavfi", palette),
        List.of("-loop", "" + again, "-f", "gif"),
        List.of());
  }

  /**
   * The same with even sizes: a line of a colour is added where one is odd.
   *
   * @param colour 0xRRGGBB
   */
  public Encoding evened(int colour) {
    List<String> all = new ArrayList<>();
    all.add(String.format("pad=ceil(iw/2)*2:ceil(ih/2)*2:0:0:0x%06X", colour));
    all.addAll(filters);
    return new Encoding(inputs, all, encoder, container, sound);
  }

  /** A video, not a moving picture: parts of it can be joined as they are. */
  public boolean isVideo() {
    return !sound.isEmpty();
  }

  /** All of it, with what is heard. */
  List<String> words(SoundMix mix) {
    List<String> out = new ArrayList<>(inputs);
    out.addAll(heard(mix));
    if (!filters.isEmpty()) {
      out.addAll(List.of("-vf", String.join(",", filters)));
    }
    out.addAll(encoder);
    out.addAll(container);
    return out;
  }

  /** The same of frames that are encoded already, in the first input. */
  List<String> wordsForJoining(SoundMix mix) {
    List<String> out = new ArrayList<>(heard(mix));
    out.addAll(List.of("-c:v", "copy"));
    out.addAll(container);
    return out;
  }

  private List<String> heard(SoundMix mix) {
    if (mix.graph().isEmpty() || sound.isEmpty()) {
      return List.of();
    }
    List<String> out = new ArrayList<>(mix.inputs());
    out.addAll(List.of("-filter_complex", mix.graph(), "-map", "0:v", "-map", "[heard]"));
    out.addAll(sound);
    return out;
  }
}
