import { Box, Flex } from "@chakra-ui/react";
import type { RiskEdit, RiskView } from "../../shared/api/client";
import { Mark } from "../../shared/charts/marks";
import {
  formatAmount,
  formatChance,
  formatOne,
  formatSigned,
  formatWhole,
} from "../../shared/format/numbers";
import type { Cell, Choices, Column } from "../../shared/grid/types";
import { chanceWords, moneyWords, timeWords } from "./effectWords";
import type { RegisterRow } from "./register";
import { KINDS, STATES } from "./riskWords";

const SIZE = 14;

export interface RegisterColumn extends Column<RegisterRow, RiskEdit> {
  /** Whether it is shown only where somebody has asked for it. */
  spare?: boolean;
  /** The field that a text of it gives, of a new risk too. */
  field?: keyof RiskEdit;
}

/** The wedge of a threat or an opportunity beside its title; it can be dragged onto rows of the plan. */
function Title({ row }: { row: RegisterRow }) {
  const { risk, group } = row;
  if (group)
    return (
      <Box truncate>
        {group.title}
        <Box as="span" color="softInk" fontWeight="400">{` · ${formatWhole(group.count)}`}</Box>
      </Box>
    );
  if (!risk)
    return (
      <Box color="softInk" truncate>
        New risk: type its title
      </Box>
    );
  return (
    <Flex align="center" gap="2" minW="0">
      <svg
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={risk.kind}
        data-grip={risk.id}
        style={{ flexShrink: 0, cursor: "grab", touchAction: "none" }}
      >
        <title>Drag onto rows of the plan</title>
        <Mark
          kind={risk.kind === "opportunity" ? "opportunity" : "threat"}
          x={SIZE / 2}
          y={SIZE / 2}
          hollow={row.soft}
        />
      </svg>
      <Box truncate title={risk.title}>
        {risk.title}
        {risk.state !== "open" && <Box as="span" color="softInk">{` · ${risk.state}`}</Box>}
      </Box>
    </Flex>
  );
}

/** A cell whose text is sent as a field of the risk; of the blank row it makes a new one. */
function textCell(
  field: keyof RiskEdit,
  start: (risk: RiskView) => string,
  more: Partial<Pick<Cell<RegisterRow, RiskEdit>, "choices" | "complete">> = {},
) {
  return (row: RegisterRow): Cell<RegisterRow, RiskEdit> | undefined => {
    if (row.group) return undefined;
    const made = row.risk ? {} : { add: true };
    const edit = (text: string): RiskEdit => ({ id: row.id, ...made, [field]: text });
    return {
      start: row.risk ? start(row.risk) : "",
      typed: (text) => ({ edit: edit(text.trim()), after: row }),
      cleared: () => ({ edit: edit(""), after: row }),
      ...more,
    };
  };
}

const known = (risks: readonly RiskView[], of: "category" | "owner") => {
  const words = [...new Set(risks.map((risk) => risk[of]).filter(Boolean))].sort();
  return (text: string) =>
    words
      .filter((word) => text !== "" && word.toLowerCase().includes(text.toLowerCase()) && word !== text)
      .slice(0, 8)
      .map((value) => ({ value, label: value }));
};

const of = (text: (risk: RiskView) => string) => (row: RegisterRow) => (row.risk ? text(row.risk) : "");
const chosen = (choices: Choices, value: string) =>
  choices.find((one) => one.value === value)?.label ?? value;

/** A score as its product, and what it is after the response. */
function scoreWords({ score, scoreAfter }: RiskView): string {
  if (!score) return "";
  return scoreAfter ? `${score.product} → ${scoreAfter.product}` : String(score.product);
}

