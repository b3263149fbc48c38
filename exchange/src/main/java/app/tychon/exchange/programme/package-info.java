/** Programme files, which name their projects and what ties them. */
package app.tychon.exchange.programme;
