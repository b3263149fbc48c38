import { Box } from "@chakra-ui/react";
import type { ActivityView, PlanView } from "../api/client";
import { formatDay, typedDay } from "../format/dates";
import { openedDuration, typedDuration } from "../planGrid/columns";
import { TextField } from "../ui/Field";
import { useActivityHandIn } from "./useHandIn";

/** What of an activity has happened by the data date; what is done is no longer uncertain. */
export function ProgressFields({ plan, activity }: { plan: PlanView; activity: ActivityView }) {
  const handIn = useActivityHandIn(plan.project.id, activity.id);
  const date = (field: "actualStart" | "actualFinish", label: string) => (
    <TextField
      label={label}
      value={activity[field] ? formatDay(activity[field]) : ""}
      onHandIn={(text) => {
        const typed = typedDay(text);
        return "refusal" in typed ? typed.refusal : handIn({ [field]: typed.day });
      }}
    />
  );
  const { dataDate } = plan.project;
  return (
    <>
      <Box mb="2" color="softInk">
        {dataDate
          ? `By the data date, ${formatDay(dataDate)}. What is done is certain; only what remains is drawn.`
          : "The project has no data date yet; set it in its settings before work is reported."}
      </Box>
      {date("actualStart", "Started")}
      {activity.kind !== "milestone" && (
        <TextField
          label="Remaining, days"
          value={openedDuration(activity.remaining ?? "")}
          onHandIn={(text) => handIn({ remaining: text.trim() === "" ? null : typedDuration(text) })}
        />
      )}
      {date("actualFinish", "Finished")}
    </>
  );
}
