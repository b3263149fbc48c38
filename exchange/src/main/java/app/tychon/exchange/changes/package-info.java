/** What differs between two versions of a plan, object by object, in the words of the project file; done again, taken back, merged. */
package app.tychon.exchange.changes;
