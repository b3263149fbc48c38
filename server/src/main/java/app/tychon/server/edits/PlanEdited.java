package app.tychon.server.edits;

import java.util.List;
import java.util.UUID;

/**
 * That somebody has edited a plan.
 *
 * @param person their account, or the key of their browser
 * @param touched section and key of what they edited
 */
public record PlanEdited(UUID project, long revision, String person, List<List<String>> touched) {}
