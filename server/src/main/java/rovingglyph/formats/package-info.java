/**
 * The files that a scene is handed off as. {@link rovingglyph.formats.ExportFormats} lists them;
 * the interface, the REST API and the command line offer what it has.
 */
package rovingglyph.formats;
