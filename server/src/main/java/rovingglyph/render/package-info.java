/** Frames painted with Java2D, and encoded as PNG or by ffmpeg as video. */
package rovingglyph.render;
