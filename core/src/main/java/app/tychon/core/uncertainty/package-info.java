/** Shapes of uncertain quantities as probability distributions. */
package app.tychon.core.uncertainty;
