/** Other servers of the same database, where there are any: what they tell each other, and that one is gone. */
package app.tychon.server.fellows;
