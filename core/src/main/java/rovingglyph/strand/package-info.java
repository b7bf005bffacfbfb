/** Things of display lists, followed from one time to the next. */
package rovingglyph.strand;
