import { Flex } from "@chakra-ui/react";
import { useMemo } from "react";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import { formatChance } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import type { Column, OwnKeys } from "../../shared/grid/types";
import { inputsKey, type Measure } from "./driversStore";
import type { Goal } from "./goal";
import { type InputRow, MEASURES } from "./measures";
import { rankText, valueText } from "./measureWords";
import { spindles } from "./spindles";

interface Props {
  project: string;
  rows: InputRow[];
  measure: Measure;
  goal: Goal;
  keys: OwnKeys<InputRow, Column<InputRow>>;
}

/** The list of inputs, the strongest first, with what each moves drawn beside it. */
export function InputGrid({ project, rows, measure, goal, keys }: Props) {
  const columns = useMemo(() => columnsOf(measure, goal), [measure, goal]);
  const drawing = useMemo(() => spindles(rows, measure, goal), [rows, measure, goal]);
  return (
    <Grid
      state={inputsKey(project)}
      label={`What moves ${goal.name}`}
      rows={rows}
      columns={columns}
      drawing={drawing}
      keys={keys}
    />
  );
}

function columnsOf(measure: Measure, goal: Goal): Column<InputRow>[] {
  const title = MEASURES.find((one) => one.value === measure)?.label ?? "";
  const own: Column<InputRow> = {
    id: "value",
    title: title.charAt(0).toUpperCase() + title.slice(1),
    word: WORDS[measure],
    width: measure === "slope" ? 116 : 92,
    align: "right",
    text: (row) => valueText(row, measure, goal),
  };
  const share: Column<InputRow> = {
    id: "share",
    title: "Share",
    word: "share of variance",
    hint: "Share of the variance that goes with it",
    width: 62,
    align: "right",
    soft: true,
    text: ({ driver }) => (driver?.contribution === undefined ? "" : briefShare(driver.contribution)),
  };
  const rank: Column<InputRow> = {
    id: "rank",
    title: "Rank",
    word: "rank range",
    hint: "By swing; where chance alone could swap some, from the best to the worst it may be",
    width: 62,
    align: "right",
    soft: true,
    text: rankText,
  };
  return [
    { id: "code", title: "Code", width: 62, kept: true, widens: true, soft: true, text: (row) => row.code },
    {
      id: "name",
      title: "Input",
      width: 300,
      kept: true,
      gives: true,
      text: (row) => row.name,
      render: (row) => (
        <Flex as="span" align="center" gap="2" minW="0">
          {row.mark && (
            <svg width="12" height="12" role="img" aria-label={row.mark} style={{ flexShrink: 0 }}>
              <Mark kind={row.mark as MarkKind} x={6} y={6} size={4.6} />
            </svg>
          )}
          <span style={{ overflow: "hidden", textOverflow: "ellipsis" }}>{row.name}</span>
        </Flex>
      ),
    },
    own,
    ...(measure === "contribution" ? [] : [share]),
    ...(measure === "swing" ? [rank] : []),
  ];
}

/** "under 0.1 %" as "<0.1 %", since there is little room. */
const briefShare = (share: number) =>
  `${share < 0 ? "−" : ""}${formatChance(Math.abs(share)).replace("under ", "<")}`;

const WORDS: Record<Measure, string> = {
  swing: "swing",
  removal: "removal",
  day: "a day less",
  tenth: "a day less",
  contribution: "share of variance",
  rank: "rank correlation",
  slope: "slope",
  coefficient: "slope",
};
