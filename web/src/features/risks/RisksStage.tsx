import { Box } from "@chakra-ui/react";
import { useMemo } from "react";
import type { EffectsView, PlanView } from "../../shared/api/client";
import { useRiskEffects, useRisks } from "../../shared/api/risks";
import { formatMoney, formatOne, formatSigned, formatWhole } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { Stage } from "../../shared/stage/Stage";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { useNarrow } from "../../shared/ui/useNarrow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { movesDrawing } from "./MovesDrawing";
import { fewThatCarryMost, isLive, type RegisterRow, registerRows } from "./register";
import { registerColumns } from "./registerColumns";

/** From this width on there is room for every column beside titles in full. */
const ROOMY = 1500;

/** The register, what moves most first: what each risk does to the finish and the cost, alone and after its response. */
export function RisksStage() {
  const plan = usePlanOfStage();
  const { id, revision, confidence } = plan.project;
  const isNarrow = useNarrow(ROOMY);
  const risks = useRisks(id, revision);
  const effects = useRiskEffects(id, revision);
  const rows = useMemo(() => registerRows(risks.data ?? [], effects.view), [risks.data, effects.view]);
  const columns = useMemo(() => registerColumns(confidence, !isNarrow), [confidence, isNarrow]);
  const drawing = useMemo(() => movesDrawing(rows, confidence), [rows, confidence]);
  return (
    <Stage
      name="Risks"
      sentence={<Moved plan={plan} rows={rows} effects={effects.view} />}
      tools={<Progress effects={effects.view} current={effects.current} error={effects.error?.message} />}
    >
      {risks.isError ? (
        <Notice alert retry={() => void risks.refetch()}>
          The risks cannot be shown: {risks.error.message}
        </Notice>
      ) : risks.data?.length === 0 ? (
        <Notice>This project has no risks yet. They come with a project file.</Notice>
      ) : (
        <Box height="100%" {...fading(!effects.current)}>
          <Grid state={`risks ${id}`} label="Risk register" rows={rows} columns={columns} drawing={drawing} />
        </Box>
      )}
    </Stage>
  );
}

/** How much the register as a whole moves, and how few carry four fifths. */
function Moved({ plan, rows, effects }: { plan: PlanView; rows: RegisterRow[]; effects?: EffectsView }) {
  const open = rows.filter(isLive).length;
  if (open === 0) return null;
  const level = plan.project.confidence;
  const few = fewThatCarryMost(rows);
  return (
    <Box truncate>
      <b>
        {formatWhole(open)} {open === 1 ? "risk" : "risks"}
      </b>
      {effects?.all && (
        <>
          {" "}
          {open === 1 ? "moves" : "move"} the P{level} finish by {formatSigned(effects.all.days, formatOne)}{" "}
          working days and the P{level} cost by {effects.all.money < 0 ? "−" : "+"}
          {formatMoney(Math.abs(effects.all.money), plan.project.currency)}.{" "}
          {few !== undefined && open > few && (
            <>
              {formatWhole(few)} of them {few === 1 ? "carries" : "carry"} four fifths.
            </>
          )}
        </>
      )}
    </Box>
  );
}

/** How well it is known by now. */
function Progress({ effects, current, error }: { effects?: EffectsView; current: boolean; error?: string }) {
  const refusal = effects?.refusal ?? error;
  if (refusal) {
    return (
      <Box role="alert" color="risk" truncate title={refusal}>
        {refusal}
      </Box>
    );
  }
  const isDone = current && effects?.state === "done";
  return (
    <Box role="status" color="softInk" whiteSpace="nowrap" data-working={!isDone || undefined}>
      {effects === undefined || effects.iterations === 0
        ? "Working out what they move…"
        : `By ${formatWhole(effects.iterations)}${isDone ? "" : ` of ${formatWhole(effects.total)}`} futures`}
    </Box>
  );
}
