/** Everything there is to take out of a project and a run of it, as tables. */
package app.tychon.brief.workbook;
