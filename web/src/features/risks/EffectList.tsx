import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useState } from "react";
import type { ImpactWords, PlanView, RiskEdit, RiskView } from "../../shared/api/client";
import { TextField } from "../../shared/ui/Field";
import { impactWords } from "./assign";
import { EffectShape } from "./EffectShape";

const Button = chakra("button");

type Effect = RiskView["effects"][number];
type TextFields = Pick<RiskEdit, "time" | "money" | "timeAfter" | "moneyAfter">;

interface Props {
  plan: PlanView;
  effects: readonly Effect[];
  /** Which fields of the risk the texts of effects on time and money are. */
  fields: { time: keyof TextFields; money: keyof TextFields };
  onText: (fields: TextFields) => Promise<string | undefined>;
  onImpacts: (impacts: ImpactWords[]) => Promise<string | undefined>;
}

/** The effects of a risk, each as text and as a shape that can be dragged, and a line for another. */
export function EffectList({ plan, effects, fields, onText, onImpacts }: Props) {
  const [fresh, setFresh] = useState(0);
  const names = new Map(
    [...plan.activities, ...plan.branches, ...plan.costs].map(({ id, name }) => [id, name]),
  );
  const isOnTime = (effect: Effect) => effect.effect.endsWith("Time");
  const texts = (onTime: boolean) =>
    effects.filter((one) => isOnTime(one) === onTime).map(({ text }) => text);
  const retype = (changed: Effect, text: string) => {
    const onTime = isOnTime(changed);
    const own = effects.filter((one) => isOnTime(one) === onTime);
    return onText({
      [onTime ? fields.time : fields.money]: own
        .map((one) => (one === changed ? text : one.text))
        .filter((one) => one.trim() !== "")
        .join("; "),
    });
  };
  const add = async (text: string) => {
    if (text.trim() === "") return undefined;
    const onMoney = /\b(cost|money)\b|\d\s*[km]\b/i.test(text);
    const refused = await onText({
      [onMoney ? fields.money : fields.time]: [...texts(!onMoney), text].join("; "),
    });
    if (!refused) setFresh(fresh + 1);
    return refused;
  };
  const replace = (index: number, change: Partial<ImpactWords>) =>
    onImpacts(effects.map((one, i) => ({ ...impactWords(one), ...(i === index && change) })));
  return (
    <>
      {effects.map((effect, i) => (
        <Box key={`${i} ${effect.text}`} mb="3" data-effect={effect.effect}>
          <Flex gap="1" align="flex-start">
            <Box flex="1" minW="0">
              <TextField
                label={VERBS[effect.effect] ?? effect.effect}
                hint="How much on what: 10..25..60d on S20"
                value={effect.text}
                onHandIn={(text) => retype(effect, text)}
              />
            </Box>
            <Button
              aria-label={`Remove the effect ${effect.text}`}
              color="softInk"
              minH="26px"
              minW="24px"
              onClick={() => void onImpacts(effects.filter((one) => one !== effect).map(impactWords))}
            >
              <X size={14} />
            </Button>
          </Flex>
          <Box pl="120px" color="softInk" fontSize="12.5px">
            {effect.on.map((on) => names.get(on) ?? (on === "project" ? "the whole project" : on)).join(", ")}
            {effect.on.length > 1 && (
              <Button
                ml="2"
                color="action"
                onClick={() => void replace(i, { draw: effect.draw === "each" ? "shared" : "each" })}
              >
                {effect.draw === "each" ? "one size each" : "one size for all"}
              </Button>
            )}
          </Box>
          <EffectShape
            effect={effect}
            currency={plan.project.currency}
            onKeep={(distribution) => replace(i, { distribution })}
          />
        </Box>
      ))}
      <TextField
        key={fresh}
        label="Add an effect"
        hint="How much on what: 10..25..60d on S20, or 3..8% cost on K22"
        value=""
        onHandIn={add}
      />
      {effects.length === 0 && (
        <Box color="softInk" fontSize="12.5px" pl="120px">
          Such as 10..25..60d on S20, 2..15% on S, E, or 25k..45k..110k on K32. Without an effect it moves
          nothing.
        </Box>
      )}
    </>
  );
}

const VERBS: Record<string, string> = {
  addTime: "Adds time",
  scaleTime: "Stretches time",
  addCost: "Adds money",
  scaleCost: "Scales money",
};
