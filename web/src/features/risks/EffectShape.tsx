import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { EstimateWords, RiskView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useEffectLook } from "../../shared/api/ranges";
import { formatAmount, formatDays } from "../../shared/format/numbers";
import { DensityPlot, type Handle, NoDensity } from "../../shared/range/DensityPlot";
import { ParameterFields } from "../../shared/range/ParameterFields";
import { begunShape, PARAMETER_LABELS, SHAPE_INFO, tidy } from "../../shared/range/shapes";
import { ChoiceField } from "../../shared/ui/Field";
import { Refusal } from "../../shared/ui/Refusal";

const WIDTH = 470;
const DRAGGED = ["low", "likely", "high", "mean", "value"] as const;
const SHAPES = Object.entries(SHAPE_INFO).map(([value, { label }]) => ({ value, label }));

interface Props {
  effect: RiskView["effects"][number];
  currency: string;
  onKeep: (distribution: EstimateWords) => Promise<string | undefined>;
}

/** How large an effect is: its density with points to drag, and every shape with its parameters. */
export function EffectShape({ effect, currency, onKeep }: Props) {
  const [draft, setDraft] = useState<EstimateWords>();
  const [open, setOpen] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const words = draft ?? effect.distribution;
  const look = useEffectLook(words);
  const format = formatOf(words.basis, currency);
  const change = (next: EstimateWords) => {
    setRefusal(undefined);
    setDraft(next);
  };
  const handles: Handle[] = DRAGGED.flatMap((parameter) => {
    const value = words[parameter];
    if (value === undefined || !SHAPE_INFO[words.shape]?.parameters.includes(parameter)) return [];
    return [
      {
        name: PARAMETER_LABELS[parameter],
        value,
        onMove: (moved: number) => change({ ...words, [parameter]: tidy(moved) }),
      },
    ];
  });
  const keep = async () => {
    const refused = draft && (await onKeep(draft));
    setRefusal(refused);
    if (!refused) setDraft(undefined);
  };
  const reshape = (shape: string) => {
    const range = look.data?.range;
    const low = range?.low ?? effect.low;
    const high = range?.high ?? effect.high;
    change({ ...begunShape(shape, low, range?.likely ?? effect.mean, high), basis: words.basis });
    return undefined;
  };
  return (
    <Box mt="1">
      {look.data ? (
        <DensityPlot look={look.data} handles={handles} width={WIDTH} format={format} of="risk" />
      ) : (
        <NoDensity>{look.isError ? refusalOf(look.error) : "Drawing…"}</NoDensity>
      )}
      {draft && (
        <Flex gap="2" my="1">
          <Button size="xs" bg="action" color="onAction" disabled={look.isError} onClick={() => void keep()}>
            Keep this size
          </Button>
          <Button size="xs" variant="ghost" onClick={() => setDraft(undefined)}>
            Leave it as it was
          </Button>
        </Flex>
      )}
      {refusal && <Refusal my="1">{refusal}</Refusal>}
      {open ? (
        <>
          <ChoiceField
            label="Shape"
            hint={SHAPE_INFO[words.shape]?.hint}
            value={words.shape}
            choices={SHAPES}
            onHandIn={reshape}
          />
          <ParameterFields words={words} onChange={change} />
        </>
      ) : (
        <Button size="xs" variant="ghost" color="action" onClick={() => setOpen(true)}>
          {SHAPE_INFO[words.shape]?.label ?? words.shape}: change its shape
        </Button>
      )}
    </Box>
  );
}

/** Of a factor, what it is more or less than nothing. */
function formatOf(basis: string | undefined, currency: string): (value: number) => string {
  if (basis === "factor") return (value) => `${formatDays(Math.round((value - 1) * 1000) / 10)} %`;
  return basis === "money" ? (value) => `${formatAmount(value)} ${currency}` : formatDays;
}
