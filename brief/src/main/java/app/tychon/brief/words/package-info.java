/** Words fit for people who do not simulate, with the numbers in them. */
package app.tychon.brief.words;
