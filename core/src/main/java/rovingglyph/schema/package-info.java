/**
 * Documents told as tables: the fields of each kind of object with type, range, default and what
 * they mean. Reading with problems, writing, and all that describes documents elsewhere (types for
 * TypeScript, a JSON Schema, the tables of docs/scene-format.md) follow from these tables.
 */
package rovingglyph.schema;
