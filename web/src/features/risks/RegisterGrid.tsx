import { Box, chakra, Flex } from "@chakra-ui/react";
import { useCallback, useMemo, useState } from "react";
import type { EffectsView, PlanView, RiskEdit, RiskView } from "../../shared/api/client";
import { refusalOf, useUndo } from "../../shared/api/edits";
import type { RiskEdits } from "../../shared/api/risks";
import { parseBlock } from "../../shared/grid/block";
import { FootBar } from "../../shared/grid/FootBar";
import { Grid } from "../../shared/grid/Grid";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { At, OwnKeys } from "../../shared/grid/types";
import { useGridEditing } from "../../shared/grid/useGridEditing";
import { registerKey } from "../../shared/risks/registerKey";
import { fading } from "../../shared/ui/fading";
import { notify } from "../../shared/ui/notify";
import { assigned, hitBy } from "./assign";
import { AssignBar, type Assignment } from "./AssignBar";
import { movesDrawing } from "./MovesDrawing";
import { PlanPane } from "./PlanPane";
import { type Arrangement, fits, groupedRows, nextCode, type RegisterRow, registerRows } from "./register";
import { type RegisterColumn } from "./registerColumns";
import { pasted } from "./registerPaste";
import { STATES } from "./riskWords";
import { type Dragged, useAssignDrag } from "./useAssignDrag";
import { useHeldOrder, useShownHits } from "./useRegisterOrder";

const Button = chakra("button");
const Select = chakra("select");

interface Props {
  plan: PlanView;
  risks: readonly RiskView[];
  effects?: EffectsView;
  current: boolean;
  columns: RegisterColumn[];
  arrangement: Arrangement;
  edits: RiskEdits;
  /** Whether the plan stands below. */
  withPlan: boolean;
  onSheet: () => void;
}

type RegisterAt = At<RegisterRow, RegisterColumn>;

