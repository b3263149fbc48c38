/** Scenarios: the plan as it would be otherwise, and what that is worth. */
package app.tychon.core.scenario;
