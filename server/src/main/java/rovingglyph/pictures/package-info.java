/** Pictures from outside: checked, brought to halving sizes, and kept with projects. */
package rovingglyph.pictures;
