package rovingglyph.formats;

import java.util.List;
import java.util.Map;
import rovingglyph.formats.FormatWords.Group;
import rovingglyph.render.Encoding;
import rovingglyph.render.Raster;

/** The videos and moving pictures that ffmpeg makes. */
final class VideoFormats {
  private static final ChoiceOption QUALITY =
      ChoiceOption.of(
          "quality", "Quality", "good", "Good", "small", "Small file", "finest", "Finest");

  private static final ChoiceOption CODEC =
      ChoiceOption.of("codec", "Packed as", "png", "PNG frames", "runs", "Runs (oldest tools)");

  private static final ChoiceOption WEBP =
      ChoiceOption.of(
          "quality",
          "Quality",
          "good",
          "Good",
          "small",
          "Small file",
          "exact",
          "Every pixel as painted");

  private VideoFormats() {}

  static final EncodedFormat MP4 =
      EncodedFormat.opaque(
          new FormatWords(
              "mp4",
              Group.VIDEO,
              "MP4 video",
              "video",
              "H.264 for any player or edit",
              "mp4",
              "video/mp4"),
          "libx264",
          2,
          List.of(QUALITY),
          o -> Encoding.h264(crf(o, 24, 16, 10)));

  static final EncodedFormat AV1 =
      EncodedFormat.opaque(
          new FormatWords(
              "mp4-av1",
              Group.VIDEO,
              "MP4 video, AV1",
              "AV1 video",
              "For the web: the smallest of all, for newer browsers and players",
              "mp4",
              "video/mp4"),
          "libsvtav1",
          64,
          List.of(QUALITY),
          o -> Encoding.av1(crf(o, 38, 26, 16)));

  static final EncodedFormat HEVC =
      EncodedFormat.opaque(
          new FormatWords(
              "mp4-hevc",
              Group.VIDEO,
              "MP4 video, HEVC",
              "HEVC video",
              "Half the size of H.264, for televisions and phones",
              "mp4",
              "video/mp4"),
          "libx265",
          64,
          List.of(QUALITY),
          o -> Encoding.hevc(crf(o, 27, 19, 12)));

  static final EncodedFormat PRORES =
      new EncodedFormat(
          new FormatWords(
              "mov-prores",
              Group.EDITING,
              "MOV, ProRes 4444",
              "ProRes movie",
              "For editing: ten bits of colour, transparency with soft edges",
              "mov",
              "video/quicktime"),
          "prores_ks",
          Raster.Pixels.DEEP,
          true,
          1,
          List.of(),
          o -> Encoding.proRes());

  static final EncodedFormat MOV =
      new EncodedFormat(
          new FormatWords(
              "mov-png",
              Group.EDITING,
              "MOV without loss",
              "movie",
              "For editing, in every pixel as painted, with transparency",
              "mov",
              "video/quicktime"),
          "png",
          Raster.Pixels.ALPHA,
          false,
          1,
          List.of(CODEC),
          o -> o.choice(CODEC).equals("png") ? Encoding.movOfPngs() : Encoding.movOfRuns());

  static final EncodedFormat WEBM =
      new EncodedFormat(
          new FormatWords(
              "webm",
              Group.WEB,
              "WebM video",
              "WebM video",
              "VP9 with transparency and sound, for web pages",
              "webm",
              "video/webm"),
          "libvpx-vp9",
          Raster.Pixels.ALPHA,
          true,
          1,
          List.of(QUALITY),
          o -> Encoding.vp9(crf(o, 36, 24, 12)));

  static final EncodedFormat APNG =
      new EncodedFormat(
          new FormatWords(
              "apng",
              Group.WEB,
              "Animated PNG",
              "animation",
              "In every pixel as painted; keeps transparency",
              "apng",
              "image/apng"),
          "apng",
          Raster.Pixels.ALPHA,
          false,
          1,
          List.of(FrameOptions.LOOPS),
          o -> Encoding.apng((int) o.number(FrameOptions.LOOPS)));

  static final EncodedFormat WEBP_ANIMATION =
      new EncodedFormat(
          new FormatWords(
              "webp",
              Group.WEB,
              "Animated WebP",
              "WebP",
              "Far smaller than GIF and APNG; keeps transparency",
              "webp",
              "image/webp"),
          "libwebp_anim",
          Raster.Pixels.ALPHA,
          true,
          1,
          List.of(WEBP, FrameOptions.LOOPS),
          o -> webp(o.choice(WEBP), (int) o.number(FrameOptions.LOOPS)));

  private static Encoding webp(String quality, int plays) {
    return switch (quality) {
      case "exact" -> Encoding.webp(true, 60, plays);
      case "small" -> Encoding.webp(false, 55, plays);
      default -> Encoding.webp(false, 85, plays);
    };
  }

  /** The encoder's measure of loss, lower is better. */
  private static int crf(ExportOptions o, int small, int good, int finest) {
    return Map.of("small", small, "good", good, "finest", finest).get(o.choice(QUALITY));
  }
}
