import { Box, chakra, Flex } from "@chakra-ui/react";
import type { PlanView, RiskView, ScenarioRow, ScenariosView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { THE_PLAN, type ScenarioEdit, type ScenarioEdits } from "../../shared/api/scenarios";
import { formatDay, parseDay, toCivilText } from "../../shared/format/dates";
import { formatMoney, parseMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { CommentsPart } from "../../shared/together/CommentsPart";
import { TextField } from "../../shared/ui/Field";
import { EditsPart } from "./EditsPart";
import { RiskSwitches } from "./RiskSwitches";
import { made, refused } from "./making";
import { categoryEdit, freeName, riskEdit } from "./switches";
import type { ScenariosLook } from "./scenariosStore";
import { shareSentence, SWITCHES } from "./scenarioWords";

const Button = chakra("button");
const WIDTH = 392;

interface Props {
  plan: PlanView;
  view: ScenariosView;
  row: ScenarioRow;
  risks: readonly RiskView[];
  edits: ScenarioEdits;
  look: ScenariosLook;
  onEnter: (row: ScenarioRow) => void;
  onTakeOver: (row: ScenarioRow) => void;
}

/** The scenario that is chosen: what it is, every switch it has, and what can be done with it. On the plan, a switch makes a new one. */
export function ScenarioPanel({ plan, view, row, risks, edits, look, onEnter, onTakeOver }: Props) {
  const isPlan = row.id === THE_PLAN;
  const { currency } = plan.project;
  const change = (edit: ScenarioEdit) => void edits.change([edit]).catch(refused);
  const handIn = async (edit: ScenarioEdit) => {
    try {
      await edits.change([edit]);
      return undefined;
    } catch (error) {
      return refusalOf(error);
    }
  };
  /** On the plan a switch is a question: what if? It makes a scenario of its own. */
  const ask = (name: string, edit: Omit<ScenarioEdit, "id">) => {
    void made(edits, view.rows, look, { ...edit, name: freeName(name, view.rows) });
  };
  const onRisk = (risk: RiskView, how: string) =>
    isPlan
      ? how !== "now" && ask(`${risk.id} ${labelOf(how)}`, { risks: { [risk.id]: how } })
      : change(riskEdit(row, risk, how));
  const onCategory = (category: string, how: string) =>
    isPlan
      ? how !== "now" && ask(`${category} ${labelOf(how)}`, { categories: { [category]: how } })
      : change(categoryEdit(row, risks, category, how));
  return (
    <Aside label="The scenario chosen" width={WIDTH}>
      {isPlan ? (
        <Box>
          <Box as="h2" fontSize="16px" fontWeight="650">
            As it stands
          </Box>
          <Box color="softInk">
            The plan itself. Switch something here, and it becomes a scenario: the plan stays as it is.
          </Box>
        </Box>
      ) : (
        <Box>
          <TextField label="Name" value={row.name} onHandIn={(name) => handIn({ id: row.id, name })} />
          <TextField
            label="Note"
            lines={2}
            value={row.note}
            onHandIn={(note) => handIn({ id: row.id, note })}
          />
        </Box>
      )}
      {row.gap && <Box color="softInk">{shareSentence(row.gap)}</Box>}
      {!isPlan && <Ways {...{ row, view, look, change, edits, onEnter, onTakeOver }} />}
      <RiskSwitches row={row} risks={risks} currency={currency} onRisk={onRisk} onCategory={onCategory} />
      {!isPlan && row.otherRisks !== "now" && (
        <Box color="softInk">
          Every risk of which nothing else is said is {labelOf(row.otherRisks)}.{" "}
          <Link label="As now" onClick={() => change({ id: row.id, otherRisks: null })} />
        </Box>
      )}
      <Box as="section" aria-label="The rest">
        <Box fontWeight="650" mb="1">
          The rest
        </Box>
        <Toggle
          label="Estimates vary"
          on={row.estimates}
          onChange={(estimates) =>
            isPlan ? ask("Estimates do not vary", { estimates }) : change({ id: row.id, estimates })
          }
        />
        <Toggle
          label="They move together as the plan says"
          on={row.correlation}
          onChange={(correlation) =>
            isPlan ? ask("Nothing moves together", { correlation }) : change({ id: row.id, correlation })
          }
        />
        <Toggle
          label="Risks take part at all"
          on={row.otherRisks !== "off" || Object.keys(row.risks).length > 0}
          onChange={(on) =>
            isPlan
              ? ask("No risks at all", { otherRisks: "off" })
              : change({ id: row.id, otherRisks: on ? null : "off" })
          }
        />
        {!isPlan && (
          <Box mt="2">
            <TextField
              label="Target"
              hint="Another target date; empty for that of the plan"
              value={row.targetFinish ? formatDay(row.targetFinish) : ""}
              onHandIn={(text) => target(text, row, plan, handIn)}
            />
            <TextField
              label="Budget"
              hint="Another budget; empty for that of the plan"
              value={row.targetCost === undefined ? "" : formatMoney(row.targetCost, currency, true)}
              onHandIn={(text) => {
                if (text.trim() === "") return handIn({ id: row.id, targets: { cost: null } });
                const cost = parseMoney(text);
                return cost === undefined
                  ? `An amount is needed, such as 5.2m, not “${text}”.`
                  : handIn({ id: row.id, targets: { cost } });
              }}
            />
          </Box>
        )}
      </Box>
      {!isPlan && (
        <EditsPart
          row={row}
          onForget={(section, key) => change({ id: row.id, forget: [{ section, key }] })}
          onEnter={() => onEnter(row)}
        />
      )}
      {!isPlan && <CommentsPart project={plan.project.id} about={{ section: "scenarios", key: row.id }} />}
    </Aside>
  );
}

const labelOf = (how: string) => SWITCHES.find(({ value }) => value === how)?.label ?? how;

function target(
  text: string,
  row: ScenarioRow,
  plan: PlanView,
  handIn: (edit: ScenarioEdit) => Promise<string | undefined>,
) {
  if (text.trim() === "") return handIn({ id: row.id, targets: { finish: null } });
  const day = parseDay(text);
  if (day === undefined) return `A date is needed, such as 2 Oct 2028, not “${text}”.`;
  const hour = plan.project.targetFinish?.slice(11, 16) ?? "17:00";
  return handIn({ id: row.id, targets: { finish: `${toCivilText(day).slice(0, 10)}T${hour}` } });
}

interface WaysProps {
  row: ScenarioRow;
  view: ScenariosView;
  look: ScenariosLook;
  change: (edit: ScenarioEdit) => void;
  edits: ScenarioEdits;
  onEnter: (row: ScenarioRow) => void;
  onTakeOver: (row: ScenarioRow) => void;
}

/** What can be done with a scenario. */
function Ways({ row, view, look, change, edits, onEnter, onTakeOver }: WaysProps) {
  if (row.putAway)
    return (
      <Flex gap="4">
        <Link label="Bring it back" onClick={() => change({ id: row.id, putAway: false })} />
        <Link label="Remove it" onClick={() => void edits.remove([row.id]).catch(refused)} />
      </Flex>
    );
  return (
    <Flex wrap="wrap" columnGap="4" rowGap="1">
      <Link label="Work in it" strong onClick={() => onEnter(row)} />
      <Link label="Take it over…" strong onClick={() => onTakeOver(row)} />
      {view.base === row.id ? (
        <Link label="Compare with the plan" onClick={() => look.set({ base: THE_PLAN })} />
      ) : (
        <Link label="Compare with this" onClick={() => look.set({ base: row.id })} />
      )}
      <Link label="Copy" onClick={() => void made(edits, view.rows, look, { from: row.id })} />
      <Link label="Put away" onClick={() => change({ id: row.id, putAway: true })} />
    </Flex>
  );
}

function Link({ label, strong, onClick }: { label: string; strong?: boolean; onClick: () => void }) {
  return (
    <Button minH="24px" color="action" cursor="pointer" fontWeight={strong ? 650 : 400} onClick={onClick}>
      {label}
    </Button>
  );
}

function Toggle({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <Flex asChild justify="space-between" align="center" minH="27px" cursor="pointer">
      <label>
        {label}
        <input type="checkbox" checked={on} onChange={(event) => onChange(event.target.checked)} />
      </label>
    </Flex>
  );
}
