import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import type { TablePreview } from "../api/client";
import { refusalOf } from "../api/edits";
import { formatWhole } from "../format/numbers";
import { notify } from "../ui/notify";
import { Refusal } from "../ui/Refusal";
import { WideDialog } from "../ui/WideDialog";
import { countsOf, keyOf, mendedLines } from "./tableFile";

const Input = chakra("input");
const Area = chakra("textarea");
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "2", py: "0.5" } as const;
const SHOWN = 300;

interface Props {
  title: string;
  /** What may stand in the table, and how its rows are known. */
  intro: ReactNode;
  /** What its rows are called together. */
  many: string;
  preview: (table: Blob, mended: string) => Promise<TablePreview>;
  takeOver: (table: Blob, mended: string, removeGone: boolean) => Promise<unknown>;
  onClose: () => void;
}

/** Rows out of a table: looked over, corrected cell by cell, then taken over as one edit. */
export function TableFileDialog({ title, intro, many, preview: look, takeOver: take, onClose }: Props) {
  const [file, setFile] = useState<Blob>();
  const [mended, setMended] = useState<ReadonlyMap<string, string>>(new Map());
  const [preview, setPreview] = useState<TablePreview>();
  const [removeGone, setRemoveGone] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const read = async (table: Blob | undefined, cells: ReadonlyMap<string, string>) => {
    setFile(table);
    setMended(cells);
    setRefusal(undefined);
    if (!table) return setPreview(undefined);
    try {
      setPreview(await look(table, mendedLines(cells)));
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const takeOver = async () => {
    if (!file || !preview) return;
    try {
      await take(file, mendedLines(mended), removeGone);
      notify(`${formatWhole(preview.rows.length)} ${many} are taken over. Ctrl Z takes them back.`);
      onClose();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const counts = preview && countsOf(preview);
  const sound = preview && preview.problems.length === 0;
  const changes = counts ? counts.fresh + counts.changed + (removeGone ? preview.gone.length : 0) : 0;
  return (
    <WideDialog title={title} onClose={onClose} width="1000px">
      <Box flex="1" minW="0">
        <Box color="softInk" mb="3">
          {intro}
        </Box>
        <Flex gap="4" align="flex-start">
          <Input
            type="file"
            aria-label={`File of ${many}`}
            accept=".csv,.xlsx,.txt,.tsv"
            onChange={(event) => void read(event.target.files?.[0], new Map())}
          />
          <Area
            {...FIELD}
            flex="1"
            rows={2}
            aria-label="Or paste a table"
            placeholder="Or paste a table with its header"
            onChange={(event) => {
              const text = event.target.value;
              void read(text.trim() === "" ? undefined : new Blob([text], { type: "text/csv" }), new Map());
            }}
          />
        </Flex>
        {refusal && <Refusal mt="3">{refusal}</Refusal>}
        {preview && counts && (
          <>
            <Box my="3" role="status">
              {formatWhole(preview.rows.length)} {many} read
              {sound &&
                `: ${formatWhole(counts.fresh)} new, ${formatWhole(counts.changed)} changed, ${formatWhole(counts.same)} as they are`}
              {preview.gone.length > 0 && `; ${formatWhole(preview.gone.length)} there are not in the table`}.{" "}
              <Box as="span" color="softInk">
                {columnsSentence(preview)}
              </Box>
            </Box>
            {preview.problems.length > 0 && (
              <Box as="section" aria-label="Cells to be mended" mb="3" p="3" bg="riskTint">
                <Box mb="2" fontWeight="650">
                  Nothing is taken over until{" "}
                  {preview.problems.length === 1
                    ? "this cell is"
                    : `these ${preview.problems.length} cells are`}{" "}
                  mended:
                </Box>
                {preview.problems.map((problem, i) => (
                  <Flex
                    key={`${keyOf(problem)} ${i}`}
                    gap="3"
                    align="center"
                    mb="1"
                    data-bad={keyOf(problem)}
                  >
                    <Box width="150px" flexShrink="0">
                      Row {problem.row}, {problem.header}
                    </Box>
                    {problem.column >= 0 && (
                      <Input
                        {...FIELD}
                        width="220px"
                        aria-label={`Row ${problem.row}, ${problem.header}`}
                        defaultValue={mended.get(keyOf(problem)) ?? problem.text}
                        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
                        onBlur={(event) => {
                          const text = event.target.value;
                          if (text !== problem.text)
                            void read(file, new Map(mended).set(keyOf(problem), text));
                        }}
                      />
                    )}
                    <Box flex="1">{problem.message}</Box>
                  </Flex>
                ))}
              </Box>
            )}
            <Box maxH="40vh" overflow="auto">
              {preview.rows
                .filter((row) => row.what !== "same")
                .slice(0, SHOWN)
                .map((row) => (
                  <Flex
                    key={row.row}
                    gap="3"
                    borderBottomWidth="1px"
                    borderColor="line"
                    py="1"
                    data-read={row.id}
                  >
                    <Box width="60px" color="softInk" flexShrink="0">
                      {row.id}
                    </Box>
                    <Box width="260px" flexShrink="0">
                      {row.title}
                    </Box>
                    <Box width="70px" flexShrink="0" fontWeight="650">
                      {row.what ?? ""}
                    </Box>
                    <Box flex="1" minW="0">
                      {row.fields.map(({ field, before, after }) => (
                        <Box key={field}>
                          {field}:{" "}
                          <Box as="span" color="softInk">
                            {before || "nothing"}
                          </Box>{" "}
                          → {after || "nothing"}
                        </Box>
                      ))}
                    </Box>
                  </Flex>
                ))}
            </Box>
            {preview.gone.length > 0 && (
              <Flex as="label" gap="2" my="3" align="center">
                <Input
                  type="checkbox"
                  checked={removeGone}
                  onChange={(event) => setRemoveGone(event.target.checked)}
                />
                Remove what the table has not:{" "}
                {preview.gone
                  .slice(0, 6)
                  .map((one) => one.id)
                  .join(", ")}
                {preview.gone.length > 6 && ` and ${preview.gone.length - 6} more`}
              </Flex>
            )}
          </>
        )}
        <Flex gap="2" mt="4">
          <Button
            size="sm"
            bg="action"
            color="onAction"
            disabled={!sound || changes === 0}
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

/** What the columns were taken for, where that is not what they are headed. */
function columnsSentence({ columns }: TablePreview): string {
  const guessed = columns.filter(({ header, meaning }) => header.toLowerCase() !== meaning.toLowerCase());
  return guessed.length === 0
    ? ""
    : guessed
        .map(({ header, meaning }) => `“${header || "no header"}” is taken for ${meaning.toLowerCase()}`)
        .join(", ") + ".";
}