/** Columns of the register, for a level of confidence. */
export function registerColumns(level: number, risks: readonly RiskView[]): RegisterColumn[] {
  const owners = known(risks, "owner");
  const categories = known(risks, "category");
  return [
    {
      id: "code",
      title: "Code",
      width: 56,
      kept: true,
      widens: true,
      soft: true,
      text: (row) => (row.group ? "" : row.id),
      field: "id",
      cell: (row) =>
        row.risk && {
          start: row.id,
          names: true,
          passedOver: true,
          typed: (text) => ({ edit: { id: row.id, code: text.trim() }, after: row }),
        },
    },
    {
      id: "title",
      title: "Risk",
      word: "risk",
      width: 270,
      kept: true,
      gives: true,
      text: (row) => row.risk?.title ?? row.group?.title ?? "",
      render: (row) => <Title row={row} />,
      field: "title",
      cell: textCell("title", (risk) => risk.title),
    },
    {
      id: "chance",
      title: "Chance",
      kept: true,
      hint: "30, 1 in 20, 2.5 a year, or a word of the scoring scheme",
      width: 78,
      align: "right",
      text: of(chanceWords),
      field: "chance",
      cell: textCell("chance", (risk) => risk.chanceText),
    },
    {
      id: "time",
      title: "Time",
      hint: "What it does to time, and where: 10..25..60d on S20, 2..15% on S, E. Three points are a triangle, two an even range.",
      width: 124,
      text: of((risk) => timeWords(risk.effects)),
      field: "time",
      cell: textCell("time", (risk) => risk.timeText),
    },
    {
      id: "money",
      title: "Money",
      hint: "What it does to cost, and where: 25k..45k..110k on K32, 3..8% on K22",
      width: 124,
      text: of((risk) => moneyWords(risk.effects)),
      field: "money",
      cell: textCell("money", (risk) => risk.moneyText),
    },
    {
      id: "score",
      title: "Score",
      word: "scheme",
      hint: "Level of chance times the worst level of effect, and what it is after the response",
      width: 66,
      align: "right",
      text: of(scoreWords),
    },
    {
      id: "owner",
      title: "Owner",
      width: 104,
      soft: true,
      text: of((risk) => risk.owner),
      field: "owner",
      cell: textCell("owner", (risk) => risk.owner, { complete: owners }),
    },
    {
      id: "category",
      title: "Category",
      hint: "The project's own tree, levels parted by a slash: Site/Weather",
      width: 140,
      soft: true,
      spare: true,
      text: of((risk) => risk.category),
      field: "category",
      cell: textCell("category", (risk) => risk.category, { complete: categories }),
    },
    {
      id: "kind",
      title: "Kind",
      width: 92,
      spare: true,
      text: of((risk) => chosen(KINDS, risk.kind)),
      field: "kind",
      cell: textCell("kind", (risk) => risk.kind, { choices: KINDS }),
    },
    {
      id: "state",
      title: "State",
      width: 84,
      spare: true,
      text: of((risk) => chosen(STATES, risk.state)),
      field: "state",
      cell: textCell("state", (risk) => risk.state, { choices: STATES }),
    },
    {
      id: "struck",
      title: "Struck",
      hint: "Share of the simulated futures in which it makes a difference",
      width: 66,
      align: "right",
      spare: true,
      text: ({ moves }) => (moves ? formatChance(moves.struck) : ""),
    },
    {
      id: "days",
      title: "Days",
      hint: `Working days it adds to the P${level} finish; switched off, so many fewer`,
      width: 58,
      align: "right",
      kept: true,
      text: ({ moves, group }) =>
        moves ? formatSigned(moves.moved.days, formatOne) : group ? formatSigned(group.days, formatOne) : "",
    },
    {
      id: "cost",
      title: `P${level} cost`,
      hint: `Money it adds to the P${level} cost, what its delays cost included`,
      width: 72,
      align: "right",
      kept: true,
      text: ({ moves, group }) =>
        moves
          ? formatSigned(moves.moved.money, formatAmount)
          : group
            ? formatSigned(group.money, formatAmount)
            : "",
    },
  ];
}
