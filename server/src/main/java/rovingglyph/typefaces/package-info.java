/** Typefaces that come from outside: checked, kept once, and used by projects. */
package rovingglyph.typefaces;
