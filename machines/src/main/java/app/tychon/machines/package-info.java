/**
 * Several machines that work at one run: who is there and who does what, on Apache Ignite. Nothing of it starts, and no port
 * opens, unless it is configured.
 */
package app.tychon.machines;
