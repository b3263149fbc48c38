import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { Input } from "../../shared/ui/Input";
import { useState } from "react";
import { useNavigate } from "react-router";
import { ApiError } from "../../shared/api/client";
import {
  type DateOrder,
  type Reading,
  useSchedulePreview,
  useTakeOver,
  withMended,
} from "../../shared/api/schedules";
import { formatDay, parseDay, toCivilText } from "../../shared/format/dates";
import { DateOrderChoice } from "../../shared/schedule/DateOrderChoice";
import { FidelityReport } from "../../shared/schedule/FidelityReport";
import { Notice } from "../../shared/ui/Notice";
import { Problems } from "../../shared/schedule/Problems";
import { SchedulePreviewTable } from "../../shared/schedule/SchedulePreviewTable";
import { nextMonday, previewSentence } from "../../shared/schedule/scheduleSentences";

const Label = chakra("label");

/** A schedule's table before it is taken over: what its columns say, what comes of it, what is wrong with it. */
export function ScheduleImport({ file, leave }: { file: File; leave: () => void }) {
  const [name, setName] = useState(file.name.replace(/\.[^.]*$/, ""));
  const [typedDay, setDay] = useState<string>();
  const [monday] = useState(() => nextMonday(new Date()));
  const [dates, setDates] = useState<DateOrder>("");
  const [firstDay, setFirstDay] = useState<string>();
  const day = typedDay ?? formatDay(firstDay ?? monday);
  const parsed = parseDay(day);
  const start = parsed === undefined ? "" : toCivilText(parsed).slice(0, 10);
  const [meanings, setMeanings] = useState<string[] | undefined>(undefined);
  const [mended, setMended] = useState<Reading["mended"]>();
  const reading: Reading = { file, start, meanings, dates, mended };
  const preview = useSchedulePreview(reading);
  const found = preview.data?.firstDay;
  if (found !== firstDay && !preview.isPlaceholderData) setFirstDay(found);
  const takeOver = useTakeOver();
  const navigate = useNavigate();
  const ready = start !== "" && preview.data?.problemCount === 0 && !preview.isFetching && name.trim() !== "";

  if (preview.isError) {
    return (
      <Box maxW="860px" mx="auto" px="6" py="10">
        <Notice alert>
          {file.name} cannot be read: {preview.error.message}
        </Notice>
        <Button size="sm" variant="outline" onClick={leave}>
          Back to the projects
        </Button>
      </Box>
    );
  }
  return (
    <Flex as="main" direction="column" h="100%" maxW="1240px" mx="auto" px="6" py="6" gap="4">
      <Box as="h1" fontSize="20px" fontWeight="650">
        Bring in {file.name}
      </Box>
      <Box fontSize="16px" aria-live="polite" role="status">
        {start === ""
          ? `“${day}” is no date; write the first day as ${formatDay(monday)}.`
          : preview.data
            ? previewSentence(preview.data)
            : "Reading the table…"}
      </Box>
      <Flex gap="5" align="end" wrap="wrap">
        <Label>
          <Box color="softInk">Name of the project</Box>
          <Input w="20rem" value={name} onChange={(event) => setName(event.target.value)} />
        </Label>
        <Label>
          <Box color="softInk">First day</Box>
          <Input
            w="10rem"
            aria-label="First day"
            value={day}
            aria-invalid={start === ""}
            onChange={(event) => setDay(event.target.value)}
          />
        </Label>
        <DateOrderChoice value={dates} onChange={setDates} />
        <Box flex="1" />
        <Button size="sm" variant="outline" onClick={leave}>
          Leave it
        </Button>
        <Button
          size="sm"
          bg="action"
          color="onAction"
          disabled={!ready}
          loading={takeOver.isPending}
          onClick={() =>
            takeOver.mutate(
              { reading, name },
              { onSuccess: (project) => void navigate(`/projects/${project.id}/plan`) },
            )
          }
        >
          Take it over
        </Button>
      </Flex>
      {takeOver.error && (
        <Problems
          title="The schedule was not taken over; nothing was kept of it."
          problems={
            takeOver.error instanceof ApiError && takeOver.error.problems.length > 0
              ? takeOver.error.problems.map((p) => ({ where: p.pointer, message: p.message }))
              : [{ where: "", message: takeOver.error.message }]
          }
        />
      )}
      {preview.data && preview.data.problemCount > 0 && (
        <Problems
          title="Type over these below, mend them in the file, or say what the columns mean."
          problems={preview.data.problems.map((p) => ({
            where: `Row ${p.row}, ${p.column}`,
            message: p.message,
          }))}
        />
      )}
      {preview.data && preview.data.problemCount === 0 && <FidelityReport preview={preview.data} />}
      {preview.data && (
        <SchedulePreviewTable
          preview={preview.data}
          mend={(row, column, text) => setMended(withMended(reading, row, column, text).mended)}
          choose={(index, meaning) =>
            setMeanings(
              preview.data.columns.map((column, i) =>
                i === index ? meaning : column.meaning === meaning ? "" : (column.meaning ?? ""),
              ),
            )
          }
        />
      )}
    </Flex>
  );
}
