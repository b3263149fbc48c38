/** The network of activities: its compiled form, the passes over it, floats and driving paths. */
package app.tychon.core.schedule;
