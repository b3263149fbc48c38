import { Box } from "@chakra-ui/react";
import type { RiskView } from "../../shared/api/client";
import { formatDay, typedDay } from "../../shared/format/dates";
import { formatChance } from "../../shared/format/numbers";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import type { ChangeRisk } from "./RiskSheet";

interface Props {
  risk: RiskView;
  risks: readonly RiskView[];
  change: ChangeRisk;
}

/** What it hangs together with: another risk, a group of which one occurs at most, a period in which it recurs. */
export function DependsPart({ risk, risks, change }: Props) {
  const others = risks.filter((one) => one.id !== risk.id);
  const value = risk.onlyIf ? `${risk.onlyIf.occurs === false ? "not" : "if"} ${risk.onlyIf.risk}` : "";
  const group = risks.filter((one) => risk.exclusiveGroup && one.exclusiveGroup === risk.exclusiveGroup);
  const sum = group.reduce((total, one) => total + one.chance, 0);
  const over = risk.recurrence?.from && risk.recurrence.to ? risk.recurrence : undefined;
  const period = (end: "from" | "to", label: string) => (
    <TextField
      label={label}
      hint="Where no period is said, it counts in as long as the longest of its targets takes"
      value={over?.[end] ? formatDay(over[end]) : ""}
      onHandIn={(text) => {
        const typed = typedDay(text);
        if ("refusal" in typed) return typed.refusal;
        const perYear = risk.perYear;
        if (typed.day === null) return change({ recurrence: { perYear } });
        const both = { from: over?.from ?? typed.day, to: over?.to ?? typed.day, [end]: typed.day };
        return change({ recurrence: { perYear, ...both } });
      }}
    />
  );
  return (
    <SheetPart title="Hangs together">
      <ChoiceField
        label="Only if"
        hint="It can occur only where another occurred, or did not"
        value={value}
        choices={[
          { value: "", label: "it may strike whatever else does" },
          ...others.flatMap((one) => [
            { value: `if ${one.id}`, label: `${one.id} occurred: ${one.title}` },
            { value: `not ${one.id}`, label: `${one.id} did not occur: ${one.title}` },
          ]),
        ]}
        onHandIn={(chosen) => {
          const [how, ...code] = chosen.split(" ");
          return change({
            onlyIf: chosen === "" ? null : { risk: code.join(" "), occurs: how === "if" },
          });
        }}
      />
      <TextField
        label="One of"
        hint="A group of which at most one occurs: the same word for all its members"
        value={risk.exclusiveGroup ?? ""}
        onHandIn={(text) => change({ exclusiveGroup: text.trim() === "" ? null : text.trim() })}
      />
      {group.length > 1 && (
        <Box color="softInk" mb="2">
          At most one of {group.map((one) => one.id).join(", ")} occurs; together {formatChance(sum)}.
        </Box>
      )}
      {risk.perYear !== undefined && (
        <>
          {period("from", "Recurs from")}
          {period("to", "until")}
        </>
      )}
    </SheetPart>
  );
}
