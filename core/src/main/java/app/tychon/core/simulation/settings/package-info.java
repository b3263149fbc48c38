/** What a simulation is asked for, and how it is watched. */
package app.tychon.core.simulation.settings;
