package app.tychon.server.scenarios;

import app.tychon.server.edits.InputChange;
import app.tychon.server.scenarios.ScenariosView.MisfitRow;
import java.util.List;

/**
 * What would change in the plan if a scenario became it.
 *
 * @param left    what of the scenario is no part of a plan, in words: that estimates do not vary, that nothing moves together
 * @param misfits edits that would be left out
 */
record TakeOverView(List<InputChange> changes, List<String> left, List<MisfitRow> misfits) {}
