import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { EstimateWords, PlanView } from "../api/client";
import { refusalOf } from "../api/edits";
import { useRowEdits } from "../api/rowEdits";
import { useRangeEffect, useRangeLook } from "../api/ranges";
import { formatAmount, formatChance, formatDays } from "../format/numbers";
import { handedIn } from "../sheet/useHandIn";
import { ChoiceField } from "../ui/Field";
import { useDebounced } from "../ui/useDebounced";
import { DensityPlot, type Handle, NoDensity } from "./DensityPlot";
import { countedWords, unitOf, withBasis, withShapeWord } from "./draft";
import { EffectLine } from "./EffectLine";
import { Elicitation } from "./Elicitation";
import type { Ranged } from "./estimates";
import { originSentence } from "./origin";
import { ParameterFields } from "./ParameterFields";
import { PARAMETER_LABELS, SHAPE_INFO, tidy } from "./shapes";
import { doubts } from "./warnings";
import { Refusal } from "../ui/Refusal";

const PLOT_WIDTH = 336;
const SETTLED = 350;
const SHAPE_CHOICES = Object.entries(SHAPE_INFO).map(([value, { label }]) => ({ value, label }));
const DRAGGED = ["low", "likely", "high", "mean"] as const;

/** The range of an activity or a cost line: what it is, where it comes from, and what another would change. */
export function RangeEditor({ plan, one }: { plan: PlanView; one: Ranged }) {
  const project = plan.project.id;
  const { revision } = plan.project;
  const edits = useRowEdits(project);
  const saved = countedWords(plan, one);
  const [draft, setDraft] = useState<EstimateWords>();
  const [asking, setAsking] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const words = draft ?? saved;
  const look = useRangeLook(project, one.id, words, revision);
  const effect = useRangeEffect(project, one.id, useDebounced(draft, SETTLED), revision);
  const isCost = one.amount !== undefined;
  const unit = isCost ? plan.project.currency : "days";
  const format = isCost ? formatAmount : formatDays;
  const each = unitOf(plan, one, words);

  const change = (next: EstimateWords) => {
    setRefusal(undefined);
    setDraft(next);
  };
  const keep = async (row: Parameters<typeof edits.rows>[0][0]) => {
    const refused = await handedIn(() => edits.rows([row]));
    setRefusal(refused);
    if (!refused) setDraft(undefined);
    return refused;
  };
  const handles: Handle[] = DRAGGED.flatMap((parameter) => {
    const value = words[parameter];
    if (value === undefined || !SHAPE_INFO[words.shape]?.parameters.includes(parameter)) return [];
    const onMove = (moved: number) => change({ ...words, [parameter]: tidy(moved / each) });
    return [{ name: PARAMETER_LABELS[parameter], value: value * each, onMove }];
  });
  const grades = [
    { value: "", label: one.inherited ? "as the branch above" : "none" },
    ...plan.grades.map((grade) => ({ value: grade.id, label: grade.name })),
  ];
  const bases = [
    { value: isCost ? "money" : "days", label: isCost ? plan.project.currency : "days" },
    { value: "factor", label: "percent of planned" },
    ...(words.basis === "hours" ? [{ value: "hours", label: "hours" }] : []),
  ];
  const range = look.data?.range;
  return (
    <Box>
      <Box color="softInk" mb="2">
        {originSentence(plan, one)}
      </Box>
      {asking ? (
        <Elicitation
          unit={unit}
          basis={isCost ? "money" : "days"}
          onAnswer={change}
          onClose={() => setAsking(false)}
        />
      ) : (
        <Button size="xs" variant="outline" mb="2" onClick={() => setAsking(true)}>
          Ask me in order
        </Button>
      )}
      {look.data ? (
        <DensityPlot look={look.data} handles={handles} width={PLOT_WIDTH} format={format} />
      ) : (
        <NoDensity>{look.isError ? refusalOf(look.error) : "Drawing…"}</NoDensity>
      )}
      {look.data && range && (
        <Box my="2" data-stats>
          Mean <b data-mean>{format(round(range.mean))}</b> {unit}, deviation {format(round(range.sd))}. P10{" "}
          {format(round(look.data.p10))}, P50 {format(round(look.data.p50))}, P90{" "}
          {format(round(look.data.p90))}. The planned {format(range.planned)}{" "}
          {isCost ? "suffices" : "suffice"} with {formatChance(range.plannedChance)} chance.
        </Box>
      )}
      {look.isError && <Refusal my="2">{refusalOf(look.error)}</Refusal>}
      {look.data && doubts(words, look.data).map((doubt) => <Doubt key={doubt}>{doubt}</Doubt>)}
      {draft && (
        <Box my="2" p="2" bg="actionTint" role="status">
          {/* As high as the answer, so that it does not push the buttons from under the pointer. */}
          <Box minH="4.5em">
            {effect.data ? (
              <EffectLine effect={effect.data} project={plan.project} />
            ) : effect.isError ? (
              "The effect cannot be shown until the range is sound."
            ) : (
              "Simulating what this would change…"
            )}
          </Box>
          <Flex gap="2" mt="2">
            <Button
              size="xs"
              bg="action"
              color="onAction"
              disabled={look.isError}
              onClick={() => void keep({ id: one.id, estimate: draft })}
            >
              Keep this range
            </Button>
            <Button size="xs" variant="ghost" onClick={() => setDraft(undefined)}>
              Leave it as it was
            </Button>
          </Flex>
        </Box>
      )}
      {refusal && <Refusal my="2">{refusal}</Refusal>}
      <ChoiceField
        label="Grade"
        hint="A grade takes the place of a range of its own"
        value={one.estimate ? "" : (one.grade ?? "")}
        choices={one.estimate ? [{ value: "", label: "– own range –" }, ...grades.slice(1)] : grades}
        onHandIn={(grade) => keep({ id: one.id, grade: grade === "" ? null : grade, estimate: null })}
      />
      {(one.estimate ?? one.grade) && (
        <Button
          size="xs"
          variant="ghost"
          color="action"
          mb="2"
          onClick={() => void keep({ id: one.id, grade: null, estimate: null })}
        >
          Take back to {one.inherited ? "what is inherited" : "certain"}
        </Button>
      )}
      <ChoiceField
        label="Shape"
        hint={SHAPE_INFO[words.shape]?.hint}
        value={words.shape}
        choices={SHAPE_CHOICES}
        onHandIn={(shape) => {
          change(withShapeWord(words, shape, { ...one, range: range ?? one.range }, each));
          return undefined;
        }}
      />
      <Box color="softInk" fontSize="12.5px" mb="2">
        {SHAPE_INFO[words.shape]?.hint}
      </Box>
      <ChoiceField
        label="Counted in"
        value={words.basis ?? "days"}
        choices={bases}
        onHandIn={(basis) => {
          change(withBasis(words, basis, each, unitOf(plan, one, { ...words, basis })));
          return undefined;
        }}
      />
      <ParameterFields words={words} onChange={change} />
    </Box>
  );
}

function Doubt({ children }: { children: string }) {
  return (
    <Box my="1.5" pl="2" borderLeftWidth="3px" borderColor="plan" color="planText">
      {children}
    </Box>
  );
}

const round = (value: number) => Number(value.toPrecision(3));
