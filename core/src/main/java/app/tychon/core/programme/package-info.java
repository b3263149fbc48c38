/** Several projects calculated as one: what ties them, and the plan that they make together. */
package app.tychon.core.programme;
