import { Box, Button, chakra, Field, Popover, Portal } from "@chakra-ui/react";
import { Settings2 } from "lucide-react";
import type { PlanView } from "../../shared/api/client";
import { Word } from "../../shared/words/Word";
import { useRunSettings } from "./runRequest";

const Input = chakra("input");
const Area = chakra("textarea");
const Select = chakra("select");
const MOST_NAMED = 6;

const LOOK = {
  width: "100%",
  px: "2",
  bg: "ground",
  color: "ink",
  borderWidth: "1px",
  borderColor: "strongLine",
  borderRadius: "4px",
} as const;

/** How the next run is made: how many futures, when it is enough, which random numbers, and what it is for. */
export function RunSettings({ plan }: { plan: PlanView }) {
  const settings = useRunSettings();
  const text = (
    label: string,
    help: string,
    field: "iterations" | "tolerance" | "certainty" | "seed" | "threads" | "name",
    word?: string,
  ) => (
    <Field.Root unstyled>
      <Field.Label display="block" fontWeight="500" mb="1">
        {word ? <Word id={word}>{label}</Word> : label}
      </Field.Label>
      <Input
        {...LOOK}
        height="28px"
        value={settings[field]}
        onChange={(event) => settings.set({ [field]: event.target.value })}
        aria-label={label}
      />
      <Field.HelperText color="softInk" fontSize="12px">
        {help}
      </Field.HelperText>
    </Field.Root>
  );
  const words = [
    settings.iterations,
    settings.tolerance ? `, until ${settings.tolerance} %` : "",
    settings.seed ? `, seed ${settings.seed}` : "",
  ].join("");
  return (
    <Popover.Root positioning={{ placement: "bottom-end" }}>
      <Popover.Trigger asChild>
        <Button
          size="xs"
          variant="ghost"
          color="softInk"
          aria-label={`Settings of the run: ${words}`}
          title="Iterations, until steady, seed, sampling, name"
        >
          <Settings2 size={15} />
          {words}
        </Button>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content bg="panel" width="36rem">
            <Popover.Body display="grid" gridTemplateColumns="1fr 1fr" gap="3" alignItems="start">
              {text(
                "Iterations",
                "Futures to simulate, 100 to 1,000,000. More make the percentiles surer.",
                "iterations",
                "future",
              )}
              {text(
                "Until steady, %",
                `Stops sooner, once mean and P${plan.project.confidence} are known to this share of their standard deviation, such as 2. Empty for all iterations.`,
                "tolerance",
                "steady",
              )}
              {text(
                "Certainty of that, %",
                "Of the intervals by which a run is judged to be steady; empty for 95.",
                "certainty",
              )}
              {text(
                "Seed",
                "The same seed gives the same numbers again. Leave it empty for a new one.",
                "seed",
                "seed",
              )}
              <Field.Root unstyled>
                <Field.Label display="block" fontWeight="500" mb="1">
                  <Word id="hypercube">Sampling</Word>
                </Field.Label>
                <Select
                  {...LOOK}
                  height="28px"
                  aria-label="Sampling"
                  value={settings.sampling}
                  onChange={(event) => settings.set({ sampling: event.target.value as "latin" | "plain" })}
                >
                  <option value="latin">Latin hypercube</option>
                  <option value="plain">Plain</option>
                </Select>
                <Field.HelperText color="softInk" fontSize="12px">
                  A hypercube spreads the draws evenly, so percentiles settle sooner.
                </Field.HelperText>
              </Field.Root>
              {text("Name", "What the run is for; it can be changed later.", "name")}
              {text(
                "Threads",
                "How many work at once; empty for all. The numbers do not depend on it.",
                "threads",
              )}
              <Field.Root unstyled>
                <Field.Label display="block" fontWeight="500" mb="1">
                  Note
                </Field.Label>
                <Area
                  {...LOOK}
                  rows={3}
                  value={settings.note}
                  onChange={(event) => settings.set({ note: event.target.value })}
                  aria-label="Note"
                />
              </Field.Root>
              <Box>
                <chakra.label display="flex" gap="2" alignItems="center">
                  <input
                    type="checkbox"
                    checked={settings.drawing}
                    onChange={(event) => settings.set({ drawing: event.target.checked })}
                  />
                  Draw while it runs
                </chakra.label>
                <Box color="softInk" mt="2" fontSize="12.5px">
                  {watchedWords(plan)}
                </Box>
              </Box>
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}

/** Which outputs are watched, and how to watch others. */
function watchedWords(plan: PlanView): string {
  const watched = plan.activities.filter((activity) => activity.watch).map((activity) => activity.id);
  const how = "To watch another, choose it under Odds and tick Watched.";
  if (watched.length === 0) return `Finish and cost of the project are watched. ${how}`;
  const more = watched.length - MOST_NAMED;
  const named = `${watched.slice(0, MOST_NAMED).join(", ")}${more > 0 ? ` and ${more} more` : ""}`;
  return `Watched beside finish and cost of the project: ${named}. Runs keep all their values and wait for them to be steady. ${how}`;
}
