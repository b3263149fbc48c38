import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import type { EffectsView, PlanView, RiskView, SchemeView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import type { RiskEdits } from "../../shared/api/risks";
import { formatOne, formatSigned, formatWhole } from "../../shared/format/numbers";
import { Choice } from "../../shared/ui/Choice";
import { notify } from "../../shared/ui/notify";
import { Comparison } from "./Comparison";
import { Matrix } from "./Matrix";
import { beyondCounts, cellOf, matrixSentence, OVERALL, placed, quantified } from "./matrixPlaces";
import { isLive } from "./riskWords";

const Link = chakra("button");
/** A longer list is not read. */
const MOST = 40;

interface Props {
  plan: PlanView;
  risks: readonly RiskView[];
  scheme?: SchemeView;
  effects?: EffectsView;
  edits: RiskEdits;
  onScheme: () => void;
  /** Shows a risk in the register, with its sheet. */
  onOpen: (risk: string) => void;
}

/** The matrix: how likely and how grave, by own numbers, against what is tolerated; and scores beside what is simulated. */
export function MatrixView({ plan, risks, scheme, effects, edits, onScheme, onOpen }: Props) {
  const [kind, setKind] = useState("time");
  const [chosen, setChosen] = useState<string>();
  const [cell, setCell] = useState<{ chance: number; effect: number; gains: boolean }>();
  const all = useMemo(() => (scheme ? placed(risks, scheme, kind) : []), [risks, scheme, kind]);
  if (!scheme)
    return (
      <Box p="6" maxW="34rem">
        <Box fontWeight="650" mb="2">
          This project has no scoring scheme yet.
        </Box>
        <Box mb="3" color="softInk">
          A scheme says what is rare and what is likely, what is a small delay and what a great loss, and what
          is tolerated. Begin with a starter whose limits suit the duration and the budget of this project.
        </Box>
        <Button size="sm" bg="action" color="onAction" onClick={onScheme}>
          Make a scheme
        </Button>
      </Box>
    );
  const kinds = [
    ...scheme.effects.map((scale) => ({ value: scale.kind, label: scale.name })),
    { value: OVERALL, label: "Worst of all" },
  ];
  const missing = risks.filter((risk) => isLive(risk) && !all.some((one) => one.risk.id === risk.id));
  const inCell = cell
    ? all.filter(({ risk, now }) => {
        const here = cellOf(now);
        return (
          here.chance === cell.chance &&
          here.effect === cell.effect &&
          (risk.kind === "opportunity") === cell.gains
        );
      })
    : [];
  const attempt = (send: Parameters<RiskEdits["risks"]>[0]) =>
    edits.risks(send).catch((error: unknown) => notify(refusalOf(error)));
  return (
    <Flex height="100%">
      <Flex direction="column" flex="1" minW="0">
        <Flex px="5" pt="3" pb="1" gap="4" align="baseline" wrap="wrap">
          <Box fontSize="17px" fontWeight="650" data-answer>
            {matrixSentence(beyondCounts(all, scheme))}
          </Box>
          <Box flex="1" />
          <Choice label="Effect on" choices={kinds} value={kind} onChange={setKind} />
        </Flex>
        <Box px="5" color="softInk" pb="1">
          Across how likely, up how grave. A mark stands where its own numbers put it, hollow after its
          response.
        </Box>
        <Box flex="1" minH="0">
          <Matrix
            scheme={scheme}
            kind={kind}
            placed={all}
            chosen={chosen}
            cell={cell}
            onChoose={(risk) => {
              setChosen(risk.id);
              setCell(undefined);
            }}
            onCell={(next) => {
              setCell(next);
              setChosen(undefined);
            }}
            onScore={(edit) => void attempt([edit])}
          />
        </Box>
      </Flex>
      <Box
        as="aside"
        aria-label="Beside the matrix"
        width="340px"
        flexShrink="0"
        overflow="auto"
        px="4"
        py="3"
        borderLeftWidth="1px"
        borderColor="strongLine"
        bg="panel"
      >
        {chosen ? (
          <RiskCard
            risk={risks.find((risk) => risk.id === chosen)}
            effects={effects}
            level={plan.project.confidence}
            onOpen={onOpen}
          />
        ) : cell ? (
          <RiskList
            title={`${scheme.chance[cell.chance - 1]?.name}, level ${cell.effect}`}
            risks={inCell.map(({ risk }) => risk)}
            none="Nothing lies there."
            onOpen={setChosen}
          />
        ) : null}
        {missing.length > 0 && (
          <Box mt={chosen || cell ? "4" : "0"}>
            <RiskList title="Without a place here" risks={missing} none="" onOpen={setChosen} />
            <Box color="softInk" fontSize="12.5px">
              Neither numbers nor a score say how grave they are in this kind.
            </Box>
          </Box>
        )}
        <Comparison
          risks={risks}
          scheme={scheme}
          effects={effects}
          onOpen={setChosen}
          onQuantify={() => void attempt(quantified(risks, scheme))}
        />
      </Box>
    </Flex>
  );
}

interface ListProps {
  title: string;
  risks: readonly RiskView[];
  none: string;
  onOpen: (risk: string) => void;
}

function RiskList({ title, risks, none, onOpen }: ListProps) {
  return (
    <Box as="section" aria-label={title}>
      <Box as="h3" fontWeight="650" mb="1">
        {title}
      </Box>
      {risks.length === 0 && <Box color="softInk">{none}</Box>}
      {risks.slice(0, MOST).map((risk) => (
        <Link key={risk.id} display="block" textAlign="left" py="0.5" onClick={() => onOpen(risk.id)}>
          <Box as="span" color="action" fontWeight="600">
            {risk.id}
          </Box>{" "}
          {risk.title}
        </Link>
      ))}
      {risks.length > MOST && <Box color="softInk">and {formatWhole(risks.length - MOST)} more</Box>}
    </Box>
  );
}

interface CardProps {
  risk?: RiskView;
  effects?: EffectsView;
  level: number;
  onOpen: (risk: string) => void;
}

function RiskCard({ risk, effects, level, onOpen }: CardProps) {
  if (!risk) return null;
  const moves = effects?.rows.find((row) => row.risk === risk.id);
  return (
    <Box as="section" aria-label="The risk">
      <Box as="h3" fontSize="15px" fontWeight="650">
        {risk.title}
      </Box>
      <Box color="softInk" mb="2">
        {[risk.id, risk.category, risk.owner, risk.state].filter(Boolean).join(" · ")}
      </Box>
      {risk.score && (
        <Box>
          Scored <b>{risk.score.product}</b>
          {risk.scoreAfter && `, after its response ${risk.scoreAfter.product}`}.
        </Box>
      )}
      {moves && (
        <Box>
          Moves the P{level} finish by <b>{formatSigned(moves.moved.days, formatOne)} days</b>.
        </Box>
      )}
      <Link color="action" mt="2" onClick={() => onOpen(risk.id)}>
        Open its sheet
      </Link>
    </Box>
  );
}
