import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { type BlockEdit, type BriefEdit, useBriefEdits } from "../../shared/api/briefs";
import { refusalOf } from "../../shared/api/edits";
import { useStartRun } from "../../shared/api/runs";
import { THE_PLAN, useScenarios } from "../../shared/api/scenarios";
import { freeCode } from "../../shared/format/freeCode";
import { notify } from "../../shared/ui/notify";
import type { BriefLook } from "./briefStore";

const ITERATIONS = 10_000;

/** What can be done to the brief that is open. */
export function useBriefWays(plan: PlanView, brief: BriefView, runs: readonly RunView[], look: BriefLook) {
  const { id, revision } = plan.project;
  const edits = useBriefEdits(id);
  const start = useStartRun(id);
  const scenarios = useScenarios(id, revision, { base: THE_PLAN, watch: [] });
  const rows = scenarios.data?.rows;
  const hand = async (edit: Omit<BriefEdit, "id">): Promise<string | undefined> => {
    try {
      await edits.change([{ id: brief.id, ...edit }]);
      return undefined;
    } catch (error) {
      return refusalOf(error);
    }
  };
  const told = async (edit: Omit<BriefEdit, "id">) => {
    const why = await hand(edit);
    if (why) notify(why);
    return why;
  };
  const ids = brief.blocks.map((block) => block.id);
  const order = (moved: string, to: number) => {
    const rest = ids.filter((one) => one !== moved);
    void told({ order: [...rest.slice(0, to), moved, ...rest.slice(to)] });
  };
  return {
    scenarios: (rows ?? []).filter((row) => row.id !== THE_PLAN && !row.putAway),
    recording: start.isPending || runs.some((run) => run.state === "running"),
    /** Changes what is set of the page. */
    set: hand,
    choose: (block: string, typing = false) => look.set({ block, typing }),
    leave: () => look.set({ block: undefined, typing: false }),
    change: (block: BlockEdit) => hand({ blocks: [block] }),
    add: (kind: string, after?: string) => {
      const block = freeCode("b", ids);
      void told({ blocks: [{ id: block, add: true, kind, after }] }).then(
        (why) => !why && look.set({ block, typing: kind === "text" }),
      );
    },
    takeOut: (block: string) => {
      look.set({ block: undefined, typing: false });
      void told({ without: [block] }).then(
        (why) => !why && notify("The block is out; Ctrl+Z brings it back."),
      );
    },
    move: (block: string, by: -1 | 1) => order(block, Math.max(0, ids.indexOf(block) + by)),
    /** Puts a block where another one is. */
    place: (block: string, where: string) => order(block, ids.indexOf(where)),
    record: () => {
      const last = runs[0];
      start.mutate(
        {
          iterations: last?.asked ?? ITERATIONS,
          seed: last?.seed ?? 1,
          sampling: last?.sampling ?? "latin",
        },
        { onError: (error) => notify(error.message) },
      );
    },
  };
}

export type BriefWays = ReturnType<typeof useBriefWays>;
