import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, RangePreview } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRangeEdits } from "./rangeEdits";
import { previewRanges } from "../../shared/api/ranges";
import { formatWhole } from "../../shared/format/numbers";
import { Problems } from "../../shared/schedule/Problems";
import { notify } from "../../shared/ui/notify";
import { WideDialog } from "../../shared/ui/WideDialog";
import { Refusal } from "../../shared/ui/Refusal";

const Input = chakra("input");
const SHOWN = 200;

/** Ranges out of a table: shown row by row, then taken over as one edit. */
export function RangeFileDialog({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const edits = useRangeEdits(plan.project.id);
  const [file, setFile] = useState<File>();
  const [preview, setPreview] = useState<RangePreview>();
  const [refusal, setRefusal] = useState<string>();
  const choose = async (chosen: File | undefined) => {
    setFile(chosen);
    setPreview(undefined);
    setRefusal(undefined);
    if (!chosen) return;
    try {
      setPreview(await previewRanges(plan.project.id, chosen));
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const takeOver = async () => {
    if (!file || !preview) return;
    try {
      await edits.table(file);
      notify(`${formatWhole(preview.rows.length)} ranges are taken over. Ctrl Z takes them back.`);
      onClose();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const sound = preview && preview.problems.length === 0;
  return (
    <WideDialog title="Ranges from a file" onClose={onClose} width="860px">
      <Box flex="1" minW="0">
        <Box color="softInk" mb="3">
          A table with a column Id, and Low, Likely, High, Shape or Grade: days, money, or percent where it
          says 90 %. What you take out as a spreadsheet comes in again. Empty cells take a range away.
        </Box>
        <Input
          type="file"
          aria-label="File of ranges"
          accept=".csv,.xlsx,.txt,.tsv"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
        {refusal && <Refusal mt="3">{refusal}</Refusal>}
        {preview && preview.problems.length > 0 && (
          <Box mt="3">
            <Problems
              title="Nothing is taken over until these cells are mended in the file:"
              problems={preview.problems.map((problem) => ({
                where: `Row ${problem.row}, ${problem.column}`,
                message: problem.message,
              }))}
            />
          </Box>
        )}
        {sound && (
          <>
            <Box my="3">
              {preview.rows.length === 0
                ? "Nothing differs from what the plan has."
                : `${formatWhole(preview.rows.length)} rows would change:`}
            </Box>
            <Box maxH="46vh" overflow="auto">
              {preview.rows.slice(0, SHOWN).map((row) => (
                <Flex key={row.id} gap="3" borderBottomWidth="1px" borderColor="line" py="1">
                  <Box width="60px" color="softInk">
                    {row.id}
                  </Box>
                  <Box flex="1">{row.name}</Box>
                  <Box width="220px" color="softInk">
                    {row.before}
                  </Box>
                  <Box width="220px">{row.after}</Box>
                </Flex>
              ))}
            </Box>
            {preview.rows.length > SHOWN && (
              <Box color="softInk">and {formatWhole(preview.rows.length - SHOWN)} more</Box>
            )}
          </>
        )}
        <Flex gap="2" mt="4">
          <Button
            size="sm"
            bg="action"
            color="onAction"
            disabled={!sound || preview.rows.length === 0}
            onClick={() => void takeOver()}
          >
            Take over
          </Button>
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave it
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}
