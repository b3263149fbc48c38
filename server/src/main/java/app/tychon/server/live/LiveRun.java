package app.tychon.server.live;

import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;

/** A simulation behind live odds: the plan as it was then, and all that came out. */
public record LiveRun(CompiledPlan plan, RunResult result) {}
