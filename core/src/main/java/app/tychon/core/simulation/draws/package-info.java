/** Random numbers, one stream a quantity, and what uncertain quantities make of them. */
package app.tychon.core.simulation.draws;
