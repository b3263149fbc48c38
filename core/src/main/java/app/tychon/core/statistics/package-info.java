/** What samples say: percentiles with their error, ranks and correlations, histograms, densities. */
package app.tychon.core.statistics;
