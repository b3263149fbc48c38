/** What the work costs, apart by cause. */
package app.tychon.core.simulation.money;
