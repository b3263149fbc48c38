/** The risk register at work: which risks strike, and what they do to time. */
package app.tychon.core.simulation.risk;
