package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.CostModel;

/** Is told of an iteration step by step, while what it is told of is still in the processor's cache. */
public interface Witness extends CostModel.Spending {
    Witness NONE = new Witness() {};

    /** The duration of an activity has been drawn; no risk has bent it yet. */
    default void drawn(int position) {}

    /** An activity has been placed. */
    default void placed(int position) {}

    /** All of the iterations has been told. */
    default void ended() {}

    @Override
    default void spent(int index, CostItem item) {}

    @Override
    default void added(int index, AddedCost one) {}
}
