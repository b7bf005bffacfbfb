/** Edits that follow rules: keyframes set by editing a value, points added and taken away. */
package rovingglyph.edit;