/** The register: written like a spreadsheet, what each risk moves drawn beside it, and the plan below to give risks to. */
export function RegisterGrid(props: Props) {
  const { plan, risks, effects, columns, arrangement, edits } = props;
  const { confidence } = plan.project;
  const key = registerKey(plan.project.id);
  const view = useGridStore((state) => viewOf(state, key));
  const editing = useGridEditing<RegisterRow, RiskEdit>(edits.risks);
  const { undo } = useUndo(plan.project.id);
  const [assignment, setAssignment] = useState<Assignment>();
  const { search, closed, active } = view;

  const assign = useCallback(
    async (ids: string[], onto: string[]) => {
      const about = risks.filter((risk) => ids.includes(risk.id));
      const { edits: send, without } = assigned(about, onto);
      if (without.length > 0 || about.length === 0 || onto.length === 0)
        return setAssignment({ risks: ids, rows: onto });
      try {
        if (send.length > 0) await edits.risks(send);
        const what = send.length === 0 ? "did already strike" : "now strikes";
        notify(`${ids.join(", ")} ${what} ${onto.join(", ")}.`, {
          label: "Take back",
          run: () => void undo().catch((error: unknown) => notify(refusalOf(error))),
        });
      } catch (error) {
        notify(refusalOf(error));
      }
    },
    [risks, edits, undo],
  );
  const onDrop = useCallback(
    ({ what, id, over = "" }: Dragged) => {
      const { views } = useGridStore.getState();
      const several = (grid: string, one: string) => {
        const picked = views[grid]?.picked;
        return picked?.has(one) ? [...picked] : [one];
      };
      if (what === "risk") void assign(several(key, id), several(plan.project.id, over));
      else void assign([over], several(plan.project.id, id));
    },
    [assign, key, plan.project.id],
  );
  const { dragged, onPointerDown } = useAssignDrag(onDrop);
  const sorted = useMemo(
    () =>
      registerRows(
        risks.filter((risk) => fits(risk, search)),
        effects,
        arrangement,
      ),
    [risks, effects, arrangement, search],
  );
  const held = useHeldOrder(sorted, editing.editing !== undefined || dragged !== undefined);
  const rows = useMemo(
    () => [...groupedRows(held, arrangement, closed), { id: nextCode(risks), depth: 0, soft: true }],
    [held, arrangement, closed, risks],
  );
  const drawing = useMemo(
    () => movesDrawing(held, confidence, effects?.iterations ?? 0),
    [held, confidence, effects?.iterations],
  );
  const selected = risks.find((risk) => risk.id === active?.row);

  const over = dragged?.what === "risk" ? dragged.over : undefined;
  const lit = useMemo(() => {
    const hit = hitBy(plan, selected);
    if (over) hit.add(over);
    return hit;
  }, [plan, selected, over]);

  useShownHits(plan, selected, props.withPlan);

  const remove = async (at: RegisterAt) => {
    const gone = at.selected().filter((id) => risks.some((risk) => risk.id === id));
    if (gone.length === 0) return;
    if (await editing.attempt(() => edits.remove(gone)))
      notify(gone.length === 1 ? `${gone[0]} is removed.` : `${gone.length} risks are removed.`, {
        label: "Take back",
        run: () => void editing.attempt(() => undo()),
      });
  };
  const keys: OwnKeys<RegisterRow, RegisterColumn> = (event, at) => {
    if ((event.ctrlKey || event.metaKey) && (event.key === "Delete" || event.key === "Backspace")) {
      void remove(at);
      return true;
    }
    if (event.altKey && event.key === "Enter") {
      props.onSheet();
      return true;
    }
    if (event.altKey && event.key.toLowerCase() === "a") {
      setAssignment({ risks: at.selected().filter((id) => risks.some((risk) => risk.id === id)), rows: [] });
      return true;
    }
    if (event.key !== "Insert") return false;
    at.select(nextCode(risks), "title");
    return true;
  };
  /** Lines fill the cells from the active one on; what lies on the blank row, or beyond it, becomes new risks. */
  const paste = async (text: string, { rows: shown, columns: there, block }: RegisterAt) => {
    if (!block) return;
    const lines = parseBlock(text);
    const send = pasted(lines, shown, there, block, risks);
    if (Array.isArray(send) && (await editing.sendBlock(send)) && send.length > 1)
      notify(`${send.length} rows are pasted. Ctrl Z takes them back.`);
    else if (!Array.isArray(send)) void editing.sendBlock(send);
  };

  return (
    <Flex direction="column" height="100%" position="relative" onPointerDown={onPointerDown}>
      <Box flex="1" minH="0" data-takes="risks" {...fading(!props.current)}>
        <Grid
          state={key}
          label="Risk register"
          rows={rows}
          columns={columns}
          drawing={drawing}
          editing={editing}
          keys={keys}
          onPaste={(text, at) => void paste(text, at)}
          foot={(at) => (
            <FootBar refusal={editing.refusal} onUnderstood={editing.dismiss} selected={at.selected().length}>
              <Select
                aria-label="State of the selected risks"
                bg="panel"
                borderWidth="1px"
                borderColor="line"
                value=""
                onChange={(event) =>
                  void editing.sendBlock(
                    at
                      .selected()
                      .filter((id) => risks.some((risk) => risk.id === id))
                      .map((id) => ({ id, state: event.target.value })),
                  )
                }
              >
                <option value="">State…</option>
                {STATES.map((state) => (
                  <option key={state.value} value={state.value}>
                    {state.label}
                  </option>
                ))}
              </Select>
              <Button color="action" onClick={() => setAssignment({ risks: at.selected(), rows: [] })}>
                Give to rows… (Alt A)
              </Button>
              <Button color="action" title="Ctrl Delete" onClick={() => void remove(at)}>
                Remove
              </Button>
              <Box color="softInk" fontSize="12.5px">
                Type and press Ctrl Enter to fill all of them.
              </Box>
            </FootBar>
          )}
        />
      </Box>
      {props.withPlan && (
        <PlanPane
          plan={plan}
          lit={lit}
          hint={
            selected
              ? `The plan. What ${selected.id} strikes is lit; drag its mark onto rows, or press Alt A and type their codes.`
              : "The plan. Drag the mark of a risk onto rows, or the code of a row onto a risk; or press Alt A."
          }
          onAssign={(onto) => setAssignment({ risks: [], rows: onto })}
        />
      )}
      {assignment && (
        <AssignBar
          plan={plan}
          risks={risks}
          begun={assignment}
          edits={edits}
          onClose={() => setAssignment(undefined)}
        />
      )}
      {dragged && (
        <Box
          position="fixed"
          left={`${dragged.x + 10}px`}
          top={`${dragged.y + 10}px`}
          zIndex="2000"
          px="2"
          py="0.5"
          bg="panel"
          borderWidth="1px"
          borderColor="risk"
          pointerEvents="none"
        >
          {dragged.id} → {dragged.over ?? "…"}
        </Box>
      )}
    </Flex>
  );
}
