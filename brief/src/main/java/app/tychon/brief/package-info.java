/** Briefs: pages that leave somebody a decision. */
package app.tychon.brief;
