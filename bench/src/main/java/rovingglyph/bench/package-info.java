/** Measurements: the core with JMH, and a whole export against ffmpeg alone. */
package rovingglyph.bench;
