/** Footage: uploads in pieces, what a file is, and what the stage shows of it. */
package rovingglyph.footage;
