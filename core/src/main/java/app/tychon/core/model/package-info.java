/** The plan as its author describes it: immutable records, and the rules that say what is wrong with them. */
package app.tychon.core.model;
