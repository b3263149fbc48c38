package app.tychon.brief.paper;

import app.tychon.brief.blocks.Told;
import app.tychon.core.model.Brief.Paper;
import java.util.List;

/**
 * A brief as it is read, whatever it is read on.
 *
 * @param language     of its words, a BCP 47 tag
 * @param under        what stands under the title: of when, out of which run
 * @param confidential what stands at the foot of every page; empty for nothing
 */
public record Page(String title, String under, String language, Paper paper, String confidential, List<Told> blocks) {
    public Page {
        blocks = List.copyOf(blocks);
    }
}
