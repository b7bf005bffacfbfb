/** Projects and scenes, kept in PostgreSQL with every revision. */
package rovingglyph.projects;
