/** Drawings of briefs, as marks that screen, print and pictures show alike. */
package app.tychon.brief.drawing;
