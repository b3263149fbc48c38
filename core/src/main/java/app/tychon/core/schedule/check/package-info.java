/** Whether a plan is fit to be simulated: what a planner should look at before anybody trusts the odds. */
package app.tychon.core.schedule.check;
