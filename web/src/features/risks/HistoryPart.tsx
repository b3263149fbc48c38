import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PastLook, PastWords, PlanView, RiskView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { usePastLook } from "../../shared/api/risks";
import { formatDays } from "../../shared/format/numbers";
import { shapeLabel } from "../../shared/range/estimates";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import { Refusal } from "../../shared/ui/Refusal";
import { impactWords } from "./assign";
import { EventDots, EventSizes } from "./EventDrawings";
import { eventsText, parsedEvents, pastNumbers } from "./past";
import type { ChangeRisk } from "./RiskSheet";

const Link = chakra("button");

interface Props {
  plan: PlanView;
  risk: RiskView;
  change: ChangeRisk;
}

/** How often and how hard it has struck in the past, what that makes of rate and size, and the data kept as the reason. */
export function HistoryPart({ plan, risk, change }: Props) {
  const kept = risk.history;
  const [draft, setDraft] = useState<PastWords>();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState(0);
  const [refusal, setRefusal] = useState<string>();
  const past = draft ?? kept;
  const look = usePastLook(plan.project.id, past);
  const words = past ?? { years: 10, count: 0, unit: "days", mean: 0, sd: 0 };
  const put = (fields: Partial<PastWords>) => {
    setRefusal(undefined);
    setDraft({ ...words, ...fields });
    return undefined;
  };
  const number = (field: "years" | "count" | "mean" | "sd", label: string, hint?: string) => (
    <TextField
      label={label}
      hint={hint}
      value={formatDays(words[field] ?? 0)}
      onHandIn={(text) => {
        const parsed = pastNumbers(text);
        return "refusal" in parsed ? parsed.refusal : put({ [field]: parsed.value });
      }}
    />
  );
  const size = look.data?.sizes[Math.min(chosen, (look.data.sizes.length || 1) - 1)];
  const onTime = words.unit !== "money";
  const index = risk.effects.findIndex((one) => one.effect === (onTime ? "addTime" : "addCost"));
  const use = async () => {
    if (!look.data || !past) return;
    const impacts =
      index < 0 || !size
        ? undefined
        : risk.effects.map((one, i) => ({
            ...impactWords(one),
            ...(i === index && { distribution: size.words }),
          }));
    const refused = await change({
      history: past,
      recurrence: { ...risk.recurrence, perYear: round(look.data.perYear) },
      probability: 1,
      ...(impacts && { impacts }),
    });
    setRefusal(refused);
    if (!refused) setDraft(undefined);
  };
  const events = past?.events ?? [];
  if (!past && !open)
    return (
      <SheetPart title="From history">
        <Link color="action" onClick={() => setOpen(true)}>
          It has happened before: take rate and size from what happened
        </Link>
      </SheetPart>
    );
  return (
    <SheetPart title="From history">
      {look.data && past && (
        <Box mb="2" data-past>
          {past.count ?? events.length} in {formatDays(past.years)} years:{" "}
          <b>{formatDays(round(look.data.perYear))} a year</b>, between {formatDays(round(look.data.low))} and{" "}
          {formatDays(round(look.data.high))}.
        </Box>
      )}
      {events.some(({ on }) => on) && <EventDots events={events} />}
      {events.length > 1 && <EventSizes events={events} size={size} />}
      {look.isError && <Refusal mb="2">{refusalOf(look.error)}</Refusal>}
      {look.data && look.data.sizes.length > 1 && (
        <ChoiceField
          label="Size each time"
          hint="Shapes fitted to the amounts, the best first"
          value={String(Math.min(chosen, look.data.sizes.length - 1))}
          choices={look.data.sizes.map((one, i) => ({ value: String(i), label: sizeWords(one, i) }))}
          onHandIn={(value) => {
            setChosen(Number(value));
            if (!draft && kept) setDraft(kept);
            return undefined;
          }}
        />
      )}
      <Flex gap="4">
        <Box flex="1" minW="0">
          {number("years", "Years looked at")}
          <ChoiceField
            label="Counted in"
            value={words.unit ?? "days"}
            choices={[
              { value: "days", label: "days lost" },
              { value: "money", label: plan.project.currency },
            ]}
            onHandIn={(unit) => put({ unit })}
          />
        </Box>
        {events.length === 0 && (
          <Box flex="1" minW="0">
            {number("count", "Times")}
            {number("mean", "Mean each time")}
            {number("sd", "Spread", "Standard deviation of what it took")}
          </Box>
        )}
      </Flex>
      <TextField
        label="Events"
        hint="A line each: the day, and what it took"
        lines={4}
        value={eventsText(events)}
        onHandIn={(text) => {
          const parsed = parsedEvents(text);
          return "refusal" in parsed
            ? parsed.refusal
            : put({ events: parsed.events, count: parsed.events.length || words.count });
        }}
      />
      {draft && (
        <Flex gap="2" align="center" wrap="wrap">
          <Button size="xs" bg="action" color="onAction" disabled={look.isError} onClick={() => void use()}>
            Use this rate{index >= 0 && size ? " and size" : ""}
          </Button>
          <Button size="xs" variant="ghost" onClick={() => setDraft(undefined)}>
            Leave it as it was
          </Button>
          {index < 0 && (
            <Box color="softInk" fontSize="12.5px">
              Say first what it strikes; then its size comes from here, too.
            </Box>
          )}
        </Flex>
      )}
      {kept && !draft && (
        <Link color="action" onClick={() => void change({ history: null }).then(setRefusal)}>
          Take the history away
        </Link>
      )}
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </SheetPart>
  );
}

const round = (value: number) => Number(value.toPrecision(3));

const sizeWords = (size: PastLook["sizes"][number], i: number) =>
  `${shapeLabel(size.shape)}, mean ${formatDays(round(size.mean))}${i === 0 ? ", fits best" : ""}`;
