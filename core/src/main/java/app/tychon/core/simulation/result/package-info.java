/** What a run gives. */
package app.tychon.core.simulation.result;
