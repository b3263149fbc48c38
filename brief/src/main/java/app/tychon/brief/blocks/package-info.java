/** The kinds of blocks: what each says, draws and lists. */
package app.tychon.brief.blocks;
