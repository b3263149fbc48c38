/** The open project file, {@code *.tychon.json}, in and out of the core model. */
package app.tychon.exchange;
