import { Box, Flex } from "@chakra-ui/react";
import type { PlanView, RiskEdit, RiskMoves, RiskView, SchemeView } from "../../shared/api/client";
import type { RiskEdits } from "../../shared/api/risks";
import { Mark } from "../../shared/charts/marks";
import { formatDay, typedDay } from "../../shared/format/dates";
import { handedIn } from "../../shared/sheet/useHandIn";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { CommentsPart } from "../../shared/together/CommentsPart";
import { ConfirmPart } from "../../shared/together/ConfirmPart";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import { SidePanel } from "../../shared/ui/SidePanel";
import { DependsPart } from "./DependsPart";
import { EffectList } from "./EffectList";
import { ResponsePart } from "./ResponsePart";
import { RiskHistoryPart } from "./RiskHistoryPart";
import { movesSentence } from "./responseWords";
import { HistoryPart } from "./HistoryPart";
import { KINDS, sentenceOf, SHEET_WIDTH } from "./riskWords";
import { ScorePart } from "./ScorePart";
import { StatePart } from "./StatePart";

interface Props {
  plan: PlanView;
  risk: RiskView;
  risks: readonly RiskView[];
  scheme?: SchemeView;
  moves?: RiskMoves;
  edits: RiskEdits;
  onClose: () => void;
}

/** Sends fields of a risk; answers with the reason where they are refused. */
export type ChangeRisk = (fields: Omit<RiskEdit, "id">) => Promise<string | undefined>;

/** Everything about a risk, to be read and changed. */
export function RiskSheet({ plan, risk, risks, scheme, moves, edits, onClose }: Props) {
  const change: ChangeRisk = (fields) => handedIn(() => edits.risks([{ ...fields, id: risk.id }]));
  const date = (field: "from" | "to", label: string) => (
    <TextField
      label={label}
      value={risk[field] ? formatDay(risk[field]) : ""}
      onHandIn={(text) => {
        const typed = typedDay(text);
        return "refusal" in typed ? typed.refusal : change({ [field]: typed.day });
      }}
    />
  );
  return (
    <SidePanel
      label="Sheet"
      width={SHEET_WIDTH}
      title={
        <Flex gap="2" align="center">
          <svg width="16" height="16" role="img" aria-label={risk.kind} style={{ flexShrink: 0 }}>
            <Mark kind={risk.kind === "opportunity" ? "opportunity" : "threat"} x={8} y={8} size={6} />
          </svg>
          {risk.title}
        </Flex>
      }
      onClose={onClose}
    >
      {moves && (
        <Box mb="1" data-moves>
          {movesSentence(plan, moves)}
        </Box>
      )}
      {risk.event && (
        <Box mb="3" color="softInk" data-sentence>
          {sentenceOf(risk)}
        </Box>
      )}
      <TextField label="Title" value={risk.title} onHandIn={(title) => change({ title })} />
      <TextField
        label="Because"
        hint="The cause: what is so today"
        value={risk.cause}
        onHandIn={(cause) => change({ cause })}
      />
      <TextField
        label="it may happen that"
        hint="The event, which may or may not come"
        value={risk.event}
        onHandIn={(event) => change({ event })}
      />
      <TextField
        label="and then"
        hint="The consequence"
        value={risk.consequence}
        onHandIn={(consequence) => change({ consequence })}
      />
      <Flex gap="4">
        <Box flex="1" minW="0">
          <ChoiceField
            label="Kind"
            value={risk.kind}
            choices={KINDS}
            onHandIn={(kind) => change({ kind, strategy: null })}
          />
          <TextField
            label="Category"
            hint="Levels parted by a slash: Site/Weather"
            value={risk.category}
            onHandIn={(category) => change({ category })}
          />
        </Box>
        <Box flex="1" minW="0">
          <TextField label="Owner" value={risk.owner} onHandIn={(owner) => change({ owner })} />
          <TextField label="Code" value={risk.id} onHandIn={(code) => change({ code })} />
        </Box>
      </Flex>
      <Flex gap="4">
        <Box flex="1" minW="0">
          {date("from", "Strikes from")}
        </Box>
        <Box flex="1" minW="0">
          {date("to", "until")}
        </Box>
      </Flex>
      <SheetPart title="As it stands">
        <TextField
          label="Chance"
          hint="30, 1 in 20, 2.5 a year, or a word of the scoring scheme"
          value={risk.chanceText}
          onHandIn={(chance) => change({ chance })}
        />
        <EffectList
          plan={plan}
          effects={risk.effects}
          fields={{ time: "time", money: "money" }}
          onText={change}
          onImpacts={(impacts) => change({ impacts })}
        />
      </SheetPart>
      <ResponsePart plan={plan} risk={risk} moves={moves} change={change} />
      <ScorePart risk={risk} scheme={scheme} change={change} />
      <StatePart plan={plan} risk={risk} change={change} />
      <HistoryPart plan={plan} risk={risk} change={change} />
      <DependsPart risk={risk} risks={risks} change={change} />
      <SheetPart title="Notes">
        <TextField
          label="Notes"
          unseen
          value={risk.notes}
          lines={4}
          onHandIn={(notes) => change({ notes })}
        />
      </SheetPart>
      <ConfirmPart project={plan.project.id} about={{ section: "risks", key: risk.id }} owner={risk.owner} />
      <CommentsPart project={plan.project.id} about={{ section: "risks", key: risk.id }} />
      <RiskHistoryPart project={plan.project.id} revision={plan.project.revision} risk={risk.id} />
    </SidePanel>
  );
}
