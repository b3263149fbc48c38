/** Whether ranges are worth believing. */
package app.tychon.core.uncertainty.check;
