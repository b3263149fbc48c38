import { Box } from "@chakra-ui/react";
import { useActivitySheet } from "../api/plan";
import type { ActivityView, PlanView } from "../api/client";
import { formatDay } from "../format/dates";
import { formatDays } from "../format/numbers";
import { openedDuration, typedDuration } from "../planGrid/columns";
import { crewsOf } from "../planGrid/crews";
import { useGridStore } from "../grid/gridStore";
import { canBeUncertain } from "../range/estimates";
import { RangeEditor } from "../range/RangeEditor";
import { ChoiceField, TextField } from "../ui/Field";
import { CommentsPart } from "../together/CommentsPart";
import { ConfirmPart } from "../together/ConfirmPart";
import { SidePanel } from "../ui/SidePanel";
import { LinkList } from "./LinkList";
import { ProgressFields } from "./ProgressFields";
import { RisksPart } from "./RisksPart";
import { SheetPart } from "./SheetPart";
import { useActivityHandIn } from "./useHandIn";
import { CONSTRAINTS, KINDS } from "./words";
import { typedDay } from "../format/dates";

interface Props {
  plan: PlanView;
  activity: ActivityView;
  rangeFirst?: boolean;
  onClose: () => void;
}

/** Everything about an activity, to be read and changed. */
export function ActivitySheetPanel({ plan, activity, rangeFirst, onClose }: Props) {
  const handIn = useActivityHandIn(plan.project.id, activity.id);
  const sheet = useActivitySheet(plan.project.id, activity.id, plan.project.revision);
  const calendars = plan.calendars.map((calendar) => ({ value: calendar.id, label: calendar.name }));
  const constraint = activity.constraint;
  const recode = async (code: string) => {
    const refused = await handIn({ code: code.trim() });
    if (!refused) useGridStore.getState().select(plan.project.id, { row: code.trim(), column: "name" });
    return refused;
  };
  const range = canBeUncertain(activity) && (
    <SheetPart title="Range">
      <RangeEditor plan={plan} one={activity} />
    </SheetPart>
  );
  return (
    <SidePanel label="Sheet" title={activity.name} onClose={onClose}>
      <Box mb="3" color="softInk">
        {sentence(activity)}
      </Box>
      {rangeFirst && range}
      <TextField label="Name" value={activity.name} onHandIn={(name) => handIn({ name })} />
      <TextField label="Code" value={activity.id} onHandIn={recode} />
      <ChoiceField label="Kind" value={activity.kind} choices={KINDS} onHandIn={(kind) => handIn({ kind })} />
      {activity.kind !== "hammock" && (
        <TextField
          label="Duration, days"
          hint="Or with a unit: 4h, 3w, 30min, 14ed"
          value={openedDuration(activity.duration)}
          onHandIn={(text) => handIn({ duration: typedDuration(text) })}
        />
      )}
      <ChoiceField
        label="Calendar"
        value={activity.calendar}
        choices={calendars}
        onHandIn={(calendar) => handIn({ calendar })}
      />
      <ChoiceField
        label="Date held to"
        value={constraint?.type ?? ""}
        choices={[{ value: "", label: "none" }, ...CONSTRAINTS]}
        onHandIn={(type) =>
          handIn({
            constraint: type === "" ? null : { type, date: constraint?.date ?? activity.start },
          })
        }
      />
      {constraint && (
        <TextField
          label="on"
          value={formatDay(constraint.date)}
          onHandIn={(text) => {
            const typed = typedDay(text);
            if ("refusal" in typed) return typed.refusal;
            return handIn({
              constraint: typed.day === null ? null : { type: constraint.type, date: typed.day },
            });
          }}
        />
      )}
      {!rangeFirst && range}
      <SheetPart title="Comes after">
        <LinkList
          plan={plan}
          activity={activity}
          side="predecessors"
          links={sheet.data?.predecessors ?? []}
        />
      </SheetPart>
      <SheetPart title="Comes before">
        <LinkList plan={plan} activity={activity} side="successors" links={sheet.data?.successors ?? []} />
      </SheetPart>
      <SheetPart title="Progress">
        <ProgressFields plan={plan} activity={activity} />
      </SheetPart>
      <RisksPart plan={plan} activity={activity} />
      <SheetPart title="Money that stands on it">
        {sheet.data && sheet.data.costs.length > 0 && <Box mb="2">{sheet.data.costs.join(", ")}.</Box>}
        {activity.kind === "task" && (
          <TextField
            label="Crew"
            hint="Resources at work, such as crew 0.5; optics 2; emptied, nobody is"
            value={crewsOf(plan).get(activity.id) ?? ""}
            onHandIn={(crew) => handIn({ crew })}
          />
        )}
      </SheetPart>
      <SheetPart title="Notes">
        <TextField
          label="Notes"
          unseen
          value={activity.notes ?? ""}
          lines={4}
          onHandIn={(notes) => handIn({ notes })}
        />
      </SheetPart>
      <ConfirmPart project={plan.project.id} about={{ section: "ranges", key: activity.id }} />
      <CommentsPart project={plan.project.id} about={{ section: "activities", key: activity.id }} />
    </SidePanel>
  );
}

function sentence(activity: ActivityView): string {
  const dates =
    activity.kind === "milestone"
      ? `Planned for ${formatDay(activity.finish)}`
      : `Planned from ${formatDay(activity.start)} to ${formatDay(activity.finish)}`;
  if (activity.kind === "hammock") return `${dates}, as long as what it spans.`;
  if (activity.onLongestPath) return `${dates}, on the longest path: any delay moves the finish.`;
  const float = formatDays(Math.round(activity.totalFloatDays * 2) / 2 + 0);
  return `${dates}. It may slip ${float} working days, to ${formatDay(activity.lateFinish)}, before the finish moves.`;
}
