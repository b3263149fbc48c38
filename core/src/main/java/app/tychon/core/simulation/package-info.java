/** What can be asked of a plan: a run, one future again, outcomes alone, inputs, money by period. */
package app.tychon.core.simulation;
