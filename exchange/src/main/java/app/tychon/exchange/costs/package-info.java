/** Money as people write it, and cost lines, resources and funding as tables. */
package app.tychon.exchange.costs;
