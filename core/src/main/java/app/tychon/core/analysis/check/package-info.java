/** Whether the money of a plan is worth simulating. */
package app.tychon.core.analysis.check;
