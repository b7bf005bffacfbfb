package rovingglyph.scene;

/** A named moment, in seconds. */
public record Cue(String id, String name, double time, UnknownFields extras) {}
