/** Scenes as Lottie, the open format of moving outlines: display lists, followed through time. */
package rovingglyph.lottie;
