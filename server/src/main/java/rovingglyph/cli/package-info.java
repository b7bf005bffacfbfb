/** The command line: scenes to files and to numbers, without a server or a database. */
package rovingglyph.cli;
