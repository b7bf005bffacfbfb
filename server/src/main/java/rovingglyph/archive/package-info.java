/** Whole projects as files: written, looked into, and opened as projects again. */
package rovingglyph.archive;
