/** What is kept while a run goes on. */
package app.tychon.core.simulation.tally;
