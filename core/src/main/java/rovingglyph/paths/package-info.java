/** Guide paths made into measured contours. */
package rovingglyph.paths;
