/** Automatic checks: what a careful eye would find before the work is handed off. */
package rovingglyph.proof;
