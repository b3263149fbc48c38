import { useOutletContext } from "react-router";
import type { PlanView } from "../api/client";

/** The plan that the frame has read for the stage. */
export const usePlanOfStage = () => useOutletContext<PlanView>();
