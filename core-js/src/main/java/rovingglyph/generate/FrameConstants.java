package rovingglyph.generate;

import java.util.Arrays;
import java.util.stream.Collectors;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.LayerEffects;
import rovingglyph.frame.LineStyle;
import rovingglyph.frame.Op;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Gradient;
import rovingglyph.schema.Spelling;

/** The numbers of display lists as TypeScript; see the Java class Frame. */
final class FrameConstants {
  private FrameConstants() {}

  static String text() {
    return "// Written by the build from the Java enumerations of the core; changes here are lost.\n\n"
        + constants("Op", Op.values())
        + constants("PathStep", PathStep.values())
        + "\n/** How many numbers follow each step's own. */\n"
        + "export const STEP_NUMBERS = "
        + Arrays.stream(PathStep.values()).map(PathStep::numbers).toList()
        + ";\n\n"
        + constants("PaintKind", FramePaint.Kind.values())
        + constants("EffectKind", LayerEffects.Kind.values())
        + "\nexport const BLEND_MODES = ["
        + Arrays.stream(BlendMode.values())
            .map(b -> "'" + Spelling.of(b) + "'")
            .collect(Collectors.joining(", "))
        + "] as const;\n\n"
        + "/** How far a blur reaches, in standard deviations. */\n"
        + "export const BLUR_REACH = "
        + LayerEffects.BLUR_REACH
        + ";\n\n"
        + "/** A longer corner of a line is cut off, in shares of half its width. */\n"
        + "export const MITER_LIMIT = "
        + LineStyle.MITER_LIMIT
        + ";\n\n"
        + "/** Nearer to the eye nothing is seen; see the Java class Projection. */\n"
        + "export const NEAREST = "
        + Projection.NEAREST
        + ";\n\n"
        + "/** What can be chosen for each kind of effect, and what is chosen where it is left out. */\n"
        + "export const EFFECT_OPTIONS: Record<string, { name: string; usual: string }[]> = {\n"
        + Arrays.stream(Effect.Kind.values())
            .filter(k -> !k.options().isEmpty())
            .map(FrameConstants::options)
            .collect(Collectors.joining())
        + "};\n\n"
        + "/** The most stops of a gradient. */\n"
        + "export const MOST_STOPS = "
        + Gradient.MOST_STOPS
        + ";\n";
  }

  private static String options(Effect.Kind kind) {
    return "  '"
        + Spelling.of(kind)
        + "': ["
        + kind.options().stream()
            .map(o -> "{ name: '" + o.name() + "', usual: '" + Spelling.of(o.start()) + "' }")
            .collect(Collectors.joining(", "))
        + "],\n";
  }

  private static String constants(String name, Enum<?>[] values) {
    return "export const "
        + name
        + " = { "
        + Arrays.stream(values)
            .map(v -> v.name() + ": " + v.ordinal())
            .collect(Collectors.joining(", "))
        + " } as const;\n";
  }
}
