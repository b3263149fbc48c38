/** A plan made ready to simulate, the order of an iteration, and batches of iterations on threads. */
package app.tychon.core.simulation.engine;
