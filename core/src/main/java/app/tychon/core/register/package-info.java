/** What is read out of a risk register without simulating it: a scheme to begin with, checks, and rates from past events. */
package app.tychon.core.register;
