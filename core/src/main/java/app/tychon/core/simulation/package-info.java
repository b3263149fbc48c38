/** Draws, the block engine, and what a run gives. */
package app.tychon.core.simulation;
