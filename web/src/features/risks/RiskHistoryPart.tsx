import { Box } from "@chakra-ui/react";
import { useRiskHistory } from "../../shared/api/risks";
import { formatMoment } from "../../shared/format/dates";
import { SheetPart } from "../../shared/sheet/SheetPart";

interface Props {
  project: string;
  revision: number;
  risk: string;
}

/** Who changed what of a risk, and when, newest first. */
export function RiskHistoryPart({ project, revision, risk }: Props) {
  const history = useRiskHistory(project, risk, revision);
  const edits = history.data ?? [];
  return (
    <SheetPart title="History">
      {history.isError && <Box role="alert">It cannot be read: {history.error.message}</Box>}
      {history.data && edits.length === 0 && <Box color="softInk">As it came with the project.</Box>}
      {edits.map((edit) => (
        <Box key={edit.revision} mb="1.5" data-edit={edit.revision}>
          <Box color="softInk" fontSize="12.5px">
            {formatMoment(edit.at)}, {edit.own ? "you" : (edit.name ?? "somebody else")}
            {edit.what !== "changed" && `: ${edit.what}`}
          </Box>
          {edit.fields.map(({ field, before, after }) => (
            <Box key={field}>
              {field}: {before === "" ? "nothing" : before} → <b>{after === "" ? "nothing" : after}</b>
            </Box>
          ))}
        </Box>
      ))}
    </SheetPart>
  );
}
