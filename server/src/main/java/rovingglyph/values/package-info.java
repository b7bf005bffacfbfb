/** Values that are given to scenes from outside: by the command line, by tables. */
package rovingglyph.values;
