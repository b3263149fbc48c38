/** Risk registers as tables, and effects and chances as people write them. */
package app.tychon.exchange.risks;
