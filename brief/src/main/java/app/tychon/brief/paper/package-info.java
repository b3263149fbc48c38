/** A brief on paper: as HTML, PDF and DOCX. */
package app.tychon.brief.paper;
