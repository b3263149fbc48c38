import { Box } from "@chakra-ui/react";
import type { PlanView, SettingsWords } from "../../shared/api/client";
import { useSettingsEdit } from "../../shared/api/settingsEdits";
import { DAY_EXAMPLE, formatDay, typedDay } from "../../shared/format/dates";
import { formatMoney, numberExample, parseMoney, parseNumber } from "../../shared/format/numbers";
import { handedIn } from "../../shared/sheet/useHandIn";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import { SidePanel } from "../../shared/ui/SidePanel";

const LAGS = [
  { value: "predecessor", label: "in the predecessor's calendar" },
  { value: "successor", label: "in the successor's calendar" },
  { value: "elapsed", label: "round the clock" },
] as const;

/** What is true of the project as a whole. */
export function SettingsPanel({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const edit = useSettingsEdit(plan.project.id);
  const { project } = plan;
  const change = (fields: SettingsWords) => handedIn(() => edit(fields));
  const date = (
    label: string,
    hint: string,
    field: "start" | "dataDate" | "targetFinish",
    value: string | undefined,
  ) => (
    <TextField
      label={label}
      hint={hint}
      value={value ? formatDay(value) : ""}
      onHandIn={(text) => {
        const typed = typedDay(text);
        if ("refusal" in typed) return typed.refusal;
        if (typed.day === null && field === "start") return "The project needs its first day.";
        return change({ [field]: typed.day });
      }}
    />
  );
  return (
    <SidePanel label="Settings of the project" title="The project" onClose={onClose}>
      <TextField label="Name" value={project.name} onHandIn={(name) => change({ name })} />
      {date("First day", "Nothing starts earlier", "start", project.start)}
      {date(
        "Data date",
        "Progress is reported up to here; what is ahead starts no earlier",
        "dataDate",
        project.dataDate,
      )}
      {date("Target finish", "The date whose chance matters", "targetFinish", project.targetFinish)}
      <TextField
        label="Budget"
        hint="The amount whose chance matters"
        value={project.targetCost === undefined ? "" : formatMoney(project.targetCost, project.currency)}
        onHandIn={(text) => {
          if (text.trim() === "") return change({ targetCost: null });
          const amount = parseMoney(text);
          return amount === undefined
            ? `An amount is needed, such as ${numberExample(5.05)}m, not “${text.trim()}”.`
            : change({ targetCost: amount });
        }}
      />
      <TextField
        label="Confidence, %"
        hint="How sure promises are to be: the level the horizon, the runs and the sheet speak of"
        value={String(project.confidence)}
        onHandIn={(text) => {
          const level = parseNumber(text.replace(/^p|%$/gi, ""));
          return level === undefined || !Number.isInteger(level) || level < 1 || level > 99
            ? `The level is a whole number of percent from 1 to 99, not “${text.trim()}”.`
            : change({ confidence: level });
        }}
      />
      <TextField label="Currency" value={project.currency} onHandIn={(currency) => change({ currency })} />
      <ChoiceField
        label="Calendar"
        hint="Of new activities, and for counting the project's working days"
        value={project.calendar}
        choices={plan.calendars.map((calendar) => ({ value: calendar.id, label: calendar.name }))}
        onHandIn={(calendar) => change({ calendar })}
      />
      <ChoiceField
        label="Lags run"
        value={project.lagCalendar}
        choices={LAGS}
        onHandIn={(lagCalendar) => change({ lagCalendar })}
      />
      <Box mt="3" color="softInk">
        Days may be typed as {DAY_EXAMPLE} or 2027-05-03.
      </Box>
    </SidePanel>
  );
}
