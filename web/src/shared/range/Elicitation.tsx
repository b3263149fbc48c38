import { Box, Button } from "@chakra-ui/react";
import { useState } from "react";
import type { EstimateWords } from "../api/client";
import { numberExample, parseNumber } from "../format/numbers";
import { TextField } from "../ui/Field";

interface Props {
  /** What is asked for: days, or money. */
  unit: string;
  basis: string;
  onAnswer: (words: EstimateWords) => void;
  onClose: () => void;
}

const STEPS = [
  {
    key: "low",
    ask: (unit: string) => `Think of ten such jobs. The one that went best: how much, in ${unit}?`,
  },
  { key: "high", ask: (unit: string) => `The one that went worst of the ten: how much, in ${unit}?` },
  { key: "likely", ask: (unit: string) => `Only now: what would you expect most of all, in ${unit}?` },
] as const;

/** Asks for the extremes first and for the likely value last, so that the plan does not pull the ends towards it. */
export function Elicitation({ unit, basis, onAnswer, onClose }: Props) {
  const [answers, setAnswers] = useState<Record<string, number>>({});
  const step = STEPS.find(({ key }) => answers[key] === undefined);
  if (!step) return null;
  const answer = (text: string) => {
    const value = parseNumber(text);
    if (value === undefined) return `A number is needed, such as ${numberExample(12.5)}, not “${text}”.`;
    const next = { ...answers, [step.key]: value };
    const { low = -Infinity, high = Infinity, likely } = next as Record<"low" | "high" | "likely", number>;
    if (low >= high) return `The worst must lie above the best, ${low}.`;
    if (likely !== undefined && (likely <= low || likely >= high))
      return `It must lie between the best, ${low}, and the worst, ${high}.`;
    setAnswers(next);
    if (likely !== undefined) {
      onAnswer({ shape: "pert", low, likely, high, lowAt: 0.1, highAt: 0.9, basis });
      onClose();
    }
    return undefined;
  };
  return (
    <Box p="3" mb="3" bg="actionTint" role="group" aria-label="Asked in order">
      <Box mb="2">{step.ask(unit)}</Box>
      <TextField key={step.key} label="" name={step.key} value="" onHandIn={answer} />
      <Box color="softInk" fontSize="12.5px">
        Enter goes on. Best and worst of ten are taken as P10 and P90.
      </Box>
      <Button size="xs" variant="ghost" mt="1" onClick={onClose}>
        Leave it
      </Button>
    </Box>
  );
}
