/** What the samples of a run say: statistics, percentiles, histograms. */
package app.tychon.core.analysis;
