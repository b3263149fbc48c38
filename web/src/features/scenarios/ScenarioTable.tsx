import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, useEffect } from "react";
import type { ScenarioRow, ScenariosView } from "../../shared/api/client";
import { THE_PLAN } from "../../shared/api/scenarios";
import { formatDay } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";
import { columnsOf, type TableColumn } from "./scenarioColumns";
import { Swatch } from "./Swatch";
import { strokeOf } from "./scenarioLook";
import type { ScenariosLook } from "./scenariosStore";
import { daysSigned, differenceWords, isTold, moneySigned } from "./scenarioWords";

const Button = chakra("button");
const Row = chakra("tr");

interface Props {
  view: ScenariosView;
  rows: readonly ScenarioRow[];
  ticked: readonly string[];
  look: ScenariosLook;
  chosen: string;
  currency: string;
  hasMoney: boolean;
}

/** All scenarios with what they come to, sorted by any of it; a tick draws one, a click explains it. */
export function ScenarioTable({ view, rows, ticked, look, chosen, currency, hasMoney }: Props) {
  const columns = columnsOf(view.level, hasMoney);
  // What was chosen elsewhere, or made, comes into view.
  useEffect(() => {
    document.getElementById(rowId(chosen))?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const choose = (by: number) => {
    const at = rows.findIndex((row) => row.id === chosen);
    const next = rows[Math.max(0, Math.min(rows.length - 1, at + by))];
    if (!next) return;
    look.set({ chosen: next.id });
    document.getElementById(rowId(next.id))?.focus();
  };
  const tick = (id: string) =>
    look.set({ ticked: ticked.includes(id) ? ticked.filter((one) => one !== id) : [...ticked, id] });
  const onKey = (row: ScenarioRow) => (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    if (event.key === "ArrowDown" || event.key === "ArrowUp") choose(event.key === "ArrowDown" ? 1 : -1);
    else if (event.key === " ") tick(row.id);
    else if (event.key === "Enter") look.set({ chosen: row.id });
    else return;
    event.preventDefault();
  };
  return (
    <Box asChild width="100%" fontSize="13px" css={{ borderCollapse: "collapse" }}>
      <table aria-label="Scenarios side by side" data-testid="scenarios">
        <thead>
          <tr>
            <th aria-label="Drawn" />
            {columns.map((column) => (
              <HeadCell key={column.key} column={column} look={look} />
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row
              key={row.id}
              id={rowId(row.id)}
              data-scenario={row.id}
              tabIndex={row.id === chosen ? 0 : -1}
              aria-selected={row.id === chosen}
              cursor="pointer"
              opacity={row.putAway ? 0.6 : 1}
              bg={row.id === chosen ? "actionTint" : undefined}
              borderTopWidth="1px"
              borderColor="line"
              onClick={() => look.set({ chosen: row.id })}
              onKeyDown={onKey(row)}
            >
              <Box as="td" width="46px" pl="4">
                <Swatch
                  stroke={strokeOf(view.rows, row.id)}
                  label={`Draw ${row.name}`}
                  on={ticked.includes(row.id)}
                  disabled={row.putAway}
                  onChange={() => tick(row.id)}
                />
              </Box>
              <Box as="td" py="1.5" pr="3" maxW="260px">
                <Box fontWeight={row.id === view.base ? 650 : 400} lineHeight="1.25">
                  {row.name}
                  {row.id === view.base && view.base !== THE_PLAN && (
                    <Box as="span" color="softInk" fontWeight="400">
                      {" "}
                      (base)
                    </Box>
                  )}
                  {row.misfits.length > 0 && (
                    <Box as="span" color="risk" title="Something of it no longer fits the plan">
                      {" "}
                      · {row.misfits.length} to look at
                    </Box>
                  )}
                </Box>
                <Box
                  color="softInk"
                  fontSize="12px"
                  lineHeight="1.2"
                  whiteSpace="nowrap"
                  overflow="hidden"
                  textOverflow="ellipsis"
                  title={differenceWords(row)}
                >
                  {row.id === THE_PLAN ? "the plan" : differenceWords(row) || "nothing yet"}
                </Box>
              </Box>
              <Numbers row={row} currency={currency} hasMoney={hasMoney} />
            </Row>
          ))}
        </tbody>
      </table>
    </Box>
  );
}

const rowId = (id: string) => `scenario-${id || "plan"}`;

function HeadCell({ column, look }: { column: TableColumn; look: ScenariosLook }) {
  const sorted = look.sort === column.key;
  return (
    <Box
      as="th"
      position="sticky"
      top="0"
      bg="ground"
      zIndex="1"
      py="1"
      pr="3"
      fontWeight="400"
      color="softInk"
      textAlign={column.left ? "left" : "right"}
      aria-sort={sorted ? (look.down ? "descending" : "ascending") : undefined}
    >
      <Button
        cursor="pointer"
        whiteSpace="nowrap"
        title={column.hint}
        color={sorted ? "ink" : "softInk"}
        onClick={() =>
          look.set(sorted && look.down ? { sort: "order", down: false } : { sort: column.key, down: sorted })
        }
      >
        {column.label}
        {sorted && (look.down ? " ↓" : " ↑")}
      </Button>
    </Box>
  );
}

function Numbers({ row, currency, hasMoney }: { row: ScenarioRow; currency: string; hasMoney: boolean }) {
  const { odds, gap } = row;
  if (!odds)
    return (
      <Box asChild color={row.refusal ? "risk" : "softInk"} textAlign="left">
        <td colSpan={hasMoney ? 10 : 4}>{row.putAway ? "put away" : (row.refusal ?? "being worked out…")}</td>
      </Box>
    );
  const chance = (value: number | undefined) => (value === undefined ? "—" : formatChance(value));
  return (
    <>
      <Cell>{formatDay(odds.finishHalf)}</Cell>
      <Cell strong>{formatDay(odds.finishLevel)}</Cell>
      <Change change={gap?.days} error={gap?.daysError} tell={daysSigned} />
      <Cell>{chance(odds.finishChance)}</Cell>
      {hasMoney && (
        <>
          <Cell>{formatMoney(odds.costHalf, currency)}</Cell>
          <Cell strong>{formatMoney(odds.costLevel, currency)}</Cell>
          <Change change={gap?.cost} error={gap?.costError} tell={(money) => moneySigned(money, currency)} />
          <Cell>{chance(odds.costChance)}</Cell>
          <Cell>{chance(odds.jointChance)}</Cell>
          <Cell>
            {gap && Math.abs(gap.now) >= 1 ? moneySigned(gap.now, currency).replace(/^\+/, "") : "—"}
          </Cell>
        </>
      )}
    </>
  );
}

function Cell({ children, strong }: { children: string; strong?: boolean }) {
  return (
    <Box as="td" pr="3" textAlign="right" whiteSpace="nowrap" fontWeight={strong ? 600 : 400}>
      {children}
    </Box>
  );
}

/** A difference, paler where it cannot be told from chance, with its error beneath. */
function Change({
  change,
  error,
  tell,
}: {
  change?: number;
  error?: number;
  tell: (value: number) => string;
}) {
  return (
    <Box
      as="td"
      pr="3"
      textAlign="right"
      whiteSpace="nowrap"
      lineHeight="1.2"
      color={change !== undefined && isTold(change, error) ? "ink" : "softInk"}
    >
      {change === undefined ? "—" : tell(change)}
      {change !== undefined && error !== undefined && error > 0 && (
        <Box fontSize="11.5px" color="softInk">
          {change === 0 ? "<" : "±"} {tell(error).replace(/^\+/, "")}
        </Box>
      )}
    </Box>
  );
}
