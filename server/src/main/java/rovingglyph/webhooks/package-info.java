/** Addresses elsewhere that are told when work has ended. */
package rovingglyph.webhooks;
