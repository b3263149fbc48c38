/** The stages that exist, in the order in which the work goes round. */
export const STAGES = [
  { path: "plan", name: "Plan" },
  { path: "ranges", name: "Ranges" },
  { path: "risks", name: "Risks" },
  { path: "costs", name: "Costs" },
  { path: "odds", name: "Odds" },
  { path: "drivers", name: "Drivers" },
  { path: "scenarios", name: "Scenarios" },
  { path: "brief", name: "Brief" },
] as const;
