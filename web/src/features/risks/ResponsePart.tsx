import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, RiskMoves, RiskView } from "../../shared/api/client";
import { formatMoney } from "../../shared/format/numbers";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import { Refusal } from "../../shared/ui/Refusal";
import { ActionList } from "./ActionList";
import { impactWords } from "./assign";
import { EffectList } from "./EffectList";
import { worthSentence } from "./responseWords";
import type { ChangeRisk } from "./RiskSheet";
import { strategiesOf } from "./riskWords";

interface Props {
  plan: PlanView;
  risk: RiskView;
  moves?: RiskMoves;
  change: ChangeRisk;
}

/** What is meant to be done about a risk, what that leaves of it, what it costs, and whether it is decided. */
export function ResponsePart({ plan, risk, moves, change }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const { response } = risk;
  const words = response && {
    probability: response.chance,
    impacts: response.effects.map(impactWords),
    actions: response.actions,
    decided: response.decided,
  };
  const attempt = (fields: Parameters<ChangeRisk>[0]) => void change(fields).then(setRefusal);
  return (
    <SheetPart title="Response">
      <ChoiceField
        label="Strategy"
        value={risk.strategy ?? ""}
        choices={[{ value: "", label: "none yet" }, ...strategiesOf(risk.kind)]}
        onHandIn={(strategy) => change({ strategy: strategy === "" ? null : strategy })}
      />
      {!response || !words ? (
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            attempt({
              response: {
                probability: risk.chance,
                impacts: risk.effects.map(impactWords),
                actions: [],
              },
            })
          }
        >
          Plan a response
        </Button>
      ) : (
        <>
          <TextField
            label="Chance after"
            value={response.chanceText}
            onHandIn={(chanceAfter) => change({ chanceAfter })}
          />
          <EffectList
            plan={plan}
            effects={response.effects}
            fields={{ time: "timeAfter", money: "moneyAfter" }}
            onText={change}
            onImpacts={(impacts) => change({ response: { ...words, impacts } })}
          />
          <ActionList
            plan={plan}
            actions={response.actions}
            onActions={(actions) => change({ response: { ...words, actions } })}
          />
          <Box my="2" p="3" bg="actionTint" data-worth>
            <Box mb="2">{worthSentence(plan, risk, moves)}</Box>
            <Flex gap="2" align="center" wrap="wrap">
              {response.decided ? (
                <>
                  <Box fontWeight="650">
                    {response.done ? "Done: it is the present." : "Decided."}{" "}
                    {formatMoney(response.cost, plan.project.currency, true)} of it are in the plan.
                  </Box>
                  <Button
                    size="xs"
                    variant="ghost"
                    onClick={() => attempt({ response: { ...words, decided: false } })}
                  >
                    Take the decision back
                  </Button>
                </>
              ) : (
                <Button
                  size="xs"
                  bg="action"
                  color="onAction"
                  title="Puts what its actions cost, and when, into the plan"
                  onClick={() => attempt({ response: { ...words, decided: true } })}
                >
                  Decide it
                </Button>
              )}
              <Button size="xs" variant="ghost" onClick={() => attempt({ response: null, scoreAfter: null })}>
                Drop the response
              </Button>
            </Flex>
          </Box>
        </>
      )}
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </SheetPart>
  );
}
