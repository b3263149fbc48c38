/** What is read out of a risk register without simulating it: scores, checks, exposure, and rates from past events. */
package app.tychon.core.register;
