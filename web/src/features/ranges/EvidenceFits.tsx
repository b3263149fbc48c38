import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { EvidenceLook, FitWords, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRangeEdits } from "./rangeEdits";
import { formatOne, formatSigned } from "../../shared/format/numbers";
import { Word } from "../../shared/words/Word";
import { shapeLabel } from "../../shared/range/estimates";
import { notify } from "../../shared/ui/notify";
import { FitChart } from "./FitChart";
import { evidenceSentence, fitPoints, fitWords } from "./fits";
import { Refusal } from "../../shared/ui/Refusal";

const Input = chakra("input");
const Entry = chakra("button");
const LOOK = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "2", py: "0.5" } as const;

interface Props {
  plan: PlanView;
  look: EvidenceLook;
  rows: string[];
  onAgain: () => void;
  onDone: () => void;
}

/** The shapes that fit past work, ranked; one is given to rows, or kept as a grade. */
export function EvidenceFits({ plan, look, rows, onAgain, onDone }: Props) {
  const edits = useRangeEdits(plan.project.id);
  const [chosen, setChosen] = useState(0);
  const [name, setName] = useState("Past work");
  const [grade, setGrade] = useState({ name: "", mark: "" });
  const [refusal, setRefusal] = useState<string>();
  const fit = look.fits[chosen] ?? look.fits[0];
  if (!fit) return null;
  const use = async (how: Partial<FitWords>, said: string) => {
    setRefusal(undefined);
    try {
      await edits.fit({
        evidence: { id: "", name, observations: look.observations },
        estimate: fit.words,
        ...how,
      });
      notify(`${said} Ctrl Z takes it back.`);
      onDone();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  return (
    <Box>
      <Box mb="3">{evidenceSentence(look)}</Box>
      {look.problems.length > 0 && (
        <Box mb="3" color="planText">
          {look.problems.length} rows are left out:{" "}
          {look.problems
            .slice(0, 5)
            .map((one) => `row ${one.row}, ${one.message}`)
            .join("; ")}
          .
        </Box>
      )}
      <Flex gap="6" align="flex-start" wrap="wrap">
        <FitChart look={look} chosen={fit} />
        <Box flex="1" minW="320px">
          <Box color="softInk" mb="1">
            The best first, by <Word id="fit">AIC</Word>.
          </Box>
          {look.fits.map((one, i) => (
            <Entry
              key={one.shape}
              display="block"
              width="100%"
              textAlign="left"
              px="2"
              py="1.5"
              aria-pressed={i === chosen}
              bg={i === chosen ? "actionTint" : undefined}
              onClick={() => setChosen(i)}
            >
              <Flex gap="3">
                <Box fontWeight="650" width="90px">
                  {shapeLabel(one.shape)}
                </Box>
                <Box color="softInk">
                  AIC {formatSigned(one.aic, formatOne)}, KS {one.distance.toFixed(2)}, AD{" "}
                  {one.andersonDarling.toFixed(2)}
                </Box>
              </Flex>
              {i === chosen && (
                <Box>
                  {fitWords(one)} {fitPoints(one, look.ratios)}
                </Box>
              )}
            </Entry>
          ))}
        </Box>
      </Flex>
      <Flex gap="2" mt="4" align="center" wrap="wrap">
        <Box color="softInk">Called</Box>
        <Input
          {...LOOK}
          width="220px"
          aria-label="What this past work is called"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        {rows.length > 0 && (
          <Button
            size="sm"
            bg="action"
            color="onAction"
            onClick={() => void use({ rows }, `${rows.length} ranges are fitted to ${name}.`)}
          >
            Give it to {rows.length === 1 ? rows[0] : `${rows.length} selected rows`}
          </Button>
        )}
      </Flex>
      {look.ratios ? (
        <Flex gap="2" mt="2" align="center" wrap="wrap">
          <Box color="softInk">or keep it as grade</Box>
          <Input
            {...LOOK}
            width="160px"
            aria-label="Name of the grade"
            placeholder="Name"
            value={grade.name}
            onChange={(event) => setGrade({ ...grade, name: event.target.value })}
          />
          <Input
            {...LOOK}
            width="56px"
            aria-label="Mark of the grade"
            placeholder="Mark"
            value={grade.mark}
            onChange={(event) => setGrade({ ...grade, mark: event.target.value })}
          />
          <Button
            size="sm"
            variant="outline"
            disabled={grade.name.trim() === ""}
            onClick={() =>
              void use(
                { grade: { ...grade, note: `Fitted to ${name}` } },
                `Grade ${grade.name} is in the table.`,
              )
            }
          >
            Keep as a grade
          </Button>
        </Flex>
      ) : (
        <Box mt="2" color="softInk">
          Without planned values it cannot be kept as a grade, which counts in percent of planned.
        </Box>
      )}
      {rows.length === 0 && (
        <Box mt="2" color="softInk">
          Select rows in the grid and choose “Fit to past work” to give a shape to them.
        </Box>
      )}
      {refusal && <Refusal mt="3">{refusal}</Refusal>}
      <Button size="sm" variant="ghost" mt="3" onClick={onAgain}>
        Other past work
      </Button>
    </Box>
  );
}
