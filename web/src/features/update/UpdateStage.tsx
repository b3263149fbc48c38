import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { refusalOf } from "../../shared/api/edits";
import { type Reading, useUpdate, useUpdatePreview, withMended } from "../../shared/api/schedules";
import { formatDay } from "../../shared/format/dates";
import { DateOrderChoice } from "../../shared/schedule/DateOrderChoice";
import { Problems } from "../../shared/schedule/Problems";
import { SchedulePreviewTable } from "../../shared/schedule/SchedulePreviewTable";
import { notify } from "../../shared/ui/notify";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { UpdateTable } from "./UpdateTable";
import { updateSentence } from "./updateSentences";

const FileInput = chakra("input");

/** A newer file of the schedule beside the plan: what is new, changed and gone, taken over as a whole or by row. */
export function UpdateStage() {
  const plan = usePlanOfStage();
  const [reading, setReading] = useState<Reading>();
  const [except, setExcept] = useState<ReadonlySet<string>>(new Set());
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const preview = useUpdatePreview(plan.project.id, plan.project.revision, reading);
  const update = useUpdate(plan.project.id);
  const data = preview.data;
  const leave = () => void navigate(`/projects/${plan.project.id}/plan`);
  const take = () =>
    reading &&
    update.mutate(
      { reading, except: [...except] },
      {
        onSuccess: () => {
          notify("The plan is updated. Ctrl Z takes all of it back.");
          leave();
        },
      },
    );
  const choose = (index: number, meaning: string) =>
    data &&
    reading &&
    setReading({
      ...reading,
      meanings: data.schedule.columns.map((column, i) =>
        i === index ? meaning : column.meaning === meaning ? "" : (column.meaning ?? ""),
      ),
    });

  return (
    <Flex direction="column" h="100%" maxW="1240px" mx="auto" px="6" py="5" gap="4" minH="0">
      <Flex gap="5" align="end" wrap="wrap">
        <Box as="h1" fontSize="20px" fontWeight="650" flex="1">
          {reading ? `Update from ${reading.file.name}` : "Update from a newer file"}
        </Box>
        {reading && (
          <DateOrderChoice value={reading.dates} onChange={(dates) => setReading({ ...reading, dates })} />
        )}
        <Button size="sm" variant="outline" onClick={leave}>
          Leave it
        </Button>
        <Button
          size="sm"
          variant={reading ? "outline" : "solid"}
          bg={reading ? undefined : "action"}
          color={reading ? undefined : "onAction"}
          onClick={() => input.current?.click()}
        >
          {reading ? "Another file" : "Choose the file"}
        </Button>
        <FileInput
          ref={input}
          type="file"
          aria-label="Newer schedule"
          accept=".csv,.tsv,.txt,.xlsx,.xlsm"
          display="none"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) setReading({ file, start: "", dates: "" });
            setExcept(new Set());
            event.target.value = "";
          }}
        />
        {data && data.rows.length > 0 && (
          <Button
            size="sm"
            bg="action"
            color="onAction"
            disabled={except.size === data.rows.length}
            loading={update.isPending}
            onClick={take}
          >
            {except.size === 0 ? "Take all of it over" : `Take ${data.rows.length - except.size} rows over`}
          </Button>
        )}
      </Flex>
      <Box role="status" fontSize="15px" data-testid="update">
        {!reading &&
          "Activities are matched by their code. Ranges, risks and money on what stays are kept; nothing changes before you say so."}
        {reading && preview.isPending && "Reading the file…"}
        {preview.isError && `The file cannot be read: ${refusalOf(preview.error)}`}
        {data && updateSentence(data)}
        {data?.finish && ` With all of it the plan would finish on ${formatDay(data.finish)}.`}
        {data?.refusal && ` All of it together cannot be taken over: ${data.refusal}.`}
      </Box>
      {update.error && (
        <Problems
          title="The plan was not updated; it is as it was."
          problems={[{ where: "", message: refusalOf(update.error) }]}
        />
      )}
      {data && data.schedule.problemCount > 0 && (
        <>
          <Problems
            title="Type over these below, mend them in the file, or say what the columns mean."
            problems={data.schedule.problems.map((p) => ({
              where: `Row ${p.row}, ${p.column}`,
              message: p.message,
            }))}
          />
          <SchedulePreviewTable
            preview={data.schedule}
            choose={choose}
            mend={(row, column, text) => reading && setReading(withMended(reading, row, column, text))}
          />
        </>
      )}
      {data && data.rows.length > 0 && <UpdateTable rows={data.rows} except={except} onExcept={setExcept} />}
    </Flex>
  );
}
