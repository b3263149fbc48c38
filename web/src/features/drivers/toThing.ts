import { useNavigate } from "react-router";
import type { PlanView } from "../../shared/api/client";
import { reveal } from "../../shared/planGrid/reveal";
import { selectRisk } from "../../shared/risks/registerKey";

/** Where something that drives is worked on, and how to get there. */
export interface Thing {
  label: string;
  go: () => void;
}

/** From what drives to the thing itself: an estimate in Ranges, a risk in the register, an activity in Plan. */
export function useThings(plan: PlanView) {
  const navigate = useNavigate();
  const project = plan.project.id;
  const row = (stage: string, id: string) => () => {
    reveal(plan, id);
    void navigate(`/projects/${project}/${stage}`);
  };
  return {
    ofInput: (kind: string, id: string): Thing[] => {
      switch (kind) {
        case "estimate":
          return [
            { label: "Its range", go: row("ranges", id) },
            { label: "On the plan", go: row("plan", id) },
          ];
        case "cost":
          return [{ label: "Its range", go: row("ranges", id) }];
        case "group":
          return [
            {
              label: "In Ranges",
              go: () => void navigate(`/projects/${project}/ranges`),
            },
          ];
        case "occurrence":
        case "impact":
        case "risk":
          return [
            {
              label: "In the register",
              go: () => {
                selectRisk(project, id);
                void navigate(`/projects/${project}/risks`);
              },
            },
          ];
        default:
          return [];
      }
    },
    ofActivity: (id: string): Thing[] => [
      { label: "On the plan", go: row("plan", id) },
      { label: "Its range", go: row("ranges", id) },
    ],
  };
}
