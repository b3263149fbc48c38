/** What variations of a plan change, future by future, worked out where they differ alone. */
package app.tychon.core.simulation.difference;
