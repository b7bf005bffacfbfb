/** What Proof finds in painted frames. */
package rovingglyph.proofs;
