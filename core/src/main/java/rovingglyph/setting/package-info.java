/** From the phrases of a lettering to its letters in a row: separators, repeats, rules, axes. */
package rovingglyph.setting;
