import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { RiskView, ScenarioRow } from "../../shared/api/client";
import { formatMoney } from "../../shared/format/numbers";
import { arranged, settingOf, type SwitchGroup } from "./switches";
import { SWITCHES } from "./scenarioWords";

const Button = chakra("button");
const Input = chakra("input");
const FEW = 9;

interface Props {
  row: ScenarioRow;
  risks: readonly RiskView[];
  currency: string;
  /** Switches one risk, or all of a category; undefined takes the switch away. */
  onRisk: (risk: RiskView, how: string) => void;
  onCategory: (category: string, how: string) => void;
}

/** Each risk off, as now or answered; a category at a time where that is meant. */
export function RiskSwitches({ row, risks, currency, onRisk, onCategory }: Props) {
  const [all, setAll] = useState(false);
  const groups = arranged(risks, row);
  const shown = all ? groups : firstOf(groups, FEW);
  const hidden = risks.length - shown.reduce((sum, group) => sum + group.risks.length, 0);
  return (
    <Box>
      <Box asChild width="100%" fontSize="13px" css={{ borderCollapse: "collapse" }}>
        <table aria-label="Risks in this scenario">
          <thead>
            <tr>
              <Box as="th" textAlign="left" fontWeight="650">
                Risks
              </Box>
              {SWITCHES.map(({ value, label }) => (
                <Box key={value} as="th" width="58px" fontWeight="400" color="softInk" fontSize="12.5px">
                  {label}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((group) => (
              <Group
                key={group.category}
                group={group}
                row={row}
                currency={currency}
                onRisk={onRisk}
                onCategory={onCategory}
              />
            ))}
          </tbody>
        </table>
      </Box>
      {(hidden > 0 || all) && risks.length > FEW && (
        <Button minH="24px" color="action" cursor="pointer" mt="1" onClick={() => setAll(!all)}>
          {all ? "Fewer" : `${hidden} more…`}
        </Button>
      )}
    </Box>
  );
}

function firstOf(groups: readonly SwitchGroup[], most: number): SwitchGroup[] {
  const shown: SwitchGroup[] = [];
  let left = most;
  for (const group of groups) {
    if (left <= 0) break;
    shown.push({ ...group, risks: group.risks.slice(0, left) });
    left -= group.risks.length;
  }
  return shown;
}

function Group({ group, row, currency, onRisk, onCategory }: Omit<Props, "risks"> & { group: SwitchGroup }) {
  const { category, risks } = group;
  return (
    <>
      {category !== "" && (
        <tr>
          <Box as="td" pt="1.5" color="softInk" fontSize="12.5px">
            {category.replaceAll("/", " / ")}
          </Box>
          {SWITCHES.map(({ value, label }) => (
            <Dot
              key={value}
              name={`category ${category}`}
              label={`All of ${category}: ${label}`}
              on={row.categories[category] === value}
              square
              onPick={() => onCategory(category, value)}
            />
          ))}
        </tr>
      )}
      {risks.map((risk) => (
        <Box asChild key={risk.id} borderTopWidth="1px" borderColor="line">
          <tr data-risk={risk.id}>
            <Box as="td" py="1" pr="2" lineHeight="1.25">
              <Box as="span" color="softInk">
                {risk.id}
              </Box>{" "}
              {risk.title}
              {risk.response && (
                <Box as="span" color="softInk" whiteSpace="nowrap">
                  {" "}
                  · {formatMoney(risk.response.cost, currency)}
                  {risk.response.decided && ", decided"}
                </Box>
              )}
            </Box>
            {SWITCHES.map(({ value, label }) => {
              const possible = canBe(risk, value);
              return possible ? (
                <Dot
                  key={value}
                  name={`risk ${risk.id}`}
                  label={`${risk.id} ${label}`}
                  on={settingOf(row, risk) === value}
                  onPick={() => onRisk(risk, value)}
                />
              ) : (
                <td key={value} />
              );
            })}
          </tr>
        </Box>
      ))}
    </>
  );
}

/** What has occurred cannot be off, and nothing is answered that has no response. */
const canBe = (risk: RiskView, how: string) =>
  how === "now" ||
  (how === "off" && risk.state === "open") ||
  (how === "response" && risk.response !== undefined && (risk.state === "open" || risk.state === "occurred"));

function Dot({
  name,
  label,
  on,
  square,
  onPick,
}: {
  name: string;
  label: string;
  on: boolean;
  square?: boolean;
  onPick: () => void;
}) {
  return (
    <Box as="td" textAlign="center">
      <Input
        type="radio"
        name={name}
        aria-label={label}
        title={label}
        checked={on}
        onChange={onPick}
        appearance="none"
        width="12px"
        height="12px"
        verticalAlign="middle"
        borderRadius={square ? "3px" : "full"}
        borderWidth="1.5px"
        borderColor="strongLine"
        cursor="pointer"
        _checked={{ bg: "action", borderColor: "action" }}
      />
    </Box>
  );
}
