/** Shapes fitted to what similar work really took. */
package app.tychon.core.uncertainty.fitting;
