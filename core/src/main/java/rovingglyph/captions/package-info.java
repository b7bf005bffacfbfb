/** The words of a scene with the times at which they can be read, in the open caption formats. */
package rovingglyph.captions;
