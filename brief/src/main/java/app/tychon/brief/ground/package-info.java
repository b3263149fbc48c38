/** What briefs tell of: a simulation, and the questions that are asked of it. */
package app.tychon.brief.ground;
