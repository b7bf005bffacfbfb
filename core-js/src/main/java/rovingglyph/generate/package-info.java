/** Writes at build time what the browser's side would otherwise have to say again. */
package rovingglyph.generate;
